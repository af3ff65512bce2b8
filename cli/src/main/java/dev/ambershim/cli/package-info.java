/**
 * The commands, and the one entry point of the application. A command reads its arguments, asks the
 * core, and prints; it computes nothing itself.
 */
package dev.ambershim.cli;
