package dev.ambershim.desktop.model;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.logbook.store.JobHead;
import dev.ambershim.logbook.store.StoredJob;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.collections.ObservableList;

/**
 * The open job: as it is on screen, as it is kept, and what follows from it. Every change goes
 * through here: on screen at once, in the logbook right after, worked out anew beside that.
 */
final class JobEdits implements AutoCloseable {
  private final JobModel model;
  private final ObservableList<JobHead> jobs;
  private final Work assessor;
  private final ReadOnlyObjectWrapper<StoredJob> stored = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<Job> job = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<Assessment> assessment = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyBooleanWrapper waiting = new ReadOnlyBooleanWrapper(false);
  private Assessing assessing = new Assessing();
  private int unsaved;

  /** Counts what was asked, so that an older answer never takes the place of a newer one. */
  private final AtomicInteger newest = new AtomicInteger();

  /**
   * No job is open yet.
   *
   * @param jobs the list of all jobs, which follows what is kept
   */
  JobEdits(JobModel model, ObservableList<JobHead> jobs) {
    this.model = model;
    this.jobs = jobs;
    assessor = new Work(model::tell);
  }

  /** Goes on with what was judged while the logbook was opened. */
  void begin(Opened from) {
    assessing = from.assessing();
  }

  /** Shows the job that was open last. */
  void show(Opened from) {
    from.assessment().ifPresent(assessment::set);
    from.stored().ifPresent(this::take);
  }

  private void take(StoredJob now) {
    stored.set(now);
    job.set(now.job());
  }

  /**
   * A change could not be kept.
   *
   * @param problem why
   */
  void failed(Problem problem) {
    unsaved = 0;
    if (problem.key().equals("disk.full") && stored.get() != null) {
      // What was typed stays on screen, and is kept with the next change or the next try.
      waiting.set(!job.get().equals(stored.get().job()));
      model.keeping().later(this::saveAgain);
      return;
    }
    // What is on screen must be what is kept, so after a failure the kept state is shown again.
    if (stored.get() != null && !job.get().equals(stored.get().job())) {
      take(stored.get());
      assess(job.get());
    }
  }

  /** Tries again to keep what a full disk did not take. */
  private void saveAgain() {
    if (waiting.get() && stored.get() != null) {
      Job typed = job.get();
      String id = stored.get().id();
      unsaved++;
      model
          .work()
          .submit(
              "",
              progress -> step(model.logbook().edit(id, "after the disk was full", typed)),
              this::show);
    }
  }

  /** A kept state with what follows from it. */
  record Step(StoredJob stored, Assessment assessment, List<JobHead> jobs) {}

  void show(Step step) {
    keep(step.stored(), step.jobs());
    if (unsaved == 0) {
      newest.incrementAndGet();
      assessment.set(step.assessment());
    }
  }

  private void keep(StoredJob now, List<JobHead> all) {
    unsaved = Math.max(0, unsaved - 1);
    waiting.set(false);
    if (unsaved == 0) {
      take(now);
    } else {
      stored.set(now);
    }
    // Two thousand jobs need not be laid out anew for each figure.
    if (!jobs.equals(all)) {
      jobs.setAll(all);
    }
    model.keeping().changed();
  }

  /** A kept state, worked out; not for the JavaFX thread. */
  Step step(StoredJob now) {
    return new Step(
        now, assessing.of(now.job(), model.notationProperty().get()), model.logbook().list());
  }

  /**
   * Changes the job: on screen at once, in the logbook right after, worked out anew after that.
   *
   * @param what the edit in words
   */
  void edit(String what, UnaryOperator<Job> change) {
    if (job.get() == null) {
      return;
    }
    Job changed = change.apply(job.get());
    if (changed.equals(job.get())) {
      return;
    }
    String id = stored.get().id();
    // What follows does not wait for the disk, nor the disk for what follows. It is begun before
    // the window shows the change, so that it is there before the window is painted for that.
    assess(changed);
    job.set(changed);
    unsaved++;
    model
        .work()
        .submit(
            "",
            // What comes back from the disk is compared here, and not by each part of the window.
            progress ->
                new Kept(
                    model.logbook().edit(id, what, changed).holding(changed),
                    model.logbook().list()),
            kept -> keep(kept.stored(), kept.jobs()));
  }

  /** A kept state. */
  private record Kept(StoredJob stored, List<JobHead> jobs) {}

  /** Works out what follows from a job; a newer change goes before an older one. */
  private void assess(Job changed) {
    Notation writing = model.notationProperty().get();
    int mine = newest.incrementAndGet();
    assessor.submit(
        "",
        progress -> mine == newest.get() ? assessing.of(changed, writing) : null,
        result -> {
          if (result != null && mine == newest.get()) {
            assessment.set(result);
          }
        });
  }

  /** Works out anew what follows, as figures are written in another way. */
  void assessAgain() {
    if (job.get() != null) {
      assess(job.get());
    }
  }

  /**
   * Takes the last edit back, or brings it again.
   *
   * @param back whether it is taken back
   */
  void travel(boolean back) {
    if (stored.get() == null) {
      return;
    }
    String id = stored.get().id();
    String what = (back ? stored.get().undo() : stored.get().redo()).orElse("");
    if (what.isEmpty() && unsaved == 0) {
      model.say(back ? "There is nothing to undo." : "There is nothing to redo.");
      return;
    }
    change(
        "",
        progress -> {
          StoredJob now = back ? model.logbook().undo(id) : model.logbook().redo(id);
          assessing.fetch(model.logbook(), now);
          return new Told(step(now), (back ? "Undone: " : "Done again: ") + what + ".");
        });
  }

  /** A kept state, and what to say of it. */
  record Told(Step step, String words) {}

  /**
   * Makes a change in the logbook first, and shows it after that.
   *
   * @param name what goes on, in words; empty if nobody waits for it
   */
  void change(String name, Work.Task<Told> task) {
    unsaved++;
    model
        .work()
        .submit(
            name,
            task,
            told -> {
              show(told.step());
              model.say(told.words());
            });
  }

  /** A job that just came in, ready to show; not for the JavaFX thread. */
  Step newcomer(StoredJob now) {
    model.logbook().keepSetting("lastJob", now.id());
    assessing.fetch(model.logbook(), now);
    return step(now);
  }

  /** What was read and judged so far. */
  Assessing judging() {
    return assessing;
  }

  /** Whether what follows from the job is being worked out. */
  boolean assessing() {
    return assessor.busyProperty().get();
  }

  ReadOnlyObjectProperty<StoredJob> storedProperty() {
    return stored.getReadOnlyProperty();
  }

  ReadOnlyObjectProperty<Job> jobProperty() {
    return job.getReadOnlyProperty();
  }

  ReadOnlyObjectProperty<Assessment> assessmentProperty() {
    return assessment.getReadOnlyProperty();
  }

  ReadOnlyBooleanProperty waitingProperty() {
    return waiting.getReadOnlyProperty();
  }

  @Override
  public void close() {
    assessor.close();
  }
}
