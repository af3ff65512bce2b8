package dev.ambershim.logbook.report;

import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.plan.Photo;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.weigh.Forecast;
import dev.ambershim.core.stage.weigh.Weighing;
import dev.ambershim.logbook.formats.DiagnoseJson;
import dev.ambershim.logbook.formats.HeadroomJson;
import dev.ambershim.logbook.formats.ResultCsv;
import dev.ambershim.logbook.formats.ResultJson;
import dev.ambershim.logbook.formats.RunJson;
import dev.ambershim.logbook.store.Json;
import dev.ambershim.logbook.store.WholeFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/** Writes reports and results to files, the kind by the file's ending. */
public final class ReportFiles {
  private ReportFiles() {}

  /**
   * Writes a report as PDF, or as HTML.
   *
   * @param weighing what was weighed for the job, if that was done
   * @param date the day, in words
   * @throws Problem {@code file.unwritten}
   */
  public static void write(
      Assessment assessment,
      Optional<Weighing> weighing,
      Notation notation,
      String date,
      Path target) {
    write(assessment, weighing, photo -> Optional.empty(), notation, date, target);
  }

  /**
   * Writes a report with the photos of its diary.
   *
   * @param photos gives a photo's bytes, if it is there
   * @throws Problem {@code file.unwritten}
   */
  public static void write(
      Assessment assessment,
      Optional<Weighing> weighing,
      Function<Photo, Optional<byte[]>> photos,
      Notation notation,
      String date,
      Path target) {
    write(whole(assessment, weighing, photos, notation, date), target);
  }

  /** The report with the photos of its diary. */
  public static Report whole(
      Assessment assessment,
      Optional<Weighing> weighing,
      Function<Photo, Optional<byte[]>> photos,
      Notation notation,
      String date) {
    return Report.of(assessment, weighing, notation, date)
        .with(Measured.of(assessment.job(), notation))
        .with(Closed.of(assessment.job(), notation))
        .with(Diary.of(assessment.job(), notation, ZoneId.systemDefault(), photos));
  }

  /** Writes any report, the kind by the file's ending. */
  public static void write(Report report, Path target) {
    boolean html = ending(target).matches("html?");
    WholeFile.write(
        target,
        html ? HtmlReport.of(report).getBytes(StandardCharsets.UTF_8) : PdfReport.of(report));
  }

  /**
   * Writes results as CSV, or as JSON.
   *
   * @param weighing what was weighed for the job, if that was done
   * @throws Problem {@code file.unwritten}
   */
  public static void writeResults(Assessment assessment, Optional<Weighing> weighing, Path target) {
    String text =
        ending(target).equals("csv")
            ? ResultCsv.of(assessment)
            : Json.pretty(tree(assessment, weighing));
    WholeFile.write(target, text.getBytes(StandardCharsets.UTF_8));
  }

  private record Results(
      String format,
      String title,
      List<Answers.Said> answers,
      List<ObjectNode> causes,
      ObjectNode comparison,
      ObjectNode baseline,
      ObjectNode clock,
      ObjectNode expectation,
      ObjectNode measured,
      ObjectNode closed,
      List<ObjectNode> runs) {}

  /** Why it is hot on one side of the work, as {@code diagnose} prints it, if that was found. */
  private static Optional<ObjectNode> causes(Assessment assessment, Side side) {
    return Answers.causes(assessment, side, Notation.METRIC)
        .map(a -> DiagnoseJson.of(a).put("side", side.words()));
  }

  private static ObjectNode tree(Assessment assessment, Optional<Weighing> weighing) {
    return Json.published(
        new Results(
            "ambershim/results-1",
            assessment.job().title(),
            Answers.of(assessment, weighing, Notation.METRIC).stream()
                .map(Answers.Said::of)
                .toList(),
            Stream.of(Side.values()).flatMap(side -> causes(assessment, side).stream()).toList(),
            assessment.comparison().map(ResultJson::of).orElse(null),
            assessment.baseline().map(ResultJson::of).orElse(null),
            assessment.headroom().isEmpty() ? null : HeadroomJson.of(assessment.headroom()),
            ResultJson.of(Forecast.of(assessment, Solved.SHARED, SolveWatch.NONE).change()),
            Measured.json(assessment.job()).orElse(null),
            Closed.json(assessment.job()).orElse(null),
            assessment.runs().stream()
                .flatMap(
                    r -> r.analysis().stream().map(a -> RunJson.of(r.log(), a, r.entry().side())))
                .toList()));
  }

  private static String ending(Path target) {
    String name = target.getFileName().toString().toLowerCase(Locale.ROOT);
    return name.substring(name.lastIndexOf('.') + 1);
  }
}
