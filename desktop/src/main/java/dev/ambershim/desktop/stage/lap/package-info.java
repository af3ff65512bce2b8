/** Lap: what lapping would gain here, how much must come off, and when to stop. */
package dev.ambershim.desktop.stage.lap;
