package dev.ambershim.core.stage.weigh;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.Reading;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.job.WorkWays;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.plan.OptionKind;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.Way;
import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.core.stage.Assessment;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What of a job's runs and readings becomes the question that is weighed. */
class WeighQuestionTest {
  private final Map<String, RunLog> logs = new HashMap<>();
  private Job job = Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Test chip");

  private void run(String name, Side side, double core, double watts, boolean room) {
    StringBuilder text =
        new StringBuilder("time [s],core 0 [°C],core 1 [°C],coolant [°C],power [W]");
    text.append(room ? ",room [°C]\n" : "\n");
    for (int i = 0; i < 900; i++) {
      double wave = 0.4 * Math.sin(i * 1.7) + 0.3 * Math.cos(i * 0.37);
      text.append(
          String.format(
              Locale.ROOT,
              "%d,%.2f,%.2f,%.2f,%.1f%s%n",
              i,
              core - 2 + wave,
              core + 2 + wave,
              31 + wave / 4,
              watts,
              room ? ",22.00" : ""));
    }
    logs.put(name, LogReader.read(name, text.toString().getBytes(StandardCharsets.UTF_8)));
    job = job.withRun(RunEntry.of(side, name, name));
  }

  private Question question() {
    return WeighQuestion.of(Assessment.of(job, logs, Notation.METRIC), OwnRecord.NONE);
  }

  @Test
  void withoutRunsItIsTheJobsOwnHeatInAUsualRoom() {
    Question q = question();
    assertThat(q.readings()).isEmpty();
    assertThat(q.heatWatts()).isEqualTo(job.heatWatts());
    assertThat(q.roomCelsius()).isEqualTo(22);
    assertThat(q.now().build()).isEqualTo(job.before());
    assertThat(q.careKelvin()).isEqualTo(job.careKelvin());
  }

  @Test
  void aRunBeforeTheWorkIsAReadingWithItsCoolantAndItsCores() {
    run("a", Side.BEFORE, 75, 160, true);
    Question q = question();
    assertThat(q.readings()).hasSize(1);
    Reading r = q.readings().get(0);
    assertThat(r.watts()).isCloseTo(160, within(0.1));
    assertThat(r.coreCelsius()).isCloseTo(75, within(0.2));
    assertThat(r.roomCelsius()).isCloseTo(22, within(0.01));
    assertThat(r.coolantCelsius()).isCloseTo(31, within(0.1));
    assertThat(r.lidCelsius()).isNull();
    assertThat(q.patterns()).hasSize(1);
    List<Double> cores = q.patterns().get(0).celsius();
    assertThat(cores.get(1) - cores.get(0)).isCloseTo(4, within(0.1));
    assertThat(q.heatWatts()).isCloseTo(160, within(0.1));
  }

  @Test
  void runsAfterTheWorkAndRunsWithoutRoomTellNothingOfNow() {
    run("after", Side.AFTER, 60, 160, true);
    run("roomless", Side.BEFORE, 75, 160, false);
    assertThat(question().readings()).isEmpty();
    job = job.withRun(1, job.runs().get(1).withRoom(21.0));
    assertThat(question().readings()).hasSize(1);
    assertThat(question().roomCelsius()).isEqualTo(21);
  }

  @Test
  void theHeaviestLoadIsTheOneThatMattersAndHandReadingsComeLast() {
    run("full", Side.BEFORE, 80, 170, true);
    run("half", Side.BEFORE, 52, 85, true);
    job = job.withReadings(List.of(Reading.plain("by hand", 120, 66, 24)));
    Question q = question();
    assertThat(q.readings()).extracting(Reading::name).containsExactly("full", "half", "by hand");
    assertThat(q.heatWatts()).isCloseTo(170, within(0.1));
    assertThat(q.roomCelsius()).isCloseTo((22 + 22 + 24) / 3.0, within(0.01));
  }

  @Test
  void hoursAreThoseOfThePlan() {
    Question q = question();
    Plan plan = Plan.of(job.withWork(job.work().planning(OptionKind.METAL_GLUED)).workCase());
    Question.Time glued = q.times().get(OptionKind.METAL_GLUED);
    assertThat(glued.handsHours()).isCloseTo(plan.hands().likely() / 60, within(1e-9));
    // Two coats of varnish, alcohol twice, and the cure of the glue.
    double cures = plan.doses().cure().handlingMinutes() / 60;
    assertThat(cures).isGreaterThan(5);
    assertThat(glued.waitHours()).isBetween(cures + 0.5, cures + 2);
    assertThat(q.times().get(OptionKind.METAL_UNGLUED).waitHours()).isLessThan(2);
    // PERT: the mean and 1.28 standard deviations of all steps, as one pace goes through them.
    double mean = (plan.hands().low() + 4 * plan.hands().likely() + plan.hands().high()) / 6;
    double deviation = (plan.hands().high() - plan.hands().low()) / 6;
    assertThat(glued.mostHandsHours()).isCloseTo((mean + 1.2816 * deviation) / 60, within(1e-3));
    assertThat(q.times().get(OptionKind.FRESH_PASTE).handsHours()).isLessThan(glued.handsHours());
    assertThat(q.times().get(OptionKind.BARE_LAPPED).handsHours())
        .isGreaterThan(q.times().get(OptionKind.BARE).handsHours() + 1);
    // What is weighed says the same, and a slower way costs more hours.
    assertThat(Weighing.options(q, Notation.METRIC))
        .filteredOn(o -> o.kind() == OptionKind.METAL_GLUED)
        .allMatch(o -> o.handsHours() == glued.handsHours());
    job = WorkWays.take(job, Way.BLADE);
    assertThat(question().times().get(OptionKind.METAL_GLUED).handsHours())
        .isGreaterThan(glued.handsHours() + 0.3);
  }
}
