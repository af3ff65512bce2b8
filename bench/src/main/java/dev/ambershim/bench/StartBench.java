package dev.ambershim.bench;

import dev.ambershim.desktop.launch.StartReport;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Time until the window is up with the demo ÷ time until an empty JavaFX window is up: fresh
 * processes with the same flags, one after the other in turn, medians of the wall time from before
 * the process starts to its report at the frame in which the application's window is whole, boxes
 * and buttons too; the empty window reports at the same frame.
 */
public final class StartBench {
  private static final int ROUNDS = 7;

  /**
   * What was measured.
   *
   * @param windowSeconds median for the application with the demo
   * @param emptySeconds median for the empty window
   */
  public record Result(double windowSeconds, double emptySeconds) {
    /** The ratio. */
    public double ratioToEmptyWindow() {
      return windowSeconds / emptySeconds;
    }
  }

  private StartBench() {}

  /**
   * Measures.
   *
   * @param applicationMain the application's main class
   */
  public static Result run(String applicationMain) {
    double[] window = new double[ROUNDS];
    double[] empty = new double[ROUNDS];
    for (int i = -1; i < ROUNDS; i++) {
      double a = seconds(applicationMain, "--demo");
      double b = seconds(EmptyWindow.class.getName());
      if (i >= 0) { // the round before only warms the disk's cache
        window[i] = a;
        empty[i] = b;
      }
    }
    Arrays.sort(window);
    Arrays.sort(empty);
    return new Result(window[ROUNDS / 2], empty[ROUNDS / 2]);
  }

  private static double seconds(String mainClass, String... arguments) {
    List<String> command = new ArrayList<>();
    command.add(ProcessHandle.current().info().command().orElse("java"));
    command.addAll(ManagementFactory.getRuntimeMXBean().getInputArguments());
    command.add("-D" + StartReport.ASKED + "=true");
    command.add("-cp");
    command.add(System.getProperty("java.class.path"));
    command.add(mainClass);
    command.addAll(List.of(arguments));
    long start = System.nanoTime();
    try {
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
        return seconds;
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }
}
