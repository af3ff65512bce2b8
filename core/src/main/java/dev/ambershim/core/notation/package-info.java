/**
 * Units and how numbers are written and read in the person's own habit. Everything inside the core
 * is metric; only this package knows inches, Fahrenheit and commas.
 */
package dev.ambershim.core.notation;
