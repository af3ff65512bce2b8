package dev.ambershim.core.stage.weigh;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.plan.OptionKind;
import dev.ambershim.core.plan.OwnPaste;
import dev.ambershim.core.plan.Terms;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FreshPasteTest {
  private static final Prior USUAL = PriorTable.joint(Filling.PASTE);
  private static final Situation NOW =
      new Situation(
          StartingPoint.DESKTOP_ONE_DIE_PASTE.chip("x"),
          CoolerClass.LARGE_LOOP.usual("c", 3.5),
          StartingPoint.DESKTOP_ONE_DIE_PASTE.asBought());

  private static OwnPaste paste(int candidates, double kelvin, double error) {
    return new OwnPaste("ash", "five pastes", candidates, 3, kelvin, error, 150);
  }

  /**
   * Against brute force: pastes drawn from the prior, the series played with each, and those kept
   * in which the paste came out as it did.
   */
  @ParameterizedTest
  @CsvSource({"5, -1.5, 0.4", "2, 0.8, 0.6", "9, 0, 0.2", "3, -3, 1.5"})
  void itIsWhatDrawsOfPastesSay(int candidates, double kelvin, double error) {
    double perLogarithm = 6;
    Random random = new Random(4);
    double apart = Math.sqrt(FreshPaste.OF_THE_PASTE) * USUAL.sigmaOfLogarithm();
    double shared = Math.sqrt(1 - FreshPaste.OF_THE_PASTE) * USUAL.sigmaOfLogarithm();
    double weights = 0;
    double sum = 0;
    double squares = 0;
    for (int i = 0; i < 400_000; i++) {
      double mean = 0;
      double first = 0;
      for (int c = 0; c < candidates; c++) {
        double one = apart * random.nextGaussian();
        first = c == 0 ? one : first;
        mean += one / candidates;
      }
      double off = (kelvin - perLogarithm * (first - mean)) / error;
      double weight = Math.exp(-off * off / 2);
      double whole = first + shared * random.nextGaussian();
      weights += weight;
      sum += weight * whole;
      squares += weight * whole * whole;
    }
    double mean = sum / weights;
    double deviation = Math.sqrt(squares / weights - mean * mean);
    FreshPaste told = FreshPaste.told(USUAL, paste(candidates, kelvin, error), perLogarithm);
    assertThat(Math.log(told.factor())).isCloseTo(mean, within(0.01));
    assertThat(told.trust().sigmaOfLogarithm()).isCloseTo(deviation, within(0.01));
  }

  @Test
  void aCoolerPasteHasAThinnerJointThatIsKnownBetter() {
    FreshPaste cool = FreshPaste.of(NOW, Optional.of(paste(5, -2, 0.3)));
    FreshPaste hot = FreshPaste.of(NOW, Optional.of(paste(5, 2, 0.3)));
    assertThat(cool.factor()).isLessThan(1);
    assertThat(hot.factor()).isGreaterThan(1);
    assertThat(cool.trust().sigmaOfLogarithm()).isLessThan(USUAL.sigmaOfLogarithm());
    assertThat(FreshPaste.of(NOW, Optional.empty())).isEqualTo(new FreshPaste(1, USUAL));
    // What cannot be is not reckoned with.
    assertThat(FreshPaste.of(NOW, Optional.of(paste(1, -2, 0.3))).factor()).isEqualTo(1);
  }

  @Test
  void optionsWithFreshPasteUnderTheCoolerReckonWithIt() {
    Terms told = Terms.USUAL.withOwnPaste(paste(5, -2, 0.3));
    for (Option option : OptionList.of(NOW, told, Notation.METRIC)) {
      Option usual =
          OptionList.of(NOW, Terms.USUAL, Notation.METRIC).stream()
              .filter(o -> o.kind() == option.kind())
              .findFirst()
              .orElseThrow();
      double with = option.situation().build().outer().resistanceSquareMillimetreKelvinPerWatt();
      double without = usual.situation().build().outer().resistanceSquareMillimetreKelvinPerWatt();
      boolean pasted =
          option.outer().isPresent()
              && option.situation().build().outer().filling() == Filling.PASTE;
      assertThat(with).isEqualTo(pasted ? with : without);
      if (pasted) {
        assertThat(with).isLessThan(without);
      }
      if (option.kind() == OptionKind.FRESH_PASTE) {
        assertThat(option.how())
            .endsWith("anew with ash, by your series \"five pastes\" (3 mounts).");
      }
    }
  }
}
