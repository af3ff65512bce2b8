package dev.ambershim.core.physics.dosing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.physics.assembly.Lid;
import dev.ambershim.core.physics.assembly.StartingPoint;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What is pressed out, glue under a rim, covers, and the terms that hold them. */
class SqueezedAndGlueTest {
  private static final Lid LID = StartingPoint.DESKTOP_ONE_DIE_PASTE.chip("x").lid();

  /** A bead of diameter d has the section πd²/4; flattened to h it is a band with a round front. */
  @ParameterizedTest
  @CsvSource({
    "0.0, 0.8, 0.0",
    "0.19635, 0.8, 0.5",
    "0.50265, 0.8, 0.8",
    "0.66265, 0.8, 1.0",
    "1.46265, 0.8, 2.0",
    "0.78540, 2.0, 1.0",
    "3.14159, 2.0, 2.0"
  })
  void beadsReachAsFarAsTheirSection(double section, double room, double reach) {
    assertThat(Squeezed.reach(section, room)).isCloseTo(reach, within(1e-4));
    assertThat(Squeezed.section(reach, room)).isCloseTo(section, within(1e-4));
  }

  @Test
  void reachAndSectionAreEachOthersInverse() {
    for (double room = 0.05; room < 3; room += 0.35) {
      for (double reach = 0; reach < 6; reach += 0.17) {
        double section = Squeezed.section(reach, room);
        assertThat(Squeezed.reach(section, room)).isCloseTo(reach, within(1e-9));
      }
    }
  }

  /** γ·0.5/(ρ·g): 0.534·0.5/(6437·9.81) m² = 4.23 mm² for Ga–In–Sn. */
  @Test
  void surfaceTensionHoldsSoMuchOnAStandingBoard() {
    assertThat(Squeezed.held(Alloy.GALLIUM_INDIUM_TIN)).isCloseTo(4.23, within(0.01));
    assertThat(Squeezed.held(Alloy.GALLIUM)).isGreaterThan(Squeezed.held(Alloy.GALLIUM_INDIUM_TIN));
  }

  @Test
  void metalComesOutAlongItsEdge() {
    FilmPlace place =
        new FilmPlace(
            "die", 10, 20, 40, 30, 60, 0.8, 2.0, "part", MetalFace.SILICON, MetalFace.COPPER);
    assertThat(place.areaSquareMillimetres()).isEqualTo(200);
    assertThat(place.edgeMillimetres()).isEqualTo(60);
    assertThat(Squeezed.outlet(place, false, 1)).isEqualTo(60);
    assertThat(Squeezed.outlet(place, false, 3)).isEqualTo(20);
    // On a standing board all of it sinks to one edge, the shorter one at worst.
    assertThat(Squeezed.outlet(place, true, 1)).isEqualTo(10);
    assertThatIllegalArgumentException()
        .isThrownBy(
            () ->
                new FilmPlace(
                    "die", 10, 20, 40, 50, 60, 0.8, null, "", MetalFace.SILICON, MetalFace.COPPER));
    assertThatIllegalArgumentException()
        .isThrownBy(
            () ->
                new FilmPlace(
                    "die", 0, 20, 40, 30, 60, 0.8, null, "", MetalFace.SILICON, MetalFace.COPPER));
  }

  /** Bare copper takes up far more than nickel, so its dose is larger by about that. */
  @Test
  void bareCopperAsksForMore() {
    FilmPlace nickel =
        new FilmPlace(
            "die", 10, 20, 40, 30, 60, 0.8, 9.0, "part", MetalFace.SILICON, MetalFace.NICKEL);
    FilmPlace copper =
        new FilmPlace(
            "die", 10, 20, 40, 30, 60, 0.8, 9.0, "part", MetalFace.SILICON, MetalFace.COPPER);
    double less = MetalDose.of(nickel, CoatTerms.USUAL, true).leastCubicMillimetres();
    double more = MetalDose.of(copper, CoatTerms.USUAL, true).leastCubicMillimetres();
    // Twice as much or half as much may be taken in, so nine cases of ten ask for somewhat more.
    double likely = 200 * (8 - 0.5) / 1000;
    assertThat(more - less).isBetween(likely, 1.6 * likely);
  }

  @Test
  void roughFacesHoldMore() {
    assertThat(Finish.SCRATCHED.valleysMicrometres())
        .isGreaterThan(Finish.AS_MADE.valleysMicrometres());
    assertThat(Finish.AS_MADE.valleysMicrometres())
        .isGreaterThan(Finish.LAPPED.valleysMicrometres());
    assertThat(Finish.POLISHED.valleysMicrometres()).isCloseTo(0.125, within(1e-12));
  }

  @Test
  void aBeadAroundHoldsItsVolumeUnderTheRim() {
    GlueLine around = GlueLine.of(LID, GluePattern.AROUND, CloseTerms.USUAL);
    // 2 · (30.5 + 30.5 − 2 · 3.2) − 3 mm of a bead of 0.8 mm.
    double length = 2 * (30.5 + 30.5 - 6.4) - 3;
    assertThat(around.lengthMillimetres()).isCloseTo(length, within(1e-9));
    assertThat(around.cubicMillimetres()).isCloseTo(Math.PI / 4 * 0.64 * length, within(1e-9));
    assertThat(around.grams()).isCloseTo(around.cubicMillimetres() * 1.04e-3, within(1e-12));
    assertThat(around.widthMillimetres()).isLessThanOrEqualTo(LID.rimMillimetres());
    assertThat(around.heightMicrometres()).isCloseTo(560, within(1e-9));
    assertThat(GlueLine.of(LID, GluePattern.NONE, CloseTerms.USUAL)).isEqualTo(GlueLine.NONE);
  }

  @Test
  void fourDotsAreCaps() {
    GlueLine dots = GlueLine.of(LID, GluePattern.CORNERS, CloseTerms.USUAL);
    assertThat(dots.cubicMillimetres()).isCloseTo(4 * Drop.cap(2, 1.4), within(1e-9));
    assertThat(dots.heightMicrometres()).isCloseTo(1400, within(1e-9));
    assertThat(dots.thicknessMicrometres()).isGreaterThanOrEqualTo(20);
  }

  @ParameterizedTest
  @EnumSource(GluePattern.class)
  void moreForceNeverMakesAThickerLine(GluePattern pattern) {
    double last = Double.POSITIVE_INFINITY;
    for (double newtons = 5; newtons <= 200; newtons *= 1.6) {
      CloseTerms terms = new CloseTerms(null, null, null, newtons, null, null, null);
      double now = GlueLine.of(LID, pattern, terms).thicknessMicrometres();
      assertThat(now).isLessThanOrEqualTo(last + 1e-9);
      last = now;
    }
  }

  @Test
  void instantGlueRunsThinAndSetsByItself() {
    CloseTerms instant = new CloseTerms(GlueKind.INSTANT, null, null, null, null, null, null);
    GlueLine line = GlueLine.of(LID, GluePattern.AROUND, instant);
    assertThat(line.thicknessMicrometres()).isCloseTo(10, within(1e-9));
    Cure cure = Cure.of(line, GluePattern.AROUND, instant);
    assertThat(cure.skinMinutes()).isEqualTo(5);
    assertThat(cure.fullMinutes()).isEqualTo(1440);
    assertThat(cure.depthMillimetres()).isZero();
  }

  /** Warm damp air cures sooner than cold dry air, by its vapour pressure alone. */
  @Test
  void dampWarmAirCuresSooner() {
    CloseTerms damp = new CloseTerms(null, null, null, null, 70.0, 28.0, null);
    CloseTerms dry = new CloseTerms(null, null, null, null, 20.0, 15.0, null);
    double vapour = 70 * Cure.saturation(28) / (20 * Cure.saturation(15));
    assertThat(Cure.minutes(2, dry) / Cure.minutes(2, damp)).isCloseTo(vapour, within(1e-9));
    assertThat(vapour).isGreaterThan(7);
  }

  @ParameterizedTest
  @EnumSource(Cover.class)
  void everyCoverSaysWhatItStandsAndHowItComesOff(Cover cover) {
    assertThat(cover.heatCelsius()).isBetween(70.0, 300.0);
    assertThat(cover.removal()).isNotBlank();
    assertThat(cover.usualCoats()).isPositive();
    Insulation one = Insulation.of(cover, CoatTerms.USUAL, 300, 1e6, 60);
    assertThat(one.bars()).isEmpty();
    assertThat(one.thicknessMicrometres()).isEqualTo(cover.usualCoats() * cover.coatMicrometres());
    assertThat(one.notes()).anyMatch(n -> n.contains(cover.removal()));
    // Nothing but a wet cover is measured in millilitres.
    boolean wet = cover == Cover.VARNISH || cover == Cover.SILICONE;
    assertThat(one.wetMillilitres() > 0).isEqualTo(wet);
    for (Cover earlier : Cover.values()) {
      CoatTerms before =
          new CoatTerms(null, null, null, null, null, null, null, null, false, null, null, earlier);
      assertThat(Insulation.of(cover, before, 300, 1e6, 60).bars().isEmpty())
          .isEqualTo(earlier == cover);
    }
  }

  @Test
  void coatsCanBeSaid() {
    CoatTerms three =
        new CoatTerms(null, null, null, null, null, null, null, null, false, null, 3, null);
    assertThat(Insulation.of(Cover.VARNISH, three, 300, 100, 60).thicknessMicrometres())
        .isEqualTo(75);
    assertThat(Insulation.of(Cover.VARNISH, three, 300, 70, 60).bars().get(0).sentence())
        .startsWith("Cover: 3 layers of insulating varnish stand 75 µm high");
  }

  @Test
  void whatIsSaidOfAPlaceReplacesWhatWasSaid() {
    CoatTerms terms =
        CoatTerms.USUAL
            .saying(MetalPlace.PLATE, MetalFace.ALUMINIUM)
            .saying(MetalPlace.TABLE, MetalFace.STEEL)
            .saying(MetalPlace.PLATE, MetalFace.NICKEL);
    assertThat(terms.said(MetalPlace.PLATE)).contains(MetalFace.NICKEL);
    assertThat(terms.said(MetalPlace.TABLE)).contains(MetalFace.STEEL);
    assertThat(terms.said(MetalPlace.DIE)).isEmpty();
    assertThat(terms.faces()).hasSize(2);
    assertThat(terms.upright()).isTrue();
    assertThat(terms.bore()).isEqualTo(4.7);
    assertThat(terms.warmth()).isEqualTo(22);
  }

  @Test
  void theUsualTermsOfClosingDependOnThePattern() {
    assertThat(CloseTerms.USUAL.bead(GluePattern.AROUND)).isEqualTo(0.8);
    assertThat(CloseTerms.USUAL.bead(GluePattern.CORNERS)).isEqualTo(2);
    CloseTerms own = new CloseTerms(null, 1.2, 5.0, 60.0, 40.0, 20.0, 30.0);
    assertThat(own.bead(GluePattern.CORNERS)).isEqualTo(1.2);
    assertThat(own.vent()).isEqualTo(5);
    assertThat(own.press()).isEqualTo(60);
    assertThat(own.humidity()).isEqualTo(40);
    assertThat(own.warmth()).isEqualTo(20);
    assertThat(own.old()).isEqualTo(30);
  }
}
