package dev.ambershim.core.runs.series;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.base.Interval;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class LettersTest {
  private static List<Judged.Pair> pairs(List<String> names, Set<String> told) {
    List<Judged.Pair> pairs = new ArrayList<>();
    for (int i = 0; i < names.size(); i++) {
      for (int j = i + 1; j < names.size(); j++) {
        boolean is = told.contains(names.get(i) + names.get(j));
        pairs.add(
            new Judged.Pair(
                names.get(i), names.get(j), -1, Interval.around(-1, is ? 0.5 : 2, 0.95), is));
      }
    }
    return pairs;
  }

  @Test
  void thoseThatOverlapShareALetter() {
    List<String> names = List.of("A", "B", "C", "D");
    assertThat(Letters.of(names, pairs(names, Set.of()))).containsExactly("a", "a", "a", "a");
    assertThat(Letters.of(names, pairs(names, Set.of("AC", "AD"))))
        .containsExactly("a", "ab", "b", "b");
    assertThat(Letters.of(names, pairs(names, Set.of("AB", "AC", "AD", "BC", "BD", "CD"))))
        .containsExactly("a", "b", "c", "d");
  }

  /** Whatever was told: two share a letter exactly if they were not told from each other. */
  @Test
  void lettersSayWhatThePairsSay() {
    Random random = new Random(4);
    List<String> names = List.of("A", "B", "C", "D", "E", "F");
    for (int trial = 0; trial < 300; trial++) {
      List<Judged.Pair> pairs = new ArrayList<>();
      for (Judged.Pair p : pairs(names, Set.of())) {
        pairs.add(
            new Judged.Pair(p.first(), p.second(), -1, p.interval(), random.nextDouble() < 0.4));
      }
      List<String> letters = Letters.of(names, pairs);
      for (Judged.Pair p : pairs) {
        String one = letters.get(names.indexOf(p.first()));
        String other = letters.get(names.indexOf(p.second()));
        boolean share = one.chars().anyMatch(c -> other.indexOf(c) >= 0);
        assertThat(share).as("%s %s in %s", one, other, pairs).isEqualTo(!p.told());
      }
    }
  }
}
