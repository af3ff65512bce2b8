/**
 * Several candidates compared over mounts on one rig: blocks, pairs at one family-wise level, the
 * chance of each to be best, and how many mounts it takes. It knows figures only.
 */
package dev.ambershim.core.runs.series;
