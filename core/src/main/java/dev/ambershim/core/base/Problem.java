package dev.ambershim.core.base;

import java.util.regex.Pattern;

/**
 * Something a person can put right: bad input, a file that is not there, a figure out of range. It
 * carries a stable key for tests and translations, the place, what happened and the remedy.
 */
public final class Problem extends RuntimeException {
  private static final long serialVersionUID = 1L;
  private static final Pattern LINE_ENDS = Pattern.compile("[\\p{Cntrl}\u2028\u2029]+");

  private final String key;
  private final transient Place place;
  private final String what;
  private final String remedy;

  /**
   * Names the problem, its place and the remedy.
   *
   * @param key stable name of the kind of problem, such as {@code "log.empty"}
   * @param place where it is
   * @param what what happened, a sentence without the place
   * @param remedy what the person can do, a sentence
   */
  public Problem(String key, Place place, String what, String remedy) {
    super(sentence(place, what, remedy));
    this.key = key;
    this.place = place;
    this.what = what;
    this.remedy = remedy;
  }

  /** As the four-part constructor, with the technical cause kept for the log file. */
  public Problem(String key, Place place, String what, String remedy, Throwable cause) {
    this(key, place, what, remedy);
    initCause(cause);
  }

  /** The same problem with the file that it is in, unless it says one already. */
  public Problem in(String file) {
    return place().file().isEmpty()
        ? new Problem(
            key,
            new Place(file, place().line(), place().column(), place().field()),
            what,
            remedy,
            this)
        : this;
  }

  private static String sentence(Place place, String what, String remedy) {
    String where = place.inWords();
    String said =
        (where.isEmpty() ? "" : where + ": ") + what + (remedy.isEmpty() ? "" : " " + remedy);
    // What it quotes may hold line ends and other signs that would tear the line.
    return LINE_ENDS.matcher(said).replaceAll(" ");
  }

  /** The stable key. */
  public String key() {
    return key;
  }

  /** Where it is; {@link Place#NOWHERE} after the exception itself was serialised. */
  public Place place() {
    return place == null ? Place.NOWHERE : place;
  }

  /** What happened. */
  public String what() {
    return what;
  }

  /** What the person can do. */
  public String remedy() {
    return remedy;
  }
}
