/**
 * How heat flows through plates and joints. Which option to choose because of it is the forecast
 * package's business.
 */
package dev.ambershim.core.physics.conduction;
