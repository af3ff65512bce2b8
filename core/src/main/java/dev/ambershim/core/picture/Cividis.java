package dev.ambershim.core.picture;

/**
 * A colour map that rises evenly in lightness and reads alike with and without red–green sight:
 * cividis (Nuñez, Anderton &amp; Renslow 2018, <i>PLoS ONE</i> 13(7) e0199239), at eighteen places
 * and straight between them. The table was entered from memory; a test holds its lightness to rise.
 */
public final class Cividis {
  private static final int[] TABLE = {
    0x00204c, 0x002a66, 0x00346e, 0x273f6c, 0x3c4a6b, 0x4c556b, 0x5b5f6d, 0x686a70, 0x757575,
    0x838178, 0x928c78, 0xa19876, 0xb0a572, 0xc0b26d, 0xd1bf66, 0xe1cc5c, 0xf3db4f, 0xffe945
  };

  private Cividis() {}

  /** Red, green and blue as {@code 0xrrggbb} for a share from 0 to 1. */
  public static int at(double share) {
    double place = Math.max(0, Math.min(1, share)) * (TABLE.length - 1);
    int i = Math.min((int) place, TABLE.length - 2);
    double t = place - i;
    int colour = 0;
    for (int shift = 16; shift >= 0; shift -= 8) {
      double a = TABLE[i] >> shift & 255;
      double b = TABLE[i + 1] >> shift & 255;
      colour |= (int) Math.round(a + t * (b - a)) << shift;
    }
    return colour;
  }
}
