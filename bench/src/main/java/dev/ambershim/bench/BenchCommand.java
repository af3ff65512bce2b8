package dev.ambershim.bench;

import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.bench.coverage.CompareCoverage;
import dev.ambershim.bench.coverage.Coverage;
import dev.ambershim.bench.coverage.DiagnosisCoverage;
import dev.ambershim.bench.coverage.FaceCoverage;
import dev.ambershim.bench.coverage.HeadroomCoverage;
import dev.ambershim.bench.coverage.KeepCoverage;
import dev.ambershim.bench.coverage.SeriesCoverage;
import dev.ambershim.bench.coverage.WeighCoverage;
import dev.ambershim.cli.Commands;
import dev.ambershim.logbook.store.Json;
import java.io.PrintWriter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code bench}: speed as a ratio within one run. */
@Command(
    name = "amber-shim bench",
    mixinStandardHelpOptions = true,
    description = "Measure speed as a ratio within one run.")
public final class BenchCommand implements Callable<Integer> {
  /** What can be measured. */
  enum Subject {
    START,
    SOLVER,
    IMPORT,
    CHART,
    MEASURE,
    SPREAD,
    EDIT,
    COVERAGE;

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /** Measures and ends the process. */
  public static void main(String[] arguments) {
    CommandLine line = Commands.ready(new CommandLine(new BenchCommand()));
    System.exit(Commands.run(line, arguments));
  }

  @Spec CommandSpec spec;

  @Parameters(paramLabel = "WHAT", description = "One of: ${COMPLETION-CANDIDATES}.")
  Subject subject;

  @Option(names = "--json", description = "Print JSON.")
  boolean json;

  @Option(names = "--jmh", description = "Run the JMH benchmarks of the solver instead.")
  boolean jmh;

  @Option(
      names = "--repeats",
      paramLabel = "N",
      defaultValue = "400",
      description = "Cases for each set of coverage (default: ${DEFAULT-VALUE}).")
  int repeats;

  @Option(
      names = "--only",
      paramLabel = "KIND",
      description =
          "Of coverage only one kind: compare, headroom, faces, weigh, keep, series or diagnose.")
  String only;

  @Override
  public Integer call() {
    if (jmh) {
      Jmh.run();
      return 0;
    }
    ObjectNode node = Json.mapper().createObjectNode();
    String words =
        switch (subject) {
          case START -> start(node);
          case SOLVER -> solver(node);
          case IMPORT -> imports(node);
          case CHART -> chart(node);
          case MEASURE -> measure(node);
          case SPREAD -> spread(node);
          case EDIT -> edit(node);
          case COVERAGE -> coverage(node);
        };
    PrintWriter out = spec.commandLine().getOut();
    out.println(json ? Json.pretty(node) : words);
    out.flush();
    return 0;
  }

  private static String start(ObjectNode node) {
    StartBench.Result result = StartBench.run();
    node.put("ratioToEmptyWindow", result.ratioToEmptyWindow());
    node.put("ratioToPlainWindow", result.ratioToPlainWindow());
    node.put("windowSeconds", result.windowSeconds());
    node.put("emptyWindowSeconds", result.emptySeconds());
    node.put("plainWindowSeconds", result.plainSeconds());
    return String.format(
        Locale.ROOT,
        "Window up with the demo: %.2f times an empty JavaFX window that has its runtime, flags and"
            + " class archive, %.2f times one started plainly (%.2f s against %.2f s and %.2f s).",
        result.ratioToEmptyWindow(),
        result.ratioToPlainWindow(),
        result.windowSeconds(),
        result.emptySeconds(),
        result.plainSeconds());
  }

  private static String imports(ObjectNode node) {
    ImportBench.Result result = ImportBench.run();
    node.put("ratioToTokenise", result.ratioToTokenise());
    node.put("heapRatio", result.heapRatio());
    node.put("importSeconds", result.importSeconds());
    node.put("tokeniseSeconds", result.tokeniseSeconds());
    node.put("megabytes", result.megabytes());
    return String.format(
        Locale.ROOT,
        "One million rows by forty channels, %.0f MB: read and analysed in %.2f times what it takes"
            + " to part the cells (%.2f s against %.2f s).%n"
            + "A heap of %.2f times the kept samples was enough.",
        result.megabytes(),
        result.ratioToTokenise(),
        result.importSeconds(),
        result.tokeniseSeconds(),
        result.heapRatio());
  }

  private static String edit(ObjectNode node) {
    EditBench.Result result = EditBench.run();
    node.put("firstAnswerMillisecondsP95", result.firstAnswerMillisecondsP95());
    node.put("wholeMillisecondsP95", result.wholeMillisecondsP95());
    node.put("runsJudgedPerEdit", result.runsJudgedPerEdit());
    node.put("javaFxThreadBlockedMillisecondsP99", result.blockedMillisecondsP99());
    node.put("javaFxThreadBlockedMillisecondsMost", result.blockedMillisecondsMost());
    node.put("sliderFramesPerSecond", result.sliderFramesPerSecond());
    result.byStage().forEach(node.putArray("stages")::add);
    return String.format(
        Locale.ROOT,
        "A figure typed into the demo's window: first line after %.0f ms, all of the window after"
            + " %.0f ms (95 of 100 edits), %.1f runs judged for an edit; %.0f pictures a second under a"
            + " slider.%n%s",
        result.firstAnswerMillisecondsP95(),
        result.wholeMillisecondsP95(),
        result.runsJudgedPerEdit(),
        result.sliderFramesPerSecond(),
        String.join(System.lineSeparator(), result.byStage()));
  }

  /** How often intervals held, a key for each set. */
  private String coverage(ObjectNode node) {
    StringBuilder words = new StringBuilder();
    List<Coverage> all = new ArrayList<>();
    for (String kind : List.of("compare", "headroom", "faces", "weigh", "keep", "series")) {
      if (only == null || only.equals(kind)) {
        all.addAll(
            switch (kind) {
              case "compare" -> CompareCoverage.all(repeats);
              case "headroom" -> HeadroomCoverage.all(repeats);
              case "faces" -> FaceCoverage.all(repeats);
              case "keep" -> KeepCoverage.all(repeats);
              case "series" -> SeriesCoverage.all(repeats);
              default -> WeighCoverage.all(repeats);
            });
      }
    }
    for (Coverage c : all) {
      ObjectNode set = node.putObject(c.name());
      set.put("tried", c.tried());
      set.put("toldShare", c.toldShare());
      set.put("heldShare", c.heldShare());
      set.put("claimedShare", c.claimedShare());
      set.put("halfWidth", c.halfWidth());
      words.append(
          String.format(
              Locale.ROOT,
              "%-32s told %5.1f %%, held %5.1f %%, claimed %5.1f %%, half-width %.2f%n",
              c.name(),
              100 * c.toldShare(),
              100 * c.heldShare(),
              100 * c.claimedShare(),
              c.halfWidth()));
    }
    if (only == null || only.equals("diagnose")) {
      for (DiagnosisCoverage.Score score : DiagnosisCoverage.all(repeats)) {
        node.set(score.name(), Json.published(score).without("name"));
        words.append(
            String.format(
                Locale.ROOT,
                "%-32s right %5.1f %%, stated %5.1f %%, mean log of the true cause %.2f, confident"
                    + " and wrong %.1f %%%n",
                score.name(),
                100 * score.rightShare(),
                100 * score.statedMean(),
                score.logTrueMean(),
                100 * score.confidentWrongShare()));
      }
    }
    return words.toString().stripTrailing();
  }

  private static String measure(ObjectNode node) {
    MeasureBench.Result result = MeasureBench.run();
    node.put("flatnessMilliseconds", result.flatnessMilliseconds());
    node.put("drawsSeconds", result.drawsSeconds());
    node.put("drawRatio", result.drawRatio());
    return String.format(
        Locale.ROOT,
        "A face of 1000 points: %.1f ms.%nA million draws of twelve tops: %.3f s; on one thread %.2f"
            + " times what drawing the figures alone takes.",
        result.flatnessMilliseconds(),
        result.drawsSeconds(),
        result.drawRatio());
  }

  private static String spread(ObjectNode node) {
    SpreadBench.Result result = SpreadBench.run();
    node.put("framesPerSecond", result.framesPerSecond());
    node.put("slowFramesPerSecond", result.slowFramesPerSecond());
    node.put("stepRatio", result.stepRatio());
    return String.format(
        Locale.ROOT,
        "Paste on a grid of 200 × 200: %.1f frames a second, 95 of 100 at more than %.1f; a frame"
            + " takes as long as %.0f plain sweeps.",
        result.framesPerSecond(),
        result.slowFramesPerSecond(),
        result.stepRatio());
  }

  private static String chart(ObjectNode node) {
    ChartBench.Result result = ChartBench.run();
    node.put("framesPerSecond", result.framesPerSecond());
    node.put("panFramesPerSecond", result.panFramesPerSecond());
    node.put("zoomFramesPerSecond", result.zoomFramesPerSecond());
    node.put("frameMillisecondsP95", result.frameMillisecondsP95());
    node.put("samples", result.samples());
    node.put("readySeconds", result.readySeconds());
    return String.format(
        Locale.ROOT,
        "%d samples on one chart: %.1f frames a second moving, %.1f zooming; 95 of 100 frames within"
            + " %.0f ms.%nMade ready in %.2f s, off the JavaFX thread.",
        result.samples(),
        result.panFramesPerSecond(),
        result.zoomFramesPerSecond(),
        result.frameMillisecondsP95(),
        result.readySeconds());
  }

  private static String solver(ObjectNode node) {
    ModesBench.Result modes = ModesBench.run();
    node.put("tenthPercentMilliseconds", modes.tenthPercentMilliseconds());
    node.put("tenthPercentTrueError", modes.tenthPercentTrueError());
    node.put("changedJointMillisecondsP95", modes.changedJointMillisecondsP95());
    node.put("changedJointTrueErrorWorst", modes.changedJointTrueErrorWorst());
    node.put("roughSolvesPerSecond", modes.roughSolvesPerSecond());
    node.put("roughTrueErrorWorst", modes.roughTrueErrorWorst());
    SolverBench.Result result = SolverBench.run();
    node.put("workUnits", result.workUnits());
    node.put("workUnitsAllThreads", result.workUnitsAllThreads());
    node.put("threads", result.threads());
    node.put("iterations", result.iterations());
    node.put("growthExponent", result.growthExponent());
    node.put("bytesPerCell", result.bytesPerCell());
    node.put("warmUpdateMillisecondsP95", result.warmUpdateMillisecondsP95());
    node.put("warmUpdateCells", result.liveCells());
    return String.format(
        Locale.ROOT,
        "Eight cores to a tenth of a percent: %.0f ms (true error %.3f %%); one figure changed:"
            + " %.1f ms at the 95th percentile (%.3f %%); %.0f draws a second (%.2f %%).%n"
            + "Multigrid, one million cells to 1e-8: %.1f work units on one thread, %.1f on %d (%d iterations).%n"
            + "Time grows with the %.3f power of the cells; %.0f bytes a cell.%n"
            + "A changed figure at %d cells: %.0f ms at the 95th percentile.",
        modes.tenthPercentMilliseconds(),
        modes.tenthPercentTrueError() * 100,
        modes.changedJointMillisecondsP95(),
        modes.changedJointTrueErrorWorst() * 100,
        modes.roughSolvesPerSecond(),
        modes.roughTrueErrorWorst() * 100,
        result.workUnits(),
        result.workUnitsAllThreads(),
        result.threads(),
        result.iterations(),
        result.growthExponent(),
        result.bytesPerCell(),
        result.liveCells(),
        result.warmUpdateMillisecondsP95());
  }
}
