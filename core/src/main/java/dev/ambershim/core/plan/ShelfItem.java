package dev.ambershim.core.plan;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import java.time.LocalDate;

/**
 * A pack on the shelf.
 *
 * @param name what the person calls it; one of a kind on the shelf
 * @param supply what it is
 * @param amount how much was in it when it was put there, in the supply's unit
 * @param coins what it cost
 * @param until the last day on which it is good, or null if it does not go off
 */
public record ShelfItem(String name, Supply supply, double amount, double coins, LocalDate until) {
  private static final double MOST = 100_000;

  /**
   * An item as it was typed.
   *
   * @throws Problem {@code shelf.item} if it cannot be
   */
  public static ShelfItem checked(
      String name, Supply supply, double amount, double coins, LocalDate until) {
    if (name.isBlank()) {
      throw problem("name", "The pack has no name.", "Call it something, such as \"small tube\".");
    }
    if (!(amount > 0 && amount <= MOST)) {
      throw problem("amount", "So much cannot be.", "Type how much is in it, above zero.");
    }
    if (!(coins >= 0 && coins <= MOST)) {
      throw problem("price", "Such a price cannot be.", "Type zero or more.");
    }
    return new ShelfItem(name.strip(), supply, amount, coins, until);
  }

  private static Problem problem(String field, String what, String remedy) {
    return new Problem("shelf.item", Place.field(field), what, remedy);
  }

  /** A usual pack, opened today. */
  public static ShelfItem usual(Supply supply, LocalDate today) {
    return new ShelfItem(
        supply.words(),
        supply,
        supply.pack(),
        supply.packCoins(),
        supply.months() == 0 ? null : today.plusMonths(supply.months()));
  }

  /** Whether it is still good. */
  public boolean good(LocalDate today) {
    return until == null || !until.isBefore(today);
  }
}
