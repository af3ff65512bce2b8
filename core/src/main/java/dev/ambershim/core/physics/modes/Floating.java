package dev.ambershim.core.physics.modes;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import java.util.ArrayDeque;
import java.util.Locale;

/** Whether every part of a stack has a way to the cooling. */
final class Floating {
  private Floating() {}

  /**
   * Follows the heat back from the coolant.
   *
   * @throws Problem {@code stack.floating} if it does not reach every box and every heat
   */
  static void refuse(StackCase stack, Boxes boxes) {
    boolean[] reached = new boolean[boxes.boxes.size()];
    ArrayDeque<Integer> open = new ArrayDeque<>();
    for (int b = 0; b < reached.length; b++) {
      int box = b;
      boolean cooled =
          boxes.filmed(stack)
              ? boxes.boxes.get(b).layer() == boxes.highest
              : boxes.contacts.stream().anyMatch(c -> c.below() == box && c.cooled());
      if (cooled) {
        reached[b] = true;
        open.add(b);
      }
    }
    while (!open.isEmpty()) {
      int at = open.pop();
      for (Contact c : boxes.contacts) {
        int other = c.below() == at ? c.above() : c.above() == at ? c.below() : -1;
        if (other >= 0 && !reached[other]) {
          reached[other] = true;
          open.add(other);
        }
      }
    }
    for (int b = 0; b < reached.length; b++) {
      if (!reached[b]) {
        Box box = boxes.boxes.get(b);
        throw at(stack.layers().get(box.layer()), boxes, box.left(), box.low());
      }
    }
    for (HeatSource h : stack.heat()) {
      refuseUnder(stack, boxes, h.patch());
    }
  }

  /** Heat that enters below a joint must have the joint and the solid above it. */
  private static void refuseUnder(StackCase stack, Boxes boxes, Patch heat) {
    double[] x = boxes.x;
    double[] y = boxes.y;
    for (int i = 0; i + 1 < x.length; i++) {
      for (int j = 0; j + 1 < y.length; j++) {
        boolean under =
            x[i] < Footprint.high(heat, true) - 1e-9
                && x[i + 1] > Footprint.low(heat, true) + 1e-9
                && y[j] < Footprint.high(heat, false) - 1e-9
                && y[j + 1] > Footprint.low(heat, false) + 1e-9;
        for (int l = 0; l <= boxes.lowest && under; l++) {
          if (!boxes.present[l][i][j]) {
            throw at(stack.layers().get(0), boxes, i, j);
          }
        }
      }
    }
  }

  private static Problem at(StackLayer layer, Boxes boxes, int column, int row) {
    return new Problem(
        "stack.floating",
        Place.field("layer \"" + layer.name() + "\""),
        String.format(
            Locale.ROOT,
            "It floats free near %.2f, %.2f mm: from there no layer leads to the cooled top.",
            (boxes.x[column] + boxes.x[column + 1]) * 0.5e3,
            (boxes.y[row] + boxes.y[row + 1]) * 0.5e3),
        "Let every part of it lie under or over a part of its neighbour.");
  }
}
