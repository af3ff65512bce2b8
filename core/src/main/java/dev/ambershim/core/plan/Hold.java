package dev.ambershim.core.plan;

/**
 * A check that must pass before the next step.
 *
 * @param check the check, a question that a yes answers
 * @param evidence what shows that it was made
 * @param reading what is read, with its unit, where a reading is asked for; else empty
 */
public record Hold(String check, Evidence evidence, String reading) {}
