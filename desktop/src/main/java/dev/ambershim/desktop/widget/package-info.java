/**
 * Pieces that several stages are made of: figure boxes, charts, pictures, rows, dialogs for files,
 * and the look of all of it. What they show is decided by their stage.
 */
package dev.ambershim.desktop.widget;
