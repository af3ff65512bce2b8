package dev.ambershim.core.plan;

/**
 * An amount of something that a step uses.
 *
 * @param supply what
 * @param amount how much, in the supply's unit
 */
public record Need(Supply supply, double amount) {}
