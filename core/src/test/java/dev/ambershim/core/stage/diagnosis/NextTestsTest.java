package dev.ambershim.core.stage.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.runs.causes.CauseKind;
import dev.ambershim.core.runs.causes.Sign;
import dev.ambershim.core.runs.causes.Trial;
import dev.ambershim.core.stage.practise.HiddenChip;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Information of tests. */
@Tag("slow")
class NextTestsTest {
  /** Cover &amp; Thomas, Elements of Information Theory, example 2.1.2: 7/4 bits; from memory. */
  @Test
  void entropyOfATextbookSource() {
    assertThat(NextTests.entropy(0.5, 0.25, 0.125, 0.125)).isCloseTo(1.75, within(1e-12));
    assertThat(NextTests.entropy(3.0)).isZero();
  }

  /** Cover &amp; Thomas, example 2.2.1: mutual information 3/8 bit; from memory. */
  @Test
  void informationOfATextbookTable() {
    double[][] joint = {
      {1 / 8.0, 1 / 16.0, 1 / 16.0, 1 / 4.0},
      {1 / 16.0, 1 / 8.0, 1 / 16.0, 0},
      {1 / 32.0, 1 / 32.0, 1 / 16.0, 0},
      {1 / 32.0, 1 / 32.0, 1 / 16.0, 0}
    };
    assertThat(NextTests.information(joint)).isCloseTo(0.375, within(1e-12));
    assertThat(NextTests.information(new double[][] {{0.1, 0.3}, {0.2, 0.6}}))
        .isCloseTo(0, within(1e-12));
  }

  private static DiagnosisCase one(DiagnosisCase all) {
    return all.with(all.readings().subList(0, 1));
  }

  private static Ranking ranking(DiagnosisCase given) {
    return new Diagnosis(given, Runnable::run, SolveWatch.NONE).of(given, SolveWatch.NONE);
  }

  @Test
  void noTestPromisesMoreThanThereIsToKnowAndMadeOnesAreGone() {
    DiagnosisCase all = HiddenChip.drawn(41, CauseKind.TILTED, 4, true, false).all();
    Ranking one = ranking(one(all));
    double open = 0;
    for (Cause cause : one.causes()) {
      double p = cause.probability();
      open -= p > 0 ? p * Math.log(p) / Math.log(2) : 0;
    }
    assertThat(one.next()).extracting(NextTest::trial).contains(Trial.ONE_BY_ONE, Trial.TURN);
    for (NextTest test : one.next()) {
      assertThat(test.informationBits()).isBetween(0.0, open + 0.05);
    }
    assertThat(one.next().get(0).informationBits()).isPositive();
    List<Trial> left = ranking(all).next().stream().map(NextTest::trial).toList();
    assertThat(left).doesNotContain(Trial.ONE_BY_ONE, Trial.TURN, Trial.IDLE, Trial.COOLANT);
  }

  @Test
  void aRunFromRestIsOfferedWhereNobodyReadTheCoolant() {
    DiagnosisCase one = one(HiddenChip.drawn(5, CauseKind.TOO_THICK, 4, true, false).all());
    assertThat(ranking(one).next()).extracting(NextTest::trial).doesNotContain(Trial.FROM_REST);
    CaseReading dry = one.readings().get(0).withCoolantCelsius(OptionalDouble.empty());
    NextTest rest =
        ranking(one.with(List.of(dry))).next().stream()
            .filter(t -> t.trial() == Trial.FROM_REST)
            .findFirst()
            .orElseThrow();
    assertThat(rest.tells()).isTrue();
    CaseReading seen = dry.withSlow(Optional.of(new CaseReading.Slow(0.05, 0.005)));
    assertThat(ranking(one.with(List.of(seen))).next())
        .extracting(NextTest::trial)
        .doesNotContain(Trial.FROM_REST)
        .contains(Trial.COOLANT);
  }

  @Test
  void aSignSpeaksForItsCause() {
    DiagnosisCase one = one(HiddenChip.drawn(5, CauseKind.COOLER_WEAK, 4, true, false).all());
    double before = probability(ranking(one), CauseKind.COOLER_WEAK);
    double after =
        probability(ranking(one.saying(java.util.Set.of(Sign.PUMP_SILENT))), CauseKind.COOLER_WEAK);
    assertThat(after).isGreaterThan(before);
    // Odds of 8 against every other cause but pairs with it: Bayes' rule bounds what they can do.
    assertThat(after).isLessThanOrEqualTo(8 * before / (8 * before + 1 - before) + 1e-9);
  }

  private static double probability(Ranking ranking, CauseKind kind) {
    return ranking.causes().stream()
        .filter(c -> c.kind() == kind)
        .mapToDouble(Cause::probability)
        .sum();
  }
}
