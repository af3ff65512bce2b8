package dev.ambershim.core.stage.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.fit.Chain;
import dev.ambershim.core.physics.fit.Feature;
import dev.ambershim.core.physics.fit.Heights;
import dev.ambershim.core.physics.fit.Instrument;
import dev.ambershim.core.physics.fit.Mount;
import dev.ambershim.core.physics.fit.Reading;
import dev.ambershim.core.physics.fit.Top;
import dev.ambershim.core.physics.fit.TopKind;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a fit says for every kind of top that is in the way, and for every kind of mount. */
class FitWordsTest {
  private static Top top(String name, TopKind kind, double x, double size, double height) {
    return new Top(
        name,
        kind,
        x,
        0,
        size,
        size,
        false,
        Reading.of(Instrument.INDICATOR, height, height + 0.001));
  }

  private static FitAnswer fit(Top... tops) {
    return FitAnswer.of(
        Heights.NONE.withTops(List.of(tops)),
        StartingPoint.cooler(),
        Notation.METRIC,
        20_000,
        Runnable::run);
  }

  @ParameterizedTest
  @CsvSource({
    "SHIM, off it",
    "FRAME, off it",
    "PART, Keep the lid",
    "SOCKET, keeps the cooler clear",
    "LID, The lid is on",
    "OTHER, get lower"
  })
  void eachKindThatIsInTheWayHasItsRemedy(TopKind kind, String remedy) {
    FitAnswer fit = fit(top("die", TopKind.DIE, 0, 10, 0.6), top("thing", kind, 0, 30, 0.7));
    assertThat(FitWords.first(fit, Notation.METRIC).sentence())
        .startsWith("The thing touches before the die: the die stands 100 µm")
        .contains(remedy)
        .contains("carries nothing");
  }

  @ParameterizedTest
  @CsvSource({
    "0.72, right by common practice",
    "0.765, too little",
    "0.5, holds the plate level no"
  })
  void howProudIsRightIsSaid(double shim, String words) {
    FitAnswer fit =
        fit(top("die", TopKind.DIE, 0, 10, 0.78), top("shim", TopKind.SHIM, 0, 30, shim));
    assertThat(FitWords.notes(fit, Notation.METRIC)).anyMatch(n -> n.contains(words));
  }

  @Test
  void intervalsGoWithTheirBudget() {
    FitAnswer fit =
        fit(top("die", TopKind.DIE, 0, 10, 0.78), top("shim", TopKind.SHIM, 0, 30, 0.73));
    Chain over = fit.prouds().get(0).over();
    assertThat(over.links()).hasSize(2);
    assertThat(over.worst().width()).isGreaterThan(over.rootSumSquare().width());
    assertThat(over.drawn().interval().low()).isBetween(over.worst().low(), over.nominal());
    assertThat(over.drawn().above(over.worst().high())).isZero();
    assertThat(over.mostDoubted().share()).isCloseTo(0.5, within(1e-9));
    var working = FitWords.first(fit, Notation.METRIC).working();
    assertThat(working.limits()).anyMatch(l -> l.startsWith("Nothing bends"));
    assertThat(working.inputs()).anyMatch(i -> i.name().equals("die over shim, worst case"));
    assertThat(fit.chances().orElseThrow().of("die").touchesFirst()).isGreaterThan(0.99);
  }

  @Test
  void whatThePlateDoesNotReachIsLeftOut() {
    FitAnswer fit =
        fit(
            top("die", TopKind.DIE, 0, 10, 0.78),
            top("far", TopKind.SOCKET, 60, 4, 3),
            top("half under", TopKind.SOCKET, 22, 8, 0.4));
    assertThat(fit.outside()).containsExactly("far");
    assertThat(FitWords.notes(fit, Notation.METRIC))
        .anyMatch(n -> n.equals("The plate does not reach: far."));
    // The plate is 44 mm wide: what is half under it counts as far as its edge.
    double reach =
        fit.features().stream()
            .filter(f -> f.name().equals("half under"))
            .mapToDouble(Feature::xMillimetres)
            .max()
            .orElseThrow();
    assertThat(reach).isEqualTo(22);
  }

  @Test
  void onlyADieIsReadAndSaysSo() {
    FitAnswer fit = fit(top("die", TopKind.DIE, 0, 10, 0.78));
    assertThat(FitWords.first(fit, Notation.METRIC).sentence()).startsWith("Only dies are read");
    assertThat(FitWords.first(fit, new Notation(true, false, true, false)).sentence())
        .startsWith("Only dies are read");
  }

  private static CoolerDrop drop(Mount mount) {
    FitAnswer fit =
        fit(top("die", TopKind.DIE, 0, 10, 0.8), top("shim", TopKind.SHIM, 0, 30, 0.75));
    Heights heights =
        new Heights(
            List.of(),
            null,
            null,
            Reading.of(Instrument.MICROMETER, 3.3, 3.301),
            null,
            null,
            null,
            0,
            0,
            mount);
    return fit.drop(heights, Notation.METRIC).orElseThrow();
  }

  @ParameterizedTest
  @CsvSource({
    "3.0, its bracket can come down that far",
    "1.5, its bracket stops 1.00 mm too high",
    "2.5, these readings cannot tell"
  })
  void theBracketReachesOrNot(double travel, String words) {
    CoolerDrop drop = drop(new Mount(travel, null, null, null, null, null, false));
    assertThat(drop.drop().nominal()).isCloseTo(2.5, within(0.002));
    assertThat(drop.finding().sentence())
        .startsWith("Without the lid the cooler sits 2.50 mm lower");
    assertThat(drop.finding().sentence()).contains(words);
    assertThat(drop.notes()).isEmpty();
  }

  @Test
  void springsThreadsAndWhatIsNotKnown() {
    assertThat(drop(Mount.UNKNOWN).finding().sentence()).contains("is not measured");
    assertThat(drop(Mount.UNKNOWN).notes().get(0)).startsWith("Measure how far the bracket");
    assertThat(drop(new Mount(3.0, null, null, 2.0, null, null, false)).notes().get(0))
        .startsWith("The springs would hang loose")
        .contains("washer of 2.50 mm");
    assertThat(drop(new Mount(3.0, null, null, 5.0, null, null, false)).notes().get(0))
        .startsWith("Springs keep 50 % of their force. A washer");
    assertThat(drop(new Mount(3.0, 4, 10.0, 5.0, null, null, false)).notes().get(0))
        .contains("100 N of 200 N");
    assertThat(drop(new Mount(3.0, null, null, null, 3.0, 3.5, false)).notes().get(0))
        .contains("6.0 mm when the screws follow down")
        .contains("at least 3.0 mm is wanted.");
    // Aluminium wants one and a half diameters: 4.5 mm.
    assertThat(drop(new Mount(3.0, null, null, null, 3.0, 3.5, true)).notes().get(0))
        .contains("longer by 1.0 mm");
  }

  @Test
  void whatUsuallyStandsThereFitsTheChip() {
    for (StartingPoint point : StartingPoint.values()) {
      List<Top> usual = Heights.usual(point.chip("x"));
      assertThat(usual).extracting(Top::name).doesNotHaveDuplicates();
      assertThat(usual.stream().filter(t -> t.kind() == TopKind.DIE))
          .hasSameSizeAs(point.chip("x").dies());
      assertThat(usual).noneMatch(t -> t.height().taken());
      List<Top> read = new ArrayList<>();
      for (Top t : usual) {
        read.add(t.withHeight(Reading.of(Instrument.INDICATOR, t.overBoard() ? 6.5 : 0.6)));
      }
      Heights heights =
          new Heights(
              read, Reading.of(Instrument.CALIPER, 6.3), null, null, null, null, null, 0, 0, null);
      FitAnswer fit =
          FitAnswer.of(heights, StartingPoint.cooler(), Notation.METRIC, 2000, Runnable::run);
      assertThat(fit.rest()).isPresent();
      assertThat(fit.unread()).isEmpty();
    }
  }

  @Test
  void readingsAreKeptAsTheyWereTaken() {
    Reading reading = Reading.of(Instrument.CALIPER, 1.0).and(1.2);
    assertThat(reading.millimetres()).containsExactly(1.0, 1.2);
    assertThat(reading.mean()).isCloseTo(1.1, within(1e-12));
    assertThat(reading.squares()).isCloseTo(0.02, within(1e-12));
    assertThat(Reading.NONE.taken()).isFalse();
    assertThat(Reading.NONE.mean()).isNaN();
    assertThat(new Reading(null, null)).isEqualTo(Reading.NONE);
    for (Instrument i : Instrument.values()) {
      assertThat(i.limitMillimetres()).isPositive();
      assertThat(i.words()).isNotBlank();
    }
  }
}
