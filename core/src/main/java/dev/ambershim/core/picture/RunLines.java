package dev.ambershim.core.picture;

import dev.ambershim.core.job.RunResult;
import dev.ambershim.core.job.Side;
import java.util.ArrayList;
import java.util.List;

/** Runs as lines of a chart. */
public final class RunLines {
  private RunLines() {}

  /** The lines for runs that could be worked out, named by their side and place in it. */
  public static List<RunChart.Line> of(List<RunResult> runs) {
    List<RunChart.Line> lines = new ArrayList<>();
    for (Side side : Side.values()) {
      List<RunResult> here =
          runs.stream().filter(r -> r.entry().side() == side && r.analysis().isPresent()).toList();
      for (int i = 0; i < here.size(); i++) {
        String state = here.get(i).entry().stateName();
        String name = here.size() == 1 ? state : state + ", run " + (i + 1);
        boolean fit = here.get(i).analysis().orElseThrow().unfit().isEmpty();
        lines.add(
            new RunChart.Line(
                fit ? name : name + ", left out",
                side == Side.AFTER,
                here.get(i).log(),
                here.get(i).analysis().orElseThrow()));
      }
    }
    return lines;
  }
}
