package dev.ambershim.desktop.model;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Choice;
import dev.ambershim.core.job.Figure;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.assembly.Part;
import dev.ambershim.core.plan.Moment;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.weigh.OwnRecord;
import dev.ambershim.core.stage.weigh.Tries;
import dev.ambershim.core.stage.weigh.Weighing;
import dev.ambershim.logbook.store.JobHead;
import dev.ambershim.logbook.store.Logbook;
import dev.ambershim.logbook.store.StoredJob;
import dev.ambershim.sensors.machine.TimerClock;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;

/**
 * The state that all stages share, and everything a person can do to it. Properties change on the
 * JavaFX thread; the logbook and all reckoning are reached only through the line of work.
 */
public final class JobModel implements AutoCloseable {
  private final Work work;
  private final Work reckoning;
  private final Work assessor;
  private final Work inquiry;
  private final ReadOnlyObjectWrapper<StoredJob> stored = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<Job> job = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<Assessment> assessment = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<Message> message = new ReadOnlyObjectWrapper<>();
  private final Looks looks = new Looks(this::keep);
  private final ObjectProperty<Stage> stage = new SimpleObjectProperty<>(Stage.PROVE);
  private final ObjectProperty<Side> side = new SimpleObjectProperty<>(Side.AFTER);
  private final ObjectProperty<Weighing> weighing = new SimpleObjectProperty<>();
  private final ObjectProperty<Preview> preview = new SimpleObjectProperty<>();
  private final StringProperty part = new SimpleStringProperty(Part.INNER);
  private final ReadOnlyObjectWrapper<Notation> notation = new ReadOnlyObjectWrapper<>();
  private final ObservableList<JobHead> jobs = FXCollections.observableArrayList();
  private final List<Message> history = new ArrayList<>();
  private final ReadOnlyBooleanWrapper lost = new ReadOnlyBooleanWrapper(false);
  private final ReadOnlyBooleanWrapper waiting = new ReadOnlyBooleanWrapper(false);
  private final Keeping keeping = new Keeping(this);
  private final ReadOnlyBooleanWrapper opened = new ReadOnlyBooleanWrapper(false);
  private final ReadOnlyBooleanWrapper readOnly = new ReadOnlyBooleanWrapper(true);
  private Assessing assessing = new Assessing();
  private final AllChips chips = new AllChips(this);
  private final Archived archived = new Archived(this);
  private final Traffic traffic = new Traffic(this);
  private final RunEdits runs = new RunEdits(this);
  private final JobOpener opener = new JobOpener(this);
  private final Effects effects = new Effects(this);
  private final WorkModel workbench;
  private Logbook logbook;
  private int unsaved;
  private int answered;

  /** Counts what was asked, so that an older answer never takes the place of a newer one. */
  private final AtomicInteger newest = new AtomicInteger();

  /** Starts without a logbook; the window can be built meanwhile. */
  public JobModel() {
    this(new TimerClock()::now);
  }

  /**
   * Starts on another clock.
   *
   * @param clock tells the moment; called from any thread
   */
  public JobModel(Supplier<Moment> clock) {
    work = new Work(this::hear);
    reckoning = new Work(problem -> note(Message.of(problem)));
    assessor = new Work(problem -> note(Message.of(problem)));
    inquiry = new Work(problem -> note(Message.of(problem)));
    stage.addListener((o, was, is) -> Stage.sideOf(is).ifPresent(side::set));
    side.addListener((o, was, is) -> preview.set(null));
    assessment.addListener((o, was, is) -> weighing.set(null));
    notation.set(Notation.METRIC);
    workbench = new WorkModel(this, clock);
  }

  /** Goes on with an opened logbook. */
  public void begin(Opened from) {
    logbook = from.logbook();
    keeping.begin(logbook);
    readOnly.set(logbook.readOnly());
    assessing = from.assessing();
    notation.set(from.preferences().notation());
    looks.begin(from.preferences());
    jobs.setAll(from.jobs());
    from.assessment().ifPresent(assessment::set);
    from.stored().ifPresent(this::take);
    opener.found(from.trouble().orElse(null));
    boolean judged = from.assessment().filter(a -> a.comparison().isPresent()).isPresent();
    opened.set(true);
    stage.set(judged ? Stage.PROVE : Stage.WEIGH);
    if (logbook.readOnly()) {
      say("This logbook is read-only here: it is open elsewhere, or you asked for that.");
    }
    lost.set(from.lost());
    from.toOpen().ifPresent(this::open);
  }

  private void take(StoredJob now) {
    stored.set(now);
    job.set(now.job());
  }

  /** Everything the person may want to read of what was said. */
  public List<Message> history() {
    return List.copyOf(history);
  }

  private void hear(Problem problem) {
    note(Message.of(problem));
    unsaved = 0;
    if (problem.key().equals("disk.full") && stored.get() != null) {
      // What was typed stays on screen, and is kept with the next change or the next try.
      waiting.set(!job.get().equals(stored.get().job()));
      keeping.later(this::saveAgain);
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
      work.submit(
          "", progress -> step(logbook.edit(id, "after the disk was full", typed)), this::show);
    }
  }

  /** Whether something typed is not kept yet, since the disk is full. */
  public ReadOnlyBooleanProperty waitingProperty() {
    return waiting.getReadOnlyProperty();
  }

  /** Says a line on the shelf. */
  public void say(String text) {
    note(Message.plain(text));
  }

  /** Says a line about something that is wrong. */
  void warn(String text) {
    note(new Message(text, true, "logbook"));
  }

  private void note(Message said) {
    history.add(said);
    message.set(said);
  }

  /** Opens another job. */
  public void open(String id) {
    opener.open(id);
  }

  /** Opens jobs, also those that something is wrong with. */
  public JobOpener opener() {
    return opener;
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
    keeping.changed();
  }

  /** A kept state, worked out; not for the JavaFX thread. */
  Step step(StoredJob now) {
    return new Step(now, assessing.of(now.job(), notation.get()), logbook.list());
  }

  /**
   * Changes the job: on screen at once, in the logbook right after, worked out anew after that.
   *
   * @param what the edit in words
   */
  public void edit(String what, UnaryOperator<Job> change) {
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
    work.submit(
        "",
        progress -> new Kept(logbook.edit(id, what, changed), logbook.list()),
        kept -> keep(kept.stored(), kept.jobs()));
  }

  /** A kept state. */
  private record Kept(StoredJob stored, List<JobHead> jobs) {}

  /** Works out what follows from a job; a newer change goes before an older one. */
  private void assess(Job changed) {
    Notation writing = notation.get();
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

  /**
   * Edits a figure as it was typed.
   *
   * @throws Problem if it is no figure or out of range
   */
  public void type(Figure field, String typed) {
    Double value = field.typed(typed, notation.get());
    Job changed = field.write(job.get(), value, notation.get());
    edit(field.label(), old -> changed);
  }

  /** Picks an option. */
  public void choose(Choice choice, String option) {
    edit(choice.label(), old -> choice.write(old, option));
  }

  /** Takes the last edit back. */
  public void undo() {
    travel(true);
  }

  /** Brings the edit again that was taken back. */
  public void redo() {
    travel(false);
  }

  private void travel(boolean back) {
    if (stored.get() == null) {
      return;
    }
    String id = stored.get().id();
    String what = (back ? stored.get().undo() : stored.get().redo()).orElse("");
    if (what.isEmpty() && unsaved == 0) {
      say(back ? "There is nothing to undo." : "There is nothing to redo.");
      return;
    }
    change(
        "",
        progress -> {
          StoredJob now = back ? logbook.undo(id) : logbook.redo(id);
          assessing.fetch(logbook, now);
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
    work.submit(
        name,
        task,
        told -> {
          show(told.step());
          say(told.words());
        });
  }

  /** What each chip of the logbook does. */
  public AllChips chips() {
    return chips;
  }

  /** Which jobs are put away. */
  public Archived archived() {
    return archived;
  }

  /** Whether the logbook holds no job though it should. */
  public ReadOnlyBooleanProperty lostProperty() {
    return lost.getReadOnlyProperty();
  }

  /** Copies of the logbook, and putting one back. */
  public Keeping keeping() {
    return keeping;
  }

  /** Lets go of the logbook without closing it, for a window that goes on with it. */
  Logbook handOver() {
    Logbook given = logbook;
    logbook = null;
    return given;
  }

  /** What is written out of the logbook and taken into it. */
  public Traffic traffic() {
    return traffic;
  }

  /** What can be done to the job's runs. */
  public RunEdits runs() {
    return runs;
  }

  /** What a figure changes. */
  public Effects effects() {
    return effects;
  }

  /** The work at the bench: plan, hours, timers, shelf. */
  public WorkModel workbench() {
    return workbench;
  }

  Logbook logbook() {
    return logbook;
  }

  /** What was read and judged so far. */
  Assessing judging() {
    return assessing;
  }

  /** A job that just came in, ready to show; not for the JavaFX thread. */
  Step newcomer(StoredJob now) {
    logbook.keepSetting("lastJob", now.id());
    assessing.fetch(logbook, now);
    return step(now);
  }

  /** How the window looks. */
  public Looks looks() {
    return looks;
  }

  /** Changes how figures are written. */
  public void setNotation(Notation other) {
    notation.set(other);
    if (logbook != null) {
      work.submit(
          "",
          progress -> {
            Preferences.keep(logbook, other);
            return other;
          },
          done -> {});
    }
    if (job.get() != null) {
      assess(job.get());
    }
  }

  /** Remembers a setting that belongs to this machine, such as where the window stands. */
  public void keep(String key, String value) {
    if (logbook != null) {
      work.submit(
          "",
          progress -> {
            logbook.keepSetting(key, value);
            return value;
          },
          done -> {});
    }
  }

  /** Reads a setting that was kept; empty if it was not. */
  public void readSetting(String key, Consumer<String> told) {
    if (logbook != null) {
      work.submit("", progress -> logbook.settings().getOrDefault(key, ""), told);
    }
  }

  /** The line of work. */
  public Work work() {
    return work;
  }

  /** A second line, for reckoning that takes longer than a person waits for a saved edit. */
  public Work reckoning() {
    return reckoning;
  }

  /** A line of its own for the search for causes, which nobody waits for while typing. */
  public Work inquiry() {
    return inquiry;
  }

  /** A stage's answer to the newest question is on screen. */
  public void told() {
    answered++;
  }

  /** How many answers were shown so far. */
  public int answered() {
    return answered;
  }

  /** How many runs were judged so far. */
  public int runsJudged() {
    return assessing.judgedRuns();
  }

  /** Whether everything that was asked for is worked out and kept. */
  public boolean idle() {
    return !work.busyProperty().get()
        && !assessor.busyProperty().get()
        && !reckoning.busyProperty().get();
  }

  /** Whether what follows from the job is being worked out. */
  public boolean assessing() {
    return assessor.busyProperty().get();
  }

  /** What the logbook's jobs say of the person's own tries; not for the JavaFX thread. */
  public OwnRecord ownRecord() {
    return Tries.of(List.copyOf(logbook.jobs().values()));
  }

  /** Whether the logbook is there. */
  public ReadOnlyBooleanProperty openedProperty() {
    return opened.getReadOnlyProperty();
  }

  /** Whether nothing can be changed. */
  public boolean readOnly() {
    return readOnly.get();
  }

  /** Whether nothing can be changed; so it is until the logbook is open. */
  public ReadOnlyBooleanProperty readOnlyProperty() {
    return readOnly.getReadOnlyProperty();
  }

  /** The job as it is kept, with what undo and redo would do. */
  public ReadOnlyObjectProperty<StoredJob> storedProperty() {
    return stored.getReadOnlyProperty();
  }

  /** The job as it is on screen. */
  public ReadOnlyObjectProperty<Job> jobProperty() {
    return job.getReadOnlyProperty();
  }

  /** What follows from the job. */
  public ReadOnlyObjectProperty<Assessment> assessmentProperty() {
    return assessment.getReadOnlyProperty();
  }

  /** The newest line for the shelf. */
  public ReadOnlyObjectProperty<Message> messageProperty() {
    return message.getReadOnlyProperty();
  }

  /** The stage on screen. */
  public ObjectProperty<Stage> stageProperty() {
    return stage;
  }

  /** Which side's build the section shows. */
  public ObjectProperty<Side> sideProperty() {
    return side;
  }

  /** The weighing of the job as it is on screen, once there is one; or null. */
  public ObjectProperty<Weighing> weighingProperty() {
    return weighing;
  }

  /** What the section shows in place of a build, while an option is looked at; or null. */
  public ObjectProperty<Preview> previewProperty() {
    return preview;
  }

  /** The part that is picked in the section. */
  public StringProperty partProperty() {
    return part;
  }

  /** The look. */
  public ReadOnlyObjectProperty<Theme> themeProperty() {
    return looks.themeProperty();
  }

  /** How figures are written. */
  public ReadOnlyObjectProperty<Notation> notationProperty() {
    return notation.getReadOnlyProperty();
  }

  /** All jobs. */
  public ObservableList<JobHead> jobs() {
    return jobs;
  }

  @Override
  public void close() {
    reckoning.cancelRunning();
    workbench.close();
    reckoning.close();
    assessor.close();
    inquiry.close();
    work.close();
    keeping.close();
    if (logbook != null) {
      logbook.close();
    }
  }
}
