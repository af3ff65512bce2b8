/**
 * What several stages need of a job and its runs. Each stage's own question, its answer, its words
 * and its pictures live in the package of its name.
 */
package dev.ambershim.core.stage;
