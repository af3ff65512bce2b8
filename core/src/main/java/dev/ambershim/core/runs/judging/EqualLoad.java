package dev.ambershim.core.runs.judging;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.assembly.Room;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;

/**
 * Whether two sides ran under equal conditions, and what to do where they did not. Conduction is
 * linear: a rise goes with the power as long as the load keeps its pattern and the cooler its fan,
 * so a small difference of power is corrected. A fan that ran differently cannot be: what it does
 * to the rise is not in the log.
 */
public final class EqualLoad {
  /** Power may differ by this share before the runs stop being of one load; common practice. */
  static final double POWER_SHARE = 0.10;

  /** Power that differs by less is corrected as well, but not worth a word. */
  private static final double POWER_WORD = 0.005;

  /** Without the room a rise cannot be corrected; more than this is no equal load then. */
  private static final double POWER_UNCORRECTED = 0.03;

  /** Clock may differ by this share where there is no power to go by; common practice. */
  private static final double CLOCK_SHARE = 0.02;

  private static final double VOLTAGE_SHARE = 0.02;

  /**
   * Fans and pumps may differ by this share before they count as set otherwise; common practice.
   */
  public static final double TURNS_SHARE = 0.10;

  private static final double LOAD_POINTS = 5;

  /**
   * Share of a correction that is left open, at 95 %. Silicon conducts worse as it gets hotter,
   * which makes the rise's exponent 1.005 to 1.07 on usual chips at 80 to 200 W; power that is
   * missing in the cores alone adds 0.004 to 0.02, solved in full. Where a hub die keeps its heat
   * that is 0.12 to 0.14, which a run does not tell.
   */
  public static final double OPEN_SHARE = 0.1;

  private static final double NINETEEN_OF_TWENTY = Interval.normalHalf(0.95);

  private final SideSummary a;
  private final SideSummary b;
  private final Notation notation;
  private final double powerShare;

  /** Standard error of the change by rooms that were typed, K. */
  private final double typedKelvin;

  /** Standard error of the quotient of the powers. */
  private final double powerError;

  /** How far rooms that moved may have shifted the change, K. */
  private final double movedKelvin;

  /** Whether power differed and could not be corrected. */
  private boolean uncorrected;

  /** Why the sides cannot be compared; empty if they can. */
  final List<String> obstacles = new ArrayList<>();

  /** What to bear in mind. */
  final List<String> reasons = new ArrayList<>();

  /** Rises after times this are rises at the power before. */
  final double factor;

  private final int fanTurned;

  EqualLoad(
      List<RunAnalysis> before,
      List<RunAnalysis> after,
      SideSummary a,
      SideSummary b,
      boolean rooms,
      double typedRoomKelvin,
      Notation notation) {
    this.a = a;
    this.b = b;
    this.notation = notation;
    powerShare = Math.abs(b.powerWatts() - a.powerWatts()) / a.powerWatts();
    long counts =
        Stream.concat(before.stream(), after.stream())
            .mapToInt(r -> r.coreCelsius().size())
            .distinct()
            .count();
    if (counts > 1) {
      obstacles.add("they do not have the same count of core temperatures");
    }
    typedKelvin = typedRoomKelvin * Math.sqrt(typed(before) + typed(after));
    powerError = Math.hypot(powerError(before), powerError(after));
    movedKelvin = Math.hypot(moved(before), moved(after));
    factor = power(rooms);
    clockAndVoltage();
    if (Math.abs(b.conditions().loadPercent() - a.conditions().loadPercent()) > LOAD_POINTS) {
      obstacles.add("the load was " + both(s -> s.conditions().loadPercent(), Unit.PERCENT));
    }
    fanTurned =
        turns("fan", s -> s.conditions().fanTurnsPerMinute())
            + turns("pump", s -> s.conditions().pumpTurnsPerMinute());
  }

  /** By how much of its own a typed room counts; the same thermometer errs alike in all runs. */
  private static int typed(List<RunAnalysis> side) {
    return side.stream().anyMatch(RunAnalysis::roomTyped) ? 1 : 0;
  }

  private static double powerError(List<RunAnalysis> side) {
    double squares = side.stream().mapToDouble(r -> Math.pow(r.doubts().powerWatts(), 2)).sum();
    double watts = side.stream().mapToDouble(RunAnalysis::powerWatts).sum();
    return watts > 0 ? Math.sqrt(squares) / watts : 0;
  }

  /** Rooms that moved in several runs of a side did so alike, at worst. */
  private static double moved(List<RunAnalysis> side) {
    return side.stream().mapToDouble(r -> r.doubts().shiftKelvin()).average().orElse(0);
  }

  private double power(boolean rooms) {
    String watts = both(SideSummary::powerWatts, Unit.WATT);
    if (powerShare > POWER_SHARE) {
      obstacles.add("the chip drew " + watts);
      return 1;
    }
    if (Double.isNaN(powerShare)) {
      return 1;
    }
    if (!rooms) {
      if (powerShare > POWER_UNCORRECTED) {
        obstacles.add("the chip drew " + watts + ", and without the room that cannot be corrected");
      } else if (powerShare > POWER_WORD) {
        reasons.add(
            "The chip drew "
                + watts
                + "; without the room that cannot be corrected, so it widens the interval.");
      }
      uncorrected = true;
      return 1;
    }
    double by = a.powerWatts() / b.powerWatts();
    if (powerShare <= POWER_WORD) {
      return by;
    }
    reasons.add(
        "Power: "
            + watts
            + "; rises are brought to the power before. As measured: "
            + notation.text(b.riseKelvin() - a.riseKelvin(), Unit.KELVIN)
            + ".");
    return by;
  }

  private void clockAndVoltage() {
    double clockShare = Math.abs(b.clockMegahertz() - a.clockMegahertz()) / a.clockMegahertz();
    double volts = a.conditions().voltageVolts();
    double voltShare = Math.abs(b.conditions().voltageVolts() - volts) / volts;
    boolean powerTells = powerShare <= POWER_SHARE;
    if (clockShare > CLOCK_SHARE) {
      String words = both(SideSummary::clockMegahertz, Unit.MEGAHERTZ);
      (powerTells ? reasons : obstacles)
          .add((powerTells ? "The" : "the") + " chip ran at " + words + (powerTells ? "." : ""));
    }
    if (voltShare > VOLTAGE_SHARE) {
      String words = both(s -> s.conditions().voltageVolts(), Unit.VOLT);
      (powerTells ? reasons : obstacles)
          .add((powerTells ? "The" : "the") + " cores had " + words + (powerTells ? "." : ""));
    }
    if (Double.isNaN(powerShare) && Double.isNaN(clockShare)) {
      reasons.add("Neither power nor clock is known for both sides; equal load is taken on trust.");
    }
  }

  /** 1 if it turned faster after, −1 if slower, 0 if alike or unknown. */
  private int turns(String what, ToDoubleFunction<SideSummary> speed) {
    double first = speed.applyAsDouble(a);
    double second = speed.applyAsDouble(b);
    if (!(Math.abs(second - first) > TURNS_SHARE * first)) {
      return 0;
    }
    reasons.add("The " + what + " turned at " + both(speed, Unit.TURNS_PER_MINUTE) + ".");
    return second > first ? 1 : -1;
  }

  /**
   * What a fan or pump that ran differently does to a verdict: it can only have hidden part of the
   * change, or it may be the whole of it.
   *
   * @return why the verdict cannot stand, or empty
   */
  String fanAgainst(Verdict verdict) {
    if (fanTurned == 0) {
      return "";
    }
    boolean helped = verdict == Verdict.HELPED;
    boolean hurt = verdict == Verdict.HURT;
    if ((helped && fanTurned < 0) || (hurt && fanTurned > 0)) {
      reasons.add(
          "With equal speed the change would be larger still, so it is at least what is said.");
      return "";
    }
    return "fan or pump did not run alike, and what that does to the rise is not in the logs";
  }

  /**
   * What the conditions leave open of a figure, as a standard deviation: part of the correction of
   * power, and a typed room's own error.
   *
   * @param after the figure after the work
   */
  double open(Figure figure, double after) {
    if (figure == Figure.RESISTANCE) {
      // By power already, so nothing was corrected; the room counts in it all the same.
      return typedKelvin / a.powerWatts();
    }
    double correction =
        Math.hypot(
            OPEN_SHARE / NINETEEN_OF_TWENTY * Math.abs((factor - 1) * after),
            uncorrected ? 0 : powerError * Math.abs(after));
    return overRoom(figure) ? Math.hypot(correction, typedKelvin) : correction;
  }

  /**
   * How far a figure may have moved because power differed and could not be corrected, or because
   * rooms moved and the cooler lagged behind: each lies to one side, so it widens the interval by
   * itself.
   *
   * @param after the figure after the work
   */
  double shift(Figure figure, double after) {
    if (figure == Figure.RESISTANCE) {
      return movedKelvin / a.powerWatts();
    }
    double moved = overRoom(figure) ? movedKelvin : 0;
    if (!uncorrected || Double.isNaN(powerShare)) {
      return moved;
    }
    return moved + powerShare * Math.abs(overRoom(figure) ? after - Room.USUAL_CELSIUS : after);
  }

  /** Whether a figure counts from the room, where that is known. */
  private static boolean overRoom(Figure figure) {
    return figure == Figure.RISE || figure == Figure.HOTTEST || figure == Figure.PACKAGE;
  }

  private String both(ToDoubleFunction<SideSummary> figure, Unit unit) {
    return notation.text(figure.applyAsDouble(a), unit)
        + " before and "
        + notation.text(figure.applyAsDouble(b), unit)
        + " after";
  }
}
