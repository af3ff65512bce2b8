package dev.ambershim.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.Schedule;
import dev.ambershim.core.plan.WorkLog;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.StageAnswer;
import dev.ambershim.core.stage.close.CloseAnswer;
import dev.ambershim.core.stage.coat.CoatAnswer;
import dev.ambershim.core.stage.open.OpenAnswer;
import dev.ambershim.core.stage.weigh.OwnRecord;
import dev.ambershim.core.stage.weigh.Question;
import dev.ambershim.core.stage.weigh.WeighQuestion;
import dev.ambershim.core.stage.weigh.Weighing;
import dev.ambershim.core.stage.weigh.WhatIf;
import dev.ambershim.desktop.demo.DemoWorkshop;
import dev.ambershim.logbook.report.Answers;
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
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;

/**
 * What a stage says of the demo's jobs reads the same in the reports, in JSON and from a command.
 */
@Tag("slow")
class AnswersTest {
  /** Far enough ahead that the minute in which the test runs does not matter. */
  private final LocalDateTime morning =
      LocalDate.now(ZoneId.systemDefault()).plusDays(10).atTime(9, 0);

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
          logs.put(run.sha256(), book.files().log(run));
        }
        compare(job, Assessment.of(job, logs, Notation.METRIC));
      }
    }
  }

  private void compare(Job job, Assessment assessment) throws IOException {
    Weighing weighing = weighing(assessment);
    List<StageAnswer> answers = Answers.of(assessment, Optional.of(weighing), Notation.METRIC);
    List<String> sentences = new ArrayList<>();
    for (StageAnswer answer : answers) {
      sentences.add(answer.sentence());
      sentences.addAll(answer.reasons());
      sentences.addAll(answer.notes());
      answer.others().stream().map(Finding::sentence).forEach(sentences::add);
    }

    Path html = folder.resolve("report.html");
    Path pdf = folder.resolve("report.pdf");
    for (Path target : List.of(html, pdf)) {
      ReportFiles.write(assessment, Optional.of(weighing), Notation.METRIC, "2026-03-01", target);
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

    Path results = folder.resolve("results.json");
    ReportFiles.writeResults(assessment, Optional.of(weighing), results);
    JsonNode tree = Json.mapper().readTree(Files.readString(results));
    assertThat(tree.get("answers")).hasSameSizeAs(answers);
    for (int i = 0; i < answers.size(); i++) {
      JsonNode said = tree.get("answers").get(i);
      StageAnswer answer = answers.get(i);
      assertThat(said.get("stage").asText()).isEqualTo(answer.stage().words());
      assertThat(said.get("sentence").asText()).isEqualTo(answer.sentence());
      assertThat(texts(said.get("reasons"))).isEqualTo(answer.reasons());
      assertThat(texts(said.get("notes"))).isEqualTo(answer.notes());
    }
    commands(job);
  }

  /** What the commands say of a job whose logs they do not have. */
  private void commands(Job job) throws IOException {
    Path file = folder.resolve("job.json");
    Files.writeString(file, Json.write(job));
    CoatAnswer coat = CoatAnswer.of(job, Notation.METRIC);
    CloseAnswer close = CloseAnswer.of(job, Notation.METRIC, SolveWatch.NONE);
    assertThat(plain(command("dose", file))).contains(plain(coat.sentence()));
    JsonNode dose = Json.mapper().readTree(command("dose", file, "--json"));
    assertThat(texts(dose.get("notes"))).containsAll(coat.reasons()).containsAll(coat.notes());
    String mount = plain(command("mount", file));
    assertThat(mount).contains(plain(close.mount().finding().sentence()));
    close.notes().forEach(note -> assertThat(mount).contains(plain(note)));
    JsonNode mounted = Json.mapper().readTree(command("mount", file, "--json"));
    assertThat(texts(mounted.get("checks"))).isEqualTo(close.notes());

    Weighing weighing = weighing(Assessment.of(job, Map.of(), Notation.METRIC));
    String weighed = plain(command("weigh", file));
    assertThat(weighed).contains(plain(weighing.sentence()));
    weighing.reasons().forEach(reason -> assertThat(weighed).contains(plain(reason)));
    JsonNode tree = Json.mapper().readTree(command("weigh", file, "--json"));
    assertThat(tree.get("advice").asText()).isEqualTo(weighing.sentence());
    assertThat(texts(tree.get("reasons"))).isEqualTo(weighing.reasons());

    OpenAnswer open = open(job);
    String planned = plain(command("plan", file, "--start", morning.toString().replace('T', ' ')));
    assertThat(planned).contains(plain(open.sentence()));
    open.reasons().forEach(reason -> assertThat(planned).contains(plain(reason)));
    JsonNode plan =
        Json.mapper()
            .readTree(
                command("plan", file, "--start", morning.toString().replace('T', ' '), "--json"));
    assertThat(plan.get("answer").asText()).isEqualTo(open.sentence());
    assertThat(texts(plan.get("reasons"))).isEqualTo(open.reasons());
  }

  private static Weighing weighing(Assessment assessment) {
    Question question = WeighQuestion.of(assessment, OwnRecord.NONE);
    return Weighing.of(
        question,
        WhatIf.AS_IT_IS,
        Solved.SHARED.of(Weighing.situations(question, Notation.METRIC), SolveWatch.NONE),
        Notation.METRIC);
  }

  /** The plan of a job that begins on that morning. */
  private OpenAnswer open(Job job) {
    ZoneId zone = ZoneId.systemDefault();
    WorkLog work = job.work().between(morning.atZone(zone).toInstant(), null);
    Plan plan = Plan.of(job.withWork(work).workCase());
    return OpenAnswer.of(
        plan,
        work,
        Schedule.of(plan, work, Instant.now(), zone),
        Optional.empty(),
        Notation.METRIC,
        zone);
  }

  private static List<String> texts(JsonNode list) {
    List<String> texts = new ArrayList<>();
    list.forEach(text -> texts.add(text.asText()));
    return texts;
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
