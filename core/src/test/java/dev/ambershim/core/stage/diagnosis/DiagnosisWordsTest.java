package dev.ambershim.core.stage.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.runs.causes.CauseKind;
import dev.ambershim.core.runs.causes.Trial;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The sentences of a diagnosis. */
class DiagnosisWordsTest {
  private static final DiagnosisWords WORDS =
      new DiagnosisWords(Notation.METRIC, List.of("core 0", "core 1"));
  private static final NextTest ALONE = new NextTest(Trial.ONE_BY_ONE, 1.2, 12);
  private static final NextTest NOTHING = new NextTest(Trial.DUST, 0.001, 3);

  private static Cause cause(CauseKind kind, double probability, Shape shape) {
    return new Cause(
        kind,
        kind.inJoint() ? Optional.of("outer joint") : Optional.empty(),
        probability,
        4.26,
        shape,
        kind == CauseKind.SENSOR_OFF || kind == CauseKind.CORE_DRAWS_MORE ? 1 : -1);
  }

  private static Cause cause(CauseKind kind, double probability) {
    return cause(kind, probability, Shape.NONE);
  }

  private static Shape plane(double x, double y) {
    return new Shape(Shape.Form.PLANE, 1, new double[] {1, x, y}, new double[3]);
  }

  @ParameterizedTest
  @CsvSource({
    "0.9999,over 99 %",
    "0.994,99 %",
    "0.42,42 %",
    "0.0096,1 %",
    "0.009,under 1 %",
    "0,under 1 %"
  })
  void probabilitiesAreRounded(double probability, String words) {
    assertThat(DiagnosisWords.percent(probability)).isEqualTo(words);
  }

  @ParameterizedTest
  @CsvSource({
    "1,0,towards the right",
    "-1,0.2,towards the left",
    "0.1,1,towards the back",
    "0,-1,towards the front",
    "1,1,towards the back right",
    "-1,-0.9,towards the front left"
  })
  void aTiltSaysWhereItIsThick(double x, double y, String words) {
    assertThat(WORDS.head(cause(CauseKind.TILTED, 0.9, plane(x, y))))
        .isEqualTo("The outer joint is tilted, thicker " + words);
  }

  @Test
  void aGapSaysWhereItIs() {
    Shape corner = new Shape(Shape.Form.GAP, 1, new double[] {4, -5, 2, 2}, new double[4]);
    Shape middle = new Shape(Shape.Form.GAP, 1, new double[] {0.2, 0, 2, 2}, new double[4]);
    assertThat(WORDS.head(cause(CauseKind.GAP, 0.9, corner)))
        .isEqualTo("The outer joint has a gap towards the front right");
    assertThat(WORDS.head(cause(CauseKind.GAP, 0.9, middle)))
        .isEqualTo("The outer joint has a gap in the middle");
  }

  @Test
  void whatIsFoundIsToldWithItsCost() {
    String said =
        WORDS.finding(
            List.of(cause(CauseKind.COOLER_WEAK, 0.96), cause(CauseKind.TOO_THICK, 0.03)),
            List.of(ALONE));
    assertThat(said).isEqualTo("The cooler is weak (96 %), which costs 4.3 K at full load.");
  }

  @Test
  void whatIsLikelyNamesTheTestThatTells() {
    String said =
        WORDS.finding(
            List.of(cause(CauseKind.TILTED, 0.71, plane(1, 0)), cause(CauseKind.TOO_THICK, 0.2)),
            List.of(ALONE));
    assertThat(said)
        .isEqualTo(
            "The outer joint is tilted, thicker towards the right (71 %); loading one core after"
                + " another tells it from a thick outer joint.");
  }

  @Test
  void whatIsOpenSaysSo() {
    String said =
        WORDS.finding(
            List.of(cause(CauseKind.TOO_THICK, 0.3), cause(CauseKind.COOLER_WEAK, 0.25)),
            List.of(ALONE));
    assertThat(said)
        .isEqualTo(
            "Cannot tell yet: a thick outer joint 30 %, a weak cooler 25 %; loading one core after"
                + " another tells most.");
    assertThat(
            WORDS.finding(
                List.of(cause(CauseKind.TOO_THICK, 0.3), cause(CauseKind.COOLER_WEAK, 0.25)),
                List.of(NOTHING)))
        .endsWith("a weak cooler 25 %.");
  }

  @Test
  void aSoundChipIsToldAsSuch() {
    assertThat(
            WORDS.finding(
                List.of(cause(CauseKind.AS_IT_SHOULD_BE, 0.95), cause(CauseKind.TOO_THICK, 0.02)),
                List.of(ALONE)))
        .isEqualTo("Everything is as it should be (95 %).");
    assertThat(
            WORDS.finding(
                List.of(cause(CauseKind.AS_IT_SHOULD_BE, 0.7), cause(CauseKind.TOO_THICK, 0.2)),
                List.of(ALONE)))
        .startsWith("Probably all is as it should be (70 %); loading one core after another");
  }

  @ParameterizedTest
  @EnumSource(CauseKind.class)
  void everyCauseHasWholeSentences(CauseKind kind) {
    Cause cause = cause(kind, 0.4);
    for (String said :
        List.of(
            WORDS.sentence(cause),
            WORDS.otherwise(cause),
            WORDS.remedy(cause, "outer joint"),
            DiagnosisWords.before(cause),
            DiagnosisWords.beforeOpening(cause))) {
      assertThat(said).matches("[A-Z].*\\.").doesNotContain("  ");
      assertThat(said.split(" ")).hasSizeLessThanOrEqualTo(30);
    }
    assertThat(DiagnosisWords.beside(cause)).hasSize(2).allMatch(s -> s.length() <= 112);
    assertThat(DiagnosisWords.label(cause)).isNotBlank();
  }

  @Test
  void aJointUnderTheLidIsReachedByOpeningOnly() {
    Cause inner = new Cause(CauseKind.GAP, Optional.of("inner joint"), 0.9, 3, Shape.NONE, -1);
    assertThat(WORDS.remedy(inner, "outer joint")).contains("only opening the chip");
    assertThat(inner.reversible("outer joint")).isFalse();
    assertThat(cause(CauseKind.GAP, 0.9).reversible("outer joint")).isTrue();
    assertThat(cause(CauseKind.COOLER_WEAK, 0.9).reversible("outer joint")).isTrue();
    assertThat(cause(CauseKind.AS_IT_SHOULD_BE, 0.9).reversible("outer joint")).isFalse();
  }

  @ParameterizedTest
  @EnumSource(Trial.class)
  void everyTestIsASentence(Trial trial) {
    NextTest test = new NextTest(trial, 0.5, trial.minutes(8));
    String said =
        WORDS.sentence(test, cause(CauseKind.TILTED, 0.5), cause(CauseKind.COOLER_WEAK, 0.3));
    assertThat(said)
        .matches("[A-Z].* helps to tell a tilted outer joint from a weak cooler; it takes .*\\.");
    assertThat(
            WORDS.sentence(
                new NextTest(trial, 0, trial.minutes(8)),
                cause(CauseKind.TILTED, 0.5),
                cause(CauseKind.COOLER_WEAK, 0.3)))
        .contains("would hardly tell anything more");
    assertThat(trial.worth(1, 10)).isPositive();
  }
}
