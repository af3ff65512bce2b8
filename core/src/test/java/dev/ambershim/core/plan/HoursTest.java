package dev.ambershim.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The hours in which one may work, and what fits into them. */
class HoursTest {
  private static final Instant MONDAY_NOON = Instant.parse("2026-06-15T12:00:00Z");

  @ParameterizedTest
  @CsvSource({
    "00:00, 0",
    "9:05, 545",
    "18.30, 1110",
    "18.3, -1",
    "23:59, 1439",
    "24:00, 1440",
    "24:01, -1",
    "12:60, -1",
    "noon, -1",
    "12, -1",
    "'', -1",
    "-1:00, -1",
    "123:00, -1"
  })
  void minutesOfTheDay(String text, int minute) {
    assertThat(Hours.minute(text)).isEqualTo(minute);
  }

  @Test
  void hoursThatLeaveNoTimeAreNotSound() {
    assertThat(Hours.ANY.sound()).isTrue();
    assertThat(Hours.ANY.any()).isTrue();
    assertThat(new Hours("18:00", "18:00", List.of(1)).sound()).isFalse();
    assertThat(new Hours("22:00", "18:00", List.of(1)).sound()).isFalse();
    assertThat(new Hours("08:00", "18:00", List.of()).sound()).isFalse();
    assertThat(new Hours("08:00", "x", List.of(1)).sound()).isFalse();
    assertThat(new Hours("08:00", "18:00", null).days()).hasSize(7);
    assertThat(new Hours("08:00", "18:00", List.of(3, 1, 3)).days()).containsExactly(1, 3);
    assertThat(new Hours("08:00", "18:00", List.of(1)).longest()).isEqualTo(600);
    assertThatThrownBy(() -> new Hours("9", "8", List.of(1)).around(MONDAY_NOON, ZoneOffset.UTC))
        .isInstanceOf(IllegalArgumentException.class);
    // A log with hours that cannot be takes any.
    assertThat(WorkLog.EMPTY.withHours(new Hours("9", "8", List.of())).hours())
        .isEqualTo(Hours.ANY);
  }

  @Test
  void whatDoesNotFitTodayWaitsForTheNextDay() {
    Windows evenings =
        new Hours("17:00", "21:00", List.of(1, 3)).around(MONDAY_NOON, ZoneOffset.UTC);
    assertThat(evenings.earliest(0, 10)).isEqualTo(300);
    assertThat(evenings.earliest(310, 230)).isEqualTo(310);
    // Wednesday at five.
    assertThat(evenings.earliest(310, 231)).isEqualTo(300 + 2 * 1440);
    assertThat(evenings.earliest(541, 1)).isEqualTo(300 + 2 * 1440);
    assertThat(evenings.earliest(0, 241)).isInfinite();
    assertThat(evenings.longest()).isEqualTo(240);
  }

  @Test
  void daysThatTouchAreOneStretch() {
    Windows nights = Windows.of(List.of(new double[] {0, 60}, new double[] {60, 120}));
    assertThat(nights.earliest(30, 80)).isEqualTo(30);
    Windows whole = new Hours("00:00", "24:00", List.of(6, 7)).around(MONDAY_NOON, ZoneOffset.UTC);
    // Saturday begins four and a half days from Monday noon, and runs on into Sunday.
    assertThat(whole.earliest(0, 2 * 1440)).isEqualTo(4.5 * 1440);
    assertThat(whole.earliest(0, 2 * 1440 + 1)).isInfinite();
    assertThat(Windows.ALWAYS.earliest(-7, 1e9)).isEqualTo(-7);
  }

  @Test
  void backwardsIsTheMirrorOfForwards() {
    Windows windows =
        Windows.of(List.of(new double[] {0, 60}, new double[] {100, 130}, new double[] {200, 400}));
    Windows back = windows.shifted(-400).backwards();
    // Work of 50 that must end by 400 ends there; one that must end by 190 begins by 10.
    assertThat(-back.earliest(0, 50) + 400).isEqualTo(400);
    assertThat(400 - back.earliest(210, 50)).isEqualTo(60);
    assertThat(400 - back.earliest(210, 30)).isEqualTo(130);
  }

  @Test
  void spansAreInOrderAndAddUp() {
    assertThatThrownBy(() -> new Span(3, 2, 4)).isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Span(-1, 2, 4)).isInstanceOf(IllegalArgumentException.class);
    assertThat(new Span(1, 2, 3).plus(new Span(10, 20, 30))).isEqualTo(new Span(11, 22, 33));
    assertThat(Span.NONE.mean()).isZero();
  }
}
