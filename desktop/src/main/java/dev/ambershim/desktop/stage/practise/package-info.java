/**
 * A place to practise, with the logbook's own record of it. What is made up, and what is right, is
 * worked out in core.
 */
package dev.ambershim.desktop.stage.practise;
