package dev.ambershim.core.stage.keep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Care;
import dev.ambershim.core.job.CareEvent;
import dev.ambershim.core.job.Found;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.JobRules;
import dev.ambershim.core.job.KeptCheck;
import dev.ambershim.core.job.KeptCheck.From;
import dev.ambershim.core.job.OwnJoint;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.picture.Mark;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.runs.causes.Sign;
import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.core.stage.diagnosis.InUse;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;

class KeepAnswerTest {
  private static final Job JOB =
      Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4").withHeatWatts(150);
  private static final LocalDate BEGIN = LocalDate.of(2025, 1, 10);

  /** Checks every six weeks: so many kelvin a year in the coolant, and in what lies under it. */
  private static Job kept(int count, double coolantPerYear, double jointPerYear) {
    List<KeptCheck> checks = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      double years = i * 42 / 365.25;
      double wobble = (i % 3 - 1) * 0.15;
      double coolant = 8 + coolantPerYear * years + wobble / 3;
      double rise = coolant + 40 + jointPerYear * years + wobble;
      checks.add(
          new KeptCheck(BEGIN.plusDays(42L * i), From.TYPED, "", rise, 150, null, coolant, "", 1));
    }
    return JOB.withCare(Care.NONE.withChecks(checks));
  }

  @Test
  void withoutAnyCheckItSaysWhatIsNeeded() {
    KeepAnswer none = KeepAnswer.of(JOB, Notation.METRIC);
    assertThat(none.sentence()).startsWith("There is no check yet.");
    assertThat(none.finding()).isEmpty();
    assertThat(none.pictures()).isEmpty();
    assertThat(KeepAnswer.due(Care.NONE)).isEmpty();
  }

  @Test
  void theCoolerOrTheJointCreeps() {
    assertThat(KeepAnswer.of(kept(12, 6, 0), Notation.METRIC).reasons().get(0))
        .startsWith("The coolant gets warmer over the room");
    assertThat(KeepAnswer.of(kept(12, 0, 6), Notation.METRIC).reasons().get(0))
        .startsWith("The cores get hotter over the coolant");
    assertThat(KeepAnswer.of(kept(12, 4, 4), Notation.METRIC).reasons().get(0))
        .doesNotContain("coolant");
  }

  @Test
  void theLimitIsFiveUnderTheLaddersUntilOneIsTyped() {
    KeepAnswer told = KeepAnswer.of(kept(12, 0, 8), Notation.METRIC);
    assertThat(told.reasons()).anyMatch(r -> r.startsWith("85.0 °C comes about "));
    Job lower = kept(12, 0, 8);
    lower = lower.withCare(lower.care().withLimitCelsius(60.0));
    assertThat(KeepAnswer.of(lower, Notation.METRIC).reasons())
        .contains("The cores stand at 60.0 °C already.");
  }

  /** Own joints that stay as they are move the date away. */
  @Test
  void ownJointsFeedTheForecast() {
    Job job = kept(5, 0, 0);
    double usual = KeepAnswer.of(job, Notation.METRIC).ahead().orElseThrow().perYear();
    List<OwnJoint> steady = List.of(new OwnJoint(-0.05, 1e-6), new OwnJoint(-0.05, 1e-6));
    Job own = job.withCare(job.care().withOwnJoints(steady));
    KeepAnswer told = KeepAnswer.of(own, Notation.METRIC);
    assertThat(told.ahead().orElseThrow().perYear()).isLessThan(usual);
    assertThat(told.notes())
        .contains(
            "The date reckons with 2 joints of your own on other chips, beside what is usual.");
    assertThat(OwnAgeing.like(job, OwnAgeing.of(job))).hasSize(1);
    Care odd = Care.NONE.withOwnJoints(List.of(new OwnJoint(Double.NaN, 1), new OwnJoint(1, 0)));
    assertThat(odd.ownJoints()).isEmpty();
  }

  /** What the checks say is a sign among the causes. */
  @Test
  void theCourseIsASign() {
    assertThat(InUse.of(kept(12, 6, 0)).sign()).contains(Sign.COOLANT_ROSE);
    assertThat(InUse.of(kept(12, 0, 6)).sign()).contains(Sign.OVER_COOLANT_ROSE);
    assertThat(InUse.of(kept(12, 4, 4)).sign()).contains(Sign.CREPT);
    assertThat(InUse.of(kept(12, 0, 0)).sign()).isEmpty();
    assertThat(InUse.of(kept(12, -6, 0)).sign()).isEmpty();
    assertThat(InUse.of(JOB).sign()).isEmpty();
  }

  @Test
  void theNextCheckIsDue() {
    Job job = kept(6, 0, 0);
    LocalDate last = BEGIN.plusDays(42 * 5);
    assertThat(KeepAnswer.due(job.care())).contains(last.plusDays(91));
    assertThat(KeepAnswer.due(job.care().withCheckMonths(6.0))).contains(last.plusDays(183));
    assertThat(KeepAnswer.of(job, Notation.METRIC).notes())
        .contains("The next check is due on " + Notation.date(last.plusDays(91)) + ".");
  }

  @Test
  void schoolsCostWhatTheyCost() {
    List<School> schools = KeepAnswer.of(kept(14, 0, 6), Notation.METRIC).schools();
    assertThat(schools).extracting(School::times).startsWith(9, 4, 2).endsWith(0);
    School yearly = schools.get(1);
    // Renewed every year instead of never over five: the drift of two years in the mean.
    double perYear = KeepAnswer.of(kept(14, 0, 6), Notation.METRIC).ahead().orElseThrow().perYear();
    assertThat(yearly.kelvin()).isCloseTo(2 * perYear, within(1e-9));
    assertThat(schools.get(0).hours()).isCloseTo(9 * yearly.hours() / 4, within(1e-9));
    assertThat(schools.get(0).riskPercent()).isGreaterThan(yearly.riskPercent());
    assertThat(schools.get(4).sentence(Notation.METRIC))
        .isEqualTo("Never, unless it shows: no opening in five years.");
    assertThat(yearly.sentence(Notation.METRIC)).startsWith("Every year: 4 times in five years, ");
  }

  @Test
  void aStateBeforeIsToldToo() {
    List<KeptCheck> checks = new ArrayList<>(kept(8, 0, 0).care().checks());
    for (int i = 0; i < 8; i++) {
      double rise = 60 + 8.0 * i * 42 / 365.25;
      checks.add(
          new KeptCheck(
              BEGIN.minusDays(700).plusDays(42L * i),
              From.TYPED,
              "",
              rise,
              150,
              null,
              null,
              "before",
              1));
    }
    KeepAnswer told = KeepAnswer.of(JOB.withCare(Care.NONE.withChecks(checks)), Notation.METRIC);
    assertThat(told.sentence()).startsWith("It runs as on the first day");
    assertThat(told.notes())
        .anyMatch(n -> n.startsWith("In the state \"before\": it got hotter by 8.0 K a year"));
  }

  @Test
  void thePictureShowsChecksLimitAndEvents() {
    Job job = kept(10, 0, 6);
    job =
        job.withCare(
            job.care()
                .with(new CareEvent(BEGIN.plusDays(100), CareEvent.Kind.DUST, ""))
                .withLimitCelsius(85.0));
    Picture picture = KeepAnswer.of(job, Notation.METRIC).pictures().get(0).at(640);
    List<String> words =
        picture.marks().stream()
            .filter(Mark.Words.class::isInstance)
            .map(m -> ((Mark.Words) m).text())
            .toList();
    assertThat(words).contains("dust cleaned", "limit, 85.0 °C", "K over the room at 150 W");
    assertThat(picture.marks().stream().filter(Mark.Box.class::isInstance)).hasSize(10);
    assertThat(picture.marks()).anyMatch(Mark.Band.class::isInstance);
    assertThat(picture.description()).contains("10 checks");
    for (Mark mark : picture.marks()) {
      if (mark instanceof Mark.Box box) {
        assertThat(box.x()).isBetween(0.0, 640.0);
        assertThat(box.y()).isBetween(0.0, 300.0);
      }
    }
  }

  /** What the person would give up before puts the limit higher, and says so. */
  @Test
  void clockAndNoiseCountInTheLimit() {
    Job plain = kept(6, 4, 0);
    KeepAnswer before = KeepAnswer.of(plain, Notation.METRIC);
    Job giving = plain.withCare(plain.care().withClockLossPercent(8.0).withLouderDecibels(3.0));
    KeepAnswer after = KeepAnswer.of(giving, Notation.METRIC);
    double higher =
        after.course().orElseThrow().given().limit().orElseThrow().riseKelvin()
            - before.course().orElseThrow().given().limit().orElseThrow().riseKelvin();
    assertThat(higher).isGreaterThan(5);
    assertThat(after.reasons())
        .anyMatch(r -> r.contains(" at 8.0 % less clock and with fans 3.0 dB louder"));
  }

  @Test
  void whatWasFoundIsTold() {
    Care care =
        kept(6, 0, 0)
            .care()
            .with(new CareEvent(BEGIN.plusDays(100), CareEvent.Kind.RENEWED, ""))
            .with(
                new Found(
                    BEGIN.plusDays(700),
                    List.of(Found.Look.CRACKS, Found.Look.DULL, Found.Look.DULL),
                    ""))
            .with(new Found(BEGIN.plusDays(90), List.of(Found.Look.WET), "Bright."));
    List<String> notes = KeepAnswer.of(JOB.withCare(care), Notation.METRIC).notes();
    assertThat(notes)
        .containsSubsequence(
            "Opened on 11 December 2026 after 19 months, liquid metal: dull, cracks.",
            "A cracked die or substrate is not to be used again; see Clean.",
            "Opened on 10 April 2025 after 3 months, liquid metal: wet and bright. Bright.");
    Found used = new Found(BEGIN.plusDays(90), List.of(), "", null, 900.0, 240.0).checked();
    assertThat(KeepWords.found(used, BEGIN, "paste"))
        .isEqualTo(
            "Opened on 10 April 2025 after 3 months, 900 h of load and 240 warm-ups, paste: nothing"
                + " written down.");
    assertThat(KeepWords.found(used, null, "paste"))
        .contains(" after 900 h of load and 240 warm-ups, paste: ");
    assertThatThrownBy(() -> new Found(BEGIN, List.of(), "", null, -1.0, null).checked())
        .isInstanceOf(Problem.class);
    assertThat(KeepAnswer.of(JOB.withCare(care.withChecks(List.of())), Notation.METRIC).notes())
        .hasSize(3);
    assertThat(care.withoutFound(0).found()).hasSize(1);
    for (Found.Look look : Found.Look.values()) {
      boolean bad = look.compareTo(Found.Look.DRY) >= 0;
      boolean told = look != Found.Look.BEAD && look != Found.Look.STAIN && bad;
      assertThat(KeepWords.verdict(new Found(BEGIN, List.of(look), "")).isPresent())
          .as(look.words())
          .isEqualTo(told);
    }
  }

  @Test
  void whatCannotBeIsRefused() {
    KeptCheck good = new KeptCheck(BEGIN, null, null, 50, 150, null, null, null, null);
    assertThat(good.checked().from()).isEqualTo(From.TYPED);
    assertThat(good.mount()).isEqualTo(1);
    for (KeptCheck bad :
        List.of(
            new KeptCheck(null, null, "", 50, 150, null, null, "", 1),
            new KeptCheck(BEGIN, null, "", -1, 150, null, null, "", 1),
            new KeptCheck(BEGIN, null, "", 50, 0, null, null, "", 1),
            new KeptCheck(BEGIN, null, "", 50, 150, -1.0, null, "", 1),
            new KeptCheck(BEGIN, null, "", 50, 150, null, 60.0, "", 1))) {
      assertThatThrownBy(bad::checked).isInstanceOf(Problem.class);
      Job job = JOB.withCare(Care.NONE.withChecks(List.of(bad)));
      assertThatThrownBy(() -> JobRules.check(job)).isInstanceOf(Problem.class);
    }
    Job dayless =
        JOB.withCare(Care.NONE.withEvents(List.of(new CareEvent(null, CareEvent.Kind.DUST, ""))));
    assertThatThrownBy(() -> JobRules.check(dayless)).hasMessageContaining("no day");
  }

  /** Two masses; under steady power, or under tasks that come and go. */
  private static RunLog log(boolean steady, boolean room, int seconds) {
    Random random = new Random(7);
    StringBuilder csv = new StringBuilder("time_s,core 0,power_W");
    csv.append(room ? ",room_C,coolant_C\n" : "\n");
    double quick = 0;
    double slow = 0;
    double watts = steady ? 120 : 60;
    for (int t = 0; t < seconds; t++) {
      if (steady) {
        watts = t < 60 ? 8 : 120;
      } else if (random.nextInt(100) == 0) {
        watts = 15 + 110 * random.nextDouble();
      }
      quick += (0.2 * watts - quick) / 10;
      slow += (0.2 * watts - slow) / 180;
      csv.append(
          String.format(
              Locale.ROOT,
              "%d,%.1f,%.1f",
              t,
              22 + quick + slow + 0.2 * random.nextGaussian(),
              watts));
      csv.append(room ? String.format(Locale.ROOT, ",22.0,%.1f%n", 22 + slow) : "\n");
    }
    return LogReader.read("use.csv", csv.toString().getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void aCheckComesFromASteadyLoadOrFromOrdinaryUse() {
    KeptCheck run = CheckReading.of(log(true, true, 2400), OptionalDouble.empty(), 0.3, BEGIN);
    assertThat(run.from()).isEqualTo(From.RUN);
    assertThat(run.riseKelvin() / run.watts()).isCloseTo(0.4, within(0.004));
    assertThat(run.coolantKelvin()).isCloseTo(24, within(0.5));
    KeptCheck use = CheckReading.of(log(false, false, 3600), OptionalDouble.of(22), 0.3, BEGIN);
    assertThat(use.from()).isEqualTo(From.EVERYDAY);
    assertThat(use.riseKelvin() / use.watts()).isCloseTo(0.4, within(0.008));
    assertThat(use.errorKelvin()).isBetween(0.05, 1.0);
    assertThatThrownBy(
            () -> CheckReading.of(log(false, false, 3600), OptionalDouble.empty(), 0.3, BEGIN))
        .hasMessageContaining("does not tell the room");
    assertThatThrownBy(
            () -> CheckReading.of(log(false, false, 200), OptionalDouble.of(22), 0.3, BEGIN))
        .hasMessageContaining("ordinary use tells too little");
  }

  @Test
  void theDayIsInTheFirstLines() {
    assertThat(CheckReading.day("# 9999-99-99\n2026030410:00,50".getBytes(StandardCharsets.UTF_8)))
        .isEmpty();
    assertThat(
            CheckReading.day("2026-13-40 x\n2026-03-04 10:00,50".getBytes(StandardCharsets.UTF_8)))
        .contains(LocalDate.of(2026, 3, 4));
    assertThat(CheckReading.day("time_s,core\n0,50".getBytes(StandardCharsets.UTF_8))).isEmpty();
  }
}
