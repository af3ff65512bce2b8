package dev.ambershim.sensors;

/** What is turned on under a stress run. */
public interface Load extends AutoCloseable {
  /** The person starts and ends the load; nothing happens here. */
  Load BY_PERSON =
      new Load() {
        @Override
        public void set(boolean on) {
          // The person does.
        }

        @Override
        public void close() {
          // There is nothing to end.
        }
      };

  /** Turns the load on or off; the same again does nothing. */
  void set(boolean on);

  /**
   * Loads one core alone; a negative core ends that.
   *
   * @return false if this load cannot, and nothing was done
   */
  default boolean alone(int core) {
    return false;
  }

  /** Ends the load for good. */
  @Override
  void close();
}
