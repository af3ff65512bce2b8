package dev.ambershim.cli;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Figures;
import dev.ambershim.core.job.LadderFigures;
import dev.ambershim.core.job.RungEntry;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.runs.clocking.LadderTerms;
import dev.ambershim.core.runs.clocking.RunRung;
import dev.ambershim.core.runs.clocking.Rung;
import dev.ambershim.core.runs.judging.Judging;
import dev.ambershim.core.stage.prove.Headroom;
import dev.ambershim.logbook.formats.HeadroomJson;
import dev.ambershim.logbook.formats.RungCsv;
import dev.ambershim.logbook.store.Json;
import dev.ambershim.logbook.store.LogFiles;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code headroom}: how far the chip clocks, and what the work brought in megahertz. */
@Command(
    name = "headroom",
    mixinStandardHelpOptions = true,
    description = "Tell from rungs by hand and from runs how far a chip clocks.")
final class HeadroomCommand implements Callable<Integer> {
  @Spec CommandSpec spec;

  @Parameters(
      arity = "0..*",
      paramLabel = "RUNGS.csv",
      description = "Rungs that were written down; see docs/formats.md.")
  List<Path> tables = List.of();

  @Option(
      names = "--before",
      arity = "1..*",
      paramLabel = "CSV",
      description = "Logs from before the work, each a rung at the clock it held.")
  List<Path> before = List.of();

  @Option(
      names = "--after",
      arity = "1..*",
      paramLabel = "CSV",
      description = "Logs from after the work.")
  List<Path> after = List.of();

  @Option(
      names = "--limit",
      paramLabel = "C",
      defaultValue = "90",
      description = "The hottest core you allow (default: ${DEFAULT-VALUE} °C).")
  double limit;

  @Option(
      names = "--step",
      paramLabel = "MHZ",
      defaultValue = "100",
      description = "Usual step between rungs (default: ${DEFAULT-VALUE} MHz).")
  double step;

  @Option(
      names = "--in-room",
      paramLabel = "C",
      description = "Room to judge the limit in (default: the rungs' mean).")
  Double room;

  @Option(
      names = "--remount",
      paramLabel = "K",
      defaultValue = "0.5",
      description = "Standard deviation between mounts (default: ${DEFAULT-VALUE} K).")
  double remount;

  @Option(names = "--json", description = "Print JSON.")
  boolean json;

  @Mixin LogInput input;

  @Override
  public Integer call() {
    check();
    List<RungEntry> typed = new ArrayList<>();
    for (Path table : tables) {
      String text = new String(LogFiles.read(table), StandardCharsets.UTF_8);
      typed.addAll(RungCsv.read(table.toString(), text));
    }
    List<Rung> first = rungs(typed, Side.BEFORE, before);
    List<Rung> second = rungs(typed, Side.AFTER, after);
    if (first.isEmpty() && second.isEmpty()) {
      throw new Problem(
          "headroom.nothing",
          Place.field("RUNGS.csv"),
          "There is no rung.",
          "Name a table of rungs, or logs with a clock behind --before and --after.");
    }
    Headroom headroom =
        Headroom.of(
            first,
            second,
            new LadderTerms(limit, step, room, ""),
            new Judging(1, remount).remountKelvin(),
            Notation.METRIC);
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.println(Json.pretty(HeadroomJson.of(headroom)));
    } else {
      out.println(headroom.finding().sentence());
      headroom.reasons().forEach(r -> out.println("  " + r));
      Stream.of(
              headroom.kelvinAtEqualClock(),
              headroom.heatLimit(false),
              headroom.heatLimit(true),
              headroom.gainWithoutBounds())
          .flatMap(Optional::stream)
          .map(Finding::sentence)
          .forEach(s -> out.println("  " + s));
      if (!first.isEmpty()) {
        out.println("  Before: " + headroom.next(false).sentence());
      }
      if (!second.isEmpty()) {
        out.println("  After: " + headroom.next(true).sentence());
      }
    }
    out.flush();
    return 0;
  }

  private void check() {
    LadderFigures.LIMIT.given("--limit", limit);
    LadderFigures.STEP.given("--step", step);
    Figures.REMOUNT.given("--remount", remount);
    LogInput.checkRoom("--in-room", room);
  }

  private List<Rung> rungs(List<RungEntry> typed, Side side, List<Path> logs) {
    List<Rung> rungs = new ArrayList<>();
    typed.stream().filter(r -> r.side() == side).forEach(r -> rungs.add(r.rung()));
    for (LogInput.Run run : input.readOne(logs)) {
      rungs.add(
          RunRung.of(run.log(), run.analysis())
              .orElseThrow(
                  () ->
                      new Problem(
                          "headroom.clock",
                          Place.file(run.log().fileName()),
                          "The log has no clock, so it is no rung.",
                          "Say which column it is, as in --role \"Core clock=clock\".")));
    }
    return rungs;
  }
}
