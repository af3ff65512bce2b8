package dev.ambershim.core.stage.measure;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Die;
import dev.ambershim.core.physics.assembly.Part;
import dev.ambershim.core.physics.assembly.Room;
import dev.ambershim.core.physics.build.BuildStack;
import dev.ambershim.core.physics.build.CoreLayout;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.ThicknessMap;
import dev.ambershim.core.physics.fit.RestingContact;
import dev.ambershim.core.physics.surface.Face;
import dev.ambershim.core.physics.surface.JointCost;
import dev.ambershim.core.stage.lap.LappingQuestion;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** What a resting plate's tilt does to the joint over the bare die, and so to the cores. */
public final class FitQuestion {
  private static final int PLACES = 33;

  /** A joint whose faces differ by less is even. */
  private static final double EVEN_MICROMETRES = 0.5;

  /** Less than this cannot be read. */
  private static final double LITTLE_KELVIN = 0.05;

  private FitQuestion() {}

  /**
   * What a tilted plate costs.
   *
   * @param meanKelvin how much warmer the cores are in the mean than under a level plate that
   *     touches
   * @param spreadKelvin how much wider their spread is
   * @param thinMicrometres the joint at its thinnest over a die
   * @param thickMicrometres at its thickest
   * @param coresKelvin how much warmer each core is; empty where nothing is tilted
   */
  public record Tilted(
      double meanKelvin,
      double spreadKelvin,
      double thinMicrometres,
      double thickMicrometres,
      List<Double> coresKelvin) {
    /** Copies its list. */
    public Tilted {
      coresKelvin = List.copyOf(coresKelvin);
    }

    /**
     * How thick the joint is and what that costs, in one sentence for all who ask.
     *
     * @param subject what it begins with, such as "The paste ends"
     */
    public String sentence(String subject, Notation notation) {
      if (thickMicrometres - thinMicrometres < EVEN_MICROMETRES) {
        return subject
            + " "
            + notation.text(thinMicrometres, Unit.MICROMETRE)
            + " thick everywhere.";
      }
      String range =
          subject
              + " "
              + notation.number(thinMicrometres, Unit.MICROMETRE)
              + " to "
              + notation.text(thickMicrometres, Unit.MICROMETRE)
              + " thick";
      return meanKelvin < LITTLE_KELVIN
          ? range + ", which costs less than " + notation.text(LITTLE_KELVIN, Unit.KELVIN) + "."
          : range
              + ", which costs the mean core "
              + notation.text(meanKelvin, Unit.KELVIN)
              + " and the spread "
              + notation.text(Math.max(0, spreadKelvin), Unit.KELVIN)
              + ".";
    }

    /** Whether it costs so little that no core needs to be told apart. */
    public boolean little() {
      return meanKelvin < LITTLE_KELVIN;
    }

    public static List<Double> cores(JointCost.Cores tilted, JointCost.Cores level) {
      List<Double> each = new ArrayList<>();
      for (int i = 0; i < tilted.eachCelsius().size(); i++) {
        each.add(tilted.eachCelsius().get(i) - level.eachCelsius().get(i));
      }
      return each;
    }
  }

  /**
   * The joint over the dies under the resting plate, with the film's own thickness below it, µm.
   */
  public static ThicknessMap joint(Job job, FitAnswer fit, double filmMicrometres) {
    RestingContact rest = fit.rest().orElseThrow();
    Patch box = LappingQuestion.outline(job, Face.DIE);
    double[] xs = new double[PLACES];
    double[] ys = new double[PLACES];
    Arrays.setAll(xs, i -> box.leftMillimetres() + box.widthMillimetres() * i / (PLACES - 1));
    Arrays.setAll(ys, j -> box.lowMillimetres() + box.depthMillimetres() * j / (PLACES - 1));
    double[][] thick = new double[PLACES][PLACES];
    for (int j = 0; j < PLACES; j++) {
      for (int i = 0; i < PLACES; i++) {
        double gap = rest.at(xs[i], ys[j]) - height(job.chip(), fit, xs[i], ys[j]);
        thick[j][i] = filmMicrometres + Math.max(0, gap * 1000);
      }
    }
    return new ThicknessMap.Grid(xs, ys, thick);
  }

  /** Height of the nearest die that was read, mm; as described where it was not. */
  private static double height(Chip chip, FitAnswer fit, double x, double y) {
    Die nearest = chip.dies().get(0);
    double least = Double.POSITIVE_INFINITY;
    for (Die d : chip.dies()) {
      double away =
          Math.hypot(
              Math.max(0, Math.abs(x - d.xMillimetres()) - d.widthMillimetres() / 2),
              Math.max(0, Math.abs(y - d.yMillimetres()) - d.depthMillimetres() / 2));
      if (away < least - 1e-9) {
        least = away;
        nearest = d;
      }
    }
    String name = nearest.name();
    double described = nearest.heightMicrometres() / 1000;
    return fit.rows().stream()
        .filter(r -> r.top().name().equals(name))
        .findFirst()
        .map(r -> r.height().nominal())
        .orElse(described);
  }

  /** Where a die's reading and the chip's own figure do not go together, a sentence each. */
  public static List<String> disagreements(Job job, FitAnswer fit, Notation notation) {
    List<String> words = new ArrayList<>();
    for (Die d : job.chip().dies()) {
      for (FitAnswer.Row row : fit.rows()) {
        double read = row.height().nominal() * 1000;
        double doubt = Math.max(5, 2000 * row.height().standardMillimetres());
        if (row.top().name().equals(d.name()) && Math.abs(read - d.heightMicrometres()) > doubt) {
          words.add(
              "The section says "
                  + notation.text(d.heightMicrometres(), Unit.MICROMETRE)
                  + " for the "
                  + d.name()
                  + ", and you read "
                  + notation.text(read, Unit.MICROMETRE)
                  + ": put the section right, since Weigh reckons with it.");
        }
      }
    }
    return words;
  }

  /**
   * What the tilt costs on this chip; empty while the rest is not known or no die is read.
   *
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public static Optional<Tilted> tilted(Job job, FitAnswer fit, SolveWatch watch) {
    if (fit.rest().isEmpty() || !fit.hasDie()) {
      return Optional.empty();
    }
    Build aim = job.after();
    Build bare = new Build(false, aim.glueMicrometres(), aim.inner(), aim.outer());
    // The joint on a bare die is what the person means to put there: the outer one of a bare
    // build, else the film that is meant for under the lid.
    if (aim.lidOn()) {
      bare = new Build(false, aim.glueMicrometres(), aim.inner(), aim.inner());
    }
    double film = bare.outer().bondLineMicrometres();
    JointCost cost =
        new JointCost(
            BuildStack.likely(
                new Situation(job.chip(), job.cooler(), bare), job.heatWatts(), Room.USUAL_CELSIUS),
            Part.OUTER,
            CoreLayout.of(job.chip()).cores().size());
    ThicknessMap.Grid map = (ThicknessMap.Grid) joint(job, fit, film);
    double[][] even = new double[PLACES][PLACES];
    for (double[] row : even) {
      Arrays.fill(row, film);
    }
    JointCost.Cores level =
        cost.with(new ThicknessMap.Grid(map.xMillimetres(), map.yMillimetres(), even), 1, watch);
    JointCost.Cores tilted = cost.with(map, 1, watch);
    double thin = Double.POSITIVE_INFINITY;
    double thick = 0;
    for (Die d : job.chip().dies()) {
      for (int corner = 0; corner < 4; corner++) {
        double x = d.xMillimetres() + (corner % 2 == 0 ? -0.5 : 0.5) * d.widthMillimetres();
        double y = d.yMillimetres() + (corner < 2 ? -0.5 : 0.5) * d.depthMillimetres();
        double at = map.micrometres(null, x, y);
        thin = Math.min(thin, at);
        thick = Math.max(thick, at);
      }
    }
    return Optional.of(
        new Tilted(
            tilted.meanCelsius() - level.meanCelsius(),
            tilted.spreadKelvin() - level.spreadKelvin(),
            thin,
            thick,
            Tilted.cores(tilted, level)));
  }
}
