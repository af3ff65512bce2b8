package dev.ambershim.core.stage.practise;

import dev.ambershim.core.runs.causes.CauseKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What a person practised.
 *
 * @param faults rounds with a hidden fault
 * @param drops drops that were judged
 * @param dropsRight of these, rightly
 * @param steps questions for the next step
 * @param stepsRight of these, rightly
 */
public record PracticeRecord(
    List<Fault> faults, int drops, int dropsRight, int steps, int stepsRight) {
  /** Nothing yet. */
  public static final PracticeRecord NONE = new PracticeRecord(List.of(), 0, 0, 0, 0);

  /** The latest rounds are kept. */
  private static final int MOST = 200;

  /**
   * One round.
   *
   * @param cause what was hidden
   * @param right whether it was named
   * @param brier the person's score
   * @param programBrier the program's
   */
  public record Fault(CauseKind cause, boolean right, double brier, double programBrier) {}

  /** Copies its list. */
  public PracticeRecord {
    faults = faults == null ? List.of() : List.copyOf(faults);
  }

  /** The same with one round more. */
  public PracticeRecord with(FaultRound.Verdict v) {
    List<Fault> all = new ArrayList<>(faults);
    all.add(new Fault(v.truth().kind(), v.right(), v.brier(), v.programBrier()));
    return new PracticeRecord(
        all.subList(Math.max(0, all.size() - MOST), all.size()),
        drops,
        dropsRight,
        steps,
        stepsRight);
  }

  /** The same with one drop more. */
  public PracticeRecord withDrop(boolean right) {
    return new PracticeRecord(faults, drops + 1, dropsRight + (right ? 1 : 0), steps, stepsRight);
  }

  /** The same with one question more. */
  public PracticeRecord withStep(boolean right) {
    return new PracticeRecord(faults, drops, dropsRight, steps + 1, stepsRight + (right ? 1 : 0));
  }

  /** Found and asked, by cause. */
  public Map<CauseKind, int[]> byCause() {
    Map<CauseKind, int[]> all = new TreeMap<>();
    for (Fault fault : faults) {
      int[] count = all.computeIfAbsent(fault.cause, c -> new int[2]);
      count[0] += fault.right ? 1 : 0;
      count[1]++;
    }
    return all;
  }

  /** Mean score of the person; not a number without a round. */
  public double brier() {
    return faults.stream().mapToDouble(Fault::brier).average().orElse(Double.NaN);
  }

  /** Mean score of the program on the same evidence. */
  public double programBrier() {
    return faults.stream().mapToDouble(Fault::programBrier).average().orElse(Double.NaN);
  }
}
