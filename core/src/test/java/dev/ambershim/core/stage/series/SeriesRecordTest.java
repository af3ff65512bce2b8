package dev.ambershim.core.stage.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.plan.Hours;
import dev.ambershim.core.runs.series.Mount;
import dev.ambershim.core.runs.series.MountTable;
import dev.ambershim.core.runs.series.SeriesFit;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

class SeriesRecordTest {
  private static final Series SERIES =
      new Series(
          "two pastes",
          List.of("ash", "birch"),
          List.of(List.of("ash", "birch"), List.of("birch", "ash")),
          SeriesTerms.USUAL,
          List.of());

  private static Series.Made made(String candidate, int block, double rise) {
    return new Series.Made(candidate, block, rise, 150.0, 22.0, "", "").checked();
  }

  @Test
  void mountsComeInTheirOrder() {
    List<String> due = new ArrayList<>();
    Series now = SERIES;
    while (now.next().isPresent()) {
      Series.Due d = now.next().orElseThrow();
      due.add(d.number() + d.candidate() + d.block());
      now = now.with(made(d.candidate(), d.block(), 60));
    }
    assertThat(due).containsExactly("1ash1", "2birch1", "3birch2", "4ash2");
    assertThat(now.dueInWords()).isEqualTo("All 4 mounts are made.");
    assertThat(now.left(Notation.METRIC)).startsWith("About 0.0 h");
    assertThat(now.withoutLast().dueInWords()).isEqualTo("Mount 4 of 4: ash, block 2");
    assertThat(SERIES.withoutLast()).isEqualTo(SERIES);
  }

  @Test
  void aSpoiledMountIsDueAgain() {
    Series spoiled = SERIES.with(new Series.Made("ash", 1, null, null, null, "hair", "").checked());
    assertThat(spoiled.next().orElseThrow()).isEqualTo(SERIES.next().orElseThrow());
    assertThat(spoiled.mounts().get(0).counts()).isFalse();
    Series again = spoiled.with(made("ash", 1, 60));
    assertThat(again.next().orElseThrow().candidate()).isEqualTo("birch");
  }

  @Test
  void twoCandidatesGiveAnAnswer() {
    Series one = SERIES.with(made("ash", 1, 60));
    assertThat(one.judged(Notation.METRIC)).isEmpty();
    Series two = one.with(made("birch", 1, 66));
    assertThat(two.judged(Notation.METRIC).orElseThrow().sentence()).startsWith("Ash is best");
  }

  /** What is written as a table is read again as the same mounts. */
  @Test
  void theTableIsReadAgain() {
    Series series =
        SERIES
            .with(made("ash", 1, 60.25))
            .with(new Series.Made("birch, \"new\"", 1, null, null, null, "hair, long", ""))
            .with(made("birch, \"new\"", 1, 61));
    List<Mount> read = MountTable.read("s.csv", series.csv());
    assertThat(read).hasSize(3);
    assertThat(read.get(0)).isEqualTo(series.mounts().get(0));
    assertThat(read.get(1).spoiled()).isEqualTo("hair, long");
    assertThat(read.get(2).candidate()).isEqualTo("birch, \"new\"");
  }

  /** What a use costs goes with every mount of its candidate. */
  @Test
  void pricesGoWithTheMounts() {
    SeriesPlan plan =
        SeriesPlan.of(
            List.of("ash", "birch"),
            OptionalInt.of(2),
            Optional.empty(),
            SeriesTerms.USUAL,
            1,
            Notation.METRIC);
    Series series =
        Series.of("x", plan, SeriesTerms.USUAL, Map.of("ash", 0.6, "gone", 3.0))
            .with(made("ash", 1, 60))
            .with(made("birch", 1, 61));
    assertThat(series.prices()).containsOnlyKeys("ash");
    assertThat(series.mounts().get(0).price()).hasValue(0.6);
    assertThat(series.mounts().get(1).price()).isEmpty();
    assertThat(MountTable.read("s.csv", series.csv())).isEqualTo(series.mounts());
    assertThat(series.withoutLast().prices()).isEqualTo(series.prices());
  }

  @Test
  void thePrintOfTheLastMountIsNoted() {
    Series one = SERIES.with(made("ash", 1, 60));
    assertThat(SERIES.withLast(m -> m.withNote("x"))).isEqualTo(SERIES);
    Series lifted = one.withLast(m -> m.withCoveredPercent(80.0));
    assertThat(lifted.last().orElseThrow().coveredPercent()).isEqualTo(80);
    assertThat(lifted.csv()).contains("covered_percent").contains(",80.0,");
    SeriesAnswer answer = lifted.with(made("birch", 1, 66)).judged(Notation.METRIC).orElseThrow();
    assertThat(answer.notes())
        .contains(
            "The mount of ash in block 1 covered 80 % of the face. It counts; call it spoiled if"
                + " that was the spread's fault.");
    assertThatThrownBy(() -> one.withLast(m -> m.withCoveredPercent(120.0)))
        .isInstanceOf(Problem.class);
    // Lifting may show that it did not count at all.
    assertThat(lifted.withLast(m -> m.withSpoiled("hair")).next()).isEqualTo(SERIES.next());
  }

  @Test
  void warmUpsAreToldAndTakeTheirTime() {
    SeriesTerms warm = new SeriesTerms(1, 0.5, 45, 0.3, 2);
    assertThat(warm.wholeMinutes()).isEqualTo(95);
    Series series = SERIES.withTerms(warm);
    assertThat(series.left(Notation.METRIC)).startsWith("About 6.3 h");
    assertThat(series.howInWords()).contains("warm up and cool 2 times, then load it");
    assertThat(SERIES.howInWords()).contains("mount, warm up, and let it settle.");
    assertThat(SeriesPlan.watch(warm)).anyMatch(w -> w.contains("cooled 2 times before the run"));
    assertThat(SeriesPlan.watch(SeriesTerms.USUAL)).anyMatch(w -> w.contains("as they are fresh"));
  }

  @Test
  void theMountsThatAreLeftAreSetInTime() {
    Instant now = Instant.parse("2026-03-02T08:00:00Z");
    SeriesTimes times = SeriesTimes.of(SERIES, now, ZoneOffset.UTC, Notation.METRIC).orElseThrow();
    assertThat(times.sentence()).startsWith("The 4 mounts that are left are done by ");
    assertThat(times.sentence()).endsWith(" in nine cases of ten.");
    Series last = SERIES;
    for (int i = 0; i < 3; i++) {
      Series.Due d = last.next().orElseThrow();
      last = last.with(made(d.candidate(), d.block(), 60));
    }
    assertThat(SeriesTimes.of(last, now, ZoneOffset.UTC, Notation.METRIC).orElseThrow().sentence())
        .startsWith("The last mount is done by ");
    Series.Due d = last.next().orElseThrow();
    Series all = last.with(made(d.candidate(), d.block(), 60));
    assertThat(SeriesTimes.of(all, now, ZoneOffset.UTC, Notation.METRIC)).isEmpty();
    // Hours that leave no time are none.
    assertThat(SERIES.withHours(new Hours("22:00", "18:00", null)).hours()).isEqualTo(Hours.ANY);
  }

  /** Two candidates in five blocks leave four degrees of freedom; two such series eight. */
  @Test
  void ownScatterIsPooledOverSeries() {
    double[] off = {0.3, -0.5, 0.1, 0.6, -0.2};
    List<List<String>> blocks = new ArrayList<>();
    Series series = new Series("x", List.of("ash", "birch"), blocks, SeriesTerms.USUAL, List.of());
    for (int b = 1; b <= 5; b++) {
      series = series.with(made("ash", b, 60 + off[b - 1])).with(made("birch", b, 62));
    }
    assertThat(Series.ownScatter(List.of(SERIES, series))).isEmpty();
    double alone = SeriesFit.of(series.mounts(), 0.5, Optional.empty()).scatterKelvin();
    assertThat(Series.ownScatter(List.of(series, series))).hasValueCloseTo(alone, within(1e-9));
    assertThat(series.withFixed(" 150 W ").watch())
        .first()
        .isEqualTo("The same at every mount: 150 W.");
  }

  @Test
  void whatCannotBeIsRefused() {
    assertThatThrownBy(() -> made("ash", 1, -4)).isInstanceOf(Problem.class);
    assertThatThrownBy(() -> new Series.Made("ash", 1, 60.0, null, null, "", "").checked())
        .isInstanceOf(Problem.class);
  }
}
