package dev.ambershim.core.base;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalTime;
import java.time.ZonedDateTime;
import java.util.Locale;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Figures as people write them. Factors are exact by definition (NIST SP 811, appendix B). */
class NotationTest {
  private static final Notation CUSTOMARY = new Notation(true, true, false, true);
  private static final Notation COMMA = new Notation(false, false, true, false);

  @Test
  void metricAndCustomary() {
    assertThat(Notation.METRIC.text(2.35, Unit.MILLIMETRE)).isEqualTo("2.4 mm");
    assertThat(CUSTOMARY.text(25.4, Unit.MILLIMETRE)).isEqualTo("1.000 in");
    assertThat(CUSTOMARY.text(25.4, Unit.MICROMETRE)).isEqualTo("1.00 thou");
    assertThat(CUSTOMARY.text(100, Unit.CELSIUS)).isEqualTo("212.0 °F");
    assertThat(CUSTOMARY.text(10, Unit.KELVIN)).isEqualTo("18.0 °F diff.");
    assertThat(CUSTOMARY.text(160, Unit.WATT)).isEqualTo("160 W");
    assertThat(COMMA.text(11.84, Unit.KELVIN)).isEqualTo("11,8 K");
  }

  @Test
  void signsAndNothing() {
    assertThat(Notation.METRIC.text(-3.25, Unit.KELVIN)).startsWith("−3.");
    assertThat(Notation.METRIC.text(-0.04, Unit.KELVIN)).isEqualTo("0.0 K");
    assertThat(Notation.METRIC.text(Double.NaN, Unit.KELVIN)).isEqualTo("– K");
    assertThat(Notation.METRIC.range(new Interval(-1.26, 2.5, 0.95), Unit.KELVIN))
        .isEqualTo("−1.3 to 2.5");
  }

  @Test
  void digitsThatCount() {
    assertThat(Notation.METRIC.significant(0.08713)).isEqualTo("0.08713");
    assertThat(Notation.METRIC.significant(61.043)).isEqualTo("61.04");
    assertThat(Notation.METRIC.significant(4700)).isEqualTo("4700");
    assertThat(Notation.METRIC.significant(0)).isEqualTo("0.000");
  }

  @Property
  void whatIsShownForEditingIsReadBack(
      @ForAll @DoubleRange(min = -500, max = 5000) double value,
      @ForAll boolean inches,
      @ForAll boolean fahrenheit,
      @ForAll boolean comma,
      @ForAll Unit unit) {
    Notation n = new Notation(inches, fahrenheit, comma, false);
    double back = n.read(n.editable(value, unit), unit, "field");
    // The coarsest editor keeps two decimals of a watt, or four of an inch.
    assertThat(back).isCloseTo(value, within(0.006));
  }

  @ParameterizedTest
  @ValueSource(strings = {"12.5", "12,5", " 12.5 ", "12.5 mm", "12.5mm"})
  void bothMarksAndTheUnitAreUnderstood(String typed) {
    assertThat(Notation.METRIC.read(typed, Unit.MILLIMETRE, "f")).isEqualTo(12.5);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "abc", "12 mm 5", "1.2.3", "NaN", "Infinity", "0x10", "1d"})
  void nonsenseNamesTheFieldAndTheRemedy(String typed) {
    assertThatThrownBy(() -> Notation.METRIC.read(typed, Unit.MILLIMETRE, "lid width"))
        .isInstanceOf(Problem.class)
        .hasMessageStartingWith("lid width: ")
        .hasMessageContaining("Type a figure such as 12.5 in mm");
  }

  @Test
  void intervalsKnowTheirEnds() {
    Interval i = Interval.around(5, 2, 0.95);
    assertThat(i.contains(3)).isTrue();
    assertThat(i.contains(7.001)).isFalse();
    assertThat(i.negated().low()).isEqualTo(-7);
    assertThatThrownBy(() -> new Interval(2, 1, 0.9)).isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Interval(Double.NaN, 1, 0.9))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void timesOfDayAndLengthsOfTimeAreWritten() {
    assertThat(Notation.METRIC.time(LocalTime.of(6, 5))).isEqualTo("06:05");
    assertThat(CUSTOMARY.time(LocalTime.of(0, 30))).isEqualTo("12:30 am");
    assertThat(CUSTOMARY.time(LocalTime.of(12, 0))).isEqualTo("12:00 pm");
    assertThat(CUSTOMARY.time(LocalTime.of(18, 5))).isEqualTo("6:05 pm");
    assertThat(Notation.METRIC.moment(ZonedDateTime.parse("2026-06-16T09:40:00Z")))
        .isEqualTo("Tue 16 June, 09:40");
    assertThat(Notation.minutes(45.4)).isEqualTo("45 min");
    assertThat(Notation.minutes(200)).isEqualTo("3 h 20 min");
    assertThat(Notation.minutes(120)).isEqualTo("2 h");
    assertThat(Notation.minutes(-5)).isEqualTo("−5 min");
    assertThat(Notation.minutes(3 * 1440 + 250)).isEqualTo("3 d 4 h");
  }

  @Test
  void moneyHasThePersonsSign() {
    Notation krona = new Notation(false, false, true, false, " kr ");
    assertThat(krona.text(12, Unit.COIN)).isEqualTo("12 kr");
    assertThat(krona.read("12 kr", Unit.COIN, "price")).isEqualTo(12);
    // Without a sign there is the usual one, and a long one is cut.
    assertThat(new Notation(false, false, false, false, " ").currency()).isEqualTo("€");
    assertThat(new Notation(false, false, false, false, "talents").currency()).isEqualTo("talen");
  }

  /** The double's exact value, rounded half to even, by the JDK's decimals. */
  private static String exact(double value, int decimals) {
    BigDecimal rounded = new BigDecimal(value).setScale(decimals, RoundingMode.HALF_EVEN);
    return (rounded.signum() == 0 ? rounded.abs() : rounded).toPlainString().replace('-', '−');
  }

  @Property
  void aFigureIsItsExactValueRounded(
      @ForAll @DoubleRange(min = -2e9, max = 2e9) double large,
      @ForAll @DoubleRange(min = -20, max = 20) double small,
      @ForAll @IntRange(max = 6) int decimals) {
    // Halves and eighths lie between two figures.
    for (double value : new double[] {large, small, Math.rint(8 * small) / 8, small / 1e6}) {
      assertThat(Notation.METRIC.fixed(value, decimals)).isEqualTo(exact(value, decimals));
    }
  }

  /** CLDR's data as the JDK has them. */
  @Test
  void peopleOfACountryBeginWithWhatTheyWrite() {
    assertThat(Notation.of(Locale.GERMANY)).isEqualTo(new Notation(false, false, true, false, "€"));
    assertThat(Notation.of(Locale.US)).isEqualTo(new Notation(false, false, false, true, "$"));
    assertThat(Notation.of(Locale.UK)).isEqualTo(new Notation(false, false, false, false, "£"));
    assertThat(Notation.of(new Locale("pl", "PL")).currency()).isEqualTo("zł");
    assertThat(Notation.of(Locale.ENGLISH)).isEqualTo(Notation.METRIC);
    assertThat(Notation.of(Locale.ROOT)).isEqualTo(Notation.METRIC);
  }
}
