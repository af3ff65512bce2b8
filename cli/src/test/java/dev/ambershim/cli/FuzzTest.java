package dev.ambershim.cli;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Care;
import dev.ambershim.core.job.CareEvent;
import dev.ambershim.core.job.Found;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.KeptCheck;
import dev.ambershim.core.job.KeptCheck.From;
import dev.ambershim.core.job.Reading;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.logbook.bundle.JobBundle;
import dev.ambershim.logbook.report.ReportFiles;
import dev.ambershim.logbook.store.Access;
import dev.ambershim.logbook.store.Json;
import dev.ambershim.logbook.store.Logbook;
import dev.ambershim.logbook.store.Readings;
import dev.ambershim.logbook.store.StoredJob;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Spoilt inputs over every reader: a command ends with 0 or with 2 and one line, never with a fault
 * of ours; a bundle is refused with a problem, or can be shown, reported and written out. By chance
 * with a fixed seed; {@code -Dfuzz.inputs=1000000} asks for as many.
 */
@Tag("slow")
class FuzzTest {
  private static final int INPUTS = Integer.getInteger("fuzz.inputs", 2000);
  private static final long SEED = Long.getLong("fuzz.seed", 7);

  /**
   * No input may keep a person waiting for longer; many times what a good one takes. A machine that
   * does something else for a while must not fail it, so only an input that is slow again counts.
   */
  private static final double LONGEST_SECONDS = 5;

  private static final int TRIES = 4;

  @TempDir Path folder;

  private final Mutator mutator = new Mutator(SEED);
  private final List<String> wrong = new ArrayList<>();
  private double longest;
  private String slowest = "";

  /** A reader: a good input, and the command line that reads it. */
  private record Reader(String file, String input, List<String> words) {}

  private static String log(String delimiter, boolean comma) {
    StringBuilder log = new StringBuilder();
    log.append(String.join(delimiter, "time", "Core 0 [°C]", "Core 1 [°C]", "power [W]", "room"));
    for (int t = 0; t < 90; t++) {
      log.append('\n')
          .append(
              String.join(
                  delimiter,
                  "10:00:" + (t < 10 ? "0" : "") + t % 60,
                  String.valueOf(t < 10 ? 31.5 : 70.5 + t % 3),
                  String.valueOf(t < 10 ? 31.0 : 72.5 + t % 2),
                  t < 10 ? "20.5" : "160.5",
                  "21.5"));
    }
    String text = log.append('\n').toString();
    return comma ? text.replace('.', ',') : text;
  }

  private static String habit(String kind) {
    StringBuilder log = new StringBuilder();
    for (int t = 0; t < 60; t++) {
      switch (kind) {
        case "jsonl" ->
            log.append("{\"t\":" + t + ",\"cpu\":{\"cores\":[{\"id\":0,\"temp\":70.5},{\"id\":1,")
                .append(
                    "\"temp\":71}]},\"power_W\":160,\"room\":{\"value\":21.5,\"unit\":\"°C\"}}\n");
        case "blocks" ->
            log.append("chip-isa-0000\nAdapter: ISA adapter\nCore 0:  +70.5°C  (high = +100.0°C)\n")
                .append("Core 1:  +71.0°C  (high = +100.0°C)\nfan1: 1500 RPM\n\n");
        case "cores" -> {
          log.append(t == 0 ? "time,core,temp_c,package_power_w\n" : "");
          log.append(t + ",0,70.5,160\n" + t + ",1,71.5,\n" + t + ",2,72,\n");
        }
        default -> {
          log.append(t == 0 ? "time;sensor;value;unit\n" : "");
          log.append(t + ";Core 0;70.5;°C\n" + t + ";Core 1;71.5;°C\n" + t + ";Power;160;W\n");
        }
      }
    }
    return log.toString();
  }

  private static Care care() {
    LocalDate day = LocalDate.of(2026, 1, 1);
    Care care = Care.NONE;
    for (int i = 0; i < 6; i++) {
      care =
          care.with(
              new KeptCheck(
                  day.plusMonths(i), From.EVERYDAY, "a.csv", 52.5 + i, 160, 0.3, 9.0, "", 1));
    }
    return care.with(new CareEvent(day, CareEvent.Kind.DUST, "a brush"))
        .with(new Found(day, List.of(Found.Look.DULL), "thin"))
        .withLimitCelsius(85.0);
  }

  private static Job job() {
    return Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4")
        .withReadings(List.of(Reading.plain("first look", 160, 80, 22)))
        .withCare(care());
  }

  private static final String STACK =
      """
      {"format": "ambershim/stack-1", "layers": [
        {"name": "die", "conductivityWattsPerMetreKelvin": 120.0, "centreMillimetres": [0, 0],
         "sizeMillimetres": [20, 10], "thicknessMicrometres": 600},
        {"name": "joint", "conductivityWattsPerMetreKelvin": 30.0, "centreMillimetres": [0, 0],
         "sizeMillimetres": [20, 10], "thicknessMicrometres": 40, "interface": true,
         "contactResistanceSquareMillimetreKelvinPerWatt": 1.0,
         "thicknessMap": {"kind": "plane", "slopeMicrometresPerMillimetre": [1.0, -0.5]}},
        {"name": "lid", "conductivityWattsPerMetreKelvin": 401.0, "centreMillimetres": [0, 0],
         "sizeMillimetres": [30, 30], "thicknessMicrometres": 2000}],
       "heat": [{"name": "core 0", "centreMillimetres": [-5, 2], "sizeMillimetres": [3, 3], "watts": 20}],
       "cooling": {"filmCoefficientWattsPerSquareMetreKelvin": 20000.0, "temperatureCelsius": 30.0}}
      """;

  private List<Reader> readers() {
    String probe = "x_mm,y_mm,z_um\n0,0,11\n9,0,2\n0,9,8\n9,9,5\n4,4,6\n-9,3,2.5\n";
    String rest =
        """
        {"loadMillimetres": [0, 0], "features": [
          {"name": "die", "xMillimetres": -5, "yMillimetres": -5, "heightMillimetres": 0.78,
           "toleranceMillimetres": 0.01},
          {"name": "b", "xMillimetres": 5, "yMillimetres": -5, "heightMillimetres": 0.78},
          {"name": "c", "xMillimetres": 0, "yMillimetres": 6, "heightMillimetres": 0.78}]}
        """;
    String rungs =
        """
        side,clock_MHz,voltage_V,outcome,how,hottest_C,room_C,power_W,minutes
        before,4600,1.2,passed,,80,22,150,30
        before,4800,1.25,failed,froze,88,22,160,5
        after,5000,1.3,passed,,82,22,170,30
        """;
    String document = Json.write(job());
    List<Reader> all = new ArrayList<>();
    for (String d : List.of(",", ";", "\t")) {
      all.add(new Reader("run.csv", log(d, !d.equals(",")), List.of("analyse", "", "--json")));
    }
    for (String kind : List.of("jsonl", "blocks", "cores", "long")) {
      all.add(new Reader("run.txt", habit(kind), List.of("analyse", "", "--json")));
    }
    all.add(
        new Reader("a.csv", log(",", false), List.of("compare", "--before", "", "--after", "")));
    all.add(new Reader("p.csv", probe, List.of("flatness", "", "--json")));
    all.add(new Reader("f.rest.json", rest, List.of("rest", "", "--json")));
    all.add(new Reader("r.csv", rungs, List.of("headroom", "", "--json")));
    all.add(new Reader("c.stack.json", STACK, List.of("solve", "", "--cells", "2000", "--json")));
    String readings =
        """
        {"format": "ambershim/diagnose-1", "loopKelvinPerWatt": 0.04, "stack": %s, "readings": [
         {"name": "all", "mount": 1, "coolerTurnedDegrees": 0, "roomCelsius": 22,
          "coolantCelsius": 30, "wattsByCore": {"core 0": 20},
          "coreCelsius": {"core 0": 61}}], "signs": ["dust"]}
        """
            .formatted(STACK);
    all.add(new Reader("d.diagnose.json", readings, List.of("diagnose", "", "--json")));
    all.add(
        new Reader(
            "h.csv",
            """
            date,rise_K,power_W,state,standard_error_K,mount
            2025-03-01,60.2,149.7,after,0.3,1
            2025-06-01,61.2,151.7,after,,1
            2025-09-01,60.9,148.7,after,0.2,2
            2026-01-01,62.2,149.9,before,0.3,2
            2026-03-01,66.2,155.7,after,0.3,2
            2026-04-01,66.0,154.7,after,0.3,2
            """,
            List.of("drift", "", "--limit", "95", "--json")));
    all.add(
        new Reader(
            "s.csv",
            """
            candidate,block,rise_K,power_W,order,price,spoiled
            A,1,59.05,148.1,1,0.4,
            B,1,58.15,151.6,2,0.7,
            C,1,,,3,,hair
            B,2,58.74,148.5,4,0.7,
            A,2,61.47,150.9,5,0.4,
            C,2,59.36,151.4,6,,
            A,3,62.24,150.0,7,0.4,
            C,3,59.33,148.5,8,,
            """,
            List.of("series", "judge", "", "--json")));
    all.add(new Reader("day.csv", log(",", false), List.of("everyday", "", "--json")));
    for (String command : List.of("plan", "dose", "mount")) {
      all.add(new Reader("job.json", document, List.of(command, "", "--json")));
    }
    return all;
  }

  @Test
  void noSpoiltInputIsAFaultOfOurs() throws IOException {
    List<Reader> readers = readers();
    for (Reader reader : readers) {
      run(reader, reader.input().getBytes(StandardCharsets.UTF_8), -1);
    }
    assertThat(wrong).as("good inputs").isEmpty();
    for (int i = 0; i < INPUTS; i++) {
      Reader reader = readers.get(i % readers.size());
      run(reader, mutator.spoilt(reader.input().getBytes(StandardCharsets.UTF_8)), i);
    }
    assertThat(wrong).isEmpty();
    assertThat(longest).as("seconds of %s", slowest).isLessThan(LONGEST_SECONDS);
  }

  private void run(Reader reader, byte[] input, int number) throws IOException {
    Path file = folder.resolve(reader.file());
    Files.write(file, input);
    String[] words =
        reader.words().stream().map(w -> w.isEmpty() ? file.toString() : w).toArray(String[]::new);
    String what = "input " + number + " of " + String.join(" ", words);
    double seconds = Double.POSITIVE_INFINITY;
    for (int i = 0; i < TRIES && seconds > LONGEST_SECONDS; i++) {
      seconds = Math.min(seconds, run(reader, what, words, input));
    }
    if (seconds > longest) {
      longest = seconds;
      slowest = what;
    }
  }

  /** Seconds that one run took. */
  private double run(Reader reader, String what, String[] words, byte[] input) throws IOException {
    long begin = System.nanoTime();
    try {
      Outcome outcome = Outcome.run(words);
      boolean fine =
          outcome.code() == 0
              ? outcome.err().strip().lines().count() <= 1
              : outcome.code() == 2 && outcome.err().strip().lines().count() == 1;
      boolean json = outcome.code() == 0 && reader.words().contains("--json");
      if (!fine || (json && outcome.out().matches("(?s).*: (NaN|\"?-?Infinity).*"))) {
        keep(what + ": " + outcome.code() + " " + outcome.err(), input);
      }
    } catch (RuntimeException | Error e) {
      keep(what + ": " + e, input);
    }
    return (System.nanoTime() - begin) / 1e9;
  }

  /** Inputs that went wrong are kept, so that they can be looked at. */
  private void keep(String what, byte[] input) throws IOException {
    Path kept = Files.createDirectories(Path.of("target", "fuzz"));
    Files.write(kept.resolve("wrong-" + wrong.size()), input);
    wrong.add(what.replaceAll("\\s+", " "));
    assertThat(wrong.size()).as("too many went wrong: %s", wrong).isLessThan(25);
  }

  @Test
  void aSpoiltBundleIsRefusedOrCanBeShownReportedAndWritten() throws IOException {
    byte[] log = log(",", false).getBytes(StandardCharsets.UTF_8);
    String hash = Readings.sha256(log);
    byte[] document =
        Json.write(
                job()
                    .withRun(RunEntry.of(Side.BEFORE, "a.csv", hash))
                    .withRun(RunEntry.of(Side.AFTER, "a.csv", hash)))
            .getBytes(StandardCharsets.UTF_8);
    int taken = 0;
    int count = Math.max(100, INPUTS / 10);
    for (int i = 0; i < count; i++) {
      byte[] spoilt =
          i == 0 ? document : i % 3 == 0 ? mutator.spoilt(document) : mutator.otherValue(document);
      Path bundle = folder.resolve("job.shimjob");
      byte[] zip = zip(spoilt, hash, log);
      Files.write(bundle, i % 10 == 9 ? mutator.spoilt(zip) : zip);
      Path book = folder.resolve("book" + i);
      try (Logbook logbook = Logbook.open(book, Access.WRITE, Clock.systemUTC())) {
        StoredJob stored = JobBundle.read(logbook, bundle).stored();
        shown(logbook, stored, i);
        taken++;
      } catch (Problem refused) {
        assertThat(refused.getMessage().lines().count()).isEqualTo(1);
        assertThat(i).as(refused.getMessage()).isPositive();
      } catch (RuntimeException | Error e) {
        keep("bundle " + i + ": " + e, spoilt);
      }
    }
    assertThat(wrong).isEmpty();
    assertThat(taken).isGreaterThan(count / 20);
  }

  private void shown(Logbook logbook, StoredJob stored, int i) {
    Map<String, RunLog> logs = new HashMap<>();
    stored.job().runs().forEach(r -> logs.put(r.sha256(), logbook.files().log(r)));
    Assessment assessment = Assessment.of(stored.job(), logs, Notation.METRIC);
    Path report = folder.resolve("report" + i + (i % 5 == 0 ? ".pdf" : ".html"));
    ReportFiles.write(
        assessment,
        Optional.empty(),
        photo -> Optional.empty(),
        Notation.METRIC,
        "2026-01-01",
        report);
    ReportFiles.writeResults(assessment, Optional.empty(), folder.resolve("results" + i + ".json"));
    ReportFiles.writeResults(assessment, Optional.empty(), folder.resolve("results" + i + ".csv"));
    assertThat(report).isNotEmptyFile();
  }

  private static byte[] zip(byte[] document, String hash, byte[] log) throws IOException {
    Map<String, byte[]> files = new LinkedHashMap<>();
    files.put(
        "bundle.json", "{\"format\": \"ambershim/bundle-1\"}".getBytes(StandardCharsets.UTF_8));
    files.put("job.json", document);
    files.put("logs/" + hash + ".log", log);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(out)) {
      for (Map.Entry<String, byte[]> file : files.entrySet()) {
        zip.putNextEntry(new ZipEntry(file.getKey()));
        zip.write(file.getValue());
      }
    }
    return out.toByteArray();
  }
}
