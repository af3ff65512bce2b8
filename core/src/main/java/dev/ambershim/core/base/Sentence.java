package dev.ambershim.core.base;

import java.util.Locale;

/** How a sentence begins, where it begins with words that stand in the middle of others, too. */
public final class Sentence {
  private Sentence() {}

  /** Words with a capital letter in front; none stay none. */
  public static String begin(String words) {
    return words.isEmpty()
        ? words
        : words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
  }
}
