package dev.ambershim.desktop.widget;

import java.util.function.Function;
import java.util.regex.Pattern;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.util.StringConverter;

/** Labels with a style, and the space between them. */
public final class Labels {
  private static final char NO_BREAK = '\u00a0';

  /** A figure and its unit; a weekday and the day of the month. */
  private static final Pattern TOGETHER =
      Pattern.compile("(?<=\\d) (?=[\\p{L}°%])|(?<=\\b\\p{Lu}\\p{Ll}{2}) (?=\\d{1,2} \\p{Lu})");

  private Labels() {}

  /** A sentence in large letters, whose figures and days stay on one line. */
  static String unbroken(String sentence) {
    return TOGETHER.matcher(sentence).replaceAll(String.valueOf(NO_BREAK));
  }

  /** Words that stay on one line. */
  public static String together(String words) {
    return words.replace(' ', NO_BREAK);
  }

  /** A sentence as it was before it was kept together. */
  public static String plain(String shown) {
    return shown.replace(NO_BREAK, ' ');
  }

  /** Words that take a line, or more where there is little room, and are never cut. */
  public static Label line(String text, String... styles) {
    Label label = new Words(text);
    label.getStyleClass().addAll(styles);
    return label;
  }

  /** A box with its name before and what else belongs to it behind, which stay on one line. */
  public static HBox named(String name, Node... box) {
    Label said = line(name);
    for (Node node : box) {
      // A screen reader says the name with the box.
      if (said.getLabelFor() == null && node.isFocusTraversable()) {
        said.setLabelFor(node);
      }
    }
    HBox row = new Strip(8, said);
    row.getChildren().addAll(box);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  /** Takes up what room is left. */
  public static Region spring() {
    Region region = new Region();
    HBox.setHgrow(region, Priority.ALWAYS);
    return region;
  }

  /** Shows what a box offers in words; what is typed cannot be read back. */
  public static <T> StringConverter<T> words(Function<T, String> words) {
    return new StringConverter<>() {
      @Override
      public String toString(T value) {
        return value == null ? "" : words.apply(value);
      }

      @Override
      public T fromString(String text) {
        throw new UnsupportedOperationException("nothing is typed here");
      }
    };
  }
}
