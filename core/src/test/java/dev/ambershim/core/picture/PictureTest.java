package dev.ambershim.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.assembly.Part;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.build.Ladder;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.runs.judging.RunAnalyser;
import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.core.runs.reading.RunLog;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Pictures measured back: what is drawn has the size that the data have. */
class PictureTest {
  private final StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_PASTE;
  private final Chip chip = point.chip("Test chip");

  private Picture section(Build build) {
    return SectionPicture.of(chip, StartingPoint.cooler(), build, Notation.METRIC, 380, 320);
  }

  private static List<Mark.Box> boxes(Picture picture, String part) {
    return picture.marks().stream()
        .filter(m -> m instanceof Mark.Box b && b.part().equals(part))
        .map(m -> (Mark.Box) m)
        .toList();
  }

  @Test
  void theSectionIsToScaleBothWays() {
    Picture picture = section(point.asBought());
    Mark.Box die = boxes(picture, Part.DIE).get(0);
    Mark.Box substrate = boxes(picture, Part.SUBSTRATE).get(0);
    assertThat(die.width() / substrate.width()).isCloseTo(9.2 / 37.5, within(1e-9));
    assertThat(die.height() / substrate.height()).isCloseTo(0.78 / 1.17, within(1e-9));
    double across = substrate.width() / 37.5;
    double up = substrate.height() / 1.17;
    String stated = Notation.METRIC.fixed(up / across, 1);
    assertThat(picture.marks())
        .anyMatch(
            m ->
                m instanceof Mark.Words w
                    && w.text().equals("Heights drawn " + stated + " times as large as widths"));
  }

  @Test
  void layersLieOnEachOther() {
    Picture picture = section(point.asBought());
    Mark.Box substrate = boxes(picture, Part.SUBSTRATE).get(0);
    Mark.Box die = boxes(picture, Part.DIE).get(0);
    Mark.Box plate = boxes(picture, Part.PLATE).get(0);
    assertThat(die.y() + die.height()).isCloseTo(substrate.y(), within(1e-9));
    assertThat(plate.y()).isLessThan(die.y());
    assertThat(plate.y()).isGreaterThanOrEqualTo(0);
  }

  @Test
  void withoutTheLidThereIsNoLid() {
    Build bare = new Build(false, 0, point.asBought().inner(), Joint.usual(Filling.LIQUID_METAL));
    Picture picture = section(bare);
    assertThat(boxes(picture, Part.LID)).isEmpty();
    assertThat(boxes(picture, Part.INNER)).isEmpty();
    assertThat(picture.description()).contains("no lid").contains("liquid metal of 40 µm");
  }

  @Test
  void everyDieIsDrawn() {
    StartingPoint chiplets = StartingPoint.DESKTOP_CHIPLETS_SOLDER;
    Picture picture =
        SectionPicture.of(
            chiplets.chip("x"),
            StartingPoint.cooler(),
            chiplets.asBought(),
            Notation.METRIC,
            380,
            320);
    assertThat(boxes(picture, Part.DIE)).hasSize(3);
  }

  private static RunChart.Line line(boolean after, double core) {
    StringBuilder text = new StringBuilder("time [s],core 0 [°C],room [°C],power [W]\n");
    for (int i = 0; i < 700; i++) {
      double load = i < 60 ? 0 : 1;
      text.append(
          String.format(
              Locale.ROOT,
              "%d,%.2f,22,%.0f%n",
              i,
              30 + load * (core - 30 + 0.4 * Math.sin(i * 1.3)),
              20 + load * 140));
    }
    if (after) {
      text.append("700,95.00,22,160\n"); // a single peak that thinning must keep
    }
    RunLog log = LogReader.read("r", text.toString().getBytes(StandardCharsets.UTF_8));
    return new RunChart.Line(
        after ? "after" : "before", after, log, RunAnalyser.analyse(log, OptionalDouble.empty()));
  }

  @Test
  void theChartKeepsPeaksMarksAndNames() {
    Picture picture =
        RunChart.of(List.of(line(false, 80), line(true, 68)), Notation.METRIC, 700, 300);
    List<Mark.Trace> traces =
        picture.marks().stream()
            .filter(m -> m instanceof Mark.Trace)
            .map(m -> (Mark.Trace) m)
            .toList();
    assertThat(traces).hasSize(2);
    double top = Double.POSITIVE_INFINITY;
    for (double y : traces.get(1).ys()) {
      top = Math.min(top, y);
    }
    double beforeTop = Double.POSITIVE_INFINITY;
    for (double y : traces.get(0).ys()) {
      beforeTop = Math.min(beforeTop, y);
    }
    assertThat(top).as("the peak stands above the other run").isLessThan(beforeTop);
    assertThat(picture.marks())
        .anyMatch(m -> m instanceof Mark.Words w && w.text().equals("58.0 K"))
        .anyMatch(m -> m instanceof Mark.Words w && w.text().equals("after"))
        .anyMatch(m -> m instanceof Mark.Box b && b.fill() == Tone.AFTER_BAND);
    assertThat(picture.description()).contains("before: settled at 58.0 K");
    assertThat(traces.get(0).xs().length).isLessThan(1300);
  }

  @Test
  void anEmptyChartIsStillAPicture() {
    assertThat(RunChart.of(List.of(), Notation.METRIC, 500, 200).marks()).isNotEmpty();
  }

  @Test
  void theLadderShowsWhatIsNotThere() {
    Build bare = new Build(false, 0, point.asBought().inner(), Joint.usual(Filling.LIQUID_METAL));
    Picture picture =
        LadderPicture.of(
            new LadderPicture.Column(
                Ladder.of(chip, StartingPoint.cooler(), point.asBought()), 160, "before"),
            new LadderPicture.Column(Ladder.of(chip, StartingPoint.cooler(), bare), 160, "after"),
            Notation.METRIC,
            600,
            280);
    long gone =
        picture.marks().stream()
            .filter(m -> m instanceof Mark.Words w && w.text().equals("not there"))
            .count();
    // Inner joint, lid and outer joint after; the bare joint before.
    assertThat(gone).isEqualTo(4);
  }

  @ParameterizedTest
  @CsvSource({"0,30,9", "17.2,64.9,7", "-3,3,5", "0.001,0.0042,6", "20,20.0001,4"})
  void ticksAreRoundAndFew(double low, double high, int most) {
    Ticks ticks = Ticks.between(low, high, most);
    assertThat(ticks.count()).isBetween(1, most);
    double mantissa = ticks.step() / Math.pow(10, Math.floor(Math.log10(ticks.step()) + 1e-9));
    assertThat(List.of(1L, 2L, 5L)).contains(Math.round(mantissa));
    assertThat(ticks.at(0)).isGreaterThanOrEqualTo(low - 1e-9);
    assertThat(ticks.at(ticks.count() - 1)).isLessThanOrEqualTo(high + 1e-9);
  }

  /** Contrast as WCAG 2.1 defines it (success criterion 1.4.3: 4.5 for text of usual size). */
  @ParameterizedTest
  @EnumSource(
      value = Tone.class,
      names = {"INK", "QUIET", "AMBER", "BEFORE", "AFTER", "ALARM"})
  void textTonesAreReadableOnBothGrounds(Tone tone) {
    for (boolean dark : new boolean[] {false, true}) {
      assertThat(contrast(tone.hex(dark), Tone.GROUND.hex(dark))).isGreaterThanOrEqualTo(4.5);
      assertThat(contrast(tone.hex(dark), Tone.PANEL.hex(dark))).isGreaterThanOrEqualTo(4.5);
    }
  }

  private static double contrast(String a, String b) {
    double la = luminance(a);
    double lb = luminance(b);
    return (Math.max(la, lb) + 0.05) / (Math.min(la, lb) + 0.05);
  }

  private static double luminance(String hex) {
    double[] weights = {0.2126, 0.7152, 0.0722};
    double sum = 0;
    for (int i = 0; i < 3; i++) {
      double c = Integer.parseInt(hex.substring(1 + 2 * i, 3 + 2 * i), 16) / 255.0;
      sum += weights[i] * (c <= 0.03928 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4));
    }
    return sum;
  }
}
