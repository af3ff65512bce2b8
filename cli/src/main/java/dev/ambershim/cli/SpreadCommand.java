package dev.ambershim.cli;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.CoatFigures;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.spread.PasteAmount;
import dev.ambershim.core.physics.spread.PastePattern;
import dev.ambershim.core.physics.spread.SpreadState;
import dev.ambershim.core.plan.Doses;
import dev.ambershim.core.stage.coat.PasteAnswer;
import dev.ambershim.core.stage.coat.PasteQuestion;
import dev.ambershim.logbook.formats.SpreadJson;
import dev.ambershim.logbook.store.Json;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.Executor;
import java.util.concurrent.ForkJoinPool;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code spread}: how paste ends under the cold plate, and what that costs. */
@Command(
    name = "spread",
    mixinStandardHelpOptions = true,
    description = "Press a job's paste flat, and tell what pattern and amount cost.")
final class SpreadCommand implements Callable<Integer> {
  @Spec CommandSpec spec;

  @Parameters(paramLabel = "JOB.json", description = "The job.")
  Path file;

  @Option(
      names = "--pattern",
      paramLabel = "P",
      description = "Another pattern: ${COMPLETION-CANDIDATES}.")
  PastePattern pattern;

  @Option(names = "--grams", paramLabel = "G", description = "Another amount.")
  Double grams;

  @Option(
      names = "--cells",
      paramLabel = "N",
      description = "Cells along the longer side; ${DEFAULT-VALUE} if not said.")
  int cells = 100;

  @Option(names = "--all", description = "Compare all patterns, and find the least amount.")
  boolean all;

  @Option(names = "--json", description = "Print JSON.")
  boolean json;

  @Override
  public Integer call() {
    if (cells < 16 || cells > 400) {
      throw range("--cells", String.valueOf(cells), "16 to 400");
    }
    if (grams != null) {
      CoatFigures.GRAMS.given("--grams", grams);
    }
    Job job = JobInput.read(file);
    PastePattern laid = pattern == null ? Doses.pastePattern(job.workCase()) : pattern;
    if (laid == PastePattern.OWN && job.paste().strokes().isEmpty()) {
      throw new Problem(
          "spread.strokes",
          Place.field("--pattern"),
          "The job has no strokes of its own.",
          "Draw them in Coat and dose, or take another pattern.");
    }
    if (!job.workCase().pasted() && grams == null) {
      throw new Problem(
          "spread.none",
          Place.field("paste"),
          "The plate of this job meets no paste.",
          "Give --grams to press paste under it anyway.");
    }
    double amount = grams == null ? Doses.pasteGrams(job.workCase()) : grams;
    SpreadState end = PasteAmount.rest(PasteQuestion.of(job, laid, amount, cells), SolveWatch.NONE);
    PasteQuestion.Cost cost = new PasteQuestion.Costs(job).of(end, SolveWatch.NONE);
    Optional<SpreadJson.Others> others =
        all ? Optional.of(others(job, laid, amount)) : Optional.empty();
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.println(Json.pretty(SpreadJson.of(laid.words(), amount, end, cost, others)));
    } else {
      line(out, laid, end, cost);
      others.ifPresent(
          o -> {
            o.patterns().stream()
                .filter(c -> c.pattern() != laid)
                .forEach(c -> line(out, c.pattern(), c.end(), c.cost()));
            PasteAnswer.least(o.least(), job.paste().kind(), Notation.METRIC)
                .ifPresent(out::println);
          });
    }
    out.flush();
    return 0;
  }

  private static Problem range(String option, String value, String range) {
    return new Problem(
        "spread.range", Place.field(option), value + " cannot be.", "Give " + range + ".");
  }

  private static SpreadJson.Others others(Job job, PastePattern laid, double grams) {
    Executor helpers = ForkJoinPool.commonPool();
    return new SpreadJson.Others(
        PasteQuestion.compare(job, laid, grams, SolveWatch.NONE, helpers),
        PasteQuestion.amount(job, laid, grams, SolveWatch.NONE, helpers),
        job.paste().kind().gramsPerCubicCentimetre());
  }

  private static void line(
      PrintWriter out, PastePattern pattern, SpreadState end, PasteQuestion.Cost cost) {
    out.printf(
        Locale.ROOT,
        "%-17s covers %5.1f %%, the dies %5.1f %%; %5.1f µm; %4.1f %% pressed out;"
            + " costs %5.2f K%n",
        pattern.words(),
        100 * end.cover(),
        100 * end.shadowCover(),
        end.meanMicrometres(),
        100 * end.overflowShare(),
        cost.meanKelvin());
  }
}
