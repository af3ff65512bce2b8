package dev.ambershim.desktop.model;

import dev.ambershim.core.physics.build.Situation;

/**
 * What the section shows while an option is looked at.
 *
 * @param situation what it would be like
 * @param words the option's name
 */
public record Preview(Situation situation, String words) {}
