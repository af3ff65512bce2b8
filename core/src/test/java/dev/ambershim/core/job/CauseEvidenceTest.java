package dev.ambershim.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.CauseEvidence.CoreReading;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.runs.causes.Sign;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What speaks for a cause, kept with a job. */
class CauseEvidenceTest {
  @Test
  void signsBelongToASideAndAreTakenBack() {
    CauseEvidence noticed =
        CauseEvidence.NONE
            .noticing(Side.BEFORE, Sign.DUST, true)
            .noticing(Side.BEFORE, Sign.DUST, true)
            .noticing(Side.AFTER, Sign.PUMP_SILENT, true);
    assertThat(noticed.seen()).hasSize(2);
    assertThat(noticed.signs(Side.BEFORE)).containsExactly(Sign.DUST);
    assertThat(noticed.signs(Side.AFTER)).containsExactly(Sign.PUMP_SILENT);
    assertThat(noticed.noticing(Side.BEFORE, Sign.DUST, false).signs(Side.BEFORE)).isEmpty();
  }

  @Test
  void aMountsTurnIsKeptUntilItIsTurnedBack() {
    CauseEvidence turned = CauseEvidence.NONE.turning(Side.AFTER, 2, 180);
    assertThat(turned.degrees(Side.AFTER, 2)).isEqualTo(180);
    assertThat(turned.degrees(Side.AFTER, 1)).isZero();
    assertThat(turned.degrees(Side.BEFORE, 2)).isZero();
    assertThat(turned.turning(Side.AFTER, 2, 0)).isEqualTo(CauseEvidence.NONE);
  }

  @Test
  void whatAnOlderJobDoesNotSayIsNothing() {
    assertThat(new CauseEvidence(null, null, null)).isEqualTo(CauseEvidence.NONE);
    CoreReading bare = new CoreReading("a", Side.BEFORE, 0, null, null, null, null, null);
    assertThat(bare.mount()).isEqualTo(1);
    assertThat(bare.watts()).isEmpty();
    assertThat(CauseEvidence.NONE.reading(List.of(bare)).readings()).containsExactly(bare);
    assertThat(
            new CoreReading("b", Side.BEFORE, 3, 22.0, null, null, Map.of(), Map.of("x", 1.0))
                .celsius())
        .containsEntry("x", 1.0);
  }

  @Test
  void signsHaveNamesOfTheirOwnInFiles() {
    assertThat(Arrays.stream(Sign.values()).map(Sign::key).distinct()).hasSameSizeAs(Sign.values());
    assertThat(Sign.PRINT_BARE_CORNER.key()).isEqualTo("print-bare-corner");
    assertThat(Sign.PRINT_BARE_CORNER.ofOutermost()).isTrue();
    assertThat(Sign.PUMP_SILENT.ofOutermost()).isFalse();
  }

  private static CoreReading reading(Double room, Double coolant, double watts, double core) {
    return new CoreReading(
        "a", Side.BEFORE, 1, room, coolant, null, Map.of("core 0", watts), Map.of("core 0", core));
  }

  @Test
  void readingsThatCannotBeAreRefusedWithTheirFigure() {
    assertThat(reading(22.0, null, 20, 60).sound()).isTrue();
    assertThat(reading(null, 30.0, 20, 60).sound()).isTrue();
    assertThatThrownBy(() -> reading(null, null, 20, 60).check())
        .hasMessageContaining("Neither room nor coolant");
    assertThatThrownBy(() -> reading(295.0, null, 20, 60).check())
        .hasMessageContaining("room")
        .hasMessageContaining("295");
    assertThatThrownBy(() -> reading(22.0, null, 20, 660).check()).hasMessageContaining("core 0");
    assertThatThrownBy(() -> reading(22.0, null, 20_000, 60).check()).hasMessageContaining("heat");
    assertThatThrownBy(() -> reading(22.0, null, Double.NaN, 60).check())
        .hasMessageContaining("The heat is not given");
    CoreReading empty = new CoreReading("a", Side.BEFORE, 1, 22.0, null, null, null, null);
    assertThatThrownBy(empty::check).hasMessageContaining("No core has a temperature");
  }

  @Test
  void aBundleWithAStateThatCannotBeIsRefused() {
    Job job = Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4");
    JobRules.check(
        job.withEvidence(CauseEvidence.NONE.reading(List.of(reading(22.0, null, 2, 30)))));
    assertThatThrownBy(
            () ->
                JobRules.check(
                    job.withEvidence(
                        CauseEvidence.NONE.reading(List.of(reading(22.0, null, 2, 900))))))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("900");
    assertThatThrownBy(
            () ->
                JobRules.check(job.withEvidence(CauseEvidence.NONE.turning(Side.BEFORE, 1, 7200))))
        .isInstanceOf(Problem.class);
  }
}
