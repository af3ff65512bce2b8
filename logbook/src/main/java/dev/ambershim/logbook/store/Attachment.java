package dev.ambershim.logbook.store;

/**
 * A file as it came.
 *
 * @param sha256 hash of its bytes
 * @param name its name
 * @param bytes its bytes; shared, not to be written
 */
public record Attachment(String sha256, String name, byte[] bytes) {}
