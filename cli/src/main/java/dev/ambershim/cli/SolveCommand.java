package dev.ambershim.cli;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.conduction.PowerTable;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackSolution;
import dev.ambershim.core.physics.modes.SteadySolver;
import dev.ambershim.core.physics.multigrid.Team;
import dev.ambershim.core.physics.multigrid.TransientSolver;
import dev.ambershim.logbook.formats.SolutionJson;
import dev.ambershim.logbook.formats.StackJson;
import dev.ambershim.logbook.store.Json;
import dev.ambershim.logbook.store.LogFiles;
import dev.ambershim.logbook.store.WholeFile;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalLong;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code solve}: conduction in a stack of layers, steady or in time. */
@Command(
    name = "solve",
    mixinStandardHelpOptions = true,
    description = "Solve conduction in a stack of layers.")
final class SolveCommand implements Callable<Integer> {
  private static final long MOST_CELLS = 20_000_000;
  private static final long TRANSIENT_CELLS = 30_000;
  private static final double ERROR_SHARE = 0.005;

  @Spec CommandSpec spec;

  @Parameters(paramLabel = "CASE.stack.json", description = "The stack.")
  Path file;

  @Option(
      names = "--cells",
      paramLabel = "N",
      description = "Use about so many cells; without it the grid is refined by itself.")
  Long cells;

  @Option(
      names = "--error",
      paramLabel = "SHARE",
      description = "Wanted discretisation error as a share of the rise; usual is 0.005.")
  double error = ERROR_SHARE;

  @Option(
      names = "--threads",
      paramLabel = "N",
      description = "How many threads; usual is one for each processor.")
  int threads = Runtime.getRuntime().availableProcessors();

  @Option(
      names = "--power",
      paramLabel = "CSV",
      description = "Solve in time: time_s and a column of watts for each heat.")
  Path power;

  @Option(
      names = "--out",
      paramLabel = "FILE",
      description = "Write the temperatures in time here instead of printing them.")
  Path out;

  @Option(names = "--json", description = "Print JSON.")
  boolean json;

  @Override
  public Integer call() {
    check();
    StackCase stack =
        StackJson.read(file.toString(), new String(LogFiles.read(file), StandardCharsets.UTF_8));
    ExecutorService others =
        Executors.newCachedThreadPool(
            r -> {
              Thread thread = new Thread(r, "solver");
              thread.setDaemon(true);
              return thread;
            });
    try (Team team = Team.of(threads, others)) {
      return power == null ? steady(stack, team) : transientRun(stack, team);
    } catch (Problem problem) {
      throw problem.in(file.toString());
    } finally {
      others.shutdown();
    }
  }

  private void check() {
    if (cells != null && !(cells >= 1 && cells <= MOST_CELLS)) {
      throw new Problem(
          "solve.cells",
          Place.field("--cells"),
          cells + " cells cannot be.",
          "Give a figure from 1 to " + MOST_CELLS + ".");
    }
    if (!(error > 0 && error < 1)) {
      throw new Problem(
          "solve.error",
          Place.field("--error"),
          error + " is no share.",
          "Give a figure between 0 and 1, such as 0.005.");
    }
    if (!(threads >= 1 && threads <= 256)) {
      throw new Problem(
          "solve.threads",
          Place.field("--threads"),
          threads + " threads cannot be.",
          "Give a figure from 1 to 256.");
    }
  }

  private int steady(StackCase stack, Team team) {
    long start = System.nanoTime();
    StackSolution solution =
        new SteadySolver(team, SolveWatch.NONE)
            .solve(stack, cells == null ? OptionalLong.empty() : OptionalLong.of(cells), error);
    double seconds = (System.nanoTime() - start) / 1e9;
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.println(Json.pretty(SolutionJson.of(solution, seconds)));
    } else {
      print(out, solution, seconds);
    }
    out.flush();
    return 0;
  }

  private int transientRun(StackCase stack, Team team) {
    PowerTable table =
        PowerTable.read(
            power.toString(),
            new String(LogFiles.read(power), StandardCharsets.UTF_8),
            stack.heat());
    List<TransientSolver.Moment> moments =
        new TransientSolver(stack, cells == null ? TRANSIENT_CELLS : cells, team, SolveWatch.NONE)
            .run(table.seconds(), table.watts());
    StringWriter text = new StringWriter();
    try (CsvWriter csv = CsvWriter.builder().lineDelimiter(LineDelimiter.LF).build(text)) {
      List<String> header = new ArrayList<>(List.of("time_s"));
      stack.heat().forEach(h -> header.addAll(List.of(h.name() + " mean_C", h.name() + " peak_C")));
      header.add("peak_C");
      csv.writeRecord(header);
      for (TransientSolver.Moment m : moments) {
        List<String> line = new ArrayList<>(List.of(plain(m.seconds())));
        m.sources()
            .forEach(s -> line.addAll(List.of(plain(s.meanCelsius()), plain(s.peakCelsius()))));
        line.add(plain(m.peakCelsius()));
        csv.writeRecord(line);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    if (out == null) {
      spec.commandLine().getOut().print(text);
      spec.commandLine().getOut().flush();
    } else {
      WholeFile.write(out, text.toString().getBytes(StandardCharsets.UTF_8));
    }
    return 0;
  }

  private static String plain(double value) {
    return BigDecimal.valueOf(value)
        .setScale(6, RoundingMode.HALF_EVEN)
        .stripTrailingZeros()
        .toPlainString();
  }

  private static void print(PrintWriter out, StackSolution solution, double seconds) {
    out.printf(
        Locale.ROOT,
        "Peak %.2f °C at %.1f W, to within %.2f K of discretisation.%n",
        solution.peakCelsius(),
        solution.heatWatts(),
        solution.discretisationErrorKelvin());
    for (StackSolution.Source s : solution.sources()) {
      out.printf(
          Locale.ROOT,
          "  heat \"%s\": mean %.2f °C, peak %.2f °C%n",
          s.name(),
          s.meanCelsius(),
          s.peakCelsius());
    }
    for (StackSolution.Layer l : solution.layers()) {
      out.printf(
          Locale.ROOT,
          "  layer \"%s\": underside %.2f °C, top %.2f °C%n",
          l.name(),
          l.bottomMeanCelsius(),
          l.topMeanCelsius());
    }
    out.printf(
        Locale.ROOT,
        "%d cells, %d iterations, heat in and out agree to %.1e, %.2f s.%n",
        solution.cells(),
        solution.iterations(),
        Math.abs(solution.energyImbalanceRelative()),
        seconds);
  }
}
