/**
 * Runs: finding the settled part, and judging one side against another. How a log is read lives in
 * the reading package.
 */
package dev.ambershim.core.runs.judging;
