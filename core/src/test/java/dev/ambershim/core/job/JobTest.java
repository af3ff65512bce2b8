package dev.ambershim.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.assembly.Part;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.build.Responses;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.plan.Step;
import dev.ambershim.core.runs.clocking.Outcome;
import dev.ambershim.core.runs.clocking.Rung;
import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.weigh.Forecast;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Editing a job, and what follows from one. */
@Tag("slow")
class JobTest {
  private static final Responses SOLVED = new Responses();

  private final Job job = Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Test chip");

  @ParameterizedTest
  @EnumSource(StartingPoint.class)
  void everyFigureOfEveryStartingPointIsUsualAndEditable(StartingPoint point) {
    Job start = Job.from(point, "x");
    for (Side side : Side.values()) {
      Set<String> paths = new HashSet<>();
      for (Figure field : Figures.all(start, side)) {
        assertThat(paths.add(field.name())).as(field.name()).isTrue();
        Double value = field.read(start);
        double now = value == null ? field.possible().low() : value;
        assertThat(value == null || field.doubt(value, Notation.METRIC).isEmpty())
            .as(field.label())
            .isTrue();
        double other = now + 0.6 * (field.possible().high() - now);
        Job changed = field.write(start, other, Notation.METRIC);
        double expected = field.unit() == Unit.COUNT ? Math.round(other) : other;
        assertThat(field.read(changed)).as(field.name()).isEqualTo(expected);
        assertThat(field.write(changed, value, Notation.METRIC)).as(field.name()).isEqualTo(start);
        assertThat(field.otherwise(start).stream().allMatch(field.possible()::holds))
            .as(field.name())
            .isTrue();
      }
    }
  }

  @Test
  void outOfRangeNamesFieldAndRange() {
    Figure field = field("chip.lid.thicknessMillimetres");
    assertThatThrownBy(() -> field.write(job, 99.0, Notation.METRIC))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("lid thickness over the die: 99 mm is out of range")
        .hasMessageContaining("from 0.3 to 8 mm");
    assertThatThrownBy(() -> field.write(job, Double.NaN, Notation.METRIC))
        .isInstanceOf(Problem.class);
  }

  @Test
  void aSlipOfUnitIsRecognised() {
    assertThatThrownBy(
            () -> field("chip.dies.0.heightMicrometres").write(job, 0.78, Notation.METRIC))
        .hasMessageContaining("looks like millimetres");
    assertThatThrownBy(
            () -> field("chip.lid.thicknessMillimetres").write(job, 2300.0, Notation.METRIC))
        .hasMessageContaining("looks like micrometres");
  }

  @Test
  void unusualIsDoubtedNotRefused() {
    Figure field = field("chip.lid.thicknessMillimetres");
    assertThat(field.write(job, 5.0, Notation.METRIC).chip().lid().thicknessMillimetres())
        .isEqualTo(5);
    assertThat(field.doubt(5, Notation.METRIC).orElseThrow()).contains("Usual is 1.5 to 4.0 mm");
  }

  private Figure field(String path) {
    return Figures.named(job, path, Side.BEFORE);
  }

  @Test
  void anotherFillingBringsItsUsualFigures() {
    Choice choice = Choice.of(Part.INNER, Side.BEFORE).get(0);
    assertThat(choice.read(job)).isEqualTo("factory paste");
    Job changed = choice.write(job, "liquid metal");
    assertThat(changed.before().inner().filling()).isEqualTo(Filling.LIQUID_METAL);
    assertThat(changed.before().inner().bondLineMicrometres()).isEqualTo(40);
    assertThat(changed.after()).isEqualTo(job.after());
  }

  @Test
  void lidAndMetalsArePicked() {
    Choice lid = Choice.of(Part.LID, Side.AFTER).get(0);
    assertThat(lid.write(job, "off").after().lidOn()).isFalse();
    Choice plate = Choice.of(Part.PLATE, Side.AFTER).get(1);
    assertThat(plate.read(plate.write(job, "nickel"))).isEqualTo("nickel");
    assertThatThrownBy(() -> plate.write(job, "cheese"))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void aKindOfCoolerBringsItsUsualFiguresAndKeepsItsName() {
    Job named = job.withCooler(job.cooler().withName("Mill"));
    Choice kind = Choice.of(Part.PLATE, Side.BEFORE).get(0);
    assertThat(kind.read(named)).isEqualTo("another cooler");
    Job changed = kind.write(named, "air tower");
    assertThat(changed.cooler().name()).isEqualTo("Mill");
    assertThat(changed.cooler().kind()).isEqualTo(CoolerClass.AIR_TOWER);
    assertThat(changed.cooler().finWidthMillimetres()).isEqualTo(36);
    assertThat(kind.read(changed)).isEqualTo("air tower");
  }

  @Test
  void waysAndTheStepOfRuinArePicked() {
    Choice blade = choice(TermFigures.WORTH, "open with");
    assertThat(blade.read(job)).isEqualTo("a vice tool");
    assertThat(blade.write(job, "a blade").terms().blade()).isTrue();
    Choice ruined = choice(Figures.JOB, "chip lost at");
    assertThat(ruined.read(job)).isEqualTo("no step");
    Job lost = ruined.write(job, "lapping a die");
    assertThat(lost.ruinedAt()).isEqualTo(Step.LAP_DIE);
    assertThat(ruined.read(lost)).isEqualTo("lapping a die");
    assertThat(ruined.write(lost, "no step")).isEqualTo(job);
  }

  private static Choice choice(String part, String label) {
    return Choice.of(part, Side.BEFORE).stream()
        .filter(c -> c.label().equals(label))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void runsComeGoAndChangeSides() {
    Job with =
        job.withRun(RunEntry.of(Side.BEFORE, "a.csv", "aa"))
            .withRun(RunEntry.of(Side.AFTER, "b.csv", "bb"));
    assertThat(with.runs(Side.BEFORE)).hasSize(1);
    RunEntry moved = with.runs().get(0).on(Side.AFTER);
    assertThat(with.withRun(0, moved).runs(Side.AFTER)).hasSize(2);
    assertThat(with.withoutRun(0).runs()).extracting(RunEntry::fileName).containsExactly("b.csv");
    RunEntry told = with.runs().get(0).withRole("x", Role.ROOM).withRoom(21.5);
    assertThat(told.roles()).containsEntry("x", Role.ROOM);
    assertThat(told.typedRoom()).hasValue(21.5);
    assertThat(told.withRoom(null).typedRoom()).isEmpty();
  }

  @Test
  void whatIsNotSaidIsTakenAsUsualAndMayBeTakenAwayAgain() {
    Figure spring = field("mounting.springNewtonsPerMillimetre");
    assertThat(spring.read(job)).isNull();
    assertThat(spring.otherwise(job)).hasValue(job.mounting().rate());
    Job stiff = spring.write(job, spring.typed("20", Notation.METRIC), Notation.METRIC);
    assertThat(stiff.mounting().rate()).isEqualTo(20);
    assertThat(spring.write(stiff, spring.typed(" ", Notation.METRIC), Notation.METRIC))
        .isEqualTo(job);
    assertThatThrownBy(() -> field("heatWatts").typed("", Notation.METRIC))
        .hasMessageContaining("This box is empty");
    assertThatThrownBy(() -> Figures.named(job, "chip.wings", Side.BEFORE))
        .hasMessageContaining("wings");
  }

  private static RunLog log(String name, double core, int seconds) {
    StringBuilder text =
        new StringBuilder("time [s],core 0 [°C],core 1 [°C],room [°C],power [W]\n");
    for (int i = 0; i < seconds; i++) {
      double wave = 0.4 * Math.sin(i * 1.7) + 0.3 * Math.cos(i * 0.37);
      text.append(
          String.format(
              Locale.ROOT, "%d,%.2f,%.2f,22.00,160.0%n", i, core + wave, core + 4 + wave));
    }
    return LogReader.read(name, text.toString().getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void anAssessmentHasEveryAnswer() {
    Job with =
        job.withRun(RunEntry.of(Side.BEFORE, "a.csv", "aa"))
            .withRun(RunEntry.of(Side.AFTER, "b.csv", "bb"));
    Assessment now =
        Assessment.of(
            with,
            Map.of("aa", log("a.csv", 80, 600), "bb", log("b.csv", 68, 600)),
            Notation.METRIC);
    assertThat(now.baseline().orElseThrow().sentence()).contains("60.0 K above room air");
    assertThat(now.comparison().orElseThrow().sentence()).startsWith("Helped by 12.0 K");
    assertThat(against(now)).endsWith("The measured change agrees.");
    assertThat(now.runs()).hasSize(2);
  }

  @Test
  void aRunWithoutTemperaturesIsAProblemOfThatRunOnly() {
    RunLog useless =
        LogReader.read(
            "c.csv", "time,fan [rpm]\n0,900\n1,901\n2,902\n".getBytes(StandardCharsets.UTF_8));
    Job with =
        job.withRun(RunEntry.of(Side.BEFORE, "a.csv", "aa"))
            .withRun(RunEntry.of(Side.BEFORE, "c.csv", "cc"));
    Assessment now =
        Assessment.of(with, Map.of("aa", log("a.csv", 80, 600), "cc", useless), Notation.METRIC);
    assertThat(now.runs().get(1).problem().orElseThrow().key()).isEqualTo("run.noTemperature");
    assertThat(now.baseline()).isPresent();
    assertThat(now.comparison()).isEmpty();
  }

  @Test
  void anyTwoStatesAreCompared() {
    Map<String, RunLog> logs =
        Map.of(
            "b", log("b.csv", 60, 900), "a", log("a.csv", 48, 900), "l", log("late.csv", 53, 900));
    Job job =
        Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "j")
            .withRun(RunEntry.of(Side.BEFORE, "b.csv", "b"))
            .withRun(RunEntry.of(Side.AFTER, "a.csv", "a"))
            .withRun(RunEntry.of(Side.AFTER, "late.csv", "l").inState("half a year later"));
    assertThat(job.states()).containsExactly("before", "after", "half a year later");
    // Without a pick: before against after, and the later state is left out.
    Assessment plain = Assessment.of(job, logs, Notation.METRIC);
    assertThat(plain.comparison().orElseThrow().changeKelvin()).isCloseTo(-12, within(0.2));
    assertThat(plain.acrossTheWork()).isTrue();
    Job aged = job.comparing(new Compared("after", "half a year later"));
    Assessment now = Assessment.of(aged, logs, Notation.METRIC);
    assertThat(now.comparison().orElseThrow().changeKelvin()).isCloseTo(5, within(0.2));
    assertThat(now.acrossTheWork()).isFalse();
    assertThat(now.answer().orElseThrow().sentence()).startsWith("Hurt by 5.0 K");
    // A state that lost its runs falls back to what there is; the side's own name is no name.
    assertThat(Compared.of(aged.withoutRun(2))).isEqualTo(new Compared("before", "after"));
    assertThat(job.runs().get(1).inState(" after ").state()).isEmpty();
    // A side whose runs all have names is compared by the last of them.
    assertThat(Compared.of(job.withoutRun(1)).second()).isEqualTo("half a year later");
  }

  @Test
  void theAnswerTakesTheMegahertzIn() {
    Map<String, RunLog> logs =
        Map.of("b", log("b.csv", 60, 900), "a", log("a.csv", 48, 900), "x", log("x.csv", 48, 20));
    Job job =
        Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "j")
            .withRun(RunEntry.of(Side.BEFORE, "b.csv", "b"))
            .withRung(rung(Side.BEFORE, 4700, Outcome.PASSED))
            .withRung(rung(Side.BEFORE, 4800, Outcome.FAILED))
            .withRung(rung(Side.AFTER, 5000, Outcome.PASSED));
    assertThat(answer(job.withRun(RunEntry.of(Side.AFTER, "a.csv", "a")), logs))
        .startsWith("Helped by 12.0 K")
        .endsWith("), and at least 200 MHz more under your limit.");
    // Where the runs do not tell, the rungs speak for themselves.
    assertThat(answer(job.withRun(RunEntry.of(Side.AFTER, "x.csv", "x")), logs))
        .startsWith("These runs cannot be compared")
        .endsWith(". The rungs tell at least 200 MHz more under your limit.");
    // Hotter and yet farther: one is said against the other.
    Job worse =
        job.withRuns(
            List.of(RunEntry.of(Side.BEFORE, "a.csv", "a"), RunEntry.of(Side.AFTER, "b.csv", "b")));
    assertThat(answer(worse, logs))
        .startsWith("Hurt by 12.0 K")
        .endsWith(", but at least 200 MHz more under your limit.");
  }

  private static RungEntry rung(Side side, double megahertz, Outcome outcome) {
    return new RungEntry(side, Rung.typed(megahertz, null, outcome, "", null, null));
  }

  private static String answer(Job job, Map<String, RunLog> logs) {
    return Assessment.of(job, logs, Notation.METRIC).answer().orElseThrow().sentence();
  }

  private static String against(Assessment assessment) {
    return Forecast.of(assessment, SOLVED, SolveWatch.NONE).against(assessment);
  }

  @Test
  void betterOrWorseThanExpectedIsSaid() {
    Job with =
        job.withRun(RunEntry.of(Side.BEFORE, "a.csv", "aa"))
            .withRun(RunEntry.of(Side.AFTER, "b.csv", "bb"));
    RunLog before = log("a.csv", 80, 600);
    assertThat(
            against(
                Assessment.of(
                    with, Map.of("aa", before, "bb", log("b.csv", 79, 600)), Notation.METRIC)))
        .contains("It did worse; look at the joints");
    assertThat(
            against(
                Assessment.of(
                    with, Map.of("aa", before, "bb", log("b.csv", 30, 600)), Notation.METRIC)))
        .contains("It did better; check");
  }

  /** About one and a half standard deviations of the forecast are no finding. */
  @Test
  void aChangeThatIsALittleLessThanExpectedStillAgrees() {
    Job with =
        job.withRun(RunEntry.of(Side.BEFORE, "a.csv", "aa"))
            .withRun(RunEntry.of(Side.AFTER, "b.csv", "bb"));
    RunLog before = log("a.csv", 80, 600);
    Finding expected =
        Forecast.of(
                Assessment.of(
                    with, Map.of("aa", before, "bb", log("b.csv", 70, 600)), Notation.METRIC),
                SOLVED,
                SolveWatch.NONE)
            .change();
    // The interval holds eight cases in ten: 1.28 standard deviations to either side.
    double sigma = expected.interval().orElseThrow().width() / 2 / 1.2816;
    double after = 80 + expected.value() + 1.5 * sigma;
    Assessment now =
        Assessment.of(with, Map.of("aa", before, "bb", log("b.csv", after, 600)), Notation.METRIC);
    Forecast forecast = Forecast.of(now, SOLVED, SolveWatch.NONE);
    assertThat(now.comparison().orElseThrow().changeKelvin())
        .isGreaterThan(forecast.change().interval().orElseThrow().high());
    assertThat(forecast.against(now)).endsWith("The measured change agrees.");
  }

  @Test
  void withoutLogsThereIsStillAnExpectation() {
    Assessment now = Assessment.of(job, Map.of(), Notation.METRIC);
    assertThat(now.baseline()).isEmpty();
    assertThat(against(now)).startsWith("Expect it to run ").endsWith(" at 150 W.");
  }
}
