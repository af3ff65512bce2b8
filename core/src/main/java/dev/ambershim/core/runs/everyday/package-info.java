/**
 * Logs of ordinary use, whose power wanders: what resistance they tell. Runs with a settled part
 * are judged elsewhere.
 */
package dev.ambershim.core.runs.everyday;
