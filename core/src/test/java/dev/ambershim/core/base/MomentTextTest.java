package dev.ambershim.core.base;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Moments as people type them. */
class MomentTextTest {
  private static final Instant NOW = Instant.parse("2026-06-15T12:00:00Z");
  private static final ZoneId VIENNA = ZoneId.of("Europe/Vienna"); // two hours ahead in summer

  @ParameterizedTest
  @CsvSource({
    "18:30, 2026-06-15T16:30:00Z",
    "9, 2026-06-16T07:00:00Z",
    "14:00, 2026-06-16T12:00:00Z",
    "6:05 pm, 2026-06-15T16:05:00Z",
    "12:15am, 2026-06-15T22:15:00Z",
    "2026-12-01 08:00, 2026-12-01T07:00:00Z",
    "2026-12-01T08:00, 2026-12-01T07:00:00Z",
    "2026-12-01T08:00:30Z, 2026-12-01T08:00:30Z",
    "2026-12-01T08:00-0500, 2026-12-01T13:00:00Z",
    "1.12.2026 8:00, 2026-12-01T07:00:00Z",
    "'2026-12-01, 8 pm', 2026-12-01T19:00:00Z"
  })
  void aTimeIsTheNextOneAndADayIsThatDay(String typed, String expected) {
    assertThat(MomentText.read(typed, VIENNA, NOW, "done by")).isEqualTo(Instant.parse(expected));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"", "soon", "25:00", "12:60", "13 pm", "2026-02-30 10:00", "1.13.2026 8:00", "-"})
  void whatIsNoTimeIsRefusedWithAnExample(String typed) {
    assertThatThrownBy(() -> MomentText.read(typed, VIENNA, NOW, "done by"))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("done by")
        .hasMessageContaining("18:30");
  }

  @Test
  void daysAreReadEitherWay() {
    assertThat(MomentText.readDay("2027-02-01", "good until")).isEqualTo(LocalDate.of(2027, 2, 1));
    assertThat(MomentText.readDay(" 1.2.2027 ", "good until")).isEqualTo(LocalDate.of(2027, 2, 1));
    assertThatThrownBy(() -> MomentText.readDay("February", "good until"))
        .isInstanceOf(Problem.class);
  }
}
