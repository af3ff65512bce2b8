package dev.ambershim.core.plan;

/** The parts of the work, in the order in which one thing goes through them. */
public enum Phase {
  READY("Before you touch it"),
  OPEN("Open"),
  CLEAN("Clean"),
  MEASURE("Measure"),
  LAP("Lap"),
  COAT("Coat and dose"),
  CLOSE("Close"),
  MOUNT("Mount"),
  START("First start"),
  PROVE("Prove"),
  TIDY("Put away");

  private final String words;

  Phase(String words) {
    this.words = words;
  }

  /** The phase in words. */
  public String words() {
    return words;
  }
}
