package dev.ambershim.core.physics.spread;

import java.util.ArrayList;
import java.util.List;

/** How paste is laid down before the plate comes. */
public enum PastePattern {
  DOT("dot"),
  LINE("line"),
  TWO_LINES("two lines"),
  CROSS("cross"),
  FIVE_DOTS("five dots"),
  THIN_SPREAD("thin spread"),
  OWN("your own strokes");

  private final String words;

  PastePattern(String words) {
    this.words = words;
  }

  /** In words. */
  public String words() {
    return words;
  }

  /** As it stands in a sentence: "a dot", "two lines". */
  public String withArticle() {
    return switch (this) {
      case DOT, LINE, CROSS, THIN_SPREAD -> "a " + words;
      default -> words;
    };
  }

  /**
   * The strokes of the pattern on a face, mm from its middle; a dot is a stroke of one place.
   *
   * @param width the face's size in x
   * @param depth its size in y
   * @param own the person's strokes, for {@link #OWN}
   */
  List<PasteStroke> strokes(double width, double depth, List<PasteStroke> own) {
    boolean tall = depth > width;
    double length = 0.6 * Math.max(width, depth) / 2;
    double aside = 0.22 * Math.min(width, depth);
    List<PasteStroke> all = new ArrayList<>();
    switch (this) {
      case DOT -> all.add(PasteStroke.of(0, 0));
      case LINE -> all.add(along(tall, length, 0));
      case TWO_LINES -> {
        all.add(along(tall, length, aside));
        all.add(along(tall, length, -aside));
      }
      case CROSS -> {
        double x = 0.3 * width;
        double y = 0.3 * depth;
        all.add(PasteStroke.of(-x, -y, x, y));
        all.add(PasteStroke.of(-x, y, x, -y));
      }
      case FIVE_DOTS -> {
        all.add(PasteStroke.of(0, 0));
        for (int k = 0; k < 4; k++) {
          all.add(
              PasteStroke.of((k % 2 == 0 ? -0.28 : 0.28) * width, (k < 2 ? -0.28 : 0.28) * depth));
        }
      }
      case THIN_SPREAD -> {}
      case OWN -> all.addAll(own);
      default -> throw new IllegalStateException(words);
    }
    return all;
  }

  private static PasteStroke along(boolean tall, double length, double aside) {
    return tall
        ? PasteStroke.of(aside, -length, aside, length)
        : PasteStroke.of(-length, aside, length, aside);
  }
}
