package dev.ambershim.cli;

import dev.ambershim.core.base.MomentText;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.surface.ProbeTable;
import dev.ambershim.core.plan.Hours;
import dev.ambershim.core.runs.series.Judged;
import dev.ambershim.core.runs.series.MountTable;
import dev.ambershim.core.runs.series.SeriesFit;
import dev.ambershim.core.stage.series.Series;
import dev.ambershim.core.stage.series.SeriesAnswer;
import dev.ambershim.core.stage.series.SeriesPlan;
import dev.ambershim.core.stage.series.SeriesTerms;
import dev.ambershim.core.stage.series.SeriesTimes;
import dev.ambershim.logbook.formats.ScheduleCalendar;
import dev.ambershim.logbook.formats.SeriesJson;
import dev.ambershim.logbook.report.ReportFiles;
import dev.ambershim.logbook.report.SeriesReport;
import dev.ambershim.logbook.store.Json;
import dev.ambershim.logbook.store.LogFiles;
import dev.ambershim.logbook.store.WholeFile;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code series}: several candidates, planned so that they can be told apart, and judged. */
@Command(
    name = "series",
    mixinStandardHelpOptions = true,
    description = "Plan and judge a series: which of several pastes, patterns or coolers is best.",
    subcommands = {SeriesCommand.PlanIt.class, SeriesCommand.JudgeIt.class})
final class SeriesCommand implements Callable<Integer> {
  @Spec CommandSpec spec;

  @Override
  public Integer call() {
    throw new ParameterException(spec.commandLine(), "Say plan or judge");
  }

  /** {@code series plan}. */
  @Command(
      name = "plan",
      mixinStandardHelpOptions = true,
      description = "Say in which order to mount, how often, and what that can tell.")
  static final class PlanIt implements Callable<Integer> {
    @Spec CommandSpec spec;

    @Option(
        names = "--candidate",
        paramLabel = "NAME",
        required = true,
        description = "A paste, pattern, cooler or setting; once for each.")
    List<String> candidates;

    @Option(
        names = "--mounts",
        paramLabel = "N",
        description = "Mounts of each; else as many as --care asks for.")
    Integer mounts;

    @Option(names = "--hours", paramLabel = "H", description = "Plan for so many hours instead.")
    Double hours;

    @Option(names = "--care", paramLabel = "K", description = "Smallest difference that matters.")
    double care = SeriesTerms.USUAL.careKelvin();

    @Option(names = "--remount", paramLabel = "K", description = "Your scatter between mounts.")
    double remount = SeriesTerms.USUAL.remountKelvin();

    @Option(names = "--minutes", paramLabel = "MIN", description = "One mount, with its run.")
    double minutes = SeriesTerms.USUAL.mountMinutes();

    @Option(names = "--grams", paramLabel = "G", description = "What one mount uses up.")
    double grams = SeriesTerms.USUAL.mountGrams();

    @Option(
        names = "--warm-ups",
        paramLabel = "N",
        description = "Heat each mount through so often before the run that counts.")
    int warmUps = SeriesTerms.USUAL.warmUps();

    @Option(
        names = "--start",
        paramLabel = "TIME",
        description = "When to begin, such as 18:30 or \"2026-06-16 18:30\"; else now.")
    String start;

    @Option(
        names = "--between",
        paramLabel = "FROM-TO",
        description = "Hours in which you may work, such as 18:00-22:00.")
    String between;

    @Option(
        names = "--ics",
        paramLabel = "FILE",
        description = "Write the mounts as a calendar with reminders as well, .ics.")
    Path ics;

    @Option(
        names = "--card",
        paramLabel = "FILE",
        description = "Write the order as a card for the bench as well, .html or .pdf.")
    Path card;

    @Option(names = "--seed", paramLabel = "S", description = "The same gives the same order.")
    long seed = 1;

    @Option(names = "--json", description = "Print JSON.")
    boolean json;

    @Override
    public Integer call() {
      SeriesPlan plan =
          SeriesPlan.of(
              candidates,
              mounts == null ? OptionalInt.empty() : OptionalInt.of(mounts),
              Optional.ofNullable(hours),
              new SeriesTerms(care, remount, minutes, grams, warmUps),
              seed,
              Notation.METRIC);
      if (card != null) {
        ReportFiles.write(
            SeriesReport.card(
                String.join(", ", plan.candidates()), plan.rota().blocks(), plan.notes()),
            card);
      }
      Optional<SeriesTimes> times = times(plan);
      if (ics != null) {
        times.ifPresent(
            t ->
                WholeFile.write(
                    ics, ScheduleCalendar.of(t.schedule(), "series", "Series", Instant.now())));
      }
      PrintWriter out = spec.commandLine().getOut();
      if (json) {
        out.println(Json.pretty(SeriesJson.of(plan)));
      } else {
        out.println(plan.sentence());
        int place = 1;
        for (int b = 0; b < plan.rota().blocks().size(); b++) {
          out.println("  Block " + (b + 1));
          for (String candidate : plan.rota().blocks().get(b)) {
            out.println("    " + place++ + "  " + candidate);
          }
        }
        times.ifPresent(t -> out.println("  " + t.sentence()));
        plan.notes().forEach(n -> out.println("  " + n));
      }
      out.flush();
      return 0;
    }

    /** The mounts in time, where a start, hours or a calendar are asked for. */
    private Optional<SeriesTimes> times(SeriesPlan plan) {
      if (start == null && between == null && ics == null) {
        return Optional.empty();
      }
      ZoneId zone = ZoneId.systemDefault();
      Instant now = Instant.now();
      return SeriesTimes.of(
          Series.of(
                  "Series", plan, new SeriesTerms(care, remount, minutes, grams, warmUps), Map.of())
              .withHours(hours())
              .withStartAt(start == null ? null : MomentText.read(start, zone, now, "--start")),
          now,
          zone,
          Notation.METRIC);
    }

    private Hours hours() {
      if (between == null) {
        return Hours.ANY;
      }
      String[] ends = between.split("-", -1);
      Hours hours = ends.length == 2 ? new Hours(ends[0].strip(), ends[1].strip(), null) : null;
      if (hours == null || !hours.sound()) {
        throw new Problem(
            "series.hours",
            Place.field("--between"),
            "\"" + between + "\" leaves no time to work.",
            "Type it as 18:00-22:00, the first before the second.");
      }
      return hours;
    }
  }

  /** {@code series judge}. */
  @Command(
      name = "judge",
      mixinStandardHelpOptions = true,
      description = "Tell which candidates differ beyond chance, and which is best.")
  static final class JudgeIt implements Callable<Integer> {
    @Spec CommandSpec spec;

    @Parameters(
        paramLabel = "SERIES.csv",
        description =
            "Mounts, header candidate,block,rise_K,power_W; room_C, order, price, spoiled if known.")
    Path file;

    @Option(names = "--care", paramLabel = "K", description = "Smallest difference that matters.")
    double care = SeriesTerms.USUAL.careKelvin();

    @Option(
        names = "--remount",
        paramLabel = "K",
        description = "Your scatter between mounts, for a series too short to tell it.")
    double remount = SeriesTerms.USUAL.remountKelvin();

    @Option(
        names = "--report",
        paramLabel = "FILE",
        description = "Write it with its pictures as well, as .html or .pdf.")
    Path report;

    @Option(
        names = "--reference",
        paramLabel = "NAME",
        description = "Compare every other candidate with this one as well.")
    String reference;

    @Option(names = "--json", description = "Print JSON.")
    boolean json;

    @Override
    public Integer call() {
      SeriesTerms terms =
          new SeriesTerms(
              care,
              remount,
              SeriesTerms.USUAL.mountMinutes(),
              SeriesTerms.USUAL.mountGrams(),
              SeriesTerms.USUAL.warmUps());
      Judged judged =
          SeriesFit.of(
              MountTable.read(file.toString(), ProbeTable.text(LogFiles.read(file))),
              terms.remountKelvin(),
              Optional.ofNullable(reference));
      SeriesAnswer answer = SeriesAnswer.of(judged, terms.careKelvin(), Notation.METRIC);
      if (report != null) {
        ReportFiles.write(
            SeriesReport.of(answer, Notation.METRIC, file.getFileName().toString()), report);
      }
      PrintWriter out = spec.commandLine().getOut();
      if (json) {
        out.println(Json.pretty(SeriesJson.of(answer)));
      } else {
        out.println(answer.sentence());
        answer.reasons().forEach(r -> out.println("  " + r));
        for (Judged.Mean m : judged.ranking()) {
          out.println(
              String.format(
                  Locale.ROOT,
                  "  %-4s %7.1f K (%.1f to %.1f)  best with %9s  %s",
                  m.group(),
                  m.kelvin(),
                  m.interval().low(),
                  m.interval().high(),
                  SeriesAnswer.chance(m.chanceBest()),
                  m.candidate()));
        }
        answer.notes().forEach(n -> out.println("  " + n));
      }
      out.flush();
      return 0;
    }
  }
}
