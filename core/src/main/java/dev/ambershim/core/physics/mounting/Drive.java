package dev.ambershim.core.physics.mounting;

/** What sets the force of a screw. */
public enum Drive {
  SPRINGS("springs under the screws' heads, turned to their stops"),
  TORQUE("bare screws, tightened by torque");

  private final String words;

  Drive(String words) {
    this.words = words;
  }

  /** In words. */
  public String words() {
    return words;
  }
}
