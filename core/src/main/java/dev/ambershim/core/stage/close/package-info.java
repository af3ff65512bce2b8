/**
 * Stage 8: how thick the joints get, how hard the cooler presses, and how its screws are turned.
 * Forces and glue lines themselves are reckoned in physics.
 */
package dev.ambershim.core.stage.close;
