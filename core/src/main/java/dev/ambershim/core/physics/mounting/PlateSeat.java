package dev.ambershim.core.physics.mounting;

import dev.ambershim.core.physics.conduction.Patch;
import java.util.List;
import java.util.stream.IntStream;

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
    Bed bed = new Bed(tops, widthMillimetres, depthMillimetres, screws, ways, rate);
    double[] at = bed.rest();
    return bed.seat(at);
  }

  /** The energy of plate and chip: height and two slopes of each. */
  private static final class Bed {
    private final double[][] cells;
    private final double width;
    private final double depth;
    private final List<Screw> screws;
    private final double[] ways;
    private final double rate;
    private double area;

    Bed(
        List<Patch> tops,
        double width,
        double depth,
        List<Screw> screws,
        double[] ways,
        double rate) {
      this.width = width;
      this.depth = depth;
      this.screws = screws;
      this.ways = ways.clone();
      this.rate = rate;
      cells = new double[tops.size() * CELLS * CELLS][];
      int n = 0;
      for (Patch p : tops) {
        double cell = p.widthMillimetres() * p.depthMillimetres() / (CELLS * CELLS);
        area += cell * CELLS * CELLS;
        for (int j = 0; j < CELLS; j++) {
          for (int i = 0; i < CELLS; i++) {
            cells[n++] =
                new double[] {
                  p.leftMillimetres() + p.widthMillimetres() * (i + 0.5) / CELLS,
                  p.lowMillimetres() + p.depthMillimetres() * (j + 0.5) / CELLS,
                  cell
                };
          }
        }
      }
    }

    double[] rest() {
      double[] at = new double[6];
      double energy = energy(at, null, null);
      for (int k = 0; k < STEPS; k++) {
        double[] slope = new double[6];
        double[][] bend = new double[6][6];
        energy(at, slope, bend);
        double size = 0;
        for (int i = 0; i < 6; i++) {
          // While nothing pulls, the plate is free; a breath of stiffness keeps it in its place.
          bend[i][i] += 1e-6 * (1 + bend[i][i]);
          size = Math.max(size, Math.abs(slope[i]));
        }
        if (size < 1e-9) {
          break;
        }
        double[] step = solve(bend, slope);
        double length = 1;
        double[] next = moved(at, step, length);
        double found = energy(next, null, null);
        while (found > energy + 1e-15 && length > 1e-6) {
          length /= 2;
          next = moved(at, step, length);
          found = energy(next, null, null);
        }
        at = next;
        if (energy - found < 1e-14 * (1 + Math.abs(energy)) && length == 1) {
          break;
        }
        energy = found;
      }
      return at;
    }

    private static double[] moved(double[] at, double[] step, double length) {
      double[] next = at.clone();
      for (int i = 0; i < 6; i++) {
        next[i] -= length * step[i];
      }
      return next;
    }

    private double energy(double[] at, double[] slope, double[][] bend) {
      double sum = 0;
      for (double[] c : cells) {
        // How deep the plate would be in the top.
        double[] shape = {-1, -c[0], -c[1], 1, c[0], c[1]};
        sum += spring(at, shape, 0, BED * c[2], slope, bend);
      }
      for (int s = 0; s < ways.length; s++) {
        double[] shape = {1, screws.get(s).xMillimetres(), screws.get(s).yMillimetres(), 0, 0, 0};
        sum += spring(at, shape, ways[s], rate, slope, bend);
      }
      double ground = SOCKET * width * depth;
      double[] stiff = {0, 0, 0, ground, ground * width * width / 12, ground * depth * depth / 12};
      for (int i = 3; i < 6; i++) {
        sum += stiff[i] * at[i] * at[i] / 2;
        if (slope != null) {
          slope[i] += stiff[i] * at[i];
          bend[i][i] += stiff[i];
        }
      }
      return sum;
    }

    /** A spring that only pushes. */
    private static double spring(
        double[] at, double[] shape, double offset, double k, double[] slope, double[][] bend) {
      double way = offset;
      for (int i = 0; i < 6; i++) {
        way += shape[i] * at[i];
      }
      if (way <= 0) {
        return 0;
      }
      if (slope != null) {
        for (int i = 0; i < 6; i++) {
          slope[i] += k * way * shape[i];
          for (int j = 0; j < 6; j++) {
            bend[i][j] += k * shape[i] * shape[j];
          }
        }
      }
      return k * way * way / 2;
    }

    private static double[] solve(double[][] a, double[] b) {
      int n = b.length;
      double[] x = b.clone();
      for (int i = 0; i < n; i++) {
        for (int r = i + 1; r < n; r++) {
          double f = a[r][i] / a[i][i];
          for (int c = i; c < n; c++) {
            a[r][c] -= f * a[i][c];
          }
          x[r] -= f * x[i];
        }
      }
      for (int i = n - 1; i >= 0; i--) {
        for (int c = i + 1; c < n; c++) {
          x[i] -= a[i][c] * x[c];
        }
        x[i] /= a[i][i];
      }
      return x;
    }

    PlateSeat seat(double[] at) {
      double peak = 0;
      double total = 0;
      double momentX = 0;
      double momentY = 0;
      double touched = 0;
      for (double[] c : cells) {
        double deep = at[3] + at[4] * c[0] + at[5] * c[1] - at[0] - at[1] * c[0] - at[2] * c[1];
        if (deep > 0) {
          peak = Math.max(peak, BED * deep);
          total += BED * deep * c[2];
          momentX += BED * deep * c[2] * c[0];
          momentY += BED * deep * c[2] * c[1];
          touched += c[2];
        }
      }
      List<Double> forces =
          IntStream.range(0, ways.length)
              .mapToObj(
                  s ->
                      rate
                          * Math.max(
                              0,
                              ways[s]
                                  + at[0]
                                  + at[1] * screws.get(s).xMillimetres()
                                  + at[2] * screws.get(s).yMillimetres()))
              .toList();
      double all = forces.stream().mapToDouble(f -> f).sum();
      return new PlateSeat(
          at[1],
          at[2],
          forces,
          all,
          peak,
          all / area,
          touched / area,
          total > 0 ? momentX / total : 0,
          total > 0 ? momentY / total : 0);
    }
  }
}
