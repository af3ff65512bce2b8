/**
 * The application as it is started: the window, or a command. What either does lives in the modules
 * below.
 */
package dev.ambershim.app;
