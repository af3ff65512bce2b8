package dev.ambershim.desktop.theme;

import atlantafx.base.theme.PrimerDark;
import atlantafx.base.theme.PrimerLight;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import javafx.application.Application;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.text.Font;

/** The two looks: paper and graphite. Own colour tokens stand over the base theme's. */
public enum Theme {
  PAPER("paper"),
  GRAPHITE("graphite");

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

  /** Loads the shipped fonts; call once before the first scene. */
  public static void loadFonts() {
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
  }

  /** Dresses a scene. */
  public void dress(Scene scene) {
    Application.setUserAgentStylesheet(
        dark()
            ? new PrimerDark().getUserAgentStylesheetBSS()
            : new PrimerLight().getUserAgentStylesheetBSS());
    scene.getStylesheets().setAll(sheet("shell"), sheet(file));
    Parent root = scene.getRoot();
    root.getStyleClass().removeAll(PAPER.file, GRAPHITE.file);
    root.getStyleClass().add(file);
  }

  private static String sheet(String name) {
    return Theme.class.getResource(name + ".css").toExternalForm();
  }
}
