package dev.ambershim.logbook.report;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.CauseEvidence;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.JobRules;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.job.RungEntry;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.build.CoreLayout;
import dev.ambershim.core.physics.build.Responses;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.dosing.Alloy;
import dev.ambershim.core.physics.dosing.CloseTerms;
import dev.ambershim.core.physics.dosing.CoatTerms;
import dev.ambershim.core.physics.dosing.Cover;
import dev.ambershim.core.physics.dosing.Cure;
import dev.ambershim.core.physics.dosing.Finish;
import dev.ambershim.core.physics.dosing.GlueKind;
import dev.ambershim.core.physics.dosing.Measuring;
import dev.ambershim.core.physics.dosing.MetalFace;
import dev.ambershim.core.physics.dosing.MetalPlace;
import dev.ambershim.core.physics.fit.Heights;
import dev.ambershim.core.physics.fit.Instrument;
import dev.ambershim.core.physics.fit.Reading;
import dev.ambershim.core.physics.fit.ShimTerms;
import dev.ambershim.core.physics.fit.Top;
import dev.ambershim.core.physics.fit.TopKind;
import dev.ambershim.core.physics.mounting.MountTerms;
import dev.ambershim.core.physics.spread.PasteClass;
import dev.ambershim.core.physics.spread.PastePattern;
import dev.ambershim.core.physics.spread.PasteStroke;
import dev.ambershim.core.physics.spread.PasteTerms;
import dev.ambershim.core.physics.surface.Grit;
import dev.ambershim.core.physics.surface.LapPass;
import dev.ambershim.core.physics.surface.LapTerms;
import dev.ambershim.core.physics.surface.ProbedPoint;
import dev.ambershim.core.physics.surface.Relief;
import dev.ambershim.core.physics.surface.Surfaces;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.RunChart;
import dev.ambershim.core.picture.Tone;
import dev.ambershim.core.plan.Flaw;
import dev.ambershim.core.plan.Flaw.Face;
import dev.ambershim.core.plan.Flaw.Kind;
import dev.ambershim.core.plan.Kit;
import dev.ambershim.core.plan.Mishap;
import dev.ambershim.core.plan.Mishap.Harm;
import dev.ambershim.core.plan.Photo;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.PlanStep;
import dev.ambershim.core.plan.Schedule;
import dev.ambershim.core.plan.WorkLog;
import dev.ambershim.core.runs.clocking.Outcome;
import dev.ambershim.core.runs.clocking.Rung;
import dev.ambershim.core.runs.judging.RunAnalyser;
import dev.ambershim.core.runs.reading.Channel;
import dev.ambershim.core.runs.reading.ReadNotes;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.diagnosis.JobCase;
import dev.ambershim.core.stage.diagnosis.Ranking;
import dev.ambershim.core.stage.weigh.OwnRecord;
import dev.ambershim.core.stage.weigh.Question;
import dev.ambershim.core.stage.weigh.WeighQuestion;
import dev.ambershim.core.stage.weigh.Weighing;
import dev.ambershim.core.stage.weigh.WhatIf;
import dev.ambershim.logbook.Fixture;
import dev.ambershim.logbook.formats.ResultCsv;
import dev.ambershim.logbook.store.Json;
import dev.ambershim.logbook.store.Logbook;
import dev.ambershim.logbook.store.StoredJob;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.xml.sax.SAXException;

/**
 * Reports and results, read back with other eyes: a PDF text stripper, an XML parser, a CSV reader.
 */
@Tag("slow")
class ReportTest {
  @TempDir Path folder;
  private Assessment assessment;

  @BeforeEach
  void workOut() {
    try (Logbook logbook = Fixture.open(folder.resolve("logbook"))) {
      StoredJob stored = Fixture.complete(logbook, "Sedge <Q4> & friends");
      Map<String, RunLog> logs = new HashMap<>();
      for (RunEntry run : stored.job().runs()) {
        logs.put(run.sha256(), logbook.files().log(run));
      }
      assessment = Assessment.of(stored.job(), logs, Notation.METRIC);
    }
  }

  private static byte[] photo() throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(60, 40, BufferedImage.TYPE_INT_RGB), "png", out);
    return out.toByteArray();
  }

  /** The same job under way: a hold point passed with a photo, one without, a mishap, a flaw. */
  private Assessment worked() {
    Instant at = Instant.parse("2026-03-01T09:00:00Z");
    Photo photo = new Photo("ab".repeat(32), "die.png");
    WorkLog log =
        WorkLog.EMPTY
            .goingTo("power-off", at)
            .with("power-off", e -> e.withInitials("LM"))
            .done("power-off", at.plusSeconds(180), List.of())
            .goingTo("marks", at.plusSeconds(600))
            .with("marks", e -> e.withPhotos(List.of(photo)).withNote("dot at the left"))
            .done("marks", at.plusSeconds(840), List.of())
            .goingTo("seat", at.plusSeconds(900))
            .with("seat", e -> e.withOverride("tool of another shape"))
            .with("seat", e -> e.withMishap(new Mishap("it slipped", Harm.MENDED, "dry it", null)))
            .withFlaws(List.of(new Flaw(Face.DIE_EDGE, Kind.CHIP, true, "")));
    return Assessment.of(assessment.job().withWork(log), Map.of(), Notation.METRIC);
  }

  @Test
  void theDiarySaysWhatWasDoneAndWhatWasPassedWithoutItsCheck() throws IOException {
    byte[] png = photo();
    Path html = folder.resolve("d.html");
    Path pdf = folder.resolve("d.pdf");
    for (Path file : List.of(html, pdf)) {
      ReportFiles.write(
          worked(), Optional.empty(), p -> Optional.of(png), Notation.METRIC, "today", file);
    }
    String page = Files.readString(html);
    try (PDDocument read = Loader.loadPDF(pdf.toFile())) {
      String text = new PDFTextStripper().getText(read).replaceAll("\\s+", " ");
      for (String words :
          List.of(
              "Diary of the work",
              "2 of ",
              "Switch off, unplug, discharge",
              "LM",
              "1 photo",
              "Seat and clamp the chip: passed without its check, because: tool of another shape",
              "mishap (mended): it slipped Lesson: dry it",
              "Mark lid and substrate: dot at the left",
              "Cannot tell from outside",
              "Mark lid and substrate: die.png")) {
        assertThat(text).contains(words);
        assertThat(page).contains(words);
      }
      boolean drawn = false;
      for (PDPage sheet : read.getPages()) {
        for (COSName name : sheet.getResources().getXObjectNames()) {
          drawn |= sheet.getResources().isImageXObject(name);
        }
      }
      assertThat(drawn).as("the photo is on a page").isTrue();
    }
    assertThat(page).contains("src=\"data:image/png;base64,");
    assertThat(page.indexOf("Diary of the work")).isLessThan(page.indexOf("How it was worked out"));
    // A job that nobody began has no diary.
    ReportFiles.write(assessment, Optional.empty(), Notation.METRIC, "today", html);
    assertThat(Files.readString(html)).doesNotContain("Diary");
  }

  /** A job with heights, a face probed twice and a pass between. */
  private static Job measured(Job job) {
    List<ProbedPoint> hollow = new ArrayList<>();
    List<ProbedPoint> lapped = new ArrayList<>();
    for (int x = -12; x <= 12; x += 6) {
      for (int y = -12; y <= 12; y += 6) {
        hollow.add(new ProbedPoint(x, y, 0.1 * (x * x + y * y)));
        lapped.add(new ProbedPoint(x, y, Math.min(15, 0.1 * (x * x + y * y))));
      }
    }
    return job.withHeights(
            Heights.NONE.withTops(
                List.of(
                    new Top(
                        "die",
                        TopKind.DIE,
                        0,
                        0,
                        9,
                        19,
                        false,
                        Reading.of(Instrument.INDICATOR, 0.78, 0.781)),
                    new Top(
                        "shim",
                        TopKind.SHIM,
                        0,
                        0,
                        33,
                        33,
                        false,
                        Reading.of(Instrument.INDICATOR, 0.73)))))
        .withSurfaces(
            new Surfaces(
                List.of(
                    new Relief(
                        dev.ambershim.core.physics.surface.Face.LID_TOP, "as it came", hollow, 0),
                    new Relief(
                        dev.ambershim.core.physics.surface.Face.LID_TOP, "lapped", lapped, 1)),
                List.of(
                    new LapPass(
                        dev.ambershim.core.physics.surface.Face.LID_TOP,
                        Grit.P800,
                        250,
                        10,
                        120,
                        4.0,
                        "")),
                LapTerms.USUAL));
  }

  @Test
  void whatWasMeasuredStandsInTheReport() throws IOException {
    Path target = folder.resolve("measured.html");
    ReportFiles.write(
        Assessment.of(measured(assessment.job()), Map.of(), Notation.METRIC),
        Optional.empty(),
        Notation.METRIC,
        "2026-03-01",
        target);
    assertThat(Files.readString(target))
        .contains("What was measured")
        .contains("The die touches first (over 99.9 % by the readings)")
        .contains("Top of the lid: flat to")
        .contains("Probed: as it came.")
        .contains("P800, 250 strokes, 4.0 µm off");
    assertThat(Measured.of(assessment.job(), Notation.METRIC)).isEmpty();
    Path results = folder.resolve("measured.json");
    ReportFiles.writeResults(
        Assessment.of(measured(assessment.job()), Map.of(), Notation.METRIC),
        Optional.empty(),
        results);
    JsonNode node = Json.mapper().readTree(results.toFile()).get("measured");
    assertThat(node.get("first").get("sentence").asText()).startsWith("The die touches first");
    assertThat(node.get("rest").get("touching").get(0).asText()).isEqualTo("die");
    assertThat(node.get("faces").get(0).get("shape").asText()).isEqualTo("concave");
  }

  /** Kept as JSON and read again, nothing of it is lost, and an older job reads without it. */
  /** A job with everything said of metal, cover, paste, glue and screws. */
  private static Job closed(Job job) {
    return job.withCoat(
            new CoatTerms(
                    Alloy.GALLIUM_INDIUM,
                    24.0,
                    5.0,
                    Measuring.SCALE,
                    Finish.LAPPED,
                    Finish.SCRATCHED,
                    false,
                    2.5,
                    false,
                    null,
                    1,
                    Cover.VARNISH)
                .saying(MetalPlace.LID_INSIDE, MetalFace.COPPER))
        .withPaste(
            new PasteTerms(
                PasteClass.THIN,
                30.0,
                PastePattern.OWN,
                List.of(PasteStroke.of(-4, 0, 4, 0), PasteStroke.of(0, 5)),
                0.12,
                true))
        .withClosing(new CloseTerms(GlueKind.SILICONE, 0.9, 4.0, 30.0, 40.0, 21.0, 10.0))
        .withMounting(MountTerms.USUAL.withExtra(1, 0.5));
  }

  @Test
  void dosesClosingAndMountingStandInReportAndResults() throws IOException {
    Job job = closed(assessment.job());
    Path target = folder.resolve("closed.html");
    ReportFiles.write(
        Assessment.of(job, Map.of(), Notation.METRIC),
        Optional.empty(),
        Notation.METRIC,
        "2026-03-01",
        target);
    assertThat(Files.readString(target))
        .contains("Doses, closing and mounting")
        .contains("across on each face")
        .contains("bare copper")
        .contains("0.12 g as your own strokes")
        .contains("carries the lid")
        .contains("Four springs press with");
    Path results = folder.resolve("closed.json");
    ReportFiles.writeResults(
        Assessment.of(job, Map.of(), Notation.METRIC), Optional.empty(), results);
    JsonNode node = Json.mapper().readTree(results.toFile()).get("closed");
    assertThat(node.get("dose").get("mayGoOn").asBoolean()).isTrue();
    assertThat(node.get("mount").get("wedge").get("costMeanKelvin").isNumber()).isTrue();
  }

  @Test
  void whatIsSaidOfMaterialsIsKeptWhole() throws IOException {
    Job job = closed(assessment.job());
    Job again = Json.read("job.json", Json.write(job));
    assertThat(again.coat()).isEqualTo(job.coat());
    assertThat(again.paste()).isEqualTo(job.paste());
    assertThat(again.closing()).isEqualTo(job.closing());
    assertThat(again.mounting()).isEqualTo(job.mounting());
    // An older job says nothing of it.
    var tree =
        (com.fasterxml.jackson.databind.node.ObjectNode) Json.mapper().readTree(Json.write(job));
    var inner =
        tree.has("job") ? (com.fasterxml.jackson.databind.node.ObjectNode) tree.get("job") : tree;
    inner.remove(List.of("coat", "paste", "closing", "mounting"));
    Job older = Json.read("job.json", tree.toString());
    assertThat(older.coat()).isEqualTo(CoatTerms.USUAL);
    assertThat(older.mounting()).isEqualTo(MountTerms.USUAL);
  }

  @Test
  void measurementsAreKeptWhole() throws IOException {
    Job job = measured(assessment.job());
    String json = Json.mapper().writeValueAsString(job);
    assertThat(Json.mapper().readValue(json, Job.class)).isEqualTo(job);
    ObjectNode older = (ObjectNode) Json.mapper().readTree(json);
    older.remove(List.of("heights", "surfaces", "shim"));
    Job read = Json.mapper().treeToValue(older, Job.class);
    assertThat(read.heights()).isEqualTo(Heights.NONE);
    assertThat(read.shim()).isEqualTo(ShimTerms.USUAL);
    JobRules.check(job);
    Job wrong =
        job.withSurfaces(
            Surfaces.NONE.with(
                new Relief(
                    dev.ambershim.core.physics.surface.Face.DIE,
                    "",
                    List.of(new ProbedPoint(0, 0, Double.NaN)),
                    0)));
    assertThatThrownBy(() -> JobRules.check(wrong))
        .hasMessageContaining("surfaces.reliefs[0].points[0].micrometres");
  }

  @Test
  void theCardHasEveryStepWithItsTimeCheckAndCaution() throws IOException {
    Job job = assessment.job();
    Plan plan = Plan.of(job.workCase());
    Cure cure = plan.doses().cure();
    assertThat(cure.fullMinutes()).isGreaterThan(cure.skinMinutes());
    Instant now = Instant.parse("2026-03-01T09:00:00Z");
    Schedule schedule = Schedule.of(plan, job.work(), now, ZoneId.systemDefault()).orElseThrow();
    Kit kit = Kit.of(plan, job.work(), List.of(), List.of(), job.terms(), LocalDate.of(2026, 3, 1));
    Report card = Card.of(job, schedule, kit, Notation.METRIC, ZoneId.systemDefault());
    Path pdf = folder.resolve("card.pdf");
    ReportFiles.write(card, pdf);
    try (PDDocument read = Loader.loadPDF(pdf.toFile())) {
      String text = new PDFTextStripper().getText(read).replaceAll("\\s+", " ");
      for (PlanStep step : plan.steps()) {
        assertThat(text).contains(step.title());
        step.hold().ifPresent(h -> assertThat(text).contains("Hold: " + h.check()));
        step.caution().ifPresent(c -> assertThat(text).contains(c.words()));
      }
      assertThat(text)
          .contains(
              "at least "
                  + Notation.minutes(0.8 * cure.handlingMinutes())
                  + ", as a rule "
                  + Notation.minutes(cure.handlingMinutes())
                  + ", safe "
                  + Notation.minutes(cure.fullMinutes()))
          .contains("isopropyl alcohol, 90 % or more");
      plan.tools().forEach(tool -> assertThat(text).contains(tool));
      assertThat(read.getNumberOfPages()).isBetween(2, 6);
    }
  }

  @Test
  void thePdfSaysTheVerdictTheWorkingAndTheSources() throws IOException {
    Path file = folder.resolve("r.pdf");
    ReportFiles.write(assessment, Optional.empty(), Notation.METRIC, "2026-03-01", file);
    try (PDDocument pdf = Loader.loadPDF(file.toFile())) {
      String text = new PDFTextStripper().getText(pdf).replaceAll("\\s+", " ");
      assertThat(text)
          .contains("Helped by 12.0 K")
          .contains("Sedge <Q4> & friends")
          .contains("before.csv")
          .contains("batch means")
          .contains("Gelman et al., Bayesian Data Analysis")
          .contains("60.0 K")
          .contains("Opening a processor ends its warranty");
      assertThat(pdf.getNumberOfPages()).isBetween(2, 6);
      assertThat(pdf.getDocumentInformation().getTitle()).startsWith("Sedge");
    }
  }

  @Test
  void theHtmlNeedsNothingElse() throws IOException {
    Path file = folder.resolve("r.html");
    ReportFiles.write(assessment, Optional.empty(), Notation.METRIC, "2026-03-01", file);
    String html = Files.readString(file);
    assertThat(html)
        .contains("Sedge &lt;Q4&gt; &amp; friends")
        .contains("Helped by 12.0 K")
        .doesNotContain("src=")
        .doesNotContain("href=")
        .doesNotContain("@import");
    assertThat(html.split("<svg ", -1))
        .hasSize(9); // chart, two sections, ladder, cut with isotherms, drops, lid, turns
  }

  @Test
  void everySvgIsWellFormed() throws IOException, ParserConfigurationException, SAXException {
    for (Block block : Report.of(assessment, Optional.empty(), Notation.METRIC, "today").blocks()) {
      if (block instanceof Block.Figure figure) {
        String svg = SvgPainter.paint(figure.picture());
        assertThat(
                DocumentBuilderFactory.newInstance()
                    .newDocumentBuilder()
                    .parse(new ByteArrayInputStream(svg.getBytes(StandardCharsets.UTF_8)))
                    .getDocumentElement()
                    .getTagName())
            .isEqualTo("svg");
      }
    }
  }

  @Test
  void theClimbStandsInReportAndResults() throws IOException {
    Rung low = Rung.typed(4700, 1.2, Outcome.PASSED, "", 80.0, 22.0);
    Rung hot = Rung.typed(4800, 1.25, Outcome.TOO_HOT, "", 95.0, 22.0);
    Rung high = Rung.typed(4900, 1.27, Outcome.PASSED, "", 78.0, 22.0);
    Rung bad = Rung.typed(5000, 1.3, Outcome.FAILED, "froze", 81.0, 22.0);
    Job job =
        assessment
            .job()
            .withRung(new RungEntry(Side.BEFORE, low))
            .withRung(new RungEntry(Side.BEFORE, hot))
            .withRung(new RungEntry(Side.AFTER, high))
            .withRung(new RungEntry(Side.AFTER, bad));
    Map<String, RunLog> logs = new HashMap<>();
    assessment.runs().forEach(r -> logs.put(r.entry().sha256(), r.log()));
    Assessment climbed = Assessment.of(job, logs, Notation.METRIC);
    Path pdf = folder.resolve("climb.pdf");
    ReportFiles.write(climbed, Optional.empty(), Notation.METRIC, "1 March 2026", pdf);
    try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
      String text = new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
      assertThat(text)
          .containsPattern("and (1[5-9]|2[0-4])[05] MHz more under your limit\\.")
          .contains("How far it clocks")
          .contains("5000 failed")
          .contains("5000 MHz failed: froze.")
          .contains("before the work leakage might have run away there");
    }
    Path results = folder.resolve("climb.json");
    ReportFiles.writeResults(climbed, Optional.empty(), results);
    assertThat(Files.readString(results))
        .contains("\"lowestNotPassedMegahertz\" : 4800.0")
        .contains("\"gainByHeat\"")
        .doesNotContain("Infinity");
  }

  @Test
  void aDenseLineIsABandInEveryForm() throws IOException {
    double[] seconds = new double[9000];
    double[] core = new double[9000];
    double[] room = new double[9000];
    for (int i = 0; i < seconds.length; i++) {
      seconds[i] = i;
      core[i] = 70 - 40 * Math.exp(-i / 30.0) + Math.sin(i * 1.7);
      room[i] = 22;
    }
    RunLog log =
        new RunLog(
            "long.csv",
            seconds,
            List.of(
                new Channel("core", "°C", Role.CORE, 1, core),
                new Channel("room", "°C", Role.ROOM, 1, room)),
            new ReadNotes("UTF-8", "comma", false, 9000, 0, 0, List.of()));
    RunChart.Line line =
        new RunChart.Line("long", false, log, RunAnalyser.analyse(log, OptionalDouble.empty()));
    Picture picture = RunChart.of(List.of(line), Notation.METRIC, 600, 200);
    String svg = SvgPainter.paint(picture);
    assertThat(svg).contains("<polygon fill=\"" + Tone.BEFORE.hex(false) + "\" points=\"");
    Report report = new Report("band", List.of(new Block.Figure(picture, "A long run.")));
    byte[] bytes = PdfReport.of(report);
    try (PDDocument document = Loader.loadPDF(bytes)) {
      BufferedImage page = new PDFRenderer(document).renderImage(0);
      int wanted = Integer.parseInt(Tone.BEFORE.hex(false).substring(1), 16);
      int found = 0;
      for (int x = 0; x < page.getWidth(); x++) {
        for (int y = 0; y < page.getHeight(); y++) {
          found += (page.getRGB(x, y) & 0xffffff) == wanted ? 1 : 0;
        }
      }
      assertThat(found).isGreaterThan(400);
    }
  }

  @Test
  void resultsAsJson() throws IOException {
    Path file = folder.resolve("r.json");
    ReportFiles.writeResults(assessment, Optional.empty(), file);
    JsonNode node = Json.mapper().readTree(file.toFile());
    assertThat(node.path("format").asText()).isEqualTo("ambershim/results-1");
    assertThat(node.at("/comparison/verdict").asText()).isEqualTo("helped");
    assertThat(node.at("/comparison/change/riseKelvin").asDouble()).isBetween(-12.1, -11.9);
    assertThat(node.at("/comparison/before/runs").asInt()).isEqualTo(1);
    assertThat(node.at("/comparison/before/clockMegahertz").isNull()).isTrue();
    assertThat(node.at("/expectation/interval/level").asDouble()).isEqualTo(0.8);
    assertThat(node.path("runs")).hasSize(2);
    assertThat(node.at("/runs/0/channels/0/role").asText()).isEqualTo("core temperature");
  }

  @Test
  void resultsAsCsv() throws IOException {
    Path file = folder.resolve("r.csv");
    ReportFiles.writeResults(assessment, Optional.empty(), file);
    assertThat(Files.readString(file)).isEqualTo(ResultCsv.of(assessment));
    try (CsvReader<NamedCsvRecord> csv = CsvReader.builder().ofNamedCsvRecord(file)) {
      List<NamedCsvRecord> rows = csv.stream().toList();
      assertThat(rows).hasSize(2);
      assertThat(rows.get(0).getField("side")).isEqualTo("before");
      assertThat(Double.parseDouble(rows.get(0).getField("rise_K"))).isBetween(59.9, 60.1);
      assertThat(rows.get(1).getField("clock_MHz")).isEmpty();
    }
  }

  @Test
  void signsThatTheFontLacksDoNotEndTheReport() throws IOException {
    try (Logbook logbook = Fixture.open(folder.resolve("signs"))) {
      StoredJob stored = logbook.create(Fixture.job("日本 \u0007 ☃ Łódź"));
      Assessment bare = Assessment.of(stored.job(), Map.of(), Notation.METRIC);
      Path file = folder.resolve("signs.pdf");
      ReportFiles.write(bare, Optional.empty(), Notation.METRIC, "today", file);
      try (PDDocument pdf = Loader.loadPDF(file.toFile())) {
        assertThat(new PDFTextStripper().getText(pdf)).contains("Łódź").contains("??");
      }
    }
  }

  @Test
  void aFolderThatIsNotThereIsSaid() {
    assertThatThrownBy(
            () ->
                ReportFiles.write(
                    assessment,
                    Optional.empty(),
                    Notation.METRIC,
                    "today",
                    folder.resolve("none/r.pdf")))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("none/r.pdf");
  }

  @Test
  void titlesBecomePlainFileNames() {
    assertThat(Report.fileName("Sorrel S8, bench machine")).isEqualTo("sorrel-s8-bench-machine");
    assertThat(Report.fileName("../..")).isEqualTo("job");
  }

  @Test
  void whatWasWeighedStandsInTheReport() throws IOException {
    Question question = WeighQuestion.of(assessment, OwnRecord.NONE);
    ExecutorService lanes = Executors.newFixedThreadPool(2);
    Weighing weighing =
        Weighing.of(
            question,
            WhatIf.AS_IT_IS,
            new Responses(lanes)
                .of(Weighing.situations(question, Notation.METRIC), SolveWatch.NONE),
            Notation.METRIC);
    lanes.shutdown();
    Path html = folder.resolve("weighed.html");
    ReportFiles.write(assessment, Optional.of(weighing), Notation.METRIC, "today", html);
    assertThat(Files.readString(html))
        .contains("as weighed before the work")
        .contains("bare die, lapped")
        .contains("equally likely cases");
    Path pdf = folder.resolve("weighed.pdf");
    ReportFiles.write(assessment, Optional.of(weighing), Notation.METRIC, "today", pdf);
    assertThat(Files.size(pdf)).isGreaterThan(10_000);
  }

  @Test
  void causesThatWereFoundAreAChapter() throws IOException {
    Job plain = Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4");
    Map<String, Double> watts = new HashMap<>();
    Map<String, Double> celsius = new HashMap<>();
    CoreLayout.of(plain.chip()).heat().forEach(h -> watts.put(h.name(), h.watts() * 140));
    double[] crooked = {100, 97, 94, 91, 89, 86, 83, 80};
    for (int c = 0; c < crooked.length; c++) {
      celsius.put("core " + c, crooked[c]);
    }
    Job job =
        plain.withEvidence(
            CauseEvidence.NONE.reading(
                List.of(
                    new CauseEvidence.CoreReading(
                        "typed", Side.BEFORE, 1, 22.0, null, null, watts, celsius))));
    Assessment assessment = Assessment.of(job, Map.of(), Notation.METRIC);
    String before =
        HtmlReport.of(Report.of(assessment, Optional.empty(), Notation.METRIC, "today"));
    assertThat(before).doesNotContain("Why it is hot");
    Ranking ranking =
        Solved.CAUSES.of(JobCase.of(assessment, Side.BEFORE).orElseThrow(), SolveWatch.NONE);
    String after = HtmlReport.of(Report.of(assessment, Optional.empty(), Notation.METRIC, "today"));
    assertThat(after)
        .contains("Why it is hot before the work")
        .contains("joint is tilted, thicker towards the back")
        .contains("What it may be, by probability");
    assertThat(ranking.lookFirst()).isPresent();
    Path results = folder.resolve("causes.json");
    ReportFiles.writeResults(assessment, Optional.empty(), results);
    JsonNode told = Json.mapper().readTree(results.toFile()).path("causes").path(0);
    assertThat(told.path("side").asText()).isEqualTo("before");
    assertThat(told.path("causes").path(0).path("cause").asText()).isEqualTo("joint tilted");
    assertThat(told.path("finding").path("sentence").asText()).contains("thicker towards the back");
  }
}
