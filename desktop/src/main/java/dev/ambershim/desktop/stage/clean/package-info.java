/** Cleaning, and whether the faces may be used again. */
package dev.ambershim.desktop.stage.clean;
