/** The work at the bench: one step at a time in large type, led by one key. */
package dev.ambershim.desktop.bench;
