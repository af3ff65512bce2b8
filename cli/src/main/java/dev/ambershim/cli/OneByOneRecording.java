package dev.ambershim.cli;

import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.assembly.Room;
import dev.ambershim.core.physics.build.BuildStack;
import dev.ambershim.core.physics.build.CoreLayout;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.runs.causes.CoreState;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.stage.diagnosis.CaseReading;
import dev.ambershim.core.stage.diagnosis.CoreStates;
import dev.ambershim.core.stage.diagnosis.DiagnosisCase;
import dev.ambershim.core.stage.diagnosis.Doubts;
import dev.ambershim.logbook.formats.DiagnoseJson;
import dev.ambershim.logbook.store.Json;
import dev.ambershim.logbook.store.WholeFile;
import dev.ambershim.sensors.Load;
import dev.ambershim.sensors.Source;
import dev.ambershim.sensors.live.OneByOne;
import dev.ambershim.sensors.rig.RigSetup;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * {@code record --one-by-one}: every sample in a log, and the settled states beside it. On the rig,
 * whose stack is known, these are a whole case of {@code diagnose}.
 */
final class OneByOneRecording {
  private static final int LEAST_SECONDS = 10;
  private static final int MOST_SECONDS = 600;
  private static final int TOLD_EVERY_SECONDS = 30;

  private final OneByOne.Times times;
  private final Optional<RigSetup> rig;
  private final Path log;
  private final Path file;

  private record Recorded(boolean done, String log, String file, List<ObjectNode> readings) {}

  /**
   * Prepares the files.
   *
   * @param stem how their names begin
   * @param each seconds for each core
   * @param rig what stands on the rig; empty for another machine
   * @throws Problem {@code record.…} if a file is there, or the time cannot be
   */
  OneByOneRecording(Path stem, double each, Optional<RigSetup> rig) {
    if (!(each >= LEAST_SECONDS && each <= MOST_SECONDS)) {
      throw new Problem(
          "record.each",
          Place.field("--each"),
          Notation.METRIC.editable(each, Unit.SECOND) + " s cannot be.",
          "Give 10 to 600 s; a chip under its lid takes about half a minute.");
    }
    int seconds = (int) Math.round(each);
    OneByOne.Times usual = OneByOne.Times.USUAL;
    times =
        new OneByOne.Times(
            usual.idleSeconds(), seconds, Math.min(usual.meanSeconds(), seconds / 2));
    this.rig = rig;
    log = stem.resolveSibling(stem.getFileName() + ".csv");
    file =
        stem.resolveSibling(
            stem.getFileName() + (rig.isPresent() ? ".diagnose.json" : ".readings.json"));
    for (Path one : List.of(log, file)) {
      if (Files.exists(one)) {
        throw new Problem(
            "record.there",
            Place.file(one.toString()),
            "The file is there already.",
            "Give another name; nothing is written over.");
      }
    }
    try {
      Files.createDirectories(stem.getParent());
    } catch (IOException e) {
      throw new Problem(
          "record.folder",
          Place.file(String.valueOf(stem.getParent())),
          "The folder cannot be made.",
          "Give a place that you may write to.",
          e);
    }
  }

  /**
   * Conducts it.
   *
   * @param typedRoom counts where no sensor tells the room
   * @param json whether JSON is printed, and nothing else
   */
  void record(
      Source source,
      Load load,
      double stopCelsius,
      OptionalDouble typedRoom,
      PrintWriter out,
      boolean json)
      throws InterruptedException {
    OneByOne run = new OneByOne(source, load, times, stopCelsius, typedRoom);
    List<CoreState> states =
        run.conduct(
            Optional.of(log),
            s -> {
              if (!json) {
                tell(out, s);
              }
            },
            () -> false);
    List<CaseReading> readings = CoreStates.readings(heats(source), states, 1, 0);
    List<ObjectNode> written = DiagnoseJson.readings(readings);
    ObjectNode alone = Json.mapper().createObjectNode();
    alone.putArray("readings").addAll(written);
    ObjectNode whole = rig.map(r -> DiagnoseJson.of(onRig(r, readings))).orElse(alone);
    WholeFile.write(file, Json.pretty(whole).getBytes(StandardCharsets.UTF_8));
    out.println(
        json
            ? Json.pretty(
                Json.published(new Recorded(true, log.toString(), file.toString(), written)))
            : "It read "
                + readings.size()
                + " settled states. They are in "
                + file.getFileName()
                + (rig.isPresent() ? "; diagnose reads it." : "; add them to a case of diagnose."));
    out.flush();
  }

  /** The rig's own layout; another machine's cores by number, as much as each other. */
  private List<HeatSource> heats(Source source) {
    int cores = (int) source.sensors().stream().filter(s -> s.role() == Role.CORE).count();
    return rig.map(r -> CoreLayout.of(r.machine().chip()).heat())
        .orElseGet(
            () ->
                IntStream.range(0, cores)
                    .mapToObj(c -> HeatSource.steady("core " + c, new Patch(c, 0, 1, 1), 1))
                    .toList());
  }

  private static DiagnosisCase onRig(RigSetup setup, List<CaseReading> readings) {
    Situation machine = setup.machine();
    return new DiagnosisCase(
        BuildStack.likely(machine, setup.watts(), Room.USUAL_CELSIUS),
        OptionalDouble.of(machine.cooler().beyondKelvinPerWatt()),
        readings,
        Set.of(),
        Doubts.OF_A_CASE);
  }

  private static void tell(PrintWriter out, OneByOne.Status s) {
    if (Math.round(s.seconds()) % TOLD_EVERY_SECONDS == 0) {
      out.println(
          String.format(
              Locale.ROOT,
              "  %4.0f of %.0f s  %-14s hottest %s",
              s.seconds(),
              s.all(),
              s.core() < 0 ? "idle" : "core " + s.core() + " alone",
              Notation.METRIC.text(s.hottestCelsius(), Unit.CELSIUS)));
      out.flush();
    }
  }
}
