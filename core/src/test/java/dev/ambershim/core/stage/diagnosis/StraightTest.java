package dev.ambershim.core.stage.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.runs.causes.CauseKind;
import dev.ambershim.core.stage.practise.HiddenChip;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** Straight lines against what the model says a small step further. */
class StraightTest {
  private static final HiddenChip CHIP =
      HiddenChip.drawn(6, CauseKind.AS_IT_SHOULD_BE, 4, true, false);
  private static final DiagnosisCase GIVEN = CHIP.with(List.of(CHIP.allCores()));
  private static final StackModel MODEL = new StackModel(GIVEN.stack(), SolveWatch.NONE);

  private static Layout layout(List<Integer> mounts) {
    return new Layout(GIVEN, MODEL, mounts, 1);
  }

  private static List<Straight.Row> rows(CaseReading reading, Shape shape, boolean through) {
    Straight lines = new Straight(GIVEN, MODEL, layout(List.of(1)), through);
    return lines.rows(reading, 0, lines.look(new StackModel.Turned(shape, 0)));
  }

  private static CaseReading with(
      CaseReading r, OptionalDouble room, OptionalDouble coolant, OptionalDouble lid) {
    return r.withRoomCelsius(room).withCoolantCelsius(coolant).withLidCelsius(lid);
  }

  private static double[] expected(CaseReading reading, Shape shape) {
    return rows(reading, shape, true).stream().mapToDouble(Straight.Row::expected).toArray();
  }

  @Test
  void aSlopeAlongAShapeIsWhatASmallStepDoes() {
    CaseReading reading = GIVEN.readings().get(0);
    for (Shape shape :
        List.of(
            new Shape(Shape.Form.EVEN, 1, new double[] {1.5}, new double[] {1}),
            new Shape(Shape.Form.PLANE, 0, new double[] {0.5, 0.3, -0.2}, new double[] {1, 1, 1}),
            new Shape(Shape.Form.FILM, -1, new double[] {-0.5}, new double[] {1}))) {
      List<Straight.Row> rows = rows(reading, shape, true);
      double[] here = expected(reading, shape);
      for (int f = 0; f < shape.at().length; f++) {
        double[] moved = shape.at().clone();
        moved[f] += 0.02;
        double[] there = expected(reading, shape.moved(moved));
        for (int c = 0; c < 4; c++) {
          double step = (there[c] - here[c]) / 0.02;
          double told = rows.get(c).slopes()[layout(List.of(1)).shape(f)];
          assertThat(told).as("%s, figure %d", shape, f).isCloseTo(step, within(0.5));
        }
      }
    }
  }

  @Test
  void aCoreMovesWithItsOwnWattsAndSensor() {
    CaseReading reading = GIVEN.readings().get(0);
    Layout layout = layout(List.of(1));
    List<Straight.Row> rows = rows(reading, Shape.NONE, true);
    for (int c = 0; c < 4; c++) {
      double[] slopes = rows.get(c).slopes();
      double all = 0;
      for (int l = 0; l < 4; l++) {
        all += slopes[layout.power(l)];
      }
      assertThat(all).isCloseTo(rows.get(c).expected(), within(1e-9));
      assertThat(slopes[layout.allPower()]).isCloseTo(all, within(1e-9));
      assertThat(slopes[layout.sensor(c)]).isEqualTo(1);
      assertThat(slopes[layout.sensor((c + 1) % 4)]).isZero();
      assertThat(slopes[layout.sink(0)]).isEqualTo(1);
    }
  }

  @Test
  void theCoolantIsARowOfItsOwnWhereItIsRead() {
    CaseReading reading = GIVEN.readings().get(0);
    List<Straight.Row> rows = rows(reading, Shape.NONE, true);
    assertThat(rows).hasSize(5);
    double watts = reading.watts().values().stream().mapToDouble(w -> w).sum();
    Straight.Row coolant = rows.get(4);
    assertThat(coolant.expected())
        .isCloseTo(GIVEN.loopKelvinPerWatt().getAsDouble() * watts, within(1e-9));
    assertThat(coolant.read())
        .isCloseTo(
            reading.coolantCelsius().getAsDouble() - reading.roomCelsius().getAsDouble(),
            within(1e-9));
  }

  @Test
  void withoutTheCoolantTheLoopIsTriedBothWays() {
    CaseReading whole = GIVEN.readings().get(0);
    CaseReading roomOnly =
        with(whole, whole.roomCelsius(), OptionalDouble.empty(), OptionalDouble.empty());
    double watts = whole.watts().values().stream().mapToDouble(w -> w).sum();
    double loop = GIVEN.loopKelvinPerWatt().getAsDouble();
    List<Straight.Row> with = rows(roomOnly, Shape.NONE, true);
    List<Straight.Row> without = rows(roomOnly, Shape.NONE, false);
    assertThat(with).hasSize(4);
    assertThat(with.get(0).expected() - without.get(0).expected())
        .isCloseTo(loop * watts, within(1e-9));
  }

  @Test
  void theSlowPartIsWhatTheCoolerStandsOverTheRoom() {
    CaseReading whole = GIVEN.readings().get(0);
    CaseReading roomOnly =
        with(whole, whole.roomCelsius(), OptionalDouble.empty(), OptionalDouble.empty());
    double watts = whole.watts().values().stream().mapToDouble(w -> w).sum();
    double loop = GIVEN.loopKelvinPerWatt().getAsDouble();
    CaseReading stepped = roomOnly.withSlow(Optional.of(new CaseReading.Slow(0.1, 0)));
    Layout layout = layout(List.of(1));

    Straight.Row through = rows(stepped, Shape.NONE, true).get(4);
    assertThat(through.expected()).isCloseTo(loop * watts, within(1e-9));
    assertThat(through.read()).isCloseTo(0.1 * watts, within(1e-9));
    assertThat(through.slopes()[layout.loop()]).isCloseTo(loop * watts, within(1e-9));
    // A warm room is there before the load, too.
    assertThat(through.slopes()[layout.air()]).isZero();

    // Without a loop it is the film's: what the hottest layer's face stands over what cools it.
    Shape half = new Shape(Shape.Form.FILM, -1, new double[] {Math.log(0.5)}, new double[] {1});
    double film = rows(stepped, Shape.NONE, false).get(4).expected();
    Straight.Row weak = rows(stepped, half, false).get(4);
    assertThat(weak.expected()).isCloseTo(2 * film, within(1e-9));
    assertThat(weak.slopes()[layout.shape(0)]).isCloseTo(-weak.expected(), within(1e-9));

    // Where the coolant was read it adds nothing.
    CaseReading both = whole.withSlow(Optional.of(new CaseReading.Slow(0.1, 0)));
    assertThat(rows(both, Shape.NONE, true)).hasSameSizeAs(rows(whole, Shape.NONE, true));
  }

  @Test
  void aLidIsReadAndWholeDegreesAreLessSure() {
    CaseReading whole = GIVEN.readings().get(0);
    CaseReading lid =
        with(whole, whole.roomCelsius(), whole.coolantCelsius(), OptionalDouble.of(50));
    assertThat(rows(lid, Shape.NONE, true)).hasSize(6);
    Map<String, Double> rounded = new HashMap<>();
    whole.coreCelsius().forEach((core, c) -> rounded.put(core, Math.rint(c)));
    CaseReading coarse =
        new CaseReading(
            whole.name(),
            1,
            0,
            whole.roomCelsius(),
            whole.coolantCelsius(),
            OptionalDouble.empty(),
            whole.watts(),
            rounded);
    assertThat(rows(coarse, Shape.NONE, true).get(0).sigma())
        .isGreaterThan(rows(whole, Shape.NONE, true).get(0).sigma());
  }

  @Test
  void everyUnknownHasAPlaceOfItsOwn() {
    Layout layout = new Layout(GIVEN, MODEL, List.of(1, 3), 2);
    boolean[] taken = new boolean[layout.size()];
    for (int j = 0; j < 2; j++) {
      for (int f = 0; f < 3; f++) {
        take(taken, layout.joint(j, f));
      }
    }
    take(taken, layout.film());
    for (int f = 0; f < 5; f++) {
      take(taken, layout.shape(f));
    }
    for (int m : List.of(1, 3)) {
      for (int f = 0; f < 3; f++) {
        take(taken, layout.mount(m, f));
      }
    }
    for (int c = 0; c < 4; c++) {
      take(taken, layout.power(c));
      take(taken, layout.sensor(c));
    }
    for (int at :
        List.of(
            layout.allPower(),
            layout.allSensors(),
            layout.hot(),
            layout.loop(),
            layout.air(),
            layout.sink(0),
            layout.sink(1))) {
      take(taken, at);
    }
    assertThat(taken).doesNotContain(false);
  }

  private static void take(boolean[] taken, int at) {
    assertThat(taken[at]).as("place %d", at).isFalse();
    taken[at] = true;
  }

  @Test
  void aWiderLayoutFindsWhatBothHave() {
    Layout narrow = new Layout(GIVEN, MODEL, List.of(1), 3);
    Layout wide = new Layout(GIVEN, MODEL, List.of(1, 2), 1);
    int[] from = wide.from(narrow);
    assertThat(from[wide.joint(1, 2)]).isEqualTo(narrow.joint(1, 2));
    assertThat(from[wide.shape(3)]).isEqualTo(narrow.shape(3));
    assertThat(from[wide.mount(1, 0)]).isEqualTo(narrow.mount(1, 0));
    assertThat(from[wide.mount(2, 0)]).isEqualTo(-1);
    assertThat(from[wide.sensor(3)]).isEqualTo(narrow.sensor(3));
    assertThat(from[wide.air()]).isEqualTo(narrow.air());
    assertThat(from[wide.sink(0)]).isEqualTo(-1);
  }
}
