package dev.ambershim.core.stage.measure;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.fit.InnerGap;
import dev.ambershim.core.stage.Drawing;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.StageAnswer;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;

/**
 * What touches first, what lid and cooler leave, and the sheet to cut. How flat each face is, is
 * told by {@link FaceAnswer}.
 *
 * @param job what it was worked out for
 * @param fit how the plate rests
 * @param first what touches first
 * @param notes what to know beside it
 * @param others what lid and cooler leave, a finding each
 * @param screws what follows for the mount
 * @param sheet the sheet to cut; empty when nothing is left of it
 * @param sheetSentence whether it can be cut, or why there is none
 * @param pictures how the plate rests
 */
public record MeasureAnswer(
    Job job,
    FitAnswer fit,
    Finding first,
    List<String> notes,
    List<Finding> others,
    List<String> screws,
    Optional<ShimOutline> sheet,
    String sheetSentence,
    List<Drawing> pictures)
    implements StageAnswer {
  /** Enough to tell a chance to three in a thousand without a wait. */
  private static final int DRAWS = 200_000;

  /** Copies its lists. */
  public MeasureAnswer {
    notes = List.copyOf(notes);
    others = List.copyOf(others);
    screws = List.copyOf(screws);
    pictures = List.copyOf(pictures);
  }

  /**
   * Works it out.
   *
   * @param executor shares the draws out
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public static MeasureAnswer of(Job job, Notation notation, SolveWatch watch, Executor executor) {
    return unsolved(job, notation, executor).solved(notation, watch);
  }

  /**
   * The same without what a tilted plate costs, which has to be solved.
   *
   * @param executor shares the draws out
   */
  public static MeasureAnswer unsolved(Job job, Notation notation, Executor executor) {
    FitAnswer fit = FitAnswer.of(job.heights(), job.cooler(), notation, DRAWS, executor);
    List<Finding> others = new ArrayList<>();
    for (InnerGap gap : FitAnswer.innerGaps(job.heights(), job.chip(), false)) {
      others.add(gap.finding("the lid", notation));
    }
    for (InnerGap gap : FitAnswer.innerGaps(job.heights(), job.chip(), true)) {
      others.add(gap.finding("the replacement lid", notation));
    }
    Optional<CoolerDrop> drop = fit.drop(job.heights(), notation);
    drop.ifPresent(d -> others.add(d.finding()));
    Optional<ShimOutline> sheet = Optional.empty();
    String sentence;
    try {
      ShimOutline cut = ShimOutline.of(job.chip(), job.heights().tops(), job.shim(), notation);
      sheet = Optional.of(cut);
      sentence = cut(job.shim().sheet().words(), cut.flaws().size());
    } catch (Problem problem) {
      sentence = problem.getMessage();
    }
    return new MeasureAnswer(
        job,
        fit,
        FitWords.first(fit, notation),
        notes(job, fit, Optional.empty(), notation),
        others,
        drop.map(CoolerDrop::notes).orElse(List.of()),
        sheet,
        sentence,
        List.of(resting(job, fit, notation)));
  }

  /**
   * This answer with what a tilted plate costs.
   *
   * @param notation that of this answer
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public MeasureAnswer solved(Notation notation, SolveWatch watch) {
    return new MeasureAnswer(
        job,
        fit,
        first,
        notes(job, fit, FitQuestion.tilted(job, fit, watch), notation),
        others,
        screws,
        sheet,
        sheetSentence,
        pictures);
  }

  private static List<String> notes(
      Job job, FitAnswer fit, Optional<FitQuestion.Tilted> tilted, Notation notation) {
    List<String> notes = new ArrayList<>(FitWords.notes(fit, notation));
    tilted.ifPresent(
        t ->
            notes.add(
                Math.min(1, notes.size()), t.sentence("The joint over the die is then", notation)));
    notes.addAll(FitQuestion.disagreements(job, fit, notation));
    return notes;
  }

  private static Drawing resting(Job job, FitAnswer fit, Notation notation) {
    return new Drawing(
        "rest",
        "How a flat plate comes to rest; nothing bends.",
        FitPicture.height(fit.rows().size()),
        (w, h) ->
            FitPicture.of(
                fit, job.chip(), job.heights().xLoad(), job.heights().yLoad(), notation, w, h));
  }

  private static String cut(String sheet, int flaws) {
    return flaws == 0
        ? "The " + sheet + " can be cut as drawn."
        : "The "
            + sheet
            + " cannot be cut like this: "
            + flaws
            + (flaws == 1 ? " flaw." : " flaws.");
  }

  /** What bars or concerns the sheet, a sentence each. */
  public List<String> sheetNotes() {
    List<String> why = new ArrayList<>();
    sheet.ifPresent(s -> why.addAll(s.flaws()));
    sheet.ifPresent(s -> why.addAll(s.notes()));
    return why;
  }

  @Override
  public Stage stage() {
    return Stage.MEASURE;
  }

  @Override
  public String sentence() {
    return first.sentence();
  }

  @Override
  public Optional<Finding> finding() {
    return Optional.of(first);
  }

  @Override
  public List<String> reasons() {
    return notes;
  }
}
