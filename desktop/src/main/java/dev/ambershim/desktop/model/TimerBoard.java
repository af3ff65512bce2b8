package dev.ambershim.desktop.model;

import dev.ambershim.core.job.Job;
import dev.ambershim.core.plan.Moment;
import dev.ambershim.core.plan.StepTimer;
import dev.ambershim.logbook.store.JobHead;
import dev.ambershim.logbook.store.StoredJob;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.util.Duration;

/**
 * Every timer of every job that still counts. They are kept with their jobs, so nothing is lost
 * when the window closes; here they are read against the clock once a second, and ring.
 */
public final class TimerBoard {
  private static final String MUTED = "bellMuted";

  /** How often a timer rings again while nobody puts it away. */
  private static final double AGAIN_SECONDS = 60;

  private final JobModel model;
  private final Supplier<Moment> clock;
  private final ObservableList<Ticking> ticking = FXCollections.observableArrayList();
  private final Map<String, List<StepTimer>> others = new HashMap<>();
  private final Map<String, String> titles = new HashMap<>();
  private final Map<StepTimer, StepTimer.State> told = new HashMap<>();
  private final Map<StepTimer, Double> rang = new HashMap<>();
  private final BooleanProperty muted = new SimpleBooleanProperty();
  private final Timeline seconds = new Timeline();
  private Bell bell = Bell.shipped();

  TimerBoard(JobModel model, Supplier<Moment> clock) {
    this.model = model;
    this.clock = clock;
    seconds.getKeyFrames().add(new KeyFrame(Duration.seconds(1), e -> tick()));
    seconds.setCycleCount(Timeline.INDEFINITE);
    model.jobProperty().addListener((o, was, is) -> follow());
  }

  /** Reads the timers of all jobs; those that rang while nobody was there ring now. */
  public void begin() {
    model
        .work()
        .submit(
            "",
            progress -> {
              Map<JobHead, List<StepTimer>> all = new HashMap<>();
              List<String> timed = model.logbook().withTimers();
              for (JobHead head : model.logbook().list()) {
                if (timed.contains(head.id())) {
                  all.put(head, countingIn(head.id()));
                }
              }
              boolean silent = "yes".equals(model.logbook().settings().get(MUTED));
              return new Kept(all, silent);
            },
            kept -> {
              muted.set(kept.silent());
              kept.timers()
                  .forEach(
                      (head, timers) -> {
                        others.put(head.id(), timers);
                        titles.put(head.id(), head.title());
                      });
              follow();
            });
  }

  /** A job that cannot be read keeps its timers to itself. */
  private List<StepTimer> countingIn(String id) {
    try {
      return counting(model.logbook().load(id).job());
    } catch (RuntimeException unreadable) {
      return List.of();
    }
  }

  private record Kept(Map<JobHead, List<StepTimer>> timers, boolean silent) {}

  private static List<StepTimer> counting(Job job) {
    return job.work().timers().stream().filter(t -> t.endedAt() == null).toList();
  }

  /** Takes over the timers of the job on screen, and looks at all of them. */
  private void follow() {
    StoredJob stored = model.storedProperty().get();
    Job job = model.jobProperty().get();
    if (stored != null && job != null) {
      others.put(stored.id(), counting(job));
      titles.put(stored.id(), job.title());
    }
    tick();
    boolean any = !ticking.isEmpty();
    if (any && seconds.getStatus() != Timeline.Status.RUNNING) {
      seconds.play();
    } else if (!any) {
      seconds.stop();
    }
  }

  /** Reads every timer against the clock. */
  void tick() {
    if (others.values().stream().allMatch(List::isEmpty)) {
      if (!ticking.isEmpty()) {
        ticking.clear();
      }
      return;
    }
    Moment now = clock.get();
    List<Ticking> all = new ArrayList<>();
    others.forEach(
        (job, timers) ->
            timers.forEach(t -> all.add(Ticking.at(now, job, titles.getOrDefault(job, ""), t))));
    all.sort((a, b) -> a.timer().begun().wall().compareTo(b.timer().begun().wall()));
    ticking.setAll(all);
    all.forEach(this::tell);
  }

  private void tell(Ticking now) {
    StepTimer.State was = told.put(now.timer(), now.state());
    boolean changed = now.state() != StepTimer.State.RUNNING && now.state() != was;
    double since = now.seconds() - rang.getOrDefault(now.timer(), now.seconds());
    if (changed) {
      model.say(now.title() + ": " + now.words() + ".");
    }
    if (changed || (now.rings() && since >= AGAIN_SECONDS)) {
      rang.put(now.timer(), now.seconds());
      if (!muted.get()) {
        bell.ring();
      }
    }
  }

  /** Puts a timer away, whichever job it belongs to. */
  public void putAway(Ticking timer) {
    if (model.readOnly()) {
      return;
    }
    String what = "timer put away: " + timer.timer().what();
    StoredJob stored = model.storedProperty().get();
    Moment now = clock.get();
    if (stored != null && stored.id().equals(timer.job())) {
      model.edit(what, job -> job.withWork(job.work().ending(timer.timer(), now.wall())));
      return;
    }
    model
        .work()
        .submit(
            "",
            progress -> {
              Job job = model.logbook().load(timer.job()).job();
              return model
                  .logbook()
                  .edit(
                      timer.job(),
                      what,
                      job.withWork(job.work().ending(timer.timer(), now.wall())));
            },
            kept -> {
              others.put(kept.id(), counting(kept.job()));
              follow();
            });
  }

  /** The timers that count, the oldest first. */
  public ObservableList<Ticking> ticking() {
    return ticking;
  }

  /** Whether the bell is muted. */
  public BooleanProperty mutedProperty() {
    return muted;
  }

  /** Mutes the bell, or lets it ring again; remembered. */
  public void mute(boolean silent) {
    muted.set(silent);
    model
        .work()
        .submit(
            "",
            progress -> {
              model.logbook().keepSetting(MUTED, silent ? "yes" : "no");
              return silent;
            },
            done -> {});
  }

  /** Rings another bell. */
  public void setBell(Bell other) {
    bell = other;
  }

  void close() {
    seconds.stop();
  }
}
