package dev.ambershim.logbook.formats;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.TableText;
import dev.ambershim.core.job.RungEntry;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.runs.clocking.Outcome;
import dev.ambershim.core.runs.clocking.Rung;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** Rungs of a clock ladder as CSV, a line a rung; see docs/formats.md. */
public final class RungCsv {
  private static final List<String> HEADER =
      List.of(
          "side",
          "clock_MHz",
          "voltage_V",
          "outcome",
          "how",
          "hottest_C",
          "room_C",
          "power_W",
          "minutes");

  private static final String REMEDY =
      "Give a header line such as " + String.join(",", HEADER) + ", and a line a rung.";

  private RungCsv() {}

  /** Rungs as text. */
  public static String write(List<RungEntry> rungs) {
    StringWriter out = new StringWriter();
    try (CsvWriter csv = CsvWriter.builder().lineDelimiter(LineDelimiter.LF).build(out)) {
      csv.writeRecord(HEADER);
      for (RungEntry entry : rungs) {
        Rung r = entry.rung();
        csv.writeRecord(
            entry.side().words(),
            plain(r.clockMegahertz()),
            plain(r.voltageVolts()),
            r.outcome().words(),
            Cell.text(r.how()),
            plain(r.hottestCelsius()),
            plain(r.roomCelsius()),
            plain(r.watts()),
            plain(r.minutes()));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  private static String plain(Double value) {
    if (value == null) {
      return "";
    }
    return value == Math.rint(value) ? String.valueOf(value.longValue()) : value.toString();
  }

  /**
   * Reads rungs. Columns may stand in any order, apart by comma, semicolon or tab, also as
   * clock_GHz, voltage_mV, hottest_F, room_F, power_mW and hours; only clock and outcome must be
   * there; without a side a rung is of before the work.
   *
   * @throws Problem {@code rungs.…}, naming file, line and column
   */
  public static List<RungEntry> read(String fileName, String text) {
    List<RungEntry> rungs = new ArrayList<>();
    List<String> header = new ArrayList<>();
    TableText.read(
        fileName,
        text,
        "rungs",
        REMEDY,
        (at, cells) -> {
          if (header.isEmpty()) {
            cells.forEach(name -> header.add(name.strip()));
          } else {
            rungs.add(rung(fileName, new Line(at, header, cells)));
          }
        });
    if (rungs.isEmpty()) {
      throw problem(fileName, 1, "There is no rung in it.");
    }
    return rungs;
  }

  private static Problem problem(String file, int line, String what) {
    return new Problem("rungs.table", Place.line(file, line), what, REMEDY);
  }

  private static RungEntry rung(String file, Line line) {
    int at = line.at();
    Double clock = figure(file, line, Figure.CLOCK);
    if (clock == null) {
      throw problem(file, at, "The rung has no clock_MHz.");
    }
    try {
      return new RungEntry(
          side(file, at, cell(line, "side")),
          new Rung(
              clock,
              figure(file, line, Figure.VOLTAGE),
              outcome(file, at, cell(line, "outcome")),
              Cell.words(cell(line, "how")),
              figure(file, line, Figure.HOTTEST),
              figure(file, line, Figure.ROOM),
              figure(file, line, Figure.POWER),
              figure(file, line, Figure.MINUTES),
              "",
              null));
    } catch (Problem p) {
      if (p.key().startsWith("rung.")) {
        throw new Problem(p.key(), Place.line(file, at), p.what(), p.remedy(), p);
      }
      throw p;
    }
  }

  /**
   * A line of the table.
   *
   * @param at where it stands in the file, from 1
   * @param header names of the columns
   */
  private record Line(int at, List<String> header, List<String> cells) {}

  private static String cell(Line line, String name) {
    for (int i = 0; i < Math.min(line.header().size(), line.cells().size()); i++) {
      if (line.header().get(i).equalsIgnoreCase(name)) {
        return line.cells().get(i).strip();
      }
    }
    return "";
  }

  /** A column of figures: its name, and the one that it has in another unit. */
  private enum Figure {
    CLOCK("clock_MHz", "clock_GHz", 1000, 0),
    VOLTAGE("voltage_V", "voltage_mV", 1e-3, 0),
    HOTTEST("hottest_C", "hottest_F", 1 / 1.8, -32 / 1.8),
    ROOM("room_C", "room_F", 1 / 1.8, -32 / 1.8),
    POWER("power_W", "power_mW", 1e-3, 0),
    MINUTES("minutes", "hours", 60, 0);

    private final String name;
    private final String other;
    private final double factor;
    private final double plus;

    Figure(String name, String other, double factor, double plus) {
      this.name = name;
      this.other = other;
      this.factor = factor;
      this.plus = plus;
    }
  }

  private static Double figure(String file, Line line, Figure of) {
    String plain = cell(line, of.name);
    if (!plain.isEmpty()) {
      return number(file, line, of.name, plain);
    }
    String other = cell(line, of.other);
    return other.isEmpty()
        ? null
        : (Double) (number(file, line, of.other, other) * of.factor + of.plus);
  }

  private static double number(String file, Line line, String name, String text) {
    double value = TableText.figure(text);
    if (Double.isNaN(value)) {
      throw problem(file, line.at(), TableText.quoted(text) + " under " + name + " is no figure.");
    }
    return value;
  }

  private static Side side(String file, int line, String text) {
    if (text.isEmpty()) {
      return Side.BEFORE;
    }
    return Arrays.stream(Side.values())
        .filter(s -> s.words().equals(text.toLowerCase(Locale.ROOT)))
        .findFirst()
        .orElseThrow(
            () -> problem(file, line, "\"" + text + "\" is no side; say before or after."));
  }

  private static Outcome outcome(String file, int line, String text) {
    return Arrays.stream(Outcome.values())
        .filter(o -> o.words().equals(text.toLowerCase(Locale.ROOT).replace('_', ' ')))
        .findFirst()
        .orElseThrow(
            () ->
                problem(
                    file,
                    line,
                    "\""
                        + text
                        + "\" is no outcome; say "
                        + Arrays.stream(Outcome.values())
                            .map(Outcome::words)
                            .collect(Collectors.joining(", "))
                        + "."));
  }
}
