package dev.ambershim.core.physics.spread;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.ThicknessMap;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The parts of a spread: face, deposit, strokes, pressing, air, and the joint that is left. */
class SpreadPartsTest {
  private static final List<Patch> LID = List.of(new Patch(0, 0, 30, 20));
  private static final List<Patch> DIE = List.of(new Patch(2, 1, 10, 8));

  private static FaceGrid grid(int cells) {
    return FaceGrid.of(LID, DIE, cells);
  }

  @Test
  void theGridLiesOnTheFaceAndKnowsTheShadow() {
    FaceGrid grid = grid(60);
    assertThat(grid.columns()).isEqualTo(60);
    assertThat(grid.rows()).isEqualTo(40);
    assertThat(grid.x(0)).isCloseTo(-14.75, within(1e-12));
    assertThat(grid.x(59)).isCloseTo(14.75, within(1e-12));
    assertThat(grid.y(39)).isCloseTo(9.75, within(1e-12));
    assertThat(grid.faceSquareMillimetres()).isCloseTo(600, within(1e-9));
    assertThat(grid.cellSquareMillimetres()).isCloseTo(0.25, within(1e-12));
    int shadow = 0;
    for (boolean b : grid.shadow()) {
      shadow += b ? 1 : 0;
    }
    assertThat(shadow * grid.cellSquareMillimetres()).isCloseTo(80, within(1e-9));
  }

  @Test
  void aFaceOfSeveralDiesHasGapsBetweenThem() {
    List<Patch> dies = List.of(new Patch(-6, 0, 8, 10), new Patch(6, 0, 8, 10));
    FaceGrid grid = FaceGrid.of(dies, dies, 40);
    assertThat(grid.widthMillimetres()).isEqualTo(20);
    assertThat(grid.faceSquareMillimetres()).isCloseTo(160, within(1e-9));
    int middle = grid.rows() / 2 * grid.columns() + grid.columns() / 2;
    assertThat(grid.face()[middle]).isFalse();
    SpreadState end =
        PasteAmount.rest(
            SpreadCase.flat(grid, PasteClass.THIN.at(30), 100, PastePattern.THIN_SPREAD, 12),
            SolveWatch.NONE);
    assertThat(end.shadowCover()).isEqualTo(1);
    assertThat(end.cover()).isEqualTo(1);
  }

  @ParameterizedTest
  @EnumSource(value = PastePattern.class, names = "OWN", mode = EnumSource.Mode.EXCLUDE)
  void everyPatternHoldsItsVolumeAndLiesOnTheFace(PastePattern pattern) {
    FaceGrid grid = grid(60);
    double[] heights = Deposit.heights(grid, pattern, List.of(), 42);
    double sum = Arrays.stream(heights).sum() * grid.cellSquareMillimetres();
    assertThat(sum).isCloseTo(42, within(1e-9));
    for (int c = 0; c < heights.length; c++) {
      assertThat(heights[c]).isNotNegative();
    }
    // Every pattern is the same left and right, up and down.
    for (int j = 0; j < grid.rows(); j++) {
      for (int i = 0; i < grid.columns(); i++) {
        double here = heights[j * 60 + i];
        assertThat(heights[j * 60 + 59 - i]).isCloseTo(here, within(1e-9));
        assertThat(heights[(39 - j) * 60 + i]).isCloseTo(here, within(1e-9));
      }
    }
  }

  @Test
  void aDotIsAHalfBallAndAThinSpreadIsEven() {
    FaceGrid grid = FaceGrid.of(LID, DIE, 240);
    double[] dot = Deposit.heights(grid, PastePattern.DOT, List.of(), 2 * Math.PI / 3 * 27);
    // A half ball of 3 mm holds 2π/3·27 mm³.
    assertThat(Arrays.stream(dot).max().orElseThrow()).isCloseTo(3, within(0.02));
    double[] even = Deposit.heights(grid, PastePattern.THIN_SPREAD, List.of(), 30);
    assertThat(Arrays.stream(even).distinct().count()).isEqualTo(1);
    assertThat(even[0]).isCloseTo(0.05, within(1e-12));
  }

  @Test
  void aLineFollowsTheLongerSide() {
    FaceGrid wide = grid(60);
    double[] across = Deposit.heights(wide, PastePattern.LINE, List.of(), 20);
    assertThat(across[20 * 60 + 15]).isPositive();
    assertThat(across[5 * 60 + 30]).isZero();
    FaceGrid tall = FaceGrid.of(List.of(new Patch(0, 0, 20, 30)), DIE, 60);
    double[] up = Deposit.heights(tall, PastePattern.LINE, List.of(), 20);
    assertThat(up[15 * 40 + 20]).isPositive();
    assertThat(up[30 * 40 + 5]).isZero();
  }

  @Test
  void strokesAreMeasuredToTheirNearestPlace() {
    PasteStroke dot = PasteStroke.of(1, 2);
    assertThat(dot.distance(4, 6)).isCloseTo(5, within(1e-12));
    PasteStroke bent = PasteStroke.of(0, 0, 10, 0, 10, 10);
    assertThat(bent.distance(5, 3)).isCloseTo(3, within(1e-12));
    assertThat(bent.distance(13, 5)).isCloseTo(3, within(1e-12));
    assertThat(bent.distance(-3, -4)).isCloseTo(5, within(1e-12));
    assertThat(bent.distance(10, 14)).isCloseTo(4, within(1e-12));
    // Two places in one are a dot.
    assertThat(PasteStroke.of(1, 1, 1, 1).distance(4, 5)).isCloseTo(5, within(1e-12));
    assertThatIllegalArgumentException().isThrownBy(() -> new PasteStroke(List.of(), List.of()));
  }

  @Test
  void ownStrokesLieWhereTheyWereDrawn() {
    FaceGrid grid = grid(60);
    double[] own =
        Deposit.heights(grid, PastePattern.OWN, List.of(PasteStroke.of(-10, 5, -8, 5)), 5);
    int most = 0;
    for (int c = 0; c < own.length; c++) {
      most = own[c] > own[most] ? c : most;
    }
    assertThat(grid.x(most % 60)).isBetween(-10.3, -7.7);
    assertThat(grid.y(most / 60)).isCloseTo(5, within(0.3));
  }

  @Test
  void aPlateIsPressedStageAfterStage() {
    Pressing pressing =
        new Pressing(
            List.of(
                new Pressing.Stage(2, 30, 0.004, 0),
                new Pressing.Stage(4, 90, -0.004, 0.002),
                new Pressing.Stage(Double.POSITIVE_INFINITY, 150, 0, 0)));
    assertThat(pressing.tilts()).isTrue();
    assertThat(pressing.newtons(0)).isEqualTo(30);
    assertThat(pressing.newtons(2)).isEqualTo(90);
    assertThat(pressing.newtons(100)).isEqualTo(150);
    assertThat(pressing.ends(1)).isEqualTo(2);
    assertThat(pressing.ends(3)).isEqualTo(6);
    assertThat(pressing.ends(7)).isInfinite();
    assertThat(pressing.last(7)).isTrue();
    // It comes as tilted as the first stage says, so it does not turn in it.
    assertThat(pressing.turning(1)).containsExactly(0, 0);
    assertThat(pressing.turning(3)[0]).isCloseTo(-0.002, within(1e-12));
    assertThat(pressing.turning(3)[1]).isCloseTo(0.0005, within(1e-12));
    assertThat(pressing.turning(6.5)[0]).isCloseTo(0.004, within(1e-12));
    assertThat(pressing.turning(8)).containsExactly(0, 0);
    assertThat(Pressing.level(100).tilts()).isFalse();
    assertThatIllegalArgumentException().isThrownBy(() -> new Pressing(List.of()));
    assertThatIllegalArgumentException()
        .isThrownBy(() -> new Pressing(List.of(new Pressing.Stage(1, 0, 0, 0))));
  }

  /** A ring of paste shuts its middle in; open a gap in it, and the air is free. */
  @Test
  void airIsShutInByARingAndFreeThroughAGap() {
    FaceGrid grid = FaceGrid.of(List.of(new Patch(0, 0, 9, 9)), List.of(), 9);
    boolean[] full = new boolean[81];
    double[] room = new double[81];
    double[] volume = new double[81];
    Arrays.fill(room, 1e-12);
    for (int c = 0; c < 81; c++) {
      int i = c % 9;
      int j = c / 9;
      full[c] = Math.max(Math.abs(i - 4), Math.abs(j - 4)) == 2;
      volume[c] = full[c] ? 1e-12 : 0;
    }
    AirPockets pockets = new AirPockets(grid);
    pockets.find(full, volume, room, 1e7);
    assertThat(pockets.any()).isTrue();
    assertThat(pockets.shut(4 * 9 + 4)).isTrue();
    assertThat(pockets.shut(0)).isFalse();
    // Closed in as it was: one atmosphere, nothing over it.
    assertThat(pockets.over(4 * 9 + 4)).isCloseTo(0, within(1e-6));
    // Boyle: half the room, twice the pressure.
    Arrays.fill(room, 0.5e-12);
    for (int c = 0; c < 81; c++) {
      volume[c] = full[c] ? 0.5e-12 : 0;
    }
    pockets.find(full, volume, room, 1e7);
    assertThat(pockets.over(4 * 9 + 4)).isCloseTo(AirPockets.ATMOSPHERE, within(1.0));
    full[4 * 9 + 6] = false;
    pockets.find(full, volume, room, 1e7);
    assertThat(pockets.any()).isFalse();
    assertThat(pockets.over(4 * 9 + 4)).isZero();
  }

  @Test
  void warmPasteFlowsMoreEasily() {
    for (PasteClass kind : PasteClass.values()) {
      assertThat(kind.pascalSeconds(60)).isLessThan(0.5 * kind.pascalSeconds(23));
      assertThat(kind.pascalSeconds(5)).isGreaterThan(1.5 * kind.pascalSeconds(23));
      assertThat(kind.at(23).yieldPascal()).isEqualTo(kind.yieldPascal());
    }
    // Arrhenius with 25 kJ/mol between 23 and 60 °C: exp(25000/8.314·(1/333.15 − 1/296.15)).
    assertThat(PasteClass.THIN.pascalSeconds(60) / PasteClass.THIN.pascalSeconds(23))
        .isCloseTo(0.3237, within(5e-4));
    FaceGrid grid = grid(40);
    double cold = seconds(grid, 10);
    double warm = seconds(grid, 60);
    assertThat(warm).isLessThan(0.5 * cold);
  }

  private static double seconds(FaceGrid grid, double celsius) {
    SpreadFlow flow =
        new SpreadFlow(
            SpreadCase.flat(grid, PasteClass.THIN.at(celsius), 160, PastePattern.DOT, 30));
    while (flow.closestMicrometres() > 80 && flow.step()) {
      assertThat(flow.seconds()).isNotNegative();
    }
    return flow.seconds();
  }

  @Test
  void moreForceThinsMoreAndSooner() {
    FaceGrid grid = grid(40);
    SpreadState soft =
        PasteAmount.rest(
            SpreadCase.flat(grid, PasteClass.THIN.at(40), 40, PastePattern.CROSS, 40),
            SolveWatch.NONE);
    SpreadState hard =
        PasteAmount.rest(
            SpreadCase.flat(grid, PasteClass.THIN.at(40), 250, PastePattern.CROSS, 40),
            SolveWatch.NONE);
    assertThat(hard.meanMicrometres()).isLessThan(soft.meanMicrometres());
    assertThat(hard.overflowShare()).isGreaterThan(soft.overflowShare());
    assertThat(hard.cubicMillimetres()).isEqualTo(40);
  }

  @Test
  void theJointIsPasteWhereItJoinsAndAirWhereItDoesNot() {
    FaceGrid grid = grid(60);
    SpreadState end =
        PasteAmount.rest(
            SpreadCase.flat(grid, PasteClass.MIDDLING.at(23), 160, PastePattern.DOT, 6),
            SolveWatch.NONE);
    assertThat(end.cover()).isBetween(0.1, 0.6);
    ThicknessMap.Grid joint = SpreadJoint.of(end, 5);
    ThicknessMap.Grid covered = SpreadJoint.covered(end);
    double middle = joint.micrometres(null, 0, 0);
    double corner = joint.micrometres(null, 14.9, 9.9);
    assertThat(middle).isCloseTo(end.meanMicrometres(), within(0.01));
    // As much paste as resists like that much air: 5 ÷ 0.0263 times as thick.
    assertThat(corner / middle).isCloseTo(5 / 0.0263, within(0.5));
    assertThat(covered.micrometres(null, 14.9, 9.9)).isCloseTo(middle, within(0.01));
  }

  @Test
  void whoWaitsCanStopIt() {
    SolveWatch stopped = new SolveWatch(share -> {}, () -> true);
    SpreadCase setup = SpreadCase.flat(grid(30), PasteClass.STIFF.at(20), 80, PastePattern.DOT, 9);
    assertThatThrownBy(() -> PasteAmount.rest(setup, stopped))
        .isInstanceOf(CancellationException.class);
    assertThatThrownBy(() -> PasteAmount.of(setup, stopped, Runnable::run))
        .isInstanceOf(CancellationException.class);
  }

  @Test
  void termsFillInWhatIsUsual() {
    assertThat(PasteTerms.USUAL.kind()).isEqualTo(PasteClass.MIDDLING);
    assertThat(PasteTerms.USUAL.warmth()).isEqualTo(23);
    assertThat(PasteTerms.USUAL.with(PastePattern.CROSS).pattern()).isEqualTo(PastePattern.CROSS);
    // Own strokes without any are no pattern.
    assertThat(PasteTerms.USUAL.with(PastePattern.OWN).pattern()).isNull();
    PasteTerms own = PasteTerms.USUAL.drawn(List.of(PasteStroke.of(0, 0)));
    assertThat(own.pattern()).isEqualTo(PastePattern.OWN);
    assertThat(PastePattern.TWO_LINES.withArticle()).isEqualTo("two lines");
    assertThat(PastePattern.CROSS.withArticle()).isEqualTo("a cross");
  }

  @Test
  void aCaseKeepsAllElseWhenOnePartChanges() {
    SpreadCase setup = SpreadCase.flat(grid(30), PasteClass.STIFF.at(20), 80, PastePattern.DOT, 9);
    SpreadCase more = setup.withVolume(12);
    assertThat(more.cubicMillimetres()).isEqualTo(12);
    assertThat(more.pattern()).isEqualTo(PastePattern.DOT);
    SpreadCase line = setup.withPattern(PastePattern.LINE);
    assertThat(line.pattern()).isEqualTo(PastePattern.LINE);
    assertThat(line.pressing()).isEqualTo(setup.pressing());
    assertThatIllegalArgumentException()
        .isThrownBy(
            () ->
                new SpreadCase(
                    grid(30),
                    PasteClass.STIFF.at(20),
                    Pressing.level(10),
                    PastePattern.DOT,
                    null,
                    1,
                    new double[3],
                    10));
  }
}
