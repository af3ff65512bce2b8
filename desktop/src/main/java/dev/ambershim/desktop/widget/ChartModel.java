package dev.ambershim.desktop.widget;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.picture.ChartData;
import dev.ambershim.core.picture.RunChart;
import dev.ambershim.core.picture.Span;
import dev.ambershim.core.runs.judging.RunMark;
import java.util.ArrayList;
import java.util.List;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;

/** What of a chart is in sight, and where it is read. */
public final class ChartModel {
  /** Share of what is in sight that one step of the reading line takes. */
  private static final double STEP = 0.01;

  private final ObjectProperty<ChartData> data =
      new SimpleObjectProperty<>(ChartData.of(List.of()));
  private final ObjectProperty<Span> span = new SimpleObjectProperty<>(data.get().load());
  private final ObjectProperty<Double> reading = new SimpleObjectProperty<>();

  /** The runs. */
  public ObjectProperty<ChartData> dataProperty() {
    return data;
  }

  /** What is in sight. */
  public ObjectProperty<Span> spanProperty() {
    return span;
  }

  /** The minute that is read, or null. */
  public ObjectProperty<Double> readingProperty() {
    return reading;
  }

  /** Shows other runs; what is in sight stays where the same time is there. */
  public void show(ChartData other) {
    boolean same =
        other.whole().equals(data.get().whole()) && other.load().equals(data.get().load());
    data.set(other);
    if (!same) {
      span.set(other.load());
      reading.set(null);
    }
  }

  /** Zooms about a minute; a factor below 1 comes nearer. */
  public void zoom(double about, double factor) {
    see(span.get().zoomed(about, factor));
  }

  /** Zooms about where it is read, or about the middle. */
  public void zoom(double factor) {
    Span now = span.get();
    Double read = reading.get();
    boolean inSight = read != null && read >= now.fromMinutes() && read <= now.toMinutes();
    zoom(inSight ? read : (now.fromMinutes() + now.toMinutes()) / 2, factor);
  }

  /** Moves what is in sight by a share of its length; above 0 to later. */
  public void pan(double share) {
    see(span.get().moved(share * span.get().minutes()));
  }

  /** Moves what was in sight when a drag began by the drag's distance. */
  public void drag(Span begin, double width, double distance) {
    see(begin.moved(-RunChart.minutesOf(begin, width, distance)));
  }

  /** All under load is in sight again; asked again, the time before and after it too. */
  public void whole() {
    see(span.get().equals(data.get().load()) ? data.get().whole() : data.get().load());
  }

  private void see(Span wanted) {
    span.set(wanted.inside(data.get().whole()));
  }

  /** Reads at a place across the chart. */
  public void readAt(double width, double x) {
    read(RunChart.minuteAt(span.get(), width, x));
  }

  /** Steps the reading line. */
  public void step(int by) {
    Span now = span.get();
    double from = reading.get() == null ? (now.fromMinutes() + now.toMinutes()) / 2 : reading.get();
    read(from + by * STEP * now.minutes());
  }

  private void read(double minute) {
    Span now = span.get();
    reading.set(Math.max(now.fromMinutes(), Math.min(now.toMinutes(), minute)));
  }

  /** The marks with one more where it is read; the same if it is not read, or marked already. */
  public List<RunMark> marked(List<RunMark> marks) {
    Double minute = reading.get();
    if (minute == null || marks.stream().anyMatch(m -> m.minutes() == minute)) {
      return marks;
    }
    List<RunMark> more = new ArrayList<>(marks);
    more.add(new RunMark(minute, ""));
    return more;
  }

  /** What the runs show at each mark, a line a mark. */
  public List<String> words(List<RunMark> marks, Notation notation) {
    List<String> lines = new ArrayList<>();
    for (int i = 0; i < marks.size(); i++) {
      lines.add(RunMark.letter(i) + " at " + data.get().words(marks.get(i).minutes(), notation));
    }
    return lines;
  }
}
