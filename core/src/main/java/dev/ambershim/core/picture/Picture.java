package dev.ambershim.core.picture;

import java.util.ArrayList;
import java.util.List;

/**
 * A finished picture.
 *
 * @param width width in picture units
 * @param height height in picture units
 * @param marks what to draw, first to last
 * @param description the picture in words, for people who do not see it
 */
public record Picture(double width, double height, List<Mark> marks, String description) {
  /** Copies its list. */
  public Picture {
    marks = List.copyOf(marks);
  }

  /** Gathers marks. */
  public static final class Pen {
    private final List<Mark> marks = new ArrayList<>();

    public void box(double x, double y, double w, double h, Tone fill, String part) {
      marks.add(new Mark.Box(x, y, w, h, fill, part));
    }

    public void raster(double x, double y, double w, double h, int columns, int[] colours) {
      marks.add(new Mark.Raster(x, y, w, h, columns, colours));
    }

    public void line(double x1, double y1, double x2, double y2, Tone tone, double width) {
      marks.add(new Mark.Line(x1, y1, x2, y2, tone, width, false));
    }

    public void dashed(double x1, double y1, double x2, double y2, Tone tone, double width) {
      marks.add(new Mark.Line(x1, y1, x2, y2, tone, width, true));
    }

    public void trace(double[] xs, double[] ys, Tone tone, double width) {
      marks.add(new Mark.Trace(xs, ys, tone, width));
    }

    public void band(double[] xs, double[] tops, double[] bottoms, Tone tone) {
      marks.add(new Mark.Band(xs, tops, bottoms, tone));
    }

    public void words(double x, double y, String text, Tone tone, double size, Mark.Anchor anchor) {
      marks.add(new Mark.Words(x, y, text, tone, size, anchor, false));
    }

    public void strong(
        double x, double y, String text, Tone tone, double size, Mark.Anchor anchor) {
      marks.add(new Mark.Words(x, y, text, tone, size, anchor, true));
    }

    public Picture picture(double width, double height, String description) {
      return new Picture(width, height, marks, description);
    }
  }
}
