package dev.ambershim.core.runs.judging;

/**
 * A time in the runs that a person marked.
 *
 * @param minutes minutes under load
 * @param words what they say of it; may be empty
 */
public record RunMark(double minutes, String words) {
  /** Its letter by its place among the marks: A, B, and so on. */
  public static String letter(int index) {
    return String.valueOf((char) ('A' + index % 26));
  }
}
