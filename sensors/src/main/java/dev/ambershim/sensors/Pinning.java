package dev.ambershim.sensors;

/** Holds the thread that asks to a core. */
public interface Pinning {
  /** No core can be held to. */
  Pinning NONE =
      new Pinning() {
        @Override
        public int cores() {
          return 0;
        }

        @Override
        public void hold(int core) {
          throw new IllegalArgumentException("no core " + core);
        }
      };

  /** How many cores there are; 0 where threads cannot be held. */
  int cores();

  /**
   * Holds the calling thread to a core from now on.
   *
   * @param core from 0
   */
  void hold(int core);
}
