package dev.ambershim.core.runs.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDateTime;
import java.time.Month;
import java.time.ZoneOffset;
import java.time.format.TextStyle;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A cell read as time; the reference is java.time. */
class TimeTextTest {
  private static double epoch(int year, int month, int day, int hour, int minute, int second) {
    return LocalDateTime.of(year, month, day, hour, minute, second).toEpochSecond(ZoneOffset.UTC);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "2026-03-14 15:09:26",
        "2026-03-14T15:09:26Z",
        "2026-03-14T15:09:26+0100",
        "2026/03/14 15:09:26",
        "2026.03.14 15:09:26",
        "14.03.2026 15:09:26",
        "14.3.26 15:09:26",
        "3/14/2026 3:09:26 PM",
        "3/14/2026 3:09:26 p.m.",
        "14/03/2026 15:09:26",
        "14 Mar 2026 15:09:26",
        "14-mar-26 15:09:26",
        "14 Mrz 2026 15:09:26",
        "Mar 14, 2026 15:09:26",
        "20260314T150926",
        "  2026-03-14   15:09:26 "
      })
  void oneMomentInManyOrders(String cell) {
    TimeText time = TimeText.of(cell);
    assertThat(time.kind()).isEqualTo(TimeText.Kind.DATE_AND_TIME);
    assertThat(time.seconds()).isEqualTo(epoch(2026, 3, 14, 15, 9, 26));
  }

  @ParameterizedTest
  @CsvSource({
    "00:00:00,0",
    "15:09,54540",
    "15:09:26.5,54566.5",
    "'15:09:26,25',54566.25",
    "12:00:01 AM,1",
    "12:00:01 PM,43201",
    "100:00:00,360000"
  })
  void timesOfDay(String cell, double seconds) {
    TimeText time = TimeText.of(cell);
    assertThat(time.timeOfDay()).isTrue();
    assertThat(time.seconds()).isCloseTo(seconds, within(1e-9));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "61.5",
        "-3",
        "1234",
        "12345678901",
        "core 0",
        "yes",
        "15:9:26",
        "15:09:26 o'clock",
        "2026-13-01",
        "2026-02-30",
        "31.02.2026",
        "99/99/2026",
        "1.234.567",
        "12:",
        ":30",
        "14 Foo 2026"
      })
  void whatIsNoTime(String cell) {
    assertThat(TimeText.of(cell).isTime()).isFalse();
  }

  @Test
  void theOrderOfDayAndMonth() {
    assertThat(TimeText.of("3/14/2026").order()).isEqualTo(TimeText.Order.MONTH_FIRST);
    assertThat(TimeText.of("14/3/2026").order()).isEqualTo(TimeText.Order.DAY_FIRST);
    TimeText either = TimeText.of("3/4/2026");
    assertThat(either.order()).isEqualTo(TimeText.Order.EITHER);
    assertThat(either.seconds()).isEqualTo(epoch(2026, 3, 4, 0, 0, 0));
    assertThat(either.dayFirstSeconds()).isEqualTo(epoch(2026, 4, 3, 0, 0, 0));
    assertThat(TimeText.of("2026-03-04").order()).isEqualTo(TimeText.Order.NOTHING);
  }

  @Test
  void dateAndTimeBelongTogetherInEitherOrder() {
    TimeText date = TimeText.of("2026-03-14");
    TimeText time = TimeText.of("15:09:26");
    assertThat(date.dateOnly()).isTrue();
    assertThat(date.with(time).seconds()).isEqualTo(epoch(2026, 3, 14, 15, 9, 26));
    assertThat(time.with(date).seconds()).isEqualTo(epoch(2026, 3, 14, 15, 9, 26));
  }

  /** The names are those of java.time, short and in full. */
  @ParameterizedTest
  @ValueSource(strings = {"en", "de", "fr", "es", "it", "nl", "pt"})
  void monthsInTheirOwnWords(String language) {
    for (Month month : Month.values()) {
      for (TextStyle style : new TextStyle[] {TextStyle.SHORT, TextStyle.FULL}) {
        String name = month.getDisplayName(style, Locale.forLanguageTag(language));
        TimeText time = TimeText.of("14 " + name + " 2026 15:09:26");
        assertThat(time.seconds())
            .as("%s in %s", name, language)
            .isEqualTo(epoch(2026, month.getValue(), 14, 15, 9, 26));
      }
    }
  }

  @ParameterizedTest
  @CsvSource({
    "time,true",
    "Time [ms],true",
    "Date,true",
    "Uhrzeit,true",
    "elapsed s,true",
    "t,true",
    "seconds,true",
    "temperature,false",
    "core 0,false",
    "sometimes,false"
  })
  void namesOfTimeColumns(String name, boolean time) {
    assertThat(TimeText.named(name)).isEqualTo(time);
  }
}
