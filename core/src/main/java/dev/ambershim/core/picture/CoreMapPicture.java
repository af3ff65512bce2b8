package dev.ambershim.core.picture;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture.Pen;
import java.util.List;

/** Figures of the cores where they lie on the dies, one map beside the other, numbers in each. */
public final class CoreMapPicture {
  private static final double TOP = 24;
  private static final double GAP = 18;
  private static final double FOOT = 16;

  /** Differences below this are noise, and must not take the whole range of colours. */
  private static final double LEAST_SPAN = 2;

  /** Colours up to here are deep enough for white figures; a test holds the contrast. */
  static final double DEEP_UNTIL = 0.47;

  /**
   * One map.
   *
   * @param name what is above it
   * @param figures one a core
   * @param unit their unit
   * @param low figure of the deepest colour
   * @param high figure of the lightest colour
   */
  public record Panel(String name, List<Double> figures, Unit unit, double low, double high) {
    /** Copies its list. */
    public Panel {
      figures = List.copyOf(figures);
    }

    /** A panel with a scale of its own figures, over two kelvin at least. */
    public static Panel of(String name, List<Double> figures, Unit unit) {
      double low = least(figures);
      return new Panel(name, figures, unit, low, Math.max(most(figures), low + LEAST_SPAN));
    }
  }

  private CoreMapPicture() {}

  static double least(List<Double> figures) {
    return figures.stream().mapToDouble(f -> f).filter(f -> !Double.isNaN(f)).min().orElse(0);
  }

  static double most(List<Double> figures) {
    return figures.stream().mapToDouble(f -> f).filter(f -> !Double.isNaN(f)).max().orElse(1);
  }

  /**
   * Draws maps side by side, or below each other where that makes them larger.
   *
   * @param dies outlines of the dies
   * @param cores outline of each core
   */
  public static Picture of(
      List<Patch> dies,
      List<Patch> cores,
      List<Panel> panels,
      Notation notation,
      double width,
      double height) {
    Pen pen = new Pen();
    int n = panels.size();
    Patch around = around(dies);
    double beside = scale(around, (width - GAP * (n - 1)) / n, height - TOP);
    double below = scale(around, width, (height - GAP * (n - 1)) / n - TOP);
    boolean stacked = below > beside;
    double wide = stacked ? width : (width - GAP * (n - 1)) / n;
    double high = stacked ? (height - GAP * (n - 1)) / n : height;
    StringBuilder words = new StringBuilder("Cores on the dies.");
    for (int i = 0; i < n; i++) {
      Panel panel = panels.get(i);
      double x = stacked ? 0 : i * (wide + GAP);
      double y = stacked ? i * (high + GAP) : 0;
      map(pen, dies, cores, panel, notation, new double[] {x, y, wide, high});
      words
          .append(' ')
          .append(panel.name())
          .append(": ")
          .append(notation.number(least(panel.figures()), panel.unit()))
          .append(" to ")
          .append(notation.text(most(panel.figures()), panel.unit()))
          .append('.');
    }
    return pen.picture(width, height, words.toString());
  }

  private static Patch around(List<Patch> dies) {
    double left = dies.stream().mapToDouble(Patch::leftMillimetres).min().orElse(0);
    double right = dies.stream().mapToDouble(Patch::rightMillimetres).max().orElse(1);
    double low = dies.stream().mapToDouble(Patch::lowMillimetres).min().orElse(0);
    double high = dies.stream().mapToDouble(Patch::highMillimetres).max().orElse(1);
    return new Patch((left + right) / 2, (low + high) / 2, right - left, high - low);
  }

  /** A long die lies down where there is more width than height: its back is then at the left. */
  private static boolean turned(Patch around, double width, double room) {
    return around.depthMillimetres() > 1.3 * around.widthMillimetres() && width > room;
  }

  /** Picture units a millimetre in a place. */
  private static double scale(Patch around, double width, double room) {
    boolean turned = turned(around, width, room);
    double across = turned ? around.depthMillimetres() : around.widthMillimetres();
    double deep = turned ? around.widthMillimetres() : around.depthMillimetres();
    return Math.min(width / across, (room - (turned ? FOOT : 0)) / deep);
  }

  /**
   * One map.
   *
   * @param place left, top, width and height of its place
   */
  private static void map(
      Pen pen,
      List<Patch> dies,
      List<Patch> cores,
      Panel panel,
      Notation notation,
      double[] place) {
    Patch around = around(dies);
    double room = place[3] - TOP;
    boolean turned = turned(around, place[2], room);
    double scale = scale(around, place[2], room);
    double across = turned ? around.depthMillimetres() : around.widthMillimetres();
    double deep = turned ? around.widthMillimetres() : around.depthMillimetres();
    double left = around.leftMillimetres();
    double high = around.highMillimetres();
    double x0 = place[0] + (place[2] - across * scale) / 2;
    double y0 = place[1] + TOP + (room - (turned ? FOOT : 0) - deep * scale) / 2;
    pen.strong(
        place[0] + place[2] / 2,
        place[1] + 14,
        title(panel, notation),
        Tone.INK,
        13,
        Anchor.MIDDLE);
    for (Patch die : dies) {
      double[] box = box(die, turned, left, high, scale);
      pen.box(x0 + box[0], y0 + box[1], box[2], box[3], Tone.GRID, "");
    }
    for (int i = 0; i < cores.size() && i < panel.figures().size(); i++) {
      double[] box = box(cores.get(i), turned, left, high, scale);
      cell(pen, panel, i, x0 + box[0], y0 + box[1], box[2], box[3], notation);
    }
    if (turned) {
      double foot = y0 + deep * scale + FOOT - 3;
      pen.words(x0, foot, "back", Tone.QUIET, 11, Anchor.START);
      pen.words(x0 + across * scale, foot, "front", Tone.QUIET, 11, Anchor.END);
    }
  }

  private static String title(Panel panel, Notation notation) {
    return panel.name()
        + ", "
        + notation.number(least(panel.figures()), panel.unit())
        + " to "
        + notation.text(most(panel.figures()), panel.unit());
  }

  private static void cell(
      Pen pen, Panel panel, int i, double x, double y, double w, double h, Notation notation) {
    double figure = panel.figures().get(i);
    if (Double.isNaN(figure)) {
      pen.words(x + w / 2, y + h / 2 + 5, "–", Tone.QUIET, 13, Anchor.MIDDLE);
      return;
    }
    double span = Math.max(panel.high() - panel.low(), 1e-9);
    double share = Math.max(0, Math.min(1, (figure - panel.low()) / span));
    pen.raster(x, y, w, h, 1, new int[] {Cividis.at(share)});
    Tone ink = share < DEEP_UNTIL ? Tone.ON_DEEP : Tone.ON_PALE;
    // A narrow core has room for whole figures only.
    boolean narrow = w < 32 && Math.abs(figure) >= 10;
    String text =
        narrow ? notation.whole(figure, panel.unit()) : notation.number(figure, panel.unit());
    double size = Math.max(narrow ? 8 : 7, Math.min(17, Math.min(h * 0.42, w * 0.3)));
    pen.strong(x + w / 2, y + h / 2 + (h > 34 ? 1 : size * 0.35), text, ink, size, Anchor.MIDDLE);
    if (h > 34) {
      pen.words(x + w / 2, y + h / 2 + size, "core " + i, ink, 10, Anchor.MIDDLE);
    }
  }

  /** Left, top, width and height in picture units from the dies' corner. */
  private static double[] box(Patch p, boolean turned, double left, double high, double scale) {
    double fromLeft = p.leftMillimetres() - left;
    double fromBack = high - p.highMillimetres();
    double w = p.rightMillimetres() - p.leftMillimetres();
    double h = p.highMillimetres() - p.lowMillimetres();
    return turned
        ? new double[] {fromBack * scale, fromLeft * scale, h * scale, w * scale}
        : new double[] {fromLeft * scale, fromBack * scale, w * scale, h * scale};
  }
}
