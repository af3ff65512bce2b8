package dev.ambershim.core.physics.dosing;

import java.util.Locale;

/**
 * Why a plan must not go on, and what to do about it. Nothing overrides it but the remedy.
 *
 * @param key stable name, such as {@code "dose.forbidden"}
 * @param where the place or the thing
 * @param what what is wrong
 * @param remedy what to do
 */
public record Bar(String key, String where, String what, String remedy) {
  /** All of it in a line. */
  public String sentence() {
    return where.substring(0, 1).toUpperCase(Locale.ROOT)
        + where.substring(1)
        + ": "
        + what
        + " "
        + remedy;
  }
}
