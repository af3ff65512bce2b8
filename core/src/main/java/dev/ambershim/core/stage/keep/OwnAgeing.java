package dev.ambershim.core.stage.keep;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.KeptCheck;
import dev.ambershim.core.job.OwnJoint;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.ageing.Ageing;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.dosing.MetalPlace;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.plan.ShelfItem;
import dev.ambershim.core.plan.Supply;
import dev.ambershim.core.plan.Use;
import dev.ambershim.core.runs.drift.Check;
import dev.ambershim.core.runs.drift.Drift;
import dev.ambershim.core.runs.drift.DriftFit;
import dev.ambershim.core.runs.drift.Line;
import dev.ambershim.core.runs.drift.Scatter;
import dev.ambershim.core.runs.drift.Trend;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * How a person's own joints aged, by what is in them: the drift of each chip and state that tells
 * one, as a share of its rise, taken together by their certainty (weighted mean; JCGM 100, from
 * memory). It stands beside what is common practice.
 */
public final class OwnAgeing {
  /**
   * One joint's ageing.
   *
   * @param joint what is on the die, in words, and for liquid metal on which face: the inner
   *     joint's, or that under the plate where the lid is off
   * @param sharePerYear growth of the rise, as a share of it
   * @param variance of that share
   */
  public record Seen(String joint, double sharePerYear, double variance) {}

  private OwnAgeing() {}

  /** What a job tells: one for each of its states that tells a drift. */
  public static List<Seen> of(Job job) {
    Map<String, List<Check>> states = new LinkedHashMap<>();
    for (KeptCheck check : job.care().checks()) {
      states.computeIfAbsent(check.state(), s -> new ArrayList<>()).add(check.whole());
    }
    List<Seen> seen = new ArrayList<>();
    states.forEach(
        (state, checks) -> {
          Drift drift =
              DriftFit.of(
                  checks,
                  OptionalDouble.of(job.heatWatts()),
                  new Scatter(Scatter.USUAL.checkKelvin(), job.remountKelvin()));
          boolean told = drift.trend() == Trend.STEADY || drift.trend() == Trend.CREEPING;
          drift.line().filter(l -> told).ifPresent(l -> seen.add(seen(joint(job, state), l)));
        });
    return seen;
  }

  /**
   * What jobs tell of the packs of paste and liquid metal that were used on them, by the pack's
   * name.
   */
  public static Map<String, List<Seen>> byPack(Iterable<Job> jobs, List<ShelfItem> shelf) {
    Map<String, List<Seen>> by = new TreeMap<>();
    for (Job job : jobs) {
      Set<String> used =
          job.work().entries().stream()
              .flatMap(e -> e.used().stream())
              .map(Use::item)
              .collect(Collectors.toSet());
      List<ShelfItem> packs = shelf.stream().filter(i -> used.contains(i.name())).toList();
      List<Seen> seen = packs.isEmpty() ? List.of() : of(job);
      for (ShelfItem pack : packs) {
        List<Seen> of = seen.stream().filter(s -> fills(pack.supply(), s.joint())).toList();
        if (!of.isEmpty()) {
          by.computeIfAbsent(pack.name(), k -> new ArrayList<>()).addAll(of);
        }
      }
    }
    return by;
  }

  private static boolean fills(Supply supply, String joint) {
    return switch (supply) {
      case PASTE -> joint.equals(Filling.PASTE.words());
      case METAL -> joint.startsWith(Filling.LIQUID_METAL.words());
      default -> false;
    };
  }

  /** What a job's rise is expected to grow, K a year: by its joints' kind, and by own ones. */
  static Ageing expected(Job job) {
    Ageing usual = Ageing.kelvinPerYear(job.chip(), job.after(), job.coat(), job.heatWatts());
    List<OwnJoint> own = job.care().ownJoints();
    double rise =
        job.care().checks().stream()
            .filter(c -> c.state().isEmpty())
            .mapToDouble(c -> c.riseKelvin() * job.heatWatts() / c.watts())
            .findFirst()
            .orElse(0);
    return own.isEmpty() || rise <= 0 || usual.deviation() <= 0
        ? usual
        : usual.with(
            own.stream().mapToDouble(o -> o.sharePerYear() * rise).toArray(),
            own.stream().mapToDouble(o -> o.variance() * rise * rise).toArray());
  }

  /** What the forecast reckons with beside the usual, in words. */
  static Optional<String> reckonedWith(Job job) {
    int count = job.care().ownJoints().size();
    return count == 0
        ? Optional.empty()
        : Optional.of(
            "The date reckons with "
                + count
                + (count == 1 ? " joint" : " joints")
                + " of your own on other chips, beside what is usual.");
  }

  /** What was seen on other chips of the kind of joint that a job has after its work. */
  public static List<OwnJoint> like(Job job, List<Seen> others) {
    return others.stream()
        .filter(s -> s.joint().equals(joint(job, "")))
        .map(s -> new OwnJoint(s.sharePerYear(), s.variance()))
        .toList();
  }

  private static Seen seen(String joint, Line line) {
    return new Seen(
        joint,
        line.perYear() / line.kelvin(),
        line.slopeVariance() / (line.kelvin() * line.kelvin()));
  }

  /** What is on the die in a state, in words, and for liquid metal on which face. */
  static String joint(Job job, String state) {
    Build build = job.build(state.equals(Side.BEFORE.words()) ? Side.BEFORE : Side.AFTER);
    Filling filling = build.lidOn() ? build.inner().filling() : build.outer().filling();
    MetalPlace place = build.lidOn() ? MetalPlace.LID_INSIDE : MetalPlace.PLATE;
    return filling.words()
        + (filling == Filling.LIQUID_METAL
            ? job.coat().said(place).map(f -> " on " + f.words()).orElse("")
            : "");
  }

  /** A sentence for each kind of joint. */
  public static List<String> words(List<Seen> all, Notation notation) {
    Map<String, List<Seen>> by = new TreeMap<>();
    all.forEach(s -> by.computeIfAbsent(s.joint(), f -> new ArrayList<>()).add(s));
    List<String> words = new ArrayList<>();
    by.forEach((joint, seen) -> words.add(sentence(joint, seen, notation)));
    return words;
  }

  private static String sentence(String joint, List<Seen> seen, Notation notation) {
    double weights = seen.stream().mapToDouble(s -> 1 / s.variance()).sum();
    double mean = seen.stream().mapToDouble(s -> s.sharePerYear() / s.variance()).sum() / weights;
    double half = Interval.normalHalf(0.95) / Math.sqrt(weights);
    return "Your own joints of "
        + joint
        + " ("
        + seen.size()
        + "): the rise grows by "
        + notation.text(100 * mean, Unit.PERCENT)
        + " a year ("
        + notation.range(Interval.around(100 * mean, 100 * half, 0.95), Unit.PERCENT)
        + ").";
  }
}
