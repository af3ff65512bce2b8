package dev.ambershim.desktop.stage.weigh;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.SideBySide;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.build.Detail;
import dev.ambershim.core.physics.build.Response;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.plan.OptionKind;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.weigh.CloseUp;
import dev.ambershim.core.stage.weigh.CurveCheck;
import dev.ambershim.core.stage.weigh.Option;
import dev.ambershim.core.stage.weigh.OptionForecast;
import dev.ambershim.core.stage.weigh.Question;
import dev.ambershim.core.stage.weigh.Suspicion;
import dev.ambershim.core.stage.weigh.WeighQuestion;
import dev.ambershim.core.stage.weigh.Weighing;
import dev.ambershim.core.stage.weigh.WhatIf;
import dev.ambershim.desktop.model.CauseWatch;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.Preview;
import dev.ambershim.logbook.report.Solved;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicInteger;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;

/**
 * What Weigh shows: the weighing of the job for the load that the sliders say, the option that is
 * picked, and where the kelvin go now and with it. Reckoning runs behind the window; a newer
 * question stops an older one.
 */
public final class WeighModel {
  /**
   * What is on screen, all of one piece.
   *
   * @param weighing the options
   * @param picked the option that is looked at
   * @param now the chip as it is
   * @param then the chip with the option; empty if it cannot be done
   * @param passing whether only its pictures differ from what was shown before, as a slider passes
   */
  public record Shown(
      Weighing weighing,
      OptionForecast picked,
      Detail now,
      Optional<Detail> then,
      boolean passing) {
    Shown(Weighing weighing, OptionForecast picked, Detail now, Optional<Detail> then) {
      this(weighing, picked, now, then, false);
    }
  }

  private final JobModel shell;
  private final ReadOnlyObjectWrapper<Shown> shown = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<OptionForecast> checked = new ReadOnlyObjectWrapper<>();
  private final ObjectProperty<WhatIf> whatIf = new SimpleObjectProperty<>(WhatIf.AS_IT_IS);
  private final AtomicInteger newest = new AtomicInteger();
  private final ReadOnlyBooleanWrapper stopped = new ReadOnlyBooleanWrapper(false);
  private final CauseWatch causes;
  private Optional<OptionKind> wanted = Optional.empty();
  private String jobId = "";

  /** The job that is on screen. */
  private String shownFor = "";

  /** Counts what was shown, so that a check knows whether it is still that. */
  private int looks;

  /** Whether the pictures of a load are being made. */
  private boolean glancing;

  private final Glance glance = new Glance();

  /** Counts what was shown but for what a slider passed. */
  private int answers;

  private boolean stale = true;
  private boolean solving = true;

  /** Whether the section shows the picked option: until the person looks at a build there. */
  private boolean following = true;

  private boolean own;
  private Asked asked;
  private Weighing answered;

  /** A model over the shell's job. */
  public WeighModel(JobModel shell) {
    this.shell = shell;
    causes = new CauseWatch(shell, Side.BEFORE, this::suspect);
    shell
        .assessmentProperty()
        .addListener(
            (o, was, is) -> {
              // Another figure of chip or cooler asks for new solutions, another load does not.
              solving = true;
              outdated();
            });
    shell
        .stageProperty()
        .addListener(
            (o, was, is) -> {
              following = is == Stage.WEIGH;
              if (following && shown.get() != null && !stale) {
                look(shown.get());
              }
              catchUp();
            });
    shell.previewProperty().addListener((o, was, is) -> following &= own || is != null);
    whatIf.addListener((o, was, is) -> passed());
    outdated();
  }

  private void outdated() {
    String id = shell.storedProperty().get() == null ? "" : shell.storedProperty().get().id();
    if (!id.equals(jobId)) {
      jobId = id;
      wanted = Optional.empty();
      following = true;
      whatIf.set(WhatIf.AS_IT_IS);
    }
    stale = true;
    catchUp();
  }

  /**
   * A load that a slider passes: the pictures for it come at once, one load after another, and the
   * options are weighed where the slider rests.
   */
  private void passed() {
    Shown seen = shown.get();
    if (stale || seen == null || !shownFor.equals(jobId)) {
      outdated();
      return;
    }
    // What is weighed for the load before is of no use any more.
    newest.incrementAndGet();
    if (glancing) {
      return;
    }
    glancing = true;
    WhatIf load = whatIf.get();
    int mine = answers;
    shell
        .reckoning()
        .submit(
            "",
            progress -> glance.of(seen, mine, load),
            result -> {
              glancing = false;
              boolean rests = whatIf.get().equals(load);
              if (!rests) {
                // The next load is solved while this one is painted.
                passed();
              }
              if (result.isPresent() && answers == mine) {
                tell(result.get());
              }
              if (rests) {
                outdated();
              }
            });
  }

  /** Nothing is reckoned while nobody looks. */
  private void catchUp() {
    Assessment assessment = shell.assessmentProperty().get();
    if (!stale || assessment == null || shell.stageProperty().get() != Stage.WEIGH) {
      return;
    }
    stale = false;
    int mine = newest.incrementAndGet();
    checked.set(null);
    Notation notation = shell.notationProperty().get();
    WhatIf load = whatIf.get();
    Optional<OptionKind> kind = wanted;
    String name = solving ? "weighing the options" : "";
    solving = false;
    Shown before = shown.get();
    if (before != null && shownFor.equals(jobId)) {
      // What was solved before tells nearly the same, and at once; pictures follow.
      shell
          .reckoning()
          .submit(
              "",
              progress ->
                  mine == newest.get() ? first(assessment, load, kind, notation, before) : null,
              result -> {
                if (result != null && mine == newest.get()) {
                  look(result);
                }
              });
    }
    shell
        .reckoning()
        .submit(
            name,
            progress -> {
              if (mine != newest.get()) {
                return null;
              }
              SolveWatch watch = new SolveWatch(progress, () -> mine != newest.get());
              try {
                return weighed(assessment, load, kind, notation, watch);
              } catch (CancellationException e) {
                return null;
              }
            },
            result -> {
              if (mine == newest.get()) {
                stopped.set(result == null);
                if (result != null) {
                  show(result);
                }
              }
            });
  }

  private Shown weighed(
      Assessment assessment,
      WhatIf load,
      Optional<OptionKind> kind,
      Notation notation,
      SolveWatch watch) {
    Question question =
        suspecting(assessment, WeighQuestion.of(assessment, shell.ownRecord(), Solved.HELPERS));
    Map<Situation, Response> solved =
        Solved.SHARED.of(Weighing.situations(question, notation), watch);
    Weighing weighing = weighing(new Asked(question, load, solved, notation));
    return detailed(weighing, picked(weighing, kind), watch);
  }

  /** The two looks have nothing to do with each other. */
  private static Shown detailed(Weighing weighing, OptionForecast option, SolveWatch watch) {
    return pictured(weighing, option, CloseUp.of(weighing, watch));
  }

  /** A weighing with the pictures of an option under its load. */
  static Shown pictured(Weighing weighing, OptionForecast option, CloseUp look) {
    List<Optional<Detail>> details =
        SideBySide.all(
            List.<Callable<Optional<Detail>>>of(
                () -> Optional.of(look.now()), () -> then(look, option)),
            Solved.HELPERS);
    return new Shown(weighing, option, details.get(0).orElseThrow(), details.get(1));
  }

  /** The question with the causes that are known; looking for them takes a second. */
  private Question suspecting(Assessment assessment, Question question) {
    return causes
        .known(assessment)
        .map(k -> question.withSuspicion(Suspicion.of(k.ranking(), k.given().watts())))
        .orElse(question);
  }

  /** Weighs again if causes that came to be known change the question. */
  private void suspect() {
    Assessment assessment = shell.assessmentProperty().get();
    Shown now = shown.get();
    if (assessment == null || now == null || !shownFor.equals(jobId)) {
      return;
    }
    Question question = now.weighing().question();
    if (!suspecting(assessment, question).suspicion().equals(question.suspicion())) {
      stale = true;
      catchUp();
    }
  }

  /** The working's check follows what is seen, which does not hang on it. */
  private void check(Shown seen) {
    int mine = newest.get();
    int look = looks;
    Notation notation = shell.notationProperty().get();
    shell
        .reckoning()
        .submit(
            "",
            progress ->
                mine == newest.get()
                    ? checked(
                        seen.weighing(),
                        seen.picked(),
                        notation,
                        new SolveWatch(progress, () -> mine != newest.get()))
                    : null,
            told -> {
              if (told != null && look == looks) {
                checked.set(told);
              }
            });
  }

  /** An option whose working says how far its curves are off. */
  private static OptionForecast checked(
      Weighing weighing, OptionForecast option, Notation notation, SolveWatch watch) {
    Set<Situation> two = new LinkedHashSet<>();
    two.add(weighing.question().now());
    two.add(option.option().situation());
    return option.option().possible()
        ? new CurveCheck(weighing, Solved.SHARED.of(two, watch), notation, watch, Solved.HELPERS)
            .of(option)
        : option;
  }

  /** The chip with an option, if it can be done. */
  private static Optional<Detail> then(CloseUp look, OptionForecast option) {
    return option.option().possible() ? Optional.of(look.then(option.option())) : Optional.empty();
  }

  /** A weighing from what was solved, for these figures or near them; null if too far away. */
  private Shown first(
      Assessment assessment,
      WhatIf load,
      Optional<OptionKind> kind,
      Notation notation,
      Shown before) {
    // Neither the logbook, which may be saving, nor plans: hours and record are those of before.
    Question known = before.weighing().question();
    Question question =
        suspecting(assessment, WeighQuestion.of(assessment, known.record(), known.times()));
    return Solved.SHARED
        .near(Weighing.situations(question, notation))
        .map(solved -> weighing(new Asked(question, load, solved, notation)))
        .map(w -> withPictures(w, picked(w, kind), before))
        .orElse(null);
  }

  /**
   * What a weighing hangs on.
   *
   * @param solved responses of all its situations
   */
  private record Asked(
      Question question, WhatIf load, Map<Situation, Response> solved, Notation notation) {}

  /** Only ever on the line of reckoning: where the first answer is all of it, it stays. */
  private Weighing weighing(Asked now) {
    if (!now.equals(asked)) {
      answered =
          Weighing.of(now.question(), now.load(), now.solved(), now.notation(), Solved.HELPERS);
      asked = now;
    }
    return answered;
  }

  /** Pictures of another option would be taken for this one's. */
  private static Shown withPictures(Weighing weighing, OptionForecast option, Shown before) {
    boolean same = option.option().kind() == before.picked().option().kind();
    return new Shown(weighing, option, before.now(), same ? before.then() : Optional.empty());
  }

  /** Weighs again after it was stopped. */
  public void again() {
    stale = true;
    stopped.set(false);
    catchUp();
  }

  private static OptionForecast picked(Weighing weighing, Optional<OptionKind> kind) {
    return kind.or(weighing::recommended)
        .map(weighing::option)
        .orElseGet(() -> weighing.ranked().get(0));
  }

  private void show(Shown now) {
    // A report takes only what was solved.
    shell.weighingProperty().set(now.weighing());
    looks++;
    checked.set(null);
    look(now);
    check(now);
    causes.look();
  }

  private void look(Shown now) {
    answers++;
    tell(now);
  }

  private void tell(Shown now) {
    shownFor = jobId;
    shown.set(now);
    shell.told();
    if (following) {
      own = true;
      shell
          .previewProperty()
          .set(
              now.picked().option().possible()
                  ? new Preview(now.picked().option().situation(), now.picked().option().words())
                  : null);
      own = false;
    }
  }

  /** Looks at another option. */
  public void pick(OptionKind kind) {
    Shown now = shown.get();
    if (now == null) {
      return;
    }
    wanted = Optional.of(kind);
    following = true;
    Weighing weighing = now.weighing();
    int mine = newest.get();
    shell
        .reckoning()
        .submit(
            "",
            progress -> {
              OptionForecast option = weighing.option(kind);
              CloseUp look = CloseUp.of(weighing, SolveWatch.NONE);
              return new Shown(weighing, option, now.now(), then(look, option));
            },
            result -> {
              // A newer weighing looks at the wanted option by itself.
              if (mine == newest.get() && wanted.filter(k -> k == kind).isPresent()) {
                show(result);
              }
            });
  }

  /** Looks at the option so many places further down. */
  public void nudge(int by) {
    Shown now = shown.get();
    if (now == null) {
      return;
    }
    List<OptionForecast> ranked = now.weighing().ranked();
    OptionKind at = wanted.orElse(now.picked().option().kind());
    int place = 0;
    for (int i = 0; i < ranked.size(); i++) {
      if (ranked.get(i).option().kind() == at) {
        place = i;
      }
    }
    pick(ranked.get(Math.floorMod(place + by, ranked.size())).option().kind());
  }

  /** Makes the option that is looked at the build to come. */
  public void plan() {
    Shown now = shown.get();
    if (now == null || !now.picked().option().possible() || shell.readOnly()) {
      return;
    }
    Option option = now.picked().option();
    shell.edit(
        "plan: " + option.words(),
        job ->
            job.with(
                    job.title(),
                    job.notes(),
                    job.cooler(),
                    job.before(),
                    option.situation().build())
                .withWork(job.work().planning(option.kind())));
  }

  /** What is on screen; null until the first weighing is done. */
  public ReadOnlyObjectProperty<Shown> shownProperty() {
    return shown.getReadOnlyProperty();
  }

  /** The picked option once its curves are checked; null until then. Only its working differs. */
  public ReadOnlyObjectProperty<OptionForecast> checkedProperty() {
    return checked.getReadOnlyProperty();
  }

  /** Whether the person stopped it. */
  public ReadOnlyBooleanProperty stoppedProperty() {
    return stopped.getReadOnlyProperty();
  }

  /** The load to weigh for. */
  public ObjectProperty<WhatIf> whatIfProperty() {
    return whatIf;
  }
}
