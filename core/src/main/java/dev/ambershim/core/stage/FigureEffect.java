package dev.ambershim.core.stage;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Figure;
import dev.ambershim.core.job.Job;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * What a figure changes: what the stage would say if the figure were a tenth more, or one more of
 * what is counted. The first finding that is not the same then is told, the stage's own answer
 * before all others.
 */
public final class FigureEffect {
  private static final double MORE = 0.1;

  /** From zero, of what is possible at all. */
  private static final double SOME = 0.01;

  private FigureEffect() {}

  /**
   * The effect in words.
   *
   * @param ask the stage's answer for a job; it must be the same each time
   * @return empty where the figure has no value, or cannot move, or the stage has no answer
   */
  public static Optional<String> words(
      Job job, Figure figure, Function<Job, StageAnswer> ask, Notation notation) {
    Double value =
        Optional.ofNullable(figure.read(job)).or(() -> figure.otherwise(job)).orElse(null);
    if (value == null) {
      return Optional.empty();
    }
    double step = step(figure, value);
    double other = figure.possible().holds(value + step) ? value + step : value - step;
    if (!figure.possible().holds(other)) {
      return Optional.empty();
    }
    try {
      StageAnswer is = ask.apply(job);
      StageAnswer would = ask.apply(figure.write(job, other, notation));
      List<String> now = sentences(is);
      String before =
          "If this were "
              + written(other, figure, notation)
              + " instead of "
              + written(value, figure, notation);
      return Optional.of(
          sentences(would).stream()
              .filter(s -> !now.contains(s))
              .findFirst()
              .map(s -> before + ":\n" + s + besideDoubt(s, is, would, notation))
              .orElse(before + ", the answer would read the same."));
    } catch (Problem none) {
      return Optional.empty();
    }
  }

  /**
   * How far the told figure moves beside what is in doubt of it, so that a person sees whether the
   * box is worth a second measurement. Empty where the sentence tells no figure with an interval.
   */
  private static String besideDoubt(
      String told, StageAnswer is, StageAnswer would, Notation notation) {
    boolean lead = told.equals(would.sentence());
    return findings(would)
        .filter(f -> f.sentence().equals(told) || (lead && Optional.of(f).equals(would.finding())))
        .findFirst()
        .flatMap(
            f ->
                findings(is)
                    .filter(g -> g.key().equals(f.key()) && g.interval().isPresent())
                    .findFirst()
                    .filter(g -> Math.abs(f.value() - g.value()) > 0)
                    .filter(g -> Double.isFinite(g.interval().orElseThrow().width()))
                    .map(
                        g ->
                            "\nThat moves it by "
                                + twoDigits(f.value() - g.value(), g.unit(), notation)
                                + ". Its interval is "
                                + twoDigits(g.interval().orElseThrow().width(), g.unit(), notation)
                                + " wide."))
        .orElse("");
  }

  /**
   * Two digits: both are small beside the figure itself. A difference of temperatures has no zero.
   */
  private static String twoDigits(double kept, Unit of, Notation notation) {
    Unit unit = of == Unit.CELSIUS ? Unit.KELVIN : of;
    double shown = Math.abs(notation.shown(kept, unit));
    int decimals = shown > 0 ? Math.max(0, 1 - (int) Math.floor(Math.log10(shown))) : 0;
    return (notation.fixed(shown, decimals) + " " + notation.symbol(unit)).strip();
  }

  private static Stream<Finding> findings(StageAnswer answer) {
    return Stream.concat(answer.finding().stream(), answer.others().stream());
  }

  /** As a box shows it: an answer's rounding would hide so small a step. */
  private static String written(double value, Figure figure, Notation notation) {
    String symbol = notation.symbol(figure.unit());
    return notation.editable(value, figure.unit()) + (symbol.isEmpty() ? "" : " " + symbol);
  }

  private static double step(Figure figure, double value) {
    if (figure.unit() == Unit.COUNT) {
      return 1;
    }
    if (value != 0) {
      return MORE * Math.abs(value);
    }
    boolean all = figure.usual().equals(figure.possible());
    return (all ? SOME : MORE) * (figure.usual().high() - figure.usual().low());
  }

  private static List<String> sentences(StageAnswer answer) {
    List<String> all = new ArrayList<>();
    all.add(answer.sentence());
    findings(answer).map(Finding::sentence).forEach(all::add);
    all.addAll(answer.reasons());
    return all;
  }
}
