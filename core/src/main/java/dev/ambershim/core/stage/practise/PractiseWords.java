package dev.ambershim.core.stage.practise;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.stage.diagnosis.CaseReading;
import dev.ambershim.core.stage.diagnosis.Cause;
import dev.ambershim.core.stage.diagnosis.Ranking;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;

/** The sentences of practice. */
public final class PractiseWords {
  private PractiseWords() {}

  /** How a round ended. */
  public static String verdict(FaultRound.Verdict v) {
    return (v.right() ? "Found: " : "It was something else: ") + v.truth().words() + ".";
  }

  /** The scores of a round. */
  public static List<String> reasons(FaultRound.Verdict v, Notation notation) {
    return List.of(
        "Your score is "
            + notation.fixed(v.brier(), 2)
            + ", where 0 is sure and right, and 1 is sure and wrong.",
        "With the same evidence the program would have said "
            + v.program().words()
            + ", "
            + Math.round(100 * v.programProbability())
            + " %, which scores "
            + notation.fixed(v.programBrier(), 2)
            + ".");
  }

  /** What the program would do now, and why; it names no cause, so that the round stays yours. */
  public static String advice(FaultRound round, Ranking ranking) {
    Cause first = ranking.causes().get(0);
    if (round.mostTelling(ranking).isEmpty()) {
      return "Advice: no further test would tell much. Name the cause.";
    }
    return "Advice: "
        + round.mostTelling(ranking).orElseThrow().doing()
        + " tells most now. So far the likeliest cause holds "
        + Math.round(100 * first.probability())
        + " %, the next "
        + Math.round(100 * ranking.causes().get(1).probability())
        + " %.";
  }

  /** A reading in a line. */
  public static String reading(CaseReading r, Notation notation) {
    StringBuilder out = new StringBuilder(r.name()).append(": cores ");
    new TreeMap<>(r.coreCelsius())
        .forEach((core, celsius) -> out.append(notation.whole(celsius, Unit.CELSIUS)).append(' '));
    out.append(notation.symbol(Unit.CELSIUS));
    r.coolantCelsius()
        .ifPresent(c -> out.append(", coolant ").append(notation.text(c, Unit.CELSIUS)));
    r.roomCelsius().ifPresent(c -> out.append(", room ").append(notation.text(c, Unit.CELSIUS)));
    double watts = r.watts().values().stream().mapToDouble(w -> w).sum();
    return out.append(", ").append(notation.text(watts, Unit.WATT)).append('.').toString();
  }

  /** What a person has practised so far; empty for nothing. */
  public static List<String> record(PracticeRecord record, Notation notation) {
    List<String> lines = new ArrayList<>();
    if (!record.faults().isEmpty()) {
      lines.add(
          "Your score over "
              + record.faults().size()
              + (record.faults().size() == 1 ? " round" : " rounds")
              + " is "
              + notation.fixed(record.brier(), 2)
              + "; the program's is "
              + notation.fixed(record.programBrier(), 2)
              + ".");
      StringBuilder found = new StringBuilder("Found so far: ");
      record
          .byCause()
          .forEach(
              (cause, count) ->
                  found
                      .append(cause.words())
                      .append(' ')
                      .append(count[0])
                      .append(" of ")
                      .append(count[1])
                      .append("; "));
      lines.add(found.substring(0, found.length() - 2) + ".");
    }
    if (record.drops() > 0) {
      lines.add("Drops judged rightly: " + record.dropsRight() + " of " + record.drops() + ".");
    }
    if (record.steps() > 0) {
      lines.add("Next steps named rightly: " + record.stepsRight() + " of " + record.steps() + ".");
    }
    return lines;
  }

  /** What a drop was. */
  public static String drop(DropRound round, DropRound.Guess guess, Notation notation) {
    boolean right = guess == round.truth();
    return (right ? "Right" : "No")
        + ": this drop is "
        + round.truth().words()
        + ". It holds "
        + notation.text(round.cubicMillimetres(), Unit.CUBIC_MILLIMETRE)
        + "; this face takes "
        + notation.number(round.dose().leastCubicMillimetres(), Unit.CUBIC_MILLIMETRE)
        + round
            .dose()
            .mostCubicMillimetres()
            .map(m -> " to " + notation.text(m, Unit.CUBIC_MILLIMETRE))
            .orElse(" " + notation.symbol(Unit.CUBIC_MILLIMETRE) + " or more")
        + ".";
  }

  /** What the next step was. */
  public static String step(StepRound round, String picked) {
    boolean right = picked.equals(round.next().id());
    return (right ? "Right. " : "No: next is \"" + round.next().title() + "\". ")
        + round.next().reason();
  }
}
