package dev.ambershim.core.plan;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What a plan still needs against what is on the shelf. What was used is not taken off the shelf's
 * figures: it is counted from what all jobs have booked, so that taking a step back gives it back.
 *
 * @param lines one for each supply, in the order of need
 */
public record Kit(List<Line> lines) {
  private static final double HAIR = 1e-9;

  /**
   * One supply.
   *
   * @param supply what
   * @param needed how much is still needed
   * @param left how much good is left on the shelf
   * @param gone how much on the shelf is past its date
   * @param packs usual packs to buy
   * @param coins what they cost
   */
  public record Line(
      Supply supply, double needed, double left, double gone, int packs, double coins) {
    /** Whether there is enough. */
    public boolean enough() {
      return packs == 0;
    }
  }

  /** Copies its list. */
  public Kit {
    lines = List.copyOf(lines);
  }

  /**
   * Sets up.
   *
   * @param log what of the plan is done
   * @param shelf the packs
   * @param used what all jobs have booked so far
   * @param terms what the person pays for what the weighing also reckons with
   */
  public static Kit of(
      Plan plan, WorkLog log, List<ShelfItem> shelf, List<Use> used, Terms terms, LocalDate today) {
    Map<Supply, Double> needs = new LinkedHashMap<>();
    for (PlanStep step : plan.steps()) {
      if (!log.entry(step.id()).done()) {
        for (Need need : step.needs()) {
          needs.merge(
              need.supply(), need.amount(), need.supply().lasts() ? Math::max : Double::sum);
        }
      }
    }
    List<Line> lines = new ArrayList<>();
    for (Map.Entry<Supply, Double> need : needs.entrySet()) {
      Supply supply = need.getKey();
      double left = 0;
      double gone = 0;
      double price = price(supply, terms);
      double pack = supply.pack();
      for (ShelfItem item : shelf) {
        if (item.supply() == supply) {
          double rest = left(item, used);
          if (item.good(today)) {
            left += rest;
          } else {
            gone += rest;
          }
          price = item.coins();
          pack = item.amount();
        }
      }
      double missing = need.getValue() - left;
      int packs = missing > HAIR ? (int) Math.ceil(missing / pack - HAIR) : 0;
      lines.add(new Line(supply, need.getValue(), left, gone, packs, packs * price));
    }
    return new Kit(lines);
  }

  /** What a usual pack costs: by the job's terms where they know it, else as is usual. */
  private static double price(Supply supply, Terms terms) {
    return switch (supply) {
      case PASTE -> terms.pasteCoins();
      case METAL -> terms.metalCoins();
      case TOOL -> terms.toolCoins();
      case LID -> terms.lidCoins();
      case FRAME -> terms.frameCoins();
      case COOLER -> terms.coolerCoins();
      case PAPER -> terms.paperCoins();
      default -> supply.packCoins();
    };
  }

  /** What is left of a pack. */
  public static double left(ShelfItem item, List<Use> used) {
    double taken = 0;
    for (Use use : used) {
      if (use.item().equals(item.name()) && use.supply() == item.supply()) {
        taken += use.amount();
      }
    }
    return Math.max(0, item.amount() - taken);
  }

  /**
   * What a step takes off the shelf: from good packs, the one that goes off first before the
   * others. What is not there is not booked; what lasts stays.
   */
  public static List<Use> book(
      PlanStep step, List<ShelfItem> shelf, List<Use> used, LocalDate today) {
    List<ShelfItem> good =
        shelf.stream()
            .filter(i -> i.good(today))
            .sorted(
                Comparator.comparing(
                    ShelfItem::until, Comparator.nullsLast(Comparator.naturalOrder())))
            .toList();
    List<Use> booked = new ArrayList<>();
    for (Need need : step.needs()) {
      double missing = need.supply().lasts() ? 0 : need.amount();
      for (ShelfItem item : good) {
        if (item.supply() == need.supply() && missing > HAIR) {
          double take = Math.min(missing, left(item, used));
          if (take > HAIR) {
            booked.add(new Use(item.name(), item.supply(), take));
            missing -= take;
          }
        }
      }
    }
    return booked;
  }

  /** What has to be bought. */
  public List<Line> shopping() {
    return lines.stream().filter(l -> !l.enough()).toList();
  }

  /** What that costs, coins. */
  public double coins() {
    return lines.stream().mapToDouble(Line::coins).sum();
  }

  /** The kit in one sentence. */
  public String sentence(Notation notation) {
    List<Line> missing = shopping();
    if (lines.isEmpty()) {
      return "Nothing more is needed.";
    }
    if (missing.isEmpty()) {
      return "All " + lines.size() + " things it needs are on the shelf.";
    }
    return missing.size()
        + " of "
        + lines.size()
        + " things have to be bought, for about "
        + notation.text(coins(), Unit.COIN)
        + ".";
  }
}
