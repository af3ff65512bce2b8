/**
 * Why is it hot? Causes ranked by the evidence at hand, and the test that tells them apart best.
 * How heat flows through a joint is the solver's business; what a stage does with a cause is its
 * own.
 */
package dev.ambershim.core.stage.diagnosis;
