/**
 * Starting the window: opening the logbook while JavaFX starts, and putting the stages together.
 * What the window shows lives in the shell and the stages.
 */
package dev.ambershim.desktop.launch;
