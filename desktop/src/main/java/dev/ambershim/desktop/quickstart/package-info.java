/**
 * How the application starts, and every trick that makes it quick. What is in the window lives in
 * the frame.
 */
package dev.ambershim.desktop.quickstart;
