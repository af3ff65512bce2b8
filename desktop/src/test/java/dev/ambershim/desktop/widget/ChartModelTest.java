package dev.ambershim.desktop.widget;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.picture.ChartData;
import dev.ambershim.core.picture.RunChart;
import dev.ambershim.core.picture.Span;
import dev.ambershim.core.runs.judging.RunAnalyser;
import dev.ambershim.core.runs.judging.RunMark;
import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.core.runs.reading.RunLog;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** What of a chart is in sight and where it is read, without a window. */
class ChartModelTest {
  private final ChartModel chart = new ChartModel();

  /** A minute of rest, twenty of load, two of rest. */
  private static ChartData data(double core) {
    StringBuilder text = new StringBuilder("time,core 0,room,power\n");
    for (int i = 0; i < 1380; i++) {
      boolean load = i >= 60 && i < 1260;
      double t = load ? core - 30 * Math.exp(-(i - 60) / 20.0) : 32;
      text.append(
          String.format(
              Locale.ROOT, "%d,%.2f,22.0,%d\n", i, t + 0.4 * Math.sin(i * 1.7), load ? 160 : 12));
    }
    RunLog log = LogReader.read("run.csv", text.toString().getBytes(StandardCharsets.UTF_8));
    return ChartData.of(
        List.of(
            new RunChart.Line(
                "before", false, log, RunAnalyser.analyse(log, OptionalDouble.empty()))));
  }

  @Test
  void itBeginsWithTheLoadAndWholeShowsTheRestToo() {
    chart.show(data(80));
    Span load = chart.spanProperty().get();
    assertThat(load.fromMinutes()).isZero();
    assertThat(load.toMinutes()).isCloseTo(20, within(0.1));
    chart.whole();
    assertThat(chart.spanProperty().get().fromMinutes()).isCloseTo(-1, within(0.05));
    assertThat(chart.spanProperty().get().toMinutes()).isCloseTo(22, within(0.1));
    chart.whole();
    assertThat(chart.spanProperty().get()).isEqualTo(load);
  }

  @Test
  void zoomKeepsWhereItIsReadAndPanStaysInside() {
    chart.show(data(80));
    chart.zoom(0.5);
    assertThat(chart.spanProperty().get().fromMinutes()).isCloseTo(5, within(0.1));
    // At a place that is read, that place stays.
    chart.readAt(800, 46);
    double read = chart.readingProperty().get();
    assertThat(read).isCloseTo(chart.spanProperty().get().fromMinutes(), within(1e-9));
    chart.zoom(0.5);
    assertThat(chart.spanProperty().get().fromMinutes()).isCloseTo(read, within(1e-9));
    for (int i = 0; i < 50; i++) {
      chart.pan(0.5);
    }
    assertThat(chart.spanProperty().get().toMinutes())
        .isEqualTo(chart.dataProperty().get().whole().toMinutes());
    assertThat(chart.spanProperty().get().minutes()).isCloseTo(5, within(0.1));
  }

  @Test
  void aDragMovesByItsOwnDistanceHoweverOftenItIsTold() {
    chart.show(data(80));
    chart.zoom(0.25);
    Span begin = chart.spanProperty().get();
    chart.drag(begin, 800, -100);
    chart.drag(begin, 800, -312);
    // 312 of the 624 across the axes are half of what is in sight.
    assertThat(chart.spanProperty().get().fromMinutes())
        .isCloseTo(begin.fromMinutes() + begin.minutes() / 2, within(1e-9));
  }

  @Test
  void marksStandWhereItIsReadOnceEach() {
    chart.show(data(80));
    assertThat(chart.marked(List.of())).isEmpty();
    chart.step(10);
    List<RunMark> one = chart.marked(List.of());
    assertThat(one).hasSize(1);
    assertThat(one.get(0).minutes()).isCloseTo(12, within(0.1));
    assertThat(chart.marked(one)).isEqualTo(one);
    chart.step(-3);
    List<RunMark> two = chart.marked(one);
    assertThat(chart.words(two, Notation.METRIC).get(1)).startsWith("B at 11.").contains("before");
    assertThat(RunMark.letter(25)).isEqualTo("Z");
  }

  @Test
  void otherRunsOfTheSameLengthKeepWhatIsInSight() {
    chart.show(data(80));
    chart.zoom(0.25);
    Span near = chart.spanProperty().get();
    chart.show(data(68));
    assertThat(chart.spanProperty().get()).isEqualTo(near);
    chart.show(ChartData.of(List.of()));
    assertThat(chart.readingProperty().get()).isNull();
    assertThat(chart.spanProperty().get().fromMinutes()).isZero();
  }
}
