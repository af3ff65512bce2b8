package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.physics.build.Detail;
import dev.ambershim.core.physics.build.Ladder;
import dev.ambershim.core.physics.build.Response;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.Team;

/** A weighed situation at its most likely figures after the readings, seen closely. */
public final class CloseUp {
  private CloseUp() {}

  /** The chip as it is now, at the asked load. */
  public static Detail now(Weighing weighing, Team team, SolveWatch watch) {
    Unknowns unknowns = new Unknowns(weighing.question().now());
    double[] z = weighing.calibration().likely();
    return of(weighing, weighing.question().now(), unknowns.now(z), 1, team, watch);
  }

  /** The chip after an option, at the asked load. */
  public static Detail then(Weighing weighing, Option option, Team team, SolveWatch watch) {
    Unknowns unknowns = new Unknowns(weighing.question().now());
    double[] z = weighing.calibration().likely();
    return of(
        weighing, option.situation(), unknowns.then(z, option), option.powerFactor(), team, watch);
  }

  private static Detail of(
      Weighing weighing,
      Situation at,
      double[] logs,
      double powerFactor,
      Team team,
      SolveWatch watch) {
    Question question = weighing.question();
    Unknowns unknowns = new Unknowns(question.now());
    logs[3] += weighing.whatIf().coolerLogarithm();
    double watts = question.heatWatts() * weighing.whatIf().heat() * powerFactor;
    double heat = unknowns.heat(weighing.calibration().likely());
    Detail felt =
        Response.detail(
            at,
            logs,
            watts * heat,
            question.roomCelsius() + weighing.whatIf().roomKelvin(),
            team,
            watch);
    // Figures go by the power reading, as the person knows it.
    Ladder read =
        new Ladder(
            felt.ladder().steps().stream()
                .map(s -> new Ladder.Step(s.name(), s.kelvinPerWatt() * heat))
                .toList());
    return new Detail(felt.map(), read, watts, felt.peakCelsius());
  }
}
