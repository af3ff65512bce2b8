/** The one sound there is: a timer's bell. */
package dev.ambershim.desktop.sound;
