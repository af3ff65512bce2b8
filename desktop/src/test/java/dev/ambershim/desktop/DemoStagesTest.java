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
import dev.ambershim.desktop.widget.Labels;
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
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollPane;
import org.junit.jupiter.api.Test;

/**
 * Each stage of each of the demo's jobs: what it says stands in the window as its answer has it; a
 * stage that is longer than two screens has parts; a narrow window shows all of it.
 */
class DemoStagesTest extends DesktopTest {
  private final List<String> wide = new ArrayList<>();

  @Test
  void eachSaysWhatItsAnswerSaysAndHasRoom() {
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
      List<StageAnswer> answers = answers();
      for (Stage each : Stage.values()) {
        resize(1280, 800);
        onFx(() -> model.stageProperty().set(each));
        worked();
        String place = head.title() + ", " + each;
        answers.stream().filter(a -> a.stage() == each).forEach(a -> says(a, place));
        hasParts(place);
        resize(1024, 700);
        settle();
        isNotTooWide(place);
      }
    }
    assertThat(wide).isEmpty();
  }

  private void resize(double width, double height) {
    onFx(
        () -> {
          stage.setWidth(width);
          stage.setHeight(height);
        });
  }

  private void says(StageAnswer answer, String place) {
    List<String> shown = new ArrayList<>();
    collect(stage.getScene().getRoot(), shown);
    assertThat(shown)
        .as(place)
        .contains(answer.sentence())
        .containsAll(answer.reasons())
        .containsAll(answer.notes());
    // A further finding may stand within a line, before what was measured.
    for (Finding further : answer.others()) {
      assertThat(shown).anyMatch(line -> line.contains(further.sentence()));
    }
  }

  private void hasParts(String place) {
    double screens =
        middle().getContent().getBoundsInLocal().getHeight()
            / middle().getViewportBounds().getHeight();
    if (screens > 2) {
      assertThat(stage.getScene().lookup("#part-1"))
          .as("%s: %.1f screens", place, screens)
          .isNotNull();
    }
  }

  private void isNotTooWide(String place) {
    double width = middle().getViewportBounds().getWidth();
    Parent content = (Parent) middle().getContent();
    for (Node child : content.getChildrenUnmodifiable()) {
      double right = child.getLayoutX() + child.getLayoutBounds().getMaxX();
      if (child.isManaged() && right > width) {
        wide.add(place + ": " + child + " to " + right + " of " + width);
      }
    }
    Bounds root = stage.getScene().getRoot().getLayoutBounds();
    Node shelf = node("saved");
    assertThat(shelf.localToScene(shelf.getBoundsInLocal()).getMaxY())
        .as("%s: nothing is pushed out of a low window", place)
        .isLessThanOrEqualTo(root.getMaxY());
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
            PasteAnswer.of(job, Notation.METRIC, SolveWatch.NONE, Runnable::run).stream())
        .flatMap(all -> all)
        .map(StageAnswer.class::cast)
        .toList();
  }

  /** All words in the window, those too that open on demand. */
  private static void collect(Node node, List<String> to) {
    if (node instanceof Labeled labeled && labeled.getText() != null) {
      to.add(Labels.plain(labeled.getText()));
    }
    if (node instanceof ScrollPane pane && pane.getContent() != null) {
      collect(pane.getContent(), to);
    }
    if (node instanceof Parent parent) {
      parent.getChildrenUnmodifiable().forEach(child -> collect(child, to));
    }
  }
}
