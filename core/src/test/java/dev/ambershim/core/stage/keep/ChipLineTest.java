package dev.ambershim.core.stage.keep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Care;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.KeptCheck;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.dosing.MetalFace;
import dev.ambershim.core.physics.dosing.MetalPlace;
import dev.ambershim.core.picture.Mark;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.stage.Assessment;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class ChipLineTest {
  private static final Job JOB = Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4");

  private static KeptCheck check(String day, double rise, double watts) {
    return new KeptCheck(LocalDate.parse(day), null, "", rise, watts, null, null, "", 1);
  }

  private static ChipLine line(Job job) {
    return ChipLine.of(Assessment.of(job, Map.of(), Notation.METRIC), Notation.METRIC);
  }

  @Test
  void aChipWithoutChecksHasNoLine() {
    ChipLine line = line(JOB);
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
    ChipLine line = line(JOB.withCare(care));
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

  /** Two states of a chip and another chip, each with a drift that is known. */
  @Test
  void ownJointsAgeByWhatIsInThem() {
    Job first = JOB.withHeatWatts(100).withCare(Care.NONE.withChecks(both(4, 1)));
    Job second = JOB.withHeatWatts(100).withCare(Care.NONE.withChecks(series("", 1, "2025-01-01")));
    List<OwnAgeing.Seen> seen = new ArrayList<>(OwnAgeing.of(first));
    assertThat(seen).hasSize(2);
    assertThat(seen.get(0).joint()).isEqualTo(JOB.before().inner().filling().words());
    assertThat(seen.get(1).joint()).isEqualTo(JOB.after().inner().filling().words());
    seen.addAll(OwnAgeing.of(second));
    List<String> words = OwnAgeing.words(seen, Notation.METRIC);
    assertThat(words).hasSize(2);
    assertThat(words)
        .anyMatch(w -> w.startsWith("Your own joints of liquid metal (2): "))
        .anyMatch(w -> w.startsWith("Your own joints of factory paste (1): "));
    double share = seen.get(2).sharePerYear();
    // A kelvin a year on 50 K and a bit.
    assertThat(share).isCloseTo(1 / 51.4, within(0.004));
    Job copper = second.withCoat(second.coat().saying(MetalPlace.LID_INSIDE, MetalFace.COPPER));
    assertThat(OwnAgeing.of(copper).get(0).joint()).isEqualTo("liquid metal on bare copper");
    // Another face ages in another way, so it is no joint of the same kind.
    assertThat(OwnAgeing.like(copper, OwnAgeing.of(second))).isEmpty();
    assertThat(OwnAgeing.like(copper, OwnAgeing.of(copper))).hasSize(1);
    assertThat(OwnAgeing.of(JOB)).isEmpty();
    assertThat(OwnAgeing.words(List.of(), Notation.METRIC)).isEmpty();
  }

  private static List<KeptCheck> both(double before, double after) {
    List<KeptCheck> all = new ArrayList<>(series("before", before, "2022-01-01"));
    all.addAll(series("", after, "2025-01-01"));
    return all;
  }

  private static List<KeptCheck> series(String state, double perYear, String from) {
    List<KeptCheck> checks = new ArrayList<>();
    for (int i = 0; i < 10; i++) {
      double rise = 50 + perYear * i * 60 / 365.25 + (i % 3 - 1) * 0.1;
      checks.add(
          new KeptCheck(
              LocalDate.parse(from).plusDays(60L * i), null, "", rise, 100, null, null, state, 1));
    }
    return checks;
  }
}
