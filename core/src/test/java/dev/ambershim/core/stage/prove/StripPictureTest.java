package dev.ambershim.core.stage.prove;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.picture.Mark;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.Tone;
import dev.ambershim.core.runs.judging.Comparison;
import dev.ambershim.core.runs.judging.Judging;
import dev.ambershim.core.runs.judging.MountedRun;
import dev.ambershim.core.runs.judging.RunAnalyser;
import dev.ambershim.core.runs.judging.RunAnalysis;
import dev.ambershim.core.runs.reading.LogReader;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** Before and after on one axis. */
class StripPictureTest {
  private static RunAnalysis run(double core) {
    StringBuilder text = new StringBuilder("time,core 0,core 1,room,power\n");
    for (int i = 0; i < 700; i++) {
      double wave = 0.4 * Math.sin(i * 1.7) + 0.3 * Math.cos(i * 0.37);
      text.append(
          String.format(
              Locale.ROOT, "%d,%.2f,%.2f,22.00,160.0\n", i, core + wave, core + 4 + wave));
    }
    return RunAnalyser.analyse(
        LogReader.read("run.csv", text.toString().getBytes(StandardCharsets.UTF_8)),
        OptionalDouble.empty());
  }

  private static Comparison comparison(double before, double after) {
    return Comparison.of(
        MountedRun.ofOneMount(List.of(run(before))),
        MountedRun.ofOneMount(List.of(run(after))),
        Judging.of(1),
        Notation.METRIC);
  }

  private static List<Mark.Box> boxes(Picture picture, Tone tone) {
    return picture.marks().stream()
        .filter(m -> m instanceof Mark.Box b && b.fill() == tone)
        .map(m -> (Mark.Box) m)
        .toList();
  }

  @Test
  void eachFigureHasItsStripAndItsChangeInWords() {
    Comparison comparison = comparison(80, 68);
    double height = StripPicture.height(comparison);
    Picture picture = StripPicture.of(comparison, Notation.METRIC, 640, height);
    List<Mark.Box> before = boxes(picture, Tone.BEFORE);
    List<Mark.Box> after = boxes(picture, Tone.AFTER);
    assertThat(before).hasSameSizeAs(after).hasSizeGreaterThanOrEqualTo(3);
    // Less is farther left, and all of it lies inside.
    assertThat(after.get(0).x()).isLessThan(before.get(0).x());
    for (Mark.Box box : before) {
      assertThat(box.x() + box.width()).isLessThan(640);
      assertThat(box.y() + box.height()).isLessThan(height);
    }
    assertThat(picture.description())
        .contains("Change of mean of the cores: −12.0 K")
        .contains("Change of rise by power");
  }

  @Test
  void whatDidNotChangeStandsWhereItStood() {
    Picture picture = StripPicture.of(comparison(70, 70), Notation.METRIC, 640, 200);
    double before = boxes(picture, Tone.BEFORE).get(0).x() + 4;
    double after = boxes(picture, Tone.AFTER).get(0).x() + 2.5;
    assertThat(Math.abs(before - after)).isLessThan(2);
  }

  @Test
  void inFahrenheitTheAxisIsRoundThere() {
    Notation customary = new Notation(true, true, false, false);
    Comparison comparison =
        Comparison.of(
            MountedRun.ofOneMount(List.of(run(80))),
            MountedRun.ofOneMount(List.of(run(68))),
            Judging.of(1),
            customary);
    Picture picture = StripPicture.of(comparison, customary, 640, 220);
    assertThat(picture.description()).contains("−21.6 °F diff.");
    assertThat(picture.marks()).anyMatch(m -> m instanceof Mark.Words w && w.text().equals("100"));
  }
}
