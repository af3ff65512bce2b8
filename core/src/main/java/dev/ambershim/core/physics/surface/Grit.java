package dev.ambershim.core.physics.surface;

import java.util.ArrayList;
import java.util.List;

/**
 * Abrasive papers with the mean size of their grains after ISO 6344-3:2013 (FEPA 43-2, P-grits by
 * sedimentation, d50), entered from memory and held to the table by a test that quotes it.
 */
public enum Grit {
  P240(240, 58.5),
  P280(280, 52.2),
  P320(320, 46.2),
  P360(360, 40.5),
  P400(400, 35.0),
  P500(500, 30.2),
  P600(600, 25.8),
  P800(800, 21.8),
  P1000(1000, 18.3),
  P1200(1200, 15.3),
  P1500(1500, 12.6),
  P2000(2000, 10.3),
  P2500(2500, 8.4);

  /** Scratches reach about this share of a grain deep; common practice. */
  private static final double SCRATCH = 0.08;

  /** The next paper's grains are at most this share of the last one's. */
  private static final double STEP = 0.72;

  private final int number;
  private final double size;

  Grit(int number, double size) {
    this.number = number;
    this.size = size;
  }

  /** Its P number. */
  public int number() {
    return number;
  }

  /** Mean grain size, µm. */
  public double sizeMicrometres() {
    return size;
  }

  /** How deep its scratches are, µm. */
  public double scratchMicrometres() {
    return SCRATCH * size;
  }

  /**
   * The papers from one to another, each fine enough to take out the scratches of the one before.
   */
  public static List<Grit> ladder(Grit first, Grit last) {
    List<Grit> all = new ArrayList<>(List.of(first));
    Grit at = first;
    while (at.size > last.size) {
      Grit next = last;
      for (Grit g : values()) {
        if (g.size <= STEP * at.size && g.size >= last.size) {
          next = g;
          break;
        }
      }
      all.add(next);
      at = next;
    }
    return all;
  }
}
