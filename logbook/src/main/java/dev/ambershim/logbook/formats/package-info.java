/**
 * Answers and inputs as open formats: JSON, CSV, ICS, SVG, DXF. What the figures mean is decided in
 * the core.
 */
package dev.ambershim.logbook.formats;
