package dev.ambershim.core.runs.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Sample files, one for each habit of writing a log, made up for this: 24 samples a second apart,
 * core i at 60 + i + t/2 °C, the package at 70 + t/2 °C, 160 + t/4 W, 4700 MHz, 1.205 V, 1500 rpm
 * and a room of 21.5 °C, where a file says them.
 */
class HabitsTest {
  private static final int SAMPLES = 24;

  private static RunLog read(String name) {
    try (InputStream file = HabitsTest.class.getResourceAsStream("/habits/" + name)) {
      return LogReader.read(name, file.readAllBytes());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void only(RunLog log, Role role, double from, double step, double off) {
    List<Channel> found = log.with(role);
    assertThat(found).as("%s: %s of %s", log.fileName(), role, log.channels()).hasSize(1);
    follows(log, found.get(0), from, step, off);
  }

  private static void follows(RunLog log, Channel channel, double from, double step, double off) {
    for (int t = 0; t < SAMPLES; t++) {
      assertThat(channel.values()[t])
          .as("%s: %s at %d", log.fileName(), channel.name(), t)
          .isCloseTo(from + step * t, within(off));
    }
  }

  private static void cores(RunLog log, int count, double off) {
    assertThat(log.size()).as(log.fileName()).isEqualTo(SAMPLES);
    assertThat(log.seconds()[SAMPLES - 1]).as(log.fileName()).isCloseTo(SAMPLES - 1, within(0.1));
    List<Channel> cores = log.with(Role.CORE);
    assertThat(cores).as("%s: %s", log.fileName(), names(log)).hasSize(count);
    for (int i = 0; i < count; i++) {
      follows(log, cores.get(i), 60 + i, 0.5, off);
    }
  }

  private static List<String> names(RunLog log) {
    return log.channels().stream().map(c -> c.name() + " " + c.unit() + " " + c.role()).toList();
  }

  /** Where files say it: package, power, clock, voltage, fan and room, by their letters. */
  @ParameterizedTest
  @CsvSource({
    "units-in-names.csv, 2, tpcvfr",
    "parts-of-units.csv, 2, pcvr",
    "names-de.csv, 2, tpcvfr",
    "names-fr.csv, 2, tpcvfr",
    "names-es.csv, 2, tpcvfr",
    "names-pl.csv, 2, tpcvfr",
    "names-pl-cp1250.csv, 2, tpcvfr",
    "names-it.csv, 2, tpcvfr",
    "names-ru.csv, 2, tpcvfr",
    "names-ru-cp1251.csv, 2, tpcvfr",
    "names-zh.csv, 2, tpcvfr",
    "names-zh-gb18030.csv, 2, tpcvfr",
    "rows-by-core.csv, 4, tp",
    "line-a-reading.csv, 2, pcr",
    "line-a-reading-with-units.csv, 2, p",
    "lines.jsonl, 2, tpr",
    "array.json, 2, pr",
    "wrapped.json, 2, pr",
    "columns.json, 2, pr",
    "readings.jsonl, 2, pr",
    "sensor-tool-json.txt, 2, tvf",
    "sensor-tool.txt, 2, t",
    "sensor-tool-timed.txt, 2, t",
    "sensor-tool-epoch-behind.txt, 2, t",
    "sensor-tool-raw.txt, 2, t",
    "look-alikes.csv, 2, p"
  })
  void isReadRightWithoutAQuestion(String name, int cores, String also) {
    RunLog log = read(name);
    cores(log, cores, 0.051);
    for (int k = 0; k < also.length(); k++) {
      switch (also.charAt(k)) {
        case 't' -> only(log, Role.PACKAGE, 70, 0.5, 0.051);
        case 'p' -> only(log, Role.POWER, 160, 0.25, 0.001);
        case 'v' -> only(log, Role.VOLTAGE, 1.205, 0, 0.001);
        case 'f' -> only(log, Role.FAN, 1500, 0, 0.001);
        case 'r' -> only(log, Role.ROOM, 21.5, 0, 0.001);
        default -> log.with(Role.CLOCK).forEach(clock -> follows(log, clock, 4700, 0, 1.01));
      }
    }
    if (also.contains("c")) {
      assertThat(log.with(Role.CLOCK)).as(name).isNotEmpty();
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"rows-by-thread.tsv"})
  void rowsByThreadComeToCoresWithTheChipsFiguresOnce(String name) {
    RunLog log = read(name);
    cores(log, 4, 0.51);
    only(log, Role.PACKAGE, 70, 0.5, 0.51);
    only(log, Role.POWER, 160, 0.25, 0.001);
    assertThat(log.with(Role.CLOCK)).allSatisfy(c -> follows(log, c, 4700, 0, 0.001));
    assertThat(log.notes().remarks()).anyMatch(r -> r.startsWith("Written as rows by CPU"));
  }

  /**
   * Whole degrees that come round are no numbers of cores, and two lines a second no rows by core.
   */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "elapsed [s],\"core 0 [°C]\"\n",
        "time,core 0\n",
        "time,core\n",
        "time,cpu,flag\n",
        "time,core 0,phase\n"
      })
  void anOrdinaryTableStaysOne(String header) {
    StringBuilder log = new StringBuilder(header);
    int extra = header.split(",", -1).length - 2;
    for (int t = 0; t < 120; t++) {
      log.append(header.contains("phase") ? t / 2 : t).append(',').append(60 + t % 3);
      log.append(extra > 0 ? "," + t % 2 : "").append('\n');
    }
    RunLog read = LogReader.read("plain.csv", log.toString().getBytes(StandardCharsets.UTF_8));
    assertThat(read.size()).isEqualTo(120);
    assertThat(read.channels().get(0).values()[4]).isEqualTo(61);
  }

  @ParameterizedTest
  @ValueSource(strings = {"look-alikes.csv"})
  void whatOnlyLooksLikeACoreStaysUnused(String name) {
    RunLog log = read(name);
    assertThat(log.channels())
        .filteredOn(c -> c.name().matches("(?i).*(distance|so far|crit|avg|max|limit).*"))
        .filteredOn(c -> c.role() != Role.THROTTLE)
        .isNotEmpty()
        .allMatch(c -> c.role() == Role.UNUSED);
  }
}
