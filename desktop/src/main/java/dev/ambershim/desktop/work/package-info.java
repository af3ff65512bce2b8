/**
 * Work off the JavaFX thread, with progress and cancel, and what happens when it fails. What the
 * work is belongs to its caller.
 */
package dev.ambershim.desktop.work;
