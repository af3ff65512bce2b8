/**
 * Pictures as plain data, drawn alike on screen, in PDF and in SVG. What is drawn is decided here;
 * how a medium paints it is decided by that medium.
 */
package dev.ambershim.core.picture;
