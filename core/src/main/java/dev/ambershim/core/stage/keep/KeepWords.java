package dev.ambershim.core.stage.keep;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Found;
import dev.ambershim.core.runs.drift.Crossing;
import dev.ambershim.core.runs.drift.Drift;
import dev.ambershim.core.runs.drift.DriftFit;
import dev.ambershim.core.runs.drift.Jump;
import dev.ambershim.core.runs.drift.Line;
import dev.ambershim.core.runs.drift.Trend;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** The sentences of Keep about a course. */
final class KeepWords {
  /** Half a month is as near as a date far ahead can be told. */
  private static final int DAYS_TO_SAY_MONTHS = 60;

  private final Notation notation;
  private final Drift drift;

  KeepWords(Notation notation, Drift drift) {
    this.notation = notation;
    this.drift = drift;
  }

  /** The answer in a sentence. */
  String finding() {
    return switch (drift.trend()) {
      case STEADY -> "It runs as on the first day: " + rate(drift.line().orElseThrow()) + ".";
      case CREEPING -> {
        double perYear = drift.line().orElseThrow().perYear();
        yield "It gets "
            + warmer(perYear)
            + " by "
            + rate(drift.line().orElseThrow(), perYear < 0)
            + ".";
      }
      case JUMPED -> jumped();
      case CANNOT_TELL -> cannot();
    };
  }

  private static String warmer(double kelvin) {
    return kelvin > 0 ? "hotter" : "cooler";
  }

  private String rate(Line line) {
    return rate(line, false);
  }

  /** "4.1 K a year (3.4 to 4.8) at 145 W"; a fall as a positive figure. */
  private String rate(Line line, boolean falling) {
    double value = falling ? -line.perYear() : line.perYear();
    Interval interval = falling ? line.perYearInterval().negated() : line.perYearInterval();
    return notation.text(value, Unit.KELVIN_PER_YEAR)
        + " ("
        + notation.range(interval, Unit.KELVIN_PER_YEAR)
        + ") at "
        + notation.text(drift.watts(), Unit.WATT);
  }

  private String jumped() {
    List<Jump> jumps = drift.jumps();
    Jump largest = drift.largestJump().orElseThrow();
    return "It got "
        + size(largest)
        + " between the checks of "
        + Notation.date(largest.last())
        + " and "
        + Notation.date(largest.date())
        + (jumps.size() == 1 ? "." : ", and jumped at another time as well.");
  }

  /** "4.2 K hotter (3.8 to 4.7)". */
  private String size(Jump jump) {
    boolean up = jump.kelvin() > 0;
    return notation.text(Math.abs(jump.kelvin()), Unit.KELVIN)
        + " "
        + warmer(jump.kelvin())
        + " ("
        + notation.range(up ? jump.interval() : jump.interval().negated(), Unit.KELVIN)
        + ")";
  }

  private String cannot() {
    Optional<Drift.Apart> newest = drift.newestApart();
    if (newest.isPresent()) {
      return "The newest check reads "
          + notation.text(Math.abs(newest.get().kelvin()), Unit.KELVIN)
          + (newest.get().kelvin() > 0 ? " more" : " less")
          + " than all before it.";
    }
    int count = drift.used().size();
    if (drift.robust().isEmpty()) {
      return count == 1
          ? "One check cannot tell whether it ages; " + DriftFit.FEWEST + " can."
          : "Too few checks to tell whether it ages: "
              + count
              + " so far, and "
              + DriftFit.FEWEST
              + " are needed.";
    }
    return drift
        .line()
        .map(
            l ->
                "These checks cannot tell whether it ages: a drift of "
                    + notation.range(l.perYearInterval(), Unit.KELVIN_PER_YEAR)
                    + " "
                    + notation.symbol(Unit.KELVIN_PER_YEAR)
                    + " fits them.")
        .orElse("All checks are of one day, which cannot tell whether it ages.");
  }

  /** When the limit comes, or that it does not. */
  String limit(Limit limit, Optional<Crossing> reopen) {
    String at = limit.words(notation);
    if (reopen.isEmpty()) {
      return at + " is not likely to come within " + Crossing.YEARS_AHEAD + " years.";
    }
    Crossing c = reopen.get();
    if (!c.date().isAfter(drift.last())) {
      return "The cores stand at " + at + " already.";
    }
    return at
        + " comes about "
        + day(c.date())
        + ": not before "
        + day(c.low())
        + c.high().map(h -> ", not after " + day(h)).orElse(", perhaps never")
        + ".";
  }

  /** Far ahead the month is enough. */
  private String day(LocalDate day) {
    return day.toEpochDay() - drift.last().toEpochDay() > DAYS_TO_SAY_MONTHS
        ? Notation.month(day)
        : Notation.date(day);
  }

  /** The room that the limit is meant in. */
  String room(Limit limit) {
    return "The limit is meant in a room of "
        + notation.text(limit.roomCelsius(), Unit.CELSIUS)
        + ".";
  }

  /** What to do about it. */
  String remedy(Optional<Crossing> reopen) {
    boolean there = reopen.filter(c -> !c.date().isAfter(drift.last())).isPresent();
    return switch (drift.trend()) {
      case STEADY ->
          there
              ? "It does not age, so the same joint made anew would not change that; see Weigh."
              : "Opening it would gain nothing.";
      case CREEPING ->
          drift.line().orElseThrow().perYear() > 0
              ? "Clean fans and fins first, then check again; ask for the causes before you open it."
              : "Pastes that spread with use do so. Nothing needs doing.";
      case JUMPED ->
          "Look for what changed between these two checks: cooler, fans, pump, firmware, load.";
      case CANNOT_TELL ->
          drift.newestApart().isPresent()
              ? "Make another one now: it tells a jump from a bad reading."
              : "Add a check every month or two; each takes a few minutes.";
    };
  }

  /** By what it was told. */
  String chance() {
    String since = drift.used().size() + " checks since " + Notation.date(drift.first());
    return drift.trend() == Trend.CREEPING || drift.trend() == Trend.JUMPED
        ? since + ". A steady chip would look like this in " + percent(drift.chance()) + "."
        : since + ".";
  }

  private static String percent(double share) {
    return share < 0.01 ? "under 1 % of histories" : Math.round(100 * share) + " % of histories";
  }

  /** What an opening found, and after how long. */
  static String found(Found found, LocalDate made, String joint) {
    long months = made == null ? 0 : ChronoUnit.MONTHS.between(made, found.date());
    String after =
        made == null
            ? ""
            : " after "
                + (months == 1 ? "a month" : months < 1 ? "some weeks" : months + " months");
    List<String> use = new ArrayList<>();
    if (found.loadHours() != null) {
      use.add(Math.round(found.loadHours()) + " h of load");
    }
    if (found.warmUps() != null) {
      use.add(Math.round(found.warmUps()) + " warm-ups");
    }
    String looks =
        found.looks().isEmpty()
            ? "nothing written down"
            : found.looks().stream().map(Found.Look::words).collect(Collectors.joining(", "));
    return "Opened on "
        + Notation.date(found.date())
        + after
        + (use.isEmpty() ? "" : (made == null ? " after " : ", ") + String.join(" and ", use))
        + ", "
        + joint
        + ": "
        + looks
        + "."
        + (found.note().isEmpty() ? "" : " " + found.note());
  }

  /** What to do about what was found, if anything. */
  static Optional<String> verdict(Found found) {
    if (found.looks().contains(Found.Look.CRACKS)) {
      return Optional.of("A cracked die or substrate is not to be used again; see Clean.");
    }
    if (found.looks().contains(Found.Look.PITS) || found.looks().contains(Found.Look.CRUST)) {
      return Optional.of(
          "Pits and crusts keep faces apart: note them in Clean, which says what helps.");
    }
    if (found.looks().contains(Found.Look.CRUMBLY) || found.looks().contains(Found.Look.DRY)) {
      return Optional.of("It was due: a dry or crumbly joint carries less heat each month.");
    }
    return Optional.empty();
  }

  /** What a state before did; empty if it cannot be told. */
  Optional<String> past(String state) {
    String begin = state.isEmpty() ? "Before that: " : "In the state \"" + state + "\": ";
    return switch (drift.trend()) {
      case STEADY -> Optional.of(begin + "it ran steadily.");
      case CREEPING -> {
        Line line = drift.line().orElseThrow();
        yield Optional.of(
            begin
                + "it got "
                + warmer(line.perYear())
                + " by "
                + rate(line, line.perYear() < 0)
                + ".");
      }
      case JUMPED -> Optional.of(begin + "it" + jumped().substring(2));
      case CANNOT_TELL -> Optional.empty();
    };
  }

  /** Further jumps, what does not count and why. */
  List<String> notes() {
    List<String> notes = new ArrayList<>();
    if (drift.jumps().size() > 1) {
      for (Jump j : drift.jumps()) {
        notes.add(Notation.date(j.date()) + ": " + size(j) + ".");
      }
    }
    if (!drift.jumps().isEmpty()) {
      drift.line().ifPresent(l -> notes.add("Besides that, it drifts by " + rate(l) + "."));
    }
    for (Drift.Remount r : drift.remounts()) {
      notes.add(
          "The mount of "
              + Notation.date(r.date())
              + " reads "
              + notation.text(Math.abs(r.kelvin()), Unit.KELVIN)
              + (r.kelvin() > 0 ? " more" : " less")
              + " than the one before. That is a matter of mounting, not of age.");
    }
    for (Drift.Apart a : drift.apart(Drift.Reason.OUTLIER)) {
      if (drift.newestApart().filter(a::equals).isPresent()) {
        continue;
      }
      notes.add(
          "The check of "
              + Notation.date(a.check().date())
              + " stands "
              + notation.text(Math.abs(a.kelvin()), Unit.KELVIN)
              + (a.kelvin() > 0 ? " over" : " under")
              + " all others and does not count. Make another one.");
    }
    counted(drift.apart(Drift.Reason.OTHER_STATE))
        .ifPresent(n -> notes.add(n + " of other states; those had other joints."));
    counted(drift.apart(Drift.Reason.OTHER_COOLING))
        .ifPresent(n -> notes.add(n + " with fan or pump at another speed than of late."));
    counted(drift.apart(Drift.Reason.OTHER_POWER))
        .ifPresent(n -> notes.add(n + " at a power too far from the others to be compared."));
    if (drift.states().size() > 1) {
      notes.add(
          "The last state has too few checks of its own, so these states count together, each at"
              + " its own level: "
              + drift.states().stream()
                  .map(s -> s.isEmpty() ? "without a name" : s)
                  .collect(Collectors.joining(", "))
              + ".");
    }
    return notes;
  }

  private static Optional<String> counted(List<Drift.Apart> apart) {
    return switch (apart.size()) {
      case 0 -> Optional.empty();
      case 1 -> Optional.of("One check does not count, as it is");
      default -> Optional.of(apart.size() + " checks do not count, as they are");
    };
  }
}
