/**
 * A job as one file that travels: written out of a logbook and taken into another. Nothing that
 * comes from outside is believed before it was checked.
 */
package dev.ambershim.logbook.bundle;
