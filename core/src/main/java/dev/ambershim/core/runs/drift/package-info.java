/**
 * Slow change over months: dated checks, whether they creep or jumped, and when a limit is met. It
 * knows figures only; what they mean for a joint is said elsewhere.
 */
package dev.ambershim.core.runs.drift;
