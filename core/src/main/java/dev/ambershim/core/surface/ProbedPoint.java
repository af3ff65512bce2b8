package dev.ambershim.core.surface;

/**
 * One height that was probed.
 *
 * @param xMillimetres place, to the right of the face's middle
 * @param yMillimetres place, above it
 * @param micrometres height over whatever the gauge was set to
 */
public record ProbedPoint(double xMillimetres, double yMillimetres, double micrometres) {}
