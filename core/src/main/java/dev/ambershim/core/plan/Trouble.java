package dev.ambershim.core.plan;

/**
 * Something that goes wrong.
 *
 * @param sign how you notice
 * @param meaning what it means
 * @param first what to do or undo first
 */
public record Trouble(String sign, String meaning, String first) {}
