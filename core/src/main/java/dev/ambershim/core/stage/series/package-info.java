/** Which of several is best: a series planned so that it can tell, and judged in words. */
package dev.ambershim.core.stage.series;
