package dev.ambershim.desktop.widget;

import dev.ambershim.core.picture.Mark;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.Tone;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import javafx.beans.InvalidationListener;
import javafx.beans.WeakInvalidationListener;
import javafx.geometry.Bounds;
import javafx.geometry.VPos;
import javafx.scene.AccessibleAttribute;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.Parent;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.ScrollPane;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.FontWeight;
import javafx.scene.text.TextAlignment;
import javafx.scene.transform.Scale;

/**
 * Paints a picture that is drawn anew for the size there is, once it is in sight. Parts can be
 * picked with the mouse; the picked one is outlined.
 */
public final class PictureView extends Region {
  private static final double[] DASHES = {4, 3};
  private static final double[] SOLID = {};
  private static final Map<Tone, Color> PAPER = colours(false);
  private static final Map<Tone, Color> GRAPHITE = colours(true);

  private static final Map<Double, Font> FONTS = new HashMap<>();

  /** In less room nothing can be seen. */
  private static final double LEAST = 24;

  private final Canvas canvas = new Canvas();

  /** Held here, as the scroll pane holds it weakly. */
  private final InvalidationListener resized = o -> moved();

  private final WeakInvalidationListener resizedWithin = new WeakInvalidationListener(resized);

  private final Sheet sheet = new Sheet();
  private BiFunction<Double, Double, Picture> source;
  private Picture picture;
  private boolean dark;
  private double wide;
  private double high;
  private double sharpness = 1;
  private boolean painted;
  private String picked = "";
  private Consumer<String> onPick;

  /** What the view is scrolled in, null if in nothing or not known yet. */
  private ScrollPane within;

  /**
   * What the canvas lies on. It is laid out by itself: another picture of the same size moves
   * nothing else, so the page around it need not be measured again.
   */
  private final class Sheet extends Region {
    Sheet() {
      setManaged(false);
      getChildren().add(canvas);
    }

    @Override
    protected void layoutChildren() {
      draw();
    }
  }

  /** An empty view. */
  public PictureView() {
    getChildren().add(sheet);
    localToSceneTransformProperty().addListener((o, was, is) -> moved());
    sceneProperty().addListener((o, was, is) -> forget());
    setAccessibleRole(AccessibleRole.IMAGE_VIEW);
    Copying.offer(this);
    canvas.setOnMouseClicked(
        e -> {
          String part = partAt(e.getX() / sharpness, e.getY() / sharpness);
          if (onPick != null && !part.isEmpty()) {
            onPick.accept(part);
          }
        });
    canvas.setOnMouseMoved(
        e ->
            setCursor(
                onPick != null && !partAt(e.getX() / sharpness, e.getY() / sharpness).isEmpty()
                    ? Cursor.HAND
                    : Cursor.DEFAULT));
  }

  private static Map<Tone, Color> colours(boolean dark) {
    Map<Tone, Color> colours = new EnumMap<>(Tone.class);
    for (Tone tone : Tone.values()) {
      colours.put(tone, Color.web(tone.hex(dark)));
    }
    return colours;
  }

  /**
   * Shows another picture.
   *
   * @param drawn makes the picture for a width and a height
   * @param onGraphite whether the theme is dark
   */
  public void show(BiFunction<Double, Double, Picture> drawn, boolean onGraphite) {
    source = drawn;
    dark = onGraphite;
    picture = null;
    painted = false;
    sheet.requestLayout();
  }

  /** Lets parts be picked. */
  public void onPick(Consumer<String> listener) {
    onPick = listener;
  }

  /** Outlines a part. */
  public void pick(String part) {
    picked = part;
    paint();
  }

  /** The picture that was last asked for, or null while there is no room for one. */
  public Picture picture() {
    if (picture == null && source != null && roomy()) {
      picture = source.apply(Math.floor(getWidth()), Math.floor(getHeight()));
    }
    return picture;
  }

  /** Whether what was last asked for is painted, as far as there is room for it and it is seen. */
  public boolean drawn() {
    return source == null || painted || !roomy() || !inSight();
  }

  private boolean roomy() {
    return getWidth() > LEAST + 1 && getHeight() > LEAST + 1;
  }

  /** Whether any of the view is within what it is scrolled in. */
  private boolean inSight() {
    if (within == null) {
      Parent up = getParent();
      while (up != null && !(up instanceof ScrollPane)) {
        up = up.getParent();
      }
      if (up == null) {
        return true;
      }
      within = (ScrollPane) up;
      within.heightProperty().addListener(resizedWithin);
    }
    Bounds here = localToScene(getLayoutBounds());
    Bounds there = within.localToScene(within.getLayoutBounds());
    return here.getMaxY() > there.getMinY() && here.getMinY() < there.getMaxY();
  }

  /** Taken out of the window, it may come back in another place. */
  private void forget() {
    if (within != null) {
      within.heightProperty().removeListener(resizedWithin);
      within = null;
    }
  }

  /** Draws what is not yet drawn and has come in sight. */
  private void moved() {
    if (source != null && (!painted || sharpness != finer())) {
      sheet.requestLayout();
    }
  }

  @Override
  public Object queryAccessibleAttribute(AccessibleAttribute attribute, Object... parameters) {
    if (attribute == AccessibleAttribute.TEXT && picture() != null) {
      setAccessibleText(picture().description());
    }
    return super.queryAccessibleAttribute(attribute, parameters);
  }

  private String partAt(double x, double y) {
    String found = "";
    if (picture != null) {
      for (Mark mark : picture.marks()) {
        // A thin joint is hard to hit, so it reaches out a little.
        if (mark instanceof Mark.Box b
            && !b.part().isEmpty()
            && x >= b.x()
            && x <= b.x() + b.width()
            && y >= b.y() - (b.height() < 6 ? 3 : 0)
            && y <= b.y() + b.height() + (b.height() < 6 ? 3 : 0)) {
          found = b.part();
        }
      }
    }
    return found;
  }

  @Override
  protected void layoutChildren() {
    sheet.resizeRelocate(0, 0, getWidth(), getHeight());
    if (sharpness != finer()) {
      sheet.requestLayout();
    }
  }

  /** Drawn larger by the window, it is painted in as many more dots, so that it stays sharp. */
  private double finer() {
    return Math.max(1, getLocalToSceneTransform().getMxx());
  }

  private void draw() {
    double width = Math.floor(getWidth());
    double height = Math.floor(getHeight());
    boolean resized = wide != width || high != height || sharpness != finer();
    if (resized) {
      picture = null;
      painted = false;
    }
    if (source == null || painted || width <= LEAST || height <= LEAST || !inSight()) {
      return;
    }
    if (resized) {
      wide = width;
      high = height;
      sharpness = finer();
      canvas.setWidth(width * sharpness);
      canvas.setHeight(height * sharpness);
      canvas.getTransforms().setAll(new Scale(1 / sharpness, 1 / sharpness));
    }
    if (picture == null) {
      picture = source.apply(width, height);
    }
    setAccessibleText(picture.description());
    painted = true;
    paint();
  }

  /** The picture as an image, so many times as large, on the theme's panel. */
  public WritableImage image(double scale) {
    Picture now = picture();
    Canvas large = new Canvas(now.width() * scale, now.height() * scale);
    GraphicsContext g = large.getGraphicsContext2D();
    g.scale(scale, scale);
    g.setFill((dark ? GRAPHITE : PAPER).get(Tone.PANEL));
    g.fillRect(0, 0, now.width(), now.height());
    paint(g, now, dark ? GRAPHITE : PAPER);
    return large.snapshot(null, null);
  }

  private void paint() {
    if (!painted) {
      return;
    }
    GraphicsContext g = canvas.getGraphicsContext2D();
    g.clearRect(0, 0, canvas.getWidth(), canvas.getHeight());
    g.save();
    g.scale(sharpness, sharpness);
    Map<Tone, Color> colours = dark ? GRAPHITE : PAPER;
    paint(g, picture, colours);
    outline(g, colours);
    g.restore();
  }

  private static void paint(GraphicsContext g, Picture picture, Map<Tone, Color> colours) {
    for (Mark mark : picture.marks()) {
      if (mark instanceof Mark.Box b) {
        g.setFill(colours.get(b.fill()));
        g.fillRect(b.x(), b.y(), b.width(), b.height());
      } else if (mark instanceof Mark.Raster r) {
        raster(g, r);
      } else if (mark instanceof Mark.Line l) {
        g.setStroke(colours.get(l.tone()));
        g.setLineWidth(l.width());
        g.setLineDashes(l.dashed() ? DASHES : SOLID);
        g.strokeLine(l.x1(), l.y1(), l.x2(), l.y2());
      } else if (mark instanceof Mark.Trace t) {
        g.setStroke(colours.get(t.tone()));
        g.setLineWidth(t.width());
        g.setLineDashes(SOLID);
        g.strokePolyline(t.xs(), t.ys(), t.xs().length);
      } else if (mark instanceof Mark.Band b) {
        g.setFill(colours.get(b.tone()));
        g.fillPolygon(b.outlineXs(), b.outlineYs(), 2 * b.xs().length);
      } else if (mark instanceof Mark.Words w) {
        words(g, w, colours);
      }
    }
  }

  private static void raster(GraphicsContext g, Mark.Raster r) {
    WritableImage image = new WritableImage(r.columns(), r.rows());
    int[] dots = r.colours().clone();
    for (int c = 0; c < dots.length; c++) {
      dots[c] = dots[c] < 0 ? 0 : 0xff000000 | dots[c];
    }
    image
        .getPixelWriter()
        .setPixels(
            0, 0, r.columns(), r.rows(), PixelFormat.getIntArgbInstance(), dots, 0, r.columns());
    g.setImageSmoothing(false);
    g.drawImage(image, r.x(), r.y(), r.width(), r.height());
  }

  /** Looking a font up takes longer than painting a word with it. */
  private static Font font(boolean strong, double size) {
    return FONTS.computeIfAbsent(
        strong ? -size : size,
        s -> Font.font("Lato", s < 0 ? FontWeight.BOLD : FontWeight.NORMAL, Math.abs(s)));
  }

  private static void words(GraphicsContext g, Mark.Words w, Map<Tone, Color> colours) {
    g.setFill(colours.get(w.tone()));
    g.setFont(font(w.strong(), w.size()));
    g.setTextBaseline(VPos.BASELINE);
    g.setTextAlign(
        switch (w.anchor()) {
          case START -> TextAlignment.LEFT;
          case MIDDLE -> TextAlignment.CENTER;
          case END -> TextAlignment.RIGHT;
        });
    g.fillText(w.text(), w.x(), w.y());
  }

  private void outline(GraphicsContext g, Map<Tone, Color> colours) {
    if (picked.isEmpty()) {
      return;
    }
    g.setStroke(colours.get(Tone.AMBER));
    g.setLineWidth(2);
    g.setLineDashes(SOLID);
    for (Mark mark : picture.marks()) {
      if (mark instanceof Mark.Box b && b.part().equals(picked)) {
        g.strokeRect(b.x() - 1, b.y() - 1, b.width() + 2, b.height() + 2);
      }
    }
  }
}
