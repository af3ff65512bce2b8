package dev.ambershim.core.physics.dosing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Die;
import dev.ambershim.core.physics.assembly.Lid;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.conduction.Patch;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;

class DosingTest {
  private static final CoatTerms FLAT =
      new CoatTerms(null, null, null, null, null, null, false, null, false, null, null, null);

  private static FilmPlace place(double gap, Double part) {
    return new FilmPlace(
        "die",
        10,
        20,
        gap,
        gap * 0.7,
        gap * 1.5,
        0.8,
        part,
        "capacitor",
        MetalFace.SILICON,
        MetalFace.NICKEL);
  }

  /** Ball and cap by their formulas in any handbook: a half ball is half a ball, flat ones too. */
  @Test
  void ballsAndCapsHoldWhatTheyShould() {
    assertThat(Drop.ball(2).cubicMillimetres()).isCloseTo(4.18879, within(1e-5));
    assertThat(Drop.ball(1.4).ballMillimetres()).isCloseTo(1.4, within(1e-12));
    assertThat(Drop.cap(2, 1)).isCloseTo(4.18879 / 2, within(1e-5));
    assertThat(Drop.ball(2).times(0.5).capMillimetres(90)).isCloseTo(2, within(1e-9));
    // At 60° a cap of ball radius R has the foot 2R·sin 60° and the height R(1 − cos 60°).
    double r = 3;
    double v = Drop.cap(2 * r * Math.sin(Math.PI / 3), r * 0.5);
    assertThat(new Drop(v).capMillimetres(60))
        .isCloseTo(2 * r * Math.sin(Math.PI / 3), within(1e-9));
    assertThat(new Drop(v).capMillimetres(Drop.STANDING_DEGREES))
        .isGreaterThan(new Drop(v).ballMillimetres());
    assertThatIllegalArgumentException().isThrownBy(() -> new Drop(-1));
  }

  /**
   * Densities: Ga–In–Sn 6.44 g/cm³ (published); liquid gallium 6.077 g/cm³ at its melting point and
   * 5.96 at 500 K less than (Assael et al. 2012: 6077 − 0.611·ΔT kg/m³; from memory).
   */
  @Test
  void dropsWeighWhatTheirAlloyWeighs() {
    assertThat(new Drop(1).milligrams(Alloy.GALLIUM_INDIUM_TIN, 20)).isCloseTo(6.44, within(1e-9));
    assertThat(Alloy.GALLIUM.gramsPerCubicCentimetre(29.76)).isCloseTo(6.077, within(1e-9));
    assertThat(Alloy.GALLIUM.gramsPerCubicCentimetre(226.85)).isCloseTo(5.957, within(1e-3));
    // A syringe of 4.7 mm bore holds 17.35 mm³ a millimetre.
    assertThat(new Drop(17.349).travelMillimetres(4.7)).isCloseTo(1, within(1e-4));
  }

  @Test
  void theDoseFillsGapAndValleysAndWhatIsTakenIn() {
    MetalDose dose = MetalDose.of(place(40, 3.0), FLAT, true);
    // 200 mm² × 40 µm; valleys 2.5 × (0.05 + 0.8) µm; nickel takes half a micrometre in.
    assertThat(dose.gapCubicMillimetres()).isCloseTo(8, within(1e-9));
    assertThat(dose.valleysCubicMillimetres()).isCloseTo(200 * 2.125e-3, within(1e-9));
    assertThat(dose.takenInCubicMillimetres()).isCloseTo(0.1, within(1e-9));
    // Enough and harmless in nine cases of ten, by draws of our own.
    double least = dose.leastCubicMillimetres();
    double most = dose.mostCubicMillimetres().orElseThrow();
    assertThat(share(dose, least, true)).isCloseTo(0.1, within(0.015));
    assertThat(share(dose, most, false)).isCloseTo(0.1, within(0.015));
    assertThat(dose.wantedCubicMillimetres()).isBetween(least, most);
    assertThat(dose.faces()).isEqualTo(2);
    assertThat(dose.drop().cubicMillimetres())
        .isCloseTo(dose.wantedCubicMillimetres() / 2, within(1e-12));
    assertThat(dose.fits()).isTrue();
    MetalDose one = MetalDose.of(place(40, 3.0), FLAT, false);
    assertThat(one.leastDrop().cubicMillimetres()).isGreaterThan(dose.leastCubicMillimetres());
    // One drop is measured out once, so its error is not evened out.
    assertThat(one.wantedCubicMillimetres()).isGreaterThan(dose.wantedCubicMillimetres());
  }

  /** How often a dose is too little, or reaches the part, by draws that share no code with it. */
  private static double share(MetalDose dose, double cubicMillimetres, boolean dry) {
    Random random = new Random(5);
    FilmPlace place = dose.place();
    int wrong = 0;
    int draws = 40_000;
    for (int i = 0; i < draws; i++) {
      double z = random.nextGaussian();
      double side =
          z < 0
              ? place.gapMicrometres() / place.lowGapMicrometres()
              : place.highGapMicrometres() / place.gapMicrometres();
      double gap = place.gapMicrometres() * Math.pow(side, z / 1.645);
      double filled = place.areaSquareMillimetres() * gap / 1000 + dose.valleysCubicMillimetres();
      double taken = dose.takenInCubicMillimetres() * Math.pow(2, random.nextGaussian() / 2);
      double meant =
          cubicMillimetres
              * Math.exp(
                  FLAT.measuring().spread() / Math.sqrt(dose.faces()) * random.nextGaussian());
      double uneven = 1 + 2 * random.nextDouble();
      double out = (meant - filled) / Squeezed.outlet(place, false, uneven);
      boolean reaches = out > Squeezed.section(place.partMillimetres(), place.roomMillimetres());
      wrong += (dry ? meant < filled + taken : reaches) ? 1 : 0;
    }
    return (double) wrong / draws;
  }

  /** A standing board lets all of it run to one edge, so it allows less. */
  @Test
  void aStandingBoardAllowsLess() {
    CoatTerms upright = CoatTerms.USUAL;
    double flat = MetalDose.of(place(40, 2.0), FLAT, true).mostCubicMillimetres().orElseThrow();
    MetalDose standing = MetalDose.of(place(40, 2.0), upright, true);
    assertThat(standing.mostCubicMillimetres().orElseThrow()).isLessThan(flat);
    // Without anything near by, a flat board allows all, a standing one what surface tension holds:
    // 0.5·0.534/(6437·9.81) m² = 4.2 mm².
    assertThat(MetalDose.of(place(40, null), FLAT, true).mostCubicMillimetres()).isEmpty();
    MetalDose free = MetalDose.of(place(40, null), upright, true);
    assertThat(free.runs()).isTrue();
    assertThat(free.mostCubicMillimetres().orElseThrow())
        .isBetween(0.7 * (free.gapCubicMillimetres() + 42.3), free.gapCubicMillimetres() + 42.3);
  }

  /** A part beside the die leaves no window at all; odds follow the dose. */
  @Test
  void oddsFollowTheDose() {
    MetalDose dose = MetalDose.of(place(40, 1.0), FLAT, true);
    MetalDose.Odds little = dose.odds(dose.leastCubicMillimetres() * 0.4, FLAT);
    MetalDose.Odds right = dose.odds(dose.wantedCubicMillimetres(), FLAT);
    MetalDose.Odds much = dose.odds(dose.leastCubicMillimetres() * 6, FLAT);
    assertThat(little.dry()).isGreaterThan(0.95);
    assertThat(little.reaches()).isLessThan(0.01);
    assertThat(much.dry()).isLessThan(0.01);
    assertThat(much.reaches()).isGreaterThan(0.95);
    // The wanted dose is meant to be enough nine times in ten.
    MetalDose free = MetalDose.of(place(40, 9.0), FLAT, true);
    assertThat(free.odds(free.leastCubicMillimetres(), FLAT).dry()).isBetween(0.09, 0.11);
    assertThat(free.odds(free.wantedCubicMillimetres(), FLAT).dry()).isBetween(0.02, 0.1);
    MetalDose window = MetalDose.of(place(40, 3.0), FLAT, true);
    assertThat(window.fits()).isTrue();
    MetalDose.Odds both = window.odds(window.wantedCubicMillimetres(), FLAT);
    assertThat(both.dry()).isLessThan(0.11);
    assertThat(both.reaches()).isLessThan(0.11);
    assertThat(right.dry() + right.reaches()).isPositive();
    CoatTerms scale =
        new CoatTerms(
            null, null, null, Measuring.SCALE, null, null, false, null, false, null, null, null);
    assertThat(dose.odds(dose.wantedCubicMillimetres() * 1.5, scale).dry())
        .isLessThan(dose.odds(dose.wantedCubicMillimetres() * 1.5, FLAT).dry() + 1e-9);
    assertThat(MetalDose.of(place(40, 0.02), FLAT, true).fits()).isFalse();
  }

  /**
   * Potentials against hydrogen, CRC Handbook (from memory): what lies below gallium is attacked by
   * it, but the table, not the potential alone, decides.
   */
  @Test
  void compatibilityIsByMechanism() {
    assertThat(MetalFace.ALUMINIUM.volts()).isEqualTo(-1.662);
    assertThat(MetalFace.COPPER.volts()).isEqualTo(0.3419);
    assertThat(MetalFace.NICKEL.volts()).isEqualTo(-0.257);
    for (MetalFace face : MetalFace.values()) {
      if (face.volts() < MetalFace.GALLIUM_VOLTS) {
        assertThat(face.verdict()).as(face.words()).isEqualTo(Verdict.NEVER);
      }
      assertThat(face.mechanism()).endsWith(".");
    }
    for (MetalPlace place : MetalPlace.values()) {
      for (MetalFace face : place.faces()) {
        Meeting meeting = new Meeting(place, face, true);
        assertThat(meeting.bar().isPresent()).isEqualTo(meeting.verdict() == Verdict.NEVER);
        assertThat(meeting.sentence()).startsWith(capital(meeting.verdict().words()));
      }
      assertThat(new Meeting(place, place.faces().get(0), false).bar()).isEmpty();
    }
    assertThat(new Meeting(MetalPlace.JEWELLERY, MetalFace.GOLD, true).verdict())
        .isEqualTo(Verdict.NEVER);
    assertThat(new Meeting(MetalPlace.DIE, MetalFace.GOLD, true).verdict())
        .isEqualTo(Verdict.WATCH);
  }

  private static String capital(String word) {
    return word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1);
  }

  @Test
  void exactlyOneCoverAndOneThatFits() {
    Insulation varnish = Insulation.of(Cover.VARNISH, FLAT, 400, 200, 95);
    assertThat(varnish.bars()).isEmpty();
    assertThat(varnish.thicknessMicrometres()).isEqualTo(50);
    // 400 mm² × 25 µm dry, a quarter of it solids.
    assertThat(varnish.wetMillilitres()).isCloseTo(0.04, within(1e-12));
    CoatTerms taped =
        new CoatTerms(
            null, null, null, null, null, null, null, null, false, null, null, Cover.VINYL_TAPE);
    assertThat(Insulation.of(Cover.VARNISH, taped, 400, 200, 95).bars())
        .singleElement()
        .satisfies(p -> assertThat(p.key()).isEqualTo("dose.stacked"));
    assertThat(Insulation.of(Cover.VINYL_TAPE, taped, 400, 200, 60).bars()).isEmpty();
    assertThat(Insulation.of(Cover.SILICONE, FLAT, 400, 200, 60).bars())
        .singleElement()
        .satisfies(p -> assertThat(p.key()).isEqualTo("dose.coverTooHigh"));
    assertThat(Insulation.of(Cover.VINYL_TAPE, FLAT, 400, 200, 90).notes().get(0))
        .contains("80 °C");
  }

  /**
   * The strip and the disc against numbers integrated step by step from Reynolds' and Stefan's
   * speeds with the growing width, so that the closed form is not checked by itself.
   */
  @Test
  void glueIsPressedAsIntegrated() {
    GlueKind glue = GlueKind.SILICONE;
    double section = 0.5e-6;
    double force = 300;
    double rim = 3.2e-3;
    double h = 0.56e-3;
    double dt = 0;
    for (double t = 0; t < 2; t += dt) {
      double w = Math.min(rim, section / h);
      double v = force * h * h * h / (glue.pascalSeconds() * w * w * w);
      dt = Math.min(2 - t + 1e-12, 2e-4 * h / v);
      h -= dt * v;
    }
    assertThat(GlueLine.strip(glue, force, section, rim, 0.56e-3, 2) / h)
        .isCloseTo(1, within(0.01));

    double volume = 3e-9;
    double g = 1.4e-3;
    for (double t = 0; t < 2; t += dt) {
      double r = Math.sqrt(volume / (Math.PI * g));
      double v = 10 * 2 * g * g * g / (3 * Math.PI * glue.pascalSeconds() * Math.pow(r, 4));
      dt = Math.min(2 - t + 1e-12, 2e-4 * g / v);
      g -= dt * v;
    }
    assertThat(GlueLine.disc(glue, 10, volume, 1.4e-3, 2) / g).isCloseTo(1, within(0.01));
  }

  /** Depth goes by the root of time: twice as deep takes four times as long. */
  @Test
  void moistureCuresByTheRootOfTime() {
    CloseTerms usual = CloseTerms.USUAL;
    assertThat(Cure.minutes(3, usual)).isCloseTo(1440, within(1e-6));
    assertThat(Cure.minutes(6, usual) / Cure.minutes(3, usual)).isCloseTo(4, within(1e-9));
    CloseTerms dry = new CloseTerms(null, null, null, null, 25.0, 23.0, null);
    assertThat(Cure.minutes(3, dry) / Cure.minutes(3, usual)).isCloseTo(2, within(1e-9));
    // Vapour pressure over water: 12.28 hPa at 10 °C, 23.39 at 20 °C (WMO and steam tables).
    assertThat(Cure.saturation(10)).isCloseTo(12.28, within(0.03));
    assertThat(Cure.saturation(20)).isCloseTo(23.39, within(0.07));
    Cure cure =
        Cure.of(GlueLine.of(chip().lid(), GluePattern.AROUND, usual), GluePattern.AROUND, usual);
    assertThat(cure.fullMinutes()).isGreaterThan(cure.handlingMinutes());
    // Common practice: half an hour at least, a day to be safe.
    assertThat(cure.skinMinutes()).isBetween(30.0, 35.0);
    Cure dots =
        Cure.of(GlueLine.of(chip().lid(), GluePattern.CORNERS, usual), GluePattern.CORNERS, usual);
    assertThat(dots.handlingMinutes()).isLessThan(cure.handlingMinutes());
    // A fifth off in depth and in width, one usual half-width each, both squared.
    assertThat(cure.handling().high() / cure.handlingMinutes())
        .isCloseTo(Math.exp(2 * Math.hypot(Math.log(1.2), Math.log(1.2))), within(0.05));
    assertThat(cure.handling().contains(cure.handlingMinutes())).isTrue();
    assertThat(Cure.of(GlueLine.NONE, GluePattern.NONE, usual)).isEqualTo(Cure.NONE);
  }

  private static Chip chip() {
    return StartingPoint.DESKTOP_CHIPLETS_SOLDER.chip("Fennel F16");
  }

  private static Chip withDie(int index, double height, double cavity) {
    Chip c = chip();
    List<Die> dies = new ArrayList<>(c.dies());
    Die d = dies.get(index);
    dies.set(
        index,
        new Die(
            d.name(),
            d.xMillimetres(),
            d.yMillimetres(),
            d.widthMillimetres(),
            d.depthMillimetres(),
            height,
            d.powerShare()));
    var l = c.lid();
    return new Chip(
        c.name(),
        c.kind(),
        c.widthMillimetres(),
        c.depthMillimetres(),
        c.substrateMillimetres(),
        c.cores(),
        dies,
        new Lid(
            l.widthMillimetres(),
            l.depthMillimetres(),
            l.thicknessMillimetres(),
            cavity,
            l.rimMillimetres(),
            l.material()));
  }

  /** Cavity + glue − die is the gap; with too shallow a cavity the die carries, the glue fills. */
  @Test
  void theLidLiesOnWhatIsHighest() {
    GlueLine thin = new GlueLine(100, 50, 20, 2, 600);
    LidSeat rim = LidSeat.of(withDie(0, 620, 0.64), thin, 0);
    assertThat(rim.onDie()).isFalse();
    assertThat(rim.gaps()).allSatisfy(g -> assertThat(g).isCloseTo(40, within(1e-9)));
    LidSeat die = LidSeat.of(withDie(1, 660, 0.6), thin, 0);
    assertThat(die.onDie()).isTrue();
    assertThat(die.carrier()).isEqualTo("chiplet 2");
    assertThat(die.glueMicrometres()).isCloseTo(660 + 25 - 600, within(1e-9));
    assertThat(die.gaps().get(1)).isCloseTo(25, within(1e-9));
    assertThat(die.gaps().get(0)).isCloseTo(65, within(1e-9));
    // Old sealant that is left on lifts the lid by all of itself.
    assertThat(LidSeat.of(withDie(0, 620, 0.64), thin, 80).gaps().get(0))
        .isCloseTo(120, within(1e-9));
    assertThat(LidSeat.of(withDie(1, 660, 0.6), new GlueLine(9, 2, 20, 1, 50), 0).reaches())
        .isFalse();
  }

  @Test
  void aLidMayDriftAsFarAsItsRimIsFree() {
    // Lid 36 × 36 with a rim of 4: the inner wall stands at 14; chiplets reach to 11.8.
    LidDrift drift = LidDrift.of(chip(), List.of()).orElseThrow();
    assertThat(drift.what()).startsWith("chiplet");
    assertThat(drift.millimetres()).isCloseTo(2.2, within(1e-9));
    LidDrift part =
        LidDrift.of(chip(), List.of(new LidDrift.Thing("capacitor", new Patch(0, 18.6, 2, 0.6))))
            .orElseThrow();
    assertThat(part.what()).isEqualTo("capacitor");
    assertThat(part.millimetres()).isCloseTo(0.3, within(1e-9));
  }
}
