package dev.ambershim.core.stage.measure;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.physics.fit.Chain;
import dev.ambershim.core.physics.fit.Mount;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How much lower the cooler must come once the lid is off, and what makes up for it: travel of its
 * bracket, washers under the springs, lower standoffs, thread engagement.
 *
 * @param drop lid top less what the plate will rest on, mm
 * @param finding the answer
 * @param notes what follows for screws, springs and thread, a sentence each
 */
public record CoolerDrop(Chain drop, Finding finding, List<String> notes) {
  /** Steel takes a full load on one diameter of thread, softer metals on one and a half. */
  private static final double STEEL = 1.0;

  private static final double SOFT = 1.5;

  /** Copies its list. */
  public CoolerDrop {
    notes = List.copyOf(notes);
  }

  static CoolerDrop of(Chain drop, Mount mount, Notation notation) {
    Chain.Drawn draws = drop.drawn();
    Interval drawn = draws.interval();
    List<String> notes = new ArrayList<>();
    String sentence =
        "Without the lid the cooler sits "
            + hundredths(drop.nominal(), notation)
            + " lower ("
            + notation.fixed(notation.shown(drawn.low(), Unit.MILLIMETRE), 2)
            + " to "
            + notation.fixed(notation.shown(drawn.high(), Unit.MILLIMETRE), 2)
            + ")";
    if (mount.travelMillimetres() == null) {
      sentence += "; whether its bracket comes down that far is not measured.";
      notes.add(
          "Measure how far the bracket can still come down from where it sits on the lid, with a"
              + " depth rod beside a standoff.");
    } else {
      double missing = drop.nominal() - mount.travelMillimetres();
      double reaches = 1 - draws.above(mount.travelMillimetres());
      sentence +=
          reaches > 0.95
              ? "; its bracket can come down that far."
              : reaches < 0.05
                  ? "; its bracket stops "
                      + hundredths(missing, notation)
                      + " too high. Take that much off the standoffs, or lower ones."
                  : "; whether its bracket comes down that far, these readings cannot tell.";
    }
    springs(drop, mount, notation, notes);
    thread(drop, mount, notation, notes);
    List<Working.Input> inputs = new ArrayList<>();
    drop.links()
        .forEach(
            l ->
                inputs.add(
                    new Working.Input(
                        l.source().name() + ", standard uncertainty",
                        l.source().standardMillimetres(),
                        Unit.MILLIMETRE)));
    Interval worst = drop.worst();
    inputs.add(new Working.Input("worst case, least", worst.low(), Unit.MILLIMETRE));
    inputs.add(new Working.Input("worst case, most", worst.high(), Unit.MILLIMETRE));
    return new CoolerDrop(
        drop,
        new Finding(
            "measure.drop",
            sentence,
            drop.nominal(),
            Unit.MILLIMETRE,
            Optional.of(drawn),
            new Working(
                "drop = lid top over the substrate − what the plate rests on, by the budget of both",
                inputs,
                "JCGM 100 and 101:2008; Hooke's law for the springs; thread lengths are common"
                    + " practice",
                List.of("Both joints are taken as equally thick.", "Nothing bends."))),
        notes);
  }

  private static String hundredths(double millimetres, Notation notation) {
    return notation.fixed(notation.shown(millimetres, Unit.MILLIMETRE), 2)
        + " "
        + notation.symbol(Unit.MILLIMETRE);
  }

  private static void springs(Chain drop, Mount mount, Notation notation, List<String> notes) {
    if (mount.squeezeMillimetres() == null) {
      return;
    }
    double left = mount.squeezeMillimetres() - drop.nominal();
    String washers =
        " A washer of "
            + hundredths(drop.nominal(), notation)
            + " under each spring brings the force back.";
    if (left <= 0) {
      notes.add("The springs would hang loose: nothing would press." + washers);
      return;
    }
    StringBuilder words = new StringBuilder();
    words.append("Springs keep ").append(Math.round(100 * left / mount.squeezeMillimetres()));
    words.append(" % of their force");
    if (mount.springNewtonsPerMillimetre() != null && mount.screws() != null) {
      double rate = mount.springNewtonsPerMillimetre() * mount.screws();
      words
          .append(", ")
          .append(Math.round(rate * left))
          .append(" N of ")
          .append(Math.round(rate * mount.squeezeMillimetres()))
          .append(" N");
    }
    notes.add(words.append(".").append(washers).toString());
  }

  private static void thread(Chain drop, Mount mount, Notation notation, List<String> notes) {
    if (mount.threadMillimetres() == null || mount.engagedMillimetres() == null) {
      return;
    }
    double least = mount.threadMillimetres() * (mount.softThread() ? SOFT : STEEL);
    double washer = mount.engagedMillimetres();
    double deeper = washer + drop.nominal();
    notes.add(
        "Thread engaged: "
            + notation.text(deeper, Unit.MILLIMETRE)
            + " when the screws follow down, "
            + notation.text(washer, Unit.MILLIMETRE)
            + " with such a washer; at least "
            + notation.text(least, Unit.MILLIMETRE)
            + " is wanted"
            + (washer >= least
                ? "."
                : ", so take screws longer by "
                    + notation.text(least - washer, Unit.MILLIMETRE)
                    + ".")
            + " See that the longer way does not let a screw bottom out.");
  }
}
