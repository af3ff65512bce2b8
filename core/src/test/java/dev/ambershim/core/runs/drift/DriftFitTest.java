package dev.ambershim.core.runs.drift;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

@Tag("slow")
class DriftFitTest {
  /**
   * Annual flow of the Nile at Aswan, 1871 to 1970, 10⁸ m³: Cobb 1978, Biometrika 65, 243, who
   * finds one change after 1898, from a mean of 1097.75 to 849.97. Figures from memory; the means
   * below check them.
   */
  private static final double[] NILE = {
    1120, 1160, 963, 1210, 1160, 1160, 813, 1230, 1370, 1140, 995, 935, 1110, 994, 1020, 960, 1180,
    799, 958, 1140, 1100, 1210, 1150, 1250, 1260, 1220, 1030, 1100, 774, 840, 874, 694, 940, 833,
    701, 916, 692, 1020, 1050, 969, 831, 726, 456, 824, 702, 1120, 1100, 832, 764, 821, 768, 845,
    864, 862, 698, 845, 744, 796, 1040, 759, 781, 865, 845, 944, 984, 897, 822, 1010, 771, 676, 649,
    846, 812, 742, 801, 1040, 860, 874, 848, 890, 744, 749, 838, 1050, 918, 986, 797, 923, 975, 815,
    1020, 906, 901, 1170, 912, 746, 919, 718, 714, 740
  };

  @Test
  void theNileChangedAfter1898() {
    List<Check> years = new ArrayList<>();
    double before = 0;
    double after = 0;
    for (int i = 0; i < NILE.length; i++) {
      years.add(
          new Check(
              LocalDate.of(1971, 1, 1).plusDays(i), NILE[i], 100, "", "", OptionalDouble.empty()));
      before += i < 28 ? NILE[i] / 28 : 0;
      after += i < 28 ? 0 : NILE[i] / 72;
    }
    assertThat(before).isCloseTo(1097.75, within(0.005));
    assertThat(after).isCloseTo(849.97, within(0.005));
    Drift drift = DriftFit.of(years, OptionalDouble.of(100), Scatter.USUAL);
    assertThat(drift.trend()).isEqualTo(Trend.JUMPED);
    assertThat(drift.jumps()).hasSize(1);
    assertThat(drift.jumps().get(0).date()).isEqualTo(LocalDate.of(1971, 1, 1).plusDays(28));
    assertThat(drift.jumps().get(0).kelvin()).isCloseTo(849.97 - 1097.75, within(0.01));
  }

  @ParameterizedTest
  @CsvSource({"0.45, 1", "0.45, 2", "1.5, 1", "0.2, 3"})
  void steadyHistoriesSeldomRaiseAnAlarm(double noise, int mounts) {
    Histories histories = new Histories(20);
    histories.noiseKelvin = noise;
    histories.mounts = mounts;
    int alarms = 0;
    int held = 0;
    int tries = 150;
    for (int i = 0; i < tries; i++) {
      Drift drift = Histories.fit(histories.draw(histories.count(), 1.4));
      alarms += drift.trend() == Trend.CREEPING || drift.trend() == Trend.JUMPED ? 1 : 0;
      held += drift.line().orElseThrow().perYearInterval().contains(0) ? 1 : 0;
    }
    // Stated 5 %, asked for at most 7 %; three standard errors of 150 tries on top.
    assertThat(alarms).isLessThanOrEqualTo((int) (tries * (0.07 + 3 * 0.018)));
    assertThat(held).isGreaterThanOrEqualTo((int) (tries * (0.95 - 3 * 0.018)));
  }

  @Test
  void fourKelvinAYearAreFoundAndTheRateIsHeld() {
    Histories histories = new Histories(21);
    histories.perYear = 4;
    int found = 0;
    int held = 0;
    int dated = 0;
    int tries = 150;
    for (int i = 0; i < tries; i++) {
      List<Check> checks = histories.draw(histories.count(), 1.6);
      Drift drift = Histories.fit(checks);
      found += drift.trend() == Trend.CREEPING ? 1 : 0;
      Line line = drift.line().orElseThrow();
      held += line.perYearInterval().contains(4) ? 1 : 0;
      double level = line.kelvin();
      // The truth meets a limit 4 K over where it stands by its own last rise a year later.
      LocalDate met = drift.last().plusDays(Math.round(365.25));
      dated +=
          Crossing.of(line, drift.last(), level + 4)
                  .filter(
                      c ->
                          !met.isBefore(c.low()) && c.high().map(h -> !met.isAfter(h)).orElse(true))
                  .isPresent()
              ? 1
              : 0;
    }
    assertThat(found).isGreaterThanOrEqualTo((int) (0.95 * tries));
    assertThat(held).isBetween((int) (0.90 * tries), tries - 1);
    assertThat(dated).isGreaterThanOrEqualTo((int) (0.90 * tries));
  }

  @ParameterizedTest
  @CsvSource({"4", "-4"})
  void jumpsAreDatedToTheCheck(double kelvin) {
    Histories histories = new Histories(22);
    histories.jumpKelvin = kelvin;
    int right = 0;
    int held = 0;
    int tries = 100;
    for (int i = 0; i < tries; i++) {
      int count = histories.count();
      histories.jumpAt = histories.between(2, count - 1);
      List<Check> checks = histories.draw(count, 1.4);
      Drift drift = Histories.fit(checks);
      LocalDate truth = checks.get(histories.jumpAt).date();
      if (drift.trend() == Trend.JUMPED
          && drift.jumps().size() == 1
          && drift.jumps().get(0).date().equals(truth)) {
        right++;
        held += drift.jumps().get(0).interval().contains(kelvin) ? 1 : 0;
      }
    }
    assertThat(right).isGreaterThanOrEqualTo((int) (0.94 * tries));
    assertThat(held).isGreaterThanOrEqualTo((int) (0.88 * right));
  }

  @Test
  void theOrderOfTheLinesDoesNotCount() {
    Histories histories = new Histories(23);
    histories.perYear = 3;
    List<Check> checks = histories.draw(12, 1.5);
    List<Check> mixed = new ArrayList<>(checks);
    Collections.shuffle(mixed, new Random(1));
    assertThat(Histories.fit(mixed)).isEqualTo(Histories.fit(checks));
  }

  @Test
  void aStateBeforeIsAnotherJoint() {
    Histories old = new Histories(24);
    old.perYear = 12;
    List<Check> checks = new ArrayList<>();
    for (Check c : old.draw(10, 1)) {
      checks.add(
          new Check(
              c.date().minusYears(2), c.riseKelvin(), c.watts(), "before", "1", c.errorKelvin()));
    }
    for (int i = 0; i < 9; i++) {
      String day = Histories.BEGIN.plusDays(50L * i).toString();
      checks.add(Histories.check(day, 50 + (i % 3 - 1) * 0.3, 145, "after", "1"));
    }
    Drift drift = Histories.fit(checks);
    assertThat(drift.trend()).isEqualTo(Trend.STEADY);
    assertThat(drift.apart(Drift.Reason.OTHER_STATE)).hasSize(10);
    assertThat(drift.states()).containsExactly("after");
  }

  @Test
  void statesWithFewChecksCountTogetherAtLevelsOfTheirOwn() {
    List<Check> checks = new ArrayList<>();
    for (int i = 0; i < 9; i++) {
      double level = i < 5 ? 70 : 50;
      checks.add(
          Histories.check(
              Histories.BEGIN.plusDays(80L * i).toString(),
              level + 8 * 80 * i / 365.25 + (i % 2 == 0 ? 0.2 : -0.2),
              145,
              i < 5 ? "before" : "after",
              "1"));
    }
    Drift drift = Histories.fit(checks);
    assertThat(drift.states()).containsExactly("after", "before");
    assertThat(drift.trend()).isEqualTo(Trend.CREEPING);
    assertThat(drift.line().orElseThrow().perYearInterval().contains(8)).isTrue();
  }

  @Test
  void oneBadCheckIsToldAndLeftOut() {
    List<Check> checks = new ArrayList<>(new Histories(26).draw(12, 1.5));
    Check bad = checks.get(5);
    checks.set(
        5,
        new Check(
            bad.date(), bad.riseKelvin() + 9, bad.watts(), "after", "1", OptionalDouble.empty()));
    Drift drift = Histories.fit(checks);
    assertThat(drift.trend()).isEqualTo(Trend.STEADY);
    assertThat(drift.apart(Drift.Reason.OUTLIER)).hasSize(1);
    assertThat(drift.apart(Drift.Reason.OUTLIER).get(0).check().date()).isEqualTo(bad.date());
    assertThat(drift.apart(Drift.Reason.OUTLIER).get(0).kelvin()).isCloseTo(9, within(2.5));
  }

  @Test
  void aPowerTooFarOffIsNotBroughtOver() {
    List<Check> checks = new ArrayList<>(new Histories(27).draw(9, 1.5));
    checks.add(Histories.check("2025-06-01", 9, 12, "after", "1"));
    Drift drift = Histories.fit(checks);
    assertThat(drift.apart(Drift.Reason.OTHER_POWER)).hasSize(1);
    assertThat(drift.used()).hasSize(9);
  }

  /** Fans that were set slower would look like age; those checks do not count. */
  @Test
  void checksAtAnotherFanSpeedStandApart() {
    List<Check> checks = new ArrayList<>();
    for (int i = 0; i < 12; i++) {
      boolean slow = i < 4;
      checks.add(
          new Check(
              Histories.BEGIN.plusDays(45L * i),
              (slow ? 66 : 60) + (i % 2 == 0 ? 0.2 : -0.2),
              145,
              "after",
              "1",
              OptionalDouble.empty(),
              i == 7 ? OptionalDouble.empty() : OptionalDouble.of(slow ? 700 : 1000 + 5 * i),
              OptionalDouble.of(2800)));
    }
    Drift drift = Histories.fit(checks);
    assertThat(drift.apart(Drift.Reason.OTHER_COOLING)).hasSize(4);
    assertThat(drift.used()).hasSize(8);
    assertThat(drift.trend()).isEqualTo(Trend.STEADY);
    assertThat(Math.abs(drift.grown())).isLessThan(1);
  }

  @Test
  void fewChecksCannotTell() {
    List<Check> one = List.of(Histories.check("2025-03-01", 60, 145, "after", "1"));
    assertThat(Histories.fit(one).trend()).isEqualTo(Trend.CANNOT_TELL);
    assertThat(Histories.fit(one).line()).isEmpty();
    List<Check> two = new ArrayList<>(one);
    two.add(Histories.check("2026-03-01", 66, 145, "after", "1"));
    Drift drift = Histories.fit(two);
    assertThat(drift.trend()).isEqualTo(Trend.CANNOT_TELL);
    assertThat(drift.line().orElseThrow().perYear()).isCloseTo(6, within(0.01));
    // Two checks with a scatter of hypot(0.3, 0.35) each: 0.65 K, times 1.96.
    assertThat(drift.line().orElseThrow().perYearInterval().width() / 2)
        .isCloseTo(1.96 * Math.hypot(0.3, 0.35) * Math.sqrt(2), within(0.01));
    List<Check> sameDay = new ArrayList<>();
    for (int i = 0; i < 7; i++) {
      sameDay.add(Histories.check("2025-03-01", 60 + 0.1 * i, 145, "after", "1"));
    }
    assertThat(Histories.fit(sameDay).trend()).isEqualTo(Trend.CANNOT_TELL);
    assertThat(Histories.fit(sameDay).line()).isEmpty();
  }

  @Test
  void aWorseMountIsNoJump() {
    List<Check> checks = new ArrayList<>();
    for (int i = 0; i < 14; i++) {
      checks.add(
          Histories.check(
              Histories.BEGIN.plusDays(30L * i).toString(),
              60 + (i >= 7 ? 1.0 : 0) + (i % 3 - 1) * 0.3,
              145,
              "after",
              i >= 7 ? "2" : "1"));
    }
    assertThat(Histories.fit(checks).jumps()).isEmpty();
    assertThat(Histories.fit(checks).trend()).isEqualTo(Trend.STEADY);
    assertThat(Histories.fit(checks).remounts()).isEmpty();
    // A mount that is worse by far is told as such, and still no jump.
    List<Check> worse =
        checks.stream()
            .map(
                c ->
                    new Check(
                        c.date(),
                        c.riseKelvin() + (c.mount().equals("2") ? 4 : 0),
                        c.watts(),
                        c.state(),
                        c.mount(),
                        c.errorKelvin()))
            .toList();
    Drift drift = Histories.fit(worse);
    assertThat(drift.jumps()).isEmpty();
    assertThat(drift.remounts()).hasSize(1);
    assertThat(drift.remounts().get(0).date()).isEqualTo(checks.get(7).date());
    assertThat(drift.remounts().get(0).kelvin()).isCloseTo(5, within(0.3));
  }

  @Test
  void everyMountOnlyOnceStillTellsADrift() {
    Histories histories = new Histories(28);
    histories.perYear = 6;
    histories.mounts = 12;
    Drift drift = Histories.fit(histories.draw(12, 2));
    assertThat(drift.trend()).isEqualTo(Trend.CREEPING);
    assertThat(drift.line().orElseThrow().perYearInterval().contains(6)).isTrue();
  }

  @Test
  void twoThousandChecksAreWorkedOut() {
    List<Check> checks = new ArrayList<>();
    Random random = new Random(3);
    for (int i = 0; i < 2000; i++) {
      checks.add(
          Histories.check(
              LocalDate.of(2020, 1, 1).plusDays(i).toString(),
              60 + 1.0 * i / 365.25 + 0.4 * random.nextGaussian(),
              145,
              "",
              ""));
    }
    Drift drift = Histories.fit(checks);
    assertThat(drift.trend()).isEqualTo(Trend.CREEPING);
    assertThat(drift.line().orElseThrow().perYear()).isCloseTo(1, within(0.05));
  }
}
