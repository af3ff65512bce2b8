package dev.ambershim.core.plan;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.OptionalLong;

/**
 * A pack on the shelf.
 *
 * @param name what the person calls it; one of a kind on the shelf
 * @param supply what it is
 * @param amount how much was in it when it was put there, in the supply's unit
 * @param coins what it cost
 * @param until the last day on which it is good, or null if it does not go off
 * @param bought when it was put there, or null if that is not known
 * @param opened when it was opened, or null while it is not
 * @param lot what the maker stamped on it; empty if nothing
 */
public record ShelfItem(
    String name,
    Supply supply,
    double amount,
    double coins,
    LocalDate until,
    LocalDate bought,
    LocalDate opened,
    String lot) {
  private static final double MOST = 100_000;

  /** Fills in what an older shelf does not say. */
  public ShelfItem {
    lot = lot == null ? "" : lot.strip();
  }

  /** A pack of which no more is known. */
  public ShelfItem(String name, Supply supply, double amount, double coins, LocalDate until) {
    this(name, supply, amount, coins, until, null, null, "");
  }

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

  /** A usual pack, bought today. */
  public static ShelfItem usual(Supply supply, LocalDate today) {
    return new ShelfItem(
            supply.words(),
            supply,
            supply.pack(),
            supply.packCoins(),
            supply.months() == 0 ? null : today.plusMonths(supply.months()))
        .bought(today, "");
  }

  /** The same as it was bought. */
  public ShelfItem bought(LocalDate day, String stamped) {
    return new ShelfItem(name, supply, amount, coins, until, day, opened, stamped);
  }

  /** The same, opened. */
  public ShelfItem opened(LocalDate day) {
    return new ShelfItem(name, supply, amount, coins, until, bought, day, lot);
  }

  /** Days since it was opened, else since it was bought; empty if neither is known. */
  public OptionalLong ageDays(LocalDate today) {
    LocalDate since = opened == null ? bought : opened;
    return since == null
        ? OptionalLong.empty()
        : OptionalLong.of(Math.max(0, ChronoUnit.DAYS.between(since, today)));
  }

  /** Whether it is still good. */
  public boolean good(LocalDate today) {
    return until == null || !until.isBefore(today);
  }
}
