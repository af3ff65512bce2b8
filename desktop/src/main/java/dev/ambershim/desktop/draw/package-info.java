/**
 * Shared drawing: pictures from the core painted on screen. What a picture shows is decided in the
 * core.
 */
package dev.ambershim.desktop.draw;
