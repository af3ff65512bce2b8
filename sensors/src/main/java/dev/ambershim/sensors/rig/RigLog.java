package dev.ambershim.sensors.rig;

import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;

/** A simulated run as a log file, in one of two habits of writing. */
public final class RigLog {
  /** How a log is written. */
  public enum Habit {
    /** Commas, decimal points, elapsed seconds. */
    POINT,
    /** Semicolons, decimal commas, date and time, units in a second row. */
    COMMA
  }

  private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("dd.MM.yyyy HH:mm:ss");

  private RigLog() {}

  /** The samples as text. */
  public static String write(List<RigSample> samples, Habit habit, LocalDateTime start) {
    StringBuilder out = new StringBuilder();
    int cores = samples.get(0).coreCelsius().size();
    header(out, cores, habit);
    for (RigSample s : samples) {
      String line = habit == Habit.POINT ? point(s) : comma(s, start);
      out.append(line).append('\n');
    }
    return out.toString();
  }

  private static void header(StringBuilder out, int cores, Habit habit) {
    if (habit == Habit.POINT) {
      out.append("elapsed s");
      for (int i = 0; i < cores; i++) {
        out.append(",core ").append(i).append(" [°C]");
      }
      out.append(
          ",package [°C],coolant [°C],room air [°C],chip power [W],clock [MHz],throttling\n");
      return;
    }
    out.append("Date and time");
    for (int i = 0; i < cores; i++) {
      out.append(";Core ").append(i);
    }
    out.append(";Package;Coolant;Room;Power;Clock;Throttling\n");
    out.append(";°C".repeat(cores)).append(";°C;°C;°C;W;MHz;yes/no\n");
  }

  private static String point(RigSample s) {
    StringBuilder line = new StringBuilder().append(s.seconds());
    s.coreCelsius().forEach(c -> line.append(',').append(Math.round(c)));
    line.append(
        String.format(
            Locale.ROOT,
            ",%.1f,%.1f,%.2f,%.1f,%.0f,%s",
            s.packageCelsius(),
            s.coolantCelsius(),
            s.roomCelsius(),
            s.watts(),
            s.megahertz(),
            s.throttled() ? "yes" : "no"));
    return line.toString();
  }

  private static String comma(RigSample s, LocalDateTime start) {
    StringBuilder line = new StringBuilder(STAMP.format(start.plusSeconds(s.seconds())));
    s.coreCelsius().forEach(c -> line.append(';').append(Math.round(c)));
    line.append(
        String.format(
            Locale.GERMANY,
            ";%.1f;%.1f;%.2f;%.1f;%.0f;%s",
            s.packageCelsius(),
            s.coolantCelsius(),
            s.roomCelsius(),
            s.watts(),
            s.megahertz(),
            s.throttled() ? "yes" : "no"));
    return line.toString();
  }
}
