package dev.ambershim.core.stage.practise;

import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.runs.causes.CauseKind;
import dev.ambershim.core.runs.causes.Sign;
import dev.ambershim.core.runs.causes.Trial;
import dev.ambershim.core.stage.diagnosis.CaseReading;
import dev.ambershim.core.stage.diagnosis.Cause;
import dev.ambershim.core.stage.diagnosis.Diagnosis;
import dev.ambershim.core.stage.diagnosis.DiagnosisCase;
import dev.ambershim.core.stage.diagnosis.NextTest;
import dev.ambershim.core.stage.diagnosis.Ranking;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.Executor;

/**
 * A round of practice: a chip with a hidden fault, or none, a budget of minutes, and tests to spend
 * them on. Used by one thread at a time.
 */
public final class FaultRound {
  /** Enough for one core after another and a remount, and not for everything; minutes. */
  public static final double BUDGET_MINUTES = 60;

  /** The tests that a round offers. */
  public static final List<Trial> TRIALS =
      List.of(
          Trial.IDLE,
          Trial.ONE_BY_ONE,
          Trial.PRESS,
          Trial.PUMP,
          Trial.DUST,
          Trial.TURN,
          Trial.REMOUNT,
          Trial.PRINT);

  private static final List<CauseKind> KINDS =
      List.of(
          CauseKind.AS_IT_SHOULD_BE,
          CauseKind.TOO_THICK,
          CauseKind.TILTED,
          CauseKind.GAP,
          CauseKind.COOLER_WEAK,
          CauseKind.COOLANT_WARM,
          CauseKind.SENSOR_OFF,
          CauseKind.CORE_DRAWS_MORE);

  private final HiddenChip chip;
  private final List<CaseReading> readings = new ArrayList<>();
  private final Set<Sign> signs = EnumSet.noneOf(Sign.class);
  private final Set<Trial> made = EnumSet.noneOf(Trial.class);
  private double spent;

  /**
   * What a person answers with.
   *
   * @param kind the cause
   * @param joint where it sits, for causes that sit in a joint
   */
  public record Choice(CauseKind kind, Optional<String> joint) {
    /** In words. */
    public String words() {
      return switch (kind) {
        case TOO_THICK -> joint.orElse("joint") + " too thick";
        case TILTED -> joint.orElse("joint") + " tilted";
        case GAP -> joint.orElse("joint") + " has a gap";
        default -> kind.words();
      };
    }
  }

  /**
   * How a round ended.
   *
   * @param truth what was hidden
   * @param right whether the person named it
   * @param brier the person's score, 0 best (Brier 1950, Monthly Weather Review 78): the square of
   *     the probability's distance from what turned out
   * @param program what the program would have named
   * @param programProbability how likely that was to it
   * @param programRight whether that was it
   * @param programBrier its score by the same rule
   */
  public record Verdict(
      Choice truth,
      boolean right,
      double brier,
      Choice program,
      double programProbability,
      boolean programRight,
      double programBrier) {}

  private FaultRound(HiddenChip chip) {
    this.chip = chip;
    readings.add(chip.allCores());
  }

  /** A round by its seed. */
  public static FaultRound of(long seed) {
    Random random = new Random(seed);
    CauseKind kind = KINDS.get(random.nextInt(KINDS.size()));
    int cores = random.nextBoolean() ? 8 : 6;
    return new FaultRound(
        HiddenChip.drawn(random.nextLong(), kind, cores, random.nextDouble() < 0.7, true));
  }

  /** The chip as it is believed to be, and what was read and noticed so far. */
  public DiagnosisCase given() {
    return chip.with(readings).saying(signs);
  }

  /** What was read, in order. */
  public List<CaseReading> readings() {
    return List.copyOf(readings);
  }

  /** What was noticed. */
  public Set<Sign> signs() {
    return Set.copyOf(signs);
  }

  /** Minutes that are left. */
  public double left() {
    return BUDGET_MINUTES - spent;
  }

  /** What a test takes here, minutes. */
  public double minutes(Trial trial) {
    return trial.minutes(chip.believed().heat().size());
  }

  /** Whether a test can still be made. */
  public boolean can(Trial trial) {
    return !made.contains(trial) && minutes(trial) <= left();
  }

  /**
   * Makes a test.
   *
   * @return the sign that showed, where one can; what was read is among the readings
   * @throws IllegalArgumentException if it cannot be made
   */
  public Optional<Sign> take(Trial trial) {
    if (!can(trial)) {
      throw new IllegalArgumentException("no minutes left for " + trial);
    }
    made.add(trial);
    spent += minutes(trial);
    readings.addAll(chip.readings(trial));
    Optional<Sign> seen = chip.sign(trial);
    seen.ifPresent(signs::add);
    return seen;
  }

  /** The tests that were made. */
  public Set<Trial> made() {
    return Set.copyOf(made);
  }

  /** What can be answered. */
  public List<Choice> choices() {
    List<Choice> all = new ArrayList<>();
    for (CauseKind kind : KINDS) {
      if (kind.inJoint()) {
        chip.believed().layers().stream()
            .filter(l -> l.crossing())
            .forEach(l -> all.add(new Choice(kind, Optional.of(l.name()))));
      } else {
        all.add(new Choice(kind, Optional.empty()));
      }
    }
    return all;
  }

  /** What the program makes of the evidence so far. */
  public Ranking ranking(Executor helpers) {
    DiagnosisCase given = given();
    return new Diagnosis(given, helpers, SolveWatch.NONE).of(given, SolveWatch.NONE);
  }

  /** The test that would tell most among those that can still be made, if one tells anything. */
  public Optional<Trial> mostTelling(Ranking ranking) {
    return ranking.next().stream()
        .filter(t -> TRIALS.contains(t.trial()) && can(t.trial()))
        .filter(NextTest::tells)
        .map(NextTest::trial)
        .findFirst();
  }

  /**
   * Ends the round.
   *
   * @param choice what the person names
   * @param probability how sure the person is, 0 to 1
   */
  public Verdict answer(Choice choice, double probability, Executor helpers) {
    Choice truth = new Choice(chip.truth().kind(), chip.truth().joint());
    Cause first = ranking(helpers).causes().get(0);
    Choice program = new Choice(first.kind(), first.joint());
    return new Verdict(
        truth,
        choice.equals(truth),
        brier(probability, choice.equals(truth)),
        program,
        first.probability(),
        program.equals(truth),
        brier(first.probability(), program.equals(truth)));
  }

  /** Brier's score of one forecast: 0 if it was sure and right, 1 if it was sure and wrong. */
  static double brier(double probability, boolean right) {
    double off = (right ? 1 : 0) - probability;
    return off * off;
  }
}
