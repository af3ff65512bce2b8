package dev.ambershim.bench;

import dev.ambershim.desktop.quickstart.StartReport;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * Time until the window is up with the demo ÷ time until an empty JavaFX window is up: fresh
 * processes, one after the other in turn, medians of the wall time from before the process starts
 * to its report at the frame in which all that is in sight stands on the application's window,
 * boxes and buttons too; the empty windows report at the same frame. There are two yardsticks: an
 * empty window with the application's own Java runtime, flags and class archive, and one that is
 * started plainly, by the JDK with JavaFX on its module path and nothing else.
 */
public final class StartBench {
  private static final int ROUNDS = 7;

  /**
   * What was measured.
   *
   * @param windowSeconds median for the application with the demo
   * @param emptySeconds median for the empty window with the application's runtime, flags and
   *     archive
   * @param plainSeconds median for the empty window that is started plainly
   */
  public record Result(double windowSeconds, double emptySeconds, double plainSeconds) {
    /** The ratio to the empty window that has all that makes the application's start short. */
    public double ratioToEmptyWindow() {
      return windowSeconds / emptySeconds;
    }

    /** The ratio to an empty window as anybody starts one. */
    public double ratioToPlainWindow() {
      return windowSeconds / plainSeconds;
    }
  }

  /** The application's main class. It does not ship with what measures it, so it is named only. */
  private static final String APPLICATION = "dev.ambershim.app.AmberShim";

  private StartBench() {}

  /** Measures. */
  public static Result run() {
    double[] window = new double[ROUNDS];
    double[] empty = new double[ROUNDS];
    double[] plain = new double[ROUNDS];
    String own = ProcessHandle.current().info().command().orElse("java");
    String jdk = System.getProperty("ambershim.java", own);
    String measuring = System.getProperty("java.class.path");
    String application = System.getProperty("ambershim.application", measuring);
    List<String> flags = ManagementFactory.getRuntimeMXBean().getInputArguments();
    for (int i = -1; i < ROUNDS; i++) {
      double a = seconds(own, application, flags, APPLICATION, "--demo");
      double b = seconds(own, measuring, flags, EmptyWindow.class.getName());
      double c = seconds(jdk, measuring, plain(flags), EmptyWindow.class.getName());
      if (i >= 0) { // the round before only warms the disk's cache
        window[i] = a;
        empty[i] = b;
        plain[i] = c;
      }
    }
    return new Result(median(window), median(empty), median(plain));
  }

  private static double median(double[] values) {
    double[] sorted = values.clone();
    Arrays.sort(sorted);
    return sorted[sorted.length / 2];
  }

  /** Where JavaFX lies, and of all flags how it paints. */
  private static List<String> plain(List<String> flags) {
    List<String> plain = new ArrayList<>();
    plain.add("--module-path=" + System.getProperty("ambershim.javafx", ""));
    plain.add("--add-modules=javafx.controls");
    flags.stream().filter(f -> f.startsWith("-Dprism.")).forEach(plain::add);
    return plain;
  }

  private static double seconds(
      String java, String classPath, List<String> flags, String mainClass, String... arguments) {
    List<String> command = new ArrayList<>();
    command.add(java);
    command.addAll(flags);
    command.add("-D" + StartReport.ASKED + "=true");
    command.add("-cp");
    command.add(classPath);
    command.add(mainClass);
    command.addAll(List.of(arguments));
    try {
      // What the process leaves behind when it ends in the middle goes with this folder.
      Path scratch = Files.createTempDirectory("amber-shim-start");
      command.add(1, "-Djava.io.tmpdir=" + scratch);
      long start = System.nanoTime();
      Process process =
          new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD).start();
      try (BufferedReader out = process.inputReader(StandardCharsets.UTF_8)) {
        String line = out.readLine();
        while (line != null && !line.startsWith("window up")) {
          line = out.readLine();
        }
        double seconds = (System.nanoTime() - start) / 1e9;
        if (line == null) {
          throw new IllegalStateException(mainClass + " ended before its window was up");
        }
        process.waitFor();
        remove(scratch);
        return seconds;
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  private static void remove(Path folder) throws IOException {
    try (Stream<Path> all = Files.walk(folder)) {
      for (Path path : all.sorted(Comparator.reverseOrder()).toList()) {
        Files.delete(path);
      }
    }
  }
}
