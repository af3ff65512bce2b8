package dev.ambershim.core.plan;

/**
 * A photo that is kept by its hash.
 *
 * @param sha256 hash of its bytes
 * @param name its file's name
 */
public record Photo(String sha256, String name) {
  /**
   * Checks the hash, which names files.
   *
   * @throws IllegalArgumentException if it is none
   */
  public Photo {
    if (sha256 == null || !sha256.matches("[0-9a-f]{64}") || name == null) {
      throw new IllegalArgumentException("a photo needs a hash and a name");
    }
  }
}
