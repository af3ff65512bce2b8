package dev.ambershim.desktop.shell;

/**
 * A line on the shelf.
 *
 * @param text what it says
 * @param problem whether the person has to do something about it
 */
public record Message(String text, boolean problem) {}
