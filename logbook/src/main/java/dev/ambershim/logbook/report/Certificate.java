package dev.ambershim.logbook.report;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Found;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.KeptCheck;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.plan.Photo;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.Drawing;
import dev.ambershim.core.stage.keep.KeepAnswer;
import dev.ambershim.core.stage.prove.ProveAnswer;
import dev.ambershim.logbook.photo.Photos;
import dev.ambershim.logbook.store.Json;
import dev.ambershim.logbook.store.Readings;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What a buyer of the chip wants to know, on one page: what was done, what was measured before and
 * after, how it ran since, and a fingerprint of the record behind it.
 */
public final class Certificate {
  private static final double WIDTH = 680;
  private static final double HEIGHT = 170;
  private static final int PHOTO_PIXELS = 200;

  /** So many letters of a hash tell two records apart. */
  private static final int FINGERPRINT = 16;

  private Certificate() {}

  /**
   * The certificate of a job.
   *
   * @param photos gives a photo's bytes, if it is there
   * @param date the day, in words
   */
  public static Report of(
      Assessment assessment,
      Function<Photo, Optional<byte[]>> photos,
      Notation notation,
      String date) {
    Job job = assessment.job();
    List<Block> blocks = new ArrayList<>();
    ProveAnswer proved = ProveAnswer.of(assessment, Optional.empty());
    KeepAnswer kept = KeepAnswer.of(job, notation);
    blocks.add(new Block.Answer(job.chip().name() + ": " + job.chip().kind()));
    blocks.add(
        new Block.Paragraph(
            "Written on "
                + date
                + " from the owner's own record. Work planned: "
                + Plan.of(job.workCase(), notation).work().words()
                + ". Steps recorded as done: "
                + job.work().done().size()
                + "."));
    blocks.add(new Block.Heading("Measured before and after"));
    blocks.add(new Block.Paragraph(proved.sentence()));
    blocks.add(new Block.Heading("In use since"));
    blocks.add(new Block.Paragraph(kept.sentence()));
    List<KeptCheck> checks = job.care().checks().stream().filter(c -> c.state().isEmpty()).toList();
    if (!checks.isEmpty()) {
      blocks.add(checks(job, checks, kept.finding(), notation));
    }
    for (Drawing drawing : kept.pictures()) {
      blocks.add(new Block.Figure(drawing.painter().at(WIDTH, HEIGHT), drawing.caption() + "."));
    }
    photo(job, photos).ifPresent(blocks::add);
    blocks.add(new Block.Heading("Bear in mind"));
    blocks.add(
        new Block.Paragraph(
            cautions(job) + "These are the owner's own measurements, not a test house's."));
    blocks.add(new Block.Paragraph("Fingerprints (SHA-256): " + fingerprints(job) + "."));
    return new Report("Certificate: " + job.title(), blocks);
  }

  /** The newest two photos, or what was found beside what it was. */
  private static Optional<Block> photo(Job job, Function<Photo, Optional<byte[]>> photos) {
    List<Photo> all = job.photos();
    List<Photo> two = new ArrayList<>(all.subList(Math.max(0, all.size() - 2), all.size()));
    job.care().found().stream()
        .map(Found::photos)
        .filter(Objects::nonNull)
        .reduce((a, b) -> b)
        .filter(p -> p.then() != null)
        .ifPresent(
            p -> {
              two.clear();
              two.add(p.then());
              two.add(p.now());
            });
    List<byte[]> pngs =
        two.stream()
            .flatMap(p -> photos.apply(p).flatMap(bytes -> Diary.small(p, bytes)).stream())
            .toList();
    return pngs.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new Block.Photo(
                Photos.beside(pngs, PHOTO_PIXELS),
                two.stream().map(Photo::name).collect(Collectors.joining(", "))
                    + ". Photos are not to scale."));
  }

  /** What a buyer must know of work that took something apart. */
  private static String cautions(Job job) {
    if (job.workCase().settingsOnly()) {
      return "";
    }
    Build after = job.after();
    boolean metal =
        after.outer().filling() == Filling.LIQUID_METAL
            || (after.lidOn() && after.inner().filling() == Filling.LIQUID_METAL);
    boolean opened = job.workCase().worksOnDie() || job.workCase().lapsTop();
    return (opened
            ? "The chip was worked on: the maker's warranty is lost. "
            : "The cooler was off: ask the maker whether the warranty still holds. ")
        + (metal
            ? "Liquid metal conducts and eats aluminium; keep it off everything else when the chip is"
                + " opened again. "
            : "");
  }

  private static Block checks(
      Job job, List<KeptCheck> checks, Optional<Finding> told, Notation notation) {
    KeptCheck first = checks.get(0);
    KeptCheck last = checks.get(checks.size() - 1);
    List<List<String>> rows = new ArrayList<>();
    rows.add(List.of("Check", "Rise", "Power", "K/W"));
    for (KeptCheck check : checks.size() == 1 ? List.of(first) : List.of(first, last)) {
      rows.add(
          List.of(
              Notation.date(check.date()),
              notation.text(check.riseKelvin(), Unit.KELVIN),
              notation.text(check.watts(), Unit.WATT),
              notation.number(check.riseKelvin() / check.watts(), Unit.KELVIN_PER_WATT)));
    }
    told.filter(f -> f.interval().isPresent())
        .ifPresent(
            f ->
                rows.add(
                    List.of(
                        (f.unit() == Unit.KELVIN ? "Jump" : "Drift") + ", 95 %",
                        notation.range(f.interval().orElseThrow(), f.unit())
                            + " "
                            + notation.symbol(f.unit()),
                        notation.text(job.heatWatts(), Unit.WATT),
                        "")));
    return new Block.Table(rows);
  }

  /** Of the record as it is kept, and of the logs behind it. */
  private static String fingerprints(Job job) {
    String record = Readings.sha256(Json.write(job).getBytes(StandardCharsets.UTF_8));
    StringBuilder words = new StringBuilder("record ").append(record, 0, FINGERPRINT);
    int logs = 0;
    for (RunEntry run : job.runs()) {
      if (logs++ < 6) {
        words
            .append(", ")
            .append(run.fileName())
            .append(' ')
            .append(run.sha256(), 0, Math.min(FINGERPRINT, run.sha256().length()));
      }
    }
    return words.toString();
  }
}
