package dev.ambershim.core.runs.series;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * Letters for groups that cannot be told apart: two candidates share one exactly if they were not
 * told from each other (Piepho 2004, by inserting and absorbing).
 */
final class Letters {
  private Letters() {}

  /**
   * A candidate's letters, in the order of the names.
   *
   * @param names the candidates, the coolest first
   * @param pairs every two of them
   */
  static List<String> of(List<String> names, List<Judged.Pair> pairs) {
    List<Set<String>> groups = new ArrayList<>(List.of(new LinkedHashSet<>(names)));
    for (Judged.Pair pair : pairs) {
      if (pair.told()) {
        groups = parted(groups, pair);
      }
    }
    groups.sort(
        (a, b) -> {
          int first = Integer.compare(least(names, a), least(names, b));
          return first != 0 ? first : Integer.compare(most(names, a), most(names, b));
        });
    List<String> letters = new ArrayList<>();
    for (String name : names) {
      StringBuilder text = new StringBuilder();
      for (int g = 0; g < groups.size(); g++) {
        if (groups.get(g).contains(name)) {
          text.append(letter(g));
        }
      }
      letters.add(text.toString());
    }
    return letters;
  }

  private static List<Set<String>> parted(List<Set<String>> groups, Judged.Pair pair) {
    List<Set<String>> all = new ArrayList<>();
    for (Set<String> group : groups) {
      if (group.contains(pair.first()) && group.contains(pair.second())) {
        for (String one : List.of(pair.first(), pair.second())) {
          Set<String> without = new LinkedHashSet<>(group);
          without.remove(one);
          all.add(without);
        }
      } else {
        all.add(group);
      }
    }
    List<Set<String>> kept = new ArrayList<>();
    Set<Integer> absorbed = new HashSet<>();
    for (int i = 0; i < all.size(); i++) {
      for (int j = 0; j < all.size(); j++) {
        boolean inside = all.get(j).containsAll(all.get(i));
        boolean same = inside && all.get(i).size() == all.get(j).size();
        if (i != j && inside && !absorbed.contains(j) && (!same || j < i)) {
          absorbed.add(i);
          break;
        }
      }
      if (!absorbed.contains(i)) {
        kept.add(all.get(i));
      }
    }
    return kept;
  }

  private static int least(List<String> names, Set<String> group) {
    return group.stream().mapToInt(names::indexOf).min().orElse(0);
  }

  private static int most(List<String> names, Set<String> group) {
    return group.stream().mapToInt(names::indexOf).max().orElse(0);
  }

  /** A letter; after z come two. */
  private static String letter(int place) {
    return (place >= 26 ? String.valueOf((char) ('a' + place / 26 - 1)) : "")
        + (char) ('a' + place % 26);
  }
}
