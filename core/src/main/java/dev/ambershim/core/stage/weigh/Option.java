package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.plan.OptionKind;
import dev.ambershim.core.plan.Step;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * One thing that could be done.
 *
 * @param kind which
 * @param how what is done, in a sentence
 * @param situation what it would be like afterwards
 * @param inner how well the inner joint is known afterwards; empty if it stays as it is
 * @param outer the same of the outer or bare joint
 * @param cooler how well a new cooler's resistance is known; empty if it stays
 * @param powerFactor heat afterwards by heat now
 * @param steps where a chip can be lost
 * @param coins what has to be bought
 * @param lostCoins what is given up, such as clock
 * @param handsHours hours at the bench
 * @param waitHours hours of curing and drying
 * @param impossible why it cannot be done on this chip, if so
 * @param also what else is done with it
 * @param mostHandsHours hours at the bench that nine cases of ten keep; not a number where no plan
 *     tells
 */
@RecordBuilder
public record Option(
    OptionKind kind,
    String how,
    Situation situation,
    Optional<Fresh> inner,
    Optional<Fresh> outer,
    Optional<Prior> cooler,
    double powerFactor,
    List<Step> steps,
    double coins,
    double lostCoins,
    double handsHours,
    double waitHours,
    Optional<String> impossible,
    List<OptionKind> also,
    double mostHandsHours)
    implements OptionBuilder.With {
  /**
   * A joint made anew.
   *
   * @param trust how far its resistance may lie from its likely one, as a factor
   * @param metal whether the doubt in liquid metal's conductivity comes on top
   */
  public record Fresh(Prior trust, boolean metal) {}

  /** Copies its lists. */
  public Option {
    steps = List.copyOf(steps);
    also = also == null ? List.of() : List.copyOf(also);
  }

  /** An option by itself. */
  public Option(
      OptionKind kind,
      String how,
      Situation situation,
      Optional<Fresh> inner,
      Optional<Fresh> outer,
      Optional<Prior> cooler,
      double powerFactor,
      List<Step> steps,
      double coins,
      double lostCoins,
      double handsHours,
      double waitHours,
      Optional<String> impossible) {
    this(
        kind,
        how,
        situation,
        inner,
        outer,
        cooler,
        powerFactor,
        steps,
        coins,
        lostCoins,
        handsHours,
        waitHours,
        impossible,
        List.of(),
        Double.NaN);
  }

  /** The option in words, with what else is done. */
  public String words() {
    StringBuilder words = new StringBuilder(kind.words(situation.build().lidOn()));
    also.forEach(k -> words.append(" + ").append(k.words(situation.build().lidOn())));
    return words.toString();
  }

  /** All that is done. */
  public List<OptionKind> kinds() {
    List<OptionKind> all = new ArrayList<>(List.of(kind));
    all.addAll(also);
    return all;
  }

  /** The same in other hours. */
  Option taking(Question.Time time) {
    return withHandsHours(time.handsHours())
        .withWaitHours(time.waitHours())
        .withMostHandsHours(time.mostHandsHours());
  }

  /** Whether the lid comes off for it. */
  public boolean opens() {
    return steps.stream().anyMatch(Step::opens);
  }

  /** Standard deviation of the logarithm of {@link #powerFactor}: how it goes is not known well. */
  double powerSigma() {
    double per =
        with(OptionKind.LOWER_VOLTAGE)
            ? PriorTable.BY_VOLTAGE.sigma() / PriorTable.BY_VOLTAGE.likely()
            : kind == OptionKind.LOWER_CLOCK
                ? PriorTable.BY_CLOCK.sigma() / PriorTable.BY_CLOCK.likely()
                : 0;
    return per * Math.abs(Math.log(powerFactor));
  }

  /** Whether heat takes another way than now: another lid, none, or another cooler. */
  boolean reshapes() {
    if (reshapes(kind)) {
      return true;
    }
    for (OptionKind k : also) {
      if (reshapes(k)) {
        return true;
      }
    }
    return false;
  }

  private static boolean reshapes(OptionKind kind) {
    return kind.bares()
        || kind == OptionKind.COPPER_LID
        || kind == OptionKind.METAL_LAPPED
        || kind == OptionKind.BETTER_COOLER;
  }

  /** Whether something is done, by itself or with others. */
  private boolean with(OptionKind sought) {
    return kind == sought || also.contains(sought);
  }

  /** Whether it can be done. */
  public boolean possible() {
    return impossible.isEmpty();
  }

  /** The usual cautions of what is done, a sentence each. */
  public List<String> cautions() {
    List<String> all = new ArrayList<>();
    if (opens()) {
      all.add("Opening ends the warranty. Unplug and discharge first; blades cut away from hands.");
    }
    if (steps.contains(Step.METAL_GUARDED) || steps.contains(Step.METAL_BARE)) {
      all.add(
          "Liquid metal conducts, creeps and eats aluminium: gloves and eye protection, and follow"
              + " its label.");
    }
    if (steps.stream().anyMatch(Step::mountsOnDie)) {
      all.add("Force on bare silicon in small even turns.");
    }
    if (steps.contains(Step.LAP_DIE) || kind.laps()) {
      all.add("Lap wet; keep nickel and silicon dust out of lungs and off skin.");
    }
    return all;
  }
}
