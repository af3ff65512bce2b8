package dev.ambershim.core.plan;

/** What lies under the hands. A step waits for every earlier step on the same thing. */
public enum Thing {
  /** Substrate, dies and what lies beside them. */
  CHIP,
  /** The lid, also while it is still on. */
  LID,
  /** The cooler's base. */
  PLATE,
  /** The computer with its socket. */
  MACHINE,
  /** The bench, for what can be done at any time, such as fetching a tool. */
  BENCH
}
