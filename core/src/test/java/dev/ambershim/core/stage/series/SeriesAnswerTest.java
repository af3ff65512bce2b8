package dev.ambershim.core.stage.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.picture.Mark;
import dev.ambershim.core.runs.series.Mount;
import dev.ambershim.core.runs.series.SeriesFit;
import dev.ambershim.core.stage.Drawing;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

@Tag("slow")
class SeriesAnswerTest {
  /** The same scatter each time. */
  private static List<Mount> mounts(int blocks, double wobble, double... levels) {
    List<Mount> all = new ArrayList<>();
    Random random = new Random(3);
    for (int b = 0; b < blocks; b++) {
      for (int c = 0; c < levels.length; c++) {
        double off = wobble * random.nextGaussian() / 2;
        all.add(
            new Mount(
                String.valueOf((char) ('A' + c)),
                "" + b,
                levels[c] + off,
                150,
                OptionalDouble.of(21 + (b == 0 ? 4 : 0)),
                OptionalDouble.empty(),
                OptionalDouble.of(c + 0.5),
                ""));
      }
    }
    return all;
  }

  private static SeriesAnswer told(List<Mount> mounts) {
    return SeriesAnswer.of(SeriesFit.of(mounts, 0.5, Optional.of("A")), 1, Notation.METRIC);
  }

  @Test
  void oneIsBest() {
    SeriesAnswer answer = told(mounts(5, 0.4, 64, 60, 62));
    assertThat(answer.sentence())
        .matches(
            "B is best: it runs cooler than C, the next, by 2\\.\\d K \\(1\\.\\d to 2\\.\\d\\)\\.");
    assertThat(answer.reasons())
        .containsExactly("You can stop: more mounts are not likely to change which is best.");
    assertThat(answer.notes())
        .anyMatch(n -> n.startsWith("B runs cooler than A by ") && n.endsWith("one reference."))
        .anyMatch(n -> n.startsWith("The room moved by 4.0 K"));
  }

  @Test
  void twoCannotBeToldApartAndBothBeatTheThird() {
    SeriesAnswer answer = told(mounts(4, 1.6, 60, 60.8, 66));
    assertThat(answer.sentence())
        .matches(
            "A and B cannot be told apart \\(\\d\\.\\d K, ± \\d\\.\\d\\); both beat C by \\d\\.\\d K or more.*");
    assertThat(answer.reasons().get(0)).matches("[AB] is the coolest with a chance of .* %\\.");
    assertThat(answer.reasons()).anyMatch(r -> r.contains("costs least: 0.50 a use."));
  }

  @Test
  void whatIsOpenMayBeLessThanOneCaresAbout() {
    SeriesAnswer answer = told(mounts(8, 0.2, 60, 60.02));
    assertThat(answer.sentence()).contains(" cannot be told apart (").endsWith(").");
    assertThat(answer.reasons())
        .anyMatch(r -> r.startsWith("They differ by less than the 1.0 K you care about"));
    SeriesAnswer all = told(mounts(4, 1, 60, 60.1, 60.2, 60.1));
    assertThat(all.sentence()).startsWith("None of the 4 can be told from another (at most ");
    SeriesAnswer three = told(mounts(8, 0.4, 60, 60.02, 60.01));
    assertThat(three.reasons()).anyMatch(r -> r.startsWith("The best two differ by less than"));
  }

  @Test
  void aSentenceBeginsWithACapitalLetter() {
    List<Mount> named = new ArrayList<>();
    for (Mount m : mounts(5, 0.4, 60, 64)) {
      String name = m.candidate().equals("A") ? "ash paste" : "mX pad";
      named.add(Mount.of(name, m.block(), m.riseKelvin(), m.watts()));
    }
    SeriesAnswer answer =
        SeriesAnswer.of(SeriesFit.of(named, 0.5, Optional.empty()), 1, Notation.METRIC);
    assertThat(answer.sentence()).startsWith("Ash paste is best: it runs cooler than mX pad, ");
    assertThat(SeriesAnswer.chance(0)).isEqualTo("under 1 %");
    assertThat(SeriesAnswer.chance(0.999)).isEqualTo("over 99 %");
    assertThat(SeriesAnswer.chance(0.634)).isEqualTo("63 %");
  }

  /** Where order and price are known, there is a picture more for each. */
  @Test
  void picturesShowWhatIsKnown() {
    SeriesAnswer answer = told(mounts(4, 1, 60, 61, 66));
    assertThat(answer.pictures(Notation.METRIC))
        .extracting(Drawing::name)
        .containsExactly("mounts", "pairs", "price");
    for (Drawing d : answer.pictures(Notation.METRIC)) {
      assertThat(d.at(720).marks()).isNotEmpty();
    }
    long boxes =
        answer.pictures(Notation.METRIC).get(0).at(720).marks().stream()
            .filter(m -> m instanceof Mark.Box)
            .count();
    // A box a mount, and one a mean.
    assertThat(boxes).isEqualTo(15);
  }

  @Test
  void twoThingsAtOnceAreToldEachForItself() {
    List<Mount> crossed = new ArrayList<>();
    for (Mount m : mounts(5, 0.4, 60, 62, 61, 63)) {
      int c = m.candidate().charAt(0) - 'A';
      String name = (c < 2 ? "ash" : "birch") + " × " + (c % 2 == 0 ? "cross" : "dot");
      crossed.add(Mount.of(name, m.block(), m.riseKelvin(), m.watts()));
    }
    SeriesAnswer answer =
        SeriesAnswer.of(SeriesFit.of(crossed, 0.5, Optional.empty()), 1, Notation.METRIC);
    assertThat(answer.notes())
        .anyMatch(n -> n.startsWith("Both things add up"))
        .anyMatch(n -> n.startsWith("Over all of the other, ash runs cooler than birch by "))
        .anyMatch(n -> n.startsWith("Over all of the other, cross runs cooler than dot by "));
  }

  @Test
  void lessThanMattersIsSaid() {
    SeriesAnswer answer = told(mounts(8, 0.2, 60, 60.6));
    assertThat(answer.sentence()).startsWith("A is best");
    assertThat(answer.reasons().get(0)).contains("price and ease may decide");
  }

  @Test
  void whatDoesNotCountAndWhatStandsApartIsSaid() {
    List<Mount> mounts = new ArrayList<>(mounts(5, 0.4, 60, 62));
    Mount m = mounts.get(3);
    mounts.set(3, Mount.of(m.candidate(), m.block(), m.riseKelvin() + 8, m.watts()));
    mounts.add(
        new Mount(
            "A",
            "5",
            Double.NaN,
            Double.NaN,
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            "hair"));
    assertThat(told(mounts).notes())
        .anyMatch(n -> n.startsWith("The mount of B in block 1 stands ") && n.contains("It counts"))
        .contains("The mount of A in block 5 does not count: hair. Make it again.");
    List<Mount> loose = List.of(Mount.of("A", "", 60, 150), Mount.of("B", "", 61, 150));
    assertThat(told(loose).notes())
        .anyMatch(n -> n.startsWith("There are too few mounts"))
        .anyMatch(n -> n.startsWith("There are no blocks"));
  }

  @Test
  void aPlanSaysWhatItCanTell() {
    SeriesPlan plan =
        SeriesPlan.of(
            List.of("A", "B", "C"),
            OptionalInt.empty(),
            Optional.empty(),
            SeriesTerms.USUAL,
            1,
            Notation.METRIC);
    assertThat(plan.tellsKelvin()).isLessThanOrEqualTo(1);
    assertThat(plan.rota().blocks()).hasSize(plan.mountsForCare().orElseThrow());
    assertThat(plan.hours()).isEqualTo(plan.rota().mounts().size() * 0.75);
    assertThat(plan.sentence()).matches("\\d mounts of each tell .* in about .* h\\.");
    SeriesPlan brief = plan(OptionalInt.empty(), Optional.of(7.0));
    assertThat(brief.rota().blocks()).hasSize(3);
    assertThat(brief.notes()).anyMatch(n -> n.startsWith("To tell 1.0 K takes "));
    assertThat(plan(OptionalInt.of(1), Optional.empty()).sentence())
        .startsWith("One mount of each");
  }

  private static SeriesPlan plan(OptionalInt mounts, Optional<Double> hours) {
    return SeriesPlan.of(
        List.of("A", "B", "C"), mounts, hours, SeriesTerms.USUAL, 1, Notation.METRIC);
  }

  @Test
  void whatCannotBePlannedIsRefused() {
    assertThatThrownBy(() -> plan(OptionalInt.of(0), Optional.empty())).isInstanceOf(Problem.class);
    assertThatThrownBy(() -> plan(OptionalInt.empty(), Optional.of(1.0)))
        .hasMessageContaining("takes longer");
    for (List<String> names : List.of(List.of("A"), List.of("A", " A "), List.of("A", " "))) {
      assertThatThrownBy(
              () ->
                  SeriesPlan.of(
                      names,
                      OptionalInt.empty(),
                      Optional.empty(),
                      SeriesTerms.USUAL,
                      1,
                      Notation.METRIC))
          .isInstanceOf(Problem.class);
    }
    assertThatThrownBy(() -> new SeriesTerms(1, Double.NaN, 45, 0.3, 0))
        .isInstanceOf(Problem.class);
  }
}
