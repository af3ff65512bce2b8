/**
 * How paste flows when a plate is pressed onto it, and what pattern and amount cost. What lies on
 * what and how hard it is pressed is given; liquid metal lives in the dosing package.
 */
package dev.ambershim.core.physics.spread;
