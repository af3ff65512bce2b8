/**
 * A chip, its joints and its cooler as a conduction problem: where its cores are, how hot they get
 * for each watt, and which layer takes how much of it. What to do about it is told by the stages.
 */
package dev.ambershim.core.physics.build;
