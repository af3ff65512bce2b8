/**
 * What the window knows: the open job with undo, its answers, and work off the JavaFX thread. No
 * node is made here.
 */
package dev.ambershim.desktop.model;
