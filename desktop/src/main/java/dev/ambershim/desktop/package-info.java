/**
 * The window: one package a stage, a shell around them, shared drawing. It shows and asks; what is
 * true is worked out in the core and kept in the logbook.
 */
package dev.ambershim.desktop;
