/**
 * Files from outside as bytes, and the folders that the application keeps its own in. What the
 * bytes mean is for the core to say.
 */
package dev.ambershim.logbook.files;
