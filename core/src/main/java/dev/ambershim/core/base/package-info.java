/**
 * What everything is told in: findings with their interval and working, units and how figures are
 * written and read, and problems that a person can mend. What is found lives elsewhere.
 */
package dev.ambershim.core.base;
