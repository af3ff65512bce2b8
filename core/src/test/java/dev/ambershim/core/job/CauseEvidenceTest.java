package dev.ambershim.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.job.CauseEvidence.CoreReading;
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
}
