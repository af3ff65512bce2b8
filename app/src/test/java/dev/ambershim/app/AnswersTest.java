package dev.ambershim.app;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.StageAnswer;
import dev.ambershim.core.stage.baseline.BaselineAnswer;
import dev.ambershim.core.stage.clean.CleanAnswer;
import dev.ambershim.core.stage.close.CloseAnswer;
import dev.ambershim.core.stage.coat.CoatAnswer;
import dev.ambershim.core.stage.measure.MeasureAnswer;
import dev.ambershim.core.stage.prove.ProveAnswer;
import dev.ambershim.core.stage.weigh.Forecast;
import dev.ambershim.desktop.demo.DemoWorkshop;
import dev.ambershim.logbook.report.ReportFiles;
import dev.ambershim.logbook.report.Solved;
import dev.ambershim.logbook.store.Access;
import dev.ambershim.logbook.store.JobHead;
import dev.ambershim.logbook.store.Json;
import dev.ambershim.logbook.store.Logbook;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;

/**
 * What a stage says of the demo's jobs reads the same in the reports, in JSON and from a command.
 */
class AnswersTest {
  @TempDir Path folder;

  @Test
  void aStageSaysTheSameEverywhere() throws IOException {
    try (Logbook book = Logbook.open(folder.resolve("book"), Access.WRITE, Clock.systemUTC())) {
      DemoWorkshop.fill(book);
      assertThat(book.list()).hasSize(4);
      for (JobHead head : book.list()) {
        Job job = book.load(head.id()).job();
        Map<String, RunLog> logs = new HashMap<>();
        for (RunEntry run : job.runs()) {
          logs.put(run.sha256(), book.log(run));
        }
        compare(job, Assessment.of(job, logs, Notation.METRIC));
      }
    }
  }

  private void compare(Job job, Assessment assessment) throws IOException {
    CoatAnswer coat = CoatAnswer.of(job, Notation.METRIC);
    CloseAnswer close = CloseAnswer.of(job, Notation.METRIC, SolveWatch.NONE);
    MeasureAnswer measure = MeasureAnswer.of(job, Notation.METRIC, SolveWatch.NONE, Runnable::run);
    Forecast forecast = Forecast.of(assessment, Solved.SHARED, SolveWatch.NONE);
    List<StageAnswer> answers =
        new ArrayList<>(List.of(ProveAnswer.of(assessment, Optional.of(forecast)), coat, close));
    // Where nothing was measured the report has no chapter for it.
    if (!job.heights().tops().isEmpty()) {
      answers.add(measure);
    }
    if (!job.work().flaws().isEmpty()) {
      answers.add(CleanAnswer.of(job));
    }
    List<String> sentences = new ArrayList<>();
    for (StageAnswer answer : answers) {
      sentences.add(answer.sentence());
      sentences.addAll(answer.reasons());
      sentences.addAll(answer.notes());
      answer.others().stream().map(Finding::sentence).forEach(sentences::add);
    }
    sentences.add(BaselineAnswer.of(assessment).sentence());

    Path html = folder.resolve("report.html");
    Path pdf = folder.resolve("report.pdf");
    for (Path target : List.of(html, pdf)) {
      ReportFiles.write(assessment, Optional.empty(), Notation.METRIC, "2026-03-01", target);
    }
    String page =
        plain(
            Files.readString(html)
                .replaceAll("(?s)<(svg|style).*?</\\1>", " ")
                .replaceAll("<[^>]+>", " ")
                .replace("&quot;", "\"")
                .replace("&#39;", "'")
                .replace("&lt;", "<")
                .replace("&gt;", ">")
                .replace("&amp;", "&"));
    String paper;
    try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
      paper = plain(new PDFTextStripper().getText(document));
    }
    for (String sentence : sentences) {
      assertThat(page).as(job.title()).contains(plain(sentence));
      assertThat(squeezed(paper)).as(job.title()).contains(squeezed(sentence));
    }

    Path file = folder.resolve("job.json");
    Files.writeString(file, Json.write(job));
    assertThat(plain(command("dose", file))).contains(plain(coat.sentence()));
    assertThat(plain(command("mount", file))).contains(plain(close.mount().finding().sentence()));
    for (String note : close.notes()) {
      assertThat(plain(command("mount", file))).contains(plain(note));
    }
    String said = Json.mapper().readTree(command("dose", file, "--json")).toString();
    for (String reason : coat.reasons()) {
      assertThat(said).contains(Json.mapper().writeValueAsString(reason));
    }
    Path results = folder.resolve("results.json");
    ReportFiles.writeResults(assessment, results);
    String tree = Json.mapper().readTree(Files.readString(results)).toString();
    for (String note : close.notes()) {
      assertThat(tree).contains(Json.mapper().writeValueAsString(note));
    }
    assertThat(tree).contains(Json.mapper().writeValueAsString(forecast.change().sentence()));
  }

  private static String command(String name, Path file, String... more) {
    StringWriter out = new StringWriter();
    CommandLine line = AmberShim.commandLine();
    line.setOut(new PrintWriter(out));
    List<String> words = new ArrayList<>(List.of(name, file.toString()));
    words.addAll(List.of(more));
    assertThat(line.execute(words.toArray(String[]::new))).isZero();
    return out.toString();
  }

  private static String plain(String text) {
    return text.replaceAll("\\s+", " ").strip();
  }

  /** Lines of a page are broken anywhere, so blanks do not count. */
  private static String squeezed(String text) {
    return text.replaceAll("\\s+", "");
  }
}
