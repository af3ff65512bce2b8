/**
 * Words for what may be wrong with a chip, what a person notices, and which tests there are. How
 * likely a cause is, is worked out elsewhere.
 */
package dev.ambershim.core.runs.causes;
