package dev.ambershim.core.runs.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Problem;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class SeriesFitTest {
  private static Judged judge(List<Mount> mounts) {
    return SeriesFit.of(mounts, 0.5, Optional.empty());
  }

  private static List<Mount> table(double[][] figures, String[] candidates, boolean blocks) {
    List<Mount> mounts = new ArrayList<>();
    for (int c = 0; c < candidates.length; c++) {
      for (int b = 0; b < figures[c].length; b++) {
        mounts.add(Mount.of(candidates[c], blocks ? "" + b : "", figures[c][b], 100));
      }
    }
    return mounts;
  }

  /**
   * The vascular grafts: four pressures in six batches (Montgomery, <i>Design and Analysis of
   * Experiments</i>, example 4.1, from memory). Its table of variances has an error mean square of
   * 7.33 with 15 degrees of freedom; with a studentized range of 4.08 two means differ from 4.51
   * on.
   */
  @Test
  void theWorkedExampleOfABlockedDesign() {
    double[][] figures = {
      {90.3, 89.2, 98.2, 93.9, 87.4, 97.9},
      {92.5, 89.5, 90.6, 94.7, 87.0, 95.8},
      {85.5, 90.8, 89.6, 86.2, 88.0, 93.4},
      {82.5, 89.5, 85.6, 87.4, 78.9, 90.7}
    };
    Judged judged = judge(table(figures, new String[] {"8500", "8700", "8900", "9100"}, true));
    assertThat(judged.blocked()).isTrue();
    assertThat(judged.ownScatter()).isTrue();
    assertThat(judged.freedom()).isEqualTo(15);
    assertThat(judged.scatterKelvin() * judged.scatterKelvin()).isCloseTo(7.33, within(0.005));
    assertThat(judged.ranking())
        .extracting(Judged.Mean::candidate)
        .containsExactly("9100", "8900", "8700", "8500");
    assertThat(judged.ranking().get(0).kelvin()).isCloseTo(85.77, within(0.005));
    assertThat(judged.ranking().get(3).kelvin()).isCloseTo(92.82, within(0.005));
    Judged.Pair ends = judged.pair("8500", "9100");
    assertThat(ends.interval().width() / 2).isCloseTo(4.51, within(0.01));
    assertThat(ends.told()).isTrue();
    assertThat(judged.pair("8700", "9100").told()).isTrue();
    assertThat(judged.pair("8900", "9100").told()).isFalse();
    assertThat(judged.pair("8500", "8700").told()).isFalse();
    assertThat(judged.ranking())
        .extracting(Judged.Mean::group)
        .containsExactly("a", "ab", "b", "b");
  }

  /**
   * Resistivity of silicon by five instruments (NIST StRD, one-way analysis of variance, SiRstv):
   * residual standard deviation 0.104076068334656 with 20 degrees of freedom.
   */
  @Test
  void aPublishedOneWayDesign() {
    double[][] figures = {
      {196.3052, 196.1240, 196.1890, 196.2569, 196.3403},
      {196.3042, 196.3825, 196.1669, 196.3257, 196.0422},
      {196.1303, 196.2005, 196.2889, 196.0343, 196.1811},
      {196.2795, 196.1748, 196.1494, 196.1485, 195.9885},
      {196.2119, 196.1051, 196.1850, 196.0052, 196.2090}
    };
    Judged judged = judge(table(figures, new String[] {"1", "2", "3", "4", "5"}, false));
    assertThat(judged.blocked()).isFalse();
    assertThat(judged.freedom()).isEqualTo(20);
    assertThat(judged.scatterKelvin()).isCloseTo(0.104076068334656, within(1e-9));
    assertThat(judged.pairs()).hasSize(10).noneMatch(Judged.Pair::told);
    assertThat(judged.leaders()).hasSize(5);
  }

  /** Power that differs is brought to the mean, and a part of that stays open. */
  @Test
  void risesAreBroughtToOnePower() {
    List<Mount> mounts = new ArrayList<>();
    for (int b = 1; b <= 4; b++) {
      double off = b % 2 == 0 ? 0.1 : -0.1;
      mounts.add(Mount.of("A", "" + b, 0.40 * 150 + off, 150));
      mounts.add(Mount.of("B", "" + b, 0.40 * 162 - off, 162));
    }
    Judged judged = judge(mounts);
    assertThat(judged.watts()).isEqualTo(156);
    assertThat(judged.pair("A", "B").kelvin()).isCloseTo(0, within(0.02));
    List<Mount> alike = new ArrayList<>();
    for (Mount m : mounts) {
      alike.add(Mount.of(m.candidate(), m.block(), m.riseAt(156), 156));
    }
    assertThat(judged.pair("A", "B").interval().width())
        .isGreaterThan(1.05 * judge(alike).pair("A", "B").interval().width());
  }

  /** A bench that warms from block to block does not blur what stands side by side. */
  @Test
  void blocksTakeTheBenchOut() {
    Rounds rounds = new Rounds(3);
    rounds.perMount = 0.6;
    List<Mount> mounts = rounds.draw(new double[] {60, 60.9, 63}, 5);
    Judged judged = judge(mounts);
    assertThat(judged.drift().orElseThrow().told()).isTrue();
    assertThat(judged.drift().orElseThrow().interval().contains(0.6)).isTrue();
    assertThat(judged.pair("A", "C").interval().contains(-3)).isTrue();
    assertThat(judged.pair("A", "C").told()).isTrue();
    List<Mount> loose = new ArrayList<>();
    mounts.forEach(m -> loose.add(Mount.of(m.candidate(), "", m.riseKelvin(), m.watts())));
    assertThat(judge(loose).scatterKelvin()).isGreaterThan(2 * judged.scatterKelvin());
  }

  @Test
  void missingAndSpoiledMountsAndUnequalNumbers() {
    List<Mount> mounts = new ArrayList<>(new Rounds(8).draw(new double[] {60, 60, 64}, 4));
    Mount lost = mounts.remove(4);
    mounts.remove(7);
    mounts.add(
        new Mount(
            "A",
            "4",
            Double.NaN,
            Double.NaN,
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            "hair under the plate"));
    Judged judged = judge(mounts);
    assertThat(judged.blocked()).isTrue();
    assertThat(judged.spoiled()).hasSize(1);
    assertThat(judged.mounts()).hasSize(10).doesNotContain(lost);
    assertThat(judged.pair("A", "C").told()).isTrue();
    assertThat(judged.pair("B", "C").told()).isTrue();
  }

  @Test
  void oneBadMountIsToldAndCounts() {
    List<Mount> mounts = new ArrayList<>(new Rounds(5).draw(new double[] {60, 61, 62}, 5));
    Mount m = mounts.get(7);
    mounts.set(7, Mount.of(m.candidate(), m.block(), m.riseKelvin() + 9, m.watts()));
    Judged judged = judge(mounts);
    assertThat(judged.outliers()).hasSize(1);
    assertThat(judged.outliers().get(0).mount()).isEqualTo(mounts.get(7));
    assertThat(judged.outliers().get(0).kelvin()).isCloseTo(9, within(2.0));
    assertThat(judged.mounts()).hasSize(15);
    assertThat(judge(new Rounds(5).draw(new double[] {60, 61, 62}, 5)).outliers()).isEmpty();
  }

  /** One mount of each tells little, by the usual scatter; it does not tell nothing. */
  @Test
  void aMountEachIsJudgedByTheUsualScatter() {
    Judged judged = judge(List.of(Mount.of("A", "1", 60, 150), Mount.of("B", "1", 66, 150)));
    assertThat(judged.ownScatter()).isFalse();
    assertThat(judged.scatterKelvin()).isCloseTo(0.5, within(1e-9));
    assertThat(judged.pair("A", "B").told()).isTrue();
    Judged near = judge(List.of(Mount.of("A", "1", 60, 150), Mount.of("B", "1", 61, 150)));
    assertThat(near.pair("A", "B").told()).isFalse();
    assertThat(near.next()).isPresent();
  }

  /** Candidates that never shared a block cannot be told apart from their blocks. */
  @Test
  void blocksThatHoldOneCandidateEachAreNoBlocks() {
    List<Mount> mounts = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      mounts.add(Mount.of("A", "monday", 60 + 0.2 * i, 150));
      mounts.add(Mount.of("B", "tuesday", 61 + 0.2 * i, 150));
    }
    Judged judged = judge(mounts);
    assertThat(judged.blocked()).isFalse();
    assertThat(judged.pair("A", "B").kelvin()).isCloseTo(-1, within(1e-9));
  }

  @Test
  void aReferenceIsComparedWithAllOthers() {
    List<Mount> mounts = new Rounds(8).draw(new double[] {60, 61.5, 64, 64.5}, 5);
    Judged judged = SeriesFit.of(mounts, 0.5, Optional.of("B"));
    assertThat(judged.against()).hasSize(3).allMatch(p -> p.second().equals("B"));
    Judged.Pair dunnett = judged.against().get(0);
    assertThat(dunnett.interval().width()).isLessThan(judged.pair("A", "B").interval().width());
    assertThatThrownBy(() -> SeriesFit.of(mounts, 0.5, Optional.of("X")))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("\"X\"");
  }

  /** Always in the same order: then order and candidate are one, and the bench is not told. */
  @Test
  void anOrderThatNeverChanges() {
    List<Mount> mounts = new ArrayList<>();
    for (int i = 0; i < 9; i++) {
      double rise = 60 + i % 3 + 0.2 * (i * 7 % 5);
      mounts.add(
          new Mount(
              "ABC".substring(i % 3, i % 3 + 1),
              "" + i / 3,
              rise,
              150,
              OptionalDouble.empty(),
              OptionalDouble.of(i + 1),
              OptionalDouble.empty(),
              ""));
    }
    Judged judged = judge(mounts);
    assertThat(judged.drift()).isEmpty();
    assertThat(judged.driftTakenOut()).isFalse();
    assertThat(judged.pairs()).hasSize(3);
  }

  @Test
  void oneCandidateIsNoSeries() {
    assertThatThrownBy(() -> judge(List.of(Mount.of("A", "1", 60, 150))))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("only one candidate");
  }

  /** Chances add up, and go with what is seen. */
  @Test
  void chancesOfBeingTheCoolest() {
    Judged judged = judge(new Rounds(6).draw(new double[] {60, 60.3, 63}, 4));
    double sum = judged.ranking().stream().mapToDouble(Judged.Mean::chanceBest).sum();
    assertThat(sum).isCloseTo(1, within(1e-9));
    assertThat(judged.ranking().get(0).chanceBest())
        .isGreaterThan(judged.ranking().get(1).chanceBest());
    assertThat(judged.ranking().get(2).chanceBest()).isLessThan(0.02);
    assertThat(judged.next().orElseThrow()).isIn("A", "B");
  }
}
