package dev.ambershim.core.plan;

import java.util.Locale;

/** What a person wants of the work; what an option brings is told in its currency as well. */
public enum Wish {
  COOLER("cooler"),
  MORE_CLOCK("more clock"),
  QUIETER("quieter"),
  LONGER_LIFE("longer life"),
  LEAST_RISK("least risk");

  private final String words;

  Wish(String words) {
    this.words = words;
  }

  /** The wish in words. */
  public String words() {
    return words;
  }

  /** As commands take it, such as {@code more-clock}. */
  @Override
  public String toString() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
