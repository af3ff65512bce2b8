package dev.ambershim.desktop.model;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.JobRules;
import dev.ambershim.core.plan.Terms;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.weigh.FirstLook;
import dev.ambershim.logbook.store.JobHead;
import dev.ambershim.logbook.store.Logbook;
import dev.ambershim.logbook.store.StoredJob;
import java.util.List;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/**
 * Begins jobs and opens them, also those that something is wrong with: that is then the trouble of
 * one job and of no other.
 */
public final class JobOpener {
  private final JobModel model;
  private final ReadOnlyObjectWrapper<Trouble> trouble = new ReadOnlyObjectWrapper<>();
  private Consumer<Logbook> example = logbook -> {};

  JobOpener(JobModel model) {
    this.model = model;
  }

  /** The job that could not be opened, or null. */
  public ReadOnlyObjectProperty<Trouble> troubleProperty() {
    return trouble.getReadOnlyProperty();
  }

  void found(Trouble of) {
    trouble.set(of);
  }

  /** Opens a job. */
  public void open(String id) {
    opening(id, now -> model.edits().judging().fetch(model.logbook(), now), () -> {});
  }

  /** Opens a job after its logs were read again from the files as they came. */
  public void readAgain(String id) {
    opening(id, now -> model.edits().judging().readAnew(model.logbook(), now), () -> {});
  }

  /** Takes a job's last change back, which may have spoilt it, and opens it. */
  public void earlier(String id) {
    opening(
        id,
        now -> model.edits().judging().fetch(model.logbook(), now),
        () -> {
          try {
            model.logbook().undo(id);
          } catch (Problem unreadable) {
            // The one before cannot be read either; opening it says so.
          }
        });
  }

  /** Opens a job as if it had no logs. */
  public void withoutRuns(String id) {
    opening(id, model.edits().judging()::forget, () -> {});
  }

  /** A job that opened, or why it did not. */
  private record Outcome(JobEdits.Step step, Trouble trouble) {}

  private void opening(String id, Consumer<StoredJob> fetch, Runnable first) {
    Logbook logbook = model.logbook();
    model
        .work()
        .submit(
            "opening the job",
            progress -> {
              try {
                first.run();
                StoredJob now = logbook.load(id);
                fetch.accept(now);
                JobEdits.Step step = model.edits().step(now);
                logbook.keepSetting("lastJob", id);
                return new Outcome(step, null);
              } catch (RuntimeException | Error failure) {
                String title = Opened.title(logbook.list(), id);
                return new Outcome(null, Trouble.of(logbook, id, title, failure));
              }
            },
            outcome -> {
              trouble.set(outcome.trouble());
              if (outcome.step() != null) {
                show(outcome.step());
              }
            });
  }

  /** Shows a job; the first one that has an answer shows it in Prove. */
  private void show(JobEdits.Step step) {
    boolean first = model.jobProperty().get() == null;
    model.edits().show(step);
    if (first && step.assessment().comparison().isPresent()) {
      model.stageProperty().set(Stage.PROVE);
    }
  }

  /** Prices, worth, odds and wish of the person, by the job that is open; else what is usual. */
  public Terms usualTerms() {
    Job open = model.jobProperty().get();
    return open == null ? Terms.USUAL : open.terms();
  }

  /** Begins a job by the three answers of a first look, and opens it. */
  public void begin(FirstLook look, String title) {
    Logbook logbook = model.logbook();
    String plain = title.replaceAll("\\p{Cntrl}+", " ").strip();
    String whole = plain.isEmpty() ? "New chip" : plain;
    String name = whole.substring(0, Math.min(whole.length(), JobRules.MOST_LETTERS));
    Terms terms = usualTerms();
    model
        .work()
        .submit(
            "",
            progress -> {
              StoredJob now = logbook.create(look.job(name, terms));
              logbook.keepSetting("lastJob", now.id());
              return model.edits().step(now);
            },
            step -> {
              model.edits().show(step);
              model.stageProperty().set(Stage.WEIGH);
              model.say(
                  "New job \"" + name + "\". Check the figures layer by layer in the section.");
            });
  }

  /** Says how the example's jobs get into a logbook. */
  public void setExample(Consumer<Logbook> filling) {
    example = filling;
  }

  /** Takes the example's jobs into the logbook, to look around in, and opens the last of them. */
  public void takeExample() {
    Logbook logbook = model.logbook();
    model
        .work()
        .submit(
            "taking in the example",
            progress -> {
              example.accept(logbook);
              return logbook.list();
            },
            taken -> {
              model.jobs().setAll(taken);
              taken.stream().findFirst().map(JobHead::id).ifPresent(this::open);
              model.say(
                  "Two jobs of an invented bench are in your logbook. Begin your own with Ctrl+N.");
            });
  }

  /** Takes a job out for good. */
  public void remove(String id) {
    Logbook logbook = model.logbook();
    model
        .work()
        .submit(
            "",
            progress -> {
              logbook.remove(id);
              return logbook.list();
            },
            (List<JobHead> left) -> {
              model.jobs().setAll(left);
              trouble.set(null);
              model.say("The job is removed.");
            });
  }
}
