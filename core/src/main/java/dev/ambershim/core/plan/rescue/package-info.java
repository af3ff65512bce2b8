/**
 * What to do when something went wrong: stop, check, and where the plan goes on from. The plan
 * itself, and what a person records of it, are the plan's.
 */
package dev.ambershim.core.plan.rescue;
