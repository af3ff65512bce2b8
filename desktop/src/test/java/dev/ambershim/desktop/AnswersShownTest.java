package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.plan.Moment;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.StageAnswer;
import dev.ambershim.core.stage.baseline.BaselineAnswer;
import dev.ambershim.core.stage.clean.CleanAnswer;
import dev.ambershim.core.stage.close.CloseAnswer;
import dev.ambershim.core.stage.coat.CoatAnswer;
import dev.ambershim.core.stage.coat.PasteAnswer;
import dev.ambershim.core.stage.keep.KeepAnswer;
import dev.ambershim.core.stage.lap.LapAnswer;
import dev.ambershim.core.stage.measure.MeasureAnswer;
import dev.ambershim.core.stage.open.OpenAnswer;
import dev.ambershim.core.stage.prove.ProveAnswer;
import dev.ambershim.core.stage.weigh.Forecast;
import dev.ambershim.desktop.demo.DemoWorkshop;
import dev.ambershim.desktop.model.Outlook;
import dev.ambershim.logbook.report.Solved;
import dev.ambershim.logbook.store.Access;
import dev.ambershim.logbook.store.JobHead;
import dev.ambershim.logbook.store.Logbook;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollPane;
import org.junit.jupiter.api.Test;

/** What each stage says of the demo's jobs stands in the window as its answer has it. */
class AnswersShownTest extends DesktopTest {
  @Test
  void theWindowSaysWhatTheAnswersSay() {
    // A plan that begins now ends a minute later each minute.
    clock = () -> new Moment(Instant.parse("2026-06-02T10:00:00Z"), "boot", 100);
    List<JobHead> heads;
    try (Logbook book = Logbook.open(folder.resolve("logbook"), Access.WRITE, Clock.systemUTC())) {
      DemoWorkshop.fill(book);
      heads = book.list();
    }
    assertThat(heads).hasSize(4);
    open();
    for (JobHead head : heads) {
      onFx(() -> model.open(head.id()));
      worked();
      for (StageAnswer answer : answers()) {
        onFx(() -> model.stageProperty().set(answer.stage()));
        worked();
        List<String> shown = new ArrayList<>();
        collect(stage.getScene().getRoot(), shown);
        assertThat(shown)
            .as("%s, %s", job().title(), answer.stage())
            .contains(answer.sentence())
            .containsAll(answer.reasons())
            .containsAll(answer.notes());
        // A further finding may stand within a line, before what was measured.
        for (Finding further : answer.others()) {
          assertThat(shown).anyMatch(line -> line.contains(further.sentence()));
        }
      }
    }
  }

  private List<StageAnswer> answers() {
    Job job = job();
    Assessment assessment = model.assessmentProperty().get();
    onFx(() -> model.stageProperty().set(Stage.WEIGH));
    worked();
    // Causes that come to be known may weigh a job anew.
    until("causes are looked for", 180, () -> !model.inquiry().busyProperty().get());
    worked();
    onFx(() -> model.stageProperty().set(Stage.OPEN));
    until("the work is planned", () -> model.workbench().outlookProperty().get() != null);
    Outlook plan = model.workbench().outlookProperty().get();
    return Stream.of(
            Stream.<StageAnswer>of(
                model.weighingProperty().get(),
                BaselineAnswer.of(assessment),
                OpenAnswer.of(
                    plan.plan(),
                    plan.job().work(),
                    plan.schedule(),
                    plan.problem(),
                    Notation.METRIC,
                    model.workbench().zone()),
                CleanAnswer.of(job),
                MeasureAnswer.of(job, Notation.METRIC, SolveWatch.NONE, Runnable::run),
                LapAnswer.of(job, Notation.METRIC, SolveWatch.NONE),
                CoatAnswer.of(job, Notation.METRIC),
                CloseAnswer.of(job, Notation.METRIC, SolveWatch.NONE),
                ProveAnswer.of(
                    assessment,
                    Optional.of(Forecast.of(assessment, Solved.SHARED, SolveWatch.NONE))),
                KeepAnswer.of(job, Notation.METRIC)),
            PasteAnswer.of(job, Notation.METRIC, SolveWatch.NONE).stream())
        .flatMap(all -> all)
        .map(StageAnswer.class::cast)
        .toList();
  }

  /** All words in the window, those too that open on demand. */
  private static void collect(Node node, List<String> to) {
    if (node instanceof Labeled labeled && labeled.getText() != null) {
      to.add(labeled.getText());
    }
    if (node instanceof ScrollPane pane && pane.getContent() != null) {
      collect(pane.getContent(), to);
    }
    if (node instanceof Parent parent) {
      parent.getChildrenUnmodifiable().forEach(child -> collect(child, to));
    }
  }
}
