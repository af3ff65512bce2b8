package dev.ambershim.app;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.PlanStep;
import dev.ambershim.core.plan.Schedule;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.StageAnswer;
import dev.ambershim.core.stage.baseline.BaselineAnswer;
import dev.ambershim.core.stage.clean.CleanAnswer;
import dev.ambershim.core.stage.close.CloseAnswer;
import dev.ambershim.core.stage.coat.CoatAnswer;
import dev.ambershim.core.stage.coat.PasteAnswer;
import dev.ambershim.core.stage.lap.LapAnswer;
import dev.ambershim.core.stage.measure.MeasureAnswer;
import dev.ambershim.core.stage.open.OpenAnswer;
import dev.ambershim.core.stage.prove.ProveAnswer;
import dev.ambershim.core.stage.weigh.Forecast;
import dev.ambershim.core.stage.weigh.OwnRecord;
import dev.ambershim.core.stage.weigh.Question;
import dev.ambershim.core.stage.weigh.WeighQuestion;
import dev.ambershim.core.stage.weigh.Weighing;
import dev.ambershim.core.stage.weigh.WhatIf;
import dev.ambershim.desktop.demo.DemoWorkshop;
import dev.ambershim.logbook.report.Solved;
import dev.ambershim.logbook.store.Access;
import dev.ambershim.logbook.store.JobHead;
import dev.ambershim.logbook.store.Logbook;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** How long a sentence may be that a person has to read at the bench. */
@Tag("slow")
class PlainWordsTest {
  /** A sentence that is read aloud without a second breath. */
  private static final int MOST_WORDS = 30;

  /** A line of the window's middle at 1280 pixels. */
  private static final int MOST_LETTERS = 112;

  private static final Instant NOW = Instant.parse("2026-03-01T08:00:00Z");

  @TempDir Path folder;

  @Test
  void everySentenceOfTheDemoIsShort() {
    List<String> tooLong = new ArrayList<>();
    try (Logbook book = Logbook.open(folder, Access.WRITE, Clock.systemUTC())) {
      DemoWorkshop.fill(book);
      for (JobHead head : book.list()) {
        Job job = book.load(head.id()).job();
        Map<String, RunLog> logs = new HashMap<>();
        for (RunEntry run : job.runs()) {
          logs.put(run.sha256(), book.files().log(run));
        }
        for (StageAnswer answer : answers(job, logs)) {
          check(answer, tooLong);
        }
        for (PlanStep step : Plan.of(job.workCase()).steps()) {
          words(step.id(), step.action(), tooLong);
          words(step.id(), step.reason(), tooLong);
          words(step.id(), step.look(), tooLong);
        }
      }
    }
    assertThat(tooLong).isEmpty();
  }

  private static List<StageAnswer> answers(Job job, Map<String, RunLog> logs) {
    Assessment assessment = Assessment.of(job, logs, Notation.METRIC);
    Question question = WeighQuestion.of(assessment, OwnRecord.NONE);
    Plan plan = Plan.of(job.workCase());
    List<StageAnswer> all = new ArrayList<>();
    all.add(
        Weighing.of(
            question,
            WhatIf.AS_IT_IS,
            Solved.SHARED.of(Weighing.situations(question, Notation.METRIC), SolveWatch.NONE),
            Notation.METRIC));
    all.add(BaselineAnswer.of(assessment));
    all.add(
        OpenAnswer.of(
            plan,
            job.work(),
            Schedule.of(plan, job.work(), NOW, ZoneOffset.UTC),
            Optional.empty(),
            Notation.METRIC,
            ZoneOffset.UTC));
    all.add(CleanAnswer.of(job));
    all.add(MeasureAnswer.of(job, Notation.METRIC, SolveWatch.NONE, Runnable::run));
    all.add(LapAnswer.of(job, Notation.METRIC, SolveWatch.NONE));
    all.add(CoatAnswer.of(job, Notation.METRIC));
    PasteAnswer.of(job, Notation.METRIC, SolveWatch.NONE, Runnable::run).ifPresent(all::add);
    all.add(CloseAnswer.of(job, Notation.METRIC, SolveWatch.NONE));
    all.add(
        ProveAnswer.of(
            assessment, Optional.of(Forecast.of(assessment, Solved.SHARED, SolveWatch.NONE))));
    return all;
  }

  private static void check(StageAnswer answer, List<String> tooLong) {
    String stage = answer.stage().name();
    words(stage, answer.sentence(), tooLong);
    answer.reasons().forEach(r -> words(stage, r, tooLong));
    answer.notes().forEach(n -> words(stage, n, tooLong));
    answer.others().stream().map(Finding::sentence).forEach(s -> words(stage, s, tooLong));
    // Two reasons stand under an answer, each on one line of the window's middle.
    for (String shown : answer.reasons().subList(0, Math.min(2, answer.reasons().size()))) {
      if (shown.length() > MOST_LETTERS) {
        tooLong.add(stage + ", " + shown.length() + " letters under the answer: " + shown);
      }
    }
  }

  private static void words(String where, String text, List<String> tooLong) {
    for (String sentence : text.split("(?<=[.?])\\s+", -1)) {
      int count = sentence.split("\\s+", -1).length;
      if (count > MOST_WORDS) {
        tooLong.add(where + ", " + count + " words: " + sentence);
      }
    }
  }
}
