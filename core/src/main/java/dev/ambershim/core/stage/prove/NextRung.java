package dev.ambershim.core.stage.prove;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.runs.clocking.ClockLadder;
import dev.ambershim.core.runs.clocking.ClockModel;
import dev.ambershim.core.runs.clocking.LadderTerms;
import dev.ambershim.core.runs.clocking.Outcome;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The try that tells most next. Up by the usual step while everything passes, unless heat would
 * stop it; then halving the gap between the highest rung that passed and the lowest above it that
 * did not, as any search on a line does; done when the gap is as fine as is worth a try.
 *
 * @param clockMegahertz the clock to try; empty when the climb is done
 * @param hottest what the hottest core would reach there, °C, if the rungs tell
 * @param sentence what to do and why
 */
public record NextRung(
    OptionalDouble clockMegahertz, Optional<ClockModel.Estimate> hottest, String sentence) {
  /** Under this distance to the limit a try is said to be close. */
  private static final double CLOSE_KELVIN = 5;

  private static final double LEAST_MEGAHERTZ = 200;

  private static boolean tooHot(Optional<ClockModel.Estimate> there, LadderTerms terms) {
    return there.isPresent() && there.get().value() > terms.limitCelsius();
  }

  /** What a core reaches at a clock. */
  interface Forecast {
    Optional<ClockModel.Estimate> at(double megahertz);
  }

  static NextRung of(ClockLadder ladder, Forecast forecast, Notation notation) {
    LadderTerms terms = ladder.terms();
    if (ladder.rungs().isEmpty()) {
      return new NextRung(
          OptionalDouble.empty(),
          Optional.empty(),
          "Begin at factory settings: hold your load there, and write down the clock.");
    }
    if (ladder.highestPass().isEmpty()) {
      double down = ladder.rungs().get(0).clockMegahertz() - terms.stepMegahertz();
      // As far as heat asks for, so that no try is wasted on a rung that must be too hot.
      while (down >= LEAST_MEGAHERTZ && tooHot(forecast.at(down), terms)) {
        down -= terms.stepMegahertz();
      }
      if (down < LEAST_MEGAHERTZ) {
        return new NextRung(
            OptionalDouble.empty(),
            Optional.empty(),
            "No clock would stay under your limit. Better cooling comes first.");
      }
      return at(down, forecast, "No rung has passed yet. Go down: try ", ladder, notation);
    }
    double pass = ladder.highestPass().getAsDouble();
    if (ladder.lowestBlock().isEmpty()) {
      return up(ladder, pass, forecast, notation);
    }
    double block = ladder.lowestBlock().getAsDouble();
    double gap = block - pass;
    if (gap < 2 * terms.finestMegahertz()) {
      return new NextRung(
          OptionalDouble.empty(),
          Optional.empty(),
          "The climb is done: "
              + notation.number(pass, Unit.MEGAHERTZ)
              + " passed and "
              + notation.text(block, Unit.MEGAHERTZ)
              + " did not. Run the highest for an hour before you rely on it.");
    }
    double grain =
        gap > 2 * terms.stepMegahertz() ? terms.stepMegahertz() : terms.finestMegahertz();
    double half = pass + Math.max(1, Math.round(gap / 2 / grain)) * grain;
    return at(half, forecast, "Halve the gap: try ", ladder, notation);
  }

  private static NextRung up(
      ClockLadder ladder, double pass, Forecast forecast, Notation notation) {
    LadderTerms terms = ladder.terms();
    double step = terms.stepMegahertz();
    while (step >= terms.finestMegahertz()) {
      Optional<ClockModel.Estimate> there = forecast.at(pass + step);
      if (!tooHot(there, terms)) {
        return at(
            pass + step,
            forecast,
            step < terms.stepMegahertz()
                ? "A whole step would pass your limit. Go up by less: try "
                : "Go up: try ",
            ladder,
            notation);
      }
      step /= 2;
    }
    Optional<ClockModel.Estimate> there = forecast.at(pass + terms.finestMegahertz());
    return new NextRung(
        OptionalDouble.empty(),
        there,
        "Heat stops it here: even "
            + notation.text(pass + terms.finestMegahertz(), Unit.MEGAHERTZ)
            + " would "
            + end(there.orElseThrow(), notation)
            + ". Better cooling or less voltage comes first.");
  }

  private static NextRung at(
      double megahertz, Forecast forecast, String words, ClockLadder ladder, Notation notation) {
    Optional<ClockModel.Estimate> there = forecast.at(megahertz);
    StringBuilder text =
        new StringBuilder(words).append(notation.text(megahertz, Unit.MEGAHERTZ)).append('.');
    if (there.isPresent()) {
      text.append(" The hottest core would ").append(end(there.get(), notation)).append('.');
      double limit = ladder.terms().limitCelsius();
      if (there.get().value() > limit) {
        text.append(" That is above your limit, so stop it in time.");
      } else if (there.get().interval().high() > limit - CLOSE_KELVIN) {
        text.append(" That is close to your limit; watch it.");
      }
    }
    if (ladder.blockers().stream().anyMatch(r -> r.outcome() == Outcome.FAILED)) {
      text.append(
          " More voltage may let a rung pass that failed cool; it wears the chip, so keep to the"
              + " maker's limits.");
    }
    return new NextRung(OptionalDouble.of(megahertz), there, text.toString());
  }

  private static String end(ClockModel.Estimate estimate, Notation notation) {
    if (Double.isInfinite(estimate.value())) {
      return "never settle: heat and leakage drive each other up";
    }
    if (Double.isInfinite(estimate.interval().high())) {
      return "reach " + notation.text(estimate.value(), Unit.CELSIUS) + " or, at worst, run away";
    }
    return "reach "
        + notation.text(estimate.value(), Unit.CELSIUS)
        + " ("
        + notation.range(estimate.interval(), Unit.CELSIUS)
        + ")";
  }
}
