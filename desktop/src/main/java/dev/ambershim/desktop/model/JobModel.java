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
  private final Work inquiry;
  private final ReadOnlyObjectWrapper<Message> message = new ReadOnlyObjectWrapper<>();
  private final Looks looks = new Looks(this::keep);
  private final ObjectProperty<Stage> stage = new SimpleObjectProperty<>(Stage.PROVE);
  private final ObjectProperty<Side> side = new SimpleObjectProperty<>(Side.AFTER);
  private final ObjectProperty<Weighing> weighing = new SimpleObjectProperty<>();
  private final ObjectProperty<Preview> preview = new SimpleObjectProperty<>();
  private final StringProperty part = new SimpleStringProperty(Part.INNER);
  private final ReadOnlyObjectWrapper<Notation> notation = new ReadOnlyObjectWrapper<>();
  private final ObservableList<JobHead> jobs = FXCollections.observableArrayList();
  private final JobEdits edits = new JobEdits(this, jobs);
  private final List<Message> history = new ArrayList<>();
  private final ReadOnlyBooleanWrapper lost = new ReadOnlyBooleanWrapper(false);
  private final Keeping keeping = new Keeping(this);
  private final ReadOnlyBooleanWrapper opened = new ReadOnlyBooleanWrapper(false);
  private final ReadOnlyBooleanWrapper readOnly = new ReadOnlyBooleanWrapper(true);
  private final AllChips chips = new AllChips(this);
  private final Archived archived = new Archived(this);
  private final Traffic traffic = new Traffic(this);
  private final RunEdits runs = new RunEdits(this);
  private final JobOpener opener = new JobOpener(this);
  private final Effects effects = new Effects(this);
  private final WorkModel workbench;
  private Logbook logbook;
  private int answered;

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
    reckoning = new Work(this::tell);
    inquiry = new Work(this::tell);
    stage.addListener((o, was, is) -> Stage.sideOf(is).ifPresent(side::set));
    side.addListener((o, was, is) -> preview.set(null));
    assessmentProperty().addListener((o, was, is) -> weighing.set(null));
    notation.set(Notation.METRIC);
    workbench = new WorkModel(this, clock);
  }

  /** Goes on with an opened logbook. */
  public void begin(Opened from) {
    logbook = from.logbook();
    keeping.begin(logbook);
    readOnly.set(logbook.readOnly());
    edits.begin(from);
    notation.set(from.preferences().notation());
    looks.begin(from.preferences());
    jobs.setAll(from.jobs());
    edits.show(from);
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

  /** Everything the person may want to read of what was said. */
  public List<Message> history() {
    return List.copyOf(history);
  }

  private void hear(Problem problem) {
    tell(problem);
    edits.failed(problem);
  }

  /** Whether something typed is not kept yet, since the disk is full. */
  public ReadOnlyBooleanProperty waitingProperty() {
    return edits.waitingProperty();
  }

  /** Says what went wrong. */
  void tell(Problem problem) {
    note(Message.of(problem));
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

  /**
   * Changes the job: on screen at once, in the logbook right after, worked out anew after that.
   *
   * @param what the edit in words
   */
  public void edit(String what, UnaryOperator<Job> change) {
    edits.edit(what, change);
  }

  /**
   * Edits a figure as it was typed.
   *
   * @throws Problem if it is no figure or out of range
   */
  public void type(Figure field, String typed) {
    Double value = field.typed(typed, notation.get());
    Job changed = field.write(jobProperty().get(), value, notation.get());
    edit(field.label(), old -> changed);
  }

  /** Picks an option. */
  public void choose(Choice choice, String option) {
    edit(choice.label(), old -> choice.write(old, option));
  }

  /** Takes the last edit back. */
  public void undo() {
    edits.travel(true);
  }

  /** Brings the edit again that was taken back. */
  public void redo() {
    edits.travel(false);
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

  /** The open job, and every change of it. */
  JobEdits edits() {
    return edits;
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
    edits.assessAgain();
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
    return edits.judging().judgedRuns();
  }

  /** Whether everything that was asked for is worked out and kept. */
  public boolean idle() {
    return !work.busyProperty().get() && !edits.assessing() && !reckoning.busyProperty().get();
  }

  /** Whether what follows from the job is being worked out. */
  public boolean assessing() {
    return edits.assessing();
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
    return edits.storedProperty();
  }

  /** The job as it is on screen. */
  public ReadOnlyObjectProperty<Job> jobProperty() {
    return edits.jobProperty();
  }

  /** What follows from the job. */
  public ReadOnlyObjectProperty<Assessment> assessmentProperty() {
    return edits.assessmentProperty();
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
    reckoning.leave();
    inquiry.leave();
    workbench.close();
    edits.close();
    work.close();
    keeping.close();
    if (logbook != null) {
      logbook.close();
    }
  }
}
