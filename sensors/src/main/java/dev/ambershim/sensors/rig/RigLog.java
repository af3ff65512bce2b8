package dev.ambershim.sensors.rig;

import dev.ambershim.sensors.Source.Sample;
import dev.ambershim.sensors.Source.Sensor;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** A run on the rig as a log file, in one of two habits of writing. */
public final class RigLog {
  /** How a log is written. */
  public enum Habit {
    /** Commas, decimal points, elapsed seconds, units in the header's names. */
    POINT,
    /** Semicolons, decimal commas, date and time, units in a second row. */
    COMMA
  }

  private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("dd.MM.yyyy HH:mm:ss");

  private RigLog() {}

  /**
   * Runs a rig: rest, load, rest.
   *
   * @throws InterruptedException if the thread is told to stop
   */
  public static List<Sample> run(ConductionRig rig, int rest, int load, int after)
      throws InterruptedException {
    List<Sample> samples = new ArrayList<>();
    for (int i = 0; i < rest + load + after; i++) {
      rig.set(i >= rest && i < rest + load);
      samples.add(rig.next().orElseThrow());
    }
    return samples;
  }

  /** The samples as text. */
  public static String write(
      List<Sensor> sensors, List<Sample> samples, Habit habit, LocalDateTime start) {
    StringBuilder out = new StringBuilder();
    if (habit == Habit.POINT) {
      out.append("elapsed [s]");
      sensors.forEach(
          s ->
              out.append(',')
                  .append(s.name())
                  .append(s.unit().isEmpty() ? "" : " [" + s.unit() + "]"));
    } else {
      out.append("Date and time");
      sensors.forEach(s -> out.append(';').append(s.name()));
      out.append('\n');
      sensors.forEach(s -> out.append(';').append(s.unit().isEmpty() ? "yes/no" : s.unit()));
    }
    out.append('\n');
    for (Sample sample : samples) {
      out.append(line(sensors, sample, habit, start)).append('\n');
    }
    return out.toString();
  }

  private static String line(
      List<Sensor> sensors, Sample sample, Habit habit, LocalDateTime start) {
    boolean point = habit == Habit.POINT;
    List<String> cells = new ArrayList<>();
    cells.add(
        point
            ? String.valueOf(Math.round(sample.seconds()))
            : STAMP.format(start.plusSeconds(Math.round(sample.seconds()))));
    for (int i = 0; i < sensors.size(); i++) {
      double figure = sample.figures()[i];
      String text =
          sensors.get(i).unit().isEmpty()
              ? figure > 0 ? "yes" : "no"
              : figure == Math.rint(figure)
                  ? String.valueOf((long) figure)
                  : String.format(Locale.ROOT, "%.3f", figure).replaceAll("0+$", "");
      cells.add(point ? text : text.replace('.', ','));
    }
    return cells.stream().collect(Collectors.joining(point ? "," : ";"));
  }
}
