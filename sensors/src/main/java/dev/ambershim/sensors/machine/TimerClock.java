package dev.ambershim.sensors.machine;

import dev.ambershim.core.plan.Moment;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Locale;

/**
 * The moment by the wall clock and by the machine's uptime, which goes on through sleep and through
 * a changed clock. Where the kernel does not tell the uptime, the process's own counter does, and a
 * restart of the process counts as one of the machine.
 */
public final class TimerClock {
  private final Clock wall;
  private final Path uptime;
  private final String boot;

  /** The clock of this machine. */
  public TimerClock() {
    this(Clock.systemUTC(), Path.of("/proc"));
  }

  /**
   * A clock that reads another place.
   *
   * @param proc what stands in for {@code /proc}
   */
  TimerClock(Clock wall, Path proc) {
    this.wall = wall;
    uptime = proc.resolve("uptime");
    String id = read(proc.resolve("sys/kernel/random/boot_id"));
    boot =
        id.isEmpty() || up().isNaN()
            ? "process " + ProcessHandle.current().pid() + " " + System.nanoTime()
            : id;
  }

  private static String read(Path file) {
    try {
      return Files.readString(file).strip();
    } catch (IOException e) {
      return ""; // another system than Linux, or a locked-down one
    }
  }

  /** Seconds since the machine was started, or not a number. */
  private Double up() {
    String text = read(uptime);
    String first = text.split(" ", -1)[0];
    return first.matches("\\d+(\\.\\d+)?") ? Double.parseDouble(first) : Double.NaN;
  }

  /** The moment; reads a file of the kernel, a few microseconds. */
  public Moment now() {
    double seconds = boot.startsWith("process ") ? System.nanoTime() / 1e9 : up().doubleValue();
    return new Moment(wall.instant(), boot, seconds);
  }

  @Override
  public String toString() {
    return String.format(Locale.ROOT, "clock of boot %s", boot);
  }
}
