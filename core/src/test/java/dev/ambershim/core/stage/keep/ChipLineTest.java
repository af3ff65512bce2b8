package dev.ambershim.core.stage.keep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Care;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.KeptCheck;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.picture.Mark;
import dev.ambershim.core.picture.Picture;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

class ChipLineTest {
  private static final Job JOB = Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4");

  private static KeptCheck check(String day, double rise, double watts) {
    return new KeptCheck(LocalDate.parse(day), null, "", rise, watts, null, null, "", 1);
  }

  @Test
  void aChipWithoutChecksHasNoLine() {
    ChipLine line = ChipLine.of(JOB, Notation.METRIC);
    assertThat(line.sentence()).isEmpty();
    assertThat(line.dueOn(LocalDate.of(2027, 1, 1))).isEmpty();
    assertThat(line.late(LocalDate.of(2027, 1, 1))).isFalse();
    assertThat(line.course(90, 30).marks()).isEmpty();
  }

  @Test
  void itsCourseRunsFromTheFirstCheckToTheLast() {
    Care care =
        Care.NONE.withChecks(
            List.of(
                check("2026-01-01", 50, 100),
                check("2026-07-01", 120, 200),
                check("2026-04-01", 55, 100)));
    ChipLine line = ChipLine.of(JOB.withCare(care), Notation.METRIC);
    assertThat(line.sentence().orElseThrow()).startsWith("Too few checks");
    assertThat(line.dueOn(LocalDate.of(2026, 8, 1))).isEqualTo("next check 30 September 2026");
    assertThat(line.dueOn(LocalDate.of(2027, 8, 1))).isEqualTo("check due since 30 September 2026");
    assertThat(line.late(LocalDate.of(2027, 8, 1))).isTrue();
    Picture picture = line.course(90, 30);
    Mark.Trace trace = (Mark.Trace) picture.marks().get(0);
    // By power, so that the hotter check at twice the power is 0.6 K/W after 0.5 and 0.55.
    assertThat(trace.xs()).hasSize(3).isSorted();
    assertThat(trace.xs()[0]).isEqualTo(3);
    assertThat(trace.xs()[2]).isEqualTo(87);
    assertThat(trace.ys()[0] - trace.ys()[1])
        .isCloseTo(trace.ys()[1] - trace.ys()[2], within(1e-9));
    assertThat(trace.ys()[2]).isEqualTo(3, within(1e-9));
  }
}
