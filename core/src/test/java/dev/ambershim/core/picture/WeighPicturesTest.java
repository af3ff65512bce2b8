package dev.ambershim.core.picture;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.build.Detail;
import dev.ambershim.core.physics.build.Responses;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.plan.OptionKind;
import dev.ambershim.core.plan.Terms;
import dev.ambershim.core.stage.weigh.CloseUp;
import dev.ambershim.core.stage.weigh.HeatPicture;
import dev.ambershim.core.stage.weigh.HeatSectionPicture;
import dev.ambershim.core.stage.weigh.OptionsPicture;
import dev.ambershim.core.stage.weigh.OwnRecord;
import dev.ambershim.core.stage.weigh.Question;
import dev.ambershim.core.stage.weigh.Weighing;
import dev.ambershim.core.stage.weigh.WhatIf;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** The options on one axis, and the two heat maps in one scale. */
@Tag("slow")
class WeighPicturesTest {
  private static Weighing weighing;

  /** A hollow that leaves more over the die than a film bridges. */
  private static Chip deep(Chip chip) {
    return chip.withLid(chip.lid().withCavityMillimetres(0.75));
  }

  @BeforeAll
  static void weigh() {
    StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_SOLDER;
    Question question =
        new Question(
            new Situation(
                deep(point.chip("x")), CoolerClass.LARGE_LOOP.usual("c", 3.5), point.asBought()),
            150,
            22,
            1,
            List.of(),
            List.of(),
            Terms.USUAL,
            OwnRecord.NONE);
    ExecutorService lanes = Executors.newFixedThreadPool(2);
    weighing =
        Weighing.of(
            question,
            WhatIf.AS_IT_IS,
            new Responses(lanes)
                .of(Weighing.situations(question, Notation.METRIC), SolveWatch.NONE),
            Notation.METRIC);
    lanes.shutdown();
  }

  @Test
  void eachOptionIsARowThatCanBePickedAndTheGreatestGainIsFirst() {
    Picture picture = OptionsPicture.of(weighing, Notation.METRIC, 640, 300);
    List<Mark.Box> rows =
        picture.marks().stream()
            .filter(m -> m instanceof Mark.Box b && !b.part().isEmpty())
            .map(m -> (Mark.Box) m)
            .toList();
    assertThat(rows).hasSameSizeAs(weighing.options());
    assertThat(rows.get(0).part()).isEqualTo(weighing.ranked().get(0).option().kind().name());
    assertThat(rows).allSatisfy(r -> assertThat(r.y() + r.height()).isLessThan(300));
    assertThat(words(picture)).anyMatch(w -> w.startsWith("The lid's hollow is too deep"));
    assertThat(picture.description()).contains("liquid metal inside, lid glued not possible");
  }

  @Test
  void intervalsLieWhereTheAxisSays() {
    Picture picture = OptionsPicture.of(weighing, Notation.METRIC, 640, 300);
    // The likely gain's block of each possible row, from left to right like the gains themselves.
    List<Double> blocks =
        picture.marks().stream()
            .filter(m -> m instanceof Mark.Box b && b.fill() == Tone.INK)
            .map(m -> ((Mark.Box) m).x())
            .toList();
    List<Double> gains =
        weighing.ranked().stream()
            .filter(o -> o.option().possible())
            .map(o -> o.gainKelvin())
            .toList();
    assertThat(blocks).hasSameSizeAs(gains);
    double scale = (blocks.get(0) - blocks.get(1)) / (gains.get(0) - gains.get(1));
    for (int i = 1; i < blocks.size(); i++) {
      double off = blocks.get(0) - blocks.get(i) - scale * (gains.get(0) - gains.get(i));
      assertThat(Math.abs(off)).isLessThan(0.01);
    }
  }

  private static List<String> words(Picture picture) {
    return picture.marks().stream()
        .filter(m -> m instanceof Mark.Words)
        .map(m -> ((Mark.Words) m).text())
        .toList();
  }

  @Test
  void bothMapsShareOneScaleAndTheHotterIsLighter() {
    Detail now = CloseUp.of(weighing, SolveWatch.NONE).now();
    Detail then =
        CloseUp.of(weighing, SolveWatch.NONE)
            .then(weighing.option(OptionKind.BARE_LAPPED).option());
    Picture picture = HeatPicture.of(now, then, "picked", Notation.METRIC, 320, 200);
    List<Mark.Raster> rasters =
        picture.marks().stream()
            .filter(m -> m instanceof Mark.Raster)
            .map(m -> (Mark.Raster) m)
            .toList();
    assertThat(rasters).hasSize(3);
    assertThat(brightest(rasters.get(0))).isGreaterThan(brightest(rasters.get(1)));
    assertThat(words(picture)).anyMatch(w -> w.startsWith("now, hottest"));
    assertThat(picture.description()).contains("hottest place");
  }

  @Test
  void theSectionIsColouredByTemperatureWithLinesThatAreLabelled() {
    Detail now = CloseUp.of(weighing, SolveWatch.NONE).now();
    Detail then =
        CloseUp.of(weighing, SolveWatch.NONE)
            .then(weighing.option(OptionKind.BARE_LAPPED).option());
    Picture picture =
        HeatSectionPicture.of(
            now.section().orElseThrow(),
            then.section().orElseThrow(),
            "picked",
            Notation.METRIC,
            640,
            190);
    List<Mark.Raster> rasters =
        picture.marks().stream()
            .filter(m -> m instanceof Mark.Raster)
            .map(m -> (Mark.Raster) m)
            .toList();
    // Die, lid and plate now; die and plate without a lid.
    assertThat(rasters).hasSize(5);
    assertThat(brightest(rasters.get(0))).isGreaterThan(brightest(rasters.get(2)));
    assertThat(rasters)
        .allSatisfy(
            r -> {
              assertThat(r.x()).isGreaterThanOrEqualTo(0);
              assertThat(r.x() + r.width()).isLessThanOrEqualTo(640.01);
              assertThat(r.y()).isGreaterThanOrEqualTo(0);
            });
    assertThat(picture.marks()).anyMatch(m -> m instanceof Mark.Trace);
    assertThat(words(picture)).anyMatch(w -> w.matches("\\d\\d"));
    assertThat(words(picture)).anyMatch(w -> w.endsWith("a line every 5 °C"));
  }

  private static double brightest(Mark.Raster raster) {
    double most = 0;
    for (int colour : raster.colours()) {
      most = Math.max(most, colour < 0 ? 0 : lightness(colour));
    }
    return most;
  }

  /** CIE lightness L* of an sRGB colour (IEC 61966-2-1; CIE 15). */
  private static double lightness(int colour) {
    double y =
        0.2126 * linear(colour >> 16 & 255)
            + 0.7152 * linear(colour >> 8 & 255)
            + 0.0722 * linear(colour & 255);
    return y > 0.008856 ? 116 * Math.cbrt(y) - 16 : 903.3 * y;
  }

  private static double linear(int channel) {
    double c = channel / 255.0;
    return c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
  }

  @Test
  void theColourMapRisesEvenlyInLightness() {
    double last = lightness(Cividis.at(0));
    assertThat(last).isLessThan(20);
    for (int i = 1; i <= 10; i++) {
      double next = lightness(Cividis.at(i / 10.0));
      // An even rise would be about 7.8 for each tenth.
      assertThat(next - last).isBetween(5.0, 11.0);
      last = next;
    }
    assertThat(last).isGreaterThan(85);
    assertThat(Cividis.at(-1)).isEqualTo(Cividis.at(0));
    assertThat(Cividis.at(2)).isEqualTo(Cividis.at(1));
  }
}
