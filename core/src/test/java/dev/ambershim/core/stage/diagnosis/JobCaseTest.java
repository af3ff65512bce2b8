package dev.ambershim.core.stage.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.CauseEvidence;
import dev.ambershim.core.job.CauseEvidence.CoreReading;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.build.CoreLayout;
import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.runs.causes.CauseKind;
import dev.ambershim.core.runs.causes.CoreState;
import dev.ambershim.core.runs.causes.Sign;
import dev.ambershim.core.runs.reading.Channel;
import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.core.runs.reading.ReadNotes;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.baseline.BaselineAnswer;
import dev.ambershim.core.stage.prove.ProveAnswer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A side of a job as a case, and what its stages make of the causes. */
@Tag("slow")
class JobCaseTest {
  private static final Job PLAIN = Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4");
  private static final double[] CROOKED = {100, 97, 94, 91, 89, 86, 83, 80};

  private static Job reading(Job job, Side side, double watts, double... cores) {
    List<HeatSource> layout = CoreLayout.of(job.chip()).heat();
    Map<String, Double> power = new HashMap<>();
    layout.forEach(h -> power.put(h.name(), h.watts() * watts));
    Map<String, Double> celsius = new HashMap<>();
    for (int c = 0; c < cores.length; c++) {
      celsius.put("core " + c, cores[c]);
    }
    return job.withEvidence(
        job.evidence()
            .reading(List.of(new CoreReading("typed", side, 1, 22.0, null, null, power, celsius))));
  }

  private static Assessment assessed(Job job) {
    return Assessment.of(job, Map.of(), Notation.METRIC);
  }

  /** A run from rest to 150 W: 20 K within seconds, and 18 K with a time constant of 90 s. */
  private static RunLog fromRest(boolean coolant) {
    int samples = 900;
    double[] seconds = new double[samples];
    double[] power = new double[samples];
    double[] room = new double[samples];
    double[] water = new double[samples];
    double[][] cores = new double[8][samples];
    SplittableRandom random = new SplittableRandom(4);
    for (int i = 0; i < samples; i++) {
      seconds[i] = i;
      double loaded = i - 120;
      power[i] = loaded < 0 ? 15 : 165;
      room[i] = 22 + 0.05 * random.nextGaussian();
      double slow = loaded < 0 ? 0 : 18 * (1 - Math.exp(-loaded / 90));
      double quick = loaded < 0 ? 0 : 20 * (1 - Math.exp(-loaded / 4));
      water[i] = 24 + slow;
      for (double[] core : cores) {
        core[i] = 28 + slow + quick + 0.3 * random.nextGaussian();
      }
    }
    List<Channel> channels = new ArrayList<>();
    for (int c = 0; c < cores.length; c++) {
      channels.add(new Channel("core " + c, "°C", Role.CORE, 1, cores[c]));
    }
    channels.add(new Channel("power", "W", Role.POWER, 1, power));
    channels.add(new Channel("room", "°C", Role.ROOM, 1, room));
    if (coolant) {
      channels.add(new Channel("water", "°C", Role.COOLANT, 1, water));
    }
    ReadNotes notes = LogReader.read("n.csv", NOTED.getBytes(StandardCharsets.UTF_8)).notes();
    return new RunLog("from rest.csv", seconds, channels, notes);
  }

  private static final String NOTED = "time,core 0\n0,30\n1,30\n2,30\n";

  @ParameterizedTest
  @ValueSource(booleans = {false, true})
  void howMuchCameSlowlyCountsWhereNoCoolantWasRead(boolean coolant) {
    Job job = PLAIN.withRun(RunEntry.of(Side.BEFORE, "from rest.csv", "aa"));
    Assessment assessed = Assessment.of(job, Map.of("aa", fromRest(coolant)), Notation.METRIC);
    CaseReading reading = JobCase.of(assessed, Side.BEFORE).orElseThrow().readings().get(0);
    assertThat(reading.coolantCelsius().isPresent()).isEqualTo(coolant);
    assertThat(reading.slow().isPresent()).isNotEqualTo(coolant);
    reading
        .slow()
        .ifPresent(s -> assertThat(s.kelvinPerWatt()).isCloseTo(18 / 150.0, within(0.003)));
  }

  @Test
  void aJobThatNobodyReadHasNoCase() {
    assertThat(JobCase.of(assessed(PLAIN), Side.BEFORE)).isEmpty();
    Job after = reading(PLAIN, Side.AFTER, 150, CROOKED);
    assertThat(JobCase.of(assessed(after), Side.BEFORE)).isEmpty();
    assertThat(JobCase.of(assessed(after), Side.AFTER)).isPresent();
  }

  @Test
  void readingsOfAnotherLayoutAreLeftOut() {
    Job strange =
        PLAIN.withEvidence(
            CauseEvidence.NONE.reading(
                List.of(
                    new CoreReading(
                        "odd",
                        Side.BEFORE,
                        1,
                        22.0,
                        null,
                        null,
                        Map.of("core 40", 20.0),
                        Map.of("core 40", 60.0)))));
    assertThat(JobCase.of(assessed(strange), Side.BEFORE)).isEmpty();
  }

  @Test
  void equalJobsAreEqualCasesAndSignsMakeAnother() {
    Job job = reading(PLAIN, Side.BEFORE, 140, CROOKED);
    JobCase one = JobCase.of(assessed(job), Side.BEFORE).orElseThrow();
    JobCase again = JobCase.of(assessed(job.withTitle("other")), Side.BEFORE).orElseThrow();
    assertThat(again).isEqualTo(one);
    JobCase noticed =
        JobCase.of(
                assessed(job.withEvidence(job.evidence().noticing(Side.BEFORE, Sign.DUST, true))),
                Side.BEFORE)
            .orElseThrow();
    assertThat(noticed).isNotEqualTo(one);
    assertThat(noticed.sameStack(one)).isTrue();
    assertThat(noticed.given().signs()).containsExactly(Sign.DUST);
    assertThat(one.given().stack().watts()).isCloseTo(PLAIN.heatWatts(), within(1e-9));
  }

  @Test
  void whatIsWorkedOutIsKept() {
    JobCase given =
        JobCase.of(assessed(reading(PLAIN, Side.BEFORE, 140, CROOKED)), Side.BEFORE).orElseThrow();
    Diagnosed kept = new Diagnosed(Runnable::run);
    assertThat(kept.known(given)).isEmpty();
    Ranking ranking = kept.of(given, SolveWatch.NONE);
    assertThat(kept.known(given)).containsSame(ranking);
    assertThat(kept.of(given, SolveWatch.NONE)).isSameAs(ranking);
  }

  /** Cores from 100 to 80 °C along the die: no reason to open the chip. */
  @Test
  void aCrookedPatternStandsBeforeEverythingElse() {
    Job job = reading(reading(PLAIN, Side.BEFORE, 140, CROOKED), Side.AFTER, 140, CROOKED);
    Assessment assessment = assessed(job);
    JobCase given = JobCase.of(assessment, Side.BEFORE).orElseThrow();
    Ranking ranking = new Diagnosed(Runnable::run).of(given, SolveWatch.NONE);
    Cause first = ranking.lookFirst().orElseThrow();
    assertThat(first.kind()).isEqualTo(CauseKind.TILTED);
    assertThat(first.joint()).contains("outer joint");
    BaselineAnswer answer = BaselineAnswer.of(assessment, Optional.of(ranking));
    assertThat(answer.reasons().get(0)).startsWith("A tilted outer joint may make it hot (");
    assertThat(answer.reasons().get(1)).startsWith("Mount the cooler again");
    assertThat(BaselineAnswer.of(assessment).reasons()).isEmpty();
    // Without runs Prove has nothing to say yet, and does not begin with a cause.
    assertThat(ProveAnswer.of(assessment, Optional.empty(), Optional.of(ranking)).reasons())
        .isEmpty();
    DiagnosisAnswer told =
        DiagnosisAnswer.of(Stage.BASELINE, given.given(), ranking, Notation.METRIC);
    assertThat(told.stage()).isEqualTo(Stage.BASELINE);
    assertThat(told.sentence()).contains("joint is tilted, thicker towards the back");
  }

  @Test
  void anEvenChipIsLeftAlone() {
    Job job = reading(PLAIN, Side.BEFORE, 140, 74, 74.5, 76, 75.5, 76, 76.5, 74, 74.5);
    JobCase given = JobCase.of(assessed(job), Side.BEFORE).orElseThrow();
    Ranking ranking = new Diagnosed(Runnable::run).of(given, SolveWatch.NONE);
    assertThat(ranking.causes().get(0).kind()).isEqualTo(CauseKind.AS_IT_SHOULD_BE);
    assertThat(ranking.lookFirst()).isEmpty();
  }

  @Test
  void statesOfOneCoreBecomeReadings() {
    List<HeatSource> layout = CoreLayout.of(PLAIN.chip()).heat();
    List<Double> cores = new ArrayList<>();
    for (int c = 0; c < 8; c++) {
      cores.add(30.0 + c);
    }
    List<CaseReading> readings =
        CoreStates.readings(
            layout,
            List.of(
                new CoreState(-1, 12, cores, OptionalDouble.of(22), OptionalDouble.empty()),
                new CoreState(3, 30, cores, OptionalDouble.of(22), OptionalDouble.of(24)),
                new CoreState(99, 30, cores, OptionalDouble.of(22), OptionalDouble.of(24)),
                new CoreState(4, 30, cores, OptionalDouble.empty(), OptionalDouble.empty())),
            2,
            180);
    assertThat(readings).extracting(CaseReading::name).containsExactly("idle", "core 3 alone");
    CaseReading alone = readings.get(1);
    assertThat(alone.mount()).isEqualTo(2);
    assertThat(alone.turnedDegrees()).isEqualTo(180);
    assertThat(alone.watts().values().stream().mapToDouble(w -> w).sum())
        .isCloseTo(30, within(1e-9));
    double idle = readings.get(0).watts().get("core 3");
    assertThat(alone.watts().get("core 3")).isCloseTo(idle + 18, within(1e-9));
    assertThat(alone.watts().get("core 2"))
        .isCloseTo(readings.get(0).watts().get("core 2"), within(1e-9));
    assertThat(alone.coreCelsius()).hasSize(8).containsEntry("core 7", 37.0);
  }
}
