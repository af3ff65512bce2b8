package dev.ambershim.logbook.report;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Care;
import dev.ambershim.core.job.Found;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.KeptCheck;
import dev.ambershim.core.job.PhotoPair;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.plan.Photo;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.keep.KeepAnswer;
import dev.ambershim.logbook.formats.KeepCalendar;
import dev.ambershim.logbook.store.Json;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.Test;

/** What goes out of Keep: the certificate, the reminders, and the checks in the job itself. */
class CertificateTest {
  private static Job kept(double perYear) {
    List<KeptCheck> checks = new ArrayList<>();
    for (int i = 0; i < 10; i++) {
      double rise = 55 + perYear * i * 60 / 365.25 + (i % 3 - 1) * 0.2;
      checks.add(
          new KeptCheck(
              LocalDate.of(2025, 1, 5).plusDays(60L * i),
              KeptCheck.From.TYPED,
              "",
              rise,
              120,
              0.3,
              null,
              "",
              1));
    }
    return Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4, ümlaut")
        .withCare(Care.NONE.withChecks(checks));
  }

  @Test
  void theCertificateIsOnePage() throws IOException {
    Job job = kept(0);
    Report report =
        Certificate.of(
            Assessment.of(job, Map.of(), Notation.METRIC),
            photo -> Optional.empty(),
            Notation.METRIC,
            "5 January 2027");
    try (PDDocument pdf = Loader.loadPDF(PdfReport.of(report))) {
      assertThat(pdf.getNumberOfPages()).isEqualTo(1);
    }
    String html = HtmlReport.of(report);
    assertThat(html)
        .contains("It runs as on the first day", "warranty is lost", "5 January 2027", "<svg");
    // Another record has another fingerprint.
    String other =
        HtmlReport.of(
            Certificate.of(
                Assessment.of(job.withNotes("x"), Map.of(), Notation.METRIC),
                photo -> Optional.empty(),
                Notation.METRIC,
                "5 January 2027"));
    assertThat(fingerprint(html)).isNotEqualTo(fingerprint(other)).hasSize(16);
  }

  /** With its photos side by side it is still one page. */
  @Test
  void photosStandOnItsPage() throws IOException {
    Photo then = new Photo("a".repeat(64), "then.png");
    Photo now = new Photo("b".repeat(64), "now.png");
    Job job = kept(3);
    job =
        job.withCare(
            job.care()
                .with(
                    new Found(
                        LocalDate.of(2026, 9, 1),
                        List.of(Found.Look.DRY),
                        "",
                        new PhotoPair(then, now, 40.0, 20.0),
                        null,
                        null)));
    Report report =
        Certificate.of(
            Assessment.of(job, Map.of(), Notation.METRIC),
            photo -> Optional.of(png(photo.equals(then) ? 400 : 100, 300)),
            Notation.METRIC,
            "5 January 2027");
    assertThat(report.blocks())
        .filteredOn(b -> b instanceof Block.Photo)
        .singleElement()
        .satisfies(
            b ->
                assertThat(((Block.Photo) b).caption())
                    .isEqualTo("then.png, now.png. Photos are not to scale."));
    try (PDDocument pdf = Loader.loadPDF(PdfReport.of(report))) {
      assertThat(pdf.getNumberOfPages()).isEqualTo(1);
    }
  }

  private static byte[] png(int width, int height) {
    try {
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB), "png", out);
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static String fingerprint(String html) {
    int at = html.indexOf("record ", html.indexOf("SHA-256")) + 7;
    return html.substring(at, at + 16);
  }

  @Test
  void remindersAreWholeDays() {
    Instant now = Instant.parse("2027-01-05T10:00:00Z");
    KeepAnswer steady = KeepAnswer.of(kept(0), Notation.METRIC);
    String text =
        new String(KeepCalendar.of(steady, "job-1", "Sedge", now), StandardCharsets.UTF_8);
    assertThat(text)
        .startsWith("BEGIN:VCALENDAR\r\n")
        .contains("SUMMARY:Sedge: check\r\n", "UID:job-1-check@amber-shim", "TRIGGER:PT9H")
        .contains("DTSTART;VALUE=DATE:20260928")
        .doesNotContain("open it again");
    KeepAnswer creeping = KeepAnswer.of(kept(6), Notation.METRIC);
    assertThat(new String(KeepCalendar.of(creeping, "job-1", "Sedge", now), StandardCharsets.UTF_8))
        .contains("SUMMARY:Sedge: open it again", "DTSTART;VALUE=DATE:20270105");
    KeepAnswer none =
        KeepAnswer.of(Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "x"), Notation.METRIC);
    assertThatThrownBy(() -> KeepCalendar.of(none, "a", "b", now))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void checksStayWithTheJob() {
    Job job = kept(2);
    assertThat(Json.read("job.json", Json.write(job))).isEqualTo(job);
    String old =
        Json.write(job.withCare(Care.NONE)).replaceAll(",\\s*\"care\"\\s*:\\s*\\{[^}]*}", "");
    assertThat(old).doesNotContain("\"care\"");
    assertThat(Json.read("job.json", old)).isEqualTo(job.withCare(Care.NONE));
  }

  @Test
  void theReportHasItsChapter() {
    String html =
        HtmlReport.of(
            Report.of(
                Assessment.of(kept(6), Map.of(), Notation.METRIC),
                Optional.empty(),
                Notation.METRIC,
                "today"));
    assertThat(html).contains("In use", "It gets hotter by", "The next check is due on");
  }
}
