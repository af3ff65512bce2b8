package dev.ambershim.core.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The order of blocks that ends soonest, with one pair of hands, waits that run beside other work,
 * and hours in which hands may work.
 *
 * <p>Exact: for a given order, starting each block as soon as it may is best, since nothing gains
 * by a later start. So only orders are searched, by dynamic programming over the sets of blocks
 * that can be done (the down-sets of the order of precedence; Held &amp; Karp, <i>J. SIAM</i> 10,
 * 1962), with those partial orders kept that no other beats in every respect: free hands, and each
 * time from which a block that is still to do may begin.
 */
final class Sequencer {
  private static final double HAIR = 1e-6;

  /** So many partial orders at most; real plans stay far below. */
  private static final int MOST_LABELS = 400_000;

  private final List<Block> blocks;
  private final Windows windows;
  private final Times times;
  private final double[] tail;
  private final long[] before;
  private final int[][] following;

  /**
   * What each block takes, minutes, by place in the list.
   *
   * @param hands at the bench
   * @param passes by itself afterwards
   * @param leads since what went before, besides its own
   * @param ready from which it may begin at the earliest
   */
  record Times(double[] hands, double[] passes, double[] leads, double[] ready) {
    private static Times of(List<Block> blocks, double[] ready) {
      return new Times(
          blocks.stream().mapToDouble(Block::hands).toArray(),
          blocks.stream().mapToDouble(Block::passes).toArray(),
          blocks.stream().mapToDouble(Block::lead).toArray(),
          ready);
    }

    /** The same seen from the end: what passes after a block comes before it. */
    Times backwards() {
      double[] passed = turned(passes);
      return new Times(turned(hands), new double[passed.length], passed, passed);
    }

    private static double[] turned(double[] values) {
      double[] turned = new double[values.length];
      for (int i = 0; i < turned.length; i++) {
        turned[i] = values[turned.length - 1 - i];
      }
      return turned;
    }
  }

  /**
   * Sets up.
   *
   * @param blocks the blocks, at most 63, each after those it must follow
   * @param ready minute from which each may begin at the earliest
   */
  Sequencer(List<Block> blocks, Windows windows, double[] ready) {
    if (blocks.size() > 63) {
      throw new IllegalArgumentException("more than 63 blocks");
    }
    this.blocks = blocks;
    this.windows = windows;
    times = Times.of(blocks, ready);
    int n = blocks.size();
    before = new long[n];
    List<List<Integer>> next = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      next.add(new ArrayList<>());
      for (int p : blocks.get(i).before()) {
        before[i] |= 1L << p;
        next.get(p).add(i);
      }
    }
    following = new int[n][];
    tail = new double[n];
    for (int i = n - 1; i >= 0; i--) {
      following[i] = next.get(i).stream().mapToInt(Integer::intValue).toArray();
      double longest = 0;
      for (int f : following[i]) {
        longest = Math.max(longest, blocks.get(f).lead() + tail[f]);
      }
      tail[i] = blocks.get(i).hands() + blocks.get(i).passes() + longest;
    }
  }

  /** A partial order: what hands and waits allow after it. */
  private static final class Label {
    private final double free;
    private final double end;
    private final double[] from;
    private final int jumps;
    private final Label earlier;
    private final int block;
    private final long done;

    Label(double free, double end, double[] from, int jumps, Label earlier, int block) {
      this.free = free;
      this.end = end;
      this.from = from;
      this.jumps = jumps;
      this.earlier = earlier;
      this.block = block;
      this.done = earlier == null ? 0 : earlier.done | 1L << block;
    }

    /**
     * Whether it is at least as good in everything that is still to come; between two that are as
     * good, the one with fewer jumps ahead of the list's order.
     */
    boolean beats(Label other) {
      boolean better = free < other.free - HAIR || end < other.end - HAIR;
      if (free > other.free + HAIR || end > other.end + HAIR) {
        return false;
      }
      for (int i = 0; i < from.length; i++) {
        if ((done & 1L << i) == 0) {
          // A time before the hands are free binds nobody.
          double mine = Math.max(from[i], free);
          double its = Math.max(other.from[i], other.free);
          if (mine > its + HAIR) {
            return false;
          }
          better |= mine < its - HAIR;
        }
      }
      return better || jumps <= other.jumps;
    }
  }

  /**
   * The order that ends soonest; among equals the one that frees the hands soonest.
   *
   * @param start minute at which the hands are free
   * @throws IllegalStateException if the hours never fit, or the search grows beyond bounds
   */
  int[] best(double start) {
    int n = blocks.size();
    double bound = end(greedy(start), start);
    if (Double.isInfinite(bound)) {
      throw new IllegalStateException("the hours leave no room for it");
    }
    Map<Long, List<Label>> layer = new HashMap<>();
    layer.put(0L, List.of(new Label(start, start, times.ready().clone(), 0, null, -1)));
    for (int level = 0; level < n; level++) {
      Map<Long, List<Label>> next = new HashMap<>();
      int count = 0;
      for (Map.Entry<Long, List<Label>> entry : layer.entrySet()) {
        long done = entry.getKey();
        for (int i = 0; i < n; i++) {
          if ((done & 1L << i) == 0 && (before[i] & ~done) == 0) {
            List<Label> kept = next.computeIfAbsent(done | 1L << i, k -> new ArrayList<>());
            for (Label label : entry.getValue()) {
              count += add(kept, follow(label, i), bound);
            }
          }
        }
      }
      if (count > MOST_LABELS) {
        throw new IllegalStateException("too many orders to tell the best");
      }
      layer = next;
    }
    return order(bestOf(layer.values()));
  }

  private static Label bestOf(Collection<List<Label>> last) {
    Label best = null;
    for (List<Label> labels : last) {
      for (Label label : labels) {
        if (best == null
            || label.end < best.end - HAIR
            || (label.end < best.end + HAIR && label.free < best.free - HAIR)
            || (label.end < best.end + HAIR
                && label.free < best.free + HAIR
                && label.jumps < best.jumps)) {
          best = label;
        }
      }
    }
    return best;
  }

  private int[] order(Label last) {
    int[] order = new int[blocks.size()];
    Label at = last;
    for (int i = order.length - 1; i >= 0; i--) {
      order[i] = at.block;
      at = at.earlier;
    }
    return order;
  }

  private Label follow(Label label, int i) {
    Block block = blocks.get(i);
    double begin = windows.earliest(Math.max(label.free, label.from[i]), block.hands());
    double free = begin + block.hands();
    double done = free + block.passes();
    double[] from = label.from.clone();
    for (int f : following[i]) {
      from[f] = Math.max(from[f], done + blocks.get(f).lead());
    }
    return new Label(
        free, Math.max(label.end, done), from, label.jumps + skipped(label.done, i), label, i);
  }

  /** How many that could have come before, by the list, are left for later. */
  private static int skipped(long done, int i) {
    return Long.bitCount(~done & (1L << i) - 1);
  }

  /** Keeps a label unless another beats it or it cannot end within the bound. */
  private int add(List<Label> kept, Label label, double bound) {
    double least = Math.max(label.end, label.free);
    double work = 0;
    for (int i = 0; i < blocks.size(); i++) {
      if ((label.done & 1L << i) == 0) {
        least = Math.max(least, Math.max(label.free, label.from[i]) + tail[i]);
        work += blocks.get(i).hands();
      }
    }
    if (Math.max(least, label.free + work) > bound + HAIR) {
      return 0;
    }
    for (Label other : kept) {
      if (other.beats(label)) {
        return 0;
      }
    }
    int was = kept.size();
    kept.removeIf(other -> label.beats(other));
    kept.add(label);
    return kept.size() - was;
  }

  /** A good order at once: of what can begin soonest, what has the longest way to go. */
  private int[] greedy(double start) {
    int n = blocks.size();
    int[] order = new int[n];
    double[] from = times.ready().clone();
    double free = start;
    long done = 0;
    for (int k = 0; k < n; k++) {
      int pick = -1;
      double soonest = Double.POSITIVE_INFINITY;
      for (int i = 0; i < n; i++) {
        if ((done & 1L << i) == 0 && (before[i] & ~done) == 0) {
          double begin = windows.earliest(Math.max(free, from[i]), blocks.get(i).hands());
          if (pick < 0
              || begin < soonest - HAIR
              || (begin < soonest + HAIR && tail[i] > tail[pick] + HAIR)) {
            pick = i;
            soonest = begin;
          }
        }
      }
      order[k] = pick;
      done |= 1L << pick;
      free = soonest + blocks.get(pick).hands();
      for (int f : following[pick]) {
        from[f] = Math.max(from[f], free + blocks.get(pick).passes() + blocks.get(f).lead());
      }
    }
    return order;
  }

  /** When all of an order is done and has passed. */
  double end(int[] order, double start) {
    return end(order, start, times);
  }

  /** The same if the blocks took other times. */
  double end(int[] order, double start, Times times) {
    double[] starts = starts(order, start, times);
    double end = start;
    for (int i = 0; i < starts.length; i++) {
      end = Math.max(end, starts[i] + times.hands()[i] + times.passes()[i]);
    }
    return end;
  }

  /** When each block of an order begins, by place in the list. */
  double[] starts(int[] order, double start) {
    return starts(order, start, times);
  }

  private double[] starts(int[] order, double start, Times times) {
    double[] starts = new double[order.length];
    Arrays.fill(starts, Double.NaN);
    double[] from = times.ready().clone();
    double free = start;
    for (int i : order) {
      starts[i] = windows.earliest(Math.max(free, from[i]), times.hands()[i]);
      free = starts[i] + times.hands()[i];
      for (int f : following[i]) {
        from[f] = Math.max(from[f], free + times.passes()[i] + times.leads()[f]);
      }
    }
    return starts;
  }

  /**
   * The same seen from its end: time runs backwards from there, what followed comes before, and the
   * last block of the list is the first. Its best order is the one that begins last.
   */
  Sequencer backwards(double end) {
    int n = blocks.size();
    List<Block> turned = new ArrayList<>();
    Times back = times.backwards();
    for (int k = 0; k < n; k++) {
      Block block = blocks.get(n - 1 - k);
      List<Integer> later = new ArrayList<>();
      for (int f : following[n - 1 - k]) {
        later.add(n - 1 - f);
      }
      turned.add(new Block(block.steps(), block.hands(), 0, block.passes(), later));
    }
    return new Sequencer(turned, windows.shifted(-end).backwards(), back.ready());
  }
}
