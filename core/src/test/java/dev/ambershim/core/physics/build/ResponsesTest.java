package dev.ambershim.core.physics.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackSolution;
import dev.ambershim.core.physics.modes.SteadySolver;
import java.util.DoubleSummaryStatistics;
import java.util.OptionalLong;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class ResponsesTest {
  private static final double[] LIKELY = new double[4];

  private static Situation at(StartingPoint point, double innerFactor, double coolerFactor) {
    Job job = Job.from(point, "x");
    Joint inner = job.before().inner();
    Joint outer = job.before().outer();
    return new Situation(
        job.chip(),
        job.cooler()
            .withResistanceKelvinPerWatt(coolerFactor * job.cooler().resistanceKelvinPerWatt()),
        job.before()
            .withInner(inner.withBondLineMicrometres(innerFactor * inner.bondLineMicrometres()))
            .withOuter(outer.withBondLineMicrometres(1.07 * outer.bondLineMicrometres())));
  }

  private static Response of(Responses responses, Situation at, AtomicInteger solved) {
    SolveWatch watch = new SolveWatch(share -> solved.incrementAndGet(), () -> false);
    return responses.of(Set.of(at), watch).get(at);
  }

  @Test
  void aResponseDoesNotHangOnWhatWasAskedBefore() {
    Situation asked = at(StartingPoint.DESKTOP_ONE_DIE_PASTE, 1, 1);
    Responses fresh = new Responses();
    Responses used = new Responses();
    for (double other : new double[] {0.8, 0.97, 1.04, 1.3}) {
      of(used, at(StartingPoint.DESKTOP_ONE_DIE_PASTE, other, 1), new AtomicInteger());
    }
    double[] figures = {0.3, -0.2, 0.1, 0.05};
    assertThat(of(used, asked, new AtomicInteger()).coresAndMeanKelvinPerWatt(figures))
        .isEqualTo(of(fresh, asked, new AtomicInteger()).coresAndMeanKelvinPerWatt(figures));
  }

  /** The curves' cores against the whole solution to a part in ten thousand. */
  @ParameterizedTest
  @EnumSource(
      value = StartingPoint.class,
      names = {"DESKTOP_ONE_DIE_PASTE", "DESKTOP_ONE_DIE_SOLDER", "DESKTOP_CHIPLETS_SOLDER"})
  void coresLieAsFarApartAsInTheWholeSolution(StartingPoint point) {
    Situation at = at(point, 1, 1);
    Response curves = of(new Responses(), at, new AtomicInteger());
    double[] told = curves.coresAndMeanKelvinPerWatt(LIKELY.clone());
    StackSolution whole =
        SteadySolver.plain().solve(BuildStack.likely(at, 150, 22), OptionalLong.empty(), 1e-4);
    DoubleSummaryStatistics byCurves = new DoubleSummaryStatistics();
    DoubleSummaryStatistics solved = new DoubleSummaryStatistics();
    for (int c = 0; c < curves.cores(); c++) {
      byCurves.accept(150 * told[c]);
      solved.accept(whole.sources().get(c).meanCelsius() - 22);
      assertThat(150 * told[c])
          .isCloseTo(
              whole.sources().get(c).meanCelsius() - 22, within(1e-3 * (whole.peakCelsius() - 22)));
    }
    double spread = solved.getMax() - solved.getMin();
    assertThat(byCurves.getMax() - byCurves.getMin()).isCloseTo(spread, within(0.03 * spread));
  }

  @Test
  void aJointThatIsALittleThickerIsSeldomSolvedAgain() {
    Responses responses = new Responses();
    AtomicInteger solved = new AtomicInteger();
    for (int i = 0; i <= 20; i++) {
      Situation asked = at(StartingPoint.DESKTOP_ONE_DIE_PASTE, 0.8 + 0.02 * i, 1);
      assertThat(of(responses, asked, solved).situation()).isEqualTo(asked);
      assertThat(responses.near(Set.of(asked)).orElseThrow().get(asked))
          .isSameAs(of(responses, asked, solved));
    }
    // From 0.8 to 1.2 the logarithm goes 0.41, and a place of the lattice is 0.25 wide.
    assertThat(solved.get()).isBetween(2, 3);
  }

  @ParameterizedTest
  @EnumSource(StartingPoint.class)
  void betweenThePlacesOfTheLatticeItMeetsItsOwnSolution(StartingPoint point) {
    Situation asked = at(point, 1.1, 0.93);
    Response own = Response.of(asked, SolveWatch.NONE);
    double mean = own.meanKelvinPerWatt(LIKELY);
    Response told = of(new Responses(), asked, new AtomicInteger());
    assertThat(told.meanKelvinPerWatt(LIKELY)).isCloseTo(mean, within(0.003 * mean));
    assertThat(told.dieJointKelvinPerWatt())
        .isCloseTo(own.dieJointKelvinPerWatt(), within(0.02 * own.dieJointKelvinPerWatt()));
    assertThat(told.localKelvinPerWatt())
        .isCloseTo(own.localKelvinPerWatt(), within(0.06 * own.localKelvinPerWatt() + 1e-9));
  }
}
