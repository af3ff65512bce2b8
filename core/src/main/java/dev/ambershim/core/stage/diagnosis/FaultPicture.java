package dev.ambershim.core.stage.diagnosis;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.Picture.Pen;
import dev.ambershim.core.picture.Tone;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * A cut through the stack with the fault where it lies: joints far higher than they are, so that a
 * tilt or a gap is seen.
 */
final class FaultPicture {
  private static final double TOP = 22;
  private static final double FOOT = 22;
  private static final double SIDE = 96;
  private static final int COLUMNS = 61;

  /** The height of a solid, and of a joint that is as it should be, in picture units. */
  private static final double SOLID = 30;

  private static final double JOINT = 9;

  /** A joint is drawn no higher than this, however thick it is. */
  private static final double TALLEST = 58;

  private FaultPicture() {}

  static double height(StackCase stack) {
    int solids = (int) stack.layers().stream().filter(l -> !l.crossing()).count();
    return TOP + FOOT + solids * SOLID + (solids - 1) * JOINT + TALLEST;
  }

  static Picture of(StackCase stack, Cause cause, String head, Notation notation, double width) {
    double height = height(stack);
    Pen pen = new Pen();
    List<StackLayer> layers = new ArrayList<>(stack.layers());
    while (layers.size() > 1 && layers.get(layers.size() - 1).crossing()) {
      layers.remove(layers.size() - 1);
    }
    double widest = layers.stream().mapToDouble(l -> l.bounds().widthMillimetres()).max().orElse(1);
    double scale = (width - 2 * SIDE) / widest;
    double centre = width / 2;
    boolean alongY = alongY(cause.shape());
    double[] under = new double[COLUMNS];
    Arrays.fill(under, height - FOOT);
    for (StackLayer layer : layers) {
      Patch whole = layer.bounds();
      double half =
          Math.min(
              (width - 2 * SIDE) / 2,
              (alongY ? whole.depthMillimetres() : whole.widthMillimetres()) / 2 * scale);
      boolean faulty =
          cause.joint().filter(layer.name()::equals).isPresent() && cause.kind().inJoint();
      double[] xs = new double[COLUMNS];
      double[] tops = new double[COLUMNS];
      double[] bottoms = new double[COLUMNS];
      double most = under[0];
      for (int i = 0; i < COLUMNS; i++) {
        double along = 2.0 * i / (COLUMNS - 1) - 1;
        xs[i] = centre + along * half;
        bottoms[i] = under[i];
        tops[i] = under[i] - high(layer, faulty ? cause.shape() : Shape.NONE, whole, along, alongY);
        most = Math.min(most, tops[i]);
      }
      // What lies over a joint is stiff: it rests on the joint as a plane.
      if (layer.crossing()) {
        boolean tilted = faulty && cause.shape().form() == Shape.Form.PLANE;
        boolean gap = faulty && cause.shape().form() == Shape.Form.GAP;
        pen.band(xs, tops, bottoms, faulty ? Tone.AMBER : Tone.PASTE);
        if (gap) {
          hollow(pen, cause.shape(), centre, half, whole, alongY, tops, bottoms);
        }
        under = tilted ? tops.clone() : level(tops);
      } else {
        double[] flat = tops.clone();
        pen.band(xs, flat, bottoms, tone(layer));
        under = flat;
      }
      pen.words(
          centre + half + 8,
          (tops[COLUMNS - 1] + bottoms[COLUMNS - 1]) / 2 + 4,
          layer.name(),
          faulty ? Tone.AMBER : Tone.QUIET,
          12,
          Anchor.START);
    }
    pen.words(8, 14, head, Tone.INK, 12, Anchor.START);
    pen.words(
        centre,
        height - 6,
        alongY
            ? "front on the left, back on the right; joints drawn far too high"
            : "cut from left to right; joints drawn far too high",
        Tone.QUIET,
        11,
        Anchor.MIDDLE);
    return pen.picture(
        width, height, "A cut through the stack. " + head + ". " + gapWords(cause, notation));
  }

  private static String gapWords(Cause cause, Notation notation) {
    return cause.shape().form() == Shape.Form.GAP
        ? "The gap is about "
            + notation.text(2 * Math.abs(cause.shape().at()[2]), Unit.MILLIMETRE)
            + " across."
        : "";
  }

  /** Whether the fault shows better from front to back than from left to right. */
  private static boolean alongY(Shape shape) {
    return switch (shape.form()) {
      case PLANE -> Math.abs(shape.at()[2]) > Math.abs(shape.at()[1]);
      case GAP -> Math.abs(shape.at()[1]) > Math.abs(shape.at()[0]);
      case BOX -> Math.abs(shape.at()[2]) > Math.abs(shape.at()[1]);
      default -> false;
    };
  }

  private static double high(
      StackLayer layer, Shape shape, Patch whole, double along, boolean alongY) {
    if (!layer.crossing()) {
      return SOLID;
    }
    double extra =
        switch (shape.form()) {
          case EVEN -> shape.at()[0];
          case BOX -> {
            double half = (alongY ? whole.depthMillimetres() : whole.widthMillimetres()) / 2;
            double off = Math.abs(along * half - shape.at()[alongY ? 2 : 1]);
            yield off <= shape.at()[alongY ? 4 : 3] ? shape.at()[0] : 0;
          }
          case PLANE -> shape.at()[0] + along * shape.at()[alongY ? 2 : 1];
          default -> 0;
        };
    return Math.min(TALLEST, JOINT * Math.max(0.25, 1 + extra));
  }

  private static double[] level(double[] tops) {
    double least = Arrays.stream(tops).min().orElseThrow();
    double[] all = new double[tops.length];
    Arrays.fill(all, least);
    return all;
  }

  private static Tone tone(StackLayer layer) {
    double k = layer.conductivityWattsPerMetreKelvin();
    return k > 200 ? Tone.COPPER : k > 60 ? Tone.SILICON : Tone.NICKEL;
  }

  private static void hollow(
      Pen pen,
      Shape shape,
      double centre,
      double half,
      Patch whole,
      boolean alongY,
      double[] tops,
      double[] bottoms) {
    double size = alongY ? whole.depthMillimetres() : whole.widthMillimetres();
    double at = centre + shape.at()[alongY ? 1 : 0] / size * 2 * half;
    double wide = Math.abs(shape.at()[2]) / size * 2 * half;
    double left = Math.max(centre - half, at - wide);
    double right = Math.min(centre + half, at + wide);
    pen.box(left, tops[0], right - left, bottoms[0] - tops[0], Tone.GAP, "");
    pen.words((left + right) / 2, tops[0] - 2, "gap", Tone.INK, 11, Anchor.MIDDLE);
  }
}
