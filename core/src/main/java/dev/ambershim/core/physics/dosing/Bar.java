package dev.ambershim.core.physics.dosing;

import dev.ambershim.core.base.Sentence;

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
    return Sentence.begin(where) + ": " + what + " " + remedy;
  }
}
