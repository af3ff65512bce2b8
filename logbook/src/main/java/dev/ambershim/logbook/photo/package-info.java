/** Photos as evidence: checked, kept as they came, with a small upright picture of each. */
package dev.ambershim.logbook.photo;
