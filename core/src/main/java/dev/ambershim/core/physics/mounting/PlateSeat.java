package dev.ambershim.core.physics.mounting;

import dev.ambershim.core.physics.conduction.Patch;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * How a rigid plate lies on a chip while its screws press unevenly. The plate stands on the tops of
 * the dies or the lid as on a bed that only pushes; the chip stands on the springs of its socket;
 * the screws' springs only pull down. The rest is the state of least energy, found by Newton's
 * steps.
 *
 * <p>Bed: copper on silicon gives about its modulus over the size of the contact, taken as 8 MPa a
 * micrometre. Socket: some thousand contacts of 0.8 N/mm under the whole substrate. Both are common
 * practice; the forces hardly hang on them, the peak pressure goes about by the root of the first.
 *
 * @param xSlope tilt of the plate over the board, mm per mm
 * @param ySlope the same in y
 * @param newtons force of each screw, in the order of the terms
 * @param totalNewtons all of them together
 * @param peakMegapascals highest pressure on a contact's edge
 * @param meanMegapascals force over the whole area of contact
 * @param touchingShare share of the contact that is touched, 0 to 1
 * @param xMillimetres where the force acts
 * @param yMillimetres the same upwards
 */
public record PlateSeat(
    double xSlope,
    double ySlope,
    List<Double> newtons,
    double totalNewtons,
    double peakMegapascals,
    double meanMegapascals,
    double touchingShare,
    double xMillimetres,
    double yMillimetres) {
  private static final double BED = 8000;
  private static final double SOCKET = 0.6;
  private static final int CELLS = 24;
  private static final int STEPS = 60;

  /** Copies its list. */
  public PlateSeat {
    newtons = List.copyOf(newtons);
  }

  /** How much the plate is tilted, degrees. */
  public double tiltDegrees() {
    return Math.toDegrees(Math.atan(Math.hypot(xSlope, ySlope)));
  }

  /**
   * Seats a plate.
   *
   * @param tops what it stands on
   * @param widthMillimetres the substrate's size in x, over which the socket carries
   * @param depthMillimetres its size in y
   * @param screws where the screws stand
   * @param ways how far each is turned in beyond where its spring just touches, mm; below zero
   *     while it hangs loose
   * @param rate of each spring, N/mm
   */
  public static PlateSeat of(
      List<Patch> tops,
      double widthMillimetres,
      double depthMillimetres,
      List<Screw> screws,
      double[] ways,
      double rate) {
    return new Bed(tops, widthMillimetres, depthMillimetres, screws, ways, rate).seat();
  }

  /**
   * How something lies.
   *
   * @param height at the middle, mm
   * @param xSlope mm per mm
   * @param ySlope the same in y
   */
  private record Lie(double height, double xSlope, double ySlope) {
    double at(double x, double y) {
      return height + xSlope * x + ySlope * y;
    }

    Lie less(Lie other) {
      return new Lie(height - other.height, xSlope - other.xSlope, ySlope - other.ySlope);
    }
  }

  /** What springs that only push do together: energy, force and stiffness with their moments. */
  private static final class Push {
    private double energy;
    private double force;
    private double forceX;
    private double forceY;
    private double stiffness;
    private double stiffnessX;
    private double stiffnessY;
    private double stiffnessXx;
    private double stiffnessXy;
    private double stiffnessYy;

    void add(double x, double y, double rate, double way) {
      if (way <= 0) {
        return;
      }
      energy += rate * way * way / 2;
      force += rate * way;
      forceX += rate * way * x;
      forceY += rate * way * y;
      stiffness += rate;
      stiffnessX += rate * x;
      stiffnessY += rate * y;
      stiffnessXx += rate * x * x;
      stiffnessXy += rate * x * y;
      stiffnessYy += rate * y * y;
    }

    /** Slope of the energy by height and both slopes. */
    RealVector forces() {
      return new ArrayRealVector(new double[] {force, forceX, forceY}, false);
    }

    /** Its curvature by the same. */
    RealMatrix stiffnesses() {
      return new Array2DRowRealMatrix(
          new double[][] {
            {stiffness, stiffnessX, stiffnessY},
            {stiffnessX, stiffnessXx, stiffnessXy},
            {stiffnessY, stiffnessXy, stiffnessYy}
          },
          false);
    }
  }

  /**
   * The springs under the whole substrate, which push and pull.
   *
   * @param height for each millimetre that the chip is pressed down, N
   * @param xSlope for each unit of its slope, N·mm
   * @param ySlope the same in y
   */
  private record Socket(double height, double xSlope, double ySlope) {
    static Socket under(double width, double depth) {
      double all = SOCKET * width * depth;
      return new Socket(all, all * width * width / 12, all * depth * depth / 12);
    }

    double energy(Lie chip) {
      return (height * chip.height * chip.height
              + xSlope * chip.xSlope * chip.xSlope
              + ySlope * chip.ySlope * chip.ySlope)
          / 2;
    }

    RealVector forces(Lie chip) {
      return new ArrayRealVector(
          new double[] {height * chip.height, xSlope * chip.xSlope, ySlope * chip.ySlope}, false);
    }

    RealMatrix stiffnesses() {
      return MatrixUtils.createRealDiagonalMatrix(new double[] {height, xSlope, ySlope});
    }
  }

  /** Plate and chip, and the springs between them. */
  private static final class Bed {
    private final double[] x;
    private final double[] y;
    private final double[] area;
    private final double whole;
    private final Socket socket;
    private final List<Screw> screws;
    private final double[] ways;
    private final double rate;

    Bed(
        List<Patch> tops,
        double width,
        double depth,
        List<Screw> screws,
        double[] ways,
        double rate) {
      this.screws = screws;
      this.ways = ways.clone();
      this.rate = rate;
      socket = Socket.under(width, depth);
      x = new double[tops.size() * CELLS * CELLS];
      y = new double[x.length];
      area = new double[x.length];
      int n = 0;
      for (Patch p : tops) {
        for (int j = 0; j < CELLS; j++) {
          for (int i = 0; i < CELLS; i++) {
            x[n] = p.leftMillimetres() + p.widthMillimetres() * (i + 0.5) / CELLS;
            y[n] = p.lowMillimetres() + p.depthMillimetres() * (j + 0.5) / CELLS;
            area[n++] = p.widthMillimetres() * p.depthMillimetres() / (CELLS * CELLS);
          }
        }
      }
      whole = Arrays.stream(area).sum();
    }

    /**
     * A state of both.
     *
     * @param bed what the tops do, by the chip over the plate
     * @param pull what the screws do
     */
    private record State(Lie plate, Lie chip, Push bed, Push pull, double energy) {}

    private State state(Lie plate, Lie chip) {
      Push bed = new Push();
      Lie deep = chip.less(plate);
      for (int c = 0; c < x.length; c++) {
        bed.add(x[c], y[c], BED * area[c], deep.at(x[c], y[c]));
      }
      Push pull = new Push();
      for (int s = 0; s < ways.length; s++) {
        double there = plate.at(screws.get(s).xMillimetres(), screws.get(s).yMillimetres());
        pull.add(screws.get(s).xMillimetres(), screws.get(s).yMillimetres(), rate, ways[s] + there);
      }
      return new State(plate, chip, bed, pull, bed.energy + pull.energy + socket.energy(chip));
    }

    /** The state of least energy. */
    State rest() {
      Lie level = new Lie(0, 0, 0);
      State at = state(level, level);
      for (int k = 0; k < STEPS; k++) {
        RealVector slope = slope(at);
        if (slope.getLInfNorm() < 1e-9) {
          break;
        }
        RealVector step =
            new CholeskyDecomposition(bend(at), 1e-10, 1e-14).getSolver().solve(slope);
        double length = 1;
        State next = moved(at, step, length);
        while (next.energy() > at.energy() + 1e-15 && length > 1e-6) {
          length /= 2;
          next = moved(at, step, length);
        }
        double gained = at.energy() - next.energy();
        boolean settled = gained < 1e-14 * (1 + Math.abs(at.energy())) && length == 1;
        at = next;
        if (settled) {
          break;
        }
      }
      return at;
    }

    /** Slope of the energy: by how the plate lies, then by how the chip does. */
    private RealVector slope(State at) {
      RealVector bed = at.bed().forces();
      return at.pull().forces().subtract(bed).append(bed.add(socket.forces(at.chip())));
    }

    /** Curvature of the energy, in the same order. */
    private RealMatrix bend(State at) {
      RealMatrix bed = at.bed().stiffnesses();
      RealMatrix all = new Array2DRowRealMatrix(6, 6);
      all.setSubMatrix(bed.add(at.pull().stiffnesses()).getData(), 0, 0);
      all.setSubMatrix(bed.scalarMultiply(-1).getData(), 0, 3);
      all.setSubMatrix(bed.scalarMultiply(-1).getData(), 3, 0);
      all.setSubMatrix(bed.add(socket.stiffnesses()).getData(), 3, 3);
      for (int i = 0; i < 6; i++) {
        // While nothing pulls, the plate is free; a breath of stiffness keeps it in its place.
        all.addToEntry(i, i, 1e-6 * (1 + all.getEntry(i, i)));
      }
      return all;
    }

    private State moved(State at, RealVector step, double length) {
      return state(moved(at.plate(), step, 0, length), moved(at.chip(), step, 3, length));
    }

    private static Lie moved(Lie at, RealVector step, int from, double length) {
      return new Lie(
          at.height() - length * step.getEntry(from),
          at.xSlope() - length * step.getEntry(from + 1),
          at.ySlope() - length * step.getEntry(from + 2));
    }

    PlateSeat seat() {
      State at = rest();
      Lie deep = at.chip().less(at.plate());
      double peak = 0;
      double touched = 0;
      for (int c = 0; c < x.length; c++) {
        double way = deep.at(x[c], y[c]);
        if (way > 0) {
          peak = Math.max(peak, BED * way);
          touched += area[c];
        }
      }
      List<Double> forces = new ArrayList<>();
      for (int s = 0; s < ways.length; s++) {
        double there = at.plate().at(screws.get(s).xMillimetres(), screws.get(s).yMillimetres());
        forces.add(rate * Math.max(0, ways[s] + there));
      }
      double total = at.bed().force;
      return new PlateSeat(
          at.plate().xSlope(),
          at.plate().ySlope(),
          forces,
          at.pull().force,
          peak,
          at.pull().force / whole,
          touched / whole,
          total > 0 ? at.bed().forceX / total : 0,
          total > 0 ? at.bed().forceY / total : 0);
    }
  }
}
