package dev.ambershim.core.physics.mounting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class PadStockTest {
  /** By hand: 1 mm into 0.8 mm loses a fifth; 0.24 MPa on 500 mm² are 120 N. */
  @Test
  void aSheetThatLosesAFifthIsTaken() {
    PadStock pad = PadStock.forGap(0.8).orElseThrow();
    assertThat(pad.sheetMillimetres()).isEqualTo(1.0);
    assertThat(pad.squeezedShare()).isCloseTo(0.2, within(1e-12));
    assertThat(pad.newtons(500)).isCloseTo(120, within(1e-9));
  }

  @Test
  void whereNoSheetFitsThereIsNone() {
    assertThat(PadStock.forGap(0.2)).isEmpty();
    assertThat(PadStock.forGap(7)).isEmpty();
    // Loose in 0.5 mm, crushed in 0.75 mm.
    assertThat(PadStock.forGap(0.49)).isEmpty();
    assertThatThrownBy(() -> PadStock.forGap(0)).isInstanceOf(IllegalArgumentException.class);
  }

  @Property
  void noSheetIsCrushedOrLoose(@ForAll @DoubleRange(min = 0.51, max = 4.7) double gap) {
    PadStock pad = PadStock.forGap(gap).orElseThrow();
    double lost = (pad.sheetMillimetres() - gap) / pad.sheetMillimetres();
    assertThat(lost).isBetween(0.05, 0.33);
    assertThat(pad.squeezedShare()).isCloseTo(lost, within(1e-12));
  }
}
