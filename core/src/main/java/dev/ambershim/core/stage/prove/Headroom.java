package dev.ambershim.core.stage.prove;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.runs.clocking.ClockGain;
import dev.ambershim.core.runs.clocking.ClockLadder;
import dev.ambershim.core.runs.clocking.ClockModel;
import dev.ambershim.core.runs.clocking.LadderTerms;
import dev.ambershim.core.runs.clocking.Rung;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * How far a chip clocks before and after the work, and what the work brought: megahertz at the same
 * limit, and kelvin at the same clock. What the rungs themselves show comes first; what a model of
 * heat makes of their temperatures stands beside it and is fitted only when it is asked for.
 */
public final class Headroom {
  private static final String AGAINST_HEAT =
      "The rungs that were too hot do not fit how the others warmed, so temperatures are left out;"
          + " the voltage or the load may have jumped.";

  private final ClockLadder before;
  private final ClockLadder after;
  private final double remountKelvin;
  private final Notation notation;
  private Optional<ClockModel> model;
  private Optional<ClockGain> gain;

  private Headroom(ClockLadder before, ClockLadder after, double remountKelvin, Notation notation) {
    this.before = before;
    this.after = after;
    this.remountKelvin = remountKelvin;
    this.notation = notation;
  }

  /**
   * Sets two ladders side by side; either may be empty.
   *
   * @param remountKelvin standard deviation of a rise between mounts
   */
  public static Headroom of(
      List<Rung> before,
      List<Rung> after,
      LadderTerms terms,
      double remountKelvin,
      Notation notation) {
    double room =
        terms.roomCelsius() != null
            ? terms.roomCelsius()
            : Stream.concat(before.stream(), after.stream())
                .filter(Rung::hasRise)
                .mapToDouble(Rung::roomCelsius)
                .average()
                .orElse(Double.NaN);
    Headroom headroom =
        new Headroom(
            new ClockLadder(before, terms, room),
            new ClockLadder(after, terms, room),
            remountKelvin,
            notation);
    // Where there is a gain it is worked out here, so that to ask for it takes no time.
    headroom.gain();
    return headroom;
  }

  /**
   * A change of clock in a few words.
   *
   * @param more whether it clocks higher after the work
   * @param change how far, such as "at least 150 MHz"
   */
  public record Headline(boolean more, String change) {
    /** Such as "150 MHz more". */
    public String words() {
      return change + (more ? " more" : " less");
    }

    /** Such as "150 MHz more under your limit". */
    public String underLimit() {
      return words() + " under your limit";
    }
  }

  /** The ladder before the work. */
  public ClockLadder before() {
    return before;
  }

  /** The ladder after it. */
  public ClockLadder after() {
    return after;
  }

  /** Whether there is no rung at all. */
  public boolean isEmpty() {
    return before.rungs().isEmpty() && after.rungs().isEmpty();
  }

  /** The gain by rungs and heat together, if both ladders are bounded from both sides. */
  public synchronized Optional<ClockGain> gain() {
    if (gain == null) {
      boolean heat =
          usable().size() == 2 && before.terms().limitCelsius() > before.roomCelsius() + 1;
      gain =
          before.bracketed() && after.bracketed()
              ? Optional.of(
                  ClockGain.of(before, after, heat ? model() : Optional.empty(), remountKelvin))
              : Optional.empty();
    }
    return gain;
  }

  /**
   * What the stage's answer says of it after the kelvin; empty if the rungs do not tell a change.
   */
  public Optional<Headline> headline() {
    if (gain().isPresent()) {
      double more = gain().get().megahertz();
      return gain().get().interval().contains(0)
          ? Optional.empty()
          : Optional.of(new Headline(more > 0, megahertz(Math.abs(more))));
    }
    if (before.bracketed() && after.highestPass().isPresent()) {
      double least = after.highestPass().getAsDouble() - before.lowestBlock().getAsDouble();
      return least > 0
          ? Optional.of(new Headline(true, "at least " + megahertz(least)))
          : Optional.empty();
    }
    if (after.bracketed() && before.highestPass().isPresent()) {
      double least = before.highestPass().getAsDouble() - after.lowestBlock().getAsDouble();
      return least > 0
          ? Optional.of(new Headline(false, "at least " + megahertz(least)))
          : Optional.empty();
    }
    return Optional.empty();
  }

  private String megahertz(double value) {
    return notation.text(value, Unit.MEGAHERTZ);
  }

  /** What the rungs tell, as a finding. */
  public Finding finding() {
    Optional<ClockGain> gain = gain();
    return new Finding(
        "prove.headroom",
        words().sentence(gain, headline()),
        gain.map(ClockGain::megahertz).orElse(Double.NaN),
        Unit.MEGAHERTZ,
        gain.map(ClockGain::interval),
        new Working(
            "The highest clock is the lower of two edges, of heat and of stability; each draw of them"
                + " counts by how well it explains every rung and every temperature",
            inputs(),
            "Gelman et al., Bayesian Data Analysis, 10.4; JCGM 101:2008; how soft a stable edge is and"
                + " when a rung counts: common practice",
            limits()));
  }

  private List<String> limits() {
    List<String> limits = new ArrayList<>();
    limits.add(
        "A rung that passed once may fail tomorrow: tries at one clock count, each of them.");
    limits.add(
        "Temperatures are carried to one room by their rise; the cooler must have run at one"
            + " speed.");
    limits.add("Both ladders must stand under one load.");
    if (heatLeftOut()) {
      limits.add(AGAINST_HEAT);
    }
    return limits;
  }

  /** Whether the rungs speak against the model of their temperatures. */
  private boolean heatLeftOut() {
    return gain().map(ClockGain::heatLeftOut).orElse(false);
  }

  private LadderWords words() {
    return new LadderWords(before, after, notation);
  }

  /** What one should know to judge it, a sentence each. */
  public List<String> reasons() {
    List<String> reasons = words().reasons();
    if (heatLeftOut()) {
      reasons.add(AGAINST_HEAT);
    }
    return reasons;
  }

  private List<Working.Input> inputs() {
    List<Working.Input> inputs = new ArrayList<>();
    inputs.add(new Working.Input("limit", before.terms().limitCelsius(), Unit.CELSIUS));
    inputs.add(new Working.Input("room", before.roomCelsius(), Unit.CELSIUS));
    for (ClockLadder ladder : List.of(before, after)) {
      String side = ladder == before ? " before" : " after";
      inputs.add(
          new Working.Input(
              "highest passed" + side, ladder.highestPass().orElse(Double.NaN), Unit.MEGAHERTZ));
      inputs.add(
          new Working.Input(
              "lowest not passed" + side, ladder.lowestBlock().orElse(Double.NaN), Unit.MEGAHERTZ));
    }
    return inputs;
  }

  /** The same model where the rungs do not speak against it. */
  private Optional<ClockModel> trusted() {
    return heatLeftOut() ? Optional.empty() : model();
  }

  /** The model of heat and clock over the ladders that have temperatures; fitted at first use. */
  private synchronized Optional<ClockModel> model() {
    if (model == null) {
      List<ClockLadder> usable = usable();
      model = usable.isEmpty() ? Optional.empty() : ClockModel.of(usable, remountKelvin);
    }
    return model;
  }

  private List<ClockLadder> usable() {
    return Stream.of(before, after)
        .filter(l -> l.rungs().stream().anyMatch(ClockModel::tells))
        .toList();
  }

  private Optional<ClockModel.Estimate> hottestAt(ClockLadder ladder, double clock) {
    int side = usable().indexOf(ladder);
    return side < 0
        ? Optional.empty()
        : trusted().map(m -> m.celsiusAt(side, clock, Double.NaN, ladder.roomCelsius()));
  }

  /** What to try next, before or after the work; takes a moment when temperatures are known. */
  public NextRung next(boolean afterWork) {
    ClockLadder ladder = afterWork ? after : before;
    return NextRung.of(ladder, clock -> hottestAt(ladder, clock), notation);
  }

  /** The clock at which heat alone would stop a state, MHz; takes a moment. */
  public Optional<Finding> heatLimit(boolean afterWork) {
    ClockLadder ladder = afterWork ? after : before;
    int side = usable().indexOf(ladder);
    double limit = ladder.terms().limitCelsius();
    if (side < 0 || !(limit > ladder.roomCelsius() + 1)) {
      return Optional.empty();
    }
    return trusted()
        .map(
            m -> {
              ClockModel.Estimate at = m.clockAt(side, limit, ladder.roomCelsius());
              return modelled(
                  m,
                  afterWork ? "prove.heatLimitAfter" : "prove.heatLimitBefore",
                  "By heat alone it would reach the limit at "
                      + megahertz(at.value())
                      + " ("
                      + notation.range(at.interval(), Unit.MEGAHERTZ)
                      + ") "
                      + (afterWork ? "after" : "before")
                      + " the work"
                      + (ladder.bracketed() && !ladder.stoppedByHeat()
                          ? ", but heat is not what stopped it."
                          : "."),
                  at,
                  Unit.MEGAHERTZ);
            });
  }

  /** The gain by the model of heat where the rungs bound none; takes a moment. */
  public Optional<Finding> gainWithoutBounds() {
    return gain().isPresent() ? Optional.empty() : gainByHeat();
  }

  /** The gain at the limit by the model of heat alone, MHz; takes a moment. */
  public Optional<Finding> gainByHeat() {
    if (usable().size() < 2 || !(before.terms().limitCelsius() > before.roomCelsius() + 1)) {
      return Optional.empty();
    }
    return trusted()
        .map(
            m -> {
              ClockModel.Estimate gain =
                  m.clockGain(before.terms().limitCelsius(), before.roomCelsius());
              return modelled(
                  m,
                  "prove.headroomByHeat",
                  "By the rungs' temperatures the limit lies "
                      + megahertz(Math.abs(gain.value()))
                      + (gain.value() < 0 ? " lower" : " higher")
                      + " after the work ("
                      + notation.range(gain.interval(), Unit.MEGAHERTZ)
                      + ").",
                  gain,
                  Unit.MEGAHERTZ);
            });
  }

  private Finding modelled(
      ClockModel m, String key, String sentence, ClockModel.Estimate estimate, Unit unit) {
    return new Finding(
        key,
        sentence,
        estimate.value(),
        unit,
        Optional.of(estimate.interval()),
        new Working(
            "rise = A·[(1 − λ)·f·V² + λ·V·2^((T − 60 °C)/D)], A of each side fitted to the rungs"
                + " that passed, with λ, D and the course of voltage from common practice where"
                + " the rungs do not tell them",
            List.of(
                new Working.Input("rungs fitted", m.rungs(), Unit.COUNT),
                new Working.Input("reference clock", m.referenceMegahertz(), Unit.MEGAHERTZ),
                new Working.Input("leakage share there", m.leakageShare() * 100, Unit.PERCENT),
                new Working.Input(
                    "voltage goes as clock to the power", m.voltagePower(), Unit.COUNT),
                new Working.Input("limit", before.terms().limitCelsius(), Unit.CELSIUS),
                new Working.Input("room", before.roomCelsius(), Unit.CELSIUS)),
            "switching power C·V²·f, Weste and Harris, CMOS VLSI Design, chapter 5, from memory; leakage and"
                + " course of voltage: common practice",
            List.of(
                "It knows nothing of stability.",
                "It holds near the rungs, under one load and one speed of the cooler.")));
  }

  /** Hottest core after less before at one clock, K; measured where both passed, else modelled. */
  public Optional<Finding> kelvinAtEqualClock() {
    return EqualClock.of(before, after, remountKelvin, notation).or(this::modelledChange);
  }

  private Optional<Finding> modelledChange() {
    if (usable().size() < 2) {
      return Optional.empty();
    }
    return trusted()
        .map(
            m -> {
              ClockModel.Estimate change = m.changeAt(m.referenceMegahertz(), before.roomCelsius());
              return modelled(
                  m,
                  "prove.equalClock",
                  "No rung stands on both sides, so by the model: at "
                      + megahertz(m.referenceMegahertz())
                      + " "
                      + EqualClock.cooler(change.value(), change.interval(), notation),
                  change,
                  Unit.KELVIN);
            });
  }
}
