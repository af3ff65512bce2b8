package dev.ambershim.core.physics.mounting;

/**
 * A screw of the cooler's bracket.
 *
 * @param name where it stands
 * @param xMillimetres right of the chip's middle
 * @param yMillimetres above it
 */
public record Screw(String name, double xMillimetres, double yMillimetres) {}
