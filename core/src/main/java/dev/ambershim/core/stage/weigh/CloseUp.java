package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.physics.build.Detail;
import dev.ambershim.core.physics.build.Ladder;
import dev.ambershim.core.physics.build.Look;
import dev.ambershim.core.physics.build.Response;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.conduction.SolveWatch;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** A weighed situation at its most likely figures after the readings, seen closely. */
public final class CloseUp {
  /** What a core's sensor shows over the core: no joint takes it away. */
  private static final String HOT_PLACE = "hot place in a core";

  private final Question question;
  private final WhatIf whatIf;
  private final double[] likely;
  private final Unknowns unknowns;
  private final Map<Situation, Look> looks;
  private final SolveWatch watch;

  CloseUp(Question question, WhatIf whatIf, Calibration calibration, SolveWatch watch) {
    this(question, whatIf, calibration.likely(), new ConcurrentHashMap<>(), watch);
  }

  private CloseUp(
      Question question,
      WhatIf whatIf,
      double[] likely,
      Map<Situation, Look> looks,
      SolveWatch watch) {
    this.question = question;
    this.whatIf = whatIf;
    this.likely = likely;
    this.unknowns = new Unknowns(question.now());
    this.looks = looks;
    this.watch = watch;
  }

  /** A look at what was weighed. */
  public static CloseUp of(Weighing weighing, SolveWatch watch) {
    return new CloseUp(weighing.question(), weighing.whatIf(), weighing.calibration(), watch);
  }

  /** The same chip under another load; readings tell the same of it. */
  public CloseUp under(WhatIf load) {
    return new CloseUp(question, load, likely, looks, watch);
  }

  /** The chip as it is, at the asked load. */
  public Detail now() {
    return at(question.now(), unknowns.now(likely), 1);
  }

  /** The chip after an option, at the asked load. */
  public Detail then(Option option) {
    return at(option.situation(), unknowns.after(option).logs(likely), option.powerFactor());
  }

  private Detail at(Situation situation, double[] logs, double powerFactor) {
    double[] fanned = Draws.fanned(logs.clone(), whatIf.coolerLogarithm());
    double watts = question.heatWatts() * whatIf.heat() * powerFactor;
    double heat = unknowns.heat(likely);
    double room = question.roomCelsius() + whatIf.roomKelvin();
    double rise = watts * heat * Response.roughKelvinPerWatt(situation, fanned);
    Unknowns.warmed(situation, fanned, rise, room);
    Detail felt =
        looks
            .computeIfAbsent(situation, s -> new Look(s, watch))
            .of(fanned, watts * heat, room, watch);
    // Figures go by the power reading, as the person knows it.
    List<Ladder.Step> steps = new ArrayList<>();
    steps.add(new Ladder.Step(HOT_PLACE, unknowns.hotPlaceKelvinPerWatt(likely) * heat));
    felt.ladder()
        .steps()
        .forEach(s -> steps.add(new Ladder.Step(s.name(), s.kelvinPerWatt() * heat)));
    Ladder read = new Ladder(steps);
    return new Detail(felt.map(), read, watts, felt.peakCelsius(), felt.section());
  }
}
