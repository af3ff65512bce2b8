package dev.ambershim.core.picture;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.runs.clocking.LadderTerms;
import dev.ambershim.core.runs.clocking.Outcome;
import dev.ambershim.core.runs.clocking.Rung;
import dev.ambershim.core.stage.prove.Headroom;
import dev.ambershim.core.stage.prove.RungPicture;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The clock ladders. */
class ClimbPicturesTest {
  private static Rung rung(double clock, Outcome outcome) {
    return Rung.typed(clock, 1.2, outcome, "froze", 80.0, 22.0);
  }

  private static Picture picture(List<Rung> before, List<Rung> after, double next) {
    Headroom headroom = Headroom.of(before, after, LadderTerms.USUAL, 0.3, Notation.METRIC);
    List<RungPicture.Column> columns = RungPicture.columns(headroom, true, Double.NaN, next);
    return RungPicture.of(columns, Notation.METRIC, 620, RungPicture.height(columns));
  }

  private static List<Mark.Words> words(Picture picture) {
    return picture.marks().stream()
        .filter(m -> m instanceof Mark.Words)
        .map(m -> (Mark.Words) m)
        .toList();
  }

  private static Mark.Words words(Picture picture, String text) {
    return words(picture).stream().filter(w -> w.text().equals(text)).findFirst().orElseThrow();
  }

  @Test
  void aHigherClockLiesHigherAndFailuresAreToldInWords() {
    Picture picture =
        picture(
            List.of(rung(4700, Outcome.PASSED), rung(4800, Outcome.THROTTLED)),
            List.of(rung(4700, Outcome.PASSED), rung(5000, Outcome.FAILED)),
            4850);
    Mark.Words low = words(picture, "4700 passed · 80.0 °C · 1.200 V");
    Mark.Words high = words(picture, "5000 failed · 80.0 °C · 1.200 V");
    assertThat(high.y()).isLessThan(low.y());
    assertThat(high.tone()).isEqualTo(Tone.ALARM);
    assertThat(words(picture, "next: 4850 MHz").y()).isBetween(high.y(), low.y());
    assertThat(words(picture, "4700 to 4800 MHz").x()).isLessThan(300);
    assertThat(picture.description()).contains("after: 4700 to 5000 MHz");
  }

  @Test
  void rungsCloseTogetherDoNotWriteOverEachOther() {
    List<Rung> close =
        List.of(
            rung(4700, Outcome.PASSED),
            rung(4705, Outcome.PASSED),
            rung(4706, Outcome.PASSED),
            rung(4710, Outcome.FAILED),
            rung(5200, Outcome.FAILED));
    Picture picture = picture(close, List.of(), Double.NaN);
    double[] ys =
        words(picture).stream()
            .filter(w -> w.text().contains(" · "))
            .mapToDouble(Mark.Words::y)
            .sorted()
            .toArray();
    assertThat(ys).hasSize(5);
    for (int i = 1; i < ys.length; i++) {
      assertThat(ys[i] - ys[i - 1]).isGreaterThanOrEqualTo(12);
    }
    assertThat(words(picture, "no rung yet").x()).isGreaterThan(300);
  }

  @Test
  void theGapOfTheHighestClockIsShaded() {
    Picture picture =
        picture(
            List.of(rung(4700, Outcome.PASSED), rung(4900, Outcome.FAILED)), List.of(), Double.NaN);
    Mark.Box gap =
        (Mark.Box)
            picture.marks().stream().filter(m -> m instanceof Mark.Box).findFirst().orElseThrow();
    assertThat(gap.fill()).isEqualTo(Tone.BEFORE_BAND);
    assertThat(gap.height()).isGreaterThan(60);
  }
}
