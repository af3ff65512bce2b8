package dev.ambershim.logbook.report;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.plan.Photo;
import dev.ambershim.core.runs.series.Judged;
import dev.ambershim.core.runs.series.Mount;
import dev.ambershim.core.stage.Drawing;
import dev.ambershim.core.stage.series.Series;
import dev.ambershim.core.stage.series.SeriesAnswer;
import dev.ambershim.logbook.photo.Photos;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** A series as a report: the answer, its pictures, every pair, every mount, the working. */
public final class SeriesReport {
  private static final double WIDTH = 720;
  private static final int MOST_PRINTS = 6;
  private static final int PRINT_PIXELS = 140;

  private SeriesReport() {}

  /** The report of mounts that stand in a table. */
  public static Report of(SeriesAnswer answer, Notation notation, String title) {
    return of(answer, notation, title, List.of(), p -> Optional.empty());
  }

  /**
   * The report of a series with what was seen at each mount.
   *
   * @param photos gives a photo's bytes, if it is there
   */
  public static Report of(
      SeriesAnswer answer,
      Notation notation,
      Series series,
      Function<Photo, Optional<byte[]>> photos) {
    Report report = of(answer, notation, series.name(), series.made(), photos);
    if (series.fixed().isEmpty()) {
      return report;
    }
    List<Block> blocks = new ArrayList<>(report.blocks());
    blocks.add(2, new Block.Paragraph(series.watch().get(0)));
    return new Report(report.title(), blocks);
  }

  private static Report of(
      SeriesAnswer answer,
      Notation notation,
      String title,
      List<Series.Made> made,
      Function<Photo, Optional<byte[]>> photos) {
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
    blocks.add(made.isEmpty() ? mounts(answer.judged(), notation) : seen(made, notation));
    prints(made, photos).ifPresent(blocks::add);
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

  private static Block seen(List<Series.Made> made, Notation notation) {
    List<List<String>> rows = new ArrayList<>();
    rows.add(List.of("Candidate", "Block", "Rise", "Power", "Covered", "Spoiled by", "Note"));
    for (Series.Made m : made) {
      rows.add(
          List.of(
              m.candidate(),
              String.valueOf(m.block()),
              text(m.riseKelvin(), Unit.KELVIN, notation),
              text(m.watts(), Unit.WATT, notation),
              text(m.coveredPercent(), Unit.PERCENT, notation),
              m.spoiled(),
              m.note()));
    }
    return new Block.Table(rows);
  }

  private static String text(Double value, Unit unit, Notation notation) {
    return value == null ? "–" : notation.text(value, unit);
  }

  /** The newest prints side by side. */
  private static Optional<Block> prints(
      List<Series.Made> made, Function<Photo, Optional<byte[]>> photos) {
    List<Series.Made> with = made.stream().filter(m -> m.print() != null).toList();
    List<byte[]> pngs = new ArrayList<>();
    List<String> names = new ArrayList<>();
    for (Series.Made m : with.subList(Math.max(0, with.size() - MOST_PRINTS), with.size())) {
      photos
          .apply(m.print())
          .flatMap(bytes -> Diary.small(m.print(), bytes))
          .ifPresent(
              png -> {
                pngs.add(png);
                names.add(m.candidate() + ", block " + m.block());
              });
    }
    return pngs.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new Block.Photo(
                Photos.beside(pngs, PRINT_PIXELS),
                "Prints when lifted: " + String.join("; ", names) + ". They are not to scale."));
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
