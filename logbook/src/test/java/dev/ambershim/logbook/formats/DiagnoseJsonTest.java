package dev.ambershim.logbook.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.CauseEvidence;
import dev.ambershim.core.job.CauseEvidence.CoreReading;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.ThicknessMap;
import dev.ambershim.core.runs.causes.CauseKind;
import dev.ambershim.core.runs.causes.Sign;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.diagnosis.CaseReading;
import dev.ambershim.core.stage.diagnosis.Diagnosis;
import dev.ambershim.core.stage.diagnosis.DiagnosisAnswer;
import dev.ambershim.core.stage.diagnosis.DiagnosisCase;
import dev.ambershim.core.stage.diagnosis.Ranking;
import dev.ambershim.core.stage.practise.HiddenChip;
import dev.ambershim.logbook.store.Json;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Cases written and read, answers written, evidence kept with a job. */
class DiagnoseJsonTest {
  private static final HiddenChip CHIP = HiddenChip.drawn(31, CauseKind.SENSOR_OFF, 4, true, true);

  private static DiagnosisCase given() {
    CaseReading r = CHIP.allCores();
    CaseReading bare =
        new CaseReading(
            "room only",
            2,
            180,
            OptionalDouble.of(22.5),
            OptionalDouble.empty(),
            OptionalDouble.of(51),
            Map.of(),
            Map.of("core 1", 70.0),
            Optional.of(new CaseReading.Slow(0.07, 0)));
    return CHIP.with(List.of(r, bare)).saying(Set.of(Sign.DUST, Sign.PASTE_DRY));
  }

  @Test
  void aCaseIsReadAsItWasWritten() {
    DiagnosisCase given = given();
    String text = Json.pretty(DiagnoseJson.of(given));
    DiagnosisCase read = DiagnoseJson.read("a.json", text);
    assertThat(read.readings()).isEqualTo(given.readings());
    assertThat(read.signs()).isEqualTo(given.signs());
    assertThat(read.loopKelvinPerWatt()).isEqualTo(given.loopKelvinPerWatt());
    assertThat(read.stack()).isEqualTo(given.stack());
    assertThat(Json.pretty(DiagnoseJson.of(read))).isEqualTo(text);
  }

  @Test
  void mapsAndLawsOfAStackAreWritten() {
    StackCase stack = CHIP.believed();
    StackLayer inner = stack.layers().get(1).withMap(new ThicknessMap.Plane(0.5, -0.25));
    StackLayer outer =
        stack
            .layers()
            .get(3)
            .withMap(
                new ThicknessMap.Grid(
                    new double[] {-5, 5},
                    new double[] {-4, 0, 4},
                    new double[][] {{30, 31}, {32, 33}, {34, 35}}));
    StackCase mapped =
        stack
            .withLayer(0, stack.layers().get(0).withFall(StackLayer.Fall.SILICON))
            .withLayer(1, inner)
            .withLayer(3, outer);
    JsonNode node = StackJson.of(mapped);
    assertThat(node.at("/layers/1/thicknessMap/kind").asText()).isEqualTo("plane");
    assertThat(node.at("/layers/3/thicknessMap/micrometres/2/1").asDouble()).isEqualTo(35);
    StackCase read = StackJson.read("a.json", node);
    assertThat(read.layers().get(0).fall()).contains(StackLayer.Fall.SILICON);
    assertThat(read.layers().get(1)).isEqualTo(inner);
    assertThat(read.layers().get(3).thicknessAt(5, 4)).isEqualTo(35);
    assertThat(StackJson.of(read)).isEqualTo(node);
  }

  @Test
  void anAnswerHasItsKeys() {
    DiagnosisCase given = given();
    Ranking ranking =
        new Diagnosis(given, Runnable::run, SolveWatch.NONE).of(given, SolveWatch.NONE);
    JsonNode node =
        DiagnoseJson.of(DiagnosisAnswer.of(Stage.BASELINE, given, ranking, Notation.METRIC));
    assertThat(node.get("causes")).hasSize(12);
    double last = 1;
    for (JsonNode cause : node.get("causes")) {
      assertThat(cause.get("probability").asDouble()).isLessThanOrEqualTo(last);
      last = cause.get("probability").asDouble();
      assertThat(cause.get("sentence").asText()).isNotBlank();
      assertThat(cause.has("joint")).isEqualTo(cause.get("cause").asText().startsWith("joint"));
    }
    assertThat(node.at("/next/0/risk").asText()).isIn("none", "low");
    assertThat(node.at("/jointMaps/0/joint").asText()).isEqualTo("inner joint");
    assertThat(node.at("/finding/working/formula").asText()).startsWith("Bayes' rule");
  }

  @Test
  void whatIsWrongIsSaidWithItsPlace() {
    String good = Json.pretty(DiagnoseJson.of(given()));
    assertThatThrownBy(() -> DiagnoseJson.read("a.json", good.replace("diagnose-1", "diagnose-9")))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("diagnose-9")
        .hasMessageContaining("diagnose-1");
    assertThatThrownBy(
            () ->
                DiagnoseJson.read(
                    "a.json", good.replace("\"readings\" : [ {", "\"readings\" : [ 3, {")))
        .hasMessageContaining("reading 0");
    assertThatThrownBy(
            () -> DiagnoseJson.read("a.json", good.replace("\"mount\" : 2", "\"mount\" : 2.5")))
        .hasMessageContaining("room only")
        .hasMessageContaining("whole number");
    assertThatThrownBy(
            () -> DiagnoseJson.read("a.json", good.replace("\"stack\" :", "\"stuck\" :")))
        .hasMessageContaining("stack");
  }

  @Test
  void evidenceIsKeptWithItsJob() {
    Job plain = Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4");
    Job job =
        plain.withEvidence(
            CauseEvidence.NONE
                .noticing(Side.AFTER, Sign.SCREWS_UNEVEN, true)
                .turning(Side.AFTER, 2, 180)
                .reading(
                    List.of(
                        new CoreReading(
                            "idle",
                            Side.AFTER,
                            2,
                            21.5,
                            null,
                            null,
                            Map.of("core 0", 2.0),
                            Map.of("core 0", 30.0)))));
    assertThat(Json.read("a.json", Json.write(job))).isEqualTo(job);
    // A job from before knows nothing of it.
    String older = Json.write(plain).replaceAll("(?s),\\s*\"evidence\" : \\{.*?\\}", "");
    assertThat(older).doesNotContain("evidence");
    assertThat(Json.read("a.json", older).evidence()).isEqualTo(CauseEvidence.NONE);
  }
}
