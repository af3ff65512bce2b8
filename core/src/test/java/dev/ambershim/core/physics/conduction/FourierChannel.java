package dev.ambershim.core.physics.conduction;

/**
 * The exact temperature of a rectangular isoflux source anywhere on a finite flux channel of
 * several full layers with joints between them and a film beyond, as a double Fourier series
 * (Yovanovich, Muzychka &amp; Culham 1999, <i>J. Thermophys. Heat Transfer</i> 13; Muzychka, Culham
 * &amp; Yovanovich 2003, <i>J. Electron. Packag.</i> 125). Written from the separation of
 * variables, all in SI: the channel spans 0…a, 0…b.
 */
public final class FourierChannel {
  /**
   * A layer from the heated face on.
   *
   * @param k W/m·K
   * @param t m
   * @param joint resistance beyond it, m²·K/W
   */
  public record Layer(double k, double t, double joint) {}

  private final double a;
  private final double b;
  private final double film;
  private final Layer[] layers;

  public FourierChannel(double a, double b, double film, Layer... layers) {
    this.a = a;
    this.b = b;
    this.film = film;
    this.layers = layers;
  }

  /** Mean rise of the source (centre x, y; size c × d) over the coolant for one watt. */
  public double meanKelvinPerWatt(double x, double y, double c, double d, int terms) {
    double sum = 1 / (a * b) * response(0);
    for (int m = 0; m <= terms; m++) {
      for (int n = m == 0 ? 1 : 0; n <= terms; n++) {
        double lambda = m * Math.PI / a;
        double delta = n * Math.PI / b;
        double cx = mean(lambda, x, c);
        double cy = mean(delta, y, d);
        double weight = (m > 0 ? 2 : 1) * (n > 0 ? 2 : 1) / (a * b);
        sum += weight * cx * cx * cy * cy * response(Math.hypot(lambda, delta));
      }
    }
    return sum;
  }

  /** Rise at a point of the heated face for one watt. */
  public double pointKelvinPerWatt(
      double px, double py, double x, double y, double c, double d, int terms) {
    double sum = 1 / (a * b) * response(0);
    for (int m = 0; m <= terms; m++) {
      for (int n = m == 0 ? 1 : 0; n <= terms; n++) {
        double lambda = m * Math.PI / a;
        double delta = n * Math.PI / b;
        double weight = (m > 0 ? 2 : 1) * (n > 0 ? 2 : 1) / (a * b);
        sum +=
            weight
                * mean(lambda, x, c)
                * mean(delta, y, d)
                * Math.cos(lambda * px)
                * Math.cos(delta * py)
                * response(Math.hypot(lambda, delta));
      }
    }
    return sum;
  }

  /** Mean of cos(ζ·s) over a source. */
  private static double mean(double zeta, double centre, double size) {
    if (zeta == 0) {
      return 1;
    }
    double half = zeta * size / 2;
    return Math.cos(zeta * centre) * Math.sin(half) / half;
  }

  /** Temperature of the heated face for a unit flux of one wave number, m²·K/W. */
  private double response(double zeta) {
    double below = film; // conductance seen at the far face of a layer, W/m²·K
    double seen = 0;
    for (int i = layers.length - 1; i >= 0; i--) {
      Layer layer = layers[i];
      below = 1 / (1 / below + layer.joint);
      if (zeta == 0) {
        seen = 1 / (layer.t / layer.k + 1 / below);
      } else {
        double kz = layer.k * zeta;
        double tanh = Math.tanh(zeta * layer.t);
        seen = kz * (kz * tanh + below) / (kz + below * tanh);
      }
      below = seen;
    }
    return 1 / seen;
  }
}
