/**
 * Pictures as plain data, drawn alike on screen, in PDF and in SVG: marks and axes, and pictures
 * that several stages share. A stage's own pictures live with it.
 */
package dev.ambershim.core.picture;
