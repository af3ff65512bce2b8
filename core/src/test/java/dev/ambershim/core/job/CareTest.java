package dev.ambershim.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.physics.assembly.StartingPoint;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

class CareTest {
  private static KeptCheck check(String day) {
    return new KeptCheck(LocalDate.parse(day), KeptCheck.From.TYPED, "", 50, 120, null, 9.0, "", 1);
  }

  @Test
  void listsStayInTheOrderOfTheirDays() {
    Care care =
        Care.NONE
            .with(check("2026-05-01"))
            .with(check("2026-01-01"))
            .with(new CareEvent(LocalDate.parse("2026-03-01"), null, " late "))
            .with(new CareEvent(LocalDate.parse("2026-02-01"), CareEvent.Kind.DUST, null));
    assertThat(care.checks()).extracting(KeptCheck::date).isSorted();
    assertThat(care.events()).extracting(CareEvent::date).isSorted();
    assertThat(care.events().get(1).kind()).isEqualTo(CareEvent.Kind.OTHER);
    assertThat(care.events().get(1).note()).isEqualTo("late");
    assertThat(care.withoutCheck(0).checks()).containsExactly(check("2026-05-01"));
    assertThat(care.withoutEvent(0).events()).hasSize(1);
  }

  @Test
  void aJointIsAsOldAsItsLastRenewal() {
    Found found = new Found(LocalDate.parse("2026-09-01"), List.of(), null);
    assertThat(Care.NONE.madeBefore(found)).isNull();
    Care checked = Care.NONE.with(check("2026-01-01"));
    assertThat(checked.madeBefore(found)).isEqualTo("2026-01-01");
    CareEvent renewed = new CareEvent(LocalDate.parse("2026-06-01"), CareEvent.Kind.RENEWED, "");
    assertThat(checked.with(renewed).madeBefore(found)).isEqualTo("2026-06-01");
    CareEvent later = new CareEvent(LocalDate.parse("2027-06-01"), CareEvent.Kind.RENEWED, "");
    assertThat(checked.with(later).madeBefore(found)).isEqualTo("2026-01-01");
  }

  @Test
  void aCheckIsThreeCourses() {
    KeptCheck check = check("2026-01-01");
    assertThat(check.whole().riseKelvin()).isEqualTo(50);
    assertThat(check.coolant().riseKelvin()).isEqualTo(9);
    assertThat(check.overCoolant().riseKelvin()).isEqualTo(41);
    assertThat(check.whole().riseAt(240)).isEqualTo(100);
    assertThat(check.whole().errorKelvin()).isEmpty();
  }

  @Test
  void theLimitMayBeEmptyAndTakesFiveUnderTheLadders() {
    Job job = Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4");
    assertThat(CareFigures.LIMIT.read(job)).isNull();
    assertThat(CareFigures.LIMIT.prompt(job, Notation.METRIC)).contains("85");
    Job typed = CareFigures.LIMIT.write(job, 80.0, Notation.METRIC);
    assertThat(typed.care().limitCelsius()).isEqualTo(80);
    assertThat(CareFigures.LIMIT.write(typed, null, Notation.METRIC)).isEqualTo(job);
    assertThat(CareFigures.limitCelsius(job)).isEqualTo(job.ladder().limitCelsius() - 5);
    assertThat(CareFigures.limitCelsius(typed)).isEqualTo(80);
    assertThat(CareFigures.MONTHS.read(job)).isEqualTo(3);
  }
}
