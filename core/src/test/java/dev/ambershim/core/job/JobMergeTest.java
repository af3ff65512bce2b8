package dev.ambershim.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.physics.assembly.StartingPoint;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

class JobMergeTest {
  private static final Job COMMON =
      Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4")
          .withRun(RunEntry.of(Side.BEFORE, "a.csv", "a".repeat(64)))
          .withCare(Care.NONE.with(check("2026-01-01")));

  private static KeptCheck check(String day) {
    return new KeptCheck(LocalDate.parse(day), null, "", 50, 120, null, null, "", 1);
  }

  @Test
  void whatOnlyOneCopyHasIsInBoth() {
    Job mine = COMMON.withCare(COMMON.care().with(check("2026-05-01"))).withTitle("mine");
    Job theirs =
        COMMON
            .withRun(RunEntry.of(Side.AFTER, "b.csv", "b".repeat(64)))
            .withCare(
                COMMON
                    .care()
                    .with(check("2026-03-01"))
                    .with(new CareEvent(LocalDate.parse("2026-02-01"), CareEvent.Kind.DUST, "")))
            .withReadings(List.of(Reading.plain("first look", 160, 80, 22)));
    JobMerge merge = JobMerge.of(mine, theirs);
    assertThat(merge.words()).isEqualTo("1 run, 1 reading, 1 check, 1 event");
    assertThat(merge.job().title()).isEqualTo("mine");
    assertThat(merge.job().runs()).extracting(RunEntry::fileName).containsExactly("a.csv", "b.csv");
    assertThat(merge.job().care().checks())
        .extracting(c -> c.date().toString())
        .containsExactly("2026-01-01", "2026-03-01", "2026-05-01");
    // The other way round holds the same checks.
    assertThat(JobMerge.of(theirs, mine).job().care().checks())
        .isEqualTo(merge.job().care().checks());
    assertThat(JobMerge.of(merge.job(), theirs).added()).isEmpty();
  }

  @Test
  void theSameCopyAddsNothing() {
    JobMerge merge = JobMerge.of(COMMON, COMMON);
    assertThat(merge.added()).isEmpty();
    assertThat(merge.words()).isEmpty();
    assertThat(merge.job()).isEqualTo(COMMON);
  }
}
