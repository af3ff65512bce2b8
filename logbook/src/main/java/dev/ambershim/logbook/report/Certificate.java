package dev.ambershim.logbook.report;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.KeptCheck;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.Drawing;
import dev.ambershim.core.stage.keep.KeepAnswer;
import dev.ambershim.core.stage.prove.ProveAnswer;
import dev.ambershim.logbook.store.Json;
import dev.ambershim.logbook.store.Readings;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a buyer of the chip wants to know, on one page: what was done, what was measured before and
 * after, how it ran since, and a fingerprint of the record behind it.
 */
public final class Certificate {
  private static final double WIDTH = 680;
  private static final double HEIGHT = 170;

  /** So many letters of a hash tell two records apart. */
  private static final int FINGERPRINT = 16;

  private Certificate() {}

  /**
   * The certificate of a job.
   *
   * @param date the day, in words
   */
  public static Report of(Assessment assessment, Notation notation, String date) {
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
    if (!job.care().checks().isEmpty()) {
      blocks.add(checks(job, kept.finding(), notation));
    }
    for (Drawing drawing : kept.pictures()) {
      blocks.add(new Block.Figure(drawing.painter().at(WIDTH, HEIGHT), drawing.caption() + "."));
    }
    blocks.add(new Block.Heading("Bear in mind"));
    blocks.add(
        new Block.Paragraph(
            "The lid or the cooler was off: the maker's warranty is lost. Liquid metal conducts and"
                + " eats aluminium; keep it off everything else when the chip is opened again. These"
                + " are the owner's own measurements, not a test house's."));
    blocks.add(new Block.Paragraph("Fingerprints (SHA-256): " + fingerprints(job) + "."));
    return new Report("Certificate: " + job.title(), blocks);
  }

  private static Block checks(Job job, Optional<Finding> drift, Notation notation) {
    List<KeptCheck> checks = job.care().checks();
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
    drift
        .flatMap(Finding::interval)
        .ifPresent(
            (Interval i) ->
                rows.add(
                    List.of(
                        "Drift, 95 %",
                        notation.range(i, Unit.KELVIN_PER_YEAR)
                            + " "
                            + notation.symbol(Unit.KELVIN_PER_YEAR),
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
