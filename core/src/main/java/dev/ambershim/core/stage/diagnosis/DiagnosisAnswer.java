package dev.ambershim.core.stage.diagnosis;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.runs.causes.CauseKind;
import dev.ambershim.core.stage.Drawing;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.StageAnswer;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Why it is hot, in words.
 *
 * @param stage the stage that asks
 * @param given the case
 * @param ranking causes, tests and maps
 * @param told the finding, which is never missing
 * @param reasons what else it may be, what to do next and what that would change
 * @param causes a sentence for each cause, in the ranking's order
 * @param tests a sentence for each test, in the ranking's order
 * @param notation how figures are written
 * @param otherSide the other side of the work with its joints, where that is known: before first
 */
public record DiagnosisAnswer(
    Stage stage,
    DiagnosisCase given,
    Ranking ranking,
    Finding told,
    List<String> reasons,
    List<String> causes,
    List<String> tests,
    Notation notation,
    Optional<Sides> otherSide)
    implements StageAnswer {
  /**
   * The joints on both sides of the work.
   *
   * @param before before the work
   * @param after after it
   */
  public record Sides(Ranking before, Ranking after) {}

  /** Copies its lists. */
  public DiagnosisAnswer {
    reasons = List.copyOf(reasons);
    causes = List.copyOf(causes);
    tests = List.copyOf(tests);
  }

  /** Says what a ranking means. */
  public static DiagnosisAnswer of(
      Stage stage, DiagnosisCase given, Ranking ranking, Notation notation) {
    DiagnosisWords words = words(given, notation);
    Cause first = ranking.causes().get(0);
    Cause second = ranking.causes().get(1);
    List<String> tests =
        ranking.next().stream().map(t -> words.sentence(t, first, second)).toList();
    return new DiagnosisAnswer(
        stage,
        given,
        ranking,
        new Finding(
            "diagnosis.cause",
            words.finding(ranking.causes(), ranking.next()),
            100 * first.probability(),
            Unit.PERCENT,
            Optional.empty(),
            working(given, ranking)),
        reasons(given, ranking, words),
        ranking.causes().stream().map(words::sentence).toList(),
        tests,
        notation,
        Optional.empty());
  }

  /** The same with the joints before and after the work beside each other. */
  public DiagnosisAnswer comparing(Ranking before, Ranking after) {
    return new DiagnosisAnswer(
        stage,
        given,
        ranking,
        told,
        reasons,
        causes,
        tests,
        notation,
        Optional.of(new Sides(before, after)));
  }

  private static DiagnosisWords words(DiagnosisCase given, Notation notation) {
    return new DiagnosisWords(notation, given.stack().heat().stream().map(h -> h.name()).toList());
  }

  private static List<String> reasons(DiagnosisCase given, Ranking ranking, DiagnosisWords words) {
    List<String> reasons = new ArrayList<>();
    Cause first = ranking.causes().get(0);
    Cause second = ranking.causes().get(1);
    // While nothing is likely the answer names the second cause itself.
    if (first.probability() >= DiagnosisWords.UNTOLD) {
      reasons.add(
          second.probability() >= 0.01
              ? words.otherwise(second)
              : "No other cause is likelier than " + DiagnosisWords.percent(0.01) + ".");
    }
    ranking.next().stream()
        .filter(NextTest::tells)
        .findFirst()
        .ifPresentOrElse(
            t -> reasons.add("Next: " + words.uncapital(words.sentence(t, first, second))),
            () -> reasons.add("No further test would change this much."));
    // Where nothing fits, what was told is to be looked at before anything else.
    reasons.add(
        first.kind() == CauseKind.NONE_OF_THESE ? 0 : reasons.size(),
        words.remedy(first, ranking.outermost()));
    reasons.add(
        "Readings so far: "
            + given.readings().size()
            + " over "
            + DiagnosisWords.counted(
                (int) given.readings().stream().map(CaseReading::mount).distinct().count(), "mount")
            + (given.signs().isEmpty()
                ? "."
                : ", and " + DiagnosisWords.counted(given.signs().size(), "sign") + "."));
    return reasons;
  }

  private static Working working(DiagnosisCase given, Ranking ranking) {
    List<Working.Input> inputs = new ArrayList<>();
    inputs.add(new Working.Input("readings", given.readings().size(), Unit.COUNT));
    inputs.add(
        new Working.Input(
            "mounts",
            given.readings().stream().map(CaseReading::mount).distinct().count(),
            Unit.COUNT));
    inputs.add(new Working.Input("full load", given.stack().watts(), Unit.WATT));
    inputs.add(new Working.Input("a sensor strays by", given.doubts().sensorKelvin(), Unit.KELVIN));
    inputs.add(
        new Working.Input("a reading strays by", given.doubts().readingKelvin(), Unit.KELVIN));
    inputs.add(
        new Working.Input(
            "the outermost joint strays by", 100 * given.doubts().outerShare(), Unit.PERCENT));
    for (Cause cause : ranking.causes()) {
      if (cause.probability() >= 0.005) {
        inputs.add(
            new Working.Input(
                DiagnosisWords.label(cause), 100 * cause.probability(), Unit.PERCENT));
      }
    }
    return new Working(
        "Bayes' rule over causes: each cause's shapes are solved as conduction in this stack, and"
            + " weighed by how well they forecast the readings, with everything else that strays"
            + " beside them",
        inputs,
        "Bayes' rule by Gaussian sums (Alspach & Sorenson 1972); information of a test: Lindley"
            + " 1956; maps: Tarantola 2005; how often each cause comes up: common practice",
        List.of(
            "It knows the causes in its list and pairs of them, and calls the rest none of these.",
            "Its probabilities are only as good as the stack that you describe.",
            "A warm cooler and a dry outer joint look alike from one reading; more readings part"
                + " them."));
  }

  @Override
  public String sentence() {
    return told.sentence();
  }

  @Override
  public Optional<Finding> finding() {
    return Optional.of(told);
  }

  @Override
  public List<Drawing> pictures() {
    DiagnosisWords words = words(given, notation);
    List<Cause> causes = ranking.causes();
    Cause first = causes.get(0);
    List<Drawing> all = new ArrayList<>();
    all.add(
        new Drawing(
            "causes",
            "What it may be, by probability, and what each costs the mean core",
            CausesPicture.height(causes),
            (width, height) -> CausesPicture.of(causes, words, notation, width)));
    all.add(
        new Drawing(
            "joint-maps",
            "The joints from above, as far as the readings see them",
            260,
            (width, height) ->
                JointMapPicture.of(ranking.maps(), given.stack().heat(), notation, width, height)));
    otherSide.ifPresent(
        sides ->
            all.add(
                new Drawing(
                    "joint-sides",
                    "The joints before and after the work, as far as the readings see them",
                    260,
                    (width, height) ->
                        JointMapPicture.of(
                            sides.before().maps(),
                            sides.after().maps(),
                            given.stack().heat(),
                            notation,
                            width,
                            height))));
    if (first.kind().inJoint()) {
      all.add(
          new Drawing(
              "fault",
              "A cut through the stack with the likeliest cause",
              FaultPicture.height(given.stack()),
              (width, height) ->
                  FaultPicture.of(given.stack(), first, words.head(first), notation, width)));
    }
    return all;
  }
}
