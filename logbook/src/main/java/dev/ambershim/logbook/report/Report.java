package dev.ambershim.logbook.report;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.RunResult;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.build.Detail;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.picture.LadderPicture;
import dev.ambershim.core.picture.RunChart;
import dev.ambershim.core.picture.RunLines;
import dev.ambershim.core.picture.SectionPicture;
import dev.ambershim.core.runs.judging.RunAnalysis;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.Drawing;
import dev.ambershim.core.stage.baseline.BaselineAnswer;
import dev.ambershim.core.stage.diagnosis.DiagnosisAnswer;
import dev.ambershim.core.stage.keep.KeepAnswer;
import dev.ambershim.core.stage.prove.Headroom;
import dev.ambershim.core.stage.prove.ProveAnswer;
import dev.ambershim.core.stage.prove.RungPicture;
import dev.ambershim.core.stage.weigh.Forecast;
import dev.ambershim.core.stage.weigh.HeatSectionPicture;
import dev.ambershim.core.stage.weigh.OptionsPicture;
import dev.ambershim.core.stage.weigh.Weighing;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * What a job's report says, in order: the answer, its reasons, the chart, the section before and
 * after, what was expected, the runs, the working, the caution.
 *
 * @param title the job's title
 * @param blocks its pieces
 */
public record Report(String title, List<Block> blocks) {
  private static final double WIDTH = 720;
  private static final double SECTION_HEIGHT = 220;

  /** Copies its list. */
  public Report {
    blocks = List.copyOf(blocks);
  }

  /**
   * Sets out a job.
   *
   * @param weighing what was weighed for the job, if that was done
   * @param date the day it is written, in words
   */
  public static Report of(
      Assessment assessment, Optional<Weighing> weighing, Notation notation, String date) {
    Job job = assessment.job();
    List<Block> blocks = new ArrayList<>();
    Forecast forecast = Forecast.of(assessment, Solved.SHARED, SolveWatch.NONE);
    Optional<DiagnosisAnswer> beforeCauses = Answers.causes(assessment, Side.BEFORE, notation);
    Optional<DiagnosisAnswer> afterCauses = Answers.causes(assessment, Side.AFTER, notation);
    ProveAnswer proved =
        ProveAnswer.of(
            assessment, Optional.of(forecast), afterCauses.map(DiagnosisAnswer::ranking));
    blocks.add(new Block.Answer(answer(assessment, proved)));
    blocks.add(
        new Block.Paragraph(
            job.chip().name()
                + " ("
                + job.chip().kind()
                + "), cooler: "
                + (job.cooler().name().isEmpty() ? "not named" : job.cooler().name())
                + ". Written "
                + date
                + "."));
    if (!job.notes().isBlank()) {
      blocks.add(new Block.Paragraph(job.notes()));
    }
    Chapter.points(blocks, proved.reasons());
    List<RunChart.Line> lines = RunLines.of(assessment.runs());
    if (!lines.isEmpty()) {
      blocks.add(new Block.Heading("Runs before and after"));
      blocks.add(
          new Block.Figure(
              RunChart.of(lines, notation, WIDTH, 300),
              "Bars at the foot mark the settled parts that count."));
      blocks.add(runTable(assessment, notation));
      List<String> remarks = new ArrayList<>();
      for (RunResult run : assessment.runs()) {
        run.analysis()
            .ifPresent(
                a -> a.remarks().forEach(r -> remarks.add(run.entry().fileName() + ": " + r)));
        run.log().notes().remarks().forEach(r -> remarks.add(run.entry().fileName() + ": " + r));
        run.problem().ifPresent(p -> remarks.add(p.getMessage()));
      }
      if (!remarks.isEmpty()) {
        blocks.add(new Block.Points(remarks));
      }
    }
    addHeadroom(blocks, assessment.headroom(), notation);
    blocks.add(new Block.Heading("The section"));
    for (Side side : Side.values()) {
      blocks.add(
          new Block.Figure(
              SectionPicture.of(
                  job.chip(), job.cooler(), job.build(side), notation, WIDTH / 2, 300),
              side == Side.BEFORE ? "Before." : "After."));
    }
    weighing.ifPresent(w -> addWeighing(blocks, w, notation));
    beforeCauses.ifPresent(a -> addCauses(blocks, a, Side.BEFORE));
    afterCauses.ifPresent(a -> addCauses(blocks, a, Side.AFTER));
    blocks.add(new Block.Heading("What was expected"));
    blocks.add(new Block.Paragraph(forecast.change().sentence()));
    if (forecast.before().isPresent() && forecast.after().isPresent()) {
      blocks.add(
          new Block.Figure(
              LadderPicture.of(
                  column(forecast.before().get(), "before"),
                  column(forecast.after().get(), "after"),
                  notation,
                  WIDTH,
                  230),
              "Where the kelvin go, as solved in three dimensions."));
      section(blocks, forecast.before().get(), forecast.after().get(), notation);
    }
    Optional<KeepAnswer> kept =
        job.care().checks().isEmpty()
            ? Optional.empty()
            : Optional.of(KeepAnswer.of(job, notation));
    kept.ifPresent(
        k -> {
          blocks.add(new Block.Heading("In use"));
          blocks.addAll(Chapter.of(k));
        });
    blocks.add(new Block.Heading("How it was worked out"));
    assessment.comparison().ifPresent(c -> addWorking(blocks, c.finding(), notation));
    assessment.baseline().ifPresent(b -> addWorking(blocks, b, notation));
    addWorking(blocks, forecast.change(), notation);
    if (!assessment.headroom().isEmpty()) {
      addWorking(blocks, assessment.headroom().finding(), notation);
      assessment.headroom().gainWithoutBounds().ifPresent(f -> addWorking(blocks, f, notation));
    }
    weighing.ifPresent(w -> addWorking(blocks, w.advice(), notation));
    kept.flatMap(KeepAnswer::finding).ifPresent(f -> addWorking(blocks, f, notation));
    beforeCauses.ifPresent(a -> addWorking(blocks, a.told(), notation));
    afterCauses.ifPresent(a -> addWorking(blocks, a.told(), notation));
    blocks.add(new Block.Heading("Bear in mind"));
    blocks.add(
        new Block.Paragraph(
            "Opening a processor ends its warranty and can ruin it. Labels, the maker's instructions"
                + " and local rules come before anything written here."));
    return new Report(job.title(), blocks);
  }

  private static void addCauses(List<Block> blocks, DiagnosisAnswer answer, Side side) {
    blocks.add(new Block.Heading("Why it is hot " + side.words() + " the work"));
    blocks.add(new Block.Paragraph(answer.sentence()));
    Chapter.points(blocks, answer.reasons());
    for (Drawing drawing : answer.pictures()) {
      blocks.add(new Block.Figure(drawing.at(WIDTH), drawing.caption() + "."));
    }
  }

  private static void section(List<Block> blocks, Detail before, Detail after, Notation notation) {
    if (before.section().isPresent() && after.section().isPresent()) {
      blocks.add(
          new Block.Figure(
              HeatSectionPicture.of(
                  before.section().get(),
                  after.section().get(),
                  "after",
                  notation,
                  WIDTH,
                  SECTION_HEIGHT),
              "Where the heat goes: a cut through the hottest core, with lines of equal"
                  + " temperature."));
    }
  }

  private static LadderPicture.Column column(Detail detail, String name) {
    return new LadderPicture.Column(detail.ladder(), detail.watts(), name);
  }

  /** The same with more blocks before the working. */
  public Report with(List<Block> more) {
    List<Block> all = new ArrayList<>(blocks);
    int at = all.indexOf(new Block.Heading("How it was worked out"));
    all.addAll(at < 0 ? all.size() : at, more);
    return new Report(title, all);
  }

  private static void addHeadroom(List<Block> blocks, Headroom headroom, Notation notation) {
    if (headroom.isEmpty()) {
      return;
    }
    blocks.add(new Block.Heading("How far it clocks"));
    blocks.add(new Block.Paragraph(headroom.finding().sentence()));
    List<String> points = new ArrayList<>(headroom.reasons());
    headroom.gainWithoutBounds().ifPresent(f -> points.add(f.sentence()));
    headroom.kelvinAtEqualClock().ifPresent(f -> points.add(f.sentence()));
    if (!points.isEmpty()) {
      blocks.add(new Block.Points(points));
    }
    List<RungPicture.Column> columns = RungPicture.columns(headroom, true, Double.NaN, Double.NaN);
    blocks.add(
        new Block.Figure(
            RungPicture.of(columns, notation, WIDTH, RungPicture.height(columns)),
            "Rungs that passed are whole; the highest clock lies in the shaded gap."));
  }

  private static void addWeighing(List<Block> blocks, Weighing weighing, Notation notation) {
    blocks.add(new Block.Heading("What could be done, as weighed before the work"));
    blocks.addAll(Chapter.of(weighing));
    blocks.add(
        new Block.Figure(
            OptionsPicture.of(weighing, notation, WIDTH, 320),
            "Gain of each option at this load, with what it takes."));
  }

  private static String answer(Assessment assessment, ProveAnswer proved) {
    return proved.finding().isPresent() || assessment.baseline().isEmpty()
        ? proved.sentence()
        : BaselineAnswer.of(assessment).sentence();
  }

  private static Block runTable(Assessment assessment, Notation notation) {
    List<List<String>> rows = new ArrayList<>();
    rows.add(
        List.of(
            "Run",
            "Side",
            "Rise",
            "Hottest core",
            "Spread",
            "Power",
            "K/W",
            "Settled",
            "Throttled"));
    for (RunResult run : assessment.runs()) {
      if (run.analysis().isEmpty()) {
        continue;
      }
      RunAnalysis a = run.analysis().get();
      rows.add(
          List.of(
              run.entry().fileName(),
              run.entry().side().words(),
              notation.text(a.riseKelvin(), Unit.KELVIN),
              notation.text(a.hottestCoreCelsius(), Unit.CELSIUS),
              notation.text(a.spreadKelvin(), Unit.KELVIN),
              notation.text(a.powerWatts(), Unit.WATT),
              notation.number(a.resistanceKelvinPerWatt(), Unit.KELVIN_PER_WATT),
              Math.round(a.plateauSeconds()) + " s",
              Math.round(a.throttledSeconds()) + " s"));
    }
    return new Block.Table(rows);
  }

  /** A finding with how it was worked out. */
  static void addWorking(List<Block> blocks, Finding finding, Notation notation) {
    Working working = finding.working();
    blocks.add(new Block.Paragraph(finding.sentence()));
    blocks.add(new Block.Paragraph("Method: " + working.formula() + "."));
    List<List<String>> rows = new ArrayList<>();
    rows.add(List.of("Input", "Figure"));
    for (Working.Input input : working.inputs()) {
      rows.add(List.of(input.name(), notation.significant(input.value(), input.unit())));
    }
    blocks.add(new Block.Table(rows));
    blocks.add(new Block.Paragraph("Source: " + working.source() + "."));
    blocks.add(new Block.Points(working.limits()));
  }

  /** The title as a file name without surprises. */
  public static String fileName(String title) {
    String plain = title.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
    String trimmed = plain.replaceAll("^-|-$", "");
    return trimmed.isEmpty() ? "job" : trimmed;
  }
}
