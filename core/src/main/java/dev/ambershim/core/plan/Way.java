package dev.ambershim.core.plan;

/**
 * One answer to a {@link School}. The first of each school is taken as a rule, for the reason that
 * it gives. All of it is common practice.
 */
public enum Way {
  VICE_TOOL(
      School.OPENER,
      "sheared with a vice tool",
      "Even force, no edge near the substrate.",
      "A tool that fits this chip.",
      "A loose clamp lets the chip ride up.",
      "Taken as a rule: it loses the fewest chips."),
  BLADE(
      School.OPENER,
      "cut with a thin blade",
      "No tool to buy.",
      "An hour of patience.",
      "One slip cuts traces in the substrate.",
      ""),

  TOOL_THERE(School.TOOL, "yes", "You can begin today.", "", "", "Taken as a rule."),
  TOOL_TO_COME(
      School.TOOL, "it must come first", "", "Days until it is there.", "It may not fit.", ""),

  PARTS_NEAR(
      School.NEAR,
      "yes, or not known",
      "They get covered.",
      "",
      "",
      "Taken as a rule: nobody knows before the lid is off."),
  NO_PARTS(
      School.NEAR,
      "none near it",
      "Less to cover.",
      "",
      "A part that was overlooked is shorted.",
      ""),

  VARNISH(
      School.COVER,
      "varnish, two coats",
      "Thin, gets into every gap, stays.",
      "Half an hour of drying.",
      "On the die's edge it holds the lid up.",
      "Taken as a rule: it is thin enough for any lid."),
  POLYIMIDE_TAPE(
      School.COVER,
      "polyimide tape",
      "Takes the heat, comes off clean.",
      "Cutting to size.",
      "Metal creeps under a lifted edge.",
      ""),
  VINYL_TAPE(
      School.COVER,
      "vinyl tape",
      "At hand everywhere.",
      "Cutting to size.",
      "Softens when the chip gets hot, and lets go.",
      ""),
  SILICONE_COVER(
      School.COVER,
      "silicone",
      "Thick, forgives.",
      "Hours of curing.",
      "Too high under a lid.",
      ""),
  FOIL_COVER(
      School.COVER,
      "foil cut to size",
      "Even, known thickness.",
      "Cutting to size.",
      "Metal creeps under it if it is not stuck.",
      ""),
  NO_COVER(School.COVER, "nothing", "No work.", "", "A squeezed-out drop shorts the parts.", ""),

  SCRAPE(
      School.SOLDER,
      "scraped with a blade held flat",
      "Quick, no chemistry.",
      "A steady hand.",
      "A tilted blade scratches the die.",
      "Taken as a rule: the rest is polished off anyway."),
  DISSOLVE(
      School.SOLDER,
      "dissolved with liquid metal, drop by drop",
      "No blade near the die.",
      "Liquid metal, and an hour.",
      "The melt runs onto the parts.",
      ""),

  LEAVE(
      School.POLISH,
      "left as they are",
      "Nothing worn away.",
      "",
      "Stains stay; they hardly count.",
      "Taken as a rule: a clean matt face wets as well."),
  POLISH_FACES(
      School.POLISH,
      "polished",
      "Crust and solder traces go.",
      "A quarter of an hour.",
      "Plating wears through at the edges.",
      ""),

  BOTH_FACES(
      School.FACES,
      "both faces",
      "The film joins at once, no dry spots.",
      "Twice the metal.",
      "More to squeeze out.",
      "Taken as a rule: one dry face does not take the film from the other."),
  ONE_FACE(
      School.FACES,
      "die only",
      "Little metal, little squeeze-out.",
      "",
      "Dry spots where the other face does not wet.",
      ""),

  SEAL_CORNERS(
      School.SEAL,
      "glued at four corners",
      "Holds, and comes off again.",
      "Hours of curing.",
      "",
      "Taken as a rule: the lid keeps its place and can be opened again."),
  SEAL_AROUND(
      School.SEAL,
      "glued around, with a gap to breathe",
      "As the maker does it.",
      "Hours of curing.",
      "Hard to open again; a thick bead lifts the lid.",
      ""),
  SEAL_NONE(
      School.SEAL,
      "laid on without glue",
      "The thinnest joint, ready at once.",
      "",
      "It shifts when the cooler comes off.",
      ""),

  DOT(
      School.PASTE,
      "a dot in the middle",
      "No air trapped.",
      "",
      "Far corners of a long lid stay dry.",
      "Taken as a rule: the shadow of the die is covered, and that is what counts."),
  LINE(School.PASTE, "a line along the die", "Covers a long die.", "", "Runs out at the ends.", ""),
  CROSS(
      School.PASTE, "a cross", "Reaches the corners.", "More paste.", "Air between the arms.", ""),
  FIVE_DOTS(
      School.PASTE,
      "five dots",
      "Reaches the corners.",
      "More paste.",
      "Air between the dots.",
      ""),
  THIN_SPREAD(
      School.PASTE,
      "spread thin with a card",
      "Every corner covered.",
      "Five minutes.",
      "Spread onto a hollow, it traps air.",
      ""),

  REST_FRAME(
      School.REST,
      "a frame",
      "Holds the chip, spares the corners of the die.",
      "A frame that fits.",
      "A frame that is too high keeps the plate off the die.",
      "Taken as a rule: a bare die has four corners to lose."),
  REST_SHIM(
      School.REST,
      "a shim around the die",
      "Thin and cheap.",
      "Cutting to size.",
      "The socket's own clamp must hold the chip.",
      ""),
  REST_NEITHER(
      School.REST, "neither", "Nothing in the way.", "", "A tilted plate chips the die.", ""),

  BY_DRIFT(
      School.REOPEN,
      "when it drifts",
      "Opened only if it pays.",
      "A reference run each month.",
      "",
      "Taken as a rule: every opening is a risk."),
  BY_CALENDAR(
      School.REOPEN,
      "after twelve months",
      "No runs to make.",
      "Opened for nothing, at times.",
      "",
      ""),

  BY_MEAN(
      School.JUDGE,
      "the mean of the cores",
      "Least scatter.",
      "",
      "One bad core hides in it.",
      "Taken as a rule: it tells small changes soonest."),
  BY_HIGHEST(
      School.JUDGE,
      "the hottest core",
      "It is the one that throttles.",
      "",
      "More scatter from run to run.",
      "");

  private final School school;
  private final String words;
  private final String gains;
  private final String costs;
  private final String risks;
  private final String why;

  Way(School school, String words, String gains, String costs, String risks, String why) {
    this.school = school;
    this.words = words;
    this.gains = gains;
    this.costs = costs;
    this.risks = risks;
    this.why = why;
  }

  /** The question it answers. */
  public School school() {
    return school;
  }

  /** The way in words. */
  public String words() {
    return words;
  }

  /** What it brings; may be empty. */
  public String gains() {
    return gains;
  }

  /** What it costs; may be empty. */
  public String costs() {
    return costs;
  }

  /** What it risks; may be empty. */
  public String risks() {
    return risks;
  }

  /** Why it is taken as a rule, if it is; else empty. */
  public String why() {
    return why;
  }

  /** Gains, costs and risks in a line. */
  public String account() {
    StringBuilder all = new StringBuilder(gains);
    if (!costs.isEmpty()) {
      all.append(all.isEmpty() ? "" : " ").append("Costs: ").append(lower(costs));
    }
    if (!risks.isEmpty()) {
      all.append(all.isEmpty() ? "" : " ").append("Risks: ").append(lower(risks));
    }
    if (!why.isEmpty()) {
      all.append(all.isEmpty() ? "" : " ").append(why);
    }
    return all.toString();
  }

  private static String lower(String sentence) {
    return Character.toLowerCase(sentence.charAt(0)) + sentence.substring(1);
  }
}
