package dev.ambershim.core.stage.diagnosis;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackRules;
import dev.ambershim.core.runs.causes.Sign;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * A chip as the person believes it to be built, and what was read on it.
 *
 * @param stack layers, heats at full load, film; its coolant stands for what a reading gives
 * @param loopKelvinPerWatt how far the coolant usually stands over the room for each watt
 * @param readings at least one, in the order in which they were taken
 * @param signs what the person saw, felt and heard
 * @param doubts how far a chip that is as it should be strays from the stack
 */
public record DiagnosisCase(
    StackCase stack,
    OptionalDouble loopKelvinPerWatt,
    List<CaseReading> readings,
    Set<Sign> signs,
    Doubts doubts) {

  /** Wider than sensors read: a case may be worked out, and a bad one runs away. */
  private static final double COLDEST = -60;

  private static final double HOTTEST = 250;
  private static final double MOST_WATTS = 5000;
  private static final int MOST_HEATS = 64;
  private static final int MOST_READINGS = 400;

  /** Copies its lists. */
  public DiagnosisCase {
    readings = List.copyOf(readings);
    signs = Set.copyOf(signs);
  }

  /** The same case with other readings. */
  public DiagnosisCase with(List<CaseReading> other) {
    return new DiagnosisCase(stack, loopKelvinPerWatt, other, signs, doubts);
  }

  /** The same case with other signs. */
  public DiagnosisCase saying(Set<Sign> other) {
    return new DiagnosisCase(stack, loopKelvinPerWatt, readings, other, doubts);
  }

  /**
   * Refuses what cannot be.
   *
   * @throws Problem {@code stack.…} or {@code diagnose.…}, naming the reading and what to do
   */
  public void check() {
    StackRules.check(stack);
    Set<String> names = new HashSet<>();
    for (HeatSource heat : stack.heat()) {
      if (!names.add(heat.name())) {
        throw problem(
            "heats",
            "stack.heat",
            "Two heats are called \"" + heat.name() + "\".",
            "Give each core a name of its own.");
      }
    }
    if (names.isEmpty() || names.size() > MOST_HEATS) {
      throw problem(
          "heats",
          "stack.heat",
          "The stack has " + names.size() + " heats.",
          "Give one for each core, 1 to " + MOST_HEATS + " in all.");
    }
    if (stack.layers().stream().noneMatch(l -> l.crossing())) {
      throw problem(
          "joints",
          "stack.layers",
          "The stack has no joint.",
          "Mark the joints with \"interface\": true.");
    }
    double loop = loopKelvinPerWatt.orElse(0);
    if (!(loop >= 0 && loop < 10)) {
      throw problem(
          "loop",
          "loopKelvinPerWatt",
          "A loop of " + loop + " K/W cannot be.",
          "Give a figure from 0 to 10, such as 0.05, or leave it out.");
    }
    if (readings.isEmpty() || readings.size() > MOST_READINGS) {
      throw problem(
          "readings",
          "readings",
          "There are " + readings.size() + " readings.",
          "Give 1 to " + MOST_READINGS + ".");
    }
    readings.forEach(r -> reading(r, names));
  }

  private void reading(CaseReading r, Set<String> names) {
    String where = "reading \"" + r.name() + "\"";
    if (r.mount() < 1) {
      throw problem("mount", where, "Mount " + r.mount() + " cannot be.", "Count mounts from 1.");
    }
    if (!(Math.abs(r.turnedDegrees()) <= 360)) {
      throw problem(
          "turned",
          where,
          "A cooler turned by " + r.turnedDegrees() + "° cannot be.",
          "Give degrees from -360 to 360, such as 180.");
    }
    if (r.coolantCelsius().isEmpty() && r.roomCelsius().isEmpty()) {
      throw problem(
          "room",
          where,
          "Neither the room nor the coolant is given.",
          "Add roomCelsius, coolantCelsius, or both.");
    }
    if (r.coreCelsius().isEmpty()) {
      throw problem(
          "cores", where, "No core has a temperature.", "Give coreCelsius for one core or more.");
    }
    r.roomCelsius().ifPresent(c -> celsius(where, "the room", c));
    r.coolantCelsius().ifPresent(c -> celsius(where, "the coolant", c));
    r.lidCelsius().ifPresent(c -> celsius(where, "the lid", c));
    double slow = r.slow().map(CaseReading.Slow::kelvinPerWatt).orElse(0.0);
    if (!(slow >= 0 && slow < 10)) {
      throw problem(
          "slow",
          where,
          "A slow part of " + slow + " K/W cannot be.",
          "Give a figure from 0 to 10, or leave it out.");
    }
    r.coreCelsius().forEach((core, c) -> celsius(where, named(core, names, where), c));
    r.watts().forEach((core, w) -> watts(where, named(core, names, where), w));
  }

  private static String named(String core, Set<String> names, String where) {
    if (!names.contains(core)) {
      throw problem(
          "core",
          where,
          "The stack has no heat called \"" + core + "\".",
          "Use the names of stack.heat.");
    }
    return "\"" + core + "\"";
  }

  private static void celsius(String where, String what, double celsius) {
    if (!(celsius >= COLDEST && celsius <= HOTTEST)) {
      throw problem(
          "celsius",
          where,
          celsius + " °C for " + what + " cannot be.",
          "Give °C from -60 to 250.");
    }
  }

  private static void watts(String where, String what, double watts) {
    if (!(watts >= 0 && watts <= MOST_WATTS)) {
      throw problem(
          "watts", where, watts + " W for " + what + " cannot be.", "Give watts from 0 to 5000.");
    }
  }

  private static Problem problem(String key, String where, String what, String remedy) {
    return new Problem("diagnose." + key, Place.field(where), what, remedy);
  }

  /** W of each heat in a reading, in the stack's order. */
  double[] watts(CaseReading reading) {
    Map<String, Double> given = reading.watts();
    return stack.heat().stream()
        .mapToDouble(h -> given.isEmpty() ? h.watts() : given.getOrDefault(h.name(), 0.0))
        .toArray();
  }
}
