/**
 * The steps at the bench in large type, with one key to go on, timers and what is written down on
 * the way. The steps themselves come from the plan in the core.
 */
package dev.ambershim.desktop.stage.steps;
