package dev.ambershim.core.picture;

/**
 * What a mark's colour stands for, with its value on paper and on graphite. Text tones reach the
 * WCAG 2.1 AA contrast of 4.5 on their ground; a test holds them to it.
 */
public enum Tone {
  GROUND("#f6f2ea", "#23211f"),
  PANEL("#fffdf8", "#2d2a27"),
  INK("#26221d", "#f1ebe0"),
  QUIET("#6a6156", "#b6aa9a"),
  GRID("#ddd5c7", "#443f39"),
  AMBER("#9a5a00", "#f2a93b"),
  BEFORE("#8a4b2a", "#e39a6f"),
  AFTER("#1f6470", "#7cc4cf"),
  BEFORE_BAND("#eedccd", "#4a372b"),
  AFTER_BAND("#d3e5e6", "#26444a"),
  ALARM("#a3261b", "#ff9387"),
  COPPER("#c0744a", "#c67b52"),
  NICKEL("#a9a69c", "#8f8c83"),
  SILICON("#4b5a78", "#7587ad"),
  SUBSTRATE("#5f7d5a", "#5b7a56"),
  PASTE("#b9b2a5", "#a29a8c"),
  GALLIUM("#6fb1bd", "#8fd0da"),
  SOLDER("#d1bd7a", "#cdb96f"),
  GLUE("#3d3a36", "#15130f"),
  GAP("#efe9dd", "#38342f"),
  /** What covers parts and what masks a die. */
  COVER("#b8791c", "#c98f35"),
  /** Figures on the dark half of a map's colours, in either theme. */
  ON_DEEP("#ffffff", "#ffffff"),
  /** Figures on the light half of a map's colours, in either theme. */
  ON_PALE("#16130f", "#16130f");

  private final String light;
  private final String dark;

  Tone(String light, String dark) {
    this.light = light;
    this.dark = dark;
  }

  /** The colour as {@code #rrggbb}. */
  public String hex(boolean onGraphite) {
    return onGraphite ? dark : light;
  }
}
