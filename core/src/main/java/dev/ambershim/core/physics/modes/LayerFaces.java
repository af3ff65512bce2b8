package dev.ambershim.core.physics.modes;

import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.Planes;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.StackSolution;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Mean temperatures of the layers' faces, each on the layer's own side of its contact. A joint that
 * hangs over where no heat crosses has the temperature of the solid that it hangs from.
 */
final class LayerFaces {
  private final StackCase stack;
  private final Boxes boxes;

  /** By shared cell and solid layer: the underside, the top; NaN where there is no box. */
  private final double[][][] low;

  private final double[][][] top;

  /** W/m² that rise out of each solid layer's top, by shared cell; NaN where nothing can. */
  private final double[][][] rising;

  /** W/m² that enter from below, by shared cell; null where no joint lies below the first solid. */
  private final double[][] entering;

  LayerFaces(BoxField field) {
    stack = field.stack();
    boxes = field.boxes();
    int layers = stack.layers().size();
    low = new double[layers][][];
    top = new double[layers][][];
    rising = new double[layers][][];
    for (int l = boxes.lowest; l <= boxes.highest; l++) {
      if (!stack.layers().get(l).crossing()) {
        low[l] = nowhere();
        top[l] = nowhere();
        rising[l] = nowhere();
      }
    }
    for (int b = 0; b < boxes.boxes.size(); b++) {
      Box box = boxes.boxes.get(b);
      spread(box, field.rises().low(b), low[box.layer()]);
      spread(box, field.rises().top(b), top[box.layer()]);
    }
    for (int c = 0; c < boxes.contacts.size(); c++) {
      Contact contact = boxes.contacts.get(c);
      double[][] to = rising[boxes.boxes.get(contact.below()).layer()];
      for (int i = 0; i < contact.columns(); i++) {
        for (int j = 0; j < contact.rows(); j++) {
          if (contact.open()[i][j]) {
            to[contact.left() + i][contact.low() + j] =
                field.through()[c][i][j] / contact.area()[i][j];
          }
        }
      }
    }
    entering = boxes.lowest > 0 ? entering(field.watts()) : null;
  }

  private double[][] entering(double[] watts) {
    double[][] all = new double[boxes.x.length - 1][boxes.y.length - 1];
    for (int s = 0; s < watts.length; s++) {
      Patch heat = boxes.spots.get(s).patch();
      double[][] area = areas(List.of(heat));
      for (int i = 0; i < all.length; i++) {
        for (int j = 0; j < all[i].length; j++) {
          all[i][j] +=
              watts[s]
                  / boxes.spots.get(s).area()
                  * area[i][j]
                  / (Planes.width(boxes.x, i) * Planes.width(boxes.y, j));
        }
      }
    }
    return all;
  }

  /**
   * The mean temperature of one solid layer's top over patches, °C: what {@link #over} gives, many
   * times as quick.
   */
  static double topOver(BoxField field, int layer, List<Patch> patches) {
    Boxes boxes = field.boxes();
    double[][] top = nowhere(boxes);
    for (int b = 0; b < boxes.boxes.size(); b++) {
      if (boxes.boxes.get(b).layer() == layer) {
        spread(boxes.boxes.get(b), field.rises().top(b), top);
      }
    }
    return field.stack().coolantCelsius() + mean(top, areas(boxes, patches));
  }

  private double[][] nowhere() {
    return nowhere(boxes);
  }

  private static double[][] nowhere(Boxes boxes) {
    double[][] all = new double[boxes.x.length - 1][boxes.y.length - 1];
    for (double[] row : all) {
      Arrays.fill(row, Double.NaN);
    }
    return all;
  }

  private static void spread(Box box, double[][] own, double[][] to) {
    for (int i = 0; i < own.length; i++) {
      System.arraycopy(own[i], 0, to[box.left() + i], box.low(), own[i].length);
    }
  }

  /**
   * The means.
   *
   * @param patches where to look, or null for everywhere
   */
  List<StackSolution.Layer> over(List<Patch> patches) {
    double[][] area = areas(patches);
    List<StackSolution.Layer> all = new ArrayList<>();
    for (int l = 0; l < stack.layers().size(); l++) {
      StackLayer layer = stack.layers().get(l);
      double[][] under = layer.crossing() ? nowhere() : low[l];
      double[][] over = layer.crossing() ? nowhere() : top[l];
      if (layer.crossing()) {
        joint(l, under, over);
      }
      all.add(
          new StackSolution.Layer(
              layer.name(),
              stack.coolantCelsius() + mean(under, area),
              stack.coolantCelsius() + mean(over, area)));
    }
    return all;
  }

  private static double mean(double[][] values, double[][] area) {
    double sum = 0;
    double whole = 0;
    for (int i = 0; i < values.length; i++) {
      for (int j = 0; j < values[i].length; j++) {
        if (!Double.isNaN(values[i][j])) {
          sum += area[i][j] * values[i][j];
          whole += area[i][j];
        }
      }
    }
    return sum / whole;
  }

  /** Area of each shared cell that lies over the patches, m². */
  private double[][] areas(List<Patch> patches) {
    return areas(boxes, patches);
  }

  private static double[][] areas(Boxes boxes, List<Patch> patches) {
    double[] x = boxes.x;
    double[] y = boxes.y;
    double[][] all = new double[x.length - 1][y.length - 1];
    for (int i = 0; i < all.length; i++) {
      for (int j = 0; j < all[i].length; j++) {
        if (patches == null) {
          all[i][j] = Planes.width(x, i) * Planes.width(y, j);
          continue;
        }
        for (Patch p : patches) {
          double width =
              Math.min(x[i + 1], Footprint.high(p, true)) - Math.max(x[i], Footprint.low(p, true));
          double depth =
              Math.min(y[j + 1], Footprint.high(p, false))
                  - Math.max(y[j], Footprint.low(p, false));
          all[i][j] += Math.max(0, width) * Math.max(0, depth);
        }
      }
    }
    return all;
  }

  /** The faces of a joint, by shared cell. */
  private void joint(int layer, double[][] under, double[][] over) {
    int lower = layer - 1;
    while (lower >= 0 && stack.layers().get(lower).crossing()) {
      lower--;
    }
    int upper = layer + 1;
    while (upper < stack.layers().size() && stack.layers().get(upper).crossing()) {
      upper++;
    }
    double[][] own = resistance(layer);
    double[][] before = new double[own.length][own[0].length];
    if (lower >= 0) {
      addFace(lower, before);
      for (int m = lower + 1; m < layer; m++) {
        Dense.add(before, 1, resistance(m));
      }
    } else {
      addFace(upper, before);
      for (int m = layer + 1; m < upper; m++) {
        Dense.add(before, 1, resistance(m));
      }
    }
    double face = JointCells.face(stack.layers().get(layer));
    for (int i = 0; i < own.length; i++) {
      for (int j = 0; j < own[i].length; j++) {
        if (!boxes.present[layer][i][j]) {
          continue;
        }
        boolean onLower = lower >= 0 && whole(lower + 1, layer, i, j);
        boolean onUpper = upper < stack.layers().size() && whole(layer, upper - 1, i, j);
        double body = own[i][j] - 2 * face;
        if (lower < 0) {
          boolean reached = onUpper && whole(0, layer, i, j);
          double flux = reached && entering[i][j] > 0 ? entering[i][j] : 0;
          double at = onUpper ? low[upper][i][j] : Double.NaN;
          over[i][j] = at + flux * (before[i][j] + face);
          under[i][j] = over[i][j] + flux * body;
        } else if (onLower && !Double.isNaN(rising[lower][i][j])) {
          double flux = rising[lower][i][j];
          under[i][j] = top[lower][i][j] - flux * (before[i][j] + face);
          over[i][j] = under[i][j] - flux * body;
        } else {
          double hangs = onLower ? top[lower][i][j] : Double.NaN;
          if (Double.isNaN(hangs) && onUpper) {
            hangs = low[upper][i][j];
          }
          under[i][j] = hangs;
          over[i][j] = hangs;
        }
      }
    }
  }

  private boolean whole(int from, int to, int i, int j) {
    for (int l = from; l <= to; l++) {
      if (!boxes.present[l][i][j]) {
        return false;
      }
    }
    return true;
  }

  private void addFace(int solid, double[][] to) {
    for (double[] row : to) {
      for (int j = 0; j < row.length; j++) {
        row[j] += JointCells.face(stack.layers().get(solid));
      }
    }
  }

  /** A joint's resistance with both faces by shared cell, m²·K/W. */
  private double[][] resistance(int layer) {
    double[][] all = new double[boxes.x.length - 1][boxes.y.length - 1];
    JointCells.add(stack.layers().get(layer), boxes.x, 0, boxes.y, 0, all);
    return all;
  }
}
