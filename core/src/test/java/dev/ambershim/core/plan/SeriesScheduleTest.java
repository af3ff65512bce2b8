package dev.ambershim.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.plan.SeriesSchedule.Mounting;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class SeriesScheduleTest {
  private static final Instant NOW = Instant.parse("2026-03-02T08:00:00Z");
  private static final Hours EVENINGS = new Hours("18:00", "22:00", null);

  private static List<Mounting> mounts(int count) {
    return IntStream.rangeClosed(1, count)
        .mapToObj(n -> new Mounting(n, 1 + n / 3, "paste " + n))
        .toList();
  }

  private static Schedule schedule(int count, double warmUps, Hours hours, Instant start) {
    return SeriesSchedule.of(mounts(count), 45, warmUps, hours, start, NOW, ZoneOffset.UTC)
        .orElseThrow();
  }

  /** 15 min of hands, 20 to settle, 2 to read, 10 to cool: 47 min for each. */
  @Test
  void mountsFollowOneAnother() {
    Schedule four = schedule(4, 0, Hours.ANY, null);
    assertThat(four.slots()).hasSize(8);
    assertThat(four.begin()).isEqualTo(NOW);
    assertThat(Duration.between(NOW, four.likelyEnd()).toMinutes()).isEqualTo(4 * 47);
    assertThat(four.cautiousEnd()).isAfter(four.medianEnd());
    for (int i = 1; i < four.slots().size(); i++) {
      assertThat(four.slots().get(i).begin())
          .isAfterOrEqualTo(four.slots().get(i - 1).passedEnd().minusSeconds(1));
    }
    assertThat(four.slots().get(0).step().title()).isEqualTo("Mount 1: paste 1, block 1");
    assertThat(four.slots().get(7).step().title()).isEqualTo("Read mount 4: paste 4");
  }

  @Test
  void warmUpsTakeTheirTime() {
    Schedule two = schedule(2, 50, Hours.ANY, null);
    assertThat(Duration.between(NOW, two.likelyEnd()).toMinutes()).isEqualTo(2 * (47 + 50));
  }

  @Test
  void handsWorkOnlyWithinTheHoursAndFromTheStartOn() {
    Instant start = Instant.parse("2026-03-03T12:00:00Z");
    Schedule ten = schedule(10, 0, EVENINGS, start);
    assertThat(ten.begin()).isEqualTo(Instant.parse("2026-03-03T18:00:00Z"));
    for (Schedule.Slot slot : ten.slots()) {
      LocalTime from = LocalTime.ofInstant(slot.begin(), ZoneOffset.UTC);
      LocalTime to = LocalTime.ofInstant(slot.handsEnd(), ZoneOffset.UTC);
      assertThat(from).isBetween(LocalTime.of(18, 0), LocalTime.of(22, 0));
      assertThat(to).isBetween(LocalTime.of(18, 0), LocalTime.of(22, 0));
    }
    // Ten of 47 min do not fit into one evening of four hours.
    assertThat(ten.likelyEnd()).isAfter(Instant.parse("2026-03-04T18:00:00Z"));
    assertThat(schedule(1, 0, Hours.ANY, NOW.minusSeconds(3600)).begin()).isEqualTo(NOW);
  }

  @Test
  void aLongSeriesIsSetInTimePartByPart() {
    assertThat(schedule(400, 0, Hours.ANY, null).slots()).hasSize(2 * SeriesSchedule.MOST_MOUNTS);
    assertThat(SeriesSchedule.of(List.of(), 45, 0, Hours.ANY, null, NOW, ZoneOffset.UTC)).isEmpty();
  }
}
