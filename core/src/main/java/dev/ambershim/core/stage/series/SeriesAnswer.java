package dev.ambershim.core.stage.series;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Sentence;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.plan.OwnPaste;
import dev.ambershim.core.runs.series.Judged;
import dev.ambershim.core.runs.series.Mount;
import dev.ambershim.core.runs.series.TwoFactors;
import dev.ambershim.core.stage.Drawing;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/**
 * What a series says, in words.
 *
 * @param judged the figures
 * @param factors both things that the candidates are made of, where they are two each
 * @param told the answer with its working
 * @param reasons why, and what to do next
 * @param notes what else is to be known
 * @param known what is known of the candidates besides
 * @param careKelvin the smallest difference that matters, K
 */
public record SeriesAnswer(
    Judged judged,
    Optional<TwoFactors> factors,
    Finding told,
    List<String> reasons,
    List<String> notes,
    SeriesKnown known,
    double careKelvin) {
  private static final double ROOM_MOVED = 3;

  /** Copies its lists. */
  public SeriesAnswer {
    reasons = List.copyOf(reasons);
    notes = List.copyOf(notes);
  }

  /** The answer of a series as it was judged. */
  public static SeriesAnswer of(Judged judged, double careKelvin, Notation notation) {
    return of(judged, careKelvin, notation, SeriesKnown.NOTHING);
  }

  /**
   * The same with what else is known of the candidates.
   *
   * @param known packs and own joints of them
   */
  public static SeriesAnswer of(
      Judged judged, double careKelvin, Notation notation, SeriesKnown known) {
    Optional<TwoFactors> factors = TwoFactors.of(judged);
    Words words = new Words(judged, factors, careKelvin, notation);
    Judged.Pair top = judged.pairs().get(0);
    List<String> notes = new ArrayList<>(words.notes());
    notes.addAll(known.words(judged, careKelvin, notation));
    notes.addAll(known.notes());
    return new SeriesAnswer(
        judged,
        factors,
        new Finding(
            "series.best",
            words.sentence(),
            top.kelvin(),
            Unit.KELVIN,
            Optional.of(top.interval()),
            working(judged)),
        words.reasons(),
        notes,
        known,
        careKelvin);
  }

  /**
   * What it tells of one candidate as a paste, for a forecast.
   *
   * @param series what the series is called
   */
  public OwnPaste paste(String candidate, String series) {
    List<Judged.Mean> all = judged.ranking();
    double n = all.size();
    double mean = all.stream().mapToDouble(Judged.Mean::kelvin).average().orElseThrow();
    Judged.Mean one =
        all.stream().filter(m -> m.candidate().equals(candidate)).findFirst().orElseThrow();
    double others =
        (all.stream().mapToDouble(m -> 1.0 / m.mounts()).sum() - 1.0 / one.mounts()) / (n * n);
    double own = (1 - 1 / n) * (1 - 1 / n) / one.mounts();
    return new OwnPaste(
        candidate,
        series,
        all.size(),
        one.mounts(),
        one.kelvin() - mean,
        judged.scatterKelvin() * Math.sqrt(own + others),
        judged.watts());
  }

  private static Working working(Judged judged) {
    List<Working.Input> inputs = new ArrayList<>();
    inputs.add(new Working.Input("mounts that count", judged.mounts().size(), Unit.COUNT));
    inputs.add(new Working.Input("brought to", judged.watts(), Unit.WATT));
    inputs.add(new Working.Input("scatter of a mount", judged.scatterKelvin(), Unit.KELVIN));
    inputs.add(new Working.Input("its degrees of freedom", judged.freedom(), Unit.COUNT));
    List<String> limits = new ArrayList<>();
    limits.add(
        "What differs besides the candidates, such as pressure or spread, is in the scatter.");
    limits.add("The figures hold for this chip, cooler and power.");
    return new Working(
        "rise × mean power ÷ power = candidate"
            + (judged.blocked() ? " + block" : "")
            + (judged.driftTakenOut() ? " + drift × order" : "")
            + " + scatter, by least squares; pairs by the studentized range, 95 % for all together;"
            + " chances by draws of all means together",
        inputs,
        "Tukey 1953 and Kramer 1956; Montgomery, Design and Analysis of Experiments, 3.5 and 4.1",
        limits);
  }

  /** The answer in a sentence. */
  public String sentence() {
    return told.sentence();
  }

  /** A chance in words that claim neither never nor always. */
  public static String chance(double share) {
    double percent = 100 * share;
    if (percent < 1) {
      return "under 1 %";
    }
    return percent > 99 ? "over 99 %" : Math.round(percent) + " %";
  }

  /** What shows it: all mounts, all pairs, the bench and the price where they are known. */
  public List<Drawing> pictures(Notation notation) {
    return SeriesPictures.of(this, notation);
  }

  /** The sentences of one series. */
  private record Words(
      Judged judged, Optional<TwoFactors> factors, double careKelvin, Notation notation) {
    private String sentence() {
      List<Judged.Mean> leaders = judged.leaders();
      if (leaders.size() == 1) {
        Judged.Pair next = judged.pairs().get(0);
        return capital(leaders.get(0).candidate())
            + " is best: it runs cooler than "
            + next.second()
            + ", the next, by "
            + notation.text(-next.kelvin(), Unit.KELVIN)
            + " ("
            + notation.range(next.interval().negated(), Unit.KELVIN)
            + ").";
      }
      return together(leaders) + beaten(leaders) + more() + ".";
    }

    private String together(List<Judged.Mean> leaders) {
      Judged.Pair widest =
          judged.pairs().stream()
              .filter(p -> holds(leaders, p.first()) && holds(leaders, p.second()))
              .max(Comparator.comparingDouble(p -> Math.abs(p.kelvin())))
              .orElseThrow();
      String open =
          " ("
              + (leaders.size() > 2 ? "at most " : "")
              + notation.text(Math.abs(widest.kelvin()), Unit.KELVIN)
              + ", ± "
              + notation.number(widest.interval().width() / 2, Unit.KELVIN)
              + ")";
      return leaders.size() == judged.ranking().size() && leaders.size() > 3
          ? "None of the " + leaders.size() + " can be told from another" + open
          : capital(listed(leaders.stream().map(Judged.Mean::candidate).toList()))
              + " cannot be told apart"
              + open;
    }

    /** What every leader beats, and by how much at least. */
    private String beaten(List<Judged.Mean> leaders) {
      List<String> beaten =
          judged.ranking().stream()
              .map(Judged.Mean::candidate)
              .filter(c -> !holds(leaders, c))
              .filter(c -> leaders.stream().allMatch(l -> judged.pair(l.candidate(), c).told()))
              .toList();
      if (beaten.isEmpty()) {
        return "";
      }
      double least =
          judged.pairs().stream()
              .filter(p -> holds(leaders, p.first()) && beaten.contains(p.second()))
              .mapToDouble(p -> -p.interval().high())
              .min()
              .orElseThrow();
      return "; "
          + (leaders.size() == 2 ? "both beat " : "all beat ")
          + listed(beaten)
          + " by "
          + notation.text(least, Unit.KELVIN)
          + " or more";
    }

    private String more() {
      return judged.mountsToPart().isPresent() && !alike()
          ? "; " + judged.mountsToPart().getAsInt() + " more mounts would part the best two"
          : "";
    }

    /** Whether the best two differ by less than matters, whatever chance did. */
    private boolean alike() {
      Interval open = judged.pairs().get(0).interval();
      return Math.max(Math.abs(open.low()), Math.abs(open.high())) < careKelvin;
    }

    /** A name at the beginning of a sentence, unless its letters mean something as they stand. */
    private static String capital(String name) {
      boolean word = name.length() > 1 && name.substring(0, 2).matches("\\p{Ll}{2}");
      return word ? Sentence.begin(name) : name;
    }

    private static boolean holds(List<Judged.Mean> means, String name) {
      return means.stream().anyMatch(m -> m.candidate().equals(name));
    }

    private static String listed(List<String> names) {
      int last = names.size() - 1;
      return last == 0
          ? names.get(0)
          : String.join(", ", names.subList(0, last)) + " and " + names.get(last);
    }

    private List<String> reasons() {
      List<String> reasons = new ArrayList<>();
      List<Judged.Mean> leaders = judged.leaders();
      if (leaders.size() == 1) {
        Judged.Pair next = judged.pairs().get(0);
        reasons.add(
            -next.kelvin() < careKelvin
                ? "That is less than the "
                    + notation.text(careKelvin, Unit.KELVIN)
                    + " you care about; price and ease may decide."
                : "You can stop: more mounts are not likely to change which is best.");
      } else {
        Judged.Mean best = judged.ranking().get(0);
        reasons.add(
            capital(best.candidate())
                + " is the coolest with a chance of "
                + chance(best.chanceBest())
                + ".");
        reasons.add(
            alike()
                ? (leaders.size() == 2 ? "They" : "The best two")
                    + " differ by less than the "
                    + notation.text(careKelvin, Unit.KELVIN)
                    + " you care about: take what is cheaper or easier to work with."
                : judged
                        .next()
                        .map(n -> "The next mount that tells most is of " + n + ".")
                        .orElse("")
                    + (judged.mountsToPart().isEmpty()
                        ? " They may well be alike: no reasonable number of mounts is sure to part"
                            + " them."
                        : ""));
      }
      cheaper(leaders).ifPresent(reasons::add);
      return reasons;
    }

    private Optional<String> cheaper(List<Judged.Mean> leaders) {
      OptionalDouble least = leaders.stream().flatMapToDouble(m -> m.price().stream()).min();
      boolean known = leaders.stream().allMatch(m -> m.price().isPresent());
      if (leaders.size() < 2 || !known) {
        return Optional.empty();
      }
      return leaders.stream()
          .filter(m -> m.price().getAsDouble() <= least.getAsDouble())
          .findFirst()
          .map(
              m ->
                  "Of those that cannot be told apart, "
                      + m.candidate()
                      + " costs least: "
                      + notation.fixed(m.price().getAsDouble(), 2)
                      + " a use.");
    }

    private List<String> notes() {
      List<String> notes = new ArrayList<>();
      judged.against().stream()
          .filter(Judged.Pair::told)
          .forEach(
              p ->
                  notes.add(
                      capital(p.first())
                          + (p.kelvin() < 0 ? " runs cooler than " : " runs hotter than ")
                          + p.second()
                          + " by "
                          + notation.text(Math.abs(p.kelvin()), Unit.KELVIN)
                          + " ("
                          + notation.range(
                              p.kelvin() < 0 ? p.interval().negated() : p.interval(), Unit.KELVIN)
                          + "), by the test against one reference."));
      factors.ifPresent(f -> notes.addAll(told(f)));
      if (!judged.ownScatter()) {
        notes.add(
            "There are too few mounts to tell how far yours scatter; what is usual counts as well.");
      }
      if (!judged.blocked() && !oneBlock()) {
        notes.add(
            "There are no blocks in which candidates stand side by side, so a bench that drifts"
                + " would be in the differences.");
      }
      judged
          .drift()
          .filter(Judged.BenchDrift::told)
          .ifPresent(
              d ->
                  notes.add(
                      "The bench drifted by "
                          + notation.text(d.perMount(), Unit.KELVIN)
                          + " a mount ("
                          + notation.range(d.interval(), Unit.KELVIN)
                          + (judged.blocked()
                              ? "); the blocks take it out."
                              : "); it is in the differences too.")));
      for (Judged.Outlier o : judged.outliers()) {
        notes.add(
            named(o.mount())
                + " stands "
                + notation.text(Math.abs(o.kelvin()), Unit.KELVIN)
                + (o.kelvin() > 0 ? " over" : " under")
                + " what the others say. It counts; look at its print, and make it again.");
      }
      for (Mount m : judged.spoiled()) {
        boolean again =
            judged.mounts().stream()
                .anyMatch(o -> o.candidate().equals(m.candidate()) && o.block().equals(m.block()));
        notes.add(
            named(m)
                + (again ? " did not count at first: " : " does not count: ")
                + m.spoiled()
                + (again ? "." : ". Make it again."));
      }
      rooms().ifPresent(notes::add);
      return notes;
    }

    /** What the two things do, each over all of the other, and whether they add up. */
    private List<String> told(TwoFactors f) {
      List<String> told = new ArrayList<>();
      told.add(
          f.addUp()
              ? "Both things add up: which of the one is best does not hang on the other."
              : "They do not add up: what is best of the one hangs on the other, so go by the"
                  + " candidates as they stand.");
      for (List<Judged.Pair> pairs : List.of(f.first(), f.second())) {
        Judged.Pair most = pairs.get(0);
        told.add(
            most.told()
                ? "Over all of the other, "
                    + most.first()
                    + " runs cooler than "
                    + most.second()
                    + " by "
                    + notation.text(-most.kelvin(), Unit.KELVIN)
                    + " ("
                    + notation.range(most.interval().negated(), Unit.KELVIN)
                    + ")."
                : "Over all of the other, "
                    + listed(
                        pairs.stream()
                            .flatMap(p -> Stream.of(p.first(), p.second()))
                            .distinct()
                            .toList())
                    + " cannot be told apart.");
      }
      return told;
    }

    private boolean oneBlock() {
      List<String> blocks = judged.mounts().stream().map(Mount::block).distinct().toList();
      return blocks.size() == 1 && !blocks.get(0).isEmpty();
    }

    private static String named(Mount m) {
      return "The mount of "
          + m.candidate()
          + (m.block().isEmpty() ? "" : " in block " + m.block());
    }

    private Optional<String> rooms() {
      double[] rooms =
          judged.mounts().stream()
              .flatMapToDouble(m -> m.roomCelsius().stream())
              .sorted()
              .toArray();
      double moved = rooms.length < 2 ? 0 : rooms[rooms.length - 1] - rooms[0];
      return moved < ROOM_MOVED
          ? Optional.empty()
          : Optional.of(
              "The room moved by "
                  + notation.text(moved, Unit.KELVIN)
                  + " over the series; a cooler's air is not the same at every room.");
    }
  }
}
