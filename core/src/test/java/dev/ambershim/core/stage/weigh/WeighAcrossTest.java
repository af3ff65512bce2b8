package dev.ambershim.core.stage.weigh;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Reading;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Cooler;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.assembly.Seat;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.build.Response;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.physics.material.Material;
import dev.ambershim.core.plan.OptionKind;
import dev.ambershim.core.plan.Terms;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.ShrinkingMode;
import net.jqwik.api.Tag;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/**
 * What must hold whatever the chip, its seat, its cooler, the power and the room: one answer is
 * changed, and the other must follow.
 */
@Tag("slow")
@org.junit.jupiter.api.Tag("slow")
class WeighAcrossTest {
  private static Build arrival(StartingPoint point, Filling filling, boolean lid) {
    Build bought = point.asBought();
    boolean on = lid && point.lidded();
    Joint joint = Joint.usual(filling);
    return on
        ? new Build(true, bought.glueMicrometres(), joint, Joint.usual(Filling.PASTE))
        : new Build(false, 0, bought.inner(), joint);
  }

  private static Question question(Situation now, double watts, double room) {
    return new Question(now, watts, room, 1, List.of(), List.of(), Terms.USUAL, OwnRecord.NONE);
  }

  private static List<Option> options(Situation now) {
    return Weighing.options(question(now, 150, 22), Notation.METRIC);
  }

  private static boolean metal(Option option) {
    Build then = option.situation().build();
    return (option.inner().isPresent() && then.inner().filling() == Filling.LIQUID_METAL)
        || (option.outer().isPresent() && then.outer().filling() == Filling.LIQUID_METAL);
  }

  /** No barred option is offered, and none that is there already. */
  @Property(tries = 2000, shrinking = ShrinkingMode.OFF)
  void nothingBarredAndNothingThatIsThereIsOffered(
      @ForAll StartingPoint point,
      @ForAll Filling filling,
      @ForAll boolean lid,
      @ForAll Seat seat,
      @ForAll CoolerClass kind,
      @ForAll boolean aluminiumPlate,
      @ForAll boolean aluminiumLid) {
    Chip chip = point.chip("x").withSeat(point.lidded() ? seat : point.chip("x").seat());
    chip = aluminiumLid ? chip.withLid(chip.lid().withMaterial(Material.ALUMINIUM)) : chip;
    Cooler cooler = kind.usual("c", 3.5);
    cooler = aluminiumPlate ? cooler.withMaterial(Material.ALUMINIUM) : cooler;
    Build build = arrival(point, filling, lid);
    Situation now = new Situation(chip, cooler, build);
    List<Option> all = options(now);
    assertThat(all).extracting(Option::kind).doesNotHaveDuplicates();
    for (Option option : all) {
      if (!option.possible()) {
        assertThat(option.impossible().orElseThrow()).endsWith(".");
        continue;
      }
      Build then = option.situation().build();
      boolean metal = metal(option);
      if (metal) {
        assertThat(kind).isNotEqualTo(CoolerClass.COLD_POT);
      }
      boolean onPlate = metal && option.outer().filter(Option.Fresh::metal).isPresent();
      assertThat(onPlate && aluminiumPlate).as(option.kind().name()).isFalse();
      boolean onLid = metal && then.lidOn() && option.kind() != OptionKind.COPPER_LID;
      assertThat(onLid && aluminiumLid).as(option.kind().name()).isFalse();
      if (!build.lidOn()) {
        assertThat(then.lidOn()).as(option.kind().name()).isFalse();
      }
      // Liquid metal that is there is renewed, by name.
      boolean there =
          build.lidOn()
              ? build.inner().filling() == Filling.LIQUID_METAL
              : build.outer().filling() == Filling.LIQUID_METAL;
      if (there) {
        assertThat(option.kind())
            .isNotIn(OptionKind.METAL_GLUED, OptionKind.METAL_UNGLUED, OptionKind.METAL_ON_DIE);
      }
      if (kind.builtIn()) {
        assertThat(option.kind()).isNotEqualTo(OptionKind.BETTER_COOLER);
      }
    }
  }

  private static OptionForecast metalForecast(Situation now, double watts, double room) {
    Weighing w = Solved.weigh(question(now, watts, room), WhatIf.AS_IT_IS);
    return w.options().stream()
        .filter(o -> o.option().possible() && metal(o.option()))
        .findFirst()
        .orElseThrow();
  }

  /** More watts, more gain; the room, down to a cold pot's, changes it by silicon's k(T) alone. */
  @Property(tries = 12, shrinking = ShrinkingMode.OFF, seed = "3")
  void gainsGrowWithWattsAndHardlyKnowTheRoom(
      @ForAll @DoubleRange(min = 5, max = 300) double watts,
      @ForAll @DoubleRange(min = -190, max = 45) double room,
      @ForAll boolean laptop) {
    StartingPoint point =
        laptop ? StartingPoint.LAPTOP_BARE_DIE : StartingPoint.DESKTOP_ONE_DIE_PASTE;
    Situation now = new Situation(point.chip("x"), point.usualCooler(), point.asBought());
    double gain = metalForecast(now, watts, room).gainKelvin();
    assertThat(gain).isPositive();
    // Silicon conducts worse when it is hot: so twice the watts bring about
    // twice as much and rather more, and the room changes little.
    assertThat(metalForecast(now, 2 * watts, room).gainKelvin() / gain).isBetween(1.95, 2.6);
    assertThat(metalForecast(now, watts, 22).gainKelvin()).isCloseTo(gain, within(0.35 * gain));
  }

  /** A thicker bond line is hotter, at every kind of chip. */
  @Test
  void thickerIsHotter() {
    for (StartingPoint point : StartingPoint.values()) {
      Build build = point.asBought();
      double last = 0;
      for (double thick : new double[] {20, 50, 120}) {
        Build then = build.withOuter(build.outer().withBondLineMicrometres(thick));
        Response at = Solved.of(new Situation(point.chip("x"), point.usualCooler(), then));
        double rise = at.meanKelvinPerWatt(new double[4]);
        assertThat(rise).as(point.name() + " " + thick).isGreaterThan(last);
        last = rise;
      }
    }
  }

  /** The same chip turned by a quarter has the same resistance. */
  @Test
  void aTurnedChipIsTheSameChip() {
    for (StartingPoint point :
        List.of(StartingPoint.DESKTOP_ONE_DIE_PASTE, StartingPoint.LAPTOP_BARE_DIE)) {
      Chip chip = point.chip("x");
      var die = chip.dies().get(0);
      Chip turned =
          chip.withDie(
                  0,
                  die.withWidthMillimetres(die.depthMillimetres())
                      .withDepthMillimetres(die.widthMillimetres())
                      .withXMillimetres(-die.yMillimetres())
                      .withYMillimetres(die.xMillimetres()))
              .withLid(
                  chip.lid()
                      .withWidthMillimetres(chip.lid().depthMillimetres())
                      .withDepthMillimetres(chip.lid().widthMillimetres()));
      Cooler cooler = point.usualCooler();
      Cooler other =
          cooler
              .withWidthMillimetres(cooler.depthMillimetres())
              .withDepthMillimetres(cooler.widthMillimetres())
              .withFinWidthMillimetres(cooler.finDepthMillimetres())
              .withFinDepthMillimetres(cooler.finWidthMillimetres());
      double one =
          Solved.of(new Situation(chip.withCores(1), cooler, point.asBought()))
              .meanKelvinPerWatt(new double[4]);
      double two =
          Solved.of(new Situation(turned.withCores(1), other, point.asBought()))
              .meanKelvinPerWatt(new double[4]);
      assertThat(two).as(point.name()).isCloseTo(one, within(2e-3 * one));
    }
  }

  /** Other units are another way to write the same answer. */
  @Test
  void unitsChangeTheWordsAndNotTheAnswer() {
    StartingPoint point = StartingPoint.CARD_BARE_DIE;
    Situation now = new Situation(point.chip("x"), point.usualCooler(), point.asBought());
    Question asked = question(now, 250, 22);
    Weighing metric = Solved.weigh(asked, WhatIf.AS_IT_IS);
    Notation customary = new Notation(true, true, false, true);
    Weighing inches =
        Weighing.of(
            asked, WhatIf.AS_IT_IS, Solved.of(Weighing.situations(asked, customary)), customary);
    assertThat(inches.recommended()).isEqualTo(metric.recommended());
    for (int i = 0; i < metric.options().size(); i++) {
      assertThat(inches.options().get(i).gainKelvin())
          .isEqualTo(metric.options().get(i).gainKelvin());
    }
  }

  /** Coolant and chip tell the same heat, or the advice says that they do not. */
  @Test
  void theCoolantChecksThePower() {
    StartingPoint point = StartingPoint.WORKSTATION_CHIPLETS_SOLDER;
    Cooler loop = point.usualCooler().withFlowLitresPerHour(120.0);
    for (double warms : new double[] {2.0, 0.8}) {
      Situation now = new Situation(point.chip("x"), loop.withWarmsKelvin(warms), point.asBought());
      Weighing w = Solved.weigh(question(now, 280, 22), WhatIf.AS_IT_IS);
      assertThat(w.reasons())
          .anyMatch(r -> r.contains(warms > 1 ? "fits the chip's" : "check both readings"));
    }
  }

  /**
   * Another block in the loop warms the coolant: of the same reading less is the chip's own, and
   * its forecast is that of the chip alone.
   */
  @Test
  void otherHeatInTheLoopIsNotTheChips() {
    StartingPoint point = StartingPoint.WORKSTATION_CHIPLETS_SOLDER;
    Cooler loop = point.usualCooler().withRadiatorKelvinPerWatt(0.03);
    Situation alone = new Situation(point.chip("x"), loop, point.asBought());
    Situation shared = new Situation(alone.chip(), loop.withOtherWatts(300.0), alone.build());
    double[] likely = new double[Unknowns.ALL];
    Unknowns unknowns = new Unknowns(alone);
    double own = unknowns.riseKelvin(Solved.of(alone), unknowns.now(likely), likely, 280, 22);
    // By hand: 300 W through 0.03 K/W are 9 K that no joint takes away.
    Reading read = Reading.checked("r", 280.0, 22 + own + 9, 22.0, 22 + 580 * 0.03, null);
    Question asked = question(shared, 280, 22).withReadings(List.of(read));
    Weighing told = Solved.weigh(asked, WhatIf.AS_IT_IS);
    Weighing untold =
        Solved.weigh(question(alone, 280, 22).withReadings(List.of(read)), WhatIf.AS_IT_IS);
    assertThat(told.riseNowKelvin()).isCloseTo(own + 9, within(0.7));
    // Without it the same coolant speaks for a worse loop or more heat.
    assertThat(untold.riseNowKelvin()).isGreaterThan(told.riseNowKelvin());
    double plain = metalForecast(alone, 280, 22).gainKelvin();
    double with = told.option(OptionKind.METAL_GLUED).gainKelvin();
    double without = untold.option(OptionKind.METAL_GLUED).gainKelvin();
    assertThat(Math.abs(with - plain)).isLessThan(Math.abs(without - plain) / 2);
  }

  /**
   * What sits in the base spreads; what lies beyond does not. So of two coolers of one resistance
   * the one with less in its base keeps a small bare die cooler under the plate.
   */
  @Test
  void whatLiesBeyondTheBaseHasNoPartInSpreading() {
    StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_PASTE;
    Build bare = new Build(false, 0, point.asBought().inner(), Joint.usual(Filling.PASTE));
    Cooler fins = CoolerClass.BOXED.usual("c", 3.5).withResistanceKelvinPerWatt(0.2);
    Cooler tower =
        new Cooler(
            "c",
            fins.widthMillimetres(),
            fins.depthMillimetres(),
            fins.thicknessMillimetres(),
            fins.material(),
            0.2,
            CoolerClass.AIR_TOWER,
            fins.finWidthMillimetres(),
            fins.finDepthMillimetres(),
            3.5);
    double all =
        Solved.of(new Situation(point.chip("x"), fins, bare)).meanKelvinPerWatt(new double[4]);
    double part =
        Solved.of(new Situation(point.chip("x"), tower, bare)).meanKelvinPerWatt(new double[4]);
    assertThat(part).isLessThan(all);
    assertThat(part).isGreaterThan(0.2);
  }
}
