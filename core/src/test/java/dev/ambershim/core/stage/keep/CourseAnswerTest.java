package dev.ambershim.core.stage.keep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.runs.drift.Check;
import dev.ambershim.core.runs.drift.Scatter;
import dev.ambershim.core.runs.drift.Trend;
import dev.ambershim.core.runs.everyday.Everyday;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.IntToDoubleFunction;
import org.junit.jupiter.api.Test;

class CourseAnswerTest {
  private static final LocalDate BEGIN = LocalDate.of(2025, 3, 1);
  private static final double[] WOBBLE = {
    0.2, -0.3, 0.1, 0.25, -0.15, -0.2, 0.3, -0.1, 0.05, -0.15
  };

  private static List<Check> checks(int count, int everyDays, IntToDoubleFunction rise) {
    List<Check> checks = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      checks.add(
          new Check(
              BEGIN.plusDays((long) i * everyDays),
              rise.applyAsDouble(i) + WOBBLE[i % WOBBLE.length],
              145,
              "after",
              "1",
              OptionalDouble.empty()));
    }
    return checks;
  }

  private static CourseAnswer told(List<Check> checks, Double limit, KeepCase.Expected expected) {
    return CourseAnswer.of(
        new KeepCase(
            checks,
            OptionalDouble.empty(),
            Optional.ofNullable(limit).map(c -> new Limit(c, 22)),
            Scatter.USUAL,
            Optional.ofNullable(expected)),
        Notation.METRIC);
  }

  @Test
  void steady() {
    CourseAnswer answer = told(checks(10, 45, i -> 60), 95.0, null);
    assertThat(answer.sentence()).startsWith("It runs as on the first day: ").endsWith("at 145 W.");
    assertThat(answer.reasons())
        .startsWith(
            "95.0 °C is not likely to come within 10 years.", "Opening it would gain nothing.");
    assertThat(answer.reopen()).isEmpty();
    assertThat(told(checks(10, 45, i -> 60), 80.0, null).reasons())
        .startsWith(
            "The cores stand at 80.0 °C already.",
            "It does not age, so the same joint made anew would not change that; see Weigh.");
    assertThat(answer.finding().orElseThrow().interval().orElseThrow().contains(0)).isTrue();
  }

  @Test
  void creeping() {
    CourseAnswer answer = told(checks(12, 45, i -> 60 + i * 45 * 5 / 365.25), 95.0, null);
    assertThat(answer.sentence())
        .matches("It gets hotter by [45]\\.\\d K a year \\(.*\\) at 145 W\\.");
    assertThat(answer.reopen()).isPresent();
    assertThat(answer.reasons().get(0))
        .matches("95\\.0 °C comes about \\w+ 20\\d\\d: not before .*");
    assertThat(answer.reasons().get(1)).contains("causes before you open it");
    CourseAnswer falling = told(checks(12, 45, i -> 60 - i * 45 * 5 / 365.25), null, null);
    assertThat(falling.sentence()).startsWith("It gets cooler by ").doesNotContain("−");
    assertThat(falling.reasons().get(0)).contains("Nothing needs doing");
  }

  @Test
  void jumped() {
    CourseAnswer answer = told(checks(10, 30, i -> i < 6 ? 60 : 65), 84.0, null);
    assertThat(answer.sentence())
        .matches(
            "It got 5\\.\\d K hotter \\(.*\\) between the checks of 29 July 2025 and 28 August 2025\\.");
    assertThat(answer.reasons().get(0)).isEqualTo("The cores stand at 84.0 °C already.");
    assertThat(answer.notes()).anyMatch(n -> n.startsWith("Besides that, it drifts by "));
    CourseAnswer twice = told(checks(15, 30, i -> i < 5 ? 60 : i < 10 ? 66 : 58), null, null);
    assertThat(twice.sentence()).matches("It got [78]\\.\\d K cooler .* as well\\.");
    assertThat(twice.notes())
        .filteredOn(n -> n.contains("hotter") || n.contains("cooler"))
        .hasSize(2);
  }

  @Test
  void cannotTell() {
    assertThat(told(checks(1, 30, i -> 60), null, null).sentence())
        .isEqualTo("One check cannot tell whether it ages; 5 can.");
    assertThat(told(checks(3, 30, i -> 60), null, null).sentence())
        .isEqualTo("Too few checks to tell whether it ages: 3 so far, and 5 are needed.");
    CourseAnswer brief = told(checks(6, 3, i -> 60), null, null);
    assertThat(brief.sentence()).contains("cannot tell whether it ages: a drift of −");
    assertThat(brief.reasons().get(0)).startsWith("Add a check");
  }

  @Test
  void whatIsLeftOutIsSaid() {
    List<Check> checks = new ArrayList<>(checks(10, 45, i -> i == 4 ? 72 : 60));
    checks.add(new Check(BEGIN.plusDays(7), 5, 10, "after", "1", OptionalDouble.empty()));
    checks.add(new Check(BEGIN.minusDays(9), 80, 140, "before", "1", OptionalDouble.empty()));
    CourseAnswer answer = told(checks, null, null);
    assertThat(answer.notes())
        .anyMatch(n -> n.startsWith("The check of 28 August 2025 stands 1"))
        .contains(
            "One check does not count, as it is of other states; those had other joints.",
            "One check does not count, as it is at a power too far from the others to be compared.");
  }

  /** Few checks of a joint that is known to creep take its prior; many outweigh it. */
  @Test
  void ownChecksOutweighWhatSuchJointsDo() {
    KeepCase.Expected fast = new KeepCase.Expected(6, 1);
    assertThat(told(checks(6, 20, i -> 60), 95.0, null).reopen()).isEmpty();
    assertThat(told(checks(6, 20, i -> 60), 95.0, fast).reopen()).isPresent();
    assertThat(told(checks(40, 30, i -> 60), 95.0, fast).reopen()).isEmpty();
  }

  @Test
  void aJumpIsTheFigureWhereTheSentenceTellsIt() {
    Finding jump = told(checks(10, 30, i -> i < 6 ? 60 : 65), null, null).finding().orElseThrow();
    assertThat(jump.key()).isEqualTo("keep.jump");
    assertThat(jump.value()).isCloseTo(5, within(0.3));
    assertThat(jump.unit()).isEqualTo(Unit.KELVIN);
    Finding drift = told(checks(10, 45, i -> 60), null, null).finding().orElseThrow();
    assertThat(drift.key()).isEqualTo("keep.drift");
    assertThat(drift.unit()).isEqualTo(Unit.KELVIN_PER_YEAR);
  }

  /** One check of its own may be a jump or a bad reading. */
  @Test
  void theNewestCheckIsAskedForAgain() {
    CourseAnswer answer = told(checks(10, 45, i -> i == 9 ? 72 : 60), 95.0, null);
    assertThat(answer.drift().trend()).isEqualTo(Trend.CANNOT_TELL);
    assertThat(answer.sentence())
        .matches("The newest check reads 1[12]\\.\\d K more than all before it\\.");
    assertThat(answer.reasons().get(0)).startsWith("Make another one now");
    assertThat(answer.reopen()).isEmpty();
    assertThat(answer.reasons()).noneMatch(r -> r.contains("95.0 °C"));
  }

  /** The slope of a day's checks is open by hundreds of kelvin a year; no joint does that. */
  @Test
  void checksOfOneDayGiveNoDate() {
    CourseAnswer answer = told(checks(7, 1, i -> 60), 95.0, null);
    assertThat(answer.drift().trend()).isEqualTo(Trend.CANNOT_TELL);
    assertThat(answer.reopen()).isEmpty();
  }

  /** What was made up without noise is no narrower than what can be read. */
  @Test
  void checksWithoutNoiseKeepAnInterval() {
    List<Check> exact = new ArrayList<>();
    for (int i = 0; i < 9; i++) {
      exact.add(new Check(BEGIN.plusDays(60L * i), 60, 145, "after", "1", OptionalDouble.empty()));
    }
    CourseAnswer answer = told(exact, null, null);
    assertThat(answer.drift().trend()).isEqualTo(Trend.STEADY);
    assertThat(answer.drift().jumps()).isEmpty();
    assertThat(answer.drift().line().orElseThrow().perYearInterval().width()).isGreaterThan(0.02);
  }

  @Test
  void aLimitInTheRoomIsNone() {
    assertThatThrownBy(() -> new Limit(22, 22)).isInstanceOf(Problem.class);
    assertThatThrownBy(() -> new Limit(400, 22)).hasMessageContaining("no limit for cores");
    assertThat(new Limit(90, 22).riseKelvin()).isEqualTo(68);
    assertThatThrownBy(() -> new Limit(90, 22, 80, 0, 0)).hasMessageContaining("clock or noise");
    assertThatThrownBy(() -> new Limit(90, 22, 0, 31, 0)).isInstanceOf(Problem.class);
  }

  @Test
  void ordinaryUseInWords() {
    Everyday usable =
        new Everyday(
            0.4,
            new Interval(0.396, 0.404, 0.95),
            Everyday.Use.USABLE,
            88,
            60,
            55,
            Everyday.RoomKnown.LOGGED,
            Optional.of(new Everyday.Quick(0.21, 0.002)));
    assertThat(EverydayWords.finding(usable, Notation.METRIC).sentence())
        .isEqualTo("The resistance from the cores to the room is 0.400 K/W (0.396 to 0.404).");
    assertThat(EverydayWords.why(usable, Notation.METRIC))
        .isEqualTo("The power moved by 88 W over 55 min, which tells the resistance to 1.0 %.");
    assertThat(EverydayWords.finding(usable, Notation.METRIC).working().inputs())
        .anyMatch(i -> i.name().equals("of it within 10 s") && i.value() == 0.21);
    Everyday brief =
        new Everyday(
            Double.NaN,
            new Interval(Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY, 0.95),
            Everyday.Use.TOO_SHORT,
            3,
            60,
            4,
            Everyday.RoomKnown.GUESSED,
            Optional.empty());
    assertThat(EverydayWords.finding(brief, Notation.METRIC).sentence())
        .isEqualTo("These logs tell no resistance.");
    assertThat(EverydayWords.why(brief, Notation.METRIC))
        .startsWith("4 min of log are too few.")
        .endsWith("give it.");
  }

  /**
   * By hand: at 0.9 of the clock 0.81 of the heat, so a rise of 68 K then is one of 84 K now. 5 dB
   * are 1.259 of the fan's speed and 0.871 of the cooler's 30 K, so 3.87 K more.
   */
  @Test
  void clockAndNoiseThatAreGivenUpPutTheLimitHigher() {
    assertThat(new Limit(90, 22, 10, 0, 30).riseKelvin()).isCloseTo(83.95, within(0.01));
    assertThat(new Limit(90, 22, 0, 5, 30).riseKelvin()).isCloseTo(71.87, within(0.01));
    assertThat(new Limit(90, 22, 10, 5, 30).words(Notation.METRIC))
        .isEqualTo("90.0 °C at 10.0 % less clock and with fans 5.0 dB louder");
    assertThat(new Limit(90, 22).words(Notation.METRIC)).isEqualTo("90.0 °C");
    // 68 / 0.9^1.2 and 68 / 0.9^2.8.
    assertThat(new Limit(90, 22, 10, 0, 30).doubt(Notation.METRIC).orElseThrow())
        .contains("a rise of 77.2 K to 91.3 K.");
    assertThat(new Limit(90, 22, 0, 5, 30).doubt(Notation.METRIC)).isEmpty();
  }
}
