/**
 * Keeping jobs: the store, bundles, reports and results as files. Nothing here computes an answer
 * or shows one on screen.
 */
package dev.ambershim.logbook;
