package dev.ambershim.core.stage.series;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.plan.Hours;
import dev.ambershim.core.plan.Photo;
import dev.ambershim.core.runs.drift.Check;
import dev.ambershim.core.runs.series.Judged;
import dev.ambershim.core.runs.series.Mount;
import dev.ambershim.core.runs.series.SeriesFit;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.function.UnaryOperator;

/**
 * A series under way: its order, and the mounts that were made.
 *
 * @param name what the person calls it
 * @param candidates in the order they were named
 * @param blocks the order of the mounts, block by block
 * @param terms what it is planned and judged by
 * @param made the mounts so far, in their order
 * @param prices what one use costs, by candidate, where it is known
 * @param hours when the person may work
 * @param startAt when to go on, or null for now
 * @param fixed what stays the same at every mount, in the person's words; empty if not said
 */
@RecordBuilder
public record Series(
    String name,
    List<String> candidates,
    List<List<String>> blocks,
    SeriesTerms terms,
    List<Made> made,
    Map<String, Double> prices,
    Hours hours,
    Instant startAt,
    String fixed)
    implements SeriesBuilder.With {
  /** Fewer degrees of freedom leave a scatter open by more than a third. */
  private static final double OWN_FREEDOM = 5;

  /** Under this share of the face a print is told; common practice. */
  private static final double COVERED_PERCENT = 95;

  /**
   * A mount that was made.
   *
   * @param candidate what was mounted
   * @param block from 1
   * @param riseKelvin mean of the cores over the room, or null where it was spoiled
   * @param watts chip power, or null where it was spoiled
   * @param roomCelsius the room, or null
   * @param spoiled why it does not count; empty if it does
   * @param note mess and ease; empty if nothing was noted
   * @param coveredPercent how much of the face the paste covered when it was lifted, by eye, or
   *     null
   * @param print a photo of that, or null
   */
  @RecordBuilder
  public record Made(
      String candidate,
      int block,
      Double riseKelvin,
      Double watts,
      Double roomCelsius,
      String spoiled,
      String note,
      Double coveredPercent,
      Photo print)
      implements SeriesMadeBuilder.With {
    /** Fills in what was not said. */
    public Made {
      spoiled = spoiled == null ? "" : spoiled.strip();
      note = note == null ? "" : note.strip();
    }

    /** A mount that was not lifted yet. */
    public Made(
        String candidate,
        int block,
        Double riseKelvin,
        Double watts,
        Double roomCelsius,
        String spoiled,
        String note) {
      this(candidate, block, riseKelvin, watts, roomCelsius, spoiled, note, null, null);
    }

    /**
     * Refuses what cannot be.
     *
     * @throws Problem {@code series.mount}
     */
    public Made checked() {
      if (coveredPercent != null && !(coveredPercent >= 0 && coveredPercent <= 100)) {
        throw problem("covered", "So much cannot be covered.", "Give 0 to 100 %.");
      }
      if (!spoiled.isEmpty()) {
        return this;
      }
      if (riseKelvin == null || !Check.canRise(riseKelvin)) {
        throw problem("rise", "The cores cannot stand so far over the room.", "Read both again.");
      }
      if (watts == null || !Check.canDraw(watts)) {
        throw problem("power", "Such a power cannot be.", "Give the chip's power in W.");
      }
      return this;
    }

    private static Problem problem(String field, String what, String remedy) {
      return new Problem("series.mount", Place.field(field), what, remedy);
    }
  }

  /**
   * A mount that is to be made.
   *
   * @param number its place among all that are planned, from 1
   * @param block from 1
   * @param candidate what is mounted
   */
  public record Due(int number, int block, String candidate) {}

  /** Copies its lists, and fills in what is not said. */
  public Series {
    name = name == null || name.isBlank() ? "Series" : name.strip();
    candidates = List.copyOf(candidates);
    blocks = blocks.stream().map(List::copyOf).toList();
    terms = terms == null ? SeriesTerms.USUAL : terms;
    made = made == null ? List.of() : List.copyOf(made);
    prices = prices == null ? Map.of() : Map.copyOf(prices);
    fixed = fixed == null ? "" : fixed.strip();
    hours = hours == null || !hours.sound() ? Hours.ANY : hours;
  }

  /** A series without prices. */
  public Series(
      String name,
      List<String> candidates,
      List<List<String>> blocks,
      SeriesTerms terms,
      List<Made> made) {
    this(name, candidates, blocks, terms, made, Map.of(), Hours.ANY, null, "");
  }

  /**
   * A series as it was planned.
   *
   * @param prices what one use costs, of those candidates of which it is known
   */
  public static Series of(
      String name, SeriesPlan plan, SeriesTerms terms, Map<String, Double> prices) {
    Map<String, Double> own = new TreeMap<>(prices);
    own.keySet().retainAll(plan.candidates());
    return new Series(
        name, plan.candidates(), plan.rota().blocks(), terms, List.of(), own, Hours.ANY, null, "");
  }

  /** How many mounts are planned. */
  public int planned() {
    return blocks.stream().mapToInt(List::size).sum();
  }

  /** The next mount: the first of the order that was not made yet, or was spoiled. */
  public Optional<Due> next() {
    return due().stream().findFirst();
  }

  /** All mounts of the order that were not made yet, or were spoiled. */
  public List<Due> due() {
    List<Made> open = new ArrayList<>(made.stream().filter(m -> m.spoiled().isEmpty()).toList());
    List<Due> due = new ArrayList<>();
    int number = 0;
    for (int b = 0; b < blocks.size(); b++) {
      for (String candidate : blocks.get(b)) {
        number++;
        int block = b + 1;
        boolean there =
            open.stream()
                .filter(m -> m.block() == block && m.candidate().equals(candidate))
                .findFirst()
                .map(open::remove)
                .orElse(false);
        if (!there) {
          due.add(new Due(number, block, candidate));
        }
      }
    }
    return due;
  }

  /** With one more mount. */
  public Series with(Made mount) {
    List<Made> all = new ArrayList<>(made);
    all.add(mount);
    return withMade(all);
  }

  /** Without the last mount. */
  public Series withoutLast() {
    return made.isEmpty() ? this : withMade(made.subList(0, made.size() - 1));
  }

  /** The mount that was made last, which is lifted next. */
  public Optional<Made> last() {
    return made.isEmpty() ? Optional.empty() : Optional.of(made.get(made.size() - 1));
  }

  /** With another last mount, such as one that was lifted. */
  public Series withLast(UnaryOperator<Made> change) {
    return last().map(m -> withoutLast().with(change.apply(m).checked())).orElse(this);
  }

  /** What is to be done next, in words. */
  public String dueInWords() {
    return next()
        .map(
            d ->
                "Mount "
                    + d.number()
                    + " of "
                    + planned()
                    + ": "
                    + d.candidate()
                    + ", block "
                    + d.block())
        .orElse("All " + planned() + " mounts are made.");
  }

  /** What to watch at every mount, what stays the same first. */
  public List<String> watch() {
    List<String> watch = new ArrayList<>(SeriesPlan.watch(terms));
    if (!fixed.isEmpty()) {
      watch.add(0, "The same at every mount: " + fixed + ".");
    }
    return watch;
  }

  /**
   * The person's own scatter between mounts by series that tell one, pooled by their degrees of
   * freedom (Montgomery, 3.4), K.
   *
   * @return empty while all together leave fewer than {@value #OWN_FREEDOM}
   */
  public static OptionalDouble ownScatter(List<Series> all) {
    double freedom = 0;
    double squares = 0;
    for (Series series : all) {
      List<Mount> mounts = series.mounts();
      if (mounts.stream().filter(Mount::counts).map(Mount::candidate).distinct().count() < 2) {
        continue;
      }
      Judged judged = SeriesFit.of(mounts, series.terms().remountKelvin(), Optional.empty());
      if (judged.ownScatter()) {
        freedom += judged.freedom();
        squares += judged.freedom() * judged.scatterKelvin() * judged.scatterKelvin();
      }
    }
    return freedom < OWN_FREEDOM
        ? OptionalDouble.empty()
        : OptionalDouble.of(Math.sqrt(squares / freedom));
  }

  /** How a mount is made, in words. */
  public String howInWords() {
    return "Clean both faces, spread, mount, "
        + (terms.warmUps() == 0
            ? "warm up"
            : "warm up and cool "
                + (terms.warmUps() == 1 ? "once" : terms.warmUps() + " times")
                + ", then load it")
        + ", and let it settle. Then write it down or drop its log.";
  }

  /** The mounts for judging. */
  public List<Mount> mounts() {
    List<Mount> all = new ArrayList<>();
    for (int i = 0; i < made.size(); i++) {
      Made m = made.get(i);
      all.add(
          new Mount(
              m.candidate(),
              String.valueOf(m.block()),
              m.riseKelvin() == null ? Double.NaN : m.riseKelvin(),
              m.watts() == null ? Double.NaN : m.watts(),
              m.roomCelsius() == null ? OptionalDouble.empty() : OptionalDouble.of(m.roomCelsius()),
              OptionalDouble.of(i + 1),
              prices.containsKey(m.candidate())
                  ? OptionalDouble.of(prices.get(m.candidate()))
                  : OptionalDouble.empty(),
              m.spoiled()));
    }
    return all;
  }

  /** What the mounts say; empty while fewer than two candidates have one that counts. */
  public Optional<SeriesAnswer> judged(Notation notation) {
    return judged(SeriesKnown.NOTHING, notation);
  }

  /**
   * The same with what else is known of the candidates.
   *
   * @param known packs and own joints of them
   */
  public Optional<SeriesAnswer> judged(SeriesKnown known, Notation notation) {
    List<Mount> all = mounts();
    long told = all.stream().filter(Mount::counts).map(Mount::candidate).distinct().count();
    return told < 2
        ? Optional.empty()
        : Optional.of(
            SeriesAnswer.of(
                SeriesFit.of(all, terms.remountKelvin(), Optional.empty()),
                terms.careKelvin(),
                notation,
                known.and(prints())));
  }

  /** What was seen when the pastes were lifted. */
  private List<String> prints() {
    List<String> notes = new ArrayList<>();
    for (Made m : made) {
      if (m.coveredPercent() != null && m.coveredPercent() < COVERED_PERCENT) {
        notes.add(
            "The mount of "
                + m.candidate()
                + " in block "
                + m.block()
                + " covered "
                + Math.round(m.coveredPercent())
                + " % of the face"
                + (m.spoiled().isEmpty()
                    ? ". It counts; call it spoiled if that was the spread's fault."
                    : "."));
      }
    }
    return notes;
  }

  /** The mounts as a table that {@code series judge} reads. */
  public String csv() {
    StringBuilder out =
        new StringBuilder(
            "candidate,block,rise_K,power_W,room_C,order,price,spoiled,covered_percent,note\n");
    for (int i = 0; i < made.size(); i++) {
      Made m = made.get(i);
      out.append(cell(m.candidate()))
          .append(',')
          .append(m.block())
          .append(',')
          .append(figure(m.riseKelvin()))
          .append(',')
          .append(figure(m.watts()))
          .append(',')
          .append(figure(m.roomCelsius()))
          .append(',')
          .append(i + 1)
          .append(',')
          .append(figure(prices.get(m.candidate())))
          .append(',')
          .append(cell(m.spoiled()))
          .append(',')
          .append(figure(m.coveredPercent()))
          .append(',')
          .append(cell(m.note()))
          .append('\n');
    }
    return out.toString();
  }

  private static String figure(Double value) {
    return value == null || value.isNaN() ? "" : value.toString();
  }

  private static String cell(String text) {
    return text.matches("[\\p{L}\\p{N} ._-]*") ? text : '"' + text.replace("\"", "\"\"") + '"';
  }

  /** What it takes from here on, in words. */
  public String left(Notation notation) {
    long counted = made.stream().filter(m -> m.spoiled().isEmpty()).count();
    double hours = Math.max(0, planned() - counted) * terms.wholeMinutes() / 60;
    return "About " + notation.text(hours, Unit.HOUR) + " of mounts are left.";
  }
}
