package dev.ambershim.core.plan;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * What was planned, and how the person works.
 *
 * @param option what is to be done, or null to go by the builds before and after
 * @param picks ways that differ from the rule, in the order of the schools
 */
public record Ways(OptionKind option, List<Way> picks) {
  /** Everything by the rule. */
  public static final Ways USUAL = new Ways(null, List.of());

  /** Keeps one pick a school, the last one, and none that is the rule. */
  public Ways {
    Set<Way> kept = EnumSet.noneOf(Way.class);
    for (Way pick : picks == null ? List.<Way>of() : picks) {
      kept.removeIf(w -> w.school() == pick.school());
      if (pick != pick.school().usual()) {
        kept.add(pick);
      }
    }
    picks = List.copyOf(kept);
  }

  /** The way taken in a school. */
  public Way of(School school) {
    return picks.stream().filter(w -> w.school() == school).findFirst().orElse(school.usual());
  }

  /** Whether a way is taken. */
  public boolean takes(Way way) {
    return of(way.school()) == way;
  }

  /** The same with another way. */
  public Ways with(Way way) {
    List<Way> all = new ArrayList<>(picks);
    all.add(way);
    return new Ways(option, all);
  }

  /** The same for another option. */
  public Ways with(OptionKind other) {
    return new Ways(other, picks);
  }
}
