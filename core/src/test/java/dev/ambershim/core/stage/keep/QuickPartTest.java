package dev.ambershim.core.stage.keep;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Care;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.KeptCheck;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.runs.causes.Sign;
import dev.ambershim.core.runs.everyday.Ordinary;
import dev.ambershim.core.stage.diagnosis.InUse;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * Two years of everyday logs without a coolant sensor: what shows within seconds tells the joint
 * from the cooler. Masses in a row by small steps of time; invented.
 */
@Tag("slow")
class QuickPartTest {
  private static final Job JOB =
      Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4").withHeatWatts(150);
  private static final LocalDate BEGIN = LocalDate.of(2025, 1, 10);

  /** Ten checks; one mass's way on holds back more heat every year, K/W. */
  private static Job kept(long seed, int mass, double perYear) {
    Ordinary chip = new Ordinary(seed);
    chip.chip();
    List<KeptCheck> checks = new ArrayList<>();
    double years = 2.0 / 9;
    for (int i = 0; i < 10; i++) {
      checks.add(
          CheckReading.of(
              chip.log(),
              OptionalDouble.empty(),
              0.3,
              BEGIN.plusDays(Math.round(i * 365 * years))));
      chip.grow(mass, perYear * years);
    }
    return JOB.withCare(Care.NONE.withChecks(checks));
  }

  @Test
  void aJointThatCreepsShowsWithinSeconds() {
    Job job = kept(61, 0, 0.04);
    assertThat(job.care().checks()).allMatch(c -> c.quickKelvin() != null);
    assertThat(InUse.of(job).sign()).contains(Sign.QUICK_ROSE);
    assertThat(KeepAnswer.of(job, Notation.METRIC).reasons().get(0))
        .endsWith(": a joint, or the pump.");
  }

  @Test
  void aCoolerThatCreepsShowsLater() {
    Job job = kept(62, 3, 0.04);
    assertThat(InUse.of(job).sign()).contains(Sign.SLOW_ROSE);
    assertThat(KeepAnswer.of(job, Notation.METRIC).reasons().get(0))
        .endsWith("look at fans, fins and coolant.");
  }

  @Test
  void whatStaysGivesNoSign() {
    assertThat(InUse.of(kept(63, 0, 0)).sign()).isEmpty();
  }
}
