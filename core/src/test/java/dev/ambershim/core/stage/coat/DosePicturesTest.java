package dev.ambershim.core.stage.coat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.dosing.CoatTerms;
import dev.ambershim.core.physics.dosing.MetalDose;
import dev.ambershim.core.physics.mounting.PlateSeat;
import dev.ambershim.core.physics.mounting.Tightening;
import dev.ambershim.core.physics.spread.FaceGrid;
import dev.ambershim.core.physics.spread.PasteAmount;
import dev.ambershim.core.physics.spread.PasteClass;
import dev.ambershim.core.physics.spread.PastePattern;
import dev.ambershim.core.physics.spread.SpreadCase;
import dev.ambershim.core.physics.spread.SpreadFlow;
import dev.ambershim.core.physics.spread.SpreadState;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Mark.Band;
import dev.ambershim.core.picture.Mark.Box;
import dev.ambershim.core.picture.Mark.Line;
import dev.ambershim.core.picture.Mark.Raster;
import dev.ambershim.core.picture.Mark.Words;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.Tone;
import dev.ambershim.core.stage.close.ClosePicture;
import dev.ambershim.core.stage.close.LidAnswer;
import dev.ambershim.core.stage.close.MountAnswer;
import dev.ambershim.core.stage.close.TurnsPicture;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Drops at true size, paste from above, the closed lid and the turns, as they are drawn. */
@Tag("slow")
class DosePicturesTest {
  private static final Job CHIPLETS = Job.from(StartingPoint.DESKTOP_CHIPLETS_SOLDER, "Fennel F16");
  private static final Job ONE = Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sorrel S8");

  private static List<String> words(Picture picture) {
    return picture.marks().stream()
        .filter(m -> m instanceof Words)
        .map(m -> ((Words) m).text())
        .toList();
  }

  private static double width(Band band) {
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (double x : band.xs()) {
      low = Math.min(low, x);
      high = Math.max(high, x);
    }
    return high - low;
  }

  /** A drop is as wide on the screen as it is, and the pin's head two millimetres. */
  @ParameterizedTest
  @ValueSource(doubles = {3.0, 3.78, 8.5})
  void dropsAndPinAreAtTrueSize(double per) {
    List<MetalDose> films = ONE.workCase().doses().films();
    Picture picture =
        DosePicture.of(films, CoatTerms.USUAL, per, Notation.METRIC, 640, DosePicture.height(1));
    List<Band> discs =
        picture.marks().stream().filter(m -> m instanceof Band).map(m -> (Band) m).toList();
    assertThat(discs).hasSize(2);
    assertThat(width(discs.get(0)) / per)
        .isCloseTo(films.get(0).drop().ballMillimetres(), within(1e-9));
    assertThat(width(discs.get(1)) / per).isCloseTo(2, within(1e-9));
    assertThat(picture.description()).contains("a pin's head beside them");
    // The ruler's tens stand ten millimetres apart.
    List<Line> tens =
        picture.marks().stream()
            .filter(m -> m instanceof Line l && l.x1() == l.x2() && l.y2() - l.y1() == 9)
            .map(m -> (Line) m)
            .toList();
    assertThat(tens.get(1).x1() - tens.get(0).x1()).isCloseTo(10 * per, within(1e-9));
  }

  @Test
  void theWindowLiesBetweenTooLittleAndTooMuch() {
    List<MetalDose> films = CHIPLETS.workCase().doses().films();
    Picture picture =
        DosePicture.of(films, CoatTerms.USUAL, 3.78, Notation.METRIC, 640, DosePicture.height(3));
    List<Box> right =
        picture.marks().stream()
            .filter(m -> m instanceof Box b && b.part().equals("right"))
            .map(m -> (Box) m)
            .toList();
    List<Line> wanted =
        picture.marks().stream()
            .filter(m -> m instanceof Line l && l.tone() == Tone.AMBER)
            .map(m -> (Line) m)
            .toList();
    assertThat(right).hasSize(3);
    assertThat(wanted).hasSize(3);
    for (int i = 0; i < 3; i++) {
      assertThat(wanted.get(i).x1())
          .isBetween(right.get(i).x(), right.get(i).x() + right.get(i).width());
    }
    assertThat(words(picture)).contains("chiplet 1: too little", "hub die: too little");
  }

  @Test
  void inchesAreWrittenAsInches() {
    Picture picture =
        DosePicture.of(
            ONE.workCase().doses().films(),
            CoatTerms.USUAL,
            3.78,
            new Notation(true, false, false, false),
            640,
            DosePicture.height(1));
    assertThat(words(picture)).anyMatch(w -> w.matches("0\\.\\d{3} in"));
  }

  @Test
  void theBarIsAsLongAsACard() {
    Picture picture = DosePicture.card(4, 400, 44);
    Box bar = (Box) picture.marks().get(0);
    assertThat(bar.width()).isCloseTo(85.6 * 4, within(1e-9));
  }

  private static SpreadState state(int steps) {
    FaceGrid grid =
        FaceGrid.of(List.of(new Patch(0, 0, 30, 20)), List.of(new Patch(0, 0, 9, 9)), 60);
    SpreadFlow flow =
        new SpreadFlow(SpreadCase.flat(grid, PasteClass.THIN.at(30), 160, PastePattern.CROSS, 40));
    for (int i = 0; i < steps && flow.step(); i++) {
      assertThat(flow.steps()).isPositive();
    }
    return flow.state();
  }

  @Test
  void pasteIsDrawnAsItLies() {
    List<Patch> dies = List.of(new Patch(0, 0, 9, 9));
    SpreadState laid = state(0);
    SpreadState spread = state(400);
    Picture before = SpreadPicture.of(laid, dies, Notation.METRIC, 300, 300);
    Picture after = SpreadPicture.of(spread, dies, Notation.METRIC, 300, 300);
    assertThat(after.description()).contains("the die 100 %");
    Raster a = (Raster) before.marks().get(0);
    Raster b = (Raster) after.marks().get(0);
    assertThat(a.columns()).isEqualTo(60);
    assertThat(a.rows()).isEqualTo(40);
    // Dry places are all of one tone; spread, they are hardly left.
    int dry = a.colours()[0];
    long dryBefore = Arrays.stream(a.colours()).filter(c -> c == dry).count();
    long dryAfter = Arrays.stream(b.colours()).filter(c -> c == dry).count();
    assertThat(dryBefore).isGreaterThan(1200);
    assertThat(dryAfter).isLessThan(300);
    double[] frame = SpreadPicture.frame(laid.grid(), 300, 300);
    assertThat(frame[2]).isCloseTo(292 / 30.0, within(1e-9));
  }

  @Test
  void patternsAreComparedOnOneAxis() {
    List<PasteQuestion.Compared> all = PasteQuestion.compare(ONE, SolveWatch.NONE, Runnable::run);
    Picture picture =
        SpreadPicture.compared(all, Notation.METRIC, 420, SpreadPicture.height(all.size()));
    assertThat(words(picture)).contains("dot", "two lines", "thin spread");
    assertThat(picture.description()).contains("five dots: ");
    long bars = picture.marks().stream().filter(m -> m instanceof Box).count();
    assertThat(bars).isEqualTo(6);
  }

  @Test
  void theLidIsDrawnOnWhatCarriesIt() {
    LidAnswer close = LidAnswer.of(CHIPLETS, Notation.METRIC).orElseThrow();
    Picture picture =
        ClosePicture.of(CHIPLETS.chip(), close.seat(), close.glue(), Notation.METRIC, 640, 210);
    assertThat(picture.description()).contains("carries the lid");
    List<Box> dies =
        picture.marks().stream()
            .filter(m -> m instanceof Box b && b.fill() == Tone.SILICON)
            .map(m -> (Box) m)
            .toList();
    assertThat(dies).hasSize(3);
    Box substrate =
        (Box)
            picture.marks().stream()
                .filter(m -> m instanceof Box b && b.part().equals("substrate"))
                .findFirst()
                .orElseThrow();
    // Dies stand on the substrate, films lie on the dies.
    for (Box die : dies) {
      assertThat(die.y() + die.height()).isCloseTo(substrate.y(), within(1e-9));
    }
    long films =
        picture.marks().stream().filter(m -> m instanceof Box b && b.part().equals("film")).count();
    assertThat(films).isEqualTo(3);
  }

  @Test
  void everyTurnHasItsBarAndTheLimitItsLine() {
    MountAnswer mount = MountAnswer.of(ONE, Notation.METRIC);
    Picture plain =
        TurnsPicture.of(
            mount.tightening(), ONE.mounting(), Double.MAX_VALUE, Notation.METRIC, 640, 230);
    long bars =
        plain.marks().stream().filter(m -> m instanceof Box b && b.fill() == Tone.COPPER).count();
    assertThat(bars).isEqualTo(mount.tightening().turns().size());
    assertThat(words(plain)).doesNotContain("limit");
    double worst = mount.tightening().worst().seat().peakMegapascals();
    Picture held =
        TurnsPicture.of(mount.tightening(), ONE.mounting(), 0.9 * worst, Notation.METRIC, 640, 230);
    assertThat(words(held)).contains("limit");
    assertThat(held.marks().stream().filter(m -> m instanceof Box b && b.fill() == Tone.ALARM))
        .isNotEmpty();
    assertThat(plain.description()).startsWith("56 turns; ");
  }

  /** Small pressures, as under a lid, need decimals: no two lines of the axis may say the same. */
  @ParameterizedTest
  @ValueSource(doubles = {0.12, 0.25, 1.2, 1.9, 8, 40})
  void everyLineOfThePressureAxisSaysAnotherFigure(double peak) {
    PlateSeat seat = new PlateSeat(0, 0, List.of(20.0), 20, peak, peak / 3, 1, 0, 0);
    Tightening once = new Tightening(List.of(new Tightening.Turn(0, 0.25, seat)));
    Picture picture =
        TurnsPicture.of(once, ONE.mounting(), Double.MAX_VALUE, Notation.METRIC, 640, 230);
    List<String> figures =
        picture.marks().stream()
            .filter(m -> m instanceof Words w && w.anchor() == Anchor.END)
            .map(m -> ((Words) m).text())
            .toList();
    assertThat(figures).hasSizeGreaterThan(1).doesNotHaveDuplicates();
  }

  @Test
  void theLeastAmountIsFoundForTheJob() {
    PasteAmount amount = PasteQuestion.amount(ONE, SolveWatch.NONE, Runnable::run);
    assertThat(amount.shadowCubicMillimetres().orElseThrow())
        .isLessThan(amount.faceCubicMillimetres().orElseThrow());
  }
}
