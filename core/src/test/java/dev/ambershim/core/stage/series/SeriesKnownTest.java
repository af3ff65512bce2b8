package dev.ambershim.core.stage.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.plan.OwnPaste;
import dev.ambershim.core.plan.ShelfItem;
import dev.ambershim.core.plan.Supply;
import dev.ambershim.core.runs.series.Mount;
import dev.ambershim.core.runs.series.SeriesFit;
import dev.ambershim.core.stage.Drawing;
import dev.ambershim.core.stage.keep.OwnAgeing;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class SeriesKnownTest {
  private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);
  private static final List<String> BOTH = List.of("ash", "birch");

  private static SeriesAnswer answer(SeriesKnown known) {
    List<Mount> mounts = new ArrayList<>();
    for (int b = 1; b <= 4; b++) {
      double off = 0.2 * (b % 2);
      mounts.add(Mount.of("ash", "" + b, 50 + off, 150));
      mounts.add(Mount.of("birch", "" + b, 56 - off / 2, 150));
    }
    return SeriesAnswer.of(SeriesFit.of(mounts, 0.5, Optional.empty()), 1, Notation.METRIC, known);
  }

  private static SeriesKnown known(List<ShelfItem> shelf, Map<String, List<OwnAgeing.Seen>> aged) {
    return SeriesKnown.of(BOTH, shelf, aged, TODAY, Notation.METRIC);
  }

  private static ShelfItem tube(String name, LocalDate until, LocalDate opened) {
    return new ShelfItem(name, Supply.PASTE, 4, 8, until, TODAY.minusYears(3), opened, "");
  }

  @Test
  void anOldPackIsTold() {
    SeriesKnown old =
        known(
            List.of(
                tube("ash", TODAY.minusDays(1), null),
                tube("birch", null, TODAY.minusMonths(20)),
                tube("clay", null, null)),
            Map.of());
    assertThat(answer(old).notes())
        .contains(
            "The pack of ash is past its date, "
                + Notation.date(TODAY.minusDays(1))
                + ". A fresh one may do better.",
            "The pack of birch has been open for 20 months. A fresh one may do better.")
        .noneMatch(n -> n.contains("clay"));
    SeriesKnown fresh = known(List.of(tube("ash", null, TODAY.minusMonths(2))), Map.of());
    assertThat(fresh.notes()).isEmpty();
  }

  /** Two joints of 2 and 6 % a year, known equally well: 4 % ± 1.4 of 50 K, so 2 K a year. */
  @Test
  void ownJointsTellHowLongALeadLasts() {
    SeriesKnown known =
        known(
            List.of(),
            Map.of(
                "ash",
                List.of(
                    new OwnAgeing.Seen("paste", 0.02, 0.0004),
                    new OwnAgeing.Seen("paste", 0.06, 0.0004)),
                "birch",
                List.of(new OwnAgeing.Seen("paste", -0.01, 0.0001)),
                "clay",
                List.of(new OwnAgeing.Seen("paste", 1, 1))));
    assertThat(known.wear()).containsOnlyKeys("ash", "birch");
    assertThat(known.wear().get("ash").sharePerYear()).isCloseTo(0.04, within(1e-12));
    assertThat(known.wear().get("ash").deviation()).isCloseTo(Math.sqrt(0.0002), within(1e-12));
    SeriesAnswer answer = answer(known);
    assertThat(answer.notes())
        .anyMatch(
            n ->
                n.startsWith("Own joints of ash (2) grew hotter by 2.0 K a year (")
                    && n.endsWith("after 0.5 years they have lost 1.0 K."))
        .anyMatch(n -> n.endsWith("they do not lose 1.0 K within ten years."));
    assertThat(answer.pictures(Notation.METRIC)).extracting(Drawing::name).contains("life");
    assertThat(answer(SeriesKnown.NOTHING).pictures(Notation.METRIC))
        .extracting(Drawing::name)
        .doesNotContain("life");
  }

  /** Two candidates of four mounts each: half the difference, ± s √(1/4 · 1/4 + 1/4 · 1/4). */
  @Test
  void aCandidateIsAPasteForTheForecast() {
    SeriesAnswer answer = answer(SeriesKnown.NOTHING);
    OwnPaste ash = answer.paste("ash", "two");
    assertThat(ash.kelvin()).isCloseTo(answer.judged().pairs().get(0).kelvin() / 2, within(1e-9));
    assertThat(ash.standardErrorKelvin())
        .isCloseTo(answer.judged().scatterKelvin() * Math.sqrt(1 / 8.0), within(1e-9));
    assertThat(ash.sound()).isTrue();
    assertThat(ash.from()).isEqualTo("ash, by your series \"two\" (4 mounts)");
    assertThat(answer.paste("birch", "two").kelvin()).isCloseTo(-ash.kelvin(), within(1e-9));
  }
}
