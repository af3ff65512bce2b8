/**
 * How often stated intervals hold, by simulations that share no code with what they judge. Each
 * file makes truths of one kind; nothing here is used by the application.
 */
package dev.ambershim.bench.coverage;
