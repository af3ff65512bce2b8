/**
 * The window: the rail of stages, the section, the shelf, sheets and keys. What a stage shows lives
 * in its own package.
 */
package dev.ambershim.desktop.frame;
