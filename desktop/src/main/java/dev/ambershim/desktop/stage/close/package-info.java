/**
 * Close and mount: what carries the lid, the curing of the glue, the turns of the screws, and the
 * first minute. They are worked out in the core's dosing and mounting packages.
 */
package dev.ambershim.desktop.stage.close;
