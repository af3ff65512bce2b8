package dev.ambershim.core.physics.mounting;

import dev.ambershim.core.physics.conduction.Patch;
import java.util.ArrayList;
import java.util.List;

/**
 * The screws turned in, one after the other, and how the plate lies after each turn.
 *
 * @param turns every turn in its order
 */
public record Tightening(List<Turn> turns) {
  private static final int MOST_TURNS = 400;

  /**
   * One turn.
   *
   * @param screw the screw, by its place in the terms
   * @param turned how far that screw is turned in now, turns
   * @param seat how the plate lies then
   */
  public record Turn(int screw, double turned, PlateSeat seat) {}

  /** Copies its list. */
  public Tightening {
    turns = List.copyOf(turns);
  }

  /**
   * Crosswise, so many turns at a time, round after round until each screw is in.
   *
   * @param tops what the plate stands on
   */
  public static Tightening crosswise(
      MountTerms terms, List<Patch> tops, double widthMillimetres, double depthMillimetres) {
    double[] goal = goals(terms);
    double[] in = new double[goal.length];
    List<Turn> turns = new ArrayList<>();
    boolean more = true;
    while (more && turns.size() < MOST_TURNS) {
      more = false;
      for (int s = 0; s < goal.length; s++) {
        if (in[s] < goal[s] - 1e-9) {
          in[s] = Math.min(goal[s], in[s] + terms.step());
          turns.add(turn(terms, tops, widthMillimetres, depthMillimetres, s, in));
          more = true;
        }
      }
    }
    return new Tightening(turns);
  }

  /** Each screw home at once, before the next is begun: what it must not be. */
  public static Tightening oneAfterTheOther(
      MountTerms terms, List<Patch> tops, double widthMillimetres, double depthMillimetres) {
    double[] goal = goals(terms);
    double[] in = new double[goal.length];
    List<Turn> turns = new ArrayList<>();
    for (int s = 0; s < goal.length; s++) {
      in[s] = goal[s];
      turns.add(turn(terms, tops, widthMillimetres, depthMillimetres, s, in));
    }
    return new Tightening(turns);
  }

  private static double[] goals(MountTerms terms) {
    double way = ScrewForce.done(terms) / ScrewForce.rate(terms);
    double[] goal = new double[terms.screws()];
    for (int s = 0; s < goal.length; s++) {
      goal[s] = Math.max(0, way / terms.pitch() + terms.extra(s));
    }
    return goal;
  }

  private static Turn turn(
      MountTerms terms, List<Patch> tops, double width, double depth, int screw, double[] in) {
    double[] ways = new double[in.length];
    for (int s = 0; s < in.length; s++) {
      ways[s] = in[s] * terms.pitch();
    }
    return new Turn(
        screw,
        in[screw],
        PlateSeat.of(tops, width, depth, terms.places(), ways, ScrewForce.rate(terms)));
  }

  /** How the plate lies when all screws are in. */
  public PlateSeat end() {
    return turns.get(turns.size() - 1).seat();
  }

  /** The turn with the highest pressure on an edge. */
  public Turn worst() {
    Turn worst = turns.get(0);
    for (Turn t : turns) {
      worst = t.seat().peakMegapascals() > worst.seat().peakMegapascals() ? t : worst;
    }
    return worst;
  }

  /** The greatest tilt on the way, degrees. */
  public double mostTiltDegrees() {
    return turns.stream().mapToDouble(t -> t.seat().tiltDegrees()).max().orElse(0);
  }
}
