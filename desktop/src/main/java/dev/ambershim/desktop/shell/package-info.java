/**
 * The frame around all stages: rail, section, shelf, keys, settings, and the state they share. What
 * a stage shows in its middle lives in that stage's package.
 */
package dev.ambershim.desktop.shell;
