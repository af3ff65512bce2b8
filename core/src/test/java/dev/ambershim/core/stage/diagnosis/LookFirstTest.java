package dev.ambershim.core.stage.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.runs.causes.CauseKind;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** When a cause that can be undone stands before opening the chip. */
class LookFirstTest {
  private static Cause cause(CauseKind kind, String joint, double probability, double kelvin) {
    return new Cause(kind, Optional.ofNullable(joint), probability, kelvin, Shape.NONE, -1);
  }

  private static Optional<CauseKind> first(Cause... causes) {
    return Ranking.lookFirst(List.of(causes), "outer joint").map(Cause::kind);
  }

  @Test
  void oneThatIsLikelyEnough() {
    assertThat(
            first(
                cause(CauseKind.AS_IT_SHOULD_BE, null, 0.75, 0),
                cause(CauseKind.TILTED, "outer joint", 0.21, 6)))
        .contains(CauseKind.TILTED);
    assertThat(
            first(
                cause(CauseKind.AS_IT_SHOULD_BE, null, 0.8, 0),
                cause(CauseKind.TILTED, "outer joint", 0.19, 6)))
        .isEmpty();
  }

  /** None is likely, but more likely than not it is one of them. */
  @Test
  void severalThatAreLikelyTogether() {
    assertThat(
            first(
                cause(CauseKind.TOO_THICK, "inner joint", 0.45, 9),
                cause(CauseKind.COOLER_WEAK, null, 0.19, 7),
                cause(CauseKind.TILTED, "outer joint", 0.18, 6),
                cause(CauseKind.TOO_THICK, "outer joint", 0.18, 5)))
        .contains(CauseKind.COOLER_WEAK);
  }

  @Test
  void whatCostsNothingOrNeedsTheLidOffDoesNotCount() {
    assertThat(
            first(
                cause(CauseKind.GAP, "inner joint", 0.5, 9),
                cause(CauseKind.GAP, "outer joint", 0.3, 0.6),
                cause(CauseKind.SENSOR_OFF, null, 0.2, 2)))
        .isEmpty();
    assertThat(first(cause(CauseKind.CORE_DRAWS_MORE, null, 0.9, 5))).isEmpty();
  }
}
