package dev.ambershim.core.physics.modes;

import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.StackSolution;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Temperatures of boxes, and what can be read from them.
 *
 * @param stack what was solved
 * @param boxes its geometry
 * @param watts of each source, leakage included
 * @param through W through each contact's cells
 * @param rises of the faces
 */
record BoxField(StackCase stack, Boxes boxes, double[] watts, double[][][] through, Rises rises) {
  /** Mean and peak of each source, °C. */
  List<StackSolution.Source> sources() {
    Peaks peaks = new Peaks(this);
    return sources(peaks, peaks.candidates());
  }

  /**
   * The same where the peaks of several fields are looked for in the same places.
   *
   * @param peaks of this field
   * @param candidates where it is looked more closely
   */
  List<StackSolution.Source> sources(Peaks peaks, Peaks.Candidates candidates) {
    double[] kelvin = peaks.kelvin(candidates);
    List<StackSolution.Source> all = new ArrayList<>();
    for (int s = 0; s < watts.length; s++) {
      all.add(
          new StackSolution.Source(
              stack.heat().get(s).name(),
              watts[s],
              stack.coolantCelsius() + mean(s),
              stack.coolantCelsius() + kelvin[s]));
    }
    return all;
  }

  /** The rise at places under a source, K. */
  double[][] at(int source, Spot.Places places) {
    double[][] grid = rises.at(boxes.spots.get(source).box(), places);
    addBelow(places, grid);
    return grid;
  }

  /** Mean temperatures of the sources alone, °C; quicker than with the peaks. */
  double[] meansCelsius() {
    double[] all = new double[watts.length];
    for (int s = 0; s < all.length; s++) {
      all[s] = stack.coolantCelsius() + mean(s);
    }
    return all;
  }

  private double mean(int source) {
    Spot spot = boxes.spots.get(source);
    double mean = rises.transformed(spot.box(), spot.whole())[0][0];
    if (rises.laws()[spot.box()] != null) {
      double[][] turned = rises.at(spot.box(), spot.nodes());
      mean += Spot.mean(turned) - Spot.mean(rises.transformed(spot.box(), spot.nodes()));
    }
    for (int other = 0; other < watts.length && boxes.lowest > 0; other++) {
      Patch both = Spot.common(spot.patch(), boxes.spots.get(other).patch()).orElse(null);
      if (both != null) {
        double area = both.widthMillimetres() * both.depthMillimetres() * 1e-6;
        double flux = watts[other] / boxes.spots.get(other).area();
        mean += flux * below(both) * area / spot.area();
      }
    }
    return mean;
  }

  /** Joints below the lowest solid, seen from their own underside: mean over a place, m²·K/W. */
  private double below(Patch at) {
    double sum =
        JointCells.face(stack.layers().get(boxes.lowest)) - JointCells.face(stack.layers().get(0));
    for (int l = 0; l < boxes.lowest; l++) {
      double[][] one = new double[1][1];
      JointCells.add(
          stack.layers().get(l),
          new double[] {Footprint.low(at, true), Footprint.high(at, true)},
          0,
          new double[] {Footprint.low(at, false), Footprint.high(at, false)},
          0,
          one);
      sum += one[0][0];
    }
    return sum;
  }

  /** Adds what joints below the lowest solid take. */
  private void addBelow(Spot.Places places, double[][] grid) {
    for (int i = 0; i < grid.length && boxes.lowest > 0; i++) {
      for (int j = 0; j < grid[i].length; j++) {
        double x = 1e3 * places.columns().get(i).low();
        double y = 1e3 * places.rows().get(j).low();
        grid[i][j] += flux(x, y) * below(new Patch(x, y, 1e-6, 1e-6));
      }
    }
  }

  private double flux(double xMillimetres, double yMillimetres) {
    double sum = 0;
    for (int s = 0; s < watts.length; s++) {
      Spot spot = boxes.spots.get(s);
      sum += spot.patch().holds(xMillimetres, yMillimetres) ? watts[s] / spot.area() : 0;
    }
    return sum;
  }

  /** Heat that leaves into the coolant, W. */
  double leaving() {
    double sum = 0;
    for (int c = 0; c < through.length; c++) {
      if (boxes.contacts.get(c).cooled()) {
        for (double[] row : through[c]) {
          for (double one : row) {
            sum += one;
          }
        }
      }
    }
    StackLayer last = stack.layers().get(boxes.highest);
    for (int b = 0; b < boxes.boxes.size() && boxes.filmed(stack); b++) {
      Box box = boxes.boxes.get(b);
      if (box.layer() == boxes.highest) {
        double film = 1 / (1 / stack.filmWattsPerSquareMetreKelvin() + JointCells.face(last));
        sum += film * boxes.sumOverArea(box, rises.top(b));
      }
    }
    return sum;
  }

  /** Heat of all sources, W. */
  double wattsOfAll() {
    double sum = 0;
    for (double w : watts) {
      sum += w;
    }
    return sum;
  }

  /** The map of the underside. */
  StackSolution.HeatMap map() {
    UndersideMap map = boxes.map();
    double[] x = map.x();
    double[] y = map.y();
    int nx = x.length - 1;
    int ny = y.length - 1;
    double[] celsius = new double[nx * ny];
    Arrays.fill(celsius, stack.coolantCelsius());
    boolean[] present = new boolean[nx * ny];
    for (UndersideMap.Part part : map.parts()) {
      double[][] face = rises.at(part.box(), part.places());
      int left = part.left();
      int low = part.low();
      int right = left + face.length;
      int high = low + face[0].length;
      for (int i = left; i < right; i++) {
        for (int j = low; j < high; j++) {
          double cx = (x[i] + x[i + 1]) * 0.5e3;
          double cy = (y[j] + y[j + 1]) * 0.5e3;
          boolean here = true;
          for (int l = 0; l < boxes.lowest; l++) {
            here &= stack.layers().get(l).holds(cx, cy);
          }
          double more =
              boxes.lowest > 0 && here ? flux(cx, cy) * below(new Patch(cx, cy, 1e-6, 1e-6)) : 0;
          present[j * nx + i] = here;
          celsius[j * nx + i] =
              stack.coolantCelsius() + (here ? face[i - left][j - low] + more : 0);
        }
      }
    }
    return new StackSolution.HeatMap(millimetres(x), millimetres(y), celsius, present);
  }

  private static double[] millimetres(double[] metres) {
    double[] all = new double[metres.length];
    for (int i = 0; i < all.length; i++) {
      all[i] = metres[i] * 1e3;
    }
    return all;
  }

  /** Mean temperatures of each layer's faces over its footprint, °C. */
  List<StackSolution.Layer> layers() {
    return new LayerFaces(this).over(null);
  }

  /** Mean temperatures of each layer's faces where they lie over patches, °C; else NaN. */
  List<StackSolution.Layer> layersOver(List<Patch> patches) {
    return new LayerFaces(this).over(patches);
  }

  /** The mean temperature of one solid layer's top over patches, °C. */
  double topOver(int layer, List<Patch> patches) {
    return LayerFaces.topOver(this, layer, patches);
  }
}
