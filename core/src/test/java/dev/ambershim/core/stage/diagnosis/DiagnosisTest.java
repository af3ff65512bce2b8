package dev.ambershim.core.stage.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.SideBySide;
import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.ThicknessMap;
import dev.ambershim.core.physics.modes.LiveStack;
import dev.ambershim.core.physics.multigrid.LiveCells;
import dev.ambershim.core.physics.multigrid.Team;
import dev.ambershim.core.runs.causes.CauseKind;
import dev.ambershim.core.runs.causes.Sign;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.practise.HiddenChip;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.concurrent.ForkJoinPool;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Causes of hidden faults, and how honest their probabilities are. */
@Tag("slow")
class DiagnosisTest {
  private static final List<CauseKind> KINDS =
      Arrays.stream(CauseKind.values()).filter(k -> k != CauseKind.NONE_OF_THESE).toList();

  private static DiagnosisCase one(DiagnosisCase all) {
    return all.with(all.readings().subList(0, 1));
  }

  private static Ranking ranking(DiagnosisCase given) {
    return on(given).of(given, SolveWatch.NONE);
  }

  /** For several cases on one stack, which is written out once. */
  private static Diagnosis on(DiagnosisCase given) {
    return new Diagnosis(given, Runnable::run, SolveWatch.NONE);
  }

  private static boolean is(Cause cause, HiddenChip.Truth truth) {
    return cause.kind() == truth.kind() && truth.joint().equals(cause.joint());
  }

  private record Score(boolean right, double stated, double logTrue) {
    static Score of(Ranking ranking, HiddenChip.Truth truth) {
      double chance =
          ranking.causes().stream().filter(c -> is(c, truth)).mapToDouble(Cause::probability).sum();
      Cause first = ranking.causes().get(0);
      return new Score(is(first, truth), first.probability(), Math.log(Math.max(1e-6, chance)));
    }
  }

  /**
   * Twenty-four chips, each fault three times, on four and eight cores, lidded and bare. The longer
   * run is {@code bench coverage --only diagnose}.
   */
  @Test
  void hiddenFaultsAreFoundAndProbabilitiesAreHonest() {
    List<List<Score>> scores =
        SideBySide.each(
            IntStream.range(0, 24).boxed().toList(),
            i -> {
              CauseKind kind = KINDS.get(i % KINDS.size());
              HiddenChip chip =
                  HiddenChip.drawn(700 + i, kind, i % 2 == 0 ? 8 : 4, i % 3 != 0, i % 5 == 0);
              DiagnosisCase all = chip.all();
              Diagnosis diagnosis = on(all);
              return Stream.of(all, one(all))
                  .map(c -> Score.of(diagnosis.of(c, SolveWatch.NONE), chip.truth()))
                  .toList();
            },
            ForkJoinPool.commonPool());
    List<Score> all = scores.stream().map(s -> s.get(0)).toList();
    List<Score> one = scores.stream().map(s -> s.get(1)).toList();
    assertThat(right(all)).isGreaterThanOrEqualTo(0.9);
    assertThat(mean(all)).isCloseTo(right(all), within(0.08));
    assertThat(all.stream().mapToDouble(Score::logTrue).average().orElseThrow())
        .isGreaterThan(-0.15);
    assertThat(right(one)).isGreaterThanOrEqualTo(2 / 3.0);
    assertThat(one.stream().mapToDouble(Score::logTrue).average().orElseThrow())
        .isGreaterThan(-0.8);
    for (List<Score> each : List.of(all, one)) {
      assertThat(each.stream().filter(s -> !s.right && s.stated > 0.8)).hasSizeLessThan(2);
    }
  }

  /**
   * Six chips where a joint is thick and six where the coolant stands too far over the room, read
   * once at full load with nothing but the room beside them. How much came slowly, off by a tenth,
   * tells them apart.
   */
  @Test
  void theSlowPartOfARiseTellsTheLoopFromAJoint() {
    SplittableRandom random = new SplittableRandom(11);
    List<Score> without = new ArrayList<>();
    List<Score> with = new ArrayList<>();
    for (int i = 0; i < 12; i++) {
      CauseKind kind = i % 2 == 0 ? CauseKind.TOO_THICK : CauseKind.COOLANT_WARM;
      HiddenChip chip = HiddenChip.drawn(300 + i, kind, 4, i % 3 != 0, false);
      CaseReading r = chip.allCores();
      double watts = r.watts().values().stream().mapToDouble(w -> w).sum();
      double over = r.coolantCelsius().orElseThrow() - r.roomCelsius().orElseThrow();
      double slow = over / watts * (1 + 0.1 * random.nextGaussian());
      CaseReading roomOnly = r.withCoolantCelsius(OptionalDouble.empty());
      CaseReading stepped = roomOnly.withSlow(Optional.of(new CaseReading.Slow(slow, 0.1 * slow)));
      DiagnosisCase plain = chip.with(List.of(roomOnly));
      Diagnosis diagnosis = on(plain);
      without.add(Score.of(diagnosis.of(plain, SolveWatch.NONE), chip.truth()));
      DiagnosisCase told = chip.with(List.of(stepped));
      with.add(Score.of(diagnosis.of(told, SolveWatch.NONE), chip.truth()));
    }
    assertThat(right(with)).isGreaterThan(right(without));
    assertThat(with.stream().mapToDouble(Score::logTrue).average().orElseThrow())
        .isGreaterThan(without.stream().mapToDouble(Score::logTrue).average().orElseThrow() + 0.3);
    assertThat(with.stream().filter(s -> !s.right && s.stated > 0.8)).hasSizeLessThan(2);
  }

  private static double right(List<Score> scores) {
    return scores.stream().filter(Score::right).count() / (double) scores.size();
  }

  private static double mean(List<Score> scores) {
    return scores.stream().mapToDouble(Score::stated).average().orElseThrow();
  }

  /** A tilt and a void, solved by the multigrid, which shares no code with the responses. */
  @Test
  void faultsSolvedByCellsAreFound() {
    DiagnosisCase plain = HiddenChip.drawn(3, CauseKind.AS_IT_SHOULD_BE, 8, true, false).all();
    StackLayer outer = plain.stack().layers().get(3);
    StackLayer inner = plain.stack().layers().get(1);
    double t = outer.thicknessMicrometres();
    StackCase tilted =
        plain
            .stack()
            .withLayer(
                3,
                StackLayer.joint(
                        outer.name(),
                        outer.conductivityWattsPerMetreKelvin(),
                        outer.patches().get(0),
                        4 * t)
                    .withContact(1)
                    .withMap(new ThicknessMap.Plane(0, 3 * t / 15.5)));
    Diagnosis diagnosis = on(plain);
    Cause tilt = diagnosis.of(solvedByCells(plain, tilted), SolveWatch.NONE).causes().get(0);
    assertThat(tilt.kind()).isEqualTo(CauseKind.TILTED);
    assertThat(tilt.joint()).contains("outer joint");
    assertThat(tilt.shape().at()[2]).isGreaterThan(2 * Math.abs(tilt.shape().at()[1]));

    DiagnosisCase holed = solvedByCells(plain, withVoid(plain.stack(), inner));
    Cause gap = diagnosis.of(holed, SolveWatch.NONE).causes().get(0);
    assertThat(gap.kind()).isEqualTo(CauseKind.GAP);
    assertThat(gap.joint()).contains("inner joint");
    assertThat(gap.shape().at()[0]).isPositive();
    assertThat(gap.shape().at()[1]).isPositive();
  }

  private static StackCase withVoid(StackCase stack, StackLayer inner) {
    double[] xs = new double[41];
    double[] ys = new double[41];
    double[][] thick = new double[41][41];
    double wide = inner.bounds().widthMillimetres();
    double deep = inner.bounds().depthMillimetres();
    for (int j = 0; j < 41; j++) {
      ys[j] = deep * (j / 40.0 - 0.5);
      for (int i = 0; i < 41; i++) {
        xs[i] = wide * (i / 40.0 - 0.5);
        boolean in = Math.hypot(xs[i] - 0.25 * wide, ys[j] - 0.25 * deep) < 0.3 * wide;
        thick[j][i] = inner.thicknessMicrometres() * (in ? 15 : 1);
      }
    }
    return stack.withLayer(1, inner.withMap(new ThicknessMap.Grid(xs, ys, thick)));
  }

  /** All cores, idle and each core alone, without any scatter. */
  private static DiagnosisCase solvedByCells(DiagnosisCase plain, StackCase truth) {
    LiveCells cells = new LiveCells(truth, 40_000, Team.alone());
    List<CaseReading> readings = new ArrayList<>();
    for (CaseReading like : plain.readings().subList(0, 10)) {
      double[] watts = truth.heat().stream().mapToDouble(h -> like.watts().get(h.name())).toArray();
      Map<String, Double> celsius = new TreeMap<>();
      cells
          .update(truth.withWatts(watts), SolveWatch.NONE)
          .sources()
          .forEach(s -> celsius.put(s.name(), s.meanCelsius()));
      readings.add(
          new CaseReading(
              like.name(),
              1,
              0,
              OptionalDouble.empty(),
              OptionalDouble.of(truth.coolantCelsius()),
              OptionalDouble.empty(),
              like.watts(),
              celsius));
    }
    return plain.with(readings);
  }

  /** Three dies under one lid, two of four cores each; over the right one the joint is thick. */
  @Test
  void aJointThatIsThickOverOneOfThreeDiesIsFound() {
    List<Patch> dies =
        List.of(new Patch(-9, 6, 8, 9), new Patch(9, 6, 8, 9), new Patch(0, -8, 16, 9));
    Patch lid = new Patch(0, 0, 38, 38);
    StackLayer inner = StackLayer.joint("inner joint", 5, dies.get(0), 60).over(dies);
    List<HeatSource> heat = new ArrayList<>();
    for (double x : new double[] {-9, 9}) {
      for (int c = 0; c < 4; c++) {
        Patch core = new Patch(x + 4 * (c % 2) - 2, c < 2 ? 3.8 : 8.2, 2.5, 2.5);
        heat.add(HeatSource.steady("core " + heat.size(), core, 12));
      }
    }
    heat.add(HeatSource.steady("hub", new Patch(0, -8, 14, 7), 20));
    StackCase believed =
        new StackCase(
            List.of(
                StackLayer.solid("die", 120, dies.get(0), 700).over(dies),
                inner,
                StackLayer.solid("lid", 390, lid, 2500),
                StackLayer.joint("outer joint", 5, lid, 45),
                StackLayer.solid("cold plate", 390, new Patch(0, 0, 50, 50), 3000)),
            heat,
            9000,
            30);
    StackCase truth =
        believed.withLayer(
            1,
            inner.withMap(
                new ThicknessMap.Grid(
                    new double[] {4.9, 5.0},
                    new double[] {-1, 0},
                    new double[][] {{60, 60}, {60, 180}})));
    LiveStack live = LiveStack.forMeans(truth, 0.002, SolveWatch.NONE);
    double[] celsius = live.meansCelsius(truth, SolveWatch.NONE);
    Map<String, Double> cores = new TreeMap<>();
    for (int c = 0; c < 8; c++) {
      cores.put("core " + c, celsius[c]);
    }
    CaseReading reading =
        new CaseReading(
            "all",
            1,
            0,
            OptionalDouble.empty(),
            OptionalDouble.of(30),
            OptionalDouble.empty(),
            Map.of(),
            cores);
    Cause first =
        ranking(
                new DiagnosisCase(
                    believed, OptionalDouble.empty(), List.of(reading), Set.of(), Doubts.OF_A_CASE))
            .causes()
            .get(0);
    assertThat(first.kind()).isEqualTo(CauseKind.TOO_THICK);
    assertThat(first.joint()).contains("inner joint");
    assertThat(first.shape().form()).isEqualTo(Shape.Form.BOX);
    assertThat(first.shape().at()[0]).isCloseTo(2, within(0.6));
    assertThat(first.shape().at()[1]).isPositive();
    assertThat(new DiagnosisWords(Notation.METRIC, List.of()).head(first))
        .isEqualTo(
            "The inner joint is too thick or has dried out over the die towards the back right");
  }

  @Test
  void aWattHereWarmsThereAsMuchAsAWattThereWarmsHere() {
    StackModel model =
        new StackModel(
            HiddenChip.drawn(8, CauseKind.GAP, 8, true, false).believed(), SolveWatch.NONE);
    Shape gap = new Shape(Shape.Form.GAP, 0, new double[] {1, 2, 2, 2}, new double[4]);
    double[][] response = model.responses(new StackModel.Turned(gap, 0)).kelvinPerWatt();
    for (int a = 0; a < 8; a++) {
      for (int b = 0; b < a; b++) {
        assertThat(response[a][b]).isCloseTo(response[b][a], within(0.003 * response[a][b]));
      }
    }
  }

  @Test
  void theMapOfATiltedJointRisesWhereItDoesAndTellsWhatItSees() {
    HiddenChip chip = HiddenChip.drawn(21, CauseKind.TILTED, 8, false, false);
    DiagnosisCase all = chip.all();
    JointMap map = ranking(all).maps().get(0);
    Shape told = ranking(all).causes().get(0).shape();
    double[][] t = map.micrometres();
    int last = t.length - 1;
    assertThat(Math.signum(t[last][last / 2] - t[0][last / 2]))
        .isEqualTo(Math.signum(told.at()[2]));
    // Under the cores the truth is met within a third of what a joint should be.
    double worst = 0;
    for (int j = 1; j < last; j++) {
      for (int i = 1; i < last; i++) {
        double truth = chip.thickness(map.joint(), map.xMillimetres()[i], map.yMillimetres()[j]);
        worst = Math.max(worst, Math.abs(t[j][i] - truth));
        assertThat(map.seen()[j][i]).isBetween(0.0, 1.0);
      }
    }
    assertThat(worst).isLessThan(0.35 * map.usualMicrometres());
    double oneReading = ranking(one(all)).maps().get(0).seen()[1][1];
    assertThat(oneReading).isLessThan(map.seen()[1][1]);
  }

  /** A sound chip whose power is told a quarter too low: a third more than it says. */
  @Test
  void aPowerReadingThatIsOffIsNamed() {
    DiagnosisCase chip = HiddenChip.drawn(41, CauseKind.AS_IT_SHOULD_BE, 8, true, false).all();
    List<CaseReading> told =
        chip.readings().stream()
            .map(
                r -> {
                  Map<String, Double> low = new HashMap<>();
                  r.watts().forEach((core, watts) -> low.put(core, 0.75 * watts));
                  return new CaseReading(
                      r.name(),
                      r.mount(),
                      r.turnedDegrees(),
                      r.roomCelsius(),
                      r.coolantCelsius(),
                      r.lidCelsius(),
                      low,
                      r.coreCelsius());
                })
            .toList();
    DiagnosisCase given =
        new DiagnosisCase(
            chip.stack(), chip.loopKelvinPerWatt(), told, chip.signs(), chip.doubts());
    Ranking ranking = ranking(given);
    Cause first = ranking.causes().get(0);
    assertThat(first.kind()).isEqualTo(CauseKind.NONE_OF_THESE);
    assertThat(first.power().orElseThrow()).isBetween(0.27, 0.4);
    DiagnosisAnswer answer = DiagnosisAnswer.of(Stage.BASELINE, given, ranking, Notation.METRIC);
    assertThat(answer.sentence())
        .startsWith("The power or load reading is off: the chip draws about 3");
    // What to do stands before what else it may be.
    assertThat(answer.reasons().get(0)).startsWith("Remedy: read the power");
  }

  /** A micrometre more all over a joint, inner or outer, by the solver itself. */
  @Test
  void aMicrometreOfAnyJointCostsWhatTheSolverSays() {
    DiagnosisCase given = HiddenChip.drawn(33, CauseKind.AS_IT_SHOULD_BE, 8, true, false).all();
    StackCase stack = given.stack();
    List<JointMap> maps = ranking(given).maps();
    assertThat(maps).hasSize(2);
    for (int j = 0; j < 2; j++) {
      StackLayer joint = stack.layers().get(1 + 2 * j);
      assertThat(maps.get(j).joint()).isEqualTo(joint.name());
      double more = 0.1 * joint.thicknessMicrometres();
      StackLayer thicker =
          StackLayer.joint(
                  joint.name(),
                  joint.conductivityWattsPerMetreKelvin(),
                  joint.patches().get(0),
                  joint.thicknessMicrometres() + more)
              .withContact(joint.contactSquareMillimetreKelvinPerWatt());
      double cost = meanCore(stack.withLayer(1 + 2 * j, thicker)) - meanCore(stack);
      assertThat(more * maps.get(j).kelvinPerMicrometre()).isCloseTo(cost, within(0.06 * cost));
    }
  }

  private static double meanCore(StackCase stack) {
    return Arrays.stream(
            LiveStack.forMeans(stack, 0.001, SolveWatch.NONE).meansCelsius(stack, SolveWatch.NONE))
        .average()
        .orElseThrow();
  }

  @Test
  void probabilitiesSumToOneAndTheAnswerIsTheSameForAnyHelpers() {
    DiagnosisCase given = HiddenChip.drawn(2, CauseKind.SENSOR_OFF, 4, true, true).all();
    Ranking alone = ranking(given);
    Ranking helped =
        new Diagnosis(given, ForkJoinPool.commonPool(), SolveWatch.NONE).of(given, SolveWatch.NONE);
    assertThat(alone.causes().stream().mapToDouble(Cause::probability).sum())
        .isCloseTo(1, within(1e-9));
    for (int i = 0; i < alone.causes().size(); i++) {
      assertThat(helped.causes().get(i).probability())
          .isEqualTo(alone.causes().get(i).probability());
    }
    assertThat(alone.next()).isEqualTo(helped.next());
  }

  @Test
  void theAnswerNamesCauseRemedyAndWhatIsNext() {
    HiddenChip chip = HiddenChip.drawn(13, CauseKind.SENSOR_OFF, 8, true, false);
    DiagnosisCase given = chip.all();
    DiagnosisAnswer answer =
        DiagnosisAnswer.of(Stage.BASELINE, given, ranking(given), Notation.METRIC);
    assertThat(answer.sentence())
        .startsWith("The sensor of core " + chip.truth().core() + " is off (");
    assertThat(answer.reasons()).anyMatch(r -> r.contains("judge this chip by its other cores"));
    assertThat(answer.pictures()).extracting(d -> d.name()).contains("causes", "joint-maps");
    answer.pictures().forEach(d -> assertThat(d.at(700).marks()).isNotEmpty());
  }

  @Test
  void whatCannotBeIsRefused() {
    DiagnosisCase given = one(HiddenChip.drawn(1, CauseKind.GAP, 4, true, false).all());
    CaseReading r = given.readings().get(0);
    CaseReading stranger =
        new CaseReading(
            r.name(),
            1,
            0,
            r.roomCelsius(),
            r.coolantCelsius(),
            r.lidCelsius(),
            r.watts(),
            Map.of("core 99", 50.0));
    assertThatThrownBy(() -> given.with(List.of(stranger)).check())
        .isInstanceOf(Problem.class)
        .hasMessageContaining("core 99");
    CaseReading airless =
        new CaseReading(
            r.name(),
            1,
            0,
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            r.lidCelsius(),
            r.watts(),
            r.coreCelsius());
    assertThatThrownBy(() -> given.with(List.of(airless)).check())
        .isInstanceOf(Problem.class)
        .hasMessageContaining("room");
    assertThatThrownBy(() -> given.with(List.of()).check()).isInstanceOf(Problem.class);
    assertThat(given.saying(Set.of(Sign.DUST)).signs()).containsExactly(Sign.DUST);
  }
}
