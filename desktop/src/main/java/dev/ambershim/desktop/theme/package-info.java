/** Colours, type and look, over AtlantaFX. What is shown in them is decided elsewhere. */
package dev.ambershim.desktop.theme;
