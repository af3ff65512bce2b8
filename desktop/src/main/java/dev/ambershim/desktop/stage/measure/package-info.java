/** Measure: what touches first, how flat each face is, and the shim. */
package dev.ambershim.desktop.stage.measure;
