package dev.ambershim.core.stage.diagnosis;

import java.util.Arrays;

/**
 * How a joint or the film differs from what it should be, by a few figures.
 *
 * @param form which figures these are
 * @param joint the joint's place among the joints; −1 where none is meant
 * @param at the figures, by the form; read only
 * @param spread how far the truth may lie from them, standard deviations
 */
public record Shape(Form form, int joint, double[] at, double[] spread) {
  /** The forms, with what their figures mean. */
  public enum Form {
    /** Nothing differs. */
    NONE,
    /** Extra thickness, as a share of what it should be. */
    EVEN,
    /** Extra in the middle, towards +x and towards +y at the joint's edges; shares. */
    PLANE,
    /**
     * Place x and y and radius, mm; logarithm of the extra share inside. Its edge is soft: the
     * logarithm falls with the fourth power of the distance.
     */
    GAP,
    /** Extra share inside a rectangle; its place x and y and half its sizes, mm. */
    BOX,
    /** Logarithm of the film's factor. */
    FILM
  }

  /** Nothing differs. */
  public static final Shape NONE = new Shape(Form.NONE, -1, new double[0], new double[0]);

  /** The same shape with other figures. */
  Shape moved(double[] to) {
    return new Shape(form, joint, to, spread);
  }

  /**
   * Extra thickness at a place, as a share of what the joint should be.
   *
   * @param x mm from the joint's middle
   * @param y mm
   * @param halfWidth of the joint, mm
   * @param halfDepth of the joint, mm
   */
  double extra(double x, double y, double halfWidth, double halfDepth) {
    return switch (form) {
      case NONE, FILM -> 0;
      case EVEN -> at[0];
      case PLANE -> at[0] + at[1] * x / halfWidth + at[2] * y / halfDepth;
      case BOX -> Math.abs(x - at[1]) <= at[3] && Math.abs(y - at[2]) <= at[4] ? at[0] : 0;
      case GAP -> {
        double u = x - at[0];
        double v = y - at[1];
        double radius = Math.max(0.1, Math.abs(at[2]));
        double square = (u * u + v * v) / (radius * radius);
        yield Math.exp(at[3] - square * square);
      }
    };
  }

  /** The factor on the film. */
  double film() {
    return form == Form.FILM ? Math.exp(at[0]) : 1;
  }

  /** A step over which its figures may be differentiated. */
  double step(int figure) {
    return form == Form.GAP && figure < 3 ? 0.05 : 0.02;
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Shape s
        && form == s.form
        && joint == s.joint
        && Arrays.equals(at, s.at)
        && Arrays.equals(spread, s.spread);
  }

  @Override
  public int hashCode() {
    return 31 * (31 * form.hashCode() + joint) + Arrays.hashCode(at);
  }

  @Override
  public String toString() {
    return form + " in joint " + joint + " " + Arrays.toString(at);
  }
}
