/**
 * Runs as they happen: a conducted run that feeds samples to the conductor and turns the load on
 * and off, the recorder that keeps each sample on disk, and a log of another program that is
 * followed while it grows.
 */
package dev.ambershim.sensors.live;
