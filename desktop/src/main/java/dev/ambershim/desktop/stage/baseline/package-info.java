/**
 * Baseline on screen: the runs before the work and what they say. Settled parts and errors are
 * worked out in core's run log package.
 */
package dev.ambershim.desktop.stage.baseline;
