package dev.ambershim.core.picture;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.runs.protocol.Protocol;
import dev.ambershim.core.stage.baseline.LivePicture;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Cores on the dies, and a run as it goes. */
class RunPicturesTest {
  private static final List<Patch> DIE = List.of(new Patch(0, 0, 9, 19));
  private static final List<Patch> CORES =
      List.of(new Patch(-2, 5, 3, 4), new Patch(2, 5, 3, 4), new Patch(-2, -5, 3, 4));

  private static Picture map(List<Double> figures, double width, double height) {
    CoreMapPicture.Panel panel = CoreMapPicture.Panel.of("before", figures, Unit.KELVIN);
    return CoreMapPicture.of(DIE, CORES, List.of(panel), Notation.METRIC, width, height);
  }

  private static Mark.Words words(Picture picture, String text) {
    return picture.marks().stream()
        .filter(m -> m instanceof Mark.Words w && w.text().equals(text))
        .map(m -> (Mark.Words) m)
        .findFirst()
        .orElseThrow();
  }

  @Test
  void everyCoreShowsItsFigureWhereItLies() {
    Picture upright = map(List.of(50.0, 60.0, 70.0), 150, 300);
    assertThat(words(upright, "50.0").x()).isLessThan(words(upright, "60.0").x());
    assertThat(words(upright, "50.0").y()).isLessThan(words(upright, "70.0").y());
    // In a wide place a long die lies down, with its back to the left.
    Picture lying = map(List.of(50.0, 60.0, 70.0), 400, 150);
    assertThat(words(lying, "50.0").x()).isLessThan(words(lying, "70.0").x());
    assertThat(words(lying, "50.0").y()).isLessThan(words(lying, "60.0").y());
    assertThat(words(lying, "back").x()).isLessThan(words(lying, "front").x());
    assertThat(lying.description()).contains("before: 50.0 to 70.0 K");
  }

  /** Two wide dies: below each other where the place is tall, and whole figures are rounded. */
  @Test
  void mapsLieWhereTheyAreLargest() {
    List<Patch> dies = List.of(new Patch(-7, 0, 10, 7), new Patch(7, 0, 10, 7));
    List<Patch> cores = List.of(new Patch(-7, 0, 2, 3), new Patch(7, 0, 2, 3));
    CoreMapPicture.Panel a = CoreMapPicture.Panel.of("before", List.of(51.7, 60.2), Unit.KELVIN);
    CoreMapPicture.Panel b = CoreMapPicture.Panel.of("change", List.of(-7.1, -7.14), Unit.KELVIN);
    Picture tall = CoreMapPicture.of(dies, cores, List.of(a, b), Notation.METRIC, 300, 300);
    assertThat(words(tall, "before, 51.7 to 60.2 K").y())
        .isLessThan(words(tall, "change, −7.1 to −7.1 K").y() - 100);
    Picture flat = CoreMapPicture.of(dies, cores, List.of(a, b), Notation.METRIC, 600, 120);
    assertThat(words(flat, "before, 51.7 to 60.2 K").y())
        .isEqualTo(words(flat, "change, −7.1 to −7.1 K").y());
    assertThat(words(flat, "52")).isNotNull();
    // A few hundredths must not take the whole range of colours.
    assertThat(b.high() - b.low()).isEqualTo(2);
  }

  @Test
  void aSilentCoreHasNoColour() {
    Picture picture = map(List.of(50.0, Double.NaN, 70.0), 400, 150);
    assertThat(picture.marks().stream().filter(m -> m instanceof Mark.Raster)).hasSize(2);
    assertThat(words(picture, "–")).isNotNull();
  }

  /** WCAG 2.1: large bold figures need 3, and these have 4.5 all along the scale. */
  @Test
  void figuresAreReadableOnEveryColour() {
    for (int i = 0; i <= 100; i++) {
      double share = i / 100.0;
      Tone ink = share < CoreMapPicture.DEEP_UNTIL ? Tone.ON_DEEP : Tone.ON_PALE;
      int ground = Cividis.at(share);
      int figure = Integer.parseInt(ink.hex(true).substring(1), 16);
      double a = luminance(ground);
      double b = luminance(figure);
      assertThat((Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05))
          .as("at %s", share)
          .isGreaterThanOrEqualTo(4.0);
    }
  }

  private static double luminance(int rgb) {
    double sum = 0;
    double[] weights = {0.2126, 0.7152, 0.0722};
    for (int i = 0; i < 3; i++) {
      double c = ((rgb >> (16 - 8 * i)) & 255) / 255.0;
      sum += weights[i] * (c <= 0.03928 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4));
    }
    return sum;
  }

  @Test
  void aRunShowsItsPhasesAndItsLimit() {
    Protocol protocol = new Protocol("p", 60, 0, 1, 600, 120, 95, null);
    double[] t = {0, 60, 70, 80};
    double[] hot = {30, 31, Double.NaN, 72};
    Picture picture = LivePicture.of(protocol, t, hot, 4, Notation.METRIC, 800, 200);
    assertThat(words(picture, "plateau 1")).isNotNull();
    assertThat(words(picture, "95.0 °C")).isNotNull();
    Mark.Trace trace =
        picture.marks().stream()
            .filter(m -> m instanceof Mark.Trace)
            .map(m -> (Mark.Trace) m)
            .findFirst()
            .orElseThrow();
    assertThat(trace.xs()).hasSize(3);
    // Hotter is higher.
    assertThat(trace.ys()[2]).isLessThan(trace.ys()[0]);
    assertThat(picture.description()).contains("72.0 °C now");
  }

  @Test
  void aLongRunIsThinnedWithoutLosingItsPeak() {
    Protocol protocol = new Protocol("p", 0, 0, 1, 86400, 0, 95, null);
    double[] t = new double[80_000];
    double[] hot = new double[t.length];
    for (int i = 0; i < t.length; i++) {
      t[i] = i;
      hot[i] = i == 54_321 ? 90 : 60;
    }
    Picture picture = LivePicture.of(protocol, t, hot, t.length, Notation.METRIC, 800, 200);
    Mark.Trace trace =
        picture.marks().stream()
            .filter(m -> m instanceof Mark.Trace)
            .map(m -> (Mark.Trace) m)
            .findFirst()
            .orElseThrow();
    assertThat(trace.ys().length).isLessThan(1600);
    double highest = Arrays.stream(trace.ys()).min().orElseThrow();
    assertThat(trace.ys()[0] - highest).isGreaterThan(40);
  }
}
