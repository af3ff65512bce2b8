package dev.ambershim.core.physics.modes;

import dev.ambershim.core.physics.multigrid.Team;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import java.util.stream.IntStream;

/**
 * What nearly undoes the operator of {@link Fluxes}: each contact alone, with its mean resistance
 * and the boxes on both sides, in the modes of its own rectangle of cells.
 *
 * <p>Where solids touch, a thin one ties the fluxes of both its faces closely; what spreads in it
 * is their small difference. If both contacts have the same cells, a mode's fluxes through all of
 * them are the unknowns of a tridiagonal matrix, which is factored. If the cells of one lie within
 * those of the other, what is sought on the larger one is what goes through it beyond what comes
 * straight from the smaller one; fluxes and differences are nearly free of each other.
 */
final class Preconditioner {
  /**
   * Of the highest eigenvalue of the boxes' modes: beyond it they hardly see a pattern of cells.
   */
  static final double SEEN = 0.35;

  /**
   * Whether a contact is bare and which conductor is the worse is asked of cells cut in so many
   * parts, whatever the grid.
   */
  private static final int USUAL_PARTS = 4;

  /** Conductors up to so much apart hold patterns alike. */
  static final double ALIKE = 2;

  /**
   * Of the product of both contacts' own resistances, what the square of the one between them may
   * be before it counts: below that the gradients do it in a few steps more.
   */
  private static final double CLOSELY = 0.8;

  private final Boxes boxes;
  private final Compliance[] compliance;
  private final Team team;

  /** Of each contact, m²·K/W. */
  private final double[] mean;

  /** The contact below with the same cells, a solid between them; −1 if there is none. */
  private final int[] before;

  /** The larger contact that a contact's fluxes pass straight, a solid between; −1 for none. */
  private final int[] onto;

  /** The contacts, none before the one that its fluxes pass. */
  private final int[] largestFirst;

  /** One over each mode's pivot, by contact; 0 for modes that are left out. */
  private final double[][][] pivot;

  /** What each mode takes over from the contact before. */
  private final double[][][] tie;

  /**
   * The contacts of boxes.
   *
   * @param compliance of each box
   * @param specific resistance of each contact's cells, m²·K/W
   * @param team who works; each contact is one thread's
   */
  Preconditioner(Boxes boxes, Compliance[] compliance, double[][][] specific, Team team) {
    this.boxes = boxes;
    this.team = team;
    this.compliance = compliance;
    int contacts = boxes.contacts.size();
    mean = new double[contacts];
    before = new int[contacts];
    onto = new int[contacts];
    pivot = new double[contacts][][];
    tie = new double[contacts][][];
    for (int c = 0; c < contacts; c++) {
      mean[c] = mean(boxes.contacts.get(c), specific[c]);
    }
    for (int c = 0; c < contacts; c++) {
      before[c] = opposite(c, boxes.contacts.get(c).below());
      onto[c] = onto(c);
    }
    largestFirst =
        IntStream.range(0, contacts)
            .boxed()
            .sorted(Comparator.comparingInt(c -> -size(boxes.contacts.get(c))))
            .mapToInt(c -> c)
            .toArray();
    for (int c = 0; c < contacts; c++) {
      factor(c);
    }
  }

  private static int size(Contact contact) {
    return contact.columns() * contact.rows();
  }

  /** Mean over the open area, m²·K/W. */
  private static double mean(Contact contact, double[][] specific) {
    double sum = 0;
    double area = 0;
    for (int i = 0; i < contact.columns(); i++) {
      for (int j = 0; j < contact.rows(); j++) {
        if (contact.open()[i][j]) {
          sum += specific[i][j] * contact.area()[i][j];
          area += contact.area()[i][j];
        }
      }
    }
    return sum / area;
  }

  /** The contact on the other side of a box that has the same cells; −1 if there is none. */
  private int opposite(int of, int box) {
    Contact contact = boxes.contacts.get(of);
    for (int c = 0; c < mean.length; c++) {
      Contact other = boxes.contacts.get(c);
      if (between(contact, other) == box && other.within(contact) && contact.within(other)) {
        return c;
      }
    }
    return -1;
  }

  /** Where passing straight makes the fluxes freer of each other than they are as they stand. */
  private int onto(int of) {
    Contact contact = boxes.contacts.get(of);
    for (int c = 0; c < mean.length; c++) {
      Contact other = boxes.contacts.get(c);
      int box = between(contact, other);
      if (box >= 0 && contact.within(other) && !other.within(contact)) {
        Slab slab = compliance[box].slab();
        double square = contact.x().lowest() + contact.y().lowest();
        boolean up = contact.above() == box;
        double face = up ? slab.low(square) : slab.top(square);
        double otherFace = up ? slab.top(square) : slab.low(square);
        double across = slab.across(square);
        double near = face + mean[of] + beyond(of, !up, square);
        double far = otherFace + mean[c] + beyond(c, up, square);
        double asTheyStand = across * across / (near * far);
        double cross = far - across;
        if (asTheyStand > CLOSELY
            && cross * cross / ((near - across + cross) * far) < asTheyStand) {
          return c;
        }
      }
    }
    return -1;
  }

  /**
   * What lies beyond a contact, K·m²/W: the box's face, less what goes on through the box; 0 for
   * the coolant.
   */
  private double beyond(int of, boolean up, double square) {
    Contact contact = boxes.contacts.get(of);
    int box = up ? contact.above() : contact.below();
    if (box == Contact.COOLANT) {
      return 0;
    }
    Slab slab = compliance[box].slab();
    double face = up ? slab.low(square) : slab.top(square);
    int next = opposite(of, box);
    if (next < 0) {
      return face;
    }
    double across = slab.across(square);
    double otherFace = up ? slab.top(square) : slab.low(square);
    return face - across * across / (otherFace + mean[next] + beyond(next, up, square));
  }

  /** The box that one contact lies on and the other under; −1 if there is none. */
  private static int between(Contact one, Contact other) {
    if (one.above() == other.below()) {
      return one.above();
    }
    return one.below() == other.above() ? one.below() : -1;
  }

  /**
   * What lies on one side of a contact, K·m²/W: the box's face, or all that its fluxes pass.
   *
   * @param box below or above
   */
  private double side(int of, int box, double square) {
    if (box == Contact.COOLANT) {
      return 0;
    }
    Contact contact = boxes.contacts.get(of);
    Slab slab = compliance[box].slab();
    if (onto[of] >= 0 && between(contact, boxes.contacts.get(onto[of])) == box) {
      Contact other = boxes.contacts.get(onto[of]);
      int next = other.below() == box ? other.above() : other.below();
      double through = slab.low(square) + slab.top(square) - 2 * slab.across(square);
      return through + mean[onto[of]] + side(onto[of], next, square);
    }
    return contact.below() == box ? slab.top(square) : slab.low(square);
  }

  /**
   * Where solids touch, nothing but the boxes holds the fluxes, and cells are finest at the edges,
   * where the boxes' modes do not see them apart. Such patterns would cost nothing, and the
   * gradients would creep; they are left out of what is sought.
   */
  private void factor(int c) {
    Contact contact = boxes.contacts.get(c);
    pivot[c] = contact.cells();
    tie[c] = contact.cells();
    double[] lx = contact.x().eigenvalues();
    double[] ly = contact.y().eigenvalues();
    Contact coarse = boxes.coarsest().contacts.get(c);
    double mostX = SEEN * highest(coarse, Box::x);
    double mostY = SEEN * highest(coarse, Box::y);
    int seenX = seen(coarse.x().eigenvalues(), mostX);
    int seenY = seen(coarse.y().eigenvalues(), mostY);
    double most = Math.max(mostX, mostY) * usual();
    Slab below = compliance[contact.below()].slab();
    double above = contact.cooled() ? 0 : compliance[contact.above()].slab().low(most);
    boolean bare = mean[c] < below.top(most) + above;
    for (int p = 0; p < lx.length; p++) {
      for (int q = 0; q < ly.length; q++) {
        if (bare && (p >= seenX || q >= seenY)) {
          continue;
        }
        double square = lx[p] + ly[q];
        double own = mean[c] + side(c, contact.below(), square) + side(c, contact.above(), square);
        if (before[c] >= 0) {
          double across = below.across(square);
          tie[c][p][q] = across * pivot[before[c]][p][q];
          own -= across * tie[c][p][q];
        }
        pivot[c][p][q] = 1 / own;
      }
    }
  }

  /** How much higher eigenvalues are on a grid of usual cells than on the coarsest. */
  private double usual() {
    double finer = (double) USUAL_PARTS / boxes.coarsest().parts;
    return finer * finer;
  }

  /**
   * How many patterns of a row of cells are sought: equally many of each part that the cells are
   * cut in, since what one grid leaves out and the next does not would be no difference that falls
   * with the cells' width.
   *
   * @param coarse eigenvalues on the coarsest grid, rising, 1/m²
   */
  private int seen(double[] coarse, double most) {
    long below = Arrays.stream(coarse).filter(l -> l <= most).count();
    return (int) Math.max(1, below / boxes.coarsest().parts) * boxes.parts;
  }

  /**
   * The highest eigenvalue along an axis of the box that holds the fluxes, 1/m²: the worse
   * conductor of both, or the one that shows more where they are alike.
   */
  private double highest(Contact contact, Function<Box, Cosines> axis) {
    List<Box> all = boxes.coarsest().boxes;
    double below = axis.apply(all.get(contact.below())).highest();
    if (contact.cooled()) {
      return below;
    }
    double above = axis.apply(all.get(contact.above())).highest();
    double both = Math.min(below, above) * usual();
    double lower = compliance[contact.below()].slab().top(both);
    double upper = compliance[contact.above()].slab().low(both);
    if (lower > ALIKE * upper) {
      return below;
    }
    return upper > ALIKE * lower ? above : Math.max(below, above);
  }

  /**
   * Watts that nearly make so many kelvin.
   *
   * @param kelvin across each contact's cells; only read
   */
  double[][][] of(double[][][] kelvin) {
    double[][][] modes = Fluxes.none(boxes);
    double[][][] driving = new double[kelvin.length][][];
    for (int c : largestFirst) {
      driving[c] = Dense.copy(kelvin[c]);
      if (onto[c] >= 0) {
        addWithin(driving[c], driving[onto[c]], c, false);
      }
    }
    team.tasks(
        modes.length,
        c -> {
          Contact contact = boxes.contacts.get(c);
          contact.weigh(driving[c]);
          double[][] half = contact.cells();
          Dense.addProduct(driving[c], contact.y().vectors(), half);
          Dense.addProduct(contact.x().transposed(), half, modes[c]);
        });
    for (int c = 0; c < modes.length; c++) {
      if (before[c] >= 0) {
        addTied(modes[c], tie[c], modes[before[c]]);
      }
    }
    for (int c = 0; c < modes.length; c++) {
      for (int p = 0; p < modes[c].length; p++) {
        for (int q = 0; q < modes[c][p].length; q++) {
          modes[c][p][q] *= pivot[c][p][q];
        }
      }
    }
    for (int c = modes.length - 1; c >= 0; c--) {
      if (before[c] >= 0) {
        addTied(modes[before[c]], tie[c], modes[c]);
      }
    }
    double[][][] watts = Fluxes.none(boxes);
    team.tasks(
        watts.length,
        c -> {
          Contact contact = boxes.contacts.get(c);
          double[][] half = contact.cells();
          Dense.addProduct(contact.x().vectors(), modes[c], half);
          Dense.addProduct(half, contact.y().transposed(), watts[c]);
          contact.weigh(watts[c]);
        });
    for (int k = watts.length - 1; k >= 0; k--) {
      int c = largestFirst[k];
      if (onto[c] >= 0) {
        addWithin(watts[onto[c]], watts[c], c, true);
        boxes.contacts.get(onto[c]).mask(watts[onto[c]]);
      }
    }
    return watts;
  }

  /**
   * Adds over the cells that a contact has in common with the one that its fluxes pass.
   *
   * @param outwards whether {@code to} is the larger one
   */
  private void addWithin(double[][] to, double[][] from, int of, boolean outwards) {
    Contact small = boxes.contacts.get(of);
    Contact large = boxes.contacts.get(onto[of]);
    int left = small.left() - large.left();
    int low = small.low() - large.low();
    for (int i = 0; i < small.columns(); i++) {
      for (int j = 0; j < small.rows(); j++) {
        if (outwards) {
          to[left + i][low + j] += from[i][j];
        } else {
          to[i][j] += from[left + i][low + j];
        }
      }
    }
  }

  private static void addTied(double[][] to, double[][] tie, double[][] from) {
    for (int p = 0; p < to.length; p++) {
      for (int q = 0; q < to[p].length; q++) {
        to[p][q] += tie[p][q] * from[p][q];
      }
    }
  }
}
