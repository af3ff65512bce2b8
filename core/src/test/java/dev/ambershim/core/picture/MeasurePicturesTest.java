package dev.ambershim.core.picture;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.fit.Heights;
import dev.ambershim.core.physics.fit.Instrument;
import dev.ambershim.core.physics.fit.Reading;
import dev.ambershim.core.physics.fit.ShimTerms;
import dev.ambershim.core.physics.fit.Top;
import dev.ambershim.core.physics.fit.TopKind;
import dev.ambershim.core.physics.material.Material;
import dev.ambershim.core.physics.surface.Face;
import dev.ambershim.core.physics.surface.FaceReport;
import dev.ambershim.core.physics.surface.LapTerms;
import dev.ambershim.core.physics.surface.LappingPlan;
import dev.ambershim.core.physics.surface.MatingPair;
import dev.ambershim.core.physics.surface.ProbedPoint;
import dev.ambershim.core.physics.surface.ReliefMap;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.stage.lap.LapPicture;
import dev.ambershim.core.stage.lap.LapWords;
import dev.ambershim.core.stage.measure.FitAnswer;
import dev.ambershim.core.stage.measure.FitPicture;
import dev.ambershim.core.stage.measure.ShimOutline;
import dev.ambershim.core.stage.measure.ShimPicture;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The dial of the fit, reliefs, strokes and sheets: what they show, and that it can be read. */
class MeasurePicturesTest {
  private static final Chip CHIP = StartingPoint.DESKTOP_ONE_DIE_PASTE.chip("Sorrel S8");

  private static FaceReport face() {
    List<ProbedPoint> points = new ArrayList<>();
    for (int x = -15; x <= 15; x += 5) {
      for (int y = -15; y <= 15; y += 5) {
        points.add(new ProbedPoint(x, y, 0.08 * (x * x + y * y) + (x == 5 && y == 5 ? 40 : 0)));
      }
    }
    return FaceReport.of(points, Optional.of(1.0));
  }

  private static FitAnswer fit() {
    return FitAnswer.of(
        Heights.NONE.withTops(
            List.of(
                top("die", TopKind.DIE, 0, 9.2, 19, 0.78),
                top("shim", TopKind.SHIM, 0, 33, 33, 0.73),
                top("row left", TopKind.PART, -9, 1, 6, 0.52))),
        StartingPoint.cooler(),
        Notation.METRIC,
        20_000,
        Runnable::run);
  }

  private static Top top(String name, TopKind kind, double x, double w, double d, double height) {
    return new Top(name, kind, x, 0, w, d, false, Reading.of(Instrument.INDICATOR, height));
  }

  /** Every text lies on the picture, and none over another. */
  private static void readable(Picture picture) {
    List<double[]> boxes = new ArrayList<>();
    for (Mark mark : picture.marks()) {
      if (mark instanceof Mark.Words w && !w.text().isEmpty()) {
        double width = 0.5 * w.size() * w.text().length();
        double left =
            w.anchor() == Anchor.START
                ? w.x()
                : w.anchor() == Anchor.END ? w.x() - width : w.x() - width / 2;
        double[] box = {left, w.y() - 0.7 * w.size(), left + width, w.y()};
        assertThat(box[0]).as(w.text()).isGreaterThan(-14);
        assertThat(box[2]).as(w.text()).isLessThan(picture.width() + 14);
        assertThat(box[3]).as(w.text()).isLessThanOrEqualTo(picture.height());
        for (double[] other : boxes) {
          boolean apart =
              box[0] >= other[2] || box[2] <= other[0] || box[1] >= other[3] || box[3] <= other[1];
          assertThat(apart).as("%s stands over another text", w.text()).isTrue();
        }
        boxes.add(box);
      }
    }
    assertThat(boxes).isNotEmpty();
  }

  @ParameterizedTest
  @ValueSource(doubles = {560, 640, 900})
  void theFitCanBeReadLikeADial(double width) {
    FitAnswer fit = fit();
    Picture picture =
        FitPicture.of(
            fit, CHIP, 0, 0, Notation.METRIC, width, FitPicture.height(fit.rows().size()));
    readable(picture);
    assertThat(picture.description())
        .startsWith("The plate rests on die")
        .contains("shim 0.05 mm clear");
    assertThat(
            picture.marks().stream()
                .filter(m -> m instanceof Mark.Words w && w.text().startsWith("touches"))
                .count())
        .isEqualTo(1);
    assertThat(
            FitPicture.of(
                    FitAnswer.of(
                        Heights.NONE, StartingPoint.cooler(), Notation.METRIC, 100, Runnable::run),
                    CHIP,
                    0,
                    0,
                    Notation.METRIC,
                    width,
                    240)
                .description())
        .isEqualTo("Nothing is read yet.");
  }

  @Test
  void aReliefShowsItsScaleItsHighSpotsAndItsDoubts() {
    FaceReport report = face();
    Picture picture =
        ReliefPicture.of(
            report,
            ReliefMap.of(report),
            "top of the lid",
            Optional.of(new Patch(0, 0, 9, 19)),
            Optional.empty(),
            Notation.METRIC,
            640,
            330);
    readable(picture);
    assertThat(picture.description()).startsWith("top of the lid: from").contains("concave");
    assertThat(picture.marks().stream().filter(m -> m instanceof Mark.Raster)).hasSize(2);
    // The crumb is crossed.
    assertThat(
            picture.marks().stream()
                .filter(m -> m instanceof Mark.Line l && l.tone() == Tone.ALARM))
        .hasSize(2);
    double[] within = {-15, 15, -15, 15};
    MatingPair pair = MatingPair.of(ReliefMap.of(report), ReliefMap.flat(within), within);
    Picture gap = ReliefPicture.gap(pair, "gap", Optional.empty(), Notation.METRIC, 320, 300);
    readable(gap);
    assertThat(gap.description()).contains("at the widest");
  }

  @Test
  void strokesHaveTheirIntervalAndTheirBreakThrough() {
    LapTerms terms = new LapTerms(Face.LID_TOP, true, null, null, null, null, null, null, null);
    LappingPlan plan =
        LappingPlan.of(face(), new Patch(0, 0, 30, 30), Material.COPPER, 2.3, terms, List.of());
    Picture picture = LapPicture.of(plan, Notation.METRIC, 620, LapPicture.height(plan));
    readable(picture);
    assertThat(picture.description()).startsWith("Strokes: P400").contains("P1200");
    assertThat(LapWords.plan(plan, Notation.METRIC).sentence())
        .contains("to 5 µm")
        .contains("strokes (");
    assertThat(LapWords.notes(plan, 2.295, 4, Notation.METRIC))
        .anyMatch(n -> n.contains("do not lap that far"))
        .anyMatch(n -> n.contains("Press within 5.0 mm"))
        .anyMatch(n -> n.contains("cracks there"));
    assertThat(LapWords.cautions(terms)).anyMatch(c -> c.contains("extreme cold"));
    LapTerms die = new LapTerms(Face.DIE, false, null, null, null, null, null, null, null);
    assertThat(LapWords.cautions(die)).anyMatch(c -> c.contains("chips at its edges"));
    LappingPlan silicon =
        LappingPlan.of(face(), new Patch(0, 0, 30, 30), Material.SILICON, 0.78, die, List.of());
    assertThat(silicon.steps().get(0).grit().number()).isGreaterThanOrEqualTo(1500);
    assertThat(silicon.breakThrough().happens()).isFalse();
    assertThat(LapWords.notes(silicon, 0.7, 4, Notation.METRIC))
        .anyMatch(n -> n.contains("4.0 % risk of ruining the chip"));
    assertThat(plan.minutes()).isNotEqualTo(new Interval(0, 0, 0.95));
  }

  @Test
  void aSheetLiesOnItsChip() {
    List<Top> tops = List.of(top("row left", TopKind.PART, -9, 1, 6, 0.52));
    ShimOutline outline = ShimOutline.of(CHIP, tops, ShimTerms.USUAL, Notation.METRIC);
    Picture picture = ShimPicture.of(outline, CHIP, tops, Notation.METRIC, 300, 300);
    readable(picture);
    assertThat(picture.description()).isEqualTo("Sheet of 36.5 mm by 36.5 mm with 2 openings.");
  }
}
