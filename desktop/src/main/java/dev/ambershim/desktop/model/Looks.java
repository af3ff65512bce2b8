package dev.ambershim.desktop.model;

import java.time.DayOfWeek;
import java.util.List;
import java.util.Locale;
import java.util.function.BiConsumer;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleDoubleProperty;

/**
 * How the window looks on this machine: light or dark, how large, what a millimetre is, and which
 * day comes first.
 */
public final class Looks {
  /** Sizes of text and all around it, percent. */
  public static final List<Integer> SIZES = List.of(100, 125, 150, 175, 200);

  /** Which theme a person wants. */
  public enum Wish {
    SYSTEM("as the system"),
    PAPER("paper (light)"),
    GRAPHITE("graphite (dark)");

    private final String words;

    Wish(String words) {
      this.words = words;
    }

    /** It in words. */
    public String words() {
      return words;
    }

    /** The wish for a theme itself. */
    public static Wish of(Theme theme) {
      return theme == Theme.PAPER ? PAPER : GRAPHITE;
    }
  }

  private final BiConsumer<String, String> keep;
  private final ReadOnlyObjectWrapper<Wish> wish = new ReadOnlyObjectWrapper<>(Wish.SYSTEM);
  private final ReadOnlyObjectWrapper<Theme> theme = new ReadOnlyObjectWrapper<>(Theme.GRAPHITE);
  private final ReadOnlyIntegerWrapper textPercent = new ReadOnlyIntegerWrapper(100);
  private final DoubleProperty perMillimetre = new SimpleDoubleProperty(Preferences.USUAL_SCREEN);
  private final ReadOnlyObjectWrapper<DayOfWeek> firstDay =
      new ReadOnlyObjectWrapper<>(DayOfWeek.MONDAY);
  private Theme system = Theme.GRAPHITE;
  private boolean calm;

  Looks(BiConsumer<String, String> keep) {
    this.keep = keep;
  }

  void begin(Preferences kept) {
    system = kept.system();
    calm = kept.calm();
    wish.set(kept.wish());
    theme.set(themeOf(kept.wish()));
    textPercent.set(kept.textPercent());
    firstDay.set(kept.firstDay());
    perMillimetre.set(kept.perMillimetre());
  }

  private Theme themeOf(Wish wanted) {
    return switch (wanted) {
      case SYSTEM -> system;
      case PAPER -> Theme.PAPER;
      case GRAPHITE -> Theme.GRAPHITE;
    };
  }

  /** Whether nothing is to move that need not; nothing does but a bar without an end in sight. */
  public boolean calm() {
    return calm;
  }

  /** The theme that is worn. */
  public ReadOnlyObjectProperty<Theme> themeProperty() {
    return theme.getReadOnlyProperty();
  }

  /** The theme that is wished for. */
  public ReadOnlyObjectProperty<Wish> wishProperty() {
    return wish.getReadOnlyProperty();
  }

  /** Wishes for a theme. */
  public void wish(Wish other) {
    wish.set(other);
    theme.set(themeOf(other));
    keep.accept("theme", other.name().toLowerCase(Locale.ROOT));
  }

  /** The day that a week begins with. */
  public ReadOnlyObjectProperty<DayOfWeek> firstDayProperty() {
    return firstDay.getReadOnlyProperty();
  }

  /** Lets weeks begin with another day. */
  public void firstDay(DayOfWeek day) {
    firstDay.set(day);
    keep.accept("firstDay", day.name());
  }

  /** How large text is, and all around it, percent. */
  public ReadOnlyIntegerProperty textPercentProperty() {
    return textPercent.getReadOnlyProperty();
  }

  /** Makes all larger or smaller by so many sizes. */
  public void larger(int sizes) {
    int at = SIZES.indexOf(textPercent.get()) + sizes;
    size(SIZES.get(Math.max(0, Math.min(SIZES.size() - 1, at))));
  }

  /** Makes all as large as one of {@link #SIZES}. */
  public void size(int percent) {
    textPercent.set(percent);
    keep.accept("textPercent", String.valueOf(percent));
  }

  /** How many units of the screen make a millimetre, as it was held against a card. */
  public DoubleProperty perMillimetreProperty() {
    return perMillimetre;
  }

  /**
   * How many units make a millimetre in what is drawn at true size, which the text size enlarges.
   */
  public double drawnPerMillimetre() {
    return perMillimetre.get() * 100 / textPercent.get();
  }

  /** Makes what is drawn at true size larger or smaller by a share, until it fits a card. */
  public void stretch(double share) {
    perMillimetre.set(Math.max(1, Math.min(40, perMillimetre.get() * (1 + share))));
    keep.accept("perMillimetre", String.valueOf(perMillimetre.get()));
  }
}
