/**
 * Outlines to cut or print, at true size: SVG, DXF and PDF. Their shapes are worked out in the
 * core.
 */
package dev.ambershim.logbook.outline;
