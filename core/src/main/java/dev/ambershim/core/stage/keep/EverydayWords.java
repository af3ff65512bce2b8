package dev.ambershim.core.stage.keep;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.runs.everyday.Everyday;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What logs of ordinary use tell, in words. */
public final class EverydayWords {
  private EverydayWords() {}

  /** The resistance, or that there is none. */
  public static Finding finding(Everyday told, Notation notation) {
    String sentence =
        Double.isNaN(told.resistance())
            ? "These logs tell no resistance."
            : (told.usable() ? "The resistance" : "Not to be relied on: the resistance")
                + " from the cores to the room is "
                + notation.text(told.resistance(), Unit.KELVIN_PER_WATT)
                + " ("
                + notation.range(told.interval(), Unit.KELVIN_PER_WATT)
                + ").";
    return new Finding(
        "keep.everyday",
        sentence,
        told.resistance(),
        Unit.KELVIN_PER_WATT,
        Double.isNaN(told.resistance()) ? Optional.empty() : Optional.of(told.interval()),
        new Working(
            "rise = sum over parts of resistance × power as the part sees it, each part lagging by"
                + " its own time; the lags are sought, what they leave open is averaged; 95 %"
                + " interval",
            inputs(told),
            "Ljung 1999, System Identification, 4 and 7; MacKay 2003, 27 and 29",
            List.of(
                "A fan or a pump that changes its speed changes the resistance, too.",
                "Offsets of the sensors that stay are not in the interval.")));
  }

  private static List<Working.Input> inputs(Everyday told) {
    List<Working.Input> inputs = new ArrayList<>();
    inputs.add(new Working.Input("log that counts", told.minutes(), Unit.MINUTE));
    inputs.add(new Working.Input("mean power", told.meanWatts(), Unit.WATT));
    inputs.add(new Working.Input("the power moved by", told.movedWatts(), Unit.WATT));
    told.quick()
        .ifPresent(
            q ->
                inputs.add(
                    new Working.Input(
                        "of it within " + (int) Everyday.QUICK_SECONDS + " s",
                        q.resistance(),
                        Unit.KELVIN_PER_WATT)));
    return inputs;
  }

  /** Why it can be used, or why not. */
  public static String why(Everyday told, Notation notation) {
    String moved = notation.text(told.movedWatts(), Unit.WATT);
    return switch (told.use()) {
          case USABLE ->
              "The power moved by "
                  + moved
                  + " over "
                  + Notation.minutes(told.minutes())
                  + ", which tells the resistance to "
                  + notation.text(share(told), Unit.PERCENT)
                  + ".";
          case TOO_SHORT ->
              Notation.minutes(told.minutes()) + " of log are too few. Log half an hour or more.";
          case MOVED_TOO_LITTLE ->
              "The power moved by only "
                  + moved
                  + ". Log while you work and rest by turns; a steady load is judged as a run.";
          case TOO_WIDE ->
              Double.isNaN(told.resistance())
                  ? "The cores stand no higher than the room. Check the room and the columns."
                  : "The log leaves the resistance open by "
                      + notation.text(share(told), Unit.PERCENT)
                      + ". Log for longer, with more change of load.";
        }
        + room(told);
  }

  private static double share(Everyday told) {
    return 50 * told.interval().width() / told.resistance();
  }

  private static String room(Everyday told) {
    return told.room() == Everyday.RoomKnown.GUESSED
        ? " The room is not known, which costs certainty; give it."
        : "";
  }
}
