package dev.ambershim.desktop.stage.prove;

import dev.ambershim.core.job.Side;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.prove.ProveAnswer;
import dev.ambershim.core.stage.weigh.Forecast;
import dev.ambershim.desktop.model.CauseWatch;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.StageWork;
import dev.ambershim.logbook.report.Solved;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;

/**
 * What Prove says. The verdict is there at once; what was expected has to be solved, and follows.
 */
final class ProveModel {
  /**
   * A forecast and the assessment that it was made for.
   *
   * @param assessment what it was made for
   * @param forecast what the work should bring
   */
  record Expected(Assessment assessment, Forecast forecast) {}

  private final StageWork<Expected> work;

  private final CauseWatch causes;

  /**
   * A model over the shell's job.
   *
   * @param found runs when causes of the run after the work came to be known
   */
  ProveModel(JobModel model, Runnable found) {
    causes = new CauseWatch(model, Side.AFTER, found);
    work =
        new StageWork<>(
            model,
            Stage.PROVE,
            "the forecast",
            job -> {
              Assessment now = model.assessmentProperty().get();
              Optional<Expected> known = now == null ? Optional.empty() : known(now);
              return watch ->
                  now == null
                      ? null
                      : known
                          .map(e -> new Expected(now, e.forecast()))
                          .orElseGet(
                              () -> new Expected(now, Forecast.of(now, Solved.SHARED, watch)));
            });
    model.assessmentProperty().addListener((o, was, is) -> work.outdated());
  }

  private Optional<Expected> known(Assessment now) {
    return Optional.ofNullable(work.shownProperty().get())
        .filter(e -> e.forecast().holdsFor(e.assessment(), now));
  }

  /** The answer with what is known of the forecast by now. */
  ProveAnswer answer(Assessment now) {
    return ProveAnswer.of(
        now, known(now).map(Expected::forecast), causes.known(now).map(CauseWatch.Known::ranking));
  }

  /** Looks for causes of the run after the work. */
  void lookForCauses() {
    causes.look();
  }

  /** The newest forecast; null until there is one. */
  ReadOnlyObjectProperty<Expected> shownProperty() {
    return work.shownProperty();
  }
}
