package dev.ambershim.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.stage.coat.CoatAnswer;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Steps and workings in the person's own units. */
class StepNotationTest {
  private static final Notation CUSTOMARY = new Notation(true, true, false, true);
  private static final Pattern METRIC = Pattern.compile("\\d (mm|µm|mm²|mm³|°C)(\\W|$)");

  @ParameterizedTest
  @EnumSource(StartingPoint.class)
  void noStepAsksAPersonWhoWorksInInchesForMillimetres(StartingPoint point) {
    Job job = Job.from(point, "x");
    for (Job one : List.of(job, job.withAfter(job.after().withLidOn(false)))) {
      Plan plan = Plan.of(one.workCase(), CUSTOMARY);
      for (PlanStep step : plan.steps()) {
        String all = step.action() + "\n" + step.reason() + "\n" + step.look() + step.wrong();
        assertThat(METRIC.matcher(all).find()).as(all).isFalse();
      }
      assertThat(Plan.of(one.workCase()).steps()).hasSameSizeAs(plan.steps());
    }
  }

  @ParameterizedTest
  @EnumSource(StartingPoint.class)
  void aWorkingWritesItsInputsAsThePersonDoes(StartingPoint point) {
    Job job = Job.from(point, "x");
    CoatAnswer.of(job, CUSTOMARY)
        .finding()
        .ifPresent(
            f ->
                assertThat(f.working().inputs())
                    .isNotEmpty()
                    .allSatisfy(
                        i ->
                            assertThat(CUSTOMARY.significant(i.value(), i.unit()))
                                .doesNotContainPattern(METRIC)));
  }
}
