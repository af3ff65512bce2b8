package dev.ambershim.core.physics.surface;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.material.Material;
import java.util.ArrayList;
import java.util.List;

/**
 * How a face is brought from what was probed to its target: papers with strokes each, what comes
 * off, where the plating goes first and when, how much thickness is left, and how evenly one must
 * press. Only what stands above the rest is in contact and goes, so the strokes follow from the
 * volume above the level that is wanted, by Preston's law.
 *
 * @param terms what was asked for
 * @param flatness minimum zone now, µm
 * @param scatter of one probing, µm; not a number when not known
 * @param steps papers in order; none when the target is reached
 * @param cutMicrometres what comes off the highest place before the fine papers
 * @param wholeMicrometres what comes off the highest place in all
 * @param contactNow share of the face that a plate touches within a scratch's depth
 * @param breakThrough when and where the plating goes
 * @param bareShare share of the face without plating at the end
 * @param leftMillimetres thickness left
 * @param kernMillimetres how far off the middle one may press before the far edge lifts: a sixth of
 *     the lesser side (middle third, any textbook of statics)
 * @param measured how many own passes the rates rest on
 */
public record LappingPlan(
    LapTerms terms,
    double flatness,
    double scatter,
    List<Step> steps,
    double cutMicrometres,
    double wholeMicrometres,
    double contactNow,
    BreakThrough breakThrough,
    double bareShare,
    double leftMillimetres,
    double kernMillimetres,
    int measured) {
  /** Wedge that a set of strokes may leave, µm. */
  private static final double WEDGE = 2;

  /** Strokes in a minute by hand, common practice. */
  private static final double PACE = 70;

  /** How far a hand's pace may lie from that in nineteen cases of twenty, as a factor. */
  private static final double PACE_DOUBT = 1.4;

  /**
   * One paper.
   *
   * @param grit the paper
   * @param strokes one way each, likely
   * @param interval where they lie, 95 %
   * @param removedMicrometres mean over the face
   * @param kilopascals press on what touches when the paper is begun
   * @param turnStrokes turn by a quarter after so many, so that the hand's offset stays below 2 µm
   *     of wedge
   */
  public record Step(
      Grit grit,
      double strokes,
      Interval interval,
      double removedMicrometres,
      double kilopascals,
      double turnStrokes) {}

  /**
   * Where and when the plating breaks through.
   *
   * @param happens whether it does at all on the way to the target
   * @param strokes of the first paper until then, likely
   * @param interval where that lies, 95 %
   * @param where in words
   */
  public record BreakThrough(boolean happens, double strokes, Interval interval, String where) {}

  /** Copies its list. */
  public LappingPlan {
    steps = List.copyOf(steps);
  }

  /**
   * Plans.
   *
   * @param report the face as probed last
   * @param face its outline, mm
   * @param material what lies under the plating
   * @param thicknessMillimetres of the part now
   * @param passes done on this face, for the person's own rate
   */
  public static LappingPlan of(
      FaceReport report,
      Patch face,
      Material material,
      double thicknessMillimetres,
      LapTerms terms,
      List<LapPass> passes) {
    ReliefMap map = ReliefMap.of(report);
    Removal removal = new Removal(map, face);
    LapMetal metal = LapMetal.of(material);
    RemovalRate rate =
        new RemovalRate(
            passes.stream().filter(p -> p.face() == terms.face()).toList(), removal.area(), metal);
    double zone = report.flatness().zoneMicrometres();
    double perStroke = terms.press() * terms.stroke() / 1000;
    double narrow = Math.min(face.widthMillimetres(), face.depthMillimetres());
    double depth = WEDGE * narrow / (12 * terms.offset());
    List<Step> steps = new ArrayList<>();
    double level = removal.leaving(terms.target());
    double cut = zone <= terms.target() ? 0 : removal.high() - level;
    Grit first = first(terms, cut);
    double whole = cut;
    double last = 0;
    if (cut > 0) {
      for (Grit grit : Grit.ladder(first, terms.last())) {
        double volume;
        double plating;
        double touching =
            steps.isEmpty() ? removal.contact(removal.high() - grit.scratchMicrometres()) : 1;
        if (steps.isEmpty()) {
          volume = removal.volumeAbove(level);
          plating = removal.platingAbove(level, terms.plating());
        } else {
          // Each finer paper takes out the scratches of the one before, over all of the face.
          volume = last / 1000 * removal.area();
          plating = removal.platingAbove(removal.high() - whole - last, terms.plating());
          plating -= removal.platingAbove(removal.high() - whole, terms.plating());
          whole += last;
        }
        last = grit.scratchMicrometres();
        double strokes =
            strokes(rate, grit, metal, volume, Math.max(0, plating), perStroke, terms.plating());
        double factor = rate.factor(grit);
        steps.add(
            new Step(
                grit,
                strokes,
                new Interval(strokes / factor, strokes * factor, 0.95),
                volume / removal.area() * 1000,
                1000 * terms.press() / (removal.area() * touching),
                depth / 1000 * removal.area() / (rate.likely(grit, metal) * perStroke)));
      }
    }
    double end = removal.high() - whole;
    return new LappingPlan(
        terms,
        zone,
        report.scatterMicrometres().orElse(Double.NaN),
        steps,
        cut,
        whole,
        removal.contact(removal.high() - first.scratchMicrometres()),
        breakThrough(removal, rate, first, metal, terms, perStroke, whole),
        terms.plating() > 0 && whole > 0 ? removal.bare(end, terms.plating()) : 0,
        thicknessMillimetres - whole / 1000,
        narrow / 6,
        rate.measured());
  }

  private static Grit first(LapTerms terms, double cut) {
    if (terms.face() == Face.DIE) {
      return Grit.P1500; // coarse grains chip silicon
    }
    Grit coarse = cut > 40 ? Grit.P320 : cut > 20 ? Grit.P400 : cut > 8 ? Grit.P800 : Grit.P1200;
    return coarse.sizeMicrometres() < terms.last().sizeMicrometres() ? terms.last() : coarse;
  }

  private static double strokes(
      RemovalRate rate,
      Grit grit,
      LapMetal metal,
      double volume,
      double plating,
      double perStroke,
      double platingThickness) {
    double hard = platingThickness > 0 ? Math.min(volume, plating) : 0;
    double nickel = LapMetal.NICKEL.factor() / metal.factor();
    double equivalent = volume - hard + hard / nickel;
    return equivalent / (rate.likely(grit, metal) * perStroke);
  }

  private static BreakThrough breakThrough(
      Removal removal,
      RemovalRate rate,
      Grit first,
      LapMetal metal,
      LapTerms terms,
      double perStroke,
      double whole) {
    if (!(terms.plating() > 0) || whole <= terms.plating()) {
      return new BreakThrough(false, Double.NaN, new Interval(0, 0, 0.95), "");
    }
    double level = removal.high() - terms.plating();
    double volume = removal.volumeAbove(level);
    double strokes = strokes(rate, first, metal, volume, volume, perStroke, terms.plating());
    double factor = rate.factor(first);
    return new BreakThrough(
        true,
        strokes,
        new Interval(strokes / factor, strokes * factor, 0.95),
        removal.highestPlace());
  }

  /** Strokes of all papers, likely. */
  public double strokes() {
    return steps.stream().mapToDouble(Step::strokes).sum();
  }

  /**
   * How long all strokes take, minutes, 95 %: the doubt of the strokes and of the hand's pace, as
   * factors independent of each other.
   */
  public Interval minutes() {
    double low = steps.stream().mapToDouble(s -> s.interval().low()).sum() / PACE;
    double high = steps.stream().mapToDouble(s -> s.interval().high()).sum() / PACE;
    if (low <= 0) {
      return new Interval(low, high * PACE_DOUBT, 0.95);
    }
    double factor = Math.exp(Math.hypot(Math.log(high / low) / 2, Math.log(PACE_DOUBT)));
    double middle = Math.sqrt(low * high);
    return new Interval(middle / factor, middle * factor, 0.95);
  }

  /** Whether a single probing of each place can show that the target is reached. */
  public boolean canBeShown() {
    return Double.isNaN(scatter) || 2 * scatter < terms.target();
  }

  /** How often each place must be probed so that the target can be shown. */
  public int probingsNeeded() {
    double ratio = 2 * scatter / terms.target();
    return Double.isNaN(scatter) ? 1 : Math.max(1, (int) Math.ceil(ratio * ratio));
  }

  /**
   * Mean thickness that a pass took off, told by the relief before and after it, µm: the deepest
   * places stay, so what stands above the new flatness is gone. Not a number when the face did not
   * get flatter.
   */
  public static double removedBetween(FaceReport before, FaceReport after, Patch face) {
    Removal removal = new Removal(ReliefMap.of(before), face);
    Removal later = new Removal(ReliefMap.of(after), face);
    double range = later.high() - later.leaving(0);
    double level = removal.leaving(range);
    double volume = removal.volumeAbove(level);
    return volume > 0 ? volume / removal.area() * 1000 : Double.NaN;
  }
}
