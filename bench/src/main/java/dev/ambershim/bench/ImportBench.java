package dev.ambershim.bench;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import dev.ambershim.core.runs.judging.RunAnalyser;
import dev.ambershim.core.runs.judging.RunAnalysis;
import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.core.runs.reading.RunLog;
import java.io.BufferedWriter;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.concurrent.TimeUnit;

/**
 * A log of one million rows by forty channels: time until it is read and analysed ÷ time that
 * FastCSV takes merely to make records of the same bytes, in turn in one process, medians. The heap
 * is that of the smallest process, of those tried, that reads and analyses the file from disk, ÷
 * the bytes of the samples kept of it (eight for each figure).
 */
public final class ImportBench {
  private static final int ROWS = 1_000_000;
  private static final int CHANNELS = 40;
  private static final int ROUNDS = 5;
  private static final double[] HEAP_RATIOS = {1.6, 1.8, 2.0, 2.25, 2.5, 3.0, 4.0};

  /**
   * What was measured.
   *
   * @param importSeconds median time to read and analyse
   * @param tokeniseSeconds median time of FastCSV
   * @param heapRatio least heap that sufficed ÷ bytes of the kept samples
   * @param megabytes size of the file
   */
  public record Result(
      double importSeconds, double tokeniseSeconds, double heapRatio, double megabytes) {
    /** The ratio. */
    public double ratioToTokenise() {
      return importSeconds / tokeniseSeconds;
    }
  }

  private ImportBench() {}

  /** Measures. */
  public static Result run() {
    try {
      Path file = Files.createTempFile("amber-shim-bench", ".csv");
      try {
        write(file, ROWS);
        double heap = heapRatio(file);
        byte[] bytes = Files.readAllBytes(file);
        double[] analyse = new double[ROUNDS];
        double[] tokenise = new double[ROUNDS];
        for (int i = -2; i < ROUNDS; i++) {
          double a = secondsToTokenise(bytes);
          double b = secondsToImport(bytes);
          if (i >= 0) { // the rounds before only warm the compiler
            tokenise[i] = a;
            analyse[i] = b;
          }
        }
        Arrays.sort(analyse);
        Arrays.sort(tokenise);
        return new Result(analyse[ROUNDS / 2], tokenise[ROUNDS / 2], heap, bytes.length / 1e6);
      } finally {
        Files.deleteIfExists(file);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static double secondsToImport(byte[] bytes) {
    long start = System.nanoTime();
    analyse("bench.csv", bytes);
    return (System.nanoTime() - start) / 1e9;
  }

  private static double secondsToTokenise(byte[] bytes) throws IOException {
    long start = System.nanoTime();
    long cells = 0;
    try (CsvReader<CsvRecord> csv =
        CsvReader.builder().ofCsvRecord(new ByteArrayInputStream(bytes))) {
      for (CsvRecord record : csv) {
        cells += record.getFieldCount();
      }
    }
    double seconds = (System.nanoTime() - start) / 1e9;
    if (cells != (CHANNELS + 1L) * (ROWS + 1L)) {
      throw new IllegalStateException("the log has " + cells + " cells");
    }
    return seconds;
  }

  private static void analyse(String name, byte[] bytes) {
    RunLog log = LogReader.read(name, bytes);
    RunAnalysis analysis = RunAnalyser.analyse(log, OptionalDouble.empty());
    if (log.size() != ROWS || log.channels().size() != CHANNELS || analysis.unfit().isPresent()) {
      throw new IllegalStateException(
          "the log came to " + log.size() + " rows: " + analysis.unfit().orElse("fit"));
    }
  }

  /** The process whose heap is bounded. */
  public static void main(String[] arguments) throws IOException {
    analyse(arguments[0], Files.readAllBytes(Path.of(arguments[0])));
  }

  private static double heapRatio(Path file) throws IOException {
    double kept = (CHANNELS + 1.0) * ROWS * 8;
    for (double ratio : HEAP_RATIOS) {
      if (suffices(file, (long) (kept * ratio))) {
        return ratio;
      }
    }
    return Double.POSITIVE_INFINITY;
  }

  private static boolean suffices(Path file, long bytes) throws IOException {
    List<String> command = new ArrayList<>();
    command.add(ProcessHandle.current().info().command().orElse("java"));
    // The collector that wastes nothing on regions half full tells best what is really needed.
    command.add("-XX:+UseSerialGC");
    command.add("-Xmx" + (bytes >> 20) + "m");
    command.add("-cp");
    command.add(System.getProperty("java.class.path"));
    command.add(ImportBench.class.getName());
    command.add(file.toString());
    Process process =
        new ProcessBuilder(command)
            .redirectOutput(ProcessBuilder.Redirect.DISCARD)
            .redirectError(ProcessBuilder.Redirect.DISCARD)
            .start();
    try {
      return process.waitFor(3, TimeUnit.MINUTES) && process.exitValue() == 0;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    } finally {
      process.destroyForcibly();
    }
  }

  /** A made log: rest, load and rest again, in whole degrees, with a room that wanders. */
  static void write(Path file, int rows) throws IOException {
    Random random = new Random(20260301);
    int cores = 16;
    try (BufferedWriter out = Files.newBufferedWriter(file, StandardCharsets.UTF_8)) {
      StringBuilder line = new StringBuilder("elapsed [s]");
      for (int c = 0; c < cores; c++) {
        line.append(",core ").append(c).append(" [C]");
      }
      line.append(",package [C],coolant [C],room [C],chip power [W],throttling");
      for (int c = 0; c < cores; c++) {
        line.append(",clock ").append(c).append(" [MHz]");
      }
      line.append(",fan [rpm],voltage [V],load [%]\n");
      double hot = 30;
      double room = 21;
      for (int i = 0; i < rows; i++) {
        out.append(line);
        line.setLength(0);
        boolean load = i > rows / 20 && i < rows - rows / 50;
        hot += ((load ? 72 : 30) - hot) / 300;
        room += 0.001 * (21 - room) + 0.002 * random.nextGaussian();
        line.append(i);
        for (int c = 0; c < cores; c++) {
          line.append(',')
              .append(Math.round(hot + room - 21 + c % 5 + 0.4 * random.nextGaussian()));
        }
        line.append(',').append(Math.round(2 * (hot + 5)) / 2.0);
        line.append(',').append(Math.round(10 * (room + 8)) / 10.0);
        line.append(',').append(Math.round(100 * room) / 100.0);
        line.append(',')
            .append(Math.round(10 * ((load ? 160 : 12) + random.nextGaussian())) / 10.0);
        line.append(",no");
        for (int c = 0; c < cores; c++) {
          line.append(',').append(load ? 4650 + 25 * random.nextInt(2) : 1200);
        }
        line.append(',').append(900 + random.nextInt(9));
        line.append(',').append(load ? 1.184 : 0.752);
        line.append(',').append(load ? "100.0" : "3.5").append('\n');
      }
      out.append(line);
    }
  }
}
