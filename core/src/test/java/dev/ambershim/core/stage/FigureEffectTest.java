package dev.ambershim.core.stage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Figure;
import dev.ambershim.core.job.Figures;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.stage.close.CloseAnswer;
import dev.ambershim.core.stage.coat.CoatAnswer;
import java.util.Optional;
import java.util.function.Function;
import org.junit.jupiter.api.Test;

/** What a figure changes is what the stage would say of the other figure. */
class FigureEffectTest {
  private final Job job = Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sorrel S8");

  private Optional<String> coat(Job of, Figure figure) {
    return FigureEffect.words(of, figure, j -> CoatAnswer.of(j, Notation.METRIC), Notation.METRIC);
  }

  private Figure named(String name) {
    return Figures.named(job, name, Side.AFTER);
  }

  @Test
  void theOtherAnswerIsTheStagesOwn() {
    Figure part = named("coat.partMillimetres");
    Job near = part.write(job, 0.5, Notation.METRIC);
    Job farther = part.write(job, 0.55, Notation.METRIC);
    assertThat(coat(near, part).orElseThrow())
        .startsWith("If this were 0.55 mm instead of 0.5 mm:")
        .contains("\n" + CoatAnswer.of(farther, Notation.METRIC).sentence());
  }

  /** Springs press by Hooke's law, so a tenth more squeeze is a tenth more force. */
  @Test
  void whatItMovesStandsBesideWhatIsInDoubt() {
    Figure squeeze = named("mounting.squeezeMillimetres");
    Finding force =
        CloseAnswer.of(job, Notation.METRIC, SolveWatch.NONE).others().stream()
            .filter(f -> f.key().equals("mount.force"))
            .findFirst()
            .orElseThrow();
    assertThat(
            FigureEffect.words(
                job,
                squeeze,
                j -> CloseAnswer.of(j, Notation.METRIC, SolveWatch.NONE),
                Notation.METRIC))
        .hasValueSatisfying(
            w ->
                assertThat(w)
                    .endsWith(
                        "\nThat moves it by "
                            + Math.round(0.1 * force.value())
                            + " N. Its interval is "
                            + Math.round(force.interval().orElseThrow().width())
                            + " N wide."));
  }

  /** Two degrees Celsius more are 3.6 degrees Fahrenheit more, and not 35.6. */
  @Test
  void aDifferenceOfTemperaturesHasNoZero() {
    Figure heat = Figures.HEAT;
    Job cool = heat.write(job, 100.0, Notation.METRIC);
    Function<Job, StageAnswer> hot = j -> told("It runs at ", 40 + heat.read(j) / 5);
    assertThat(FigureEffect.words(cool, heat, hot, new Notation(false, true, false, false)))
        .hasValueSatisfying(
            w ->
                assertThat(w)
                    .contains("That moves it by 3.6 ")
                    .contains("Its interval is 7.2 ")
                    .doesNotContain("35.6"));
  }

  private static StageAnswer told(String words, double celsius) {
    String sentence = words + celsius;
    StageAnswer answer = mock(StageAnswer.class);
    when(answer.sentence()).thenReturn(sentence);
    when(answer.finding())
        .thenReturn(
            Optional.of(
                new Finding(
                    "hot",
                    sentence,
                    celsius,
                    Unit.CELSIUS,
                    Optional.of(Interval.around(celsius, 2, 0.95)),
                    null)));
    return answer;
  }

  @Test
  void aSentenceWithoutAnIntervalHasNothingBesideIt() {
    Figure bore = named("coat.boreMillimetres");
    assertThat(coat(job, bore).orElseThrow()).doesNotContain("That moves it");
  }

  @Test
  void whatHasNoPartInTheAnswerLeavesItsWords() {
    assertThat(coat(job, Figures.CARE).orElseThrow()).endsWith(", the answer would read the same.");
  }

  @Test
  void atTheEndOfItsRangeItIsLess() {
    Job most = Figures.HEAT.write(job, 1000.0, Notation.METRIC);
    assertThat(
            FigureEffect.words(
                most,
                Figures.HEAT,
                j -> CloseAnswer.of(j, Notation.METRIC, SolveWatch.NONE),
                Notation.METRIC))
        .hasValueSatisfying(w -> assertThat(w).contains("900 W instead of 1000 W"));
  }

  @Test
  void whatIsCountedMovesByOne() {
    Figure coats = named("coat.coats");
    assertThat(coat(coats.write(job, 2.0, Notation.METRIC), coats).orElseThrow())
        .startsWith("If this were 3 instead of 2");
  }

  @Test
  void fromZeroItMovesByALittle() {
    Figure old = named("closing.oldMicrometres");
    String words =
        FigureEffect.words(
                old.write(job, 0.0, Notation.METRIC),
                old,
                j -> CloseAnswer.of(j, Notation.METRIC, SolveWatch.NONE),
                Notation.METRIC)
            .orElseThrow();
    assertThat(words).startsWith("If this were 20 µm instead of 0 µm");
  }

  @Test
  void whatIsNotKnownAndHasNoUsualValueIsNotMoved() {
    Figure part = named("coat.partMillimetres");
    assertThat(part.read(job)).isNull();
    assertThat(coat(job, part).isPresent()).isEqualTo(part.otherwise(job).isPresent());
  }
}
