package dev.ambershim.core.runlog;

import dev.ambershim.core.finding.Finding;
import dev.ambershim.core.finding.Interval;
import dev.ambershim.core.finding.Working;
import dev.ambershim.core.notation.Notation;
import dev.ambershim.core.notation.Unit;
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
    Working working) {
  static final double LEVEL = 0.95;

  /** Power may differ by this share before the runs stop being of one load; common practice. */
  static final double POWER_SHARE = 0.10;

  /** Clock may differ by this share where there is no power to go by; common practice. */
  static final double CLOCK_SHARE = 0.02;

  /** Copies its list. */
  public Comparison {
    reasons = List.copyOf(reasons);
  }

  /** This comparison as a finding. */
  public Finding finding() {
    return new Finding("prove.change", sentence, changeKelvin, "K", interval, working);
  }

  /**
   * Judges the runs after against the runs before.
   *
   * @param care the smallest difference that the person cares about, K, not negative
   * @param notation how sentences write figures
   */
  public static Comparison of(
      List<RunAnalysis> before, List<RunAnalysis> after, double care, Notation notation) {
    List<String> reasons = new ArrayList<>();
    List<RunAnalysis> first = fit(before, "before", reasons);
    List<RunAnalysis> second = fit(after, "after", reasons);
    SideSummary a = SideSummary.of(first.isEmpty() ? before : first);
    SideSummary b = SideSummary.of(second.isEmpty() ? after : second);
    List<String> obstacles = new ArrayList<>();
    if (first.isEmpty()) {
      obstacles.add(obstacle(before, "before"));
    }
    if (second.isEmpty()) {
      obstacles.add(obstacle(after, "after"));
    }
    if (obstacles.isEmpty()) {
      differences(first, second, a, b, obstacles, reasons, notation);
    }
    if (!obstacles.isEmpty()) {
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
          working(a, b, care, null));
    }
    boolean rooms =
        first.stream().allMatch(RunAnalysis::hasRoom)
            && second.stream().allMatch(RunAnalysis::hasRoom);
    if (!rooms) {
      reasons.add(
          "Room air is not known for every run, so the change is in core temperature only; a"
              + " warmer or cooler room would look like a result.");
    }
    Difference difference = Difference.between(first, second, rooms);
    Interval interval = difference.interval(LEVEL);
    Verdict verdict = judge(interval, care);
    reasons.add(difference.words());
    if (first.size() == 1 && second.size() == 1) {
      reasons.add(
          "One run each side: what taking the cooler off and on again changes is not in this"
              + " interval.");
    }
    if (verdict == Verdict.TOO_SMALL) {
      reasons.add(
          "The whole interval lies within the "
              + notation.text(care, Unit.KELVIN)
              + " that you care about.");
    }
    return new Comparison(
        verdict,
        sentence(verdict, difference.kelvin(), interval, notation, rooms),
        reasons,
        difference.kelvin(),
        Optional.of(interval),
        rooms,
        a,
        b,
        working(a, b, care, difference));
  }

  private static List<RunAnalysis> fit(List<RunAnalysis> runs, String side, List<String> reasons) {
    List<RunAnalysis> fit = new ArrayList<>();
    for (RunAnalysis run : runs) {
      if (run.unfit().isEmpty()) {
        fit.add(run);
      } else {
        reasons.add(
            "The run "
                + side
                + " in "
                + run.fileName()
                + " does not count: "
                + run.unfit().get()
                + ".");
      }
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

  private static String obstacle(List<RunAnalysis> runs, String side) {
    if (runs.isEmpty()) {
      return "there is no run " + side;
    }
    return "of the runs "
        + side
        + ", none can be used ("
        + runs.get(0).fileName()
        + ": "
        + runs.get(0).unfit().orElse("unfit")
        + ")";
  }

  private static void differences(
      List<RunAnalysis> first,
      List<RunAnalysis> second,
      SideSummary a,
      SideSummary b,
      List<String> obstacles,
      List<String> reasons,
      Notation notation) {
    long counts =
        Stream.concat(first.stream(), second.stream())
            .mapToInt(r -> r.coreCelsius().size())
            .distinct()
            .count();
    if (counts > 1) {
      obstacles.add("they do not have the same count of core temperatures");
    }
    double powerShare = Math.abs(b.powerWatts() - a.powerWatts()) / a.powerWatts();
    double clockShare = Math.abs(b.clockMegahertz() - a.clockMegahertz()) / a.clockMegahertz();
    String watts =
        notation.text(a.powerWatts(), Unit.WATT)
            + " before and "
            + notation.text(b.powerWatts(), Unit.WATT)
            + " after";
    String clocks =
        notation.text(a.clockMegahertz(), Unit.MEGAHERTZ)
            + " before and "
            + notation.text(b.clockMegahertz(), Unit.MEGAHERTZ)
            + " after";
    if (powerShare > POWER_SHARE) {
      obstacles.add("the chip drew " + watts);
    } else if (powerShare > 0.03) {
      reasons.add("The chip drew " + watts + "; part of the change comes from that.");
    }
    if (clockShare > CLOCK_SHARE && !(powerShare <= POWER_SHARE)) {
      obstacles.add("the chip ran at " + clocks);
    } else if (clockShare > CLOCK_SHARE) {
      reasons.add("The chip ran at " + clocks + ".");
    }
    if (Double.isNaN(powerShare) && Double.isNaN(clockShare)) {
      reasons.add("Neither power nor clock is known for both sides; equal load is taken on trust.");
    }
  }

  private static Verdict judge(Interval interval, double care) {
    if (interval.low() > -care && interval.high() < care) {
      return Verdict.TOO_SMALL;
    }
    if (interval.high() < 0) {
      return Verdict.HELPED;
    }
    return interval.low() > 0 ? Verdict.HURT : Verdict.CANNOT_TELL;
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

  private static Working working(SideSummary a, SideSummary b, double care, Difference difference) {
    List<Working.Input> inputs = new ArrayList<>();
    inputs.add(new Working.Input("rise before", a.riseKelvin(), "K"));
    inputs.add(new Working.Input("rise after", b.riseKelvin(), "K"));
    inputs.add(new Working.Input("power before", a.powerWatts(), "W"));
    inputs.add(new Working.Input("power after", b.powerWatts(), "W"));
    inputs.add(new Working.Input("room before", a.roomCelsius(), "°C"));
    inputs.add(new Working.Input("room after", b.roomCelsius(), "°C"));
    inputs.add(new Working.Input("smallest difference that matters", care, "K"));
    if (difference != null) {
      inputs.add(new Working.Input("standard error", difference.standardError(), "K"));
      inputs.add(new Working.Input("degrees of freedom", difference.degreesOfFreedom(), ""));
    }
    return new Working(
        "change = mean rise after − mean rise before, over the settled part of each run; warm-up cut"
            + " by the least standard error of what is left; standard error from batch means; with"
            + " several runs a side, from the scatter between runs; Student interval with"
            + " Welch–Satterthwaite degrees of freedom",
        inputs,
        "White 1997 (MSER-5); Law, Simulation Modeling and Analysis, 9.5 (batch means); JCGM"
            + " 100:2008, G.4 (Welch–Satterthwaite)",
        List.of(
            "Equal load is judged by power (within 10 %) or, without it, by clock (within 2 %).",
            "A sensor's own offset cancels only if it is the same before and after.",
            "The room is one reading; air at the cooler's intake may differ."));
  }
}
