/** The plan of the work: in time, by the person's ways, with its kit. */
package dev.ambershim.desktop.stage.open;
