package dev.ambershim.desktop.stage.begin;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.plan.Terms;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.weigh.FirstLook;
import dev.ambershim.core.stage.weigh.Question;
import dev.ambershim.core.stage.weigh.WeighQuestion;
import dev.ambershim.core.stage.weigh.Weighing;
import dev.ambershim.core.stage.weigh.WhatIf;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.logbook.report.Solved;
import java.util.Map;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicInteger;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;

/** The three answers, and what they forecast. */
final class BeginModel {
  private final JobModel shell;
  private final ObjectProperty<FirstLook> look = new SimpleObjectProperty<>(FirstLook.USUAL);
  private final ReadOnlyObjectWrapper<Weighing> forecast = new ReadOnlyObjectWrapper<>();
  private final AtomicInteger newest = new AtomicInteger();
  private boolean asked;

  BeginModel(JobModel shell) {
    this.shell = shell;
    look.addListener((o, was, is) -> weigh());
    shell.notationProperty().addListener((o, was, is) -> weigh());
  }

  /** The three answers. */
  ObjectProperty<FirstLook> lookProperty() {
    return look;
  }

  /** What they forecast; null until it is worked out. */
  ReadOnlyObjectProperty<Weighing> forecastProperty() {
    return forecast.getReadOnlyProperty();
  }

  /** The job that they would begin. */
  Job job() {
    return look.get().job("", shell.opener().usualTerms());
  }

  /** Begins to forecast, once somebody looks. */
  void open() {
    if (!asked) {
      asked = true;
      weigh();
    }
  }

  /** Begins the job. */
  void begin(String title) {
    shell.opener().begin(look.get(), title);
  }

  private void weigh() {
    if (!asked) {
      return;
    }
    int mine = newest.incrementAndGet();
    Notation notation = shell.notationProperty().get();
    FirstLook now = look.get();
    Terms terms = shell.opener().usualTerms();
    shell
        .reckoning()
        .submit(
            "forecasting",
            progress -> {
              if (mine != newest.get()) {
                return null;
              }
              try {
                return weighed(
                    now.job("", terms),
                    notation,
                    new SolveWatch(progress, () -> mine != newest.get()));
              } catch (CancellationException | Problem stopped) {
                return null;
              }
            },
            told -> {
              if (mine == newest.get()) {
                forecast.set(told);
              }
            });
  }

  private Weighing weighed(Job job, Notation notation, SolveWatch watch) {
    Assessment assessment = Assessment.of(job, Map.of(), notation);
    Question question = WeighQuestion.of(assessment, shell.ownRecord(), Solved.HELPERS);
    return Weighing.of(
        question,
        WhatIf.AS_IT_IS,
        Solved.SHARED.of(Weighing.situations(question, notation), watch),
        notation,
        Solved.HELPERS);
  }
}
