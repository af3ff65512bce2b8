package dev.ambershim.core.stage.series;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.runs.series.Rota;
import dev.ambershim.core.runs.series.SeriesNeed;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * A series before its first mount: the order, what it can tell, and what it takes.
 *
 * @param candidates in the order they were named
 * @param rota the order of the mounts
 * @param tellsKelvin the difference that it tells in four cases of five, K
 * @param mountsForCare mounts of each that would tell the smallest difference that matters; empty
 *     if no reasonable number would
 * @param hours what all mounts take
 * @param grams what all mounts use up, of all candidates together
 * @param told the answer with its working
 * @param notes what to know and to watch
 */
public record SeriesPlan(
    List<String> candidates,
    Rota rota,
    double tellsKelvin,
    OptionalInt mountsForCare,
    double hours,
    double grams,
    Finding told,
    List<String> notes) {
  /** What to watch in any series: common practice. */
  public static final List<String> WATCH =
      List.of(
          "Keep chip, load, clock, voltage, fan and room the same; write the power and the room"
              + " down.",
          "Let each run settle before you read it, and cool down before the next.",
          "A mount that went wrong is marked with its reason and made again; none is dropped.");

  private static final int MOST_CANDIDATES = 40;
  private static final int MOST_MOUNTS = 60;
  private static final int USUAL_MOUNTS = 3;

  /** Copies its lists. */
  public SeriesPlan {
    candidates = List.copyOf(candidates);
    notes = List.copyOf(notes);
  }

  /**
   * A plan.
   *
   * @param names the candidates
   * @param mounts of each; empty for as many as the smallest difference that matters asks for
   * @param hours at hand; empty if there is no end to them. Counts only where mounts is empty
   * @param seed of the order
   * @throws Problem {@code series.candidates}, {@code series.mounts}, {@code series.hours}
   */
  public static SeriesPlan of(
      List<String> names,
      OptionalInt mounts,
      Optional<Double> hours,
      SeriesTerms terms,
      long seed,
      Notation notation) {
    List<String> candidates = names.stream().map(String::strip).toList();
    check(candidates);
    SeriesNeed need = new SeriesNeed(candidates.size(), terms.remountKelvin());
    OptionalInt forCare = need.mountsFor(terms.careKelvin());
    int each = mounts(candidates.size(), mounts, hours, forCare, terms);
    Rota rota = Rota.of(candidates, each, seed);
    int all = each * candidates.size();
    double takes = all * terms.wholeMinutes() / 60;
    double tells = need.tells(each);
    return new SeriesPlan(
        candidates,
        rota,
        tells,
        forCare,
        takes,
        all * terms.mountGrams(),
        finding(candidates.size(), each, tells, takes, terms, notation),
        notes(each, forCare, terms, all, notation));
  }

  /**
   * Refuses names that cannot be those of a series.
   *
   * @throws Problem {@code series.candidates}
   */
  public static void check(List<String> candidates) {
    if (candidates.size() < 2 || candidates.size() > MOST_CANDIDATES) {
      throw new Problem(
          "series.candidates",
          Place.field("candidate"),
          candidates.size() < 2
              ? "A series needs two candidates or more."
              : "More than " + MOST_CANDIDATES + " candidates are too many.",
          "Name each of them once.");
    }
    if (candidates.stream().anyMatch(c -> c.isEmpty() || c.length() > 120)
        || new HashSet<>(candidates).size() < candidates.size()) {
      throw new Problem(
          "series.candidates",
          Place.field("candidate"),
          "Each candidate needs a name of its own, of up to 120 letters.",
          "Call them something short, such as \"grey paste\".");
    }
  }

  private static int mounts(
      int candidates,
      OptionalInt mounts,
      Optional<Double> hours,
      OptionalInt forCare,
      SeriesTerms terms) {
    if (mounts.isPresent()) {
      if (mounts.getAsInt() < 1 || mounts.getAsInt() > MOST_MOUNTS) {
        throw new Problem(
            "series.mounts",
            Place.field("mounts"),
            mounts.getAsInt() + " mounts of each cannot be planned.",
            "Give 1 to " + MOST_MOUNTS + ".");
      }
      return mounts.getAsInt();
    }
    if (hours.isPresent()) {
      double fit = Math.floor(hours.get() * 60 / terms.wholeMinutes() / candidates);
      if (!(fit >= 1)) {
        throw new Problem(
            "series.hours",
            Place.field("hours"),
            "One round of " + candidates + " mounts takes longer than that.",
            "Give more hours, or fewer candidates.");
      }
      return (int) Math.min(MOST_MOUNTS, fit);
    }
    return Math.max(2, forCare.orElse(USUAL_MOUNTS));
  }

  private static Finding finding(
      int candidates, int each, double tells, double hours, SeriesTerms terms, Notation notation) {
    String takes = notation.text(hours, Unit.HOUR);
    String sentence =
        each < 2
            ? "One mount of each tells nothing but large differences; plan two or more."
            : each
                + " mounts of each tell "
                + notation.text(tells, Unit.KELVIN)
                + " apart in four series of five, in about "
                + takes
                + ".";
    return new Finding(
        "series.plan",
        sentence,
        each,
        Unit.COUNT,
        Optional.empty(),
        new Working(
            "(q ÷ √2 + t) × scatter × √(2 ÷ mounts): q of the studentized range for all pairs at"
                + " 95 % together, t for four cases of five",
            List.of(
                new Working.Input("candidates", candidates, Unit.COUNT),
                new Working.Input("mounts of each", each, Unit.COUNT),
                new Working.Input("scatter between mounts", terms.remountKelvin(), Unit.KELVIN),
                new Working.Input("smallest that matters", terms.careKelvin(), Unit.KELVIN),
                new Working.Input("one mount", terms.wholeMinutes(), Unit.MINUTE)),
            "Montgomery, Design and Analysis of Experiments, 3.5, 3.7 and 4.1; the scatter is common"
                + " practice until your mounts tell it",
            List.of("Your own scatter may be half or twice as large.")));
  }

  private static List<String> notes(
      int each, OptionalInt forCare, SeriesTerms terms, int all, Notation notation) {
    List<String> notes = new ArrayList<>();
    String care = notation.text(terms.careKelvin(), Unit.KELVIN);
    if (forCare.isEmpty()) {
      notes.add("No reasonable number of mounts would tell " + care + "; care for more.");
    } else if (forCare.getAsInt() != each) {
      notes.add("To tell " + care + " takes " + forCare.getAsInt() + " mounts of each.");
    }
    if (terms.mountGrams() > 0) {
      notes.add("All mounts use about " + notation.text(all * terms.mountGrams(), Unit.GRAM) + ".");
    }
    notes.addAll(watch(terms));
    return notes;
  }

  /** What to watch in a series, its warm-ups among it. */
  public static List<String> watch(SeriesTerms terms) {
    List<String> watch = new ArrayList<>();
    watch.add(WATCH.get(0));
    watch.add(
        terms.warmUps() == 0
            ? "Each run counts from the first heat on. Pastes that get better over their first"
                + " warm-ups are judged as they are fresh."
            : "Each mount is heated through and cooled "
                + (terms.warmUps() == 1 ? "once" : terms.warmUps() + " times")
                + " before the run that counts: a quarter of an hour at load, ten minutes to cool.");
    watch.addAll(WATCH.subList(1, WATCH.size()));
    return watch;
  }

  /** The answer in a sentence. */
  public String sentence() {
    return told.sentence();
  }
}
