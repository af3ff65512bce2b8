/**
 * Coat and dose: drops at true size, what the metal must never meet, the cover, and paste as it is
 * pressed flat. Amounts and flow are worked out in the core's dosing and spread packages.
 */
package dev.ambershim.desktop.stage.coat;
