package dev.ambershim.core.stage.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.fit.Instrument;
import dev.ambershim.core.physics.fit.Reading;
import dev.ambershim.core.physics.fit.ShimTerms;
import dev.ambershim.core.physics.fit.ShimTerms.Sheet;
import dev.ambershim.core.physics.fit.Top;
import dev.ambershim.core.physics.fit.TopKind;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Envelope;

/** Sheets to cut: sizes by hand, flaws provoked one by one. */
class ShimOutlineTest {
  /** 37.5 mm square, die 9.2 by 19 mm, 780 µm high. */
  private static final Chip CHIP = StartingPoint.DESKTOP_ONE_DIE_PASTE.chip("Sorrel S8");

  private static ShimTerms terms(
      Sheet sheet, double clearance, double corner, double kerf, Double foil) {
    return new ShimTerms(sheet, clearance, 0.3, 0.5, corner, kerf, 0.8, 20.0, foil);
  }

  private static ShimOutline draw(ShimTerms terms, Top... tops) {
    return ShimOutline.of(CHIP, List.of(tops), terms, Notation.METRIC);
  }

  private static Top part(String name, double x, double y, double w, double d, double height) {
    return new Top(name, TopKind.PART, x, y, w, d, false, Reading.of(Instrument.INDICATOR, height));
  }

  @Test
  void aShimHasItsSizes() {
    ShimOutline shim = draw(terms(Sheet.SHIM, 0.3, 0, 0.1, null));
    assertThat(shim.flaws()).isEmpty();
    assertThat(shim.sheet().getArea()).isCloseTo(36.5 * 36.5 - 9.8 * 19.6, within(1e-6));
    assertThat(shim.rings()).hasSize(2);
    // Half a kerf outside all around: the outer edge grows, the opening shrinks.
    Envelope outer = shim.path().getEnvelopeInternal();
    assertThat(outer.getWidth()).isCloseTo(36.6, within(1e-9));
    Envelope opening = new Envelope();
    for (var c : shim.rings().get(0)) {
      opening.expandToInclude(c);
    }
    assertThat(opening.getWidth()).isCloseTo(9.7, within(1e-9));
    assertThat(opening.getHeight()).isCloseTo(19.5, within(1e-9));
  }

  @Test
  void foilsComeNearWhatLeavesTheDieProud() {
    // 780 − 50 − 20 = 710: 25 + 175 + 500 = 700 is the nearest below.
    ShimOutline shim = draw(terms(Sheet.SHIM, 0.3, 0.2, 0.1, null));
    assertThat(shim.foil().stream().mapToInt(f -> f).sum()).isEqualTo(700);
    assertThat(shim.notes().get(0)).contains("leaves the die 60 µm proud");
    ShimOutline thick = draw(terms(Sheet.SHIM, 0.3, 0.2, 0.1, 770.0));
    assertThat(thick.notes().get(0)).contains("10 µm shy");
    assertThat(thick.notes().get(1)).contains("Sand the edge down by 20 µm");
    ShimOutline read =
        draw(
            terms(Sheet.SHIM, 0.3, 0.2, 0.1, null),
            new Top("die", TopKind.DIE, 0, 0, 9, 19, false, Reading.of(Instrument.INDICATOR, 0.6)));
    assertThat(read.foil().stream().mapToInt(f -> f).sum()).isEqualTo(525);
  }

  @Test
  void flawsAreFound() {
    // A radius of 2 in a clearance of 0.3: (√2 − 1)·2 = 0.83 against √2·0.3 = 0.42.
    assertThat(draw(terms(Sheet.SHIM, 0.3, 2, 0.1, null)).flaws())
        .anyMatch(f -> f.contains("cover the corners of die"));
    // Between the die's opening (to 4.9) and the part's (from 5.2) a bridge of 0.3 is left.
    assertThat(draw(terms(Sheet.SHIM, 0.3, 0.2, 0.1, null), part("row", 6, 0, 1, 5, 0.3)).flaws())
        .anyMatch(f -> f.startsWith("Too thin to cut at x 5.1 mm, y 0"));
    // A frame of four parts cuts a piece free.
    assertThat(
            draw(
                    terms(Sheet.SHIM, 0.3, 0.2, 0.1, null),
                    part("a", 12, 4, 7, 1, 0.3),
                    part("b", 12, -4, 7, 1, 0.3),
                    part("c", 8.5, 0, 1, 9, 0.3),
                    part("d", 15.5, 0, 1, 9, 0.3))
                .flaws())
        .anyMatch(f -> f.contains("falls into 2 pieces"));
    assertThatThrownBy(
            () -> draw(new ShimTerms(Sheet.SHIM, 0.3, 0.3, 20.0, 0.2, 0.1, 0.8, 20.0, null)))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("smaller inset");
  }

  @Test
  void aMaskOpensOverTheDieLessAMargin() {
    ShimOutline mask = draw(terms(Sheet.MASK, 0.3, 0, 0, null));
    assertThat(mask.sheet().getArea()).isCloseTo(36.5 * 36.5 - 8.6 * 18.4, within(1e-6));
    assertThat(mask.path().equalsExact(mask.sheet())).isTrue();
    assertThat(mask.foil()).isEmpty();
  }

  @Test
  void aStencilOpensOverTheParts() {
    ShimOutline stencil =
        draw(terms(Sheet.STENCIL, 0.3, 0, 0.1, null), part("row", 8, 0, 1, 5, 0.3));
    assertThat(stencil.flaws()).isEmpty();
    assertThat(stencil.sheet().getArea()).isCloseTo(36.5 * 36.5 - 1.6 * 5.6, within(1e-6));
    assertThat(draw(terms(Sheet.STENCIL, 0.3, 0, 0.1, null)).flaws())
        .anyMatch(f -> f.contains("nothing to open"));
    assertThat(
            draw(terms(Sheet.STENCIL, 0.3, 0, 0.1, null), part("near", 5, 0, 0.7, 3, 0.3)).flaws())
        .anyMatch(f -> f.contains("open to varnish"));
    assertThat(
            draw(terms(Sheet.STENCIL, 0.3, 0, 0.1, null), part("far", 18.4, 0, 1, 3, 0.3)).flaws())
        .anyMatch(f -> f.contains("beyond the stencil's edge"));
  }
}
