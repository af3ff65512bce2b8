package dev.ambershim.core.stage.close;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.Part;
import dev.ambershim.core.physics.assembly.Room;
import dev.ambershim.core.physics.build.BuildStack;
import dev.ambershim.core.physics.build.CoreLayout;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.material.Material;
import dev.ambershim.core.physics.multigrid.Team;
import dev.ambershim.core.physics.multigrid.TransientSolver;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;

/**
 * The first minute after the work, by the solution in time: with a joint as it is meant, and with a
 * plate that does not touch. All of the machine is at the room's temperature when it is switched
 * on, and it idles. What sensors add by themselves is left out.
 *
 * @param watts heat while it idles
 * @param seconds times
 * @param goodCelsius hottest core at each time if the joint is good
 * @param badCelsius the same if air of a tenth of a millimetre lies under the plate, as far as the
 *     chip's own protection lets it
 * @param tripsCelsius where that protection slows the chip down or switches it off
 */
public record FirstStart(
    double watts,
    List<Double> seconds,
    List<Double> goodCelsius,
    List<Double> badCelsius,
    double tripsCelsius) {
  private static final double[] TIMES = {0, 1, 2, 5, 10, 20, 30, 60};

  /** Share of its full heat that a chip takes while its settings are open; common practice. */
  private static final double IDLE = 0.2;

  private static final long CELLS = 2500;
  private static final double AIR_GAP_MICROMETRES = 100;
  private static final double AIR = 0.0263;

  /** Copies its lists. */
  public FirstStart {
    seconds = List.copyOf(seconds);
    goodCelsius = List.copyOf(goodCelsius);
    badCelsius = List.copyOf(badCelsius);
  }

  /**
   * Works it out.
   *
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public static FirstStart of(Job job, SolveWatch watch) {
    StackCase stack =
        BuildStack.likely(
            new Situation(job.chip(), job.cooler(), job.after()),
            job.heatWatts() * IDLE,
            Room.USUAL_CELSIUS);
    int cores = CoreLayout.of(job.chip()).cores().size();
    List<Double> times = new ArrayList<>();
    for (double t : TIMES) {
      times.add(t);
    }
    double trips = job.ladder().limitCelsius();
    return new FirstStart(
        job.heatWatts() * IDLE,
        times,
        capped(course(job, stack, 1, cores, watch), trips),
        capped(course(job, stack, bad(stack), cores, watch), trips),
        trips);
  }

  private static List<Double> capped(List<Double> course, double trips) {
    return course.stream().map(c -> Math.min(c, trips)).toList();
  }

  /** When the chip's protection trips, s; empty if it does not within the minute. */
  private OptionalDouble trips(List<Double> course) {
    for (int i = 0; i < course.size(); i++) {
      if (course.get(i) >= tripsCelsius) {
        return OptionalDouble.of(seconds.get(i));
      }
    }
    return OptionalDouble.empty();
  }

  /** How much worse the joint under the plate is when it is air. */
  private static double bad(StackCase stack) {
    for (StackLayer layer : stack.layers()) {
      if (layer.name().equals(Part.OUTER)) {
        return AIR_GAP_MICROMETRES
            / AIR
            / (layer.thicknessMicrometres() / layer.conductivityWattsPerMetreKelvin());
      }
    }
    throw new IllegalStateException("no joint under the plate");
  }

  private static List<Double> course(
      Job job, StackCase stack, double worse, int cores, SolveWatch watch) {
    List<StackLayer> layers = new ArrayList<>();
    for (StackLayer layer : stack.layers()) {
      StackLayer made = layer.withHeatCapacity(capacity(job, layer));
      boolean outer = layer.name().equals(Part.OUTER);
      layers.add(
          outer
              ? new StackLayer(
                  made.name(),
                  made.conductivityWattsPerMetreKelvin() / worse,
                  made.fall(),
                  made.patches(),
                  made.thicknessMicrometres(),
                  made.crossing(),
                  made.contactSquareMillimetreKelvinPerWatt(),
                  made.map(),
                  made.heatCapacityJoulesPerCubicMetreKelvin())
              : made);
    }
    StackCase timed =
        new StackCase(
            layers,
            stack.heat(),
            stack.filmWattsPerSquareMetreKelvin(),
            Room.USUAL_CELSIUS); // within a minute nothing beyond the base has warmed up
    double[][] watts = new double[TIMES.length][];
    for (int i = 0; i < watts.length; i++) {
      watts[i] = stack.heat().stream().mapToDouble(h -> h.watts()).toArray();
    }
    List<Double> hottest = new ArrayList<>();
    for (double[] means :
        new TransientSolver(timed, CELLS, Team.alone(), watch).means(TIMES, watts)) {
      hottest.add(Arrays.stream(means, 0, cores).max().orElse(Double.NaN));
    }
    return hottest;
  }

  private static double capacity(Job job, StackLayer layer) {
    Material material =
        switch (layer.name()) {
          case Part.DIE -> Material.SILICON;
          case Part.LID -> job.chip().lid().material();
          default -> job.cooler().material();
        };
    // Joints are too thin to hold heat that would count.
    return layer.crossing() ? 0 : material.heatCapacityJoulesPerCubicMetreKelvin();
  }

  private static double at(List<Double> course, List<Double> times, double second) {
    return course.get(times.indexOf(second));
  }

  /** What to expect, a sentence each. */
  public List<String> words(Notation notation) {
    double good10 = at(goodCelsius, seconds, 10);
    double good60 = at(goodCelsius, seconds, 60);
    double bad1 = at(badCelsius, seconds, 1);
    double bad10 = at(badCelsius, seconds, 10);
    return List.of(
        "A good joint: about "
            + notation.text(good10, Unit.CELSIUS)
            + " after ten seconds and "
            + notation.text(good60, Unit.CELSIUS)
            + " after a minute, from a room of "
            + notation.text(Room.USUAL_CELSIUS, Unit.CELSIUS)
            + " at "
            + notation.text(watts, Unit.WATT)
            + ".",
        "A plate that does not touch: about "
            + notation.text(bad1, Unit.CELSIUS)
            + " within a second"
            + (trips(badCelsius).isPresent()
                ? "; the chip protects itself at "
                    + notation.text(tripsCelsius, Unit.CELSIUS)
                    + " within "
                    + notation.text(Math.max(1, trips(badCelsius).getAsDouble()), Unit.SECOND)
                : " and " + notation.text(bad10, Unit.CELSIUS) + " within ten")
            + ". Such a jump means air in the joint: power off at once, and mount again.");
  }
}
