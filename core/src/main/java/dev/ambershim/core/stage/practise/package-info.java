/**
 * A place to practise: chips with a hidden fault, drops to judge by eye, plans out of order. What
 * the program knows of causes is the diagnosis's business; nothing here looks into it to make up a
 * chip.
 */
package dev.ambershim.core.stage.practise;
