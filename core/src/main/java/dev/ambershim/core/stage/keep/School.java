package dev.ambershim.core.stage.keep;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Sentence;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.plan.Odds;
import dev.ambershim.core.plan.Terms;
import dev.ambershim.core.runs.drift.Crossing;
import dev.ambershim.core.runs.drift.Line;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * One way to decide when a joint is renewed, and what it costs and gains in five years.
 *
 * @param name the way
 * @param times how often the joint is renewed
 * @param hours at the bench
 * @param coins to be bought
 * @param riskPercent of losing the chip
 * @param kelvin how much cooler it runs in the mean than if nobody ever opens it
 */
public record School(
    String name, int times, double hours, double coins, double riskPercent, double kelvin) {
  private static final double YEARS = 5;

  /** Opening, cleaning, coating, closing and proving: common practice. */
  private static final double LIDDED_HOURS = 3;

  private static final double BARE_HOURS = 1.5;
  private static final double OUTER_HOURS = 0.75;

  /** What renewing the joint once takes. */
  private record Renewal(double hours, double coins, double riskPercent) {}

  /** By the calendar, by drift, and never unless it shows. */
  static List<School> of(Job job, Line ahead, LocalDate last, Optional<Crossing> reopen) {
    Renewal once = once(job);
    double perYear = Math.max(0, ahead.perYear());
    List<School> schools = new ArrayList<>();
    schools.add(every("every half year", 0.5, once, perYear));
    schools.add(every("every year", 1, once, perYear));
    schools.add(every("every two years", 2, once, perYear));
    schools.add(
        reopen
            .map(c -> (c.date().toEpochDay() - last.toEpochDay()) / 365.25)
            .filter(years -> years <= YEARS)
            .map(years -> every("when the limit comes", Math.max(0.25, years), once, perYear))
            .orElse(new School("when the limit comes", 0, 0, 0, 0, 0)));
    schools.add(new School("never, unless it shows", 0, 0, 0, 0, 0));
    return schools;
  }

  private static School every(String name, double years, Renewal once, double perYear) {
    int times = (int) Math.ceil(YEARS / years - 1e-9) - 1;
    double lost = 1 - Math.pow(1 - once.riskPercent / 100, times);
    return new School(
        name,
        times,
        times * once.hours,
        times * once.coins,
        100 * lost,
        times == 0 ? 0 : perYear * (YEARS - years) / 2);
  }

  private static Renewal once(Job job) {
    Terms terms = job.terms();
    Odds odds = terms.odds();
    Build build = job.after();
    boolean metalInside = build.lidOn() && build.inner().filling() == Filling.LIQUID_METAL;
    boolean metalOutside = build.outer().filling() == Filling.LIQUID_METAL;
    double metal = terms.guard() ? odds.metalGuarded() : odds.metalBare();
    double coins = metalInside || metalOutside ? terms.metalCoins() : terms.pasteCoins();
    if (!build.lidOn()) {
      return new Renewal(
          BARE_HOURS,
          coins,
          (metalOutside ? metal : 0) + (terms.frame() ? odds.mountFrame() : odds.mountBare()));
    }
    return metalInside
        ? new Renewal(
            LIDDED_HOURS,
            coins + terms.sundryCoins(),
            metal + (terms.blade() ? odds.openBlade() : odds.openTool()))
        : new Renewal(OUTER_HOURS, coins, metalOutside ? metal : 0);
  }

  /** It in a sentence. */
  String sentence(Notation notation) {
    String begin = Sentence.begin(name) + ": ";
    if (times == 0) {
      return begin + "no opening in five years.";
    }
    return begin
        + (times == 1 ? "once" : times == 2 ? "twice" : times + " times")
        + " in five years, "
        + notation.text(hours, Unit.HOUR)
        + ", "
        + notation.text(coins, Unit.COIN)
        + ", "
        + notation.text(riskPercent, Unit.PERCENT)
        + " risk of ruining the chip, for "
        + notation.text(kelvin, Unit.KELVIN)
        + " less in the mean.";
  }
}
