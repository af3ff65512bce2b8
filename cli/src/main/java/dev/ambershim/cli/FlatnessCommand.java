package dev.ambershim.cli;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.surface.FaceReport;
import dev.ambershim.core.physics.surface.Flatness;
import dev.ambershim.core.physics.surface.HighSpot;
import dev.ambershim.core.physics.surface.ProbeTable;
import dev.ambershim.core.stage.measure.FaceFinding;
import dev.ambershim.logbook.formats.FlatnessJson;
import dev.ambershim.logbook.store.Json;
import dev.ambershim.logbook.store.LogFiles;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code flatness}: how flat a probed face is, and what shape it has. */
@Command(
    name = "flatness",
    mixinStandardHelpOptions = true,
    description = "Tell how flat a probed face is.")
final class FlatnessCommand implements Callable<Integer> {
  @Spec CommandSpec spec;

  @Parameters(paramLabel = "PROBE.csv", description = "Heights, header x_mm,y_mm,z_um.")
  Path file;

  @Option(
      names = "--scatter",
      paramLabel = "UM",
      description = "Standard deviation of one probing, µm, where no place was probed twice.")
  Double scatter;

  @Option(names = "--json", description = "Print JSON.")
  boolean json;

  @Override
  public Integer call() {
    String name = file.toString();
    FaceReport report;
    try {
      report =
          FaceReport.of(
              ProbeTable.read(name, ProbeTable.text(LogFiles.read(file))),
              Optional.ofNullable(scatter));
    } catch (Problem problem) {
      throw problem.in(name);
    }
    PrintWriter out = spec.commandLine().getOut();
    String face = file.getFileName().toString();
    if (json) {
      out.println(Json.pretty(FlatnessJson.of(report, face)));
    } else {
      print(out, report, face);
    }
    out.flush();
    return 0;
  }

  private static void print(PrintWriter out, FaceReport report, String face) {
    Flatness flat = report.flatness();
    out.println(FaceFinding.of(report, face, Notation.METRIC).sentence());
    out.printf(
        Locale.ROOT,
        "  least squares: FLTt %.2f, FLTp %.2f, FLTv %.2f, FLTq %.2f µm%n",
        flat.flttMicrometres(),
        flat.fltpMicrometres(),
        flat.fltvMicrometres(),
        flat.fltqMicrometres());
    for (HighSpot s : report.highSpots()) {
      out.printf(
          Locale.ROOT,
          "  high spot at x %.2f, y %.2f mm: %.2f µm over the least-squares plane%n",
          s.xMillimetres(),
          s.yMillimetres(),
          s.micrometres());
    }
    FaceFinding.doubts(report, Notation.METRIC).forEach(d -> out.println("  " + d));
  }
}
