/**
 * Weigh on screen: what the chip is, and what the change of build should bring. The reckoning lives
 * in core's forecast package.
 */
package dev.ambershim.desktop.stage.weigh;
