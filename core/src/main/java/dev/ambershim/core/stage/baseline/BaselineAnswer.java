package dev.ambershim.core.stage.baseline;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.StageAnswer;
import dev.ambershim.core.stage.diagnosis.DiagnosisWords;
import dev.ambershim.core.stage.diagnosis.Ranking;
import java.util.List;
import java.util.Optional;

/**
 * How a chip runs before the work.
 *
 * @param finding its rise, if a run tells
 * @param sentence that, or what is still needed
 * @param reasons a cause to look for first, if one is likely
 */
public record BaselineAnswer(Optional<Finding> finding, String sentence, List<String> reasons)
    implements StageAnswer {
  /** Copies its list. */
  public BaselineAnswer {
    reasons = List.copyOf(reasons);
  }

  /** The answer of a job whose runs were judged. */
  public static BaselineAnswer of(Assessment assessment) {
    return of(assessment, Optional.empty());
  }

  /**
   * The same where causes are known.
   *
   * @param causes of the side before the work
   */
  public static BaselineAnswer of(Assessment assessment, Optional<Ranking> causes) {
    String needed =
        assessment.runs(Side.BEFORE).isEmpty()
            ? "There is no run yet. Log a steady load for half an hour, and add the log here."
            : "No run can be used yet. See below what each one lacks.";
    return new BaselineAnswer(
        assessment.baseline(),
        assessment.baseline().map(Finding::sentence).orElse(needed),
        causes.flatMap(Ranking::lookFirst).map(DiagnosisWords::beside).orElse(List.of()));
  }

  @Override
  public Stage stage() {
    return Stage.BASELINE;
  }
}
