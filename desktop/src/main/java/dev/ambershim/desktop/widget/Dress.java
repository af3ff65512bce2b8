package dev.ambershim.desktop.widget;

import atlantafx.base.theme.PrimerDark;
import atlantafx.base.theme.PrimerLight;
import dev.ambershim.desktop.model.Theme;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import javafx.application.Application;
import javafx.css.Stylesheet;
import javafx.scene.Scene;
import javafx.scene.paint.Color;
import javafx.scene.shape.Circle;
import javafx.scene.text.Font;
import javafx.scene.text.FontWeight;
import javafx.scene.text.Text;

/**
 * How a scene is dressed in a theme: the shipped fonts, the base theme's sheet, and our own colour
 * tokens over it.
 */
public final class Dress {
  /** System property that names the folder with what was made ready after the build. */
  public static final String READY = "ambershim.ready";

  private static final String INLINE = "data:text/css;charset=utf-8;base64,";

  /** Height of usual letters, pixels. */
  private static final double LETTERS = 14;

  private Dress() {}

  /**
   * Loads the shipped fonts on a thread of its own.
   *
   * @return the thread, to be waited for before anything is measured or painted
   */
  public static Thread loadFonts() {
    Thread loader = new Thread(Dress::loadAll, "fonts");
    loader.start();
    return loader;
  }

  private static void loadAll() {
    for (String font : List.of("Lato-Regular.ttf", "Lato-Bold.ttf")) {
      try (InputStream in =
          Dress.class.getResourceAsStream("/dev/ambershim/logbook/fonts/" + font)) {
        if (in == null || Font.loadFont(in, 13) == null) {
          throw new IllegalStateException("font " + font + " is not in the application");
        }
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
    // The first text ever measured brings in the system's text libraries; better here than later.
    Text text = new Text("0");
    text.setFont(Font.font("Lato", FontWeight.BOLD, 30));
    if (text.getLayoutBounds().isEmpty()) {
      throw new IllegalStateException("the shipped font cannot be measured");
    }
    // So does the first stroke with what draws all shapes.
    Circle stroke = new Circle(5, null);
    stroke.setStroke(Color.BLACK);
    if (stroke.getLayoutBounds().isEmpty()) {
      throw new IllegalStateException("a stroke cannot be measured");
    }
  }

  /** Makes a theme the base of all scenes; before the first scene it spares loading another. */
  public static void base(Theme theme) {
    Path cut = Path.of(System.getProperty(READY, ""), "base-" + theme.words() + ".bss");
    Application.setUserAgentStylesheet(
        Files.isRegularFile(cut)
            ? cut.toUri().toString()
            : whole(theme).getUserAgentStylesheetBSS());
  }

  private static atlantafx.base.theme.Theme whole(Theme theme) {
    return theme.dark() ? new PrimerDark() : new PrimerLight();
  }

  /** Dresses a scene. */
  public static void scene(Scene scene, Theme theme) {
    base(theme);
    scene.getStylesheets().setAll(sheet("shell"), sheet(theme.words()));
  }

  /**
   * Enlarges the letters of what opens beside the window: lists, menus and tips.
   *
   * @param factor by how much
   */
  public static void popups(Scene scene, double factor) {
    scene.getStylesheets().removeIf(s -> s.startsWith(INLINE));
    if (factor > 1) {
      String css =
          String.format(
              Locale.ROOT,
              ".combo-box-popup .list-cell,.context-menu .label,.tooltip{-fx-font-size:%.1fpx}",
              LETTERS * factor);
      scene
          .getStylesheets()
          .add(INLINE + Base64.getEncoder().encodeToString(css.getBytes(StandardCharsets.UTF_8)));
    }
  }

  private static String sheet(String name) {
    // Made binary after the build, a sheet loads faster; else it is taken as it was written.
    Path binary = Path.of(System.getProperty(READY, ""), name + ".bss");
    return Files.isRegularFile(binary)
        ? binary.toUri().toString()
        : Dress.class.getResource(name + ".css").toExternalForm();
  }

  /**
   * Makes every sheet binary, and the base theme's small.
   *
   * @param folder where to put them
   */
  public static void makeBinary(Path folder) throws IOException {
    for (String name : List.of("shell", Theme.PAPER.words(), Theme.GRAPHITE.words())) {
      binary(folder, name, text(name + ".css"));
    }
    for (Theme theme : Theme.values()) {
      binary(
          folder,
          "base-" + theme.words(),
          BaseSheet.cut(text(whole(theme).getUserAgentStylesheet())));
    }
  }

  private static String text(String sheet) throws IOException {
    try (InputStream in = Dress.class.getResourceAsStream(sheet)) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  private static void binary(Path folder, String name, String css) throws IOException {
    Path text = folder.resolve(name + ".css");
    Files.writeString(text, css);
    Stylesheet.convertToBinary(text.toFile(), folder.resolve(name + ".bss").toFile());
    Files.delete(text);
  }
}
