package dev.ambershim.desktop.theme;

import atlantafx.base.theme.PrimerDark;
import atlantafx.base.theme.PrimerLight;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.application.Application;
import javafx.css.Stylesheet;
import javafx.scene.Scene;
import javafx.scene.paint.Color;
import javafx.scene.shape.Circle;
import javafx.scene.text.Font;
import javafx.scene.text.FontWeight;
import javafx.scene.text.Text;

/** The two looks: paper and graphite. Own colour tokens stand over the base theme's. */
public enum Theme {
  PAPER("paper"),
  GRAPHITE("graphite");

  /** System property that names the folder with what was made ready after the build. */
  public static final String READY = "ambershim.ready";

  private final String file;

  Theme(String file) {
    this.file = file;
  }

  /** The theme's name in words. */
  public String words() {
    return file;
  }

  /** Whether its ground is dark. */
  public boolean dark() {
    return this == GRAPHITE;
  }

  /** The other one. */
  public Theme other() {
    return this == PAPER ? GRAPHITE : PAPER;
  }

  /**
   * Loads the shipped fonts on a thread of its own.
   *
   * @return the thread, to be waited for before anything is measured or painted
   */
  public static Thread loadFonts() {
    Thread loader = new Thread(Theme::loadAll, "fonts");
    loader.start();
    return loader;
  }

  private static void loadAll() {
    for (String font : List.of("Lato-Regular.ttf", "Lato-Bold.ttf")) {
      try (InputStream in =
          Theme.class.getResourceAsStream("/dev/ambershim/logbook/fonts/" + font)) {
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

  /** Makes this theme the base of all scenes; before the first scene it spares loading another. */
  public void base() {
    Path cut = Path.of(System.getProperty(READY, ""), "base-" + file + ".bss");
    Application.setUserAgentStylesheet(
        Files.isRegularFile(cut) ? cut.toUri().toString() : whole().getUserAgentStylesheetBSS());
  }

  private atlantafx.base.theme.Theme whole() {
    return dark() ? new PrimerDark() : new PrimerLight();
  }

  /** Dresses a scene. */
  public void dress(Scene scene) {
    base();
    scene.getStylesheets().setAll(sheet("shell"), sheet(file));
  }

  private static String sheet(String name) {
    // Made binary after the build, a sheet loads faster; else it is taken as it was written.
    Path binary = Path.of(System.getProperty(READY, ""), name + ".bss");
    return Files.isRegularFile(binary)
        ? binary.toUri().toString()
        : Theme.class.getResource(name + ".css").toExternalForm();
  }

  /**
   * Makes every sheet binary, and the base theme's small.
   *
   * @param folder where to put them
   */
  public static void makeBinary(Path folder) throws IOException {
    for (String name : List.of("shell", PAPER.file, GRAPHITE.file)) {
      binary(folder, name, text(name + ".css"));
    }
    for (Theme theme : values()) {
      binary(
          folder,
          "base-" + theme.file,
          BaseSheet.cut(text(theme.whole().getUserAgentStylesheet())));
    }
  }

  private static String text(String sheet) throws IOException {
    try (InputStream in = Theme.class.getResourceAsStream(sheet)) {
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
