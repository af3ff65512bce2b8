package dev.ambershim.core.stage;

import dev.ambershim.core.base.Finding;
import java.util.List;
import java.util.Optional;

/**
 * What a stage says of a job: the one source of its sentences. Window, report, JSON and command
 * print it as it is, and none of them writes a sentence of its own or takes one apart.
 */
public interface StageAnswer {
  /** The stage that says it. */
  Stage stage();

  /** The answer in a sentence; what is still needed for one while there is none. */
  String sentence();

  /** The figure behind the sentence with its interval and working; empty where there is none. */
  Optional<Finding> finding();

  /** Why, the most telling first. */
  List<String> reasons();

  /** What to watch and to know beside it. */
  default List<String> notes() {
    return List.of();
  }

  /** Further findings of the stage, each with its working. */
  default List<Finding> others() {
    return List.of();
  }

  /** What shows it, in the order in which it is looked at. */
  default List<Drawing> pictures() {
    return List.of();
  }
}
