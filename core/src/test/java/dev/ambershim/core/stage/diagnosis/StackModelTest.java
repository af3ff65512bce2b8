package dev.ambershim.core.stage.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.ThicknessMap;
import dev.ambershim.core.physics.modes.DrawnStack;
import dev.ambershim.core.physics.modes.LiveStack;
import dev.ambershim.core.runs.causes.CauseKind;
import dev.ambershim.core.stage.practise.HiddenChip;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Shapes in a stack, against the solver itself with the joint written out. */
class StackModelTest {
  private static final StackCase LIDDED =
      HiddenChip.drawn(5, CauseKind.AS_IT_SHOULD_BE, 8, true, false).believed();
  private static final StackModel MODEL = new StackModel(LIDDED, SolveWatch.NONE);

  private static double[][] exact(StackCase stack) {
    LiveStack live = LiveStack.forMeans(stack, 0.001, SolveWatch.NONE);
    int n = stack.heat().size();
    double[][] all = new double[n][n];
    for (int s = 0; s < n; s++) {
      double[] watts = new double[n];
      watts[s] = 1;
      double[] celsius = live.meansCelsius(stack.withWatts(watts), SolveWatch.NONE);
      for (int r = 0; r < n; r++) {
        all[r][s] = celsius[r] - stack.coolantCelsius();
      }
    }
    return all;
  }

  private static void same(Shape shape, StackCase written, double share) {
    double[][] rough = MODEL.responses(new StackModel.Turned(shape, 0)).kelvinPerWatt();
    double[][] fine = exact(written);
    for (int r = 0; r < fine.length; r++) {
      for (int s = 0; s < fine.length; s++) {
        // Of a core's own rise: what a neighbour feels is a part of it.
        assertThat(rough[r][s]).isCloseTo(fine[r][s], within(share * fine[s][s]));
      }
    }
  }

  private static StackLayer thicker(int layer, double factor) {
    StackLayer was = LIDDED.layers().get(layer);
    return StackLayer.joint(
            was.name(),
            was.conductivityWattsPerMetreKelvin(),
            was.patches().get(0),
            was.thicknessMicrometres() * factor)
        .withContact(was.contactSquareMillimetreKelvinPerWatt());
  }

  @Test
  void anEvenShapeIsAThickerJoint() {
    for (double extra : new double[] {0.5, 2, 3}) {
      same(
          new Shape(Shape.Form.EVEN, 0, new double[] {extra}, new double[1]),
          LIDDED.withLayer(1, thicker(1, 1 + extra)),
          0.006);
      same(
          new Shape(Shape.Form.EVEN, 1, new double[] {extra}, new double[1]),
          LIDDED.withLayer(3, thicker(3, 1 + extra)),
          0.006);
    }
  }

  @Test
  void aFilmShapeIsAWeakerFilm() {
    same(
        new Shape(Shape.Form.FILM, -1, new double[] {Math.log(0.5)}, new double[1]),
        LIDDED.withFilm(LIDDED.filmWattsPerSquareMetreKelvin() * 0.5),
        0.006);
  }

  @Test
  void aPlaneShapeIsATiltedJoint() {
    StackLayer outer = thicker(3, 3);
    double t = LIDDED.layers().get(3).thicknessMicrometres();
    double half = outer.bounds().widthMillimetres() / 2;
    same(
        new Shape(Shape.Form.PLANE, 1, new double[] {2, 1.5, -0.5}, new double[3]),
        LIDDED.withLayer(3, outer.withMap(new ThicknessMap.Plane(1.5 * t / half, -0.5 * t / half))),
        0.006);
  }

  @Test
  void aTurnedCoolerTurnsTheShape() {
    Shape tilt = new Shape(Shape.Form.PLANE, 1, new double[] {2, 1.5, 0}, new double[3]);
    Shape other = new Shape(Shape.Form.PLANE, 1, new double[] {2, -1.5, 0}, new double[3]);
    double[][] turned = MODEL.responses(new StackModel.Turned(tilt, 180)).kelvinPerWatt();
    double[][] mirrored = MODEL.responses(new StackModel.Turned(other, 0)).kelvinPerWatt();
    for (int r = 0; r < turned.length; r++) {
      assertThat(turned[r]).containsExactly(mirrored[r], within(1e-9));
    }
  }

  @Test
  void slopesAreThoseOfASmallStep() {
    Shape gap = new Shape(Shape.Form.GAP, 0, new double[] {1, -2, 2.5, 2}, new double[4]);
    StackModel.Turned at = new StackModel.Turned(gap, 0);
    double[][] slopes = MODEL.slopes(at);
    double[] here = MODEL.field(at);
    for (int f = 0; f < 4; f++) {
      double[] moved = gap.at().clone();
      moved[f] += 1e-3;
      double[] there = MODEL.field(new StackModel.Turned(gap.moved(moved), 0));
      double largest = Arrays.stream(slopes[f]).map(Math::abs).max().orElseThrow();
      for (int n = 0; n < here.length; n++) {
        assertThat((there[n] - here[n]) / 1e-3).isCloseTo(slopes[f][n], within(0.03 * largest));
      }
    }
  }

  @Test
  void aFieldLiesInItsJointAlone() {
    Shape even = new Shape(Shape.Form.EVEN, 0, new double[] {1}, new double[1]);
    double[] field = MODEL.field(new StackModel.Turned(even, 0));
    double conductance = 0;
    for (int n = 0; n < field.length; n++) {
      DrawnStack.Cell cell = MODEL.cells().get(n);
      assertThat(field[n] > 0).isEqualTo(MODEL.within(0, cell));
      conductance += field[n] > 0 ? 1 / field[n] : 0;
    }
    StackLayer inner = LIDDED.layers().get(1);
    Patch whole = inner.bounds();
    double area = whole.widthMillimetres() * whole.depthMillimetres() * 1e-6;
    assertThat(1 / conductance)
        .isCloseTo(
            inner.thicknessMicrometres() * 1e-6 / inner.conductivityWattsPerMetreKelvin() / area,
            within(1e-9));
  }

  @Test
  void theLidStandsBetweenCoresAndCoolant() {
    DrawnStack.Responses plain = MODEL.responses(new StackModel.Turned(Shape.NONE, 0));
    double[] lid = MODEL.lid(plain).orElseThrow();
    for (int s = 0; s < lid.length; s++) {
      assertThat(lid[s]).isBetween(0.0, plain.kelvinPerWatt()[s][s]);
    }
    assertThat(MODEL.hasLid()).isTrue();
    assertThat(MODEL.outermost()).isEqualTo(1);
    assertThat(MODEL.name(1)).isEqualTo("outer joint");
  }

  @Test
  void aConductivityThatFallsCountsAsUnderLoad() {
    StackLayer die = LIDDED.layers().get(0);
    StackCase falling = LIDDED.withLayer(0, die.withFall(StackLayer.Fall.SILICON));
    StackModel model = new StackModel(falling, SolveWatch.NONE);
    StackLayer counted = model.stack().layers().get(0);
    assertThat(counted.fall()).isEmpty();
    assertThat(counted.conductivityWattsPerMetreKelvin())
        .isCloseTo(
            die.conductivityWattsPerMetreKelvin() * StackLayer.Fall.SILICON.factor(70),
            within(1e-9));
  }

  @Test
  void whatHasNoJointIsRefused() {
    Patch die = new Patch(0, 0, 30, 30);
    StackCase touching =
        new StackCase(
            List.of(
                StackLayer.solid("die", 120, die, 700), StackLayer.solid("plate", 400, die, 3000)),
            LIDDED.heat().subList(0, 1),
            8000,
            25);
    assertThatThrownBy(() -> new StackModel(touching, SolveWatch.NONE))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("joint");
  }
}
