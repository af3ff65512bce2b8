/**
 * Stage 1: what each option would gain on this chip, what it takes, and whether it is worth it. How
 * hot a build gets is reckoned in physics.
 */
package dev.ambershim.core.stage.weigh;
