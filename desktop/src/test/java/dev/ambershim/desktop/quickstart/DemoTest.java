package dev.ambershim.desktop.quickstart;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.physics.build.Responses;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.plan.OptionKind;
import dev.ambershim.core.runs.judging.Verdict;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.weigh.Forecast;
import dev.ambershim.core.stage.weigh.OwnRecord;
import dev.ambershim.core.stage.weigh.Question;
import dev.ambershim.core.stage.weigh.WeighQuestion;
import dev.ambershim.core.stage.weigh.Weighing;
import dev.ambershim.core.stage.weigh.WhatIf;
import dev.ambershim.desktop.demo.DemoWorkshop;
import dev.ambershim.desktop.model.Opened;
import dev.ambershim.logbook.report.Solved;
import dev.ambershim.logbook.store.Access;
import dev.ambershim.logbook.store.JobHead;
import dev.ambershim.logbook.store.Logbook;
import dev.ambershim.logbook.store.StoredJob;
import java.nio.file.Path;
import java.time.Clock;
import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The demo tells the stories that it is meant to tell. */
class DemoTest {
  @TempDir Path folder;

  private static Assessment assess(Logbook logbook, String title) {
    String id =
        logbook.list().stream()
            .filter(h -> h.title().startsWith(title))
            .map(JobHead::id)
            .findFirst()
            .orElseThrow();
    StoredJob stored = logbook.load(id);
    Map<String, RunLog> logs = new HashMap<>();
    stored.job().runs().forEach(r -> logs.put(r.sha256(), logbook.files().log(r)));
    return Assessment.of(stored.job(), logs, Notation.METRIC);
  }

  @Test
  void twoCompleteJobsWithOneThrottledRun() {
    try (Logbook logbook = Logbook.open(folder, Access.WRITE, Clock.systemUTC())) {
      DemoWorkshop.fill(logbook);
      assertThat(logbook.list()).hasSize(4);
      Assessment sorrel = assess(logbook, "Sorrel S8");
      assertThat(sorrel.comparison().orElseThrow().verdict()).isEqualTo(Verdict.HELPED);
      // Common practice for paste to liquid metal under the lid at heavy load: 8 to 30 K.
      assertThat(sorrel.comparison().orElseThrow().changeKelvin()).isBetween(-30.0, -8.0);
      assertThat(Forecast.of(sorrel, Solved.SHARED, SolveWatch.NONE).against(sorrel))
          .endsWith("The measured change agrees.");
      long throttled =
          sorrel.runs().stream()
              .filter(r -> r.analysis().orElseThrow().throttledSamples() > 0)
              .count();
      assertThat(throttled).isEqualTo(1);
      Assessment fennel = assess(logbook, "Fennel F16");
      assertThat(fennel.comparison().orElseThrow().verdict()).isEqualTo(Verdict.HELPED);
      // Dried paste renewed: up to 16 K; paste to metal on a large bare die: a few.
      Assessment moss = assess(logbook, "Moss L6");
      assertThat(moss.comparison().orElseThrow().verdict()).isEqualTo(Verdict.HELPED);
      assertThat(moss.comparison().orElseThrow().changeKelvin()).isBetween(-16.0, -2.0);
      Assessment tarn = assess(logbook, "Tarn G4");
      assertThat(tarn.comparison().orElseThrow().verdict()).isEqualTo(Verdict.HELPED);
      assertThat(fennel.runs()).allMatch(r -> r.log().notes().decimalComma());
      assertThat(fennel.runs()).allMatch(r -> r.analysis().orElseThrow().unfit().isEmpty());
    }
  }

  @Test
  void theDemoIsTheSameEveryTimeAndOpensOnItsLastJob() {
    try (Logbook one = Logbook.open(folder.resolve("1"), Access.WRITE, Clock.systemUTC());
        Logbook two = Logbook.open(folder.resolve("2"), Access.WRITE, Clock.systemUTC())) {
      DemoWorkshop.fill(one);
      DemoWorkshop.fill(two);
      assertThat(assess(one, "Sorrel").job()).isEqualTo(assess(two, "Sorrel").job());
      Opened opened = Opened.of(one);
      assertThat(opened.stored().orElseThrow().job().title()).startsWith("Sorrel S8");
      assertThat(opened.assessment()).isPresent();
    }
  }

  @Test
  void aScratchDemoNeedsNothingMadeReady() {
    try (Logbook logbook = Opening.demo()) {
      assertThat(logbook.list()).hasSize(4);
      assertThat(logbook.readOnly()).isFalse();
    }
  }

  private static Weighing weigh(Assessment assessment) {
    Question question = WeighQuestion.of(assessment, OwnRecord.NONE);
    ExecutorService lanes = Executors.newFixedThreadPool(2);
    try {
      return Weighing.of(
          question,
          WhatIf.AS_IT_IS,
          new Responses(lanes).of(Weighing.situations(question, Notation.METRIC), SolveWatch.NONE),
          Notation.METRIC);
    } finally {
      lanes.shutdown();
    }
  }

  @Test
  void whatWasWeighedBeforeTheWorkIsWhatTheRunsShowAfterIt() {
    try (Logbook logbook = Logbook.open(folder, Access.WRITE, Clock.systemUTC())) {
      DemoWorkshop.fill(logbook);
      Assessment sorrel = assess(logbook, "Sorrel S8");
      Weighing paste = weigh(sorrel);
      assertThat(paste.calibration().worstMisfit()).isLessThan(2);
      assertThat(paste.advice().sentence()).startsWith("Go: liquid metal inside");
      double gained = -sorrel.comparison().orElseThrow().changeKelvin();
      assertThat(paste.option(OptionKind.METAL_GLUED).gain().contains(gained)).isTrue();
      Assessment fennel = assess(logbook, "Fennel F16");
      Weighing solder = weigh(fennel);
      assertThat(solder.calibration().worstMisfit()).isLessThan(2);
      assertThat(solder.advice().sentence()).startsWith("Leave the lid on");
      gained = -fennel.comparison().orElseThrow().changeKelvin();
      assertThat(solder.option(OptionKind.BARE).gain().contains(gained)).isTrue();
    }
  }
}
