package dev.ambershim.core.runs.protocol;

/**
 * One part of a conducted run.
 *
 * @param kind what happens in it
 * @param plateau which plateau it is or leads to, from 1; 0 for the warm-up
 * @param fromSeconds its start in the run
 * @param toSeconds its end in the run
 */
public record Phase(Kind kind, int plateau, int fromSeconds, int toSeconds) {
  /** What happens in a phase. */
  public enum Kind {
    REST("rest before the load", false),
    WARM_UP("warm-up", true),
    PLATEAU("plateau", true),
    COOL_DOWN("cool-down", false);

    private final String words;
    private final boolean load;

    Kind(String words, boolean load) {
      this.words = words;
      this.load = load;
    }

    /** The kind in words. */
    public String words() {
      return words;
    }

    /** Whether the load is on. */
    public boolean load() {
      return load;
    }
  }

  /** The phase in words. */
  public String words() {
    return kind == Kind.PLATEAU ? "plateau " + plateau : kind.words();
  }
}
