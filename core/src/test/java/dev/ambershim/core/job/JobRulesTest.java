package dev.ambershim.core.job;

import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.assembly.Die;
import dev.ambershim.core.physics.assembly.StartingPoint;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What no job may say, whoever wrote it. */
class JobRulesTest {
  private static final Job JOB = Job.from(StartingPoint.DESKTOP_CHIPLETS_SOLDER, "Fennel F16");

  private static Job shares(double share) {
    Job job = JOB;
    for (int i = 0; i < job.chip().dies().size(); i++) {
      Die die = job.chip().dies().get(i);
      job = job.withChip(job.chip().withDie(i, die.withPowerShare(share)));
    }
    return job;
  }

  @Test
  void aUsualJobIsSound() {
    JobRules.sound(JOB);
    JobRules.check(JOB);
  }

  /** A die that gives off less than nothing has no cores, and no answer. */
  @ParameterizedTest
  @ValueSource(doubles = {-273.16, -1e-9, Double.NaN, Double.POSITIVE_INFINITY})
  void sharesOfTheHeatThatCannotBeAreRefusedInBundlesToo(double share) {
    assertThatThrownBy(() -> JobRules.sound(shares(share)))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("cannot be");
  }

  @Test
  void someDieTakesHeat() {
    assertThatThrownBy(() -> JobRules.sound(shares(0)))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("No die takes any heat.");
  }
}
