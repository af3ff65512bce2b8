package dev.ambershim.desktop.shell;

import dev.ambershim.core.forecast.Situation;

/**
 * What the section shows while an option is looked at.
 *
 * @param situation what it would be like
 * @param words the option's name
 */
public record Preview(Situation situation, String words) {}
