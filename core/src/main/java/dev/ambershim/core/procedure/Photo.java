package dev.ambershim.core.procedure;

/**
 * A photo that is kept by its hash.
 *
 * @param sha256 hash of its bytes
 * @param name its file's name
 */
public record Photo(String sha256, String name) {}
