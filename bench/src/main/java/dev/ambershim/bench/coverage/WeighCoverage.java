package dev.ambershim.bench.coverage;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Reading;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Cooler;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.assembly.Die;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.build.Responses;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.physics.modes.SteadySolver;
import dev.ambershim.core.plan.OptionKind;
import dev.ambershim.core.plan.Terms;
import dev.ambershim.core.stage.weigh.OptionForecast;
import dev.ambershim.core.stage.weigh.OwnRecord;
import dev.ambershim.core.stage.weigh.Question;
import dev.ambershim.core.stage.weigh.Weighing;
import dev.ambershim.core.stage.weigh.WhatIf;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalLong;
import java.util.Random;

/**
 * How often Weigh's eight cases in ten hold. A true chip is built here, layer by layer, with what
 * Weigh does not know: cores in other places, a hot place in each, plate, fins, lid, joints and
 * silicon other than taken, heat by leakage of its own, sensors that err together. It is read once,
 * or several times on one mount, then worked on, and solved again.
 */
public final class WeighCoverage {
  private static final double WATTS = 150;
  private static final double ROOM = 22;

  private WeighCoverage() {}

  /** One true chip. */
  private static final class Truth {
    final Situation taken;
    final Random random;
    final List<Patch> cores = new ArrayList<>();
    final List<Double> shares = new ArrayList<>();
    final double hotKelvinPerWatt;
    final double silicon;
    final double plateThick;
    final double plateMetal;
    final double fins;
    final double lidThick;
    final double inner;
    final double outer;
    final double cooler;
    final double heat;

    Truth(Situation taken, Random random) {
      this.taken = taken;
      this.random = random;
      Chip chip = taken.chip();
      for (Die die : chip.dies()) {
        if (die.powerShare() > 0.3 || chip.dies().size() == 1) {
          places(die, Math.max(1, (int) Math.round(chip.cores() * die.powerShare())));
        }
      }
      // A quarter to three fifths of a core's heat within 0.6 to 1.7 mm. Cores are copies of each
      // other, so their sensors sit alike: in the hot place's middle, or up to twice as far off.
      double radius = 0.6 + 1.1 * random.nextDouble();
      double share = 0.25 + 0.35 * random.nextDouble();
      hotKelvinPerWatt = disc(2 * random.nextDouble()) * share / (0.115 * radius);
      // Spreads as wide as the handbook says that people's are: nine of ten within its ranges.
      silicon = 120 * factor(0.12);
      plateThick = factor(0.12);
      plateMetal = 401 * factor(0.03);
      fins = factor(0.12);
      lidThick = factor(0.05);
      boolean paste = taken.build().inner().filling() == Filling.FACTORY_PASTE;
      inner = paste ? factor(0.36) : factor(0.33);
      outer = factor(0.38);
      cooler = factor(0.18);
      heat = factor(0.06);
    }

    /**
     * What a disc of heat makes of the surface of a half-space at some of its radii from the
     * middle, by heat over conductivity and radius (Carslaw & Jaeger, 8.2; elliptic integrals by
     * tables).
     */
    private static double disc(double radii) {
      double[] table = {0.318, 0.297, 0.203, 0.113, 0.083};
      int below = (int) Math.min(table.length - 2, Math.floor(2 * radii));
      return table[below] + (2 * radii - below) * (table[below + 1] - table[below]);
    }

    private double factor(double sigma) {
      return Math.exp(sigma * random.nextGaussian());
    }

    /** Cores in two rows on a part of the die only, moved off its middle. */
    private void places(Die die, int count) {
      double part = 0.7 + 0.3 * random.nextDouble();
      double free = (1 - part) * die.depthMillimetres() / 2;
      double middle = die.yMillimetres() + free * (2 * random.nextDouble() - 1);
      int rows = (count + 1) / 2;
      double wide = die.widthMillimetres() * 0.46;
      double deep = die.depthMillimetres() * part / rows;
      for (int c = 0; c < count; c++) {
        double x = die.xMillimetres() + (c % 2 == 0 ? -1 : 1) * die.widthMillimetres() * 0.24;
        double y = middle + (Math.floorDiv(c, 2) - (rows - 1) / 2.0) * deep;
        cores.add(new Patch(x, y, wide * 0.9, deep * 0.85));
        shares.add(die.powerShare() * (0.9 + 0.2 * random.nextDouble()));
      }
    }

    /** Mean of the core sensors over the room, K, for a heat and joints. */
    double rise(double watts, double innerMicrometres, double innerK, double outerSpecific) {
      Chip chip = taken.chip();
      Cooler by = taken.cooler();
      List<Patch> dies = new ArrayList<>();
      for (Die die : chip.dies()) {
        dies.add(
            new Patch(
                die.xMillimetres(),
                die.yMillimetres(),
                die.widthMillimetres(),
                die.depthMillimetres()));
      }
      Patch lid = new Patch(0, 0, chip.lid().widthMillimetres(), chip.lid().depthMillimetres());
      Patch plate = new Patch(0, 0, by.widthMillimetres(), by.depthMillimetres());
      Patch finned =
          new Patch(
              0,
              0,
              Math.min(by.widthMillimetres(), by.finWidthMillimetres() * fins),
              Math.min(by.depthMillimetres(), by.finDepthMillimetres() * fins));
      List<StackLayer> layers = new ArrayList<>();
      double die = chip.highestDieMicrometres();
      layers.add(StackLayer.solid("die", silicon, dies.get(0), die).over(dies));
      layers.add(StackLayer.joint("inner", innerK, dies.get(0), innerMicrometres).over(dies));
      layers.add(
          StackLayer.solid("lid", 390, lid, chip.lid().thicknessMillimetres() * 1000 * lidThick));
      layers.add(StackLayer.joint("outer", 5, lid, 5 * outerSpecific));
      layers.add(
          StackLayer.solid(
              "plate", plateMetal, plate, by.thicknessMillimetres() * 1000 * plateThick));
      layers.add(StackLayer.joint("fins", 401, finned, 150));
      double all = shares.stream().mapToDouble(s -> s).sum();
      double inCores = watts * 0.72;
      List<HeatSource> sources = new ArrayList<>();
      for (int c = 0; c < cores.size(); c++) {
        sources.add(HeatSource.steady("core " + c, cores.get(c), inCores * shares.get(c) / all));
      }
      double rest = chip.dies().stream().mapToDouble(Die::powerShare).sum();
      for (int d = 0; d < dies.size(); d++) {
        double share = chip.dies().get(d).powerShare() / rest;
        sources.add(HeatSource.steady("rest " + d, dies.get(d), (watts - inCores) * share));
      }
      double base = by.baseKelvinPerWatt() * cooler;
      double area = finned.widthMillimetres() * finned.depthMillimetres() * 1e-6;
      StackCase stack = new StackCase(layers, sources, 1 / (base * area), 0);
      var solved = SteadySolver.plain().solve(stack, OptionalLong.empty(), 0.005);
      double mean = 0;
      for (int c = 0; c < cores.size(); c++) {
        double own = inCores * shares.get(c) / all;
        mean += (solved.sources().get(c).meanCelsius() + hotKelvinPerWatt * own) / cores.size();
      }
      return mean + by.beyondKelvinPerWatt() * cooler * watts;
    }
  }

  /**
   * One set.
   *
   * @param readings how many of one mount
   */
  static Coverage set(String name, StartingPoint point, int readings, int repeats) {
    Situation now =
        new Situation(point.chip("x"), CoolerClass.LARGE_LOOP.usual("c", 3.5), point.asBought());
    Responses solved = new Responses();
    int told = 0;
    int held = 0;
    double width = 0;
    for (int r = 0; r < repeats; r++) {
      Random random = Chance.of(name, r);
      Truth truth = new Truth(now, random);
      double innerK = now.build().inner().conductivityWattsPerMetreKelvin() / truth.inner;
      double outer = now.build().outer().resistanceSquareMillimetreKelvinPerWatt() * truth.outer;
      double rise =
          truth.rise(WATTS * truth.heat, now.build().inner().bondLineMicrometres(), innerK, outer);
      double mount = 0.5 * random.nextGaussian();
      double sensors = 2 * random.nextGaussian();
      List<Reading> read = new ArrayList<>();
      for (int k = 0; k < readings; k++) {
        double shown = rise + mount + sensors + 0.2 * random.nextGaussian();
        read.add(Reading.plain("r" + k, WATTS, ROOM + shown, ROOM));
      }
      Question question =
          new Question(now, WATTS, ROOM, 1, read, List.of(), Terms.USUAL, OwnRecord.NONE);
      Weighing weighing =
          Weighing.of(
              question,
              WhatIf.AS_IT_IS,
              solved.of(Weighing.situations(question, Notation.METRIC), SolveWatch.NONE),
              Notation.METRIC);
      // The film that the work leaves, and fresh paste outside, as scattered as hands are.
      OptionForecast glued = weighing.option(OptionKind.METAL_GLUED);
      double likely = glued.option().situation().build().inner().bondLineMicrometres();
      // A film that is pressed thin is less sure than one in a gap that was reckoned.
      double film = likely * Math.exp((likely > 25 ? 0.26 : 0.43) * random.nextGaussian());
      double metal = 20.7 * Math.exp(0.22 * random.nextGaussian());
      double fresh = 10 * Math.exp(0.38 * random.nextGaussian());
      double after = truth.rise(WATTS * truth.heat, film, metal, fresh);
      Interval interval = glued.gain();
      told++;
      held += interval.contains(rise - after) ? 1 : 0;
      width += interval.width() / 2;
    }
    return new Coverage(name, repeats, told, held, 0, width / Math.max(1, told));
  }

  /** How heat goes with voltage and clock: nine of ten true exponents in the handbook's ranges. */
  static Coverage exponents(OptionKind kind, int repeats) {
    StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_PASTE;
    Situation now =
        new Situation(point.chip("x"), CoolerClass.LARGE_LOOP.usual("c", 3.5), point.asBought());
    Question question =
        new Question(
            now,
            WATTS,
            ROOM,
            1,
            List.of(Reading.plain("r", WATTS, 78, ROOM)),
            List.of(),
            Terms.USUAL,
            OwnRecord.NONE);
    Weighing weighing =
        Weighing.of(
            question,
            WhatIf.AS_IT_IS,
            new Responses().of(Weighing.situations(question, Notation.METRIC), SolveWatch.NONE),
            Notation.METRIC);
    Interval interval = weighing.option(kind).gain();
    int held = 0;
    for (int r = 0; r < repeats; r++) {
      Random random = Chance.of(kind.name(), r);
      double exponent = kind == OptionKind.LOWER_VOLTAGE ? 2.2 : 2;
      exponent += 0.486 * random.nextGaussian();
      double gain = 56 * (1 - Math.pow(0.95, exponent)) + 0.3 * random.nextGaussian();
      held += interval.contains(gain) ? 1 : 0;
    }
    return new Coverage(
        "weigh." + kind.name().toLowerCase(Locale.ROOT),
        repeats,
        repeats,
        held,
        0,
        interval.width() / 2);
  }

  /** All sets; the longer ones have a fifth of the cases, as each is solved. */
  public static List<Coverage> all(int repeats) {
    int few = Math.max(20, repeats / 5);
    return List.of(
        set("weigh.paste", StartingPoint.DESKTOP_ONE_DIE_PASTE, 1, few),
        set("weigh.paste.twelve", StartingPoint.DESKTOP_ONE_DIE_PASTE, 12, few),
        set("weigh.solder", StartingPoint.DESKTOP_ONE_DIE_SOLDER, 1, few),
        set("weigh.chiplets", StartingPoint.DESKTOP_CHIPLETS_SOLDER, 1, few),
        exponents(OptionKind.LOWER_VOLTAGE, repeats),
        exponents(OptionKind.LOWER_CLOCK, repeats));
  }
}
