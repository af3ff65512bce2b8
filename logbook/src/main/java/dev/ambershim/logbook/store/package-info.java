/**
 * The logbook on disk: SQLite, its migrations, its lock, undo and redo. Bundles and reports are
 * written elsewhere, from what this package gives.
 */
package dev.ambershim.logbook.store;
