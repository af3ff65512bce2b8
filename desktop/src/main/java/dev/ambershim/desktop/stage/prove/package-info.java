/**
 * Prove on screen: after against before, in one sentence, with the chart and the runs. The judging
 * lives in core's run log package.
 */
package dev.ambershim.desktop.stage.prove;
