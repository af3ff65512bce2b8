package dev.ambershim.desktop.stage.steps;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.plan.Barrier;
import dev.ambershim.core.plan.ChipState;
import dev.ambershim.core.plan.Kit;
import dev.ambershim.core.plan.Mishap;
import dev.ambershim.core.plan.Phase;
import dev.ambershim.core.plan.Photo;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.PlanStep;
import dev.ambershim.core.plan.Schedule;
import dev.ambershim.core.plan.StepEntry;
import dev.ambershim.core.plan.StepTimer;
import dev.ambershim.core.plan.Use;
import dev.ambershim.core.plan.Wait;
import dev.ambershim.core.plan.WorkCase;
import dev.ambershim.core.plan.WorkLog;
import dev.ambershim.core.stage.Lesson;
import dev.ambershim.core.stage.close.FirstStart;
import dev.ambershim.core.stage.open.ScheduleWords;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.Outlook;
import dev.ambershim.desktop.model.PhotoFolder;
import dev.ambershim.desktop.model.Ticking;
import dev.ambershim.desktop.model.WorkModel;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/** The step on the bench and what can be done to it. */
public final class StepsModel {
  private final JobModel shell;
  private Optional<PhotoFolder> watched = Optional.empty();
  private final WorkModel bench;
  private final ReadOnlyObjectWrapper<Shown> shown = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyStringWrapper said = new ReadOnlyStringWrapper("");
  private final ReadOnlyObjectWrapper<List<String>> expected =
      new ReadOnlyObjectWrapper<>(List.of());
  private final RescueModel rescue;
  private WorkCase expectedFor;
  private String visited = "";
  private boolean active;

  /**
   * What is on the bench.
   *
   * @param plan the plan
   * @param log what was done
   * @param step the step
   * @param entry what was done at it
   * @param next the title of what comes next; empty if nothing does
   * @param done count of steps that are done
   * @param end when all is done, in words; empty if that is not known
   * @param lessons what earlier jobs teach about it
   */
  public record Shown(
      Plan plan,
      WorkLog log,
      PlanStep step,
      StepEntry entry,
      String next,
      int done,
      String end,
      List<Lesson> lessons) {
    /** How the chip lies on the bench once this step is done. */
    public ChipState afterwards() {
      Set<String> done = new HashSet<>(log.done());
      done.remove(step.id());
      return plan.state(done).after(step.change());
    }

    /** Whether everything is done. */
    public boolean finished() {
      return done == plan.steps().size();
    }
  }

  StepsModel(JobModel shell) {
    this.shell = shell;
    this.bench = shell.workbench();
    rescue = new RescueModel(shell);
    shell.jobProperty().addListener((o, was, is) -> refresh());
    bench.outlookProperty().addListener((o, was, is) -> refresh());
    shell.notationProperty().addListener((o, was, is) -> refresh());
    // The shelf lies under the bench, so what it says is said here.
    shell
        .messageProperty()
        .addListener(
            (o, was, is) -> {
              if (active && is != null) {
                said.set(is.text());
              }
            });
  }

  /** Goes to the bench: to the step that was left, or the first that is open. */
  void enter() {
    active = true;
    visited = "";
    said.set("");
    bench.watch();
    Job job = shell.jobProperty().get();
    if (job == null) {
      return;
    }
    Plan plan = Plan.of(job.workCase(), shell.notationProperty().get());
    String at = current(plan, job.work());
    if (!shell.readOnly() && !job.work().entry(at).done()) {
      edit("at the bench", log -> log.goingTo(at, bench.now()));
    }
    refresh();
  }

  void leave() {
    active = false;
  }

  private void refresh() {
    Job job = shell.jobProperty().get();
    if (!active || job == null) {
      return;
    }
    WorkCase work = job.workCase();
    Notation notation = shell.notationProperty().get();
    Plan plan =
        Optional.ofNullable(shown.get())
            .map(Shown::plan)
            .filter(p -> p.work().equals(work) && p.notation().equals(notation))
            .orElseGet(() -> Plan.of(work, notation));
    WorkLog log = job.work();
    String at = plan.indexOf(visited) >= 0 ? visited : current(plan, log);
    PlanStep step = plan.step(at).orElseThrow();
    Optional<Outlook> outlook = outlook();
    Optional<Schedule> schedule = outlook.flatMap(Outlook::schedule);
    ScheduleWords words = new ScheduleWords(notation, bench.zone());
    shown.set(
        new Shown(
            plan,
            log,
            step,
            log.entry(at),
            nextOpen(plan, log.done(at, bench.now(), List.of()))
                .flatMap(plan::step)
                .map(PlanStep::title)
                .orElse(""),
            (int) plan.steps().stream().filter(s -> log.entry(s.id()).done()).count(),
            schedule.map(s -> words.moment(s.medianEnd())).orElse(""),
            outlook.map(o -> o.lessons(at)).orElse(List.of())));
    expect(job, step);
  }

  /** What the first minute should look like, worked out once somebody is at that step. */
  private void expect(Job job, PlanStep step) {
    if (step.phase() != Phase.START || job.workCase().settingsOnly()) {
      expected.set(List.of());
      return;
    }
    if (job.workCase().equals(expectedFor)) {
      return;
    }
    expectedFor = job.workCase();
    shell
        .reckoning()
        .submit(
            "the first minute",
            progress -> FirstStart.of(job, new SolveWatch(progress, () -> false)),
            start -> expected.set(start.words(shell.notationProperty().get())));
  }

  /** What to expect at the step on the bench, a sentence each; empty if nothing is worked out. */
  ReadOnlyObjectProperty<List<String>> expectedProperty() {
    return expected.getReadOnlyProperty();
  }

  /** The outlook, if it is of this job. */
  private Optional<Outlook> outlook() {
    Outlook now = bench.outlookProperty().get();
    return Optional.ofNullable(now)
        .filter(o -> o.job().workCase().equals(shell.jobProperty().get().workCase()));
  }

  private String current(Plan plan, WorkLog log) {
    if (plan.indexOf(log.at()) >= 0 && !log.entry(log.at()).done()) {
      return log.at();
    }
    return nextOpen(plan, log).orElseGet(() -> plan.steps().get(plan.steps().size() - 1).id());
  }

  /** The open step that comes next: by the schedule, else by the plan. */
  private Optional<String> nextOpen(Plan plan, WorkLog log) {
    List<String> order = new ArrayList<>();
    outlook()
        .flatMap(Outlook::schedule)
        .ifPresent(s -> s.slots().forEach(slot -> order.add(slot.step().id())));
    plan.steps().forEach(s -> order.add(s.id()));
    return order.stream()
        .filter(id -> !log.entry(id).done())
        .filter(id -> plan.step(id).filter(s -> log.done().containsAll(s.after())).isPresent())
        .findFirst();
  }

  /** What holds the step up that is shown, at this moment. */
  Barrier barrier() {
    Shown now = shown.get();
    return new Barrier(now.plan(), now.log(), now.step(), bench.moment());
  }

  /** Calls the step done and goes on; says what is missing if it cannot be. */
  void next() {
    Shown now = shown.get();
    if (now.entry().done() || shell.readOnly()) {
      forward(now);
      return;
    }
    Optional<String> barrier = barrier().why();
    if (barrier.isPresent()) {
      said.set(barrier.get());
      return;
    }
    String id = now.step().id();
    List<Use> used =
        outlook().map(o -> Kit.book(now.step(), o.shelf(), o.used(), today())).orElse(List.of());
    visited = "";
    said.set("");
    edit(
        "done: " + now.step().title(),
        log -> {
          Instant at = bench.now();
          WorkLog done = log.done(id, at, used);
          if (now.step().passes().isPresent() && log.timer(id).isEmpty()) {
            done = done.withTimer(timer(now.step()));
          }
          // What was waited for is over once the step after it is done.
          for (String before : now.step().after()) {
            Optional<StepTimer> over = done.running(before);
            done = over.isPresent() ? done.ending(over.get(), at) : done;
          }
          WorkLog moved = done;
          return nextOpen(now.plan(), done).map(n -> moved.goingTo(n, at)).orElse(done);
        });
    now.step().passes().ifPresent(w -> said.set("Its timer runs: " + w.what() + "."));
  }

  private LocalDate today() {
    return bench.now().atZone(bench.zone()).toLocalDate();
  }

  private StepTimer timer(PlanStep step) {
    Wait wait = step.passes().orElseThrow();
    return new StepTimer(step.id(), wait.what(), bench.moment(), wait.span(), null);
  }

  /** From a step that is done, on towards the one that is not. */
  private void forward(Shown now) {
    List<String> worked = worked(now);
    int at = worked.indexOf(now.step().id());
    visited = at >= 0 && at + 1 < worked.size() ? worked.get(at + 1) : "";
    said.set("");
    refresh();
  }

  /** Looks at the step before. */
  void back() {
    Shown now = shown.get();
    List<String> worked = worked(now);
    int at = worked.indexOf(now.step().id());
    int to = at < 0 ? worked.size() - 1 : at - 1;
    if (to < 0) {
      said.set("This is the first step.");
      return;
    }
    visited = worked.get(to);
    said.set("");
    refresh();
  }

  /** The steps that are done, in the order in which they were. */
  private static List<String> worked(Shown now) {
    return now.log().entries().stream()
        .filter(e -> e.done() && now.plan().indexOf(e.id()) >= 0)
        .sorted((a, b) -> a.doneAt().compareTo(b.doneAt()))
        .map(StepEntry::id)
        .toList();
  }

  /** Opens a done step again. */
  void reopen() {
    Shown now = shown.get();
    if (!now.entry().done()) {
      said.set("This step is open.");
      return;
    }
    String id = now.step().id();
    visited = "";
    edit("open again: " + now.step().title(), log -> log.reopened(id).goingTo(id, bench.now()));
  }

  /** Starts the step's timer; if it runs, or the step has none, puts one away that is over. */
  void timer() {
    Shown now = shown.get();
    String id = now.step().id();
    if (now.step().passes().isPresent() && now.log().running(id).isEmpty()) {
      edit("timer: " + now.step().title(), log -> log.withTimer(timer(now.step())));
      said.set("Its timer runs: " + now.step().passes().get().what() + ".");
      return;
    }
    Optional<Ticking> over =
        bench.timers().ticking().stream()
            .filter(t -> t.state() != StepTimer.State.RUNNING)
            .findFirst();
    if (over.isEmpty()) {
      said.set("No timer is over yet.");
      return;
    }
    bench.timers().putAway(over.get());
    said.set("Put away: " + over.get().timer().what() + ".");
  }

  private void change(String what, UnaryOperator<StepEntry> entry) {
    String id = shown.get().step().id();
    edit(what + ": " + shown.get().step().title(), log -> log.with(id, entry));
  }

  private void edit(String what, UnaryOperator<WorkLog> change) {
    if (shell.readOnly()) {
      said.set("This logbook is read-only here.");
      return;
    }
    bench.edit(what, change);
    refresh();
  }

  /** Keeps the check's initials. */
  void initials(String text) {
    change("check", e -> e.withInitials(text));
    bench.keepSetting("initials", text.strip());
  }

  /** Keeps the check's reading. */
  void reading(String text) {
    change("reading", e -> e.withReading(text));
  }

  /** Keeps a note. */
  void note(String text) {
    change("note", e -> e.withNote(text));
  }

  /** Passes the step without its check. */
  void pass(String why) {
    change("passed without its check", e -> e.withOverride(why));
    said.set("Passed without its check; the report says so.");
  }

  /** Records a mishap that has no way out of its own. */
  void mishap(String what, Mishap.Harm harm, String lesson) {
    tell(rescue.note(shown.get(), what, harm, lesson));
  }

  /** The way out of a mishap. */
  RescueModel rescue() {
    return rescue;
  }

  /** Keeps how a mishap ended; the plan goes on from where it says. */
  void endRescue() {
    visited = "";
    tell(rescue.end(shown.get()));
  }

  private void tell(Optional<String> words) {
    words.ifPresent(said::set);
    refresh();
  }

  /** Attaches photos from files. */
  void photos(List<Path> files) {
    String id = shown.get().step().id();
    files.forEach(file -> bench.keepPhoto(file, photo -> attach(id, photo)));
  }

  /**
   * Takes every photo that comes into a folder for the step that is shown then.
   *
   * @param path of the folder; empty to stop
   */
  void watch(String path) {
    unwatch();
    if (!path.isEmpty()) {
      watched = Optional.of(PhotoFolder.watch(Path.of(path), photo -> photos(List.of(photo))));
    }
  }

  /** Looks at no folder any longer. */
  void unwatch() {
    watched.ifPresent(PhotoFolder::close);
    watched = Optional.empty();
  }

  /** Attaches a photo that was pasted. */
  void pasted(Supplier<byte[]> png) {
    String id = shown.get().step().id();
    bench.keepPhoto("pasted.png", png, photo -> attach(id, photo));
  }

  private void attach(String id, Photo photo) {
    edit(
        "photo " + photo.name(),
        log ->
            log.with(
                id,
                e -> {
                  List<Photo> all = new ArrayList<>(e.photos());
                  if (!all.contains(photo)) {
                    all.add(photo);
                  }
                  return e.withPhotos(all);
                }));
    said.set("Photo kept: " + photo.name() + ".");
  }

  /** Says something. */
  void say(String words) {
    said.set(words);
  }

  /** What is on the bench; null before it was entered. */
  public ReadOnlyObjectProperty<Shown> shownProperty() {
    return shown.getReadOnlyProperty();
  }

  /** The newest line. */
  ReadOnlyStringProperty saidProperty() {
    return said.getReadOnlyProperty();
  }

  /** The timers and the bell. */
  WorkModel bench() {
    return bench;
  }
}
