package dev.ambershim.core.plan.rescue;

import dev.ambershim.core.plan.Mishap.Harm;
import java.util.List;

/** A place in a decision tree. */
public sealed interface Node {
  /**
   * A check that a person can do, by eye, by meter or by a dry start.
   *
   * @param check the question, which yes or no answers
   * @param how how to find out
   * @param yes what follows a yes
   * @param no what follows a no
   */
  record Ask(String check, String how, Node yes, Node no) implements Node {}

  /**
   * An end of the way.
   *
   * @param harm how bad it was
   * @param what what to do now
   * @param from steps from which the plan goes on: the first of these that it has; none to go on
   *     where one is
   * @param minutes about how long it takes
   */
  record End(Harm harm, String what, List<String> from, int minutes) implements Node {
    /** Copies its list. */
    public End {
      from = List.copyOf(from);
    }
  }
}
