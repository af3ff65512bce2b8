/**
 * The one family of errors that a person can cause: what happened, where, and what to do about it.
 * Programming faults do not belong here; they stay ordinary runtime exceptions.
 */
package dev.ambershim.core.problem;
