package dev.ambershim.core.physics.assembly;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What of a cooler is taken as usual, and what the person's own figures change. */
class CoolerTest {
  @ParameterizedTest
  @EnumSource(CoolerClass.class)
  void whatIsNotSaidIsTheKindsUsual(CoolerClass kind) {
    Cooler cooler = kind.usual("c", 3.5);
    assertThat(cooler.along()).isEqualTo(kind.across());
    assertThat(cooler.coolantShare()).isEqualTo(kind.coolantShare());
    assertThat(cooler.baseKelvinPerWatt() + cooler.beyondKelvinPerWatt())
        .isCloseTo(cooler.resistanceKelvinPerWatt(), within(1e-12));
    assertThat(cooler.baseKelvinPerWatt()).isPositive();
    assertThat(cooler.beyondKelvinPerWatt()).isNotNegative();
  }

  @Test
  void ownFiguresTakeTheirPlace() {
    Cooler cooler =
        CoolerClass.VAPOUR_CHAMBER
            .usual("c", 0.5)
            .withAlongTimes(12.0)
            .withInBaseKelvinPerWatt(0.05);
    assertThat(cooler.along()).isEqualTo(12);
    assertThat(cooler.baseKelvinPerWatt()).isEqualTo(0.05);
    assertThat(cooler.beyondKelvinPerWatt())
        .isCloseTo(cooler.resistanceKelvinPerWatt() - 0.05, within(1e-12));
  }

  /** More than all of a resistance cannot sit in the base. */
  @Test
  void theBaseIsNeverMoreThanTheWhole() {
    Cooler cooler = CoolerClass.BOXED.usual("c", 3.5).withInBaseKelvinPerWatt(2.0);
    assertThat(cooler.baseKelvinPerWatt()).isEqualTo(cooler.resistanceKelvinPerWatt());
    assertThat(cooler.beyondKelvinPerWatt()).isZero();
  }

  /** 0.03 of 0.075 K/W between coolant and room are two fifths. */
  @Test
  void radiatorsTellTheCoolantsShare() {
    Cooler loop =
        CoolerClass.OWN_LOOP_THIN
            .usual("c", 3.5)
            .withResistanceKelvinPerWatt(0.075)
            .withRadiatorKelvinPerWatt(0.03);
    assertThat(loop.coolantShare()).isCloseTo(0.4, within(1e-12));
    assertThat(loop.withRadiatorKelvinPerWatt(1.0).coolantShare()).isEqualTo(1);
    // Without hoses there is no coolant, whatever is said of radiators.
    Cooler tower = CoolerClass.AIR_TOWER.usual("c", 3.5).withRadiatorKelvinPerWatt(0.03);
    assertThat(tower.coolantShare()).isZero();
  }

  @Test
  void anOlderJobsCoolerSaysNothingOfItsLoop() {
    Cooler plain = Cooler.plain("c", 40, 40, 3, CoolerClass.OTHER.usual("", 1).material(), 0.2);
    assertThat(plain.otherWatts()).isNull();
    assertThat(plain.radiatorKelvinPerWatt()).isNull();
    assertThat(plain.carriedWatts()).isEmpty();
    assertThat(plain.finWidthMillimetres()).isEqualTo(40);
    assertThat(plain.reachMillimetres()).isEqualTo(Cooler.USUAL_REACH);
  }

  /** A film that has a resistance over the fins' footprint, by hand: 1/(0.1·30·20e-6). */
  @Test
  void aFilmIsAResistanceOverTheFins() {
    Cooler cooler =
        Cooler.plain("c", 40, 40, 3, CoolerClass.OTHER.usual("", 1).material(), 0.1)
            .withFinWidthMillimetres(30.0)
            .withFinDepthMillimetres(20.0);
    assertThat(cooler.filmWattsPerSquareMetreKelvin(0.1)).isCloseTo(16_666.67, within(0.01));
    assertThat(cooler.withFinWidthMillimetres(90.0).finnedWidthMillimetres()).isEqualTo(40);
  }
}
