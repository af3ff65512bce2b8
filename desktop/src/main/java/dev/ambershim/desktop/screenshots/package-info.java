/** Pictures of the window: one at a time, or every main view from the demo. */
package dev.ambershim.desktop.screenshots;
