package dev.ambershim.desktop.stage.series;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.KeptCheck;
import dev.ambershim.core.job.RunResult;
import dev.ambershim.core.runs.judging.Judging;
import dev.ambershim.core.runs.judging.RunAnalysis;
import dev.ambershim.core.stage.keep.CheckReading;
import dev.ambershim.core.stage.series.Series;
import dev.ambershim.desktop.model.AwaitedRun;
import dev.ambershim.desktop.model.JobModel;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalDouble;

/** Runs that are mounts of the series that is shown: from a log, or conducted just now. */
final class SeriesRuns {
  private final JobModel shell;
  private final SeriesModel series;
  private final Runnable shownAgain;
  private final AwaitedRun awaited;
  private boolean mountComing;

  /**
   * The runs of a series.
   *
   * @param shownAgain goes back to the series, since a run that comes in goes to its stage
   */
  SeriesRuns(JobModel shell, SeriesModel series, Runnable shownAgain) {
    this.shell = shell;
    this.series = series;
    this.shownAgain = shownAgain;
    awaited = new AwaitedRun(shell, this::takeRun);
  }

  /** Takes a log of a settled load as the mount that is due. */
  void take(Path file, OptionalDouble room, String note) {
    Series.Due due = series.due();
    Series of = series.shownProperty().get();
    String name = file.getFileName().toString();
    shell
        .work()
        .submit(
            "reading " + name,
            progress -> {
              KeptCheck told =
                  CheckReading.of(
                      shell.traffic().log(file, progress),
                      room,
                      Judging.USUAL_TYPED_ROOM_KELVIN,
                      LocalDate.EPOCH);
              if (told.from() != KeptCheck.From.RUN) {
                throw new Problem(
                    "series.log",
                    Place.file(name),
                    "Its load is not steady, so it is no mount's run.",
                    "Load all cores until the temperatures hold, and log that.");
              }
              return told;
            },
            told -> {
              if (of.equals(series.shownProperty().get())) {
                series.change(
                    of.with(
                        new Series.Made(
                            due.candidate(),
                            due.block(),
                            told.riseKelvin(),
                            told.watts(),
                            room.isPresent() ? (Double) room.getAsDouble() : null,
                            "",
                            note)));
                shell.say(name + " is the mount of " + due.candidate() + ".");
              }
            });
  }

  /**
   * Runs that were just conducted are the mount that is due, apart from the job's proof. However
   * many plateaus they are, they are of one seating, so the first that can be judged is the mount.
   */
  void coming(int runs) {
    mountComing = true;
    awaited.coming(runs);
  }

  private void takeRun(RunResult run) {
    Optional<Series.Due> due =
        Optional.ofNullable(series.shownProperty().get()).flatMap(Series::next);
    Optional<RunAnalysis> fit =
        run.analysis().filter(a -> a.unfit().isEmpty() && a.hasRoom() && a.powerWatts() > 0);
    if (series.shownProperty().get() == null || (mountComing && due.isEmpty())) {
      return;
    }
    String name = "series " + series.shownProperty().get().name();
    shell.edit(name, job -> job.withRun(run.index(), run.entry().inState(name)));
    if (!mountComing) {
      return;
    }
    if (fit.isEmpty()) {
      shell.say("This run cannot be judged, so it is no mount. Run it again.");
      shownAgain.run();
      return;
    }
    mountComing = false;
    RunAnalysis told = fit.get();
    series.change(
        series
            .shownProperty()
            .get()
            .with(
                new Series.Made(
                        due.get().candidate(),
                        due.get().block(),
                        told.riseKelvin(),
                        told.powerWatts(),
                        told.roomCelsius(),
                        "",
                        "")
                    .checked()));
    shell.say("That was the mount of " + due.get().candidate() + ".");
    shownAgain.run();
  }
}
