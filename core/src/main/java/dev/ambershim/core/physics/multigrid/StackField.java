package dev.ambershim.core.physics.multigrid;

import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.StackSolution;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Temperatures on one grid, and what can be read from them. Face temperatures are reached from the
 * cell's centre by its own flux, on the layer's side of a contact.
 */
final class StackField {
  private final StackGrid grid;
  private final Conductances matrix;
  private final double[][] conductivity;
  private final double[][] rise;
  private final double[] watts;
  private double[] heat;
  private double[] face;

  /**
   * Keeps its arguments.
   *
   * @param conductivity as for {@link Conductances#of}
   * @param rise over the coolant, K
   * @param watts of each source, leakage included
   */
  StackField(
      StackGrid grid,
      Conductances matrix,
      double[][] conductivity,
      double[][] rise,
      double[] watts) {
    this.grid = grid;
    this.matrix = matrix;
    this.conductivity = conductivity;
    this.rise = rise;
    this.watts = watts.clone();
  }

  /** The right-hand side for the heat of each source, W; to be read only. */
  static double[][] load(StackGrid grid, Conductances matrix, double[] watts) {
    double[] heat = heatByColumn(grid, watts);
    double[] nothing = new double[matrix.nx];
    double[][] right = new double[matrix.ny * matrix.nz][];
    // Heat enters the lowest slice; all other rows are one row of zeros.
    for (int row = 0; row < right.length; row++) {
      int j = row / matrix.nz;
      right[row] =
          row % matrix.nz == 0
              ? Arrays.copyOfRange(heat, j * matrix.nx, (j + 1) * matrix.nx)
              : nothing;
    }
    return right;
  }

  private static double[] heatByColumn(StackGrid grid, double[] watts) {
    double[] heat = new double[grid.x.cells() * grid.y.cells()];
    for (int s = 0; s < watts.length; s++) {
      double[] areas = grid.areasUnder(grid.stack.heat().get(s).patch());
      double whole = 0;
      for (double a : areas) {
        whole += a;
      }
      for (int c = 0; c < heat.length; c++) {
        heat[c] += watts[s] * areas[c] / whole;
      }
    }
    return heat;
  }

  /** Rise in a cell, K. */
  double riseAt(int column, int k) {
    return rise[(column / matrix.nx) * matrix.nz + k][column % matrix.nx];
  }

  /** Heat that enters each column, W; worked out once, as all that is read begins with it. */
  private double[] heat() {
    if (heat == null) {
      heat = heatByColumn(grid, watts);
    }
    return heat;
  }

  /** Temperatures of the underside by column, °C; the coolant's where there is no layer. */
  private double[] underside() {
    if (face == null) {
      double[] celsius = new double[heat().length];
      for (int c = 0; c < celsius.length; c++) {
        celsius[c] = grid.stack.coolantCelsius();
        if (grid.present[0][c]) {
          celsius[c] += riseAt(c, 0) + heat()[c] * grid.halfCell(conductivity, 0, c) / area(c);
        }
      }
      face = celsius;
    }
    return face;
  }

  private double area(int column) {
    return grid.x.width(column % matrix.nx) * grid.y.width(column / matrix.nx);
  }

  /** Mean and peak of each source, °C. */
  List<StackSolution.Source> sources() {
    double[] face = underside();
    List<StackSolution.Source> all = new ArrayList<>();
    HotPlace places =
        new HotPlace(
            grid.x,
            grid.y,
            face,
            grid.stack.heat(),
            watts,
            grid.stack.layers().get(0),
            conductivityBelow(face));
    double[] means = means();
    for (int s = 0; s < watts.length; s++) {
      HeatSource source = grid.stack.heat().get(s);
      double[] areas = grid.areasUnder(source.patch());
      int hot = -1;
      for (int c = 0; c < areas.length; c++) {
        if (areas[c] > 0) {
          hot = hot < 0 || face[c] > face[hot] ? c : hot;
        }
      }
      double peak = places.celsius(hot, areas);
      all.add(new StackSolution.Source(source.name(), watts[s], means[s], peak));
    }
    return all;
  }

  /** Mean of each source, °C. */
  double[] means() {
    double[] face = underside();
    double coolant = grid.stack.coolantCelsius();
    double[] means = new double[watts.length];
    for (int s = 0; s < means.length; s++) {
      double[] areas = grid.areasUnder(grid.stack.heat().get(s).patch());
      double sum = 0;
      double whole = 0;
      for (int c = 0; c < areas.length; c++) {
        sum += areas[c] * (face[c] - coolant);
        whole += areas[c];
      }
      means[s] = coolant + sum / whole;
    }
    return means;
  }

  /** The lowest layer's conductivity where it is hottest, W/m·K. */
  private double conductivityBelow(double[] face) {
    if (conductivity == null || conductivity[0] == null) {
      return grid.stack.layers().get(0).conductivityWattsPerMetreKelvin();
    }
    int hot = 0;
    for (int c = 0; c < face.length; c++) {
      hot = face[c] > face[hot] ? c : hot;
    }
    return conductivity[0][hot];
  }

  /** The highest temperature of the underside, °C. */
  double peak() {
    double peak = Double.NEGATIVE_INFINITY;
    double[] face = underside();
    for (int c = 0; c < face.length; c++) {
      if (grid.present[0][c]) {
        peak = Math.max(peak, face[c]);
      }
    }
    return peak;
  }

  /** Mean temperatures of each layer's faces, °C. */
  List<StackSolution.Layer> layers() {
    double[] areas = new double[grid.x.cells() * grid.y.cells()];
    Arrays.setAll(areas, this::area);
    return layers(areas);
  }

  /** Mean temperatures of each layer's faces where they lie over patches, °C; else NaN. */
  List<StackSolution.Layer> layersOver(List<Patch> patches) {
    double[] areas = new double[grid.x.cells() * grid.y.cells()];
    for (Patch patch : patches) {
      double[] under = grid.areasUnder(patch);
      for (int c = 0; c < areas.length; c++) {
        areas[c] += under[c];
      }
    }
    return layers(areas);
  }

  private List<StackSolution.Layer> layers(double[] areas) {
    List<StackSolution.Layer> all = new ArrayList<>();
    for (int l = 0; l < grid.stack.layers().size(); l++) {
      int low = grid.firstSlice(l);
      int high = grid.lastSlice(l);
      double bottom = 0;
      double top = 0;
      double whole = 0;
      for (int c = 0; c < grid.present[l].length; c++) {
        if (!grid.present[l][c] || areas[c] == 0) {
          continue;
        }
        double share = areas[c] / area(c);
        double in = l == 0 ? heat()[c] : flux(c, low - 1);
        double out = flux(c, high);
        bottom += areas[c] * riseAt(c, low) + share * in * grid.halfCell(conductivity, low, c);
        top += areas[c] * riseAt(c, high) - share * out * grid.halfCell(conductivity, high, c);
        whole += areas[c];
      }
      double coolant = grid.stack.coolantCelsius();
      all.add(
          new StackSolution.Layer(
              grid.stack.layers().get(l).name(), coolant + bottom / whole, coolant + top / whole));
    }
    return all;
  }

  /** Heat that rises from slice k of a column, W. */
  private double flux(int column, int k) {
    int j = column / matrix.nx;
    int i = column % matrix.nx;
    return k == matrix.nz - 1
        ? matrix.film[j][i] * riseAt(column, k)
        : matrix.vertical[k] * matrix.gap[k][j][i] * (riseAt(column, k) - riseAt(column, k + 1));
  }

  /** Heat that leaves through the film, W. */
  double leaving() {
    double sum = 0;
    for (int c = 0; c < matrix.nx * matrix.ny; c++) {
      sum += flux(c, matrix.nz - 1);
    }
    return sum;
  }

  /** Heat of all sources, W. */
  double watts() {
    double sum = 0;
    for (double w : watts) {
      sum += w;
    }
    return sum;
  }

  /** Heat of each source, W. */
  double[] wattsBySource() {
    return watts.clone();
  }

  /** The map of the underside. */
  StackSolution.HeatMap map() {
    return new StackSolution.HeatMap(
        millimetres(grid.x.edges),
        millimetres(grid.y.edges),
        underside().clone(),
        grid.present[0].clone());
  }

  private static double[] millimetres(double[] metres) {
    double[] all = new double[metres.length];
    for (int i = 0; i < all.length; i++) {
      all[i] = metres[i] * 1e3;
    }
    return all;
  }
}
