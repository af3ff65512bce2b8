package dev.ambershim.core.stage.prove;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.job.Compared;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.runs.judging.Comparison;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.StageAnswer;
import dev.ambershim.core.stage.diagnosis.DiagnosisWords;
import dev.ambershim.core.stage.diagnosis.Ranking;
import dev.ambershim.core.stage.weigh.Forecast;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Whether the work helped, and how far the chip clocks now.
 *
 * @param finding the change with its verdict; empty until there are runs on both sides
 * @param sentence that, or what is still needed
 * @param reasons what was expected, then what the verdict rests on
 * @param others what was expected, and the highest clock if rungs tell of one
 */
public record ProveAnswer(
    Optional<Finding> finding, String sentence, List<String> reasons, List<Finding> others)
    implements StageAnswer {
  /** Copies its lists. */
  public ProveAnswer {
    reasons = List.copyOf(reasons);
    others = List.copyOf(others);
  }

  /**
   * The answer of a job whose runs were judged.
   *
   * @param forecast what the work should bring; empty while it is not worked out
   */
  public static ProveAnswer of(Assessment assessment, Optional<Forecast> forecast) {
    return of(assessment, forecast, Optional.empty());
  }

  /**
   * The same where causes are known.
   *
   * @param causes of the side after the work: a bad mount there is no fault of the work
   */
  public static ProveAnswer of(
      Assessment assessment, Optional<Forecast> forecast, Optional<Ranking> causes) {
    List<Finding> others = new ArrayList<>();
    forecast.map(Forecast::change).ifPresent(others::add);
    Headroom headroom = assessment.headroom();
    if (!headroom.isEmpty()) {
      others.add(headroom.finding());
      headroom.gainWithoutBounds().ifPresent(others::add);
    }
    if (assessment.comparison().isEmpty()) {
      String clocks = headroom.headline().map(h -> "It clocks " + h.underLimit() + ". ").orElse("");
      return new ProveAnswer(Optional.empty(), clocks + needed(assessment), List.of(), others);
    }
    Comparison comparison = assessment.comparison().get();
    List<String> reasons = new ArrayList<>(comparison.reasons());
    reasons.remove(comparison.sentence());
    Compared compared = Compared.of(assessment.job());
    if (!assessment.acrossTheWork()) {
      reasons.add(
          0, "This compares \"" + compared.second() + "\" with \"" + compared.first() + "\".");
    } else if (forecast.isPresent()) {
      reasons.add(0, forecast.get().against(assessment));
    }
    causes
        .flatMap(Ranking::lookFirst)
        .map(DiagnosisWords::beside)
        .ifPresent(s -> reasons.addAll(0, s));
    Optional<Finding> answer = assessment.answer();
    return new ProveAnswer(answer, answer.orElseThrow().sentence(), reasons, others);
  }

  private static String needed(Assessment now) {
    boolean before = now.runs(Side.BEFORE).stream().anyMatch(r -> r.analysis().isPresent());
    boolean after = now.runs(Side.AFTER).stream().anyMatch(r -> r.analysis().isPresent());
    if (!before && !after) {
      return "Add a log from before the work and one from after it.";
    }
    return before
        ? now.baseline().map(f -> f.sentence() + " ").orElse("")
            + "Add a log from after the work to compare."
        : "Add a log from before the work to compare.";
  }

  @Override
  public Stage stage() {
    return Stage.PROVE;
  }
}
