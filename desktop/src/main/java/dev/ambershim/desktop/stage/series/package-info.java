/** Which of several is best: a series in the window, from its order to its answer. */
package dev.ambershim.desktop.stage.series;
