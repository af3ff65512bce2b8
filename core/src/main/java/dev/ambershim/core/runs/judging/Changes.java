package dev.ambershim.core.runs.judging;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/** The change of each figure and of each core between two sides that can be compared. */
final class Changes {
  private final List<MountedRun> before;
  private final List<MountedRun> after;
  private final boolean rooms;
  private final double remount;

  Changes(
      List<MountedRun> before,
      List<MountedRun> after,
      boolean rooms,
      double factor,
      double remount) {
    this.before = before;
    this.after = factor == 1 ? after : after.stream().map(r -> scaled(r, factor)).toList();
    this.rooms = rooms;
    this.remount = remount;
  }

  Difference of(Figure figure) {
    double scatter = remount;
    if (figure == Figure.RESISTANCE) {
      scatter = remount / before.get(0).analysis().powerWatts();
    }
    return Difference.between(before, after, r -> r.figure(figure, rooms), scatter);
  }

  /** Mean after, at the power before. */
  double after(Figure figure) {
    return mean(after, r -> r.figure(figure, rooms));
  }

  List<FigureChange> figures(EqualLoad equal) {
    List<FigureChange> result = new ArrayList<>();
    for (Figure figure : Figure.values()) {
      boolean known = has(before, figure) && has(after, figure);
      if (known && (figure != Figure.RESISTANCE || rooms)) {
        result.add(change(figure.words(), figure, r -> r.figure(figure, rooms), of(figure), equal));
      }
    }
    return result;
  }

  List<FigureChange> cores(EqualLoad equal) {
    List<FigureChange> result = new ArrayList<>();
    int count = before.get(0).analysis().coreFigures().size();
    for (int c = 0; c < count; c++) {
      int core = c;
      Function<RunAnalysis, BatchMeans> figure = r -> r.core(core, rooms);
      Difference difference = Difference.between(before, after, figure, remount);
      result.add(change("core " + c, Figure.RISE, figure, difference, equal));
    }
    return result;
  }

  private FigureChange change(
      String name,
      Figure figure,
      Function<RunAnalysis, BatchMeans> of,
      Difference difference,
      EqualLoad equal) {
    double then = mean(after, of);
    return new FigureChange(
        name,
        figure,
        mean(before, of),
        then,
        difference.change(),
        difference.interval(Comparison.LEVEL, equal.open(figure, then), equal.shift(figure, then)));
  }

  private static boolean has(List<MountedRun> runs, Figure figure) {
    return runs.stream().allMatch(r -> r.analysis().figures().containsKey(figure));
  }

  private static double mean(List<MountedRun> runs, Function<RunAnalysis, BatchMeans> figure) {
    return runs.stream()
        .mapToDouble(r -> figure.apply(r.analysis()).mean())
        .average()
        .orElseThrow();
  }

  private static MountedRun scaled(MountedRun run, double factor) {
    return new MountedRun(run.analysis().scaled(factor), run.mount());
  }
}
