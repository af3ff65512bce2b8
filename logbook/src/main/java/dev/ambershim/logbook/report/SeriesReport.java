package dev.ambershim.logbook.report;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.runs.series.Judged;
import dev.ambershim.core.runs.series.Mount;
import dev.ambershim.core.stage.Drawing;
import dev.ambershim.core.stage.series.SeriesAnswer;
import java.util.ArrayList;
import java.util.List;

/** A series as a report: the answer, its pictures, every pair, every mount, the working. */
public final class SeriesReport {
  private static final double WIDTH = 720;

  private SeriesReport() {}

  /** The report of a series. */
  public static Report of(SeriesAnswer answer, Notation notation, String title) {
    List<Block> blocks = new ArrayList<>();
    blocks.add(new Block.Answer(answer.sentence()));
    blocks.add(new Block.Points(answer.reasons()));
    for (Drawing drawing : answer.pictures(notation)) {
      blocks.add(new Block.Figure(drawing.at(WIDTH), drawing.caption() + "."));
    }
    if (!answer.notes().isEmpty()) {
      blocks.add(new Block.Heading("To be known"));
      blocks.add(new Block.Points(answer.notes()));
    }
    blocks.add(new Block.Heading("Every pair"));
    blocks.add(pairs(answer.judged(), notation));
    blocks.add(new Block.Heading("Every mount"));
    blocks.add(mounts(answer.judged(), notation));
    blocks.add(new Block.Heading("How it was worked out"));
    Report.addWorking(blocks, answer.told(), notation);
    return new Report("Which is best: " + title, blocks);
  }

  /**
   * A card for the bench: every mount with room for its figures.
   *
   * @param notes what to watch
   */
  public static Report card(String title, List<List<String>> blocks, List<String> notes) {
    List<Block> all = new ArrayList<>();
    all.add(new Block.Answer(title));
    all.add(new Block.Points(notes));
    int number = 0;
    for (int b = 0; b < blocks.size(); b++) {
      all.add(new Block.Heading("Block " + (b + 1)));
      for (String candidate : blocks.get(b)) {
        number++;
        all.add(
            new Block.Check(
                String.valueOf(number),
                candidate,
                List.of("cores ________   room ________   heat ________   note ________________")));
      }
    }
    return new Report(title, all);
  }

  private static Block pairs(Judged judged, Notation notation) {
    List<List<String>> rows = new ArrayList<>();
    rows.add(List.of("First", "Second", "First less second", "95 % for all together", "Differ"));
    for (Judged.Pair p : judged.pairs()) {
      rows.add(
          List.of(
              p.first(),
              p.second(),
              notation.text(p.kelvin(), Unit.KELVIN),
              notation.range(p.interval(), Unit.KELVIN),
              p.told() ? "yes" : "not told"));
    }
    return new Block.Table(rows);
  }

  private static Block mounts(Judged judged, Notation notation) {
    List<List<String>> rows = new ArrayList<>();
    rows.add(List.of("Candidate", "Block", "Rise", "Power", "Spoiled by"));
    List<Mount> all = new ArrayList<>(judged.mounts());
    all.addAll(judged.spoiled());
    for (Mount m : all) {
      rows.add(
          List.of(
              m.candidate(),
              m.block(),
              m.counts() ? notation.text(m.riseKelvin(), Unit.KELVIN) : "–",
              m.counts() ? notation.text(m.watts(), Unit.WATT) : "–",
              m.spoiled()));
    }
    return new Block.Table(rows);
  }
}
