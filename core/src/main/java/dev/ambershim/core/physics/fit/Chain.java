package dev.ambershim.core.physics.fit;

import dev.ambershim.core.base.Interval;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;

/**
 * A length that is a sum of others, such as die height less shim height, with its budget: worst
 * case, root of the sum of squares (JCGM 100:2008, 5.1.2) and draws (JCGM 101:2008).
 *
 * @param nominal its value, mm
 * @param links what it hangs on
 */
public record Chain(double nominal, List<Link> links) {
  private static final int DRAWS = 20_000;

  /**
   * One link.
   *
   * @param source what is not known exactly
   * @param factor how the chain changes with it, usually 1 or −1
   */
  public record Link(Source source, double factor) {}

  /** Copies its list, and takes links of one source together. */
  public Chain {
    List<Link> merged = new ArrayList<>();
    for (Link link : links) {
      int same = -1;
      for (int i = 0; i < merged.size(); i++) {
        if (merged.get(i).source() == link.source()) {
          same = i;
        }
      }
      if (same < 0) {
        merged.add(link);
      } else {
        merged.set(same, new Link(link.source(), merged.get(same).factor() + link.factor()));
      }
    }
    links = merged.stream().filter(l -> l.factor() != 0).toList();
  }

  /** A chain of one source. */
  static Chain of(double nominal, Source source) {
    return new Chain(nominal, List.of(new Link(source, 1)));
  }

  /** The sum of both. */
  public Chain plus(Chain other) {
    return joined(other, 1);
  }

  /** The difference of both; what they share falls out. */
  public Chain minus(Chain other) {
    return joined(other, -1);
  }

  private Chain joined(Chain other, double sign) {
    List<Link> all = new ArrayList<>(links);
    other.links.forEach(l -> all.add(new Link(l.source(), sign * l.factor())));
    return new Chain(nominal + sign * other.nominal, all);
  }

  /** Where it lies when every error is at its limit the same way. */
  public Interval worst() {
    double all =
        links.stream().mapToDouble(l -> Math.abs(l.factor()) * l.source().worstMillimetres()).sum();
    return Interval.around(nominal, all, 1);
  }

  /** Combined standard uncertainty, mm. */
  public double standardMillimetres() {
    return Math.sqrt(links.stream().mapToDouble(Chain::square).sum());
  }

  private static double square(Link link) {
    double u = link.factor() * link.source().standardMillimetres();
    return u * u;
  }

  /** Twice the combined standard uncertainty to both sides: about 95 % (JCGM 100:2008, 6.3.3). */
  public Interval rootSumSquare() {
    return Interval.around(nominal, 2 * standardMillimetres(), 0.95);
  }

  /** Sorted draws of its value, mm. */
  double[] draws(int count, long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    double[] found = new double[count];
    Arrays.fill(found, nominal);
    for (Link link : links) {
      double[] spread = link.source().spread();
      for (int i = 0; i < count; i++) {
        found[i] += link.factor() * link.source().draw(random, spread);
      }
    }
    Arrays.sort(found);
    return found;
  }

  /**
   * Draws of a chain, for all that is asked of them.
   *
   * @param millimetres its value in each, ascending
   */
  public record Drawn(double[] millimetres) {
    /** The interval of equal tails that holds 95 % of them. */
    public Interval interval() {
      int last = millimetres.length - 1;
      return new Interval(
          millimetres[(int) Math.round(0.025 * last)],
          millimetres[(int) Math.round(0.975 * last)],
          0.95);
    }

    /** Their share above a length, 0 to 1. */
    public double above(double length) {
      int at = Arrays.binarySearch(millimetres, length);
      int below = at < 0 ? -at - 1 : at;
      return (double) (millimetres.length - below) / millimetres.length;
    }
  }

  /** Draws of its value; where nothing is in doubt it is always the same. */
  public Drawn drawn() {
    return new Drawn(links.isEmpty() ? new double[] {nominal} : draws(DRAWS, 20_260_406));
  }

  /** The source that makes most of its doubt, and its share of the variance; null without any. */
  public Doubt mostDoubted() {
    double whole = links.stream().mapToDouble(Chain::square).sum();
    Link most = null;
    for (Link link : links) {
      if (most == null || square(link) > square(most)) {
        most = link;
      }
    }
    return most == null || whole == 0 ? null : new Doubt(most.source(), square(most) / whole);
  }

  /**
   * What to read again.
   *
   * @param source the source
   * @param share its share of the variance, 0 to 1
   */
  public record Doubt(Source source, double share) {}
}
