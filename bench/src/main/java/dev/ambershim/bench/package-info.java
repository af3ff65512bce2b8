/** Speed as ratios within one run. Nothing here is needed to use the application. */
package dev.ambershim.bench;
