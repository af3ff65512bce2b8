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
      List<String> now = sentences(ask.apply(job));
      List<String> then = sentences(ask.apply(figure.write(job, other, notation)));
      String before =
          "If this were "
              + written(other, figure, notation)
              + " instead of "
              + written(value, figure, notation);
      return Optional.of(
          then.stream()
              .filter(s -> !now.contains(s))
              .findFirst()
              .map(s -> before + ":\n" + s)
              .orElse(before + ", the answer would read the same."));
    } catch (Problem none) {
      return Optional.empty();
    }
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
    answer.finding().map(Finding::sentence).ifPresent(all::add);
    answer.others().forEach(f -> all.add(f.sentence()));
    all.addAll(answer.reasons());
    return all;
  }
}
