package dev.ambershim.core.stage.coat;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.build.CoreLayout;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.spread.PasteAmount;
import dev.ambershim.core.physics.spread.PasteClass;
import dev.ambershim.core.plan.Doses;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.StageAnswer;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;

/**
 * How the paste ends when it is pressed flat, and what other patterns would cost.
 *
 * @param job what it was worked out for
 * @param patterns every pattern with the job's amount, its own first
 * @param amount the least that covers
 * @param dies the dies' outlines
 * @param sentence the answer
 * @param reasons what to know beside it
 */
public record PasteAnswer(
    Job job,
    List<PasteQuestion.Compared> patterns,
    PasteAmount amount,
    List<Patch> dies,
    String sentence,
    List<String> reasons)
    implements StageAnswer {
  /** Copies its lists. */
  public PasteAnswer {
    patterns = List.copyOf(patterns);
    dies = List.copyOf(dies);
    reasons = List.copyOf(reasons);
  }

  /**
   * Presses it flat; empty if the job uses no paste.
   *
   * @param helpers press beside the caller
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public static Optional<PasteAnswer> of(
      Job job, Notation notation, SolveWatch watch, Executor helpers) {
    if (!job.workCase().pasted()) {
      return Optional.empty();
    }
    List<PasteQuestion.Compared> all = PasteQuestion.compare(job, watch, helpers);
    PasteAmount amount = PasteQuestion.amount(job, watch, helpers);
    return Optional.of(
        new PasteAnswer(
            job,
            all,
            amount,
            job.chip().dies().stream().map(CoreLayout::patch).toList(),
            sentence(job, all.get(0), notation),
            reasons(job, all, amount, notation)));
  }

  private static String sentence(Job job, PasteQuestion.Compared own, Notation notation) {
    double dry = 1 - own.end().shadowCover();
    double kelvin = own.cost().meanKelvin();
    return notation.text(Doses.pasteGrams(job.workCase()), Unit.GRAM)
        + " as "
        + own.pattern().withArticle()
        + " ends at "
        + notation.text(own.end().meanMicrometres(), Unit.MICROMETRE)
        + (dry < 0.005
            ? " and covers the die; the pattern costs " + notation.text(kelvin, Unit.KELVIN)
            : " and leaves "
                + notation.fixed(100 * dry, 0)
                + " % of the die dry, which costs "
                + notation.text(kelvin, Unit.KELVIN))
        + ".";
  }

  private static List<String> reasons(
      Job job, List<PasteQuestion.Compared> all, PasteAmount amount, Notation notation) {
    List<String> reasons = new ArrayList<>();
    PasteQuestion.Compared own = all.get(0);
    // What is wrong comes first: only the first reasons stand open under the answer.
    if (own.end().airOverDieSquareMillimetres() > 1) {
      reasons.add("Air is shut in over the die: a dot or a line drives it out.");
    }
    if (own.end().overflowShare() > 0.4) {
      reasons.add(
          notation.fixed(100 * own.end().overflowShare(), 0)
              + " % is pressed out over the edge: less would do.");
    }
    if (own.end().cover() < 0.97) {
      reasons.add("Corners stay dry. Away from the die that hardly matters.");
    }
    least(amount, job.paste().kind(), notation).ifPresent(reasons::add);
    double best = all.stream().mapToDouble(c -> c.cost().meanCelsius()).min().orElse(0);
    double worst = all.stream().mapToDouble(c -> c.cost().meanCelsius()).max().orElse(0);
    reasons.add(
        "The best and the worst pattern of this amount are "
            + notation.text(worst - best, Unit.KELVIN)
            + " apart in the mean of the cores.");
    return reasons;
  }

  /** How much covers, in a sentence; empty when no amount covers the die. */
  public static Optional<String> least(PasteAmount amount, PasteClass kind, Notation notation) {
    double density = kind.gramsPerCubicCentimetre() / 1000;
    return amount
        .shadowCubicMillimetres()
        .map(
            v ->
                "The die is covered from "
                    + notation.text(v * density, Unit.GRAM)
                    + " on, the whole face "
                    + amount
                        .faceCubicMillimetres()
                        .map(f -> "from " + notation.text(f * density, Unit.GRAM) + ".")
                        .orElse("by no amount of this pattern."));
  }

  @Override
  public Stage stage() {
    return Stage.COAT;
  }

  @Override
  public Optional<Finding> finding() {
    return Optional.empty();
  }
}
