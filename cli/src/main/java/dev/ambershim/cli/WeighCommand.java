package dev.ambershim.cli;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.build.Response;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.plan.Terms;
import dev.ambershim.core.plan.Wish;
import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.diagnosis.JobCase;
import dev.ambershim.core.stage.weigh.CurveCheck;
import dev.ambershim.core.stage.weigh.OptionForecast;
import dev.ambershim.core.stage.weigh.OwnRecord;
import dev.ambershim.core.stage.weigh.Question;
import dev.ambershim.core.stage.weigh.Suspicion;
import dev.ambershim.core.stage.weigh.Tries;
import dev.ambershim.core.stage.weigh.WeighQuestion;
import dev.ambershim.core.stage.weigh.Weighing;
import dev.ambershim.core.stage.weigh.WhatIf;
import dev.ambershim.logbook.formats.WeighJson;
import dev.ambershim.logbook.report.Solved;
import dev.ambershim.logbook.store.Access;
import dev.ambershim.logbook.store.Json;
import dev.ambershim.logbook.store.LogFiles;
import dev.ambershim.logbook.store.Logbook;
import dev.ambershim.logbook.store.Readings;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code weigh}: what each option would gain on this chip, and what it takes. */
@Command(
    name = "weigh",
    mixinStandardHelpOptions = true,
    description = "Weigh what could be done to a job's chip.")
final class WeighCommand implements Callable<Integer> {
  @Spec CommandSpec spec;

  @Parameters(
      paramLabel = "JOB.json",
      description = "The job; its logs are looked for beside it, or in logs/ as in a bundle.")
  Path file;

  @Option(names = "--heat", paramLabel = "W", description = "Weigh for this heat.")
  Double heat;

  @Option(
      names = "--clock",
      paramLabel = "PERCENT",
      description = "Weigh for this clock, as percent of what was read.")
  double clock = 100;

  @Option(names = "--room", paramLabel = "C", description = "Weigh for this room, °C.")
  Double room;

  @Option(
      names = "--fan",
      paramLabel = "PERCENT",
      description = "Weigh for this fan speed, as percent of what was read.")
  double fan = 100;

  @Option(
      names = "--wish",
      paramLabel = "WISH",
      description = "What you want of it: ${COMPLETION-CANDIDATES} (default: the job's).")
  Wish wish;

  @Option(
      names = "--target",
      paramLabel = "K",
      description = "How much cooler it should get at least.")
  Double target;

  @Option(
      names = "--logbook",
      paramLabel = "DIR",
      description = "Count your own tries from this logbook.")
  Path logbook;

  @Option(names = "--json", description = "Print JSON.")
  boolean json;

  @Override
  public Integer call() {
    if (target != null) {
      within("--target", target, 0, 100);
    }
    within("--clock", clock, 20, 200);
    within("--fan", fan, 10, 400);
    if (heat != null) {
      within("--heat", heat, 1, 2000);
    }
    if (room != null) {
      within("--room", room, -40, 60);
    }
    Job job = wished(JobInput.read(file));
    try {
      return weigh(job);
    } catch (Problem problem) {
      throw problem.in(file.toString());
    }
  }

  private Job wished(Job job) {
    Terms terms = wish == null ? job.terms() : job.terms().withWish(wish);
    return job.withTerms(target == null ? terms : terms.withTargetKelvin(target));
  }

  private int weigh(Job job) {
    PrintWriter out = spec.commandLine().getOut();
    List<String> missing = new ArrayList<>();
    Assessment assessment = Assessment.of(job, logs(job, missing), Notation.METRIC);
    Question plain = WeighQuestion.of(assessment, record());
    Question question =
        JobCase.of(assessment, Side.BEFORE)
            .map(c -> Suspicion.of(Solved.CAUSES.of(c, SolveWatch.NONE), c.watts()))
            .map(plain::withSuspicion)
            .orElse(plain);
    WhatIf load =
        new WhatIf(
            heat == null ? 1 : heat / question.heatWatts(),
            clock / 100,
            room == null ? 0 : room - question.roomCelsius(),
            fan / 100);
    Map<Situation, Response> solved =
        Solved.SHARED.of(Weighing.situations(question, Notation.METRIC), SolveWatch.NONE);
    Weighing weighing =
        new CurveCheck(
                Weighing.of(question, load, solved, Notation.METRIC),
                solved,
                Notation.METRIC,
                SolveWatch.NONE,
                Solved.HELPERS)
            .advised();
    if (json) {
      out.println(Json.pretty(WeighJson.of(weighing, missing)));
    } else {
      print(out, weighing);
      missing.forEach(m -> out.println("The log " + m + " was not found; it is not counted."));
    }
    out.flush();
    return 0;
  }

  private static void within(String name, double value, double low, double high) {
    if (!(value >= low && value <= high)) {
      throw new Problem(
          "weigh.range",
          Place.field(name),
          value + " cannot be.",
          "Give a figure from " + low + " to " + high + ".");
    }
  }

  private OwnRecord record() {
    if (logbook == null) {
      return OwnRecord.NONE;
    }
    try (Logbook book =
        Logbook.open(logbook.toAbsolutePath(), Access.READ_ONLY, Clock.systemUTC())) {
      return Tries.of(List.copyOf(book.jobs().values()));
    }
  }

  private Map<String, RunLog> logs(Job job, List<String> missing) {
    Path folder = file.toAbsolutePath().getParent();
    Map<String, RunLog> found = new HashMap<>();
    for (RunEntry run : job.runs()) {
      for (Path at :
          List.of(
              folder.resolve(Path.of(run.fileName()).getFileName()),
              folder.resolve("logs").resolve(run.sha256() + ".log"))) {
        if (!found.containsKey(run.sha256()) && Files.isRegularFile(at)) {
          byte[] bytes = LogFiles.read(at);
          if (Readings.sha256(bytes).equals(run.sha256())) {
            found.put(run.sha256(), LogReader.read(run.fileName(), bytes));
          }
        }
      }
      if (!found.containsKey(run.sha256())) {
        missing.add(run.fileName());
      }
    }
    return found;
  }

  private static void print(PrintWriter out, Weighing weighing) {
    out.println(weighing.advice().sentence());
    weighing.reasons().forEach(r -> out.println("  " + r));
    out.println();
    for (OptionForecast f : weighing.ranked()) {
      if (!f.option().possible()) {
        out.printf(
            Locale.ROOT,
            "%-33s not possible: %s%n",
            f.option().words(),
            f.option().impossible().orElseThrow());
        continue;
      }
      out.printf(
          Locale.ROOT,
          "%-33s %5.1f K (%5.1f to %5.1f)  spread %4.1f K  %4.0f "
              + Notation.USUAL_CURRENCY
              + "  %3.1f h + %2.0f h  risk %4.1f %%  %5.2f K/"
              + Notation.USUAL_CURRENCY
              + "%n",
          f.option().words(),
          f.gainKelvin(),
          f.gain().low(),
          f.gain().high(),
          f.spreadKelvin(),
          f.coins(),
          f.option().handsHours(),
          f.option().waitHours(),
          100 * f.ruin(),
          f.kelvinPerCoin());
    }
  }
}
