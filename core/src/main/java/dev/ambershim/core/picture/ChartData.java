package dev.ambershim.core.picture;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.runs.judging.RunSeries;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Runs made ready to be drawn over any stretch of time: each sample's minutes since its load began,
 * and the rise of the cores over room air, or their temperature where a run lacks the room. Takes a
 * pass over all samples; drawing from it takes none.
 */
public final class ChartData {
  private final List<Series> series;
  private final boolean rise;
  private final Span load;
  private final Span whole;

  /**
   * One run's samples.
   *
   * @param line the run
   * @param minutes of each sample since the load began, never falling; shared
   * @param values of each sample; shared
   * @param extremes of the values
   */
  record Series(RunChart.Line line, double[] minutes, double[] values, Extremes extremes) {
    /** The first sample at or after a time. */
    int first(double minute) {
      int at = Arrays.binarySearch(minutes, minute);
      if (at < 0) {
        return -at - 1;
      }
      while (at > 0 && minutes[at - 1] == minute) {
        at--;
      }
      return at;
    }

    /** The sample nearest to a time, or −1 if the run holds none near it. */
    int nearest(double minute, double tolerance) {
      int after = first(minute);
      int best = -1;
      for (int i = Math.max(0, after - 1); i <= Math.min(minutes.length - 1, after); i++) {
        boolean nearer =
            best < 0 || Math.abs(minutes[i] - minute) < Math.abs(minutes[best] - minute);
        if (nearer && !Double.isNaN(values[i])) {
          best = i;
        }
      }
      return best >= 0 && Math.abs(minutes[best] - minute) <= tolerance ? best : -1;
    }
  }

  /**
   * What a run shows at a time.
   *
   * @param line the run
   * @param minutes of the sample that was read
   * @param value its figure
   */
  public record Reading(RunChart.Line line, double minutes, double value) {}

  private ChartData(List<Series> series, boolean rise, Span load, Span whole) {
    this.series = series;
    this.rise = rise;
    this.load = load;
    this.whole = whole;
  }

  /** Makes runs ready. */
  public static ChartData of(List<RunChart.Line> lines) {
    boolean rise =
        !lines.isEmpty() && lines.stream().allMatch(l -> RunSeries.hasRoom(l.log(), l.analysis()));
    List<Series> series = new ArrayList<>();
    double loadEnd = 1;
    double first = 0;
    double last = 1;
    for (RunChart.Line line : lines) {
      double[] minutes = RunSeries.minutes(line.log(), line.analysis());
      double[] values = RunSeries.values(line.log(), line.analysis(), rise);
      series.add(new Series(line, minutes, values, new Extremes(values)));
      double load = line.analysis().loadToSeconds() - line.analysis().loadFromSeconds();
      loadEnd = Math.max(loadEnd, load / 60);
      if (minutes.length > 0) {
        first = Math.min(first, minutes[0]);
        last = Math.max(last, minutes[minutes.length - 1]);
      }
    }
    return new ChartData(
        series, rise, new Span(0, loadEnd), new Span(first, Math.max(last, loadEnd)));
  }

  List<Series> series() {
    return series;
  }

  /** Whether figures are rises over room air; else temperatures. */
  public boolean rise() {
    return rise;
  }

  /** The unit of the figures. */
  public Unit unit() {
    return rise ? Unit.KELVIN : Unit.CELSIUS;
  }

  /** The time under load, which is what a chart shows first. */
  public Span load() {
    return load;
  }

  /** All the time that any run holds. */
  public Span whole() {
    return whole;
  }

  /** Whether there is nothing to draw. */
  public boolean isEmpty() {
    return series.isEmpty();
  }

  /** What each run that holds a time shows there. */
  public List<Reading> at(double minute) {
    double tolerance = Math.max(whole.minutes() / 500, 0.05);
    List<Reading> readings = new ArrayList<>();
    for (Series s : series) {
      int i = s.nearest(minute, tolerance);
      if (i >= 0) {
        readings.add(new Reading(s.line(), s.minutes()[i], s.values()[i]));
      }
    }
    return readings;
  }

  /** What the runs show at a time, in words. */
  public String words(double minute, Notation notation) {
    StringBuilder text = new StringBuilder(notation.fixed(minute, 2)).append(" min:");
    List<Reading> readings = at(minute);
    for (int i = 0; i < readings.size(); i++) {
      text.append(i == 0 ? " " : ", ")
          .append(readings.get(i).line().name())
          .append(' ')
          .append(notation.text(readings.get(i).value(), unit()));
    }
    return readings.isEmpty() ? text.append(" no sample").toString() : text.toString();
  }

  /** Every sample of a span as a table, a line a sample, metric with a decimal point. */
  public void table(Span span, Appendable out) throws IOException {
    out.append("run,minutes,").append(rise ? "rise_K" : "mean_core_C").append('\n');
    for (Series s : series) {
      String name = '"' + s.line().name().replace("\"", "\"\"") + "\",";
      int to = s.first(Math.nextUp(span.toMinutes()));
      for (int i = s.first(span.fromMinutes()); i < to; i++) {
        if (!Double.isNaN(s.values()[i])) {
          out.append(name)
              .append(Double.toString(s.minutes()[i]))
              .append(',')
              .append(Double.toString(s.values()[i]))
              .append('\n');
        }
      }
    }
  }
}
