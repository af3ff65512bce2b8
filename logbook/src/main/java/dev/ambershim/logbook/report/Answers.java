package dev.ambershim.logbook.report;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.StageAnswer;
import dev.ambershim.core.stage.baseline.BaselineAnswer;
import dev.ambershim.core.stage.clean.CleanAnswer;
import dev.ambershim.core.stage.close.CloseAnswer;
import dev.ambershim.core.stage.coat.CoatAnswer;
import dev.ambershim.core.stage.diagnosis.DiagnosisAnswer;
import dev.ambershim.core.stage.diagnosis.JobCase;
import dev.ambershim.core.stage.keep.KeepAnswer;
import dev.ambershim.core.stage.lap.LapAnswer;
import dev.ambershim.core.stage.measure.MeasureAnswer;
import dev.ambershim.core.stage.prove.ProveAnswer;
import dev.ambershim.core.stage.weigh.Forecast;
import dev.ambershim.core.stage.weigh.Weighing;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What the stages say of a job, in their order. A plan in time hangs on the day it is asked for, so
 * Open is not among them; the command {@code plan} writes it.
 */
public final class Answers {
  /**
   * An answer as results have it.
   *
   * @param stage the stage's name
   * @param sentence the answer in a sentence
   * @param reasons why
   * @param notes what to watch and to know beside it
   * @param others further findings, as sentences
   */
  public record Said(
      String stage,
      String sentence,
      List<String> reasons,
      List<String> notes,
      List<String> others) {
    static Said of(StageAnswer answer) {
      return new Said(
          answer.stage().words(),
          answer.sentence(),
          answer.reasons(),
          answer.notes(),
          answer.others().stream().map(Finding::sentence).toList());
    }
  }

  private Answers() {}

  /**
   * All that say something of this job: a stage that has nothing to go by is left out.
   *
   * @param weighing what was weighed for the job, if that was done
   */
  public static List<StageAnswer> of(
      Assessment assessment, Optional<Weighing> weighing, Notation notation) {
    Job job = assessment.job();
    List<StageAnswer> all = new ArrayList<>();
    weighing.ifPresent(all::add);
    all.add(BaselineAnswer.of(assessment));
    if (!job.work().flaws().isEmpty()) {
      all.add(CleanAnswer.of(job));
    }
    if (!job.heights().tops().isEmpty()) {
      all.add(MeasureAnswer.of(job, notation, SolveWatch.NONE, Runnable::run));
    }
    if (!job.surfaces().passes().isEmpty()) {
      all.add(LapAnswer.of(job, notation, SolveWatch.NONE));
    }
    if (!job.workCase().settingsOnly()) {
      all.add(CoatAnswer.of(job, notation));
      all.add(CloseAnswer.of(job, notation, SolveWatch.NONE));
    }
    all.add(
        ProveAnswer.of(
            assessment,
            Optional.of(Forecast.of(assessment, Solved.SHARED, SolveWatch.NONE)),
            causes(assessment, Side.AFTER, notation).map(DiagnosisAnswer::ranking)));
    if (!job.care().checks().isEmpty()) {
      all.add(KeepAnswer.of(job, notation));
    }
    return all;
  }

  /**
   * Why it is hot on one side of the work, where that was found: neither a report nor results look
   * for it themselves, as it takes seconds.
   */
  static Optional<DiagnosisAnswer> causes(Assessment assessment, Side side, Notation notation) {
    return JobCase.of(assessment, side)
        .flatMap(
            given ->
                Solved.CAUSES
                    .known(given)
                    .map(
                        ranking ->
                            DiagnosisAnswer.of(
                                side == Side.BEFORE ? Stage.BASELINE : Stage.PROVE,
                                given.given(),
                                ranking,
                                notation)));
  }
}
