package dev.ambershim.core.stage.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.runs.causes.CauseKind;
import dev.ambershim.core.stage.diagnosis.Suspect.Seat;
import dev.ambershim.core.stage.diagnosis.Suspect.Stray;
import dev.ambershim.core.stage.practise.HiddenChip;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What is suspected before any evidence. */
class SuspectsTest {
  private static final StackModel LIDDED =
      new StackModel(
          HiddenChip.drawn(5, CauseKind.AS_IT_SHOULD_BE, 4, true, false).believed(),
          SolveWatch.NONE);
  private static final StackModel BARE =
      new StackModel(
          HiddenChip.drawn(5, CauseKind.AS_IT_SHOULD_BE, 4, false, false).believed(),
          SolveWatch.NONE);
  private static final boolean[] ALL_READ = {true, true, true, true};

  private static Map<CauseKind, Double> priors(List<Suspect> suspects) {
    Map<CauseKind, Double> all = new EnumMap<>(CauseKind.class);
    suspects.forEach(s -> all.merge(s.kind(), s.prior(), Double::sum));
    return all;
  }

  @Test
  void theCausesPriorsSumToOne() {
    double sum = 0;
    for (CauseKind kind : CauseKind.values()) {
      sum += kind.prior();
    }
    assertThat(sum).isCloseTo(1, within(1e-12));
  }

  @Test
  void everyCauseIsSpreadOverItsSuspectsAndNothingIsLost() {
    for (StackModel model : List.of(LIDDED, BARE)) {
      for (boolean turned : new boolean[] {false, true}) {
        List<Integer> mounts = turned ? List.of(1, 2) : List.of(1);
        List<Suspect> alone = Suspects.alone(model, mounts, turned, 0.3);
        Map<CauseKind, Double> priors = priors(alone);
        for (CauseKind kind :
            List.of(
                CauseKind.AS_IT_SHOULD_BE,
                CauseKind.TOO_THICK,
                CauseKind.TILTED,
                CauseKind.GAP,
                CauseKind.COOLER_WEAK)) {
          assertThat(priors.get(kind)).as("%s", kind).isCloseTo(kind.prior(), within(1e-9));
        }
      }
    }
  }

  @Test
  void whatStraysAloneHasItsPriorToo() {
    Suspect plain = Suspects.alone(LIDDED, List.of(1), false, 0.5).get(0);
    assertThat(plain.kind()).isEqualTo(CauseKind.AS_IT_SHOULD_BE);
    Map<CauseKind, Double> priors = priors(Suspects.beside(plain, ALL_READ));
    for (CauseKind kind :
        List.of(
            CauseKind.COOLANT_WARM,
            CauseKind.SENSOR_OFF,
            CauseKind.CORE_DRAWS_MORE,
            CauseKind.NONE_OF_THESE)) {
      assertThat(priors.get(kind)).as("%s", kind).isCloseTo(kind.prior(), within(1e-9));
    }
  }

  @Test
  void aCoreWithoutASensorHasNoSensorThatIsOff() {
    Suspect plain = Suspects.alone(LIDDED, List.of(1), false, 0.5).get(0);
    List<Suspect> beside = Suspects.beside(plain, new boolean[] {true, false, true, false});
    assertThat(beside)
        .filteredOn(s -> s.stray() == Stray.SENSOR_HIGH)
        .extracting(Suspect::core)
        .containsExactly(0, 2);
    assertThat(beside).filteredOn(s -> s.stray() == Stray.POWER).hasSize(4);
  }

  @Test
  void pairsAreRarerThanEitherAlone() {
    List<Suspect> alone = Suspects.alone(LIDDED, List.of(1), false, 0.5);
    Suspect thick =
        alone.stream().filter(s -> s.kind() == CauseKind.TOO_THICK).findFirst().orElseThrow();
    for (Suspect pair : Suspects.beside(thick, ALL_READ)) {
      assertThat(pair.pair()).isTrue();
      assertThat(pair.kind()).isEqualTo(CauseKind.TOO_THICK);
      assertThat(pair.prior()).isLessThan(0.1 * thick.prior());
    }
  }

  @Test
  void aMakersJointIsSeldomCrooked() {
    List<Suspect> alone = Suspects.alone(LIDDED, List.of(1), false, 0.05);
    double inner =
        alone.stream()
            .filter(s -> s.kind() == CauseKind.TILTED && s.shape().joint() == 0)
            .mapToDouble(Suspect::prior)
            .sum();
    assertThat(inner).isCloseTo(0.05 * CauseKind.TILTED.prior(), within(1e-9));
  }

  @Test
  void gapsLieWhereTheyMatter() {
    Patch die = LIDDED.die();
    Patch inner = LIDDED.joint(0).bounds();
    for (Suspect s : Suspects.alone(LIDDED, List.of(1), false, 0.5)) {
      if (s.kind() == CauseKind.GAP) {
        double over = s.shape().joint() == 1 ? 2 : 0;
        assertThat(Math.abs(s.shape().at()[0]))
            .isLessThanOrEqualTo(die.widthMillimetres() / 2 + over);
        if (s.shape().joint() == 0) {
          assertThat(Math.abs(s.shape().at()[1])).isLessThanOrEqualTo(inner.depthMillimetres() / 2);
        }
      }
    }
  }

  @Test
  void aSeatSaysWhichMountsShowAShape() {
    Shape tilt = new Shape(Shape.Form.PLANE, 1, new double[] {1, 1, 0}, new double[3]);
    Suspect turning = new Suspect(CauseKind.TILTED, tilt, Seat.TURNING, Stray.NOTHING, -1, 0.1);
    assertThat(turning.at(2, 180).degrees()).isEqualTo(180);
    assertThat(turning.sitting(Seat.ALL).at(2, 180).degrees()).isZero();
    Suspect only = turning.sitting(Seat.only(1));
    assertThat(only.at(1, 0).shape()).isEqualTo(tilt);
    assertThat(only.at(2, 0).shape()).isEqualTo(Shape.NONE);
    assertThatThrownBy(() -> new Suspect(CauseKind.TILTED, tilt, Seat.ALL, Stray.NOTHING, -1, 0))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void aTiltedJointIsNowhereThinnerThanItsLowEdge() {
    for (Suspect s : Suspects.alone(BARE, List.of(1), false, 0)) {
      if (s.kind() == CauseKind.TILTED && s.shape().at()[0] > 0) {
        double least = Double.POSITIVE_INFINITY;
        for (double u : new double[] {-1, 1}) {
          for (double v : new double[] {-1, 1}) {
            least = Math.min(least, s.shape().extra(u * 5, v * 5, 5, 5));
          }
        }
        assertThat(least).isCloseTo(0, within(1e-9));
      }
    }
  }
}
