package dev.ambershim.desktop.stage.coat;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.RecordPath;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.build.CoreLayout;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.spread.PasteAmount;
import dev.ambershim.core.physics.spread.SpreadFlow;
import dev.ambershim.core.physics.spread.SpreadState;
import dev.ambershim.core.plan.Doses;
import dev.ambershim.core.plan.WorkCase;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.coat.DoseAnswer;
import dev.ambershim.core.stage.coat.PasteQuestion;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.StageWork;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;

/** What Coat and dose shows, worked out behind the window; a newer edit stops an older one. */
public final class CoatModel {
  /**
   * Doses on screen, all of one piece.
   *
   * @param job what they were worked out for
   * @param answer drops, meetings and cover
   * @param grams paste that the job lays down
   * @param pasted whether any paste is used
   * @param laid the paste before it is pressed
   */
  public record Shown(Job job, DoseAnswer answer, double grams, boolean pasted, SpreadState laid) {}

  /**
   * Paste on screen.
   *
   * @param job what it was worked out for
   * @param patterns every pattern with the job's amount, its own first
   * @param amount the least that covers
   * @param dies the dies' outlines
   * @param sentence the answer
   * @param reasons what to know beside it
   */
  public record Pasted(
      Job job,
      List<PasteQuestion.Compared> patterns,
      PasteAmount amount,
      List<Patch> dies,
      String sentence,
      List<String> reasons) {}

  private static final int LAID_CELLS = 100;

  private final StageWork<Shown> doses;
  private final StageWork<Optional<Pasted>> paste;
  private Asked asked;
  private Optional<Pasted> last = Optional.empty();

  /** A model over the shell's job. */
  public CoatModel(JobModel shell) {
    doses =
        new StageWork<>(
            shell,
            Stage.COAT,
            "",
            job -> {
              Notation notation = shell.notationProperty().get();
              return watch -> {
                WorkCase work = job.workCase();
                return new Shown(
                    job,
                    DoseAnswer.of(job, notation),
                    Doses.pasteGrams(work),
                    work.pasted(),
                    new SpreadFlow(PasteQuestion.of(job, LAID_CELLS)).state());
              };
            });
    paste =
        new StageWork<>(
            shell,
            Stage.COAT,
            "pressing the paste flat",
            job -> {
              Notation notation = shell.notationProperty().get();
              return watch -> again(job, notation, watch);
            });
    doses.outdated();
    paste.outdated();
  }

  /**
   * What a spread hangs on; an edit of anything else does not press the paste again.
   *
   * @param job a job of nothing but that
   * @param pasted whether paste is used
   * @param notation how it is written
   */
  private record Asked(Job job, boolean pasted, Notation notation) {
    static Asked of(Job job, Notation notation) {
      Job bare =
          Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "")
              .with("", "", job.cooler(), job.after(), job.after())
              .withSurfaces(job.surfaces())
              .withMounting(job.mounting())
              .withPaste(job.paste().with(Doses.pastePattern(job.workCase())));
      return new Asked(
          new RecordPath("heatWatts")
              .with(new RecordPath("chip").with(bare, job.chip()), job.heatWatts()),
          job.workCase().pasted(),
          notation);
    }
  }

  /** Only ever on the line of reckoning. */
  private Optional<Pasted> again(Job job, Notation notation, SolveWatch watch) {
    Asked now = Asked.of(job, notation);
    if (!now.equals(asked)) {
      last = pasted(job, notation, watch);
      asked = now;
    }
    return last;
  }

  private static Optional<Pasted> pasted(Job job, Notation notation, SolveWatch watch) {
    if (!job.workCase().pasted()) {
      return Optional.empty();
    }
    List<PasteQuestion.Compared> all = PasteQuestion.compare(job, watch);
    PasteAmount amount = PasteQuestion.amount(job, watch);
    PasteQuestion.Compared own = all.get(0);
    double grams = Doses.pasteGrams(job.workCase());
    StringBuilder sentence = new StringBuilder();
    sentence.append(notation.text(grams, Unit.GRAM)).append(" as ");
    sentence.append(own.pattern().withArticle()).append(" ends at ");
    sentence.append(notation.text(own.end().meanMicrometres(), Unit.MICROMETRE));
    if (own.end().shadowCover() > 0.995) {
      sentence.append(" and covers the die; the pattern costs ");
      sentence.append(notation.text(Math.max(0, own.cost().meanKelvin()), Unit.KELVIN)).append(".");
    } else {
      sentence.append(" and leaves ");
      sentence.append(notation.fixed(100 * (1 - own.end().shadowCover()), 0));
      sentence.append(" % of the die dry: it costs ");
      sentence.append(notation.text(own.cost().meanKelvin(), Unit.KELVIN)).append(".");
    }
    return Optional.of(
        new Pasted(
            job,
            all,
            amount,
            job.chip().dies().stream().map(CoreLayout::patch).toList(),
            sentence.toString(),
            reasons(job, all, amount, notation)));
  }

  private static List<String> reasons(
      Job job, List<PasteQuestion.Compared> all, PasteAmount amount, Notation notation) {
    List<String> reasons = new ArrayList<>();
    double density = job.paste().kind().gramsPerCubicCentimetre() / 1000;
    PasteQuestion.Compared own = all.get(0);
    amount
        .shadowCubicMillimetres()
        .ifPresent(
            v ->
                reasons.add(
                    "The die is covered from "
                        + notation.text(v * density, Unit.GRAM)
                        + " on, the whole face "
                        + amount
                            .faceCubicMillimetres()
                            .map(f -> "from " + notation.text(f * density, Unit.GRAM) + ".")
                            .orElse("by no amount of this pattern.")));
    double best = all.stream().mapToDouble(c -> c.cost().meanCelsius()).min().orElse(0);
    double worst = all.stream().mapToDouble(c -> c.cost().meanCelsius()).max().orElse(0);
    reasons.add(
        "Between the best and the worst pattern of this amount lie "
            + notation.text(worst - best, Unit.KELVIN)
            + " in the mean of the cores.");
    if (own.end().overflowShare() > 0.4) {
      reasons.add(
          notation.fixed(100 * own.end().overflowShare(), 0)
              + " % is pressed out over the edge: less would do.");
    }
    if (own.end().cover() < 0.97) {
      reasons.add("Corners stay dry; away from the die that hardly counts.");
    }
    if (own.end().airOverDieSquareMillimetres() > 1) {
      reasons.add("Air is shut in over the die: a dot or a line drives it out.");
    }
    return reasons;
  }

  /** Doses on screen; null until they are first worked out. */
  public ReadOnlyObjectProperty<Shown> shownProperty() {
    return doses.shownProperty();
  }

  /** Paste on screen; null until it is first worked out, empty if the job uses none. */
  public ReadOnlyObjectProperty<Optional<Pasted>> pastedProperty() {
    return paste.shownProperty();
  }
}
