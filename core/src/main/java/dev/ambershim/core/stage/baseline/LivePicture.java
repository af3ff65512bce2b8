package dev.ambershim.core.stage.baseline;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.Picture.Pen;
import dev.ambershim.core.picture.Tone;
import dev.ambershim.core.runs.protocol.Phase;
import dev.ambershim.core.runs.protocol.Protocol;
import java.util.Arrays;
import java.util.List;

/** A conducted run as it goes: its phases along time, and the hottest sensor up to now. */
public final class LivePicture {
  private static final double LEFT = 46;
  private static final double TOP = 20;
  private static final double BOTTOM = 22;
  private static final double LOW_CELSIUS = 20;
  private static final int MOST_POINTS = 1500;

  private LivePicture() {}

  /**
   * Draws the run.
   *
   * @param seconds time of each sample so far; read only
   * @param hottest hottest sensor of each, °C; read only
   * @param count how many samples there are
   */
  public static Picture of(
      Protocol protocol,
      double[] seconds,
      double[] hottest,
      int count,
      Notation notation,
      double width,
      double height) {
    Pen pen = new Pen();
    double plot = width - LEFT;
    double deep = height - TOP - BOTTOM;
    double perSecond = plot / protocol.lengthSeconds();
    double high = protocol.stopCelsius() + 5;
    double perKelvin = deep / (high - LOW_CELSIUS);
    double base = TOP + deep;
    List<Phase> phases = protocol.phases();
    for (Phase phase : phases) {
      double x = LEFT + phase.fromSeconds() * perSecond;
      double w = (phase.toSeconds() - phase.fromSeconds()) * perSecond;
      if (phase.kind().load()) {
        boolean counts = phase.kind() == Phase.Kind.PLATEAU;
        pen.box(x, TOP, w, deep, counts ? Tone.BEFORE_BAND : Tone.GRID, "");
      }
      if (w > 60) {
        pen.words(x + w / 2, 13, phase.words(), Tone.QUIET, 12, Anchor.MIDDLE);
      }
    }
    for (int celsius = 40; celsius < protocol.stopCelsius() - 8; celsius += 20) {
      double y = base - (celsius - LOW_CELSIUS) * perKelvin;
      pen.line(LEFT, y, width, y, Tone.GRID, 1);
      pen.words(
          LEFT - 5, y + 4, notation.number(celsius, Unit.CELSIUS), Tone.QUIET, 11, Anchor.END);
    }
    double limit = base - (protocol.stopCelsius() - LOW_CELSIUS) * perKelvin;
    pen.dashed(LEFT, limit, width, limit, Tone.ALARM, 1.5);
    pen.words(
        LEFT - 5,
        limit + 4,
        notation.text(protocol.stopCelsius(), Unit.CELSIUS),
        Tone.ALARM,
        11,
        Anchor.END);
    pen.line(LEFT, base, width, base, Tone.GRID, 1);
    for (int minutes :
        new int[] {0, protocol.lengthSeconds() / 120, protocol.lengthSeconds() / 60}) {
      double x = LEFT + minutes * 60 * perSecond;
      Anchor anchor = minutes == 0 ? Anchor.START : x > width - 30 ? Anchor.END : Anchor.MIDDLE;
      pen.words(x, height - 6, minutes + " min", Tone.QUIET, 11, anchor);
    }
    trace(pen, seconds, hottest, count, perSecond, perKelvin, base);
    return pen.picture(
        width,
        height,
        count == 0
            ? "The run has no reading yet."
            : "The run so far: hottest sensor "
                + notation.text(hottest[count - 1], Unit.CELSIUS)
                + " now.");
  }

  private static void trace(
      Pen pen,
      double[] seconds,
      double[] hottest,
      int count,
      double perSecond,
      double perKelvin,
      double base) {
    // A long run is thinned to the hottest of each stretch, so that no peak is lost.
    int stretch = count / MOST_POINTS + 1;
    double[] xs = new double[count];
    double[] ys = new double[count];
    int n = 0;
    for (int from = 0; from < count; from += stretch) {
      double hot = Double.NaN;
      for (int i = from; i < Math.min(count, from + stretch); i++) {
        hot = hottest[i] <= hot || Double.isNaN(hottest[i]) ? hot : hottest[i];
      }
      if (!Double.isNaN(hot)) {
        xs[n] = LEFT + seconds[from] * perSecond;
        ys[n++] = base - (hot - LOW_CELSIUS) * perKelvin;
      }
    }
    if (n > 1) {
      pen.trace(Arrays.copyOf(xs, n), Arrays.copyOf(ys, n), Tone.BEFORE, 2);
      pen.line(xs[n - 1], TOP, xs[n - 1], base, Tone.AMBER, 2);
    }
  }
}
