package dev.ambershim.core.stage.baseline;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.StageAnswer;
import java.util.List;
import java.util.Optional;

/**
 * How a chip runs before the work.
 *
 * @param finding its rise, if a run tells
 * @param sentence that, or what is still needed
 */
public record BaselineAnswer(Optional<Finding> finding, String sentence) implements StageAnswer {
  /** The answer of a job whose runs were judged. */
  public static BaselineAnswer of(Assessment assessment) {
    String needed =
        assessment.runs(Side.BEFORE).isEmpty()
            ? "There is no run yet. Log a steady load for half an hour, and add the log here."
            : "No run can be used yet. See below what each one lacks.";
    return new BaselineAnswer(
        assessment.baseline(), assessment.baseline().map(Finding::sentence).orElse(needed));
  }

  @Override
  public Stage stage() {
    return Stage.BASELINE;
  }

  @Override
  public List<String> reasons() {
    return List.of();
  }
}
