package dev.ambershim.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.runs.judging.RunAnalyser;
import dev.ambershim.core.runs.judging.RunMark;
import dev.ambershim.core.runs.reading.Channel;
import dev.ambershim.core.runs.reading.ReadNotes;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Runs over any stretch of time: thinned without losing a peak, read, marked, written. */
@Tag("slow")
class ChartTest {
  private static final int PEAK = 61_237;

  /** A day at one sample a second, settled at 40 K, with one sample far above and one unread. */
  private static RunChart.Line day() {
    double[] seconds = new double[86_400];
    double[] core = new double[seconds.length];
    double[] room = new double[seconds.length];
    Arrays.fill(room, 22);
    for (int i = 0; i < seconds.length; i++) {
      seconds[i] = i;
      core[i] = i < 600 ? 30 : 62 - 32 * Math.exp(-(i - 600) / 60.0) + 0.3 * Math.sin(i * 1.7);
    }
    core[PEAK] = 91;
    core[70_000] = Double.NaN;
    RunLog log =
        new RunLog(
            "day.csv",
            seconds,
            List.of(
                new Channel("core 0", "°C", Role.CORE, 1, core),
                new Channel("room", "°C", Role.ROOM, 1, room)),
            new ReadNotes("UTF-8", "comma", false, seconds.length, 0, 0, List.of()));
    return new RunChart.Line(
        "before", false, log, RunAnalyser.analyse(log, OptionalDouble.empty()));
  }

  private static double highest(Picture picture) {
    double top = Double.POSITIVE_INFINITY;
    for (Mark mark : picture.marks()) {
      double[] ys =
          mark instanceof Mark.Band b
              ? b.tops()
              : mark instanceof Mark.Trace t ? t.ys() : new double[0];
      for (double y : ys) {
        top = Math.min(top, y);
      }
    }
    return top;
  }

  private static int points(Picture picture) {
    return picture.marks().stream()
        .mapToInt(
            m ->
                m instanceof Mark.Band b
                    ? b.xs().length
                    : m instanceof Mark.Trace t ? t.xs().length : 0)
        .sum();
  }

  @Property(tries = 300)
  void extremesAreThoseOfEveryLook(
      @ForAll @IntRange(min = 1, max = 6000) int size, @ForAll long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    double[] values = new double[size];
    for (int i = 0; i < size; i++) {
      values[i] = random.nextInt(20) == 0 ? Double.NaN : random.nextGaussian();
    }
    Extremes extremes = new Extremes(values);
    double[] found = new double[2];
    for (int k = 0; k < 20; k++) {
      int from = random.nextInt(size + 1);
      int to = from + random.nextInt(size - from + 1);
      extremes.over(from, to, found);
      double low = Double.POSITIVE_INFINITY;
      double high = Double.NEGATIVE_INFINITY;
      for (int i = from; i < to; i++) {
        low = values[i] < low ? values[i] : low;
        high = values[i] > high ? values[i] : high;
      }
      assertThat(found).containsExactly(low, high);
    }
  }

  @Test
  void aPeakOfOneSampleIsSeenFromAnyDistance() {
    ChartData data = ChartData.of(List.of(day()));
    double load = data.series().get(0).line().analysis().loadFromSeconds();
    double at = (PEAK - load) / 60;
    for (double minutes : new double[] {1400, 300, 40, 5, 0.3}) {
      Span span = new Span(at - minutes / 2, at + minutes / 2).inside(data.whole());
      Picture picture = RunChart.of(data, span, List.of(), Notation.METRIC, 800, 300);
      Span calm = new Span(at + 10, at + 10 + minutes / 8);
      Picture other = RunChart.of(data, calm, List.of(), Notation.METRIC, 800, 300);
      // The axis reaches to what is in sight, so the peak stands near its top and alone.
      assertThat(highest(picture)).as("%s minutes", minutes).isBetween(14.0, 34.0);
      assertThat(words(picture)).as("%s minutes", minutes).contains("60");
      assertThat(words(other)).doesNotContain("60");
      assertThat(points(picture)).isLessThan(4000);
    }
  }

  private static List<String> words(Picture picture) {
    return picture.marks().stream()
        .filter(m -> m instanceof Mark.Words)
        .map(m -> ((Mark.Words) m).text())
        .toList();
  }

  @Test
  void fewSamplesAreAllDrawnAndCutAtTheEnds() {
    ChartData data = ChartData.of(List.of(day()));
    Picture picture =
        RunChart.of(data, new Span(100.004, 100.504), List.of(), Notation.METRIC, 800, 300);
    Mark.Trace trace =
        (Mark.Trace)
            picture.marks().stream().filter(m -> m instanceof Mark.Trace).findFirst().orElseThrow();
    // Thirty seconds at one a second, and the two cuts.
    assertThat(trace.xs().length).isBetween(31, 33);
    assertThat(trace.xs()[0]).isCloseTo(46, within(1e-9));
    assertThat(trace.xs()[trace.xs().length - 1]).isCloseTo(800 - 130, within(1e-9));
    assertThat(words(picture)).anyMatch(w -> w.contains("against seconds under load"));
    assertThat(words(RunChart.of(data, data.load(), List.of(), Notation.METRIC, 800, 300)))
        .anyMatch(w -> w.contains("against hours under load"));
  }

  @Test
  void readingTellsTheSampleAtHand() {
    ChartData data = ChartData.of(List.of(day()));
    double load = data.series().get(0).line().analysis().loadFromSeconds();
    double at = (PEAK - load) / 60;
    assertThat(data.at(at).get(0).value()).isCloseTo(69, within(1e-9));
    assertThat(data.words(at, Notation.METRIC)).endsWith("min: before 69.0 K");
    // Where a sample was not read, the one beside it is told; beyond the run, none.
    assertThat(data.at((70_000 - load) / 60).get(0).value()).isBetween(39.0, 41.0);
    assertThat(data.words(-9999, Notation.METRIC)).endsWith("no sample");
    Span span = new Span(at - 10, at + 10);
    Picture reading = RunChart.reading(data, span, at, Notation.METRIC, 800, 300);
    assertThat(words(reading)).contains("69.0 K");
    // The middle of the axes is the middle of the span, and back.
    assertThat(RunChart.minuteAt(span, 800, (46 + 670) / 2.0)).isCloseTo(at, within(1e-9));
    assertThat(RunChart.minutesOf(span, 800, 624)).isCloseTo(20, within(1e-9));
  }

  @Test
  void marksStandWhereTheyWereMade() {
    ChartData data = ChartData.of(List.of(day()));
    List<RunMark> marks = List.of(new RunMark(100, ""), new RunMark(9000, "beyond"));
    Picture picture = RunChart.of(data, new Span(0, 200), marks, Notation.METRIC, 800, 300);
    assertThat(words(picture)).contains("A").doesNotContain("B");
    assertThat(picture.description()).contains("Mark A at 100.00 min: before 40.");
  }

  @Test
  void theTableHoldsEverySampleInSight() throws IOException {
    ChartData data = ChartData.of(List.of(day()));
    StringBuilder text = new StringBuilder();
    data.table(new Span(10, 11), text);
    List<String> lines = text.toString().lines().toList();
    assertThat(lines.get(0)).isEqualTo("run,minutes,rise_K");
    assertThat(lines).hasSize(62);
    assertThat(lines.get(1)).startsWith("\"before\",10.0");
    assertThat(Double.parseDouble(lines.get(1).split(",", -1)[2])).isBetween(38.0, 41.0);
  }

  @Test
  void aSpanZoomsAboutAPlaceAndStaysInside() {
    Span whole = new Span(-5, 95);
    Span near = new Span(0, 50).zoomed(10, 0.5);
    assertThat(near).isEqualTo(new Span(5, 30));
    assertThat(new Span(-20, 10).inside(whole)).isEqualTo(new Span(-5, 25));
    assertThat(new Span(80, 120).inside(whole)).isEqualTo(new Span(55, 95));
    assertThat(new Span(-50, 150).inside(whole)).isEqualTo(whole);
    // Nearer than a second there is nothing to see.
    assertThat(new Span(0, 0.05).zoomed(0, 1e-9).minutes()).isCloseTo(1 / 60.0, within(1e-12));
  }
}
