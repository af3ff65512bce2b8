package dev.ambershim.core.stage.prove;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Cooler;
import dev.ambershim.core.physics.build.Ladder;
import dev.ambershim.core.physics.build.Ladder.Doubt;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.physics.material.Material;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;

/**
 * The expected change of rise from one build to another at the same heat, by series resistances.
 * Each doubtful figure is moved to its ends alone and the effects are added as squares (JCGM
 * 100:2008, 5.1, for inputs that do not depend on each other); a figure that both builds share is
 * moved in both, so that what does not change cancels.
 */
public final class Expectation {
  /** About nine cases in ten, as the factors of the joints are stated. */
  static final double LEVEL = 0.9;

  private Expectation() {}

  /**
   * Expected rise after minus rise before.
   *
   * @param watts heat of the chip, positive
   * @param notation how the sentence writes its figures
   * @throws IllegalArgumentException if {@code watts} is not positive
   */
  public static Finding change(
      Chip chip, Cooler cooler, Build before, Build after, double watts, Notation notation) {
    if (!(watts > 0)) {
      throw new IllegalArgumentException("watts must be positive, not " + watts);
    }
    double likely = delta(chip, cooler, before, after, Doubt.NONE, Doubt.NONE) * watts;
    double up = 0;
    double down = 0;
    for (double[] ends : swings(chip, cooler, before, after)) {
      double a = ends[0] * watts - likely;
      double b = ends[1] * watts - likely;
      up += Math.pow(Math.max(0, Math.max(a, b)), 2);
      down += Math.pow(Math.max(0, Math.max(-a, -b)), 2);
    }
    Interval interval = new Interval(likely - Math.sqrt(down), likely + Math.sqrt(up), LEVEL);
    return new Finding(
        "forecast.change",
        sentence(likely, interval, watts, notation),
        likely,
        Unit.KELVIN,
        Optional.of(interval),
        working(chip, cooler, before, after, watts));
  }

  private static double delta(
      Chip chip, Cooler cooler, Build before, Build after, Doubt first, Doubt second) {
    return Ladder.of(chip, cooler, after, second).totalKelvinPerWatt()
        - Ladder.of(chip, cooler, before, first).totalKelvinPerWatt();
  }

  /** Both ends of the change for every doubtful figure, K/W. */
  private static List<double[]> swings(Chip chip, Cooler cooler, Build before, Build after) {
    // Moves one figure to an end in the first build, the second, or both.
    record Swing(
        DoubleFunction<Doubt> doubt, double low, double high, boolean first, boolean second) {}
    DoubleFunction<Doubt> inner = f -> new Doubt(f, 1, 1, 1);
    DoubleFunction<Doubt> outer = f -> new Doubt(1, f, 1, 1);
    Filling was = before.inner().filling();
    Filling becomes = after.inner().filling();
    List<Swing> swings = new ArrayList<>();
    if (before.lidOn() && after.lidOn() && before.inner().equals(after.inner())) {
      swings.add(new Swing(inner, was.lowFactor(), was.highFactor(), true, true));
    } else {
      swings.add(new Swing(inner, was.lowFactor(), was.highFactor(), true, false));
      swings.add(new Swing(inner, becomes.lowFactor(), becomes.highFactor(), false, true));
    }
    // The outer joint is made anew at every mounting, so its doubt never cancels.
    Filling under = before.outer().filling();
    Filling above = after.outer().filling();
    swings.add(new Swing(outer, under.lowFactor(), under.highFactor(), true, false));
    swings.add(new Swing(outer, above.lowFactor(), above.highFactor(), false, true));
    double silicon = Material.SILICON.likelyWattsPerMetreKelvin();
    swings.add(
        new Swing(
            f -> new Doubt(1, 1, f, 1),
            Material.SILICON.lowWattsPerMetreKelvin() / silicon,
            Material.SILICON.highWattsPerMetreKelvin() / silicon,
            true,
            true));
    swings.add(new Swing(f -> new Doubt(1, 1, 1, f), 0.8, 1.25, true, true));
    List<double[]> ends = new ArrayList<>();
    for (Swing swing : swings) {
      double[] pair = new double[2];
      for (int end = 0; end < 2; end++) {
        Doubt moved = swing.doubt().apply(end == 0 ? swing.low() : swing.high());
        pair[end] =
            delta(
                chip,
                cooler,
                before,
                after,
                swing.first() ? moved : Doubt.NONE,
                swing.second() ? moved : Doubt.NONE);
      }
      ends.add(pair);
    }
    return ends;
  }

  private static String sentence(
      double likely, Interval interval, double watts, Notation notation) {
    String at = " at " + notation.text(watts, Unit.WATT) + ".";
    if (interval.contains(0)) {
      return "Expect little: a change of "
          + notation.text(likely, Unit.KELVIN)
          + " ("
          + notation.range(interval, Unit.KELVIN)
          + ")"
          + at;
    }
    Interval size = likely < 0 ? interval.negated() : interval;
    return "Expect it to run "
        + notation.text(Math.abs(likely), Unit.KELVIN)
        + (likely < 0 ? " cooler (" : " hotter (")
        + notation.range(size, Unit.KELVIN)
        + ")"
        + at;
  }

  private static Working working(
      Chip chip, Cooler cooler, Build before, Build after, double watts) {
    List<Working.Input> inputs = new ArrayList<>();
    inputs.add(new Working.Input("heat", watts, Unit.WATT));
    inputs.add(
        new Working.Input("die area", chip.dieAreaSquareMillimetres(), Unit.SQUARE_MILLIMETRE));
    addSteps(inputs, "before, ", Ladder.of(chip, cooler, before));
    addSteps(inputs, "after, ", Ladder.of(chip, cooler, after));
    return new Working(
        "change = heat × (sum of resistances after − sum before); lid and cold plate spread heat by"
            + " a closed form; each doubtful figure moved to its ends alone, effects added as"
            + " squares",
        inputs,
        "Lee, Song, Au & Moran (1995) for spreading; Incropera & DeWitt for conductivities;"
            + " joints by common practice and published liquid-metal measurements",
        List.of(
            "Several dies count as one source of their joint area.",
            "Heat into the board is left out.",
            "Temperatures are means over the die, not the hottest core.",
            "The interval holds about nine cases in ten, by common practice."));
  }

  private static void addSteps(List<Working.Input> inputs, String side, Ladder ladder) {
    for (Ladder.Step step : ladder.steps()) {
      inputs.add(new Working.Input(side + step.name(), step.kelvinPerWatt(), Unit.KELVIN_PER_WATT));
    }
  }
}
