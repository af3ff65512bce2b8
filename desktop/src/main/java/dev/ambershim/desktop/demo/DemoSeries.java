package dev.ambershim.desktop.demo;

import dev.ambershim.core.stage.series.Series;
import dev.ambershim.core.stage.series.SeriesTerms;
import java.util.ArrayList;
import java.util.List;

/**
 * Five invented pastes in three blocks on a bench that warms; two of them cannot be told apart, and
 * one mount was spoiled.
 */
final class DemoSeries {
  private static final List<String> PASTES =
      List.of("ash paste", "birch paste", "clay paste", "dune paste", "elm paste");
  private static final int[][] ORDERS = {{0, 1, 2, 3, 4}, {3, 4, 0, 2, 1}, {2, 0, 3, 1, 4}};
  private static final double[][] RISES = {
    {61.9, 60.9, 63.1, 60.4, 65.0}, {61.3, 66.1, 62.6, 63.6, 61.1}, {64.2, 63.4, 61.5, 61.4, 66.0}
  };
  private static final double[][] WATTS = {
    {149.2, 150.1, 150.6, 149.5, 150.3},
    {150.8, 151.2, 149.9, 149.4, 149.6},
    {150.4, 150.9, 150.0, 150.2, 149.8}
  };

  private DemoSeries() {}

  static Series fivePastes() {
    List<List<String>> blocks = new ArrayList<>();
    List<Series.Made> made = new ArrayList<>();
    for (int b = 0; b < ORDERS.length; b++) {
      List<String> block = new ArrayList<>();
      for (int i = 0; i < ORDERS[b].length; i++) {
        String paste = PASTES.get(ORDERS[b][i]);
        block.add(paste);
        if (b == 1 && i == 2) {
          made.add(new Series.Made(paste, b + 1, null, null, null, "a hair under the plate", ""));
        }
        made.add(
            new Series.Made(
                paste,
                b + 1,
                RISES[b][i],
                WATTS[b][i],
                21.4 + 0.08 * (5 * b + i),
                "",
                paste.startsWith("dune") ? "thick, covers to the corners" : ""));
      }
      blocks.add(block);
    }
    return new Series("five pastes", PASTES, blocks, SeriesTerms.USUAL, made);
  }
}
