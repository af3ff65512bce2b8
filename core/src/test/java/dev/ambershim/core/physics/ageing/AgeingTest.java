package dev.ambershim.core.physics.ageing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.dosing.CoatTerms;
import dev.ambershim.core.physics.dosing.MetalFace;
import dev.ambershim.core.physics.dosing.MetalPlace;
import dev.ambershim.core.physics.material.Filling;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class AgeingTest {
  private static final Chip CHIP = StartingPoint.DESKTOP_ONE_DIE_PASTE.chip("Sedge Q4");

  @ParameterizedTest
  @EnumSource(Filling.class)
  void everyFillingHasOne(Filling filling) {
    for (MetalFace face : MetalFace.values()) {
      Ageing ageing = Ageing.of(filling, face);
      assertThat(ageing.sharePerYear()).isBetween(0.0, 0.3);
      assertThat(ageing.deviation()).isPositive();
    }
  }

  /** Common practice: bare copper takes metal up, nickel hardly; solder stays. */
  @Test
  void copperAgesFasterThanNickel() {
    assertThat(Ageing.of(Filling.LIQUID_METAL, MetalFace.COPPER).sharePerYear())
        .isGreaterThan(Ageing.of(Filling.LIQUID_METAL, MetalFace.NICKEL).sharePerYear());
    assertThat(Ageing.of(Filling.LIQUID_METAL, MetalFace.GOLD).sharePerYear())
        .isGreaterThan(Ageing.of(Filling.LIQUID_METAL, MetalFace.COPPER).sharePerYear());
    assertThat(Ageing.of(Filling.SOLDER, MetalFace.NICKEL).sharePerYear()).isZero();
  }

  @Test
  void eachJointCountsByItsShareOfTheRise() {
    double die = CHIP.dies().get(0).areaSquareMillimetres();
    Build bare = new Build(false, 0, Joint.usual(Filling.SOLDER), Joint.usual(Filling.PASTE));
    Ageing paste = Ageing.of(Filling.PASTE, MetalFace.NICKEL);
    Ageing told = Ageing.kelvinPerYear(CHIP, bare, CoatTerms.USUAL, 100);
    // 50 µm at 5 W/m·K are 10 mm²·K/W; times 100 W over the die.
    assertThat(told.sharePerYear()).isCloseTo(paste.sharePerYear() * 100 * 10 / die, within(1e-9));
    Build lidded = new Build(true, 0, Joint.usual(Filling.LIQUID_METAL), bare.outer());
    double nickel = Ageing.kelvinPerYear(CHIP, lidded, CoatTerms.USUAL, 100).sharePerYear();
    CoatTerms copper = CoatTerms.USUAL.saying(MetalPlace.LID_INSIDE, MetalFace.COPPER);
    assertThat(nickel).isLessThan(told.sharePerYear());
    assertThat(Ageing.kelvinPerYear(CHIP, lidded, copper, 100).sharePerYear())
        .isGreaterThan(nickel);
    assertThat(Ageing.kelvinPerYear(CHIP, lidded, copper, 200).sharePerYear())
        .isCloseTo(
            2 * Ageing.kelvinPerYear(CHIP, lidded, copper, 100).sharePerYear(), within(1e-9));
  }

  /** By hand: common practice 2 ± 2, own joints 6 and 4 known to ± 1. */
  @Test
  void ownJointsCorrectWhatIsUsual() {
    Ageing usual = new Ageing(2, 2);
    Ageing same = usual.with(new double[0], new double[0]);
    assertThat(same.sharePerYear()).isEqualTo(2);
    assertThat(same.deviation()).isCloseTo(2, within(1e-12));
    Ageing own = usual.with(new double[] {6, 4}, new double[] {1, 1});
    double weight = 1 / 2.0 + 2 / 3.0;
    assertThat(own.sharePerYear()).isCloseTo((2 / 2.0 + 10 / 3.0) / weight, within(1e-12));
    assertThat(own.deviation()).isCloseTo(Math.sqrt(1 / weight + 2), within(1e-12));
    // However many there are, the next joint still differs from them.
    double[] many = new double[500];
    Arrays.fill(many, 5);
    Ageing known = usual.with(many, new double[500]);
    assertThat(known.sharePerYear()).isCloseTo(5, within(0.02));
    assertThat(known.deviation()).isCloseTo(Math.sqrt(2), within(0.01));
  }
}
