package dev.ambershim.core.runs.judging;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.runs.reading.LogReader;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * After against before.
 *
 * @param verdict what it comes to
 * @param sentence the verdict in one sentence
 * @param reasons what led to it and what to bear in mind, a sentence each
 * @param changeKelvin after less before; negative helped; not a number if not comparable
 * @param interval 95 % interval of the change, if there is one
 * @param inRise whether the change is of rise over room air; else of core temperature only
 * @param before the runs before
 * @param after the runs after
 * @param figures the change of each figure that both sides give
 * @param cores the change of each core
 * @param mountsToTell how many mounts each side would tell the smallest difference that matters; 0
 *     if the runs tell already, or if no reasonable count would
 * @param working how it was worked out
 */
public record Comparison(
    Verdict verdict,
    String sentence,
    List<String> reasons,
    double changeKelvin,
    Optional<Interval> interval,
    boolean inRise,
    SideSummary before,
    SideSummary after,
    List<FigureChange> figures,
    List<FigureChange> cores,
    int mountsToTell,
    Working working) {
  public static final double LEVEL = 0.95;

  /** Copies its lists. */
  public Comparison {
    reasons = List.copyOf(reasons);
    figures = List.copyOf(figures);
    cores = List.copyOf(cores);
  }

  /** This comparison as a finding. */
  public Finding finding() {
    return new Finding("prove.change", sentence, changeKelvin, Unit.KELVIN, interval, working);
  }

  /**
   * Judges the runs after against the runs before.
   *
   * @param notation how sentences write figures
   */
  public static Comparison of(
      List<MountedRun> before, List<MountedRun> after, Judging judging, Notation notation) {
    List<String> reasons = new ArrayList<>();
    List<MountedRun> first = fit(before, "before", reasons);
    List<MountedRun> second = fit(after, "after", reasons);
    SideSummary a = SideSummary.of(MountedRun.analyses(first.isEmpty() ? before : first));
    SideSummary b = SideSummary.of(MountedRun.analyses(second.isEmpty() ? after : second));
    List<String> obstacles = new ArrayList<>();
    if (first.isEmpty()) {
      obstacles.add(obstacle(before, "before"));
    }
    if (second.isEmpty()) {
      obstacles.add(obstacle(after, "after"));
    }
    if (!obstacles.isEmpty()) {
      return refused(obstacles, reasons, a, b, judging);
    }
    boolean rooms =
        Stream.concat(first.stream(), second.stream()).allMatch(r -> r.analysis().hasRoom());
    EqualLoad equal =
        new EqualLoad(
            MountedRun.analyses(first),
            MountedRun.analyses(second),
            a,
            b,
            rooms,
            judging.typedRoomKelvin(),
            notation);
    if (!equal.obstacles.isEmpty()) {
      reasons.addAll(equal.reasons);
      return refused(equal.obstacles, reasons, a, b, judging);
    }
    Changes changes = new Changes(first, second, rooms, equal.factor, judging.remountKelvin());
    Difference difference = changes.of(Figure.RISE);
    double rise = changes.after(Figure.RISE);
    double open = equal.open(Figure.RISE, rise);
    Interval interval = difference.interval(LEVEL, open, equal.shift(Figure.RISE, rise));
    Verdict verdict = judge(interval, difference.change(), judging.careKelvin());
    String fan = equal.fanAgainst(verdict);
    reasons.addAll(equal.reasons);
    if (!fan.isEmpty()) {
      return refused(List.of(fan), reasons, a, b, judging);
    }
    if (!rooms) {
      reasons.add(
          "Room air is not known for every run, so the change is in core temperature only; a"
              + " warmer or cooler room would look like a result.");
    }
    reasons.add(difference.words());
    reasons.add(mounts(difference, notation));
    if (verdict == Verdict.TOO_SMALL) {
      boolean within =
          interval.low() > -judging.careKelvin() && interval.high() < judging.careKelvin();
      reasons.add(
          (within
                  ? "The whole interval lies within the "
                  : "It changed, but likely by less than the ")
              + notation.text(judging.careKelvin(), Unit.KELVIN)
              + " that you care about.");
    }
    int needed = needed(verdict, difference, judging.careKelvin(), reasons, notation);
    return new Comparison(
        verdict,
        sentence(verdict, difference.change(), interval, notation, rooms),
        reasons,
        difference.change(),
        Optional.of(interval),
        rooms,
        a,
        b,
        changes.figures(equal),
        changes.cores(equal),
        needed,
        working(a, b, judging, difference, equal.factor, open));
  }

  private static Comparison refused(
      List<String> obstacles, List<String> reasons, SideSummary a, SideSummary b, Judging judging) {
    String sentence =
        "These runs cannot be compared, because " + String.join("; and ", obstacles) + ".";
    reasons.add(0, sentence);
    return new Comparison(
        Verdict.NOT_COMPARABLE,
        sentence,
        reasons,
        Double.NaN,
        Optional.empty(),
        false,
        a,
        b,
        List.of(),
        List.of(),
        0,
        working(a, b, judging, null, 1, 0));
  }

  private static String mounts(Difference difference, Notation notation) {
    String scatter = notation.text(difference.mountScatter(), Unit.KELVIN);
    if (!difference.mountsMeasured()) {
      return "One mount each side does not tell how much a new mount changes. A standard"
          + " deviation of "
          + scatter
          + " is assumed (common practice; you can change it).";
    }
    return "Between mounts the standard deviation is "
        + scatter
        + "; the noise within the runs alone would give the change an error of "
        + notation.fixed(difference.withinError(), 2)
        + " K.";
  }

  private static int needed(
      Verdict verdict,
      Difference difference,
      double care,
      List<String> reasons,
      Notation notation) {
    if (verdict != Verdict.CANNOT_TELL || !(care > 0)) {
      return 0;
    }
    // One mount's result scatters by what mounts do and by the noise of its run.
    double scatter =
        difference.mountsMeasured()
            ? difference.mountScatter()
            : Math.hypot(difference.mountScatter(), difference.withinError() / Math.sqrt(2));
    if (!(scatter > 0)) {
      return 0;
    }
    int n = RunsNeeded.eachSide(scatter, care);
    if (n == Integer.MAX_VALUE) {
      reasons.add(
          "No reasonable count of runs would tell "
              + notation.text(care, Unit.KELVIN)
              + " apart at this scatter; make the runs longer or steadier.");
      return 0;
    }
    reasons.add(
        "About "
            + n
            + " mounts each side would tell a difference of "
            + notation.text(care, Unit.KELVIN)
            + " four times in five.");
    return n;
  }

  private static List<MountedRun> fit(List<MountedRun> runs, String side, List<String> reasons) {
    List<MountedRun> fit = new ArrayList<>();
    for (MountedRun mounted : runs) {
      RunAnalysis run = mounted.analysis();
      if (run.unfit().isEmpty()) {
        fit.add(mounted);
      } else {
        reasons.add(run.fileName() + " (" + side + ") does not count: " + run.unfit().get() + ".");
      }
      run.disbelieved().forEach(d -> reasons.add(run.fileName() + ": " + d.words()));
      if (run.unfit().isEmpty() && run.throttledSamples() > 0) {
        reasons.add(
            run.fileName()
                + ": "
                + LogReader.count(run.throttledSamples(), "throttled sample")
                + ", "
                + Math.round(run.throttledSeconds())
                + " s, left out.");
      }
    }
    return fit;
  }

  private static String obstacle(List<MountedRun> runs, String side) {
    if (runs.isEmpty()) {
      return "there is no run " + side;
    }
    return "of the runs "
        + side
        + ", none can be used ("
        + runs.get(0).analysis().fileName()
        + ": "
        + runs.get(0).analysis().unfit().orElse("unfit")
        + ")";
  }

  /**
   * Helped or hurt only where the interval is beyond zero and the likely change is beyond what the
   * person cares about.
   */
  private static Verdict judge(Interval interval, double change, double care) {
    boolean changed = interval.high() < 0 || interval.low() > 0;
    boolean within = interval.low() > -care && interval.high() < care;
    if (within || (changed && Math.abs(change) < care)) {
      return Verdict.TOO_SMALL;
    }
    if (!changed) {
      return Verdict.CANNOT_TELL;
    }
    return change < 0 ? Verdict.HELPED : Verdict.HURT;
  }

  private static String sentence(
      Verdict verdict, double change, Interval interval, Notation notation, boolean rooms) {
    String in = rooms ? "" : " in core temperature";
    Interval size = change < 0 ? interval.negated() : interval;
    String figure =
        notation.text(Math.abs(change), Unit.KELVIN)
            + " ("
            + notation.range(size, Unit.KELVIN)
            + ")"
            + in;
    return switch (verdict) {
      case HELPED -> "Helped by " + figure + ".";
      case HURT -> "Hurt by " + figure + ".";
      case TOO_SMALL ->
          "Too small to matter: a change of "
              + notation.text(change, Unit.KELVIN)
              + " ("
              + notation.range(interval, Unit.KELVIN)
              + ")"
              + in
              + ".";
      default ->
          "Cannot tell from these runs: the change lies between "
              + notation.number(interval.low(), Unit.KELVIN)
              + " and "
              + notation.text(interval.high(), Unit.KELVIN)
              + in
              + ".";
    };
  }

  private static Working working(
      SideSummary a,
      SideSummary b,
      Judging judging,
      Difference difference,
      double factor,
      double open) {
    List<Working.Input> inputs = new ArrayList<>();
    inputs.add(new Working.Input("rise before", a.riseKelvin(), Unit.KELVIN));
    inputs.add(new Working.Input("rise after", b.riseKelvin(), Unit.KELVIN));
    inputs.add(new Working.Input("power before", a.powerWatts(), Unit.WATT));
    inputs.add(new Working.Input("power after", b.powerWatts(), Unit.WATT));
    inputs.add(new Working.Input("room before", a.roomCelsius(), Unit.CELSIUS));
    inputs.add(new Working.Input("room after", b.roomCelsius(), Unit.CELSIUS));
    inputs.add(
        new Working.Input("smallest difference that matters", judging.careKelvin(), Unit.KELVIN));
    if (factor != 1) {
      inputs.add(new Working.Input("factor to the power before", factor, Unit.COUNT));
    }
    if (difference != null) {
      inputs.add(
          new Working.Input("scatter between mounts", difference.mountScatter(), Unit.KELVIN));
      inputs.add(new Working.Input("standard error", difference.standardError(), Unit.KELVIN));
      inputs.add(
          new Working.Input("degrees of freedom", difference.degreesOfFreedom(), Unit.COUNT));
    }
    if (open > 0) {
      inputs.add(new Working.Input("left open by power and typed rooms", open, Unit.KELVIN));
    }
    return new Working(
        "change = mean rise after − mean rise before, over the settled part of each run; warm-up cut"
            + " by the least standard error of what is left; standard error from batch means; with"
            + " several mounts a side, from the scatter between mounts, pooled; with one mount each"
            + " side, the noise and a standard deviation between mounts added in squares; Student"
            + " interval with Welch–Satterthwaite degrees of freedom, what power and typed rooms"
            + " leave open added in squares as known; rise goes with power",
        inputs,
        "White 1997 (MSER-5); Law, Simulation Modeling and Analysis, 9.5 (batch means); JCGM"
            + " 100:2008, G.4 (Welch–Satterthwaite)",
        List.of(
            "Equal load is judged by power (within 10 %) or, without it, by clock (within 2 %) and"
                + " voltage (within 2 %); where the room is known any difference of power is"
                + " corrected, and "
                + Math.round(100 * EqualLoad.OPEN_SHARE)
                + " % of the correction is left open.",
            "A sensor's own offset cancels only if it is the same before and after.",
            "A typed room counts as known to "
                + Notation.METRIC.text(judging.typedRoomKelvin(), Unit.KELVIN)
                + "; a room that moves widens the interval by what a cooler may lag behind it.",
            "The room is one reading; air at the cooler's intake may differ."));
  }
}
