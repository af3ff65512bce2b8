package dev.ambershim.core.physics.fit;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Sentence;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.physics.dosing.LidSeat;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a lid leaves over one die: cavity depth + glue line − die height. A liquid-metal film that
 * is brushed on both faces is some 20 to 50 µm each, so it bridges up to about 100 µm; up to about
 * 150 µm a drop more fills it, at a cost in kelvin and with metal that can be pumped out; beyond
 * that it should be something else, or the rim lapped down. These limits are common practice.
 *
 * @param die the die
 * @param gap the gap, mm
 * @param interval where it lies, by draws, mm
 * @param kind whether a film can bridge it
 */
public record InnerGap(String die, Chain gap, Interval interval, Kind kind) {
  private static final double BRUSHED = LidSeat.SURE_MICROMETRES / 1000;
  private static final double FILLED = LidSeat.DEEPEST_MICROMETRES / 1000;
  private static final double SURE = 0.9;

  /** What can be done with a gap. */
  public enum Kind {
    RESTS("the lid rests on the die, so the rim hangs and the glue must fill the rest"),
    BRUSHED("a film brushed on both faces bridges it"),
    FILLED("a film bridges it only with a drop more than brushing leaves"),
    TOO_WIDE("too wide for a liquid-metal film"),
    CANNOT_TELL("the readings cannot tell whether a film bridges it");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    /** In words. */
    public String words() {
      return words;
    }
  }

  public static InnerGap of(String die, Chain gap) {
    Chain.Drawn drawn = gap.drawn();
    double rests = 1 - drawn.above(0);
    double brushed = 1 - drawn.above(BRUSHED);
    double filled = 1 - drawn.above(FILLED);
    Kind kind =
        rests > SURE
            ? Kind.RESTS
            : brushed > SURE
                ? Kind.BRUSHED
                : brushed < 1 - SURE && filled > SURE
                    ? Kind.FILLED
                    : filled < 1 - SURE ? Kind.TOO_WIDE : Kind.CANNOT_TELL;
    return new InnerGap(die, gap, drawn.interval(), kind);
  }

  /** The gap in a sentence, with its budget. */
  public Finding finding(String lid, Notation notation) {
    double nominal = gap.nominal() * 1000;
    Interval micrometres = new Interval(interval.low() * 1000, interval.high() * 1000, 0.95);
    String sentence =
        nominal < 0
            ? "Over "
                + die
                + " "
                + lid
                + " has no room: the rim would hang "
                + notation.text(-nominal, Unit.MICROMETRE)
                + " off the substrate"
            : Sentence.begin(lid)
                + " leaves "
                + notation.text(nominal, Unit.MICROMETRE)
                + " over "
                + die;
    sentence += " (" + notation.range(micrometres, Unit.MICROMETRE) + "): " + kind.words() + ".";
    List<Working.Input> inputs = new ArrayList<>();
    gap.links()
        .forEach(
            l ->
                inputs.add(
                    new Working.Input(
                        l.source().name() + ", standard uncertainty",
                        l.source().standardMillimetres() * 1000,
                        Unit.MICROMETRE)));
    Interval worst = gap.worst();
    inputs.add(new Working.Input("worst case, least", worst.low() * 1000, Unit.MICROMETRE));
    inputs.add(new Working.Input("worst case, most", worst.high() * 1000, Unit.MICROMETRE));
    return new Finding(
        "measure.innerGap",
        sentence,
        nominal,
        Unit.MICROMETRE,
        Optional.of(micrometres),
        new Working(
            "gap = depth of the hollow + glue line − die height; 20 000 draws of every reading's"
                + " error",
            inputs,
            "JCGM 100 and 101:2008; what a film bridges is common practice",
            List.of(
                "Lid and substrate are taken as flat; a bowed lid adds its bow.",
                "The glue line is yours to choose; old sealant left on adds to it.")));
  }
}
