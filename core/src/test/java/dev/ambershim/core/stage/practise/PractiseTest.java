package dev.ambershim.core.stage.practise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.plan.PlanStep;
import dev.ambershim.core.runs.causes.CauseKind;
import dev.ambershim.core.runs.causes.Trial;
import dev.ambershim.core.stage.diagnosis.Cause;
import dev.ambershim.core.stage.diagnosis.Ranking;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Rounds of practice. */
@Tag("slow")
class PractiseTest {
  @Test
  void aRoundSpendsItsMinutesAndEndsWithAScore() {
    FaultRound round = FaultRound.of(4);
    assertThat(round.left()).isEqualTo(60);
    assertThat(round.readings()).hasSize(1);
    assertThat(round.choices()).extracting(FaultRound.Choice::kind).contains(CauseKind.TILTED);
    int cores = round.given().stack().heat().size();
    round.take(Trial.ONE_BY_ONE);
    assertThat(round.readings()).hasSize(1 + cores);
    assertThat(round.left()).isEqualTo(60 - 1.5 * cores);
    assertThatThrownBy(() -> round.take(Trial.ONE_BY_ONE))
        .isInstanceOf(IllegalArgumentException.class);
    assertThat(round.take(Trial.TURN)).isEmpty();
    assertThat(round.take(Trial.PUMP)).isPresent();
    assertThat(round.signs()).hasSize(1);
    assertThat(round.can(Trial.REMOUNT)).isFalse();
    assertThat(round.given().readings()).hasSize(2 + cores);
    FaultRound.Verdict verdict = round.answer(round.choices().get(0), 0.7, Runnable::run);
    assertThat(verdict.brier()).isCloseTo(verdict.right() ? 0.09 : 0.49, within(1e-12));
    assertThat(verdict.programBrier()).isBetween(0.0, 1.0);
    assertThat(PractiseWords.reasons(verdict, Notation.METRIC)).hasSize(2);
  }

  /** Who always does what the advice says ends with the fault found, within the hour. */
  @Test
  void theAdviceLeadsABeginnerToTheFault() {
    int found = 0;
    for (long seed = 20; seed < 22; seed++) {
      FaultRound round = FaultRound.of(seed);
      Ranking ranking = round.ranking(Runnable::run);
      for (int asked = 0; asked < 8; asked++) {
        Optional<Trial> next = round.mostTelling(ranking);
        String said = PractiseWords.advice(round, ranking);
        assertThat(said).startsWith("Advice: ");
        if (next.isEmpty()) {
          assertThat(said).endsWith("Name the cause.");
          break;
        }
        assertThat(said).contains(next.orElseThrow().doing());
        round.take(next.orElseThrow());
        ranking = round.ranking(Runnable::run);
      }
      Cause first = ranking.causes().get(0);
      found +=
          round
                  .answer(new FaultRound.Choice(first.kind(), first.joint()), 0.9, Runnable::run)
                  .right()
              ? 1
              : 0;
      assertThat(round.left()).isGreaterThanOrEqualTo(0);
    }
    assertThat(found).isEqualTo(2);
  }

  /** The same seed is the same round, so that a round can be told of. */
  @Test
  void aRoundIsItsSeed() {
    FaultRound a = FaultRound.of(11);
    FaultRound b = FaultRound.of(11);
    assertThat(a.readings()).isEqualTo(b.readings());
    assertThat(a.take(Trial.PRINT)).isEqualTo(b.take(Trial.PRINT));
  }

  /** Brier (1950): a forecast of p for what happens scores (1 − p)², for what does not p². */
  @Test
  void theScoreIsLeastForWhoSaysWhatIsSo() {
    assertThat(FaultRound.brier(1, true)).isZero();
    assertThat(FaultRound.brier(1, false)).isEqualTo(1);
    // Of chances of 70 %, the forecast 0.7 has the least mean score: the rule is proper.
    double best = Double.POSITIVE_INFINITY;
    double at = 0;
    for (double p = 0; p <= 1; p += 0.01) {
      double mean = 0.7 * FaultRound.brier(p, true) + 0.3 * FaultRound.brier(p, false);
      if (mean < best) {
        best = mean;
        at = p;
      }
    }
    assertThat(at).isCloseTo(0.7, within(0.005));
  }

  @Test
  void dropsAreJudgedByTheWindowOfTheDose() {
    Set<DropRound.Guess> seen = new HashSet<>();
    for (long seed = 0; seed < 40; seed++) {
      DropRound drop = DropRound.of(seed);
      boolean little = drop.cubicMillimetres() < drop.dose().leastCubicMillimetres();
      assertThat(drop.truth() == DropRound.Guess.TOO_LITTLE).isEqualTo(little);
      seen.add(drop.truth());
      assertThat(drop.at(4, 600, 140).marks()).isNotEmpty();
      assertThat(PractiseWords.drop(drop, drop.truth(), Notation.METRIC)).startsWith("Right");
    }
    assertThat(seen).containsExactlyInAnyOrder(DropRound.Guess.values());
  }

  @Test
  void onlyOneOfTheStepsCanFollow() {
    for (long seed = 0; seed < 12; seed++) {
      StepRound round = StepRound.of(seed);
      assertThat(round.choices()).hasSize(3).contains(round.next());
      assertThat(round.choices()).extracting(PlanStep::title).doesNotHaveDuplicates();
      assertThat(round.choices()).doesNotContain(round.done());
      assertThat(PractiseWords.step(round, round.next().id())).startsWith("Right.");
    }
  }

  @Test
  void theRecordCountsByCause() {
    FaultRound.Choice tilt = new FaultRound.Choice(CauseKind.TILTED, Optional.of("outer joint"));
    FaultRound.Verdict found = new FaultRound.Verdict(tilt, true, 0.04, tilt, 0.9, true, 0.01);
    FaultRound.Verdict missed = new FaultRound.Verdict(tilt, false, 0.36, tilt, 0.9, true, 0.01);
    PracticeRecord record =
        PracticeRecord.NONE.with(found).with(missed).withDrop(true).withStep(false);
    assertThat(record.brier()).isCloseTo(0.2, within(1e-12));
    assertThat(record.byCause().get(CauseKind.TILTED)).containsExactly(1, 2);
    List<String> lines = PractiseWords.record(record, Notation.METRIC);
    assertThat(lines.get(0)).isEqualTo("Your score over 2 rounds is 0.20; the program's is 0.01.");
    assertThat(lines.get(1)).isEqualTo("Found so far: joint tilted 1 of 2.");
    assertThat(lines.get(2)).isEqualTo("Drops judged rightly: 1 of 1.");
    assertThat(lines.get(3)).isEqualTo("Next steps named rightly: 0 of 1.");
  }
}
