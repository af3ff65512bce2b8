package dev.ambershim.core.stage.practise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.physics.conduction.StackRules;
import dev.ambershim.core.runs.causes.CauseKind;
import dev.ambershim.core.runs.causes.Trial;
import dev.ambershim.core.stage.diagnosis.CaseReading;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Chips with something hidden: what was hidden shows where it should, and nowhere else. */
@Tag("slow")
class HiddenChipTest {
  private static HiddenChip chip(CauseKind kind) {
    return HiddenChip.drawn(77, kind, 8, true, false);
  }

  private static double mean(CaseReading r) {
    return r.coreCelsius().values().stream().mapToDouble(c -> c).average().orElseThrow()
        - r.coolantCelsius().getAsDouble();
  }

  private static double watts(CaseReading r) {
    return r.watts().values().stream().mapToDouble(w -> w).sum();
  }

  @ParameterizedTest
  @EnumSource(value = CauseKind.class, mode = EnumSource.Mode.EXCLUDE, names = "NONE_OF_THESE")
  void everyFaultMakesAChipThatCanBe(CauseKind kind) {
    HiddenChip chip = chip(kind);
    StackRules.check(chip.believed());
    assertThat(chip.truth().kind()).isEqualTo(kind);
    assertThat(chip.truth().joint().isPresent()).isEqualTo(kind.inJoint());
    CaseReading all = chip.allCores();
    assertThat(all.coreCelsius()).hasSize(8);
    assertThat(mean(all)).isBetween(10.0, 140.0);
    assertThat(chip.readings(Trial.ONE_BY_ONE)).hasSize(8);
    chip.with(List.of(all)).check();
  }

  @Test
  void aWarmLoopWarmsTheCoolantAndAWeakFilmDoesNot() {
    CaseReading sound = chip(CauseKind.AS_IT_SHOULD_BE).allCores();
    CaseReading warm = chip(CauseKind.COOLANT_WARM).allCores();
    CaseReading weak = chip(CauseKind.COOLER_WEAK).allCores();
    double usual = lift(sound);
    assertThat(lift(warm)).isGreaterThan(1.5 * usual);
    assertThat(lift(weak)).isCloseTo(usual, within(0.3 * usual));
    assertThat(mean(weak) / watts(weak)).isGreaterThan(1.05 * mean(sound) / watts(sound));
  }

  private static double lift(CaseReading r) {
    return (r.coolantCelsius().getAsDouble() - r.roomCelsius().getAsDouble()) / watts(r);
  }

  @Test
  void aSensorThatIsOffIsOffAtIdleToo() {
    HiddenChip chip = chip(CauseKind.SENSOR_OFF);
    Map<String, Double> idle = chip.readings(Trial.IDLE).get(0).coreCelsius();
    double others =
        idle.values().stream().mapToDouble(c -> c).sorted().skip(2).limit(4).average().orElse(0);
    String core = "core " + chip.truth().core();
    assertThat(Math.abs(idle.get(core) - others)).isGreaterThan(3);
  }

  @Test
  void aTiltTurnsWithTheCoolerAndGoesWithFreshPaste() {
    long seed = 0;
    HiddenChip chip = HiddenChip.drawn(seed, CauseKind.TILTED, 8, false, false);
    String joint = chip.outermost();
    double left = chip.thickness(joint, -4, 0);
    double right = chip.thickness(joint, 4, 0);
    double back = chip.thickness(joint, 0, 6);
    double front = chip.thickness(joint, 0, -6);
    CaseReading straight = chip.allCores();
    CaseReading turned = chip.readings(Trial.TURN).get(0);
    CaseReading again = chip.readings(Trial.REMOUNT).get(0);
    assertThat(turned.turnedDegrees()).isEqualTo(180);
    assertThat(turned.mount()).isNotEqualTo(again.mount());
    assertThat(mean(again)).isLessThan(mean(straight) - 1);
    assertThat(mean(turned)).isCloseTo(mean(straight), within(0.2 * mean(straight)));
    // The cores over the thick side are the hotter ones, and the cooler ones once it is turned.
    boolean alongY = Math.abs(back - front) > Math.abs(right - left);
    double before = alongY ? backLessFront(straight) : rightLessLeft(straight);
    double after = alongY ? backLessFront(turned) : rightLessLeft(turned);
    double slope = alongY ? back - front : right - left;
    assertThat(Math.signum(before - after)).isEqualTo(Math.signum(slope));
  }

  /** Cores lie in two columns, rows from the front. */
  private static double backLessFront(CaseReading r) {
    double sum = 0;
    for (int c = 0; c < 8; c++) {
      sum += (c < 4 ? -1 : 1) * r.coreCelsius().get("core " + c);
    }
    return sum;
  }

  private static double rightLessLeft(CaseReading r) {
    double sum = 0;
    for (int c = 0; c < 8; c++) {
      sum += (c % 2 == 0 ? -1 : 1) * r.coreCelsius().get("core " + c);
    }
    return sum;
  }

  @Test
  void signsShowMoreOftenUnderTheirCause() {
    Map<CauseKind, Integer> seen = new EnumMap<>(CauseKind.class);
    for (CauseKind kind : List.of(CauseKind.AS_IT_SHOULD_BE, CauseKind.COOLER_WEAK)) {
      HiddenChip chip = HiddenChip.drawn(9, kind, 4, false, true);
      int count = 0;
      for (int i = 0; i < 400; i++) {
        count += chip.sign(Trial.PUMP).orElseThrow().fine() ? 0 : 1;
      }
      seen.put(kind, count);
    }
    // Two signs at 6 against 100 for none; under a weak cooler at 8 and 6 times that against 60.
    assertThat(seen.get(CauseKind.AS_IT_SHOULD_BE) / 400.0).isCloseTo(0.12 / 1.12, within(0.06));
    assertThat(seen.get(CauseKind.COOLER_WEAK) / 400.0).isCloseTo(0.84 / 1.44, within(0.09));
    assertThat(HiddenChip.drawn(9, CauseKind.GAP, 4, false, true).sign(Trial.IDLE)).isEmpty();
  }

  @Test
  void wholeDegreesAreWhole() {
    HiddenChip.drawn(3, CauseKind.GAP, 4, false, true)
        .allCores()
        .coreCelsius()
        .values()
        .forEach(c -> assertThat(c).isEqualTo(Math.rint(c)));
  }
}
