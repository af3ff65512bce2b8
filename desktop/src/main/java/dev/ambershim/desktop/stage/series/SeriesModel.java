package dev.ambershim.desktop.stage.series;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.plan.OwnPaste;
import dev.ambershim.core.plan.Photo;
import dev.ambershim.core.plan.ShelfItem;
import dev.ambershim.core.plan.Supply;
import dev.ambershim.core.stage.keep.OwnAgeing;
import dev.ambershim.core.stage.series.Series;
import dev.ambershim.core.stage.series.SeriesAnswer;
import dev.ambershim.core.stage.series.SeriesKnown;
import dev.ambershim.core.stage.series.SeriesPlan;
import dev.ambershim.core.stage.series.SeriesTerms;
import dev.ambershim.core.stage.series.SeriesTimes;
import dev.ambershim.desktop.model.JobModel;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/** The person's series, the one that is shown, and what it says. */
final class SeriesModel {
  private final JobModel shell;
  private final ReadOnlyObjectWrapper<List<Series>> all = new ReadOnlyObjectWrapper<>(List.of());
  private final ReadOnlyObjectWrapper<Series> shown = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<List<ShelfItem>> shelf =
      new ReadOnlyObjectWrapper<>(List.of());
  private final ReadOnlyObjectWrapper<Optional<SeriesAnswer>> answer =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<Optional<SeriesTimes>> times =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<OptionalDouble> ownScatter =
      new ReadOnlyObjectWrapper<>(OptionalDouble.empty());
  private final ReadOnlyStringWrapper notInTime = new ReadOnlyStringWrapper("");
  private final SeriesHistory history = new SeriesHistory();
  private Map<String, List<OwnAgeing.Seen>> aged = Map.of();
  private final SeriesRuns runs;
  private final SeriesFiles files;
  private int asked;
  private int changes;

  /**
   * A model of the shell's logbook.
   *
   * @param shownAgain goes back to the series, since a run that comes in goes to its stage
   */
  SeriesModel(JobModel shell, Runnable shownAgain) {
    this.shell = shell;
    runs = new SeriesRuns(shell, this, shownAgain);
    files = new SeriesFiles(shell, this);
    shell.notationProperty().addListener((o, was, is) -> judge());
  }

  /** All series, the newest first. */
  ReadOnlyObjectProperty<List<Series>> allProperty() {
    return all.getReadOnlyProperty();
  }

  /** The one on screen; null while there is none, or one is begun. */
  ReadOnlyObjectProperty<Series> shownProperty() {
    return shown.getReadOnlyProperty();
  }

  /** What it says. */
  ReadOnlyObjectProperty<Optional<SeriesAnswer>> answerProperty() {
    return answer.getReadOnlyProperty();
  }

  /** When the mounts that are left are made; empty while that is not known. */
  ReadOnlyObjectProperty<Optional<SeriesTimes>> timesProperty() {
    return times.getReadOnlyProperty();
  }

  /** The person's own scatter between mounts, K; empty while their series do not tell it. */
  ReadOnlyObjectProperty<OptionalDouble> ownScatterProperty() {
    return ownScatter.getReadOnlyProperty();
  }

  /** Why they cannot be set in time; empty if they can. */
  ReadOnlyStringProperty notInTimeProperty() {
    return notInTime.getReadOnlyProperty();
  }

  /** Reads what was kept. */
  void read() {
    int before = changes;
    shell
        .work()
        .submit(
            "",
            progress -> shell.traffic().series(),
            kept -> {
              if (changes > before) {
                // What was written down meanwhile is newer than what was read.
                return;
              }
              all.set(kept);
              if (shown.get() == null && !kept.isEmpty()) {
                show(kept.get(0));
              }
              shell.reckoning().submit("", progress -> Series.ownScatter(kept), ownScatter::set);
            });
    shell
        .work()
        .submit(
            "",
            progress ->
                shell.traffic().shelf().stream()
                    .filter(i -> i.supply() == Supply.PASTE || i.supply() == Supply.METAL)
                    .toList(),
            packs -> {
              shelf.set(packs);
              judge();
            });
    shell
        .work()
        .submit(
            "",
            progress -> shell.traffic().agedByPack(),
            seen -> {
              aged = seen;
              judge();
            });
  }

  /** The pastes and liquid metals on the shelf, which may be compared. */
  ReadOnlyObjectProperty<List<ShelfItem>> shelfProperty() {
    return shelf.getReadOnlyProperty();
  }

  /** Shows a series, or the beginning of a new one. */
  void show(Series series) {
    shown.set(series);
    judge();
  }

  /** Plans a series and begins it. */
  void begin(
      String name,
      List<String> candidates,
      OptionalInt mounts,
      Optional<Double> hours,
      SeriesTerms terms,
      String fixed,
      Map<String, Double> prices) {
    long seed = shell.workbench().now().toEpochMilli();
    Map<String, Double> known = Map.copyOf(prices);
    plan(
        candidates,
        mounts,
        hours,
        terms,
        seed,
        plan -> {
          Series begun = Series.of(name, plan, terms, known).withFixed(fixed);
          List<Series> more = new ArrayList<>(all.get());
          more.add(0, begun);
          history.note(all.get(), shown.get());
          keep(more, begun);
          shell.say(plan.sentence());
        },
        problem -> shell.say(problem.getMessage()));
  }

  /**
   * Works a plan out behind the window, since many mounts take a moment.
   *
   * @param refused hears why it cannot be planned so
   */
  void plan(
      List<String> candidates,
      OptionalInt mounts,
      Optional<Double> hours,
      SeriesTerms terms,
      long seed,
      Consumer<SeriesPlan> told,
      Consumer<Problem> refused) {
    Notation writing = notation();
    shell
        .reckoning()
        .<Runnable>submit(
            "",
            progress -> {
              try {
                SeriesPlan plan = SeriesPlan.of(candidates, mounts, hours, terms, seed, writing);
                return () -> told.accept(plan);
              } catch (Problem problem) {
                return () -> refused.accept(problem);
              }
            },
            Runnable::run);
  }

  /** Writes down the mount that is due. */
  void write(double riseKelvin, double watts, Double roomCelsius, String note) {
    Series.Due due = due();
    change(
        shown
            .get()
            .with(
                new Series.Made(
                        due.candidate(), due.block(), riseKelvin, watts, roomCelsius, "", note)
                    .checked()));
  }

  /** Marks the mount that is due as spoiled, so that it is made again. */
  void spoil(String why, String note) {
    said(why);
    Series.Due due = due();
    change(
        shown
            .get()
            .with(new Series.Made(due.candidate(), due.block(), null, null, null, why, note)));
  }

  private static void said(String why) {
    if (why.isBlank()) {
      throw new Problem(
          "series.spoiled",
          Place.field("spoiled"),
          "Say why it was spoiled.",
          "A few words do, such as \"hair under the plate\".");
    }
  }

  /** Takes the last mount out. */
  void takeOut() {
    change(shown.get().withoutLast());
  }

  /** Notes what the last mount's print was like when it was lifted. */
  void lifted(Double coveredPercent, Photo print) {
    change(
        shown
            .get()
            .withLast(
                m ->
                    m.withCoveredPercent(coveredPercent)
                        .withPrint(print == null ? m.print() : print)));
  }

  /** Marks the mount that was made last as spoiled, so that it is made again. */
  void spoilLast(String why) {
    said(why);
    change(shown.get().withLast(m -> m.withSpoiled(why)));
  }

  /** Takes back what was done last, or does it again. */
  void undo(boolean back) {
    Optional<SeriesHistory.Moment> there =
        history.travel(back, new SeriesHistory.Moment(all.get(), shown.get()));
    there.ifPresent(m -> keep(m.all(), m.shown()));
    String nothing = "There is nothing to " + (back ? "undo" : "redo") + " in your series.";
    shell.say(there.isEmpty() ? nothing : back ? "Undone." : "Done again.");
  }

  /** Whether there is something to take back, or to do again. */
  ReadOnlyBooleanProperty undoable(boolean back) {
    return history.can(back);
  }

  /** Sets the series in time. */
  void time(UnaryOperator<Series> change) {
    change(change.apply(shown.get()));
  }

  /**
   * Has the open job's forecast reckon with a candidate as its fresh paste; null for a usual one.
   */
  void reckonWith(String candidate) {
    OwnPaste paste =
        candidate == null ? null : answer.get().orElseThrow().paste(candidate, shown.get().name());
    shell.edit("fresh paste", job -> job.withTerms(job.terms().withOwnPaste(paste)));
    shell.say(
        paste == null
            ? "Weigh reckons with a usual paste again."
            : "Weigh reckons with " + paste.from() + ".");
  }

  /** Runs that are mounts of it. */
  SeriesRuns runs() {
    return runs;
  }

  /** What is written of it. */
  SeriesFiles files() {
    return files;
  }

  /**
   * The mount that is due.
   *
   * @throws Problem {@code series.done} if none is
   */
  Series.Due due() {
    return Optional.ofNullable(shown.get())
        .flatMap(Series::next)
        .orElseThrow(
            () ->
                new Problem(
                    "series.done",
                    Place.NOWHERE,
                    "No mount is due.",
                    "Plan another series for more of them."));
  }

  /** Keeps the series that is shown as it is now; it can be undone. */
  void change(Series now) {
    if (now.equals(shown.get())) {
      return;
    }
    history.note(all.get(), shown.get());
    List<Series> others = new ArrayList<>(all.get());
    int place = others.indexOf(shown.get());
    others.set(place, now);
    keep(others, now);
  }

  private void keep(List<Series> series, Series now) {
    changes++;
    List<Series> kept = List.copyOf(series);
    all.set(kept);
    show(now);
    shell
        .work()
        .submit(
            "",
            progress -> {
              shell.traffic().keepSeries(kept);
              return kept;
            },
            done -> {});
  }

  private void judge() {
    int question = ++asked;
    Series of = shown.get();
    if (of == null) {
      answer.set(Optional.empty());
      times.set(Optional.empty());
      return;
    }
    Notation writing = notation();
    SeriesKnown known =
        SeriesKnown.of(
            of.candidates(),
            shelf.get(),
            aged,
            LocalDate.ofInstant(shell.workbench().now(), shell.workbench().zone()),
            writing);
    shell
        .reckoning()
        .submit(
            "",
            progress -> of.judged(known, writing),
            told -> {
              if (question == asked) {
                answer.set(told);
              }
            });
    Instant now = shell.workbench().now();
    shell
        .reckoning()
        .<Runnable>submit(
            "",
            progress -> {
              try {
                Optional<SeriesTimes> told =
                    SeriesTimes.of(of, now, shell.workbench().zone(), writing);
                return () -> timed(question, told, "");
              } catch (Problem problem) {
                return () -> timed(question, Optional.empty(), problem.getMessage());
              }
            },
            Runnable::run);
  }

  private void timed(int question, Optional<SeriesTimes> told, String wrong) {
    if (question == asked) {
      notInTime.set(wrong);
      times.set(told);
    }
  }

  private Notation notation() {
    return shell.notationProperty().get();
  }
}
