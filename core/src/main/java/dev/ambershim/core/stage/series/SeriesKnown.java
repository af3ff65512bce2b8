package dev.ambershim.core.stage.series;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.plan.ShelfItem;
import dev.ambershim.core.runs.series.Judged;
import dev.ambershim.core.stage.keep.OwnAgeing;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What is known of the candidates besides their mounts.
 *
 * @param wear how own joints of a candidate aged, by its name
 * @param notes what else is to be told
 */
public record SeriesKnown(Map<String, Wear> wear, List<String> notes) {
  /** Nothing. */
  public static final SeriesKnown NOTHING = new SeriesKnown(Map.of(), List.of());

  private static final double DAYS_A_MONTH = 30.44;
  private static final long OLD_DAYS = 365;

  /**
   * How own joints of a candidate aged (means by certainty; JCGM 100, from memory).
   *
   * @param joints how many told it
   * @param sharePerYear growth of the rise, as a share of it
   * @param deviation of that share
   */
  public record Wear(int joints, double sharePerYear, double deviation) {
    /** Longest life that is told, years. */
    static final double LONGEST_YEARS = 10;

    /** One mean of several. */
    static Wear of(List<OwnAgeing.Seen> seen) {
      double weights = seen.stream().mapToDouble(s -> 1 / s.variance()).sum();
      double mean = seen.stream().mapToDouble(s -> s.sharePerYear() / s.variance()).sum() / weights;
      return new Wear(seen.size(), mean, 1 / Math.sqrt(weights));
    }

    /** Years until a rise has grown by some kelvin; {@value #LONGEST_YEARS} for that and more. */
    double years(double kelvin, double riseKelvin) {
      double each = sharePerYear * riseKelvin;
      return each * LONGEST_YEARS <= kelvin ? LONGEST_YEARS : kelvin / each;
    }

    /** Growth of a rise in a year in 95 cases of 100, K. */
    Interval kelvinPerYear(double riseKelvin) {
      return Interval.around(
          sharePerYear * riseKelvin, Interval.normalHalf(0.95) * deviation * riseKelvin, 0.95);
    }
  }

  /** Copies its collections. */
  public SeriesKnown {
    wear = Map.copyOf(wear);
    notes = List.copyOf(notes);
  }

  /**
   * What shelf and logbook know of candidates.
   *
   * @param shelf packs, of which some may be candidates by their names
   * @param aged how joints aged that were made with a pack, by its name
   */
  public static SeriesKnown of(
      List<String> candidates,
      List<ShelfItem> shelf,
      Map<String, List<OwnAgeing.Seen>> aged,
      LocalDate today,
      Notation notation) {
    Map<String, Wear> wear = new HashMap<>();
    List<String> notes = new ArrayList<>();
    for (String candidate : candidates) {
      List<OwnAgeing.Seen> seen = aged.getOrDefault(candidate, List.of());
      if (!seen.isEmpty()) {
        wear.put(candidate, Wear.of(seen));
      }
      shelf.stream()
          .filter(i -> candidateName(i).equals(candidate))
          .findFirst()
          .flatMap(i -> age(candidate, i, today, notation))
          .ifPresent(notes::add);
    }
    return new SeriesKnown(wear, notes);
  }

  /** The name under which a pack is a candidate: commas part candidates where they are typed. */
  public static String candidateName(ShelfItem item) {
    return item.name().replaceAll("[,;]", "").strip();
  }

  private static Optional<String> age(
      String candidate, ShelfItem item, LocalDate today, Notation notation) {
    if (!item.good(today)) {
      return Optional.of(
          "The pack of "
              + candidate
              + " is past its date, "
              + Notation.date(item.until())
              + ". A fresh one may do better.");
    }
    return item.ageDays(today).isPresent() && item.ageDays(today).getAsLong() > OLD_DAYS
        ? Optional.of(
            "The pack of "
                + candidate
                + " has been "
                + (item.opened() == null ? "here" : "open")
                + " for "
                + notation.whole(item.ageDays(today).getAsLong() / DAYS_A_MONTH, Unit.COUNT)
                + " months. A fresh one may do better.")
        : Optional.empty();
  }

  /** With more notes. */
  SeriesKnown and(List<String> more) {
    List<String> all = new ArrayList<>(notes);
    all.addAll(more);
    return new SeriesKnown(wear, all);
  }

  /** What own joints tell of the candidates, in words. */
  List<String> words(Judged judged, double careKelvin, Notation notation) {
    List<String> words = new ArrayList<>();
    for (Judged.Mean m : judged.ranking()) {
      Wear w = wear.get(m.candidate());
      if (w != null) {
        double years = w.years(careKelvin, m.kelvin());
        words.add(
            "Own joints of "
                + m.candidate()
                + " ("
                + w.joints()
                + ") grew hotter by "
                + notation.text(w.sharePerYear() * m.kelvin(), Unit.KELVIN)
                + " a year ("
                + notation.range(w.kelvinPerYear(m.kelvin()), Unit.KELVIN)
                + "): "
                + (years >= Wear.LONGEST_YEARS
                    ? "they do not lose "
                    : "after "
                        + notation.fixed(years, 1)
                        + (notation.fixed(years, 1).equals("1.0") ? " year" : " years")
                        + " they have lost ")
                + notation.text(careKelvin, Unit.KELVIN)
                + (years >= Wear.LONGEST_YEARS ? " within ten years." : "."));
      }
    }
    return words;
  }
}
