package dev.ambershim.core.physics.modes;

import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.StackSection;
import java.util.ArrayList;
import java.util.List;

/**
 * The field inside the boxes. Between its faces each mode is known in closed form: with μ² the
 * mode's eigenvalue, a at the lower and b at the upper face of a slab of thickness t, it is (a·sinh
 * μ(t−z) + b·sinh μz) / sinh μt at the height z (Carslaw &amp; Jaeger, 3.3).
 */
final class SectionField {
  /** Below this μ times thickness a mode goes straight from face to face. */
  private static final double EVEN = 1e-6;

  private final BoxField field;

  SectionField(BoxField field) {
    this.field = field;
  }

  /**
   * Cuts all solids.
   *
   * @param yMillimetres where
   * @param columns places along each solid
   * @param rows heights in each solid, both faces included
   */
  StackSection at(double yMillimetres, int columns, int rows) {
    List<StackSection.Piece> pieces = new ArrayList<>();
    Boxes boxes = field.boxes();
    double y = yMillimetres * 1e-3;
    for (int b = 0; b < boxes.boxes.size(); b++) {
      Box box = boxes.boxes.get(b);
      if (box.y().low() <= y && y <= box.y().low() + box.y().length()) {
        pieces.add(piece(b, box, y, columns, rows));
      }
    }
    return new StackSection(yMillimetres, pieces);
  }

  private StackSection.Piece piece(int b, Box box, double y, int columns, int rows) {
    StackLayer layer = field.stack().layers().get(box.layer());
    double thickness = layer.thicknessMicrometres() * 1e-6;
    double[] across = box.y().means(y, y);
    double[][] along = new double[columns][];
    double[] x = new double[columns];
    for (int i = 0; i < columns; i++) {
      double place = box.x().low() + box.x().length() * i / (columns - 1.0);
      x[i] = place * 1e3;
      along[i] = box.x().means(place, place);
    }
    double[] height = new double[rows];
    double[][] celsius = new double[columns][rows];
    double under = under(box.layer());
    double[][] modes = modes(b, box, across, thickness, rows);
    for (int k = 0; k < rows; k++) {
      height[k] = (under + thickness * k / (rows - 1.0)) * 1e3;
      for (int i = 0; i < columns; i++) {
        double rise = field.rises().level()[b];
        for (int p = 0; p < modes[k].length; p++) {
          rise += along[i][p] * modes[k][p];
        }
        Kirchhoff law = field.rises().laws()[b];
        celsius[i][k] = field.stack().coolantCelsius() + (law == null ? rise : law.back(rise));
      }
    }
    return new StackSection.Piece(layer.name(), x, height, celsius);
  }

  /** At each height the sums over the modes along y, by the modes along x. */
  private double[][] modes(int b, Box box, double[] across, double thickness, int rows) {
    double[] squareX = box.x().eigenvalues();
    double[] squareY = box.y().eigenvalues();
    double[][] low = field.rises().low()[b];
    double[][] top = field.rises().top()[b];
    double[][] sums = new double[rows][squareX.length];
    double[] fallen = new double[rows];
    for (int p = 0; p < squareX.length; p++) {
      for (int q = 0; q < squareY.length; q++) {
        double mu = Math.sqrt(squareX[p] + squareY[q]);
        if (mu * thickness < EVEN) {
          for (int k = 0; k < rows; k++) {
            sums[k][p] += across[q] * (low[p][q] + (top[p][q] - low[p][q]) * k / (rows - 1.0));
          }
        } else {
          fall(mu * thickness, fallen);
          for (int k = 0; k < rows; k++) {
            int down = rows - 1 - k;
            sums[k][p] += across[q] * (low[p][q] * fallen[k] + top[p][q] * fallen[down]);
          }
        }
      }
    }
    return sums;
  }

  /**
   * What is left of a mode at even heights above the face that it comes from, where the other face
   * is held: sinh μ(t−z) / sinh μt by falling exponentials, as the hyperbolic sines grow too large.
   *
   * @param depth μ times thickness
   * @param fallen overwritten, from one face to the other
   */
  private static void fall(double depth, double[] fallen) {
    int last = fallen.length - 1;
    double step = Math.exp(-depth / last);
    double whole = -Math.expm1(-2 * depth);
    fallen[0] = 1;
    for (int k = 1; k <= last; k++) {
      fallen[k] = fallen[k - 1] * step;
    }
    // Each is e^−μz, and the part that the held face takes off is e^−μ(2t−z).
    double through = fallen[last];
    for (int k = 0; 2 * k <= last; k++) {
      double near = fallen[k];
      double far = fallen[last - k];
      fallen[k] = (near - through * far) / whole;
      fallen[last - k] = (far - through * near) / whole;
    }
  }

  /** Height of a layer's underside above that of the lowest solid, m. */
  private double under(int layer) {
    double sum = 0;
    for (int l = field.boxes().lowest; l < layer; l++) {
      sum += field.stack().layers().get(l).thicknessMicrometres() * 1e-6;
    }
    return sum;
  }
}
