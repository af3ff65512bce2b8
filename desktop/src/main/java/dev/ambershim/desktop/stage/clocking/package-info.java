/**
 * The clock ladder on screen: its answer, the ladders side by side, and where rungs are written
 * down. What the rungs tell is worked out in the core.
 */
package dev.ambershim.desktop.stage.clocking;
