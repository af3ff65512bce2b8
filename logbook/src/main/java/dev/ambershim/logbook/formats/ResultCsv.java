package dev.ambershim.logbook.formats;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import dev.ambershim.core.job.RunResult;
import dev.ambershim.core.runs.judging.RunAnalysis;
import dev.ambershim.core.stage.Assessment;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;

/** A job's runs as CSV, a line a run, metric with a decimal point. */
public final class ResultCsv {
  private static final List<String> HEADER =
      List.of(
          "side",
          "file",
          "fit",
          "rise_K",
          "mean_core_C",
          "hottest_core_C",
          "spread_K",
          "power_W",
          "clock_MHz",
          "room_C",
          "resistance_K_per_W",
          "plateau_s",
          "throttled_s");

  private ResultCsv() {}

  /** The table as text. */
  public static String of(Assessment assessment) {
    StringWriter out = new StringWriter();
    // Closing the writer hands over what it still holds; a text in memory cannot fail.
    try (CsvWriter csv = CsvWriter.builder().lineDelimiter(LineDelimiter.LF).build(out)) {
      csv.writeRecord(HEADER);
      assessment.runs().forEach(run -> csv.writeRecord(cells(run)));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  private static List<String> cells(RunResult run) {
    List<String> cells = new ArrayList<>();
    cells.add(run.entry().side().words());
    cells.add(Cell.text(run.entry().fileName()));
    cells.add(run.analysis().map(a -> a.unfit().isEmpty() ? "yes" : "no").orElse("no"));
    for (int i = cells.size(); i < HEADER.size(); i++) {
      int column = i;
      cells.add(run.analysis().map(a -> figure(a, column)).orElse(""));
    }
    return cells;
  }

  private static String figure(RunAnalysis a, int column) {
    double value =
        switch (HEADER.get(column)) {
          case "rise_K" -> a.riseKelvin();
          case "mean_core_C" -> a.meanCoreCelsius();
          case "hottest_core_C" -> a.hottestCoreCelsius();
          case "spread_K" -> a.spreadKelvin();
          case "power_W" -> a.powerWatts();
          case "clock_MHz" -> a.clockMegahertz();
          case "room_C" -> a.roomCelsius();
          case "resistance_K_per_W" -> a.resistanceKelvinPerWatt();
          case "plateau_s" -> a.plateauSeconds();
          default -> a.throttledSeconds();
        };
    return Double.isFinite(value) ? Double.toString(value) : "";
  }
}
