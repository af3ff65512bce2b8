/**
 * Answers that a person may act on, each with its interval and its working. How they are worked out
 * lives in the stage packages; how they look lives in the interface.
 */
package dev.ambershim.core.finding;
