package dev.ambershim.core.picture;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.build.Ladder;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture.Pen;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * Two resistance ladders side by side, as the kelvin that each step from die to air takes at one
 * heat: a row a step, the bar before above the bar after.
 */
public final class LadderPicture {
  private static final double NAMES = 112;
  private static final double FIGURES = 64;

  private LadderPicture() {}

  /**
   * A ladder in the picture.
   *
   * @param ladder its resistances
   * @param watts the heat that its kelvin are given for
   * @param name what it is called, such as "before"
   */
  public record Column(Ladder ladder, double watts, String name) {
    private double kelvin(String step) {
      return ladder.steps().stream()
              .filter(s -> s.name().equals(step))
              .mapToDouble(Ladder.Step::kelvinPerWatt)
              .sum()
          * watts;
    }

    private String words(Notation notation) {
      return notation.text(ladder.totalKelvinPerWatt() * watts, Unit.KELVIN) + " " + name;
    }
  }

  /** Draws two ladders. */
  public static Picture of(
      Column before, Column after, Notation notation, double width, double height) {
    Pen pen = new Pen();
    Set<String> names = new LinkedHashSet<>();
    before.ladder().steps().forEach(s -> names.add(s.name()));
    after.ladder().steps().forEach(s -> names.add(s.name()));
    List<String> rows = new ArrayList<>(names);
    // What both share at the end stays at the end, also when the lid's rows come in between.
    rows.remove("cold plate");
    rows.remove("cooler to room");
    rows.add("cold plate");
    rows.add("cooler to room");
    double most = 0;
    for (String name : rows) {
      most = Math.max(most, Math.max(before.kelvin(name), after.kelvin(name)));
    }
    double row = (height - 24) / rows.size();
    double bar = Math.min(11, (row - 8) / 2);
    double scale = (width - NAMES - FIGURES - 8) / Math.max(most, 1e-9);
    for (int i = 0; i < rows.size(); i++) {
      String name = rows.get(i);
      double y = 4 + i * row;
      pen.words(NAMES - 10, y + bar + 4, name, Tone.INK, 12, Anchor.END);
      one(pen, before.kelvin(name), y, bar, scale, Tone.BEFORE, notation);
      one(pen, after.kelvin(name), y + bar + 2, bar, scale, Tone.AFTER, notation);
      pen.line(NAMES, y - 2, NAMES, y + 2 * bar + 4, Tone.QUIET, 1);
    }
    pen.words(
        8,
        height - 5,
        "Kelvin by step: upper bar "
            + at(before, notation)
            + ", lower "
            + at(after, notation)
            + ".",
        Tone.QUIET,
        11,
        Anchor.START);
    String words =
        "Resistance ladder from die to room air: "
            + before.words(notation)
            + ", "
            + after.words(notation)
            + ".";
    return pen.picture(width, height, words);
  }

  private static String at(Column column, Notation notation) {
    return column.name() + ", " + notation.text(column.watts(), Unit.WATT);
  }

  private static void one(
      Pen pen, double kelvin, double y, double bar, double scale, Tone tone, Notation notation) {
    if (Double.isNaN(kelvin) || kelvin == 0) {
      pen.words(NAMES + 6, y + bar - 1, "not there", Tone.QUIET, 11, Anchor.START);
      return;
    }
    pen.box(NAMES, y, Math.max(1, kelvin * scale), bar, tone, "");
    pen.words(
        NAMES + kelvin * scale + 6,
        y + bar - 1,
        notation.text(kelvin, Unit.KELVIN),
        Tone.INK,
        11,
        Anchor.START);
  }
}
