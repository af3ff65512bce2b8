package dev.ambershim.core.stage.measure;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.physics.fit.Chain;
import dev.ambershim.core.physics.fit.Top;
import dev.ambershim.core.physics.fit.TopKind;
import dev.ambershim.core.stage.measure.FitAnswer.Proud;
import dev.ambershim.core.stage.measure.FitAnswer.Row;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What a fit says in words: what touches first, how sure that is, and what to do about it. */
public final class FitWords {
  private static final double SURE = 0.95;

  /** A die this far over its shim is right, by common practice, mm. */
  public static final double RIGHT_PROUD = 0.05;

  private static final double LITTLE_PROUD = 0.02;
  private static final double MUCH_PROUD = 0.12;

  private FitWords() {}

  /** The answer of Measure for a bare die. */
  public static Finding first(FitAnswer fit, Notation notation) {
    if (fit.rest().isEmpty() || !fit.hasDie()) {
      String what =
          !fit.hasDie()
              ? "Cannot tell yet what touches first: no die is read."
              : "Cannot tell yet what touches first. "
                  + fit.problem().map(p -> p.what() + " " + p.remedy()).orElse("");
      return new Finding(
          "measure.first", what, Double.NaN, Unit.COUNT, Optional.empty(), working(fit));
    }
    double chance = fit.dieFirst();
    String sure = " (" + percent(chance, notation) + " by the readings)";
    Proud closest = fit.prouds().isEmpty() ? null : fit.prouds().get(0);
    String sentence;
    if (closest == null) {
      sentence = "Only dies are read, so the die touches first. Read what stands around it.";
    } else if (chance > SURE) {
      sentence =
          "The die touches first"
              + sure
              + ": it stands "
              + margin(closest, notation)
              + " proud of the "
              + closest.other()
              + ", which comes next.";
    } else if (chance < 1 - SURE) {
      Row first = highest(fit);
      Proud over = proud(fit, first.top().name());
      sentence =
          "The "
              + first.top().name()
              + " touches before the die: the "
              + over.die()
              + " stands "
              + margin(over, notation)
              + " shy of it"
              + (fit.dieCarries() < 0.005
                  ? ", and carries nothing. "
                  : ", and carries with a chance of only "
                      + percent(fit.dieCarries(), notation)
                      + ". ")
              + remedy(first.top(), over, notation);
    } else {
      sentence =
          "Cannot tell from these readings: the die touches first"
              + sure
              + ", and the "
              + closest.other()
              + " stands within reach ("
              + signed(closest.over().drawn().interval(), notation)
              + "). "
              + again(closest);
    }
    return new Finding(
        "measure.first", sentence, chance, Unit.COUNT, Optional.empty(), working(fit));
  }

  private static String percent(double chance, Notation notation) {
    // Draws tell no chance closer to certain than this.
    if (chance > 0.999) {
      return "over " + notation.fixed(99.9, 1) + " %";
    }
    return chance < 0.001
        ? "under " + notation.fixed(0.1, 1) + " %"
        : notation.fixed(100 * chance, 1) + " %";
  }

  private static Row highest(FitAnswer fit) {
    Row found = null;
    for (Row row : fit.rows()) {
      if (found == null || row.height().nominal() > found.height().nominal()) {
        found = row;
      }
    }
    return found;
  }

  private static Proud proud(FitAnswer fit, String other) {
    return fit.prouds().stream().filter(p -> p.other().equals(other)).findFirst().orElse(null);
  }

  private static String margin(Proud proud, Notation notation) {
    Interval drawn = proud.over().drawn().interval();
    double value = proud.over().nominal() * 1000;
    boolean over = value >= 0;
    double low = (over ? drawn.low() : -drawn.high()) * 1000;
    double high = (over ? drawn.high() : -drawn.low()) * 1000;
    return notation.text(Math.abs(value), Unit.MICROMETRE)
        + " ("
        + notation.range(new Interval(low, high, 0.95), Unit.MICROMETRE)
        + ")";
  }

  private static String signed(Interval drawn, Notation notation) {
    return "the die "
        + notation.number(drawn.low() * 1000, Unit.MICROMETRE)
        + " to "
        + notation.text(drawn.high() * 1000, Unit.MICROMETRE)
        + " over it";
  }

  private static String remedy(Top top, Proud over, Notation notation) {
    double off = (RIGHT_PROUD - over.over().nominal()) * 1000;
    return switch (top.kind()) {
      case SHIM, FRAME ->
          "Take "
              + notation.text(off, Unit.MICROMETRE)
              + " off it, so that the die stands about "
              + notation.text(RIGHT_PROUD * 1000, Unit.MICROMETRE)
              + " proud, and read it again.";
      case PART ->
          "The plate would bear on it. Keep the lid, or have a plate with a step over the die.";
      case SOCKET, BRACKET ->
          "A frame, or a plate with a step, keeps the cooler clear of it; do not press.";
      case LID -> "The lid is on: this is not a bare die yet.";
      default -> "It must go, or get lower.";
    };
  }

  private static String again(Proud closest) {
    Chain.Doubt doubt = closest.over().mostDoubted();
    return doubt == null
        ? ""
        : "Read the "
            + doubt.source().name()
            + " again: it makes "
            + Math.round(100 * doubt.share())
            + " % of the uncertainty.";
  }

  /** What to know beside the answer, a sentence each. */
  public static List<String> notes(FitAnswer fit, Notation notation) {
    List<String> notes = new ArrayList<>();
    for (Proud p : fit.prouds()) {
      boolean said = fit.dieFirst() < 1 - SURE && p.over().nominal() < 0;
      if (!said && (p.kind() == TopKind.SHIM || p.kind() == TopKind.FRAME)) {
        double over = p.over().nominal();
        notes.add(
            "The die stands "
                + notation.text(Math.abs(over) * 1000, Unit.MICROMETRE)
                + (over < 0 ? " shy" : " proud")
                + " of the "
                + p.other()
                + (over < LITTLE_PROUD
                    ? ": too little; about 50 µm is right by common practice."
                    : over > MUCH_PROUD
                        ? ": so much that it holds the plate level no more; about 50 µm is right"
                            + " by common practice."
                        : ", which is right by common practice (about 50 µm)."));
      }
    }
    fit.rest()
        .ifPresent(
            rest ->
                notes.add(
                    "Pressed there, the plate rests on the "
                        + String.join(", the ", rest.touching())
                        + ", tilted by "
                        + notation.fixed(rest.tiltDegrees(), 3)
                        + "°"
                        + (rest.rocking()
                            ? "; the load stands right over the edge of its feet, so it can rock"
                            : "")
                        + "."));
    if (!fit.prouds().isEmpty() && fit.dieFirst() >= 1 - SURE) {
      String more = again(fit.prouds().get(0));
      if (!more.isEmpty() && fit.dieFirst() > SURE) {
        notes.add(
            "To be surer still: "
                + more.substring(0, 1).toLowerCase(Locale.ROOT)
                + more.substring(1));
      }
    }
    if (!fit.unread().isEmpty()) {
      notes.add("Not read yet: " + String.join(", ", fit.unread()) + ".");
    }
    if (!fit.outside().isEmpty()) {
      notes.add("The plate does not reach: " + String.join(", ", fit.outside()) + ".");
    }
    return notes;
  }

  private static Working working(FitAnswer fit) {
    List<Working.Input> inputs = new ArrayList<>();
    for (Row row : fit.rows()) {
      inputs.add(
          new Working.Input(
              row.top().name() + " over the substrate", row.height().nominal(), Unit.MILLIMETRE));
      inputs.add(
          new Working.Input(
              "its standard uncertainty", row.height().standardMillimetres(), Unit.MILLIMETRE));
    }
    for (Proud p : fit.prouds()) {
      inputs.add(
          new Working.Input(
              "die over " + p.other() + ", worst case", p.over().worst().low(), Unit.MILLIMETRE));
      inputs.add(
          new Working.Input(
              "by root sum of squares, least", p.over().rootSumSquare().low(), Unit.MILLIMETRE));
    }
    return new Working(
        "the plate comes down level and meets the highest top; pressed at one point it rests on the"
            + " three tops whose triangle holds that point and whose plane clears all others; "
            + fit.chances().map(c -> c.draws() + " draws").orElse("draws")
            + " of every reading's error",
        inputs,
        "upper hull by linear programme; JCGM 100 and 101:2008; limits of instruments and 0.05 mm"
            + " over the shim are common practice",
        List.of(
            "Nothing bends: plate, board and chip are taken as stiff.",
            "The plate is taken as flat; its bow stands under its own face.",
            "Tops are level rectangles or points."));
  }
}
