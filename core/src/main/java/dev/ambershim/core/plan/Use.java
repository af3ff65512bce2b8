package dev.ambershim.core.plan;

import java.util.Objects;

/**
 * What a step took off the shelf.
 *
 * @param item the item on the shelf, by its name there
 * @param supply what it is
 * @param amount how much, in the supply's unit
 */
public record Use(String item, Supply supply, double amount) {
  /** Checks that it says what. */
  public Use {
    Objects.requireNonNull(item, "item");
    Objects.requireNonNull(supply, "supply");
  }
}
