package dev.ambershim.desktop.model;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.WorkWays;
import dev.ambershim.core.plan.Hours;
import dev.ambershim.core.plan.Moment;
import dev.ambershim.core.plan.Photo;
import dev.ambershim.core.plan.ShelfItem;
import dev.ambershim.core.plan.Way;
import dev.ambershim.core.plan.WorkLog;
import dev.ambershim.logbook.formats.ScheduleCalendar;
import dev.ambershim.logbook.photo.Photos;
import dev.ambershim.logbook.report.Card;
import dev.ambershim.logbook.report.ReportFiles;
import dev.ambershim.logbook.store.Shelf;
import dev.ambershim.logbook.store.WholeFile;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.util.Duration;

/**
 * The work of the job on screen: its plan in time, worked out anew after every edit and each minute
 * while somebody looks at it; the shelf; the timers of all jobs. It works on a line of its own, so
 * that nothing waits for it.
 */
public final class WorkModel implements AutoCloseable {
  private static final Duration REPLAN = Duration.minutes(1);

  private final JobModel model;
  private final Supplier<Moment> clock;
  private final Work planning;
  private final TimerBoard timers;
  private final ZoneId zone = ZoneId.systemDefault();
  private final ReadOnlyObjectWrapper<Outlook> outlook = new ReadOnlyObjectWrapper<>();
  private final Timeline minutes = new Timeline();
  private final AtomicInteger asked = new AtomicInteger();
  private boolean watched;

  WorkModel(JobModel model, Supplier<Moment> clock) {
    this.model = model;
    this.clock = clock;
    planning = new Work(problem -> model.say(problem.getMessage()));
    timers = new TimerBoard(model, clock);
    minutes.getKeyFrames().add(new KeyFrame(REPLAN, e -> replan()));
    minutes.setCycleCount(Timeline.INDEFINITE);
    model.jobProperty().addListener((o, was, is) -> replan());
    model.notationProperty().addListener((o, was, is) -> replan());
  }

  /** From now on somebody looks at the plan. */
  public void watch() {
    if (!watched) {
      watched = true;
      minutes.play();
      replan();
    }
  }

  /** Sets the rest of the work in time anew. */
  public void replan() {
    Job job = model.jobProperty().get();
    if (!watched || job == null || model.storedProperty().get() == null) {
      return;
    }
    String id = model.storedProperty().get().id();
    Notation notation = model.notationProperty().get();
    int mine = asked.incrementAndGet();
    planning.submit(
        "",
        progress -> {
          if (mine != asked.get()) {
            // Steps that are gone through quickly are planned once, at their end.
            throw new CancellationException();
          }
          return Outlook.of(job, id, model.logbook(), notation, now(), zone);
        },
        worked -> {
          if (worked.job().equals(model.jobProperty().get())) {
            outlook.set(worked);
          }
        });
  }

  /** The moment by the clock. */
  public Moment moment() {
    return clock.get();
  }

  /** The moment by the wall. */
  public Instant now() {
    return clock.get().wall();
  }

  /** Where hours and days count. */
  public ZoneId zone() {
    return zone;
  }

  /** The plan in time, once it was worked out; may be of the edit before for a moment. */
  public ReadOnlyObjectProperty<Outlook> outlookProperty() {
    return outlook.getReadOnlyProperty();
  }

  /** The line that works it out. */
  public Work planning() {
    return planning;
  }

  /** All timers. */
  public TimerBoard timers() {
    return timers;
  }

  /** Changes how the job is worked. */
  public void edit(String what, UnaryOperator<WorkLog> change) {
    model.edit(what, job -> job.withWork(change.apply(job.work())));
  }

  /** Takes a way. */
  public void take(Way way) {
    model.edit(way.school().question() + ": " + way.words(), job -> WorkWays.take(job, way));
  }

  /** Changes the hours in which the person may work. */
  public void setHours(Hours hours) {
    edit("hours", log -> log.withHours(hours));
  }

  /** Changes what is on the shelf. */
  public void editShelf(UnaryOperator<List<ShelfItem>> change) {
    model
        .work()
        .submit(
            "",
            progress -> {
              List<ShelfItem> packs = change.apply(new ArrayList<>(Shelf.of(model.logbook())));
              Shelf.keep(model.logbook(), packs);
              return packs;
            },
            done -> replan());
  }

  /** Keeps a photo and hands it on; the caller puts it where it belongs. */
  public void keepPhoto(Path file, Consumer<Photo> kept) {
    String name = file.getFileName().toString();
    model.work().submit("taking in " + name, progress -> Photos.keep(model.logbook(), file), kept);
  }

  /** Keeps a photo that has no file, such as one that was pasted. */
  public void keepPhoto(String name, Supplier<byte[]> bytes, Consumer<Photo> kept) {
    model
        .work()
        .submit(
            "taking in the photo",
            progress -> Photos.keep(model.logbook(), name, bytes.get()),
            kept);
  }

  /** Fetches the small picture of a photo. */
  public void thumbnail(Photo photo, Consumer<Optional<byte[]>> fetched) {
    planning.submit("", progress -> model.logbook().files().thumbnail(photo.sha256()), fetched);
  }

  /**
   * Fetches a photo.
   *
   * @param longest its longest side, pixels
   */
  public void photo(Photo photo, int longest, Consumer<byte[]> fetched) {
    planning.submit(
        "",
        progress ->
            Photos.scaled(
                photo.name(), model.logbook().files().attachment(photo.sha256()).bytes(), longest),
        fetched);
  }

  /** A setting of the logbook that the bench remembers. */
  public void setting(String name, Consumer<String> fetched) {
    planning.submit("", progress -> model.logbook().settings().getOrDefault(name, ""), fetched);
  }

  /** Remembers a setting. */
  public void keepSetting(String name, String value) {
    model
        .work()
        .submit(
            "",
            progress -> {
              model.logbook().keepSetting(name, value);
              return value;
            },
            done -> {});
  }

  /** Writes the schedule as a calendar. */
  public void writeCalendar(Path target) {
    write(
        "calendar",
        target,
        now -> {
          String id = model.storedProperty().get().id();
          Instant written = now();
          return () ->
              WholeFile.write(
                  target,
                  ScheduleCalendar.of(
                      now.schedule().orElseThrow(), id, now.job().title(), written));
        });
  }

  /** Writes the plan as a card for the bench. */
  public void writeCard(Path target) {
    Notation writing = model.notationProperty().get();
    write(
        "card",
        target,
        now ->
            () ->
                ReportFiles.write(
                    Card.of(now.job(), now.schedule().orElseThrow(), now.kit(), writing, zone),
                    target));
  }

  private void write(String what, Path target, Function<Outlook, Runnable> task) {
    Outlook now = outlook.get();
    if (now == null || now.schedule().isEmpty()) {
      model.say("Nothing is left to be scheduled, so there is no " + what + ".");
      return;
    }
    model.traffic().write(what, target, task.apply(now));
  }

  @Override
  public void close() {
    minutes.stop();
    timers.close();
    planning.close();
  }
}
