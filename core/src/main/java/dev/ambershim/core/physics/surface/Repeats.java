package dev.ambershim.core.physics.surface;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Places that were probed more than once, taken together: the mean for the place, and the scatter
 * of one probing pooled over all places (JCGM 100:2008, H.3 and 4.2.4: a pooled variance over many
 * places says more than each place's own).
 *
 * @param points each place once
 * @param counts how often each was probed
 * @param scatterMicrometres standard deviation of one probing; not a number without repeats
 * @param degrees degrees of freedom of the scatter
 */
record Repeats(
    List<ProbedPoint> points, List<Integer> counts, double scatterMicrometres, int degrees) {
  /** Within this two heights at one place can be one face, µm. */
  private static final double LEAST_DOUBT = 10;

  /** Beyond this share of the whole range they cannot be scatter. */
  private static final double DOUBT_SHARE = 0.25;

  Repeats {
    points = List.copyOf(points);
    counts = List.copyOf(counts);
  }

  /**
   * Takes places together.
   *
   * @throws Problem {@code probe.twice} if one place was given two heights that cannot both be
   */
  static Repeats of(List<ProbedPoint> all) {
    double low = all.stream().mapToDouble(ProbedPoint::micrometres).min().orElse(0);
    double high = all.stream().mapToDouble(ProbedPoint::micrometres).max().orElse(0);
    double most = Math.max(LEAST_DOUBT, DOUBT_SHARE * (high - low));
    Map<Long, List<ProbedPoint>> places = new LinkedHashMap<>();
    for (ProbedPoint p : all) {
      places
          .computeIfAbsent(
              (Math.round(p.xMillimetres() / ProbeRules.SAME_PLACE) << 32)
                  + Math.round(p.yMillimetres() / ProbeRules.SAME_PLACE),
              k -> new ArrayList<>(2))
          .add(p);
    }
    List<ProbedPoint> points = new ArrayList<>();
    List<Integer> counts = new ArrayList<>();
    double squares = 0;
    int degrees = 0;
    for (List<ProbedPoint> here : places.values()) {
      double least = here.stream().mapToDouble(ProbedPoint::micrometres).min().orElse(0);
      double greatest = here.stream().mapToDouble(ProbedPoint::micrometres).max().orElse(0);
      ProbedPoint first = here.get(0);
      if (greatest - least > most) {
        throw new Problem(
            "probe.twice",
            Place.field(
                "x "
                    + ProbeRules.text(first.xMillimetres())
                    + " mm, y "
                    + ProbeRules.text(first.yMillimetres())
                    + " mm"),
            "One place has heights "
                + ProbeRules.text(greatest - least)
                + " µm apart: "
                + ProbeRules.text(least)
                + " and "
                + ProbeRules.text(greatest)
                + " µm.",
            "Probe it again, and keep the right one.");
      }
      double mean = here.stream().mapToDouble(ProbedPoint::micrometres).average().orElse(0);
      points.add(new ProbedPoint(first.xMillimetres(), first.yMillimetres(), mean));
      counts.add(here.size());
      for (ProbedPoint p : here) {
        squares += (p.micrometres() - mean) * (p.micrometres() - mean);
      }
      degrees += here.size() - 1;
    }
    return new Repeats(
        points, counts, degrees == 0 ? Double.NaN : Math.sqrt(squares / degrees), degrees);
  }
}
