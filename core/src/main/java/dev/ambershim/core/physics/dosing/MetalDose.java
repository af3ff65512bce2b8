package dev.ambershim.core.physics.dosing;

import dev.ambershim.core.base.Interval;
import java.util.Arrays;
import java.util.Optional;
import java.util.SplittableRandom;

/**
 * How much liquid metal one place takes. It must fill the gap between the faces and the valleys of
 * both, and what the faces take in over a year; what is more is pressed out over the edge and must
 * not reach the nearest part. Between the two lies the window.
 *
 * @param place where
 * @param faces how many faces are wetted, 1 or 2
 * @param gapCubicMillimetres what the gap holds
 * @param valleysCubicMillimetres what roughness holds
 * @param takenInCubicMillimetres what the faces take in over a first year
 * @param leastCubicMillimetres with this, no place goes dry in nine cases of ten
 * @param mostCubicMillimetres with this, metal reaches the nearest part, or runs down a standing
 *     board, in one case of ten; empty when it reaches nothing
 * @param wantedCubicMillimetres the amount to take
 * @param runs whether it is the standing board, and not the part, that sets the most
 */
public record MetalDose(
    FilmPlace place,
    int faces,
    double gapCubicMillimetres,
    double valleysCubicMillimetres,
    double takenInCubicMillimetres,
    double leastCubicMillimetres,
    Optional<Double> mostCubicMillimetres,
    double wantedCubicMillimetres,
    boolean runs) {
  /** A dose is planned so that it is enough, and harmless, so often. */
  private static final double NINE = 0.9;

  /** A little more than the least is taken where nothing forbids it. */
  private static final double SPARE = 1.1;

  private static final int PLANNED = 4000;

  /** Metal never comes out evenly: on a flat board along half of the edge, as a rule. */
  private static final double UNEVEN = 2;

  private static final int DRAWS = 20_000;

  /** Nine in ten of a normal spread lie within so many standard deviations. */
  private static final double NINE_IN_TEN = Interval.normalHalf(0.9);

  /**
   * Odds of a dose.
   *
   * @param dry that it leaves dry places, now or within the year, 0 to 1
   * @param reaches that metal reaches the nearest part or runs
   */
  public record Odds(double dry, double reaches) {}

  /** Works out a place. */
  public static MetalDose of(FilmPlace place, CoatTerms terms, boolean bothFaces) {
    double area = place.areaSquareMillimetres();
    double gap = area * place.gapMicrometres() / 1000;
    double valleys =
        area * (terms.lower().valleysMicrometres() + terms.upper().valleysMicrometres()) / 1000;
    double takenIn =
        area * (place.lower().uptakeMicrometres() + place.upper().uptakeMicrometres()) / 1000;
    double free = sectionFree(place, terms);
    boolean runs =
        terms.upright()
            && (place.partMillimetres() == null
                || Squeezed.held(terms.alloy())
                    < Squeezed.section(place.partMillimetres(), place.roomMillimetres()));
    Draw draw = new Draw(place, terms, bothFaces ? 2 : 1, valleys, takenIn);
    double[] enough = new double[PLANNED];
    double[] harmless = new double[PLANNED];
    for (int i = 0; i < PLANNED; i++) {
      draw.next();
      enough[i] = (draw.filled + draw.taken) / draw.measured;
      harmless[i] = (draw.filled + free * draw.outlet) / draw.measured;
    }
    Arrays.sort(enough);
    Arrays.sort(harmless);
    double least = enough[(int) (NINE * PLANNED)];
    Optional<Double> most =
        Double.isFinite(free)
            ? Optional.of(harmless[(int) ((1 - NINE) * PLANNED)])
            : Optional.empty();
    double wanted = least * SPARE;
    if (most.isPresent()) {
      wanted = Math.min(wanted, Math.sqrt(least * most.get()));
    }
    return new MetalDose(
        place, bothFaces ? 2 : 1, gap, valleys, takenIn, least, most, wanted, runs);
  }

  /** One dose as it may come out. */
  private static final class Draw {
    private final FilmPlace place;
    private final CoatTerms terms;
    private final double valleys;
    private final double takenIn;
    private final double each;
    private final double sigmaLow;
    private final double sigmaHigh;
    private final SplittableRandom random = new SplittableRandom(20_261_126);

    /** What gap and valleys hold, mm³. */
    private double filled;

    /** What the faces take in over a year, mm³. */
    private double taken;

    /** The amount by the amount that was meant. */
    private double measured;

    /** Length of edge that metal comes out along, mm. */
    private double outlet;

    Draw(FilmPlace place, CoatTerms terms, int faces, double valleys, double takenIn) {
      this.place = place;
      this.terms = terms;
      this.valleys = valleys;
      this.takenIn = takenIn;
      each = terms.measuring().spread() / Math.sqrt(faces);
      sigmaLow = Math.log(place.gapMicrometres() / place.lowGapMicrometres()) / NINE_IN_TEN;
      sigmaHigh = Math.log(place.highGapMicrometres() / place.gapMicrometres()) / NINE_IN_TEN;
    }

    void next() {
      double z = random.nextGaussian();
      double gap = place.gapMicrometres() * Math.exp(z * (z < 0 ? sigmaLow : sigmaHigh));
      taken = takenIn * Math.exp(random.nextGaussian() * Math.log(2) / 2);
      measured = Math.exp(each * random.nextGaussian());
      filled = place.areaSquareMillimetres() * gap / 1000 + valleys;
      // Metal never comes out evenly: on a flat board along half of the edge, as a rule.
      outlet = Squeezed.outlet(place, terms.upright(), 1 + 2 * random.nextDouble());
    }
  }

  /** Cross-section of squeezed-out metal that still does no harm, mm². */
  private static double sectionFree(FilmPlace place, CoatTerms terms) {
    double part =
        place.partMillimetres() == null
            ? Double.POSITIVE_INFINITY
            : Squeezed.section(place.partMillimetres(), place.roomMillimetres());
    return terms.upright() ? Math.min(part, Squeezed.held(terms.alloy())) : part;
  }

  /** Whether there is an amount that is neither too little nor too much. */
  public boolean fits() {
    return mostCubicMillimetres.isEmpty() || mostCubicMillimetres.get() > leastCubicMillimetres;
  }

  /** The drop for each face. */
  public Drop drop() {
    return new Drop(wantedCubicMillimetres / faces);
  }

  /** The drop for each face below which places go dry. */
  public Drop leastDrop() {
    return new Drop(leastCubicMillimetres / faces);
  }

  /** The drop for each face above which metal reaches what it must not. */
  public Optional<Drop> mostDrop() {
    return mostCubicMillimetres.map(most -> new Drop(most / faces));
  }

  /** How far the metal of a dose reaches over the edge, mm. */
  public double reachMillimetres(double cubicMillimetres, boolean upright) {
    double out = Math.max(0, cubicMillimetres - gapCubicMillimetres - valleysCubicMillimetres);
    return Squeezed.reach(out / Squeezed.outlet(place, upright, UNEVEN), place.roomMillimetres());
  }

  /**
   * How often a dose goes wrong, by 20 000 draws of the gap, of what the faces take in (by a factor
   * of two either way), of how evenly it comes out and of how well it is measured out.
   *
   * @param cubicMillimetres the dose that is meant, for all faces of the place
   */
  public Odds odds(double cubicMillimetres, CoatTerms terms) {
    double free = sectionFree(place, terms);
    Draw draw = new Draw(place, terms, faces, valleysCubicMillimetres, takenInCubicMillimetres);
    int dry = 0;
    int reaches = 0;
    for (int i = 0; i < DRAWS; i++) {
      draw.next();
      double dose = cubicMillimetres * draw.measured;
      if (dose < draw.filled + draw.taken) {
        dry++;
      }
      if (Math.max(0, dose - draw.filled) / draw.outlet > free) {
        reaches++;
      }
    }
    return new Odds((double) dry / DRAWS, (double) reaches / DRAWS);
  }
}
