/**
 * The conducted run in the window: how it is set up, and its own screen for the eye of someone a
 * metre away. Both Baseline and Prove begin runs here; what a run says is theirs.
 */
package dev.ambershim.desktop.stage.conduct;
