package dev.ambershim.sensors.live;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.protocol.Conductor;
import dev.ambershim.core.runs.protocol.Phase;
import dev.ambershim.core.runs.protocol.Protocol;
import dev.ambershim.core.runs.protocol.Status;
import dev.ambershim.core.runs.protocol.Stop;
import dev.ambershim.sensors.Load;
import dev.ambershim.sensors.Source;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * A stress run from its first sample to its last, on the thread that asks for it: samples go to
 * disk first, then to the conductor, and the load follows what it says. A plateau has a log of its
 * own, with the rest before it and the cool-down after it, so that each is a run; a warm-up has one
 * too.
 */
public final class ConductedRun {
  private final Source source;
  private final Load load;
  private final Protocol protocol;
  private final Path folder;
  private final String stem;
  private final List<String> notes;
  private volatile boolean stopAsked;

  /**
   * What came of a run.
   *
   * @param plateaus the log of each plateau that was begun, in order
   * @param warmUp the log of the warm-up, if there was one
   * @param stop why the run ended
   * @param broken what is wrong with the source, if that ended it
   */
  public record Outcome(
      List<Path> plateaus, Optional<Path> warmUp, Stop stop, Optional<Problem> broken) {
    /** Copies its list. */
    public Outcome {
      plateaus = List.copyOf(plateaus);
    }
  }

  /**
   * Prepares a run.
   *
   * @param folder where the logs go; made if it is not there
   * @param stem how their names begin
   * @param notes lines above each log's header, for people
   */
  public ConductedRun(
      Source source, Load load, Protocol protocol, Path folder, String stem, List<String> notes) {
    this.source = new WithSettings(source, protocol.settings());
    this.load = load;
    this.protocol = protocol;
    this.folder = folder;
    this.stem = stem;
    this.notes = List.copyOf(notes);
  }

  /** Asks the run to end after the sample that is due; any thread may. */
  public void stop() {
    stopAsked = true;
  }

  /**
   * Conducts the run.
   *
   * @param watcher told where it stands after each sample
   * @throws Problem {@code record.write} if the logs cannot be written
   * @throws InterruptedException if the thread is told to stop; what was recorded stays
   */
  public Outcome conduct(Notation notation, Consumer<Status> watcher) throws InterruptedException {
    List<Source.Sensor> sensors = source.sensors();
    Conductor conductor =
        new Conductor(
            protocol,
            sensors.stream().map(Source.Sensor::role).toList(),
            sensors.stream().map(Source.Sensor::name).toList(),
            notation);
    List<Path> plateaus = new ArrayList<>();
    Optional<Path> warmUp = Optional.empty();
    Optional<Problem> broken = Optional.empty();
    Recorder recorder = null;
    int part = -1;
    try {
      Files.createDirectories(folder);
      double begin = Double.NaN;
      double patience = source.patienceSeconds() * 1e9;
      long lastCame = System.nanoTime();
      while (conductor.stopped().isEmpty()) {
        Optional<Source.Sample> sample;
        try {
          sample = source.next();
        } catch (Problem problem) {
          // Nobody watches the limit any more, so the load ends at once; what was kept is judged.
          broken = Optional.of(problem);
          conductor.lost(problem.what());
          break;
        }
        if (stopAsked) {
          conductor.stop();
          break;
        }
        if (sample.isEmpty() && System.nanoTime() - lastCame < patience) {
          continue;
        }
        lastCame = System.nanoTime();
        if (sample.isEmpty()) {
          conductor.lost("The source gave no more samples.");
          break;
        }
        begin = Double.isNaN(begin) ? sample.get().seconds() : begin;
        Source.Sample now =
            new Source.Sample(sample.get().seconds() - begin, sample.get().figures());
        Phase phase = phaseAt(now.seconds());
        if (phase.plateau() != part) {
          close(recorder);
          part = phase.plateau();
          recorder = new Recorder(file(part), notes, sensors);
          if (part == 0) {
            warmUp = Optional.of(recorder.file());
          } else {
            plateaus.add(recorder.file());
          }
        }
        recorder.keep(now);
        Status status = conductor.accept(now.seconds(), now.figures());
        load.set(status.load());
        watcher.accept(status);
      }
    } catch (UncheckedIOException | IOException e) {
      throw new Problem(
          "record.write",
          Place.file(folder.toString()),
          "The samples cannot be written there.",
          "Choose a folder with room that you may write to, and a name that is not taken.",
          e);
    } finally {
      load.close();
      close(recorder);
    }
    return new Outcome(plateaus, warmUp, conductor.stopped().orElseThrow(), broken);
  }

  private Phase phaseAt(double seconds) {
    List<Phase> phases = protocol.phases();
    return phases.stream()
        .filter(p -> seconds < p.toSeconds())
        .findFirst()
        .orElse(phases.get(phases.size() - 1));
  }

  private Path file(int part) {
    if (part == 0) {
      return folder.resolve(stem + "-warm-up.csv");
    }
    return folder.resolve(
        protocol.plateaus() == 1 ? stem + ".csv" : stem + "-plateau-" + part + ".csv");
  }

  private static void close(Recorder recorder) {
    if (recorder != null) {
      recorder.close();
    }
  }
}
