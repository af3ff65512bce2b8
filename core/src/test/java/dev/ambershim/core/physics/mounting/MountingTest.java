package dev.ambershim.core.physics.mounting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.spread.BondLine;
import java.util.List;
import org.junit.jupiter.api.Test;

class MountingTest {
  private static final List<Patch> DIE = List.of(new Patch(0, 0, 10, 20));

  /**
   * Shigley, <i>Mechanical Engineering Design</i>, example 8–3 (from memory): a ¾ in–16 UNF bolt
   * with a preload of 6 000 lbf and K = 0.30 asks for 0.30 · 6000 · 0.75 = 1350 lbf·in.
   */
  @Test
  void preloadAgreesWithShigley() {
    double newtonMetres = 1350 * 4.4482216152605 * 0.0254;
    double newtons = ScrewForce.ofTorque(newtonMetres, 0.30, 0.75 * 25.4);
    assertThat(newtons / 4.4482216152605).isCloseTo(6000, within(0.01));
    assertThatIllegalArgumentException().isThrownBy(() -> ScrewForce.ofTorque(0, 0.2, 3));
  }

  private static PlateSeat seat(double... ways) {
    return PlateSeat.of(DIE, 37.5, 37.5, MountTerms.USUAL.places(), ways, 12);
  }

  /** Even springs: the force is their sum, the pressure the force over the area, nothing tilts. */
  @Test
  void evenScrewsPressEvenly() {
    PlateSeat seat = seat(3, 3, 3, 3);
    assertThat(seat.tiltDegrees()).isCloseTo(0, within(1e-9));
    assertThat(seat.meanMegapascals()).isCloseTo(seat.totalNewtons() / 200, within(1e-9));
    assertThat(seat.peakMegapascals()).isCloseTo(seat.meanMegapascals(), within(1e-6));
    // The chip sinks into its socket by F/(0.6·37.5²), and the springs give that way back.
    double sunk = seat.totalNewtons() / (0.6 * 37.5 * 37.5);
    assertThat(seat.totalNewtons()).isCloseTo(4 * 12 * (3 - sunk), within(0.05));
    assertThat(seat.touchingShare()).isCloseTo(1, within(1e-9));
  }

  /**
   * Force and both moments of the bed are those of the screws: Newton's third law, not the solver.
   */
  @Test
  void bedAndScrewsAreInBalance() {
    PlateSeat seat = seat(3, 2.2, 1.5, 2.8);
    double force = 0;
    double x = 0;
    double y = 0;
    for (int s = 0; s < 4; s++) {
      Screw screw = MountTerms.USUAL.places().get(s);
      force += seat.newtons().get(s);
      x += seat.newtons().get(s) * screw.xMillimetres();
      y += seat.newtons().get(s) * screw.yMillimetres();
    }
    assertThat(force).isCloseTo(seat.totalNewtons(), within(1e-9));
    assertThat(seat.xMillimetres()).isCloseTo(x / force, within(0.01));
    assertThat(seat.yMillimetres()).isCloseTo(y / force, within(0.01));
  }

  /**
   * A load off the middle of a bed by e loads its edge by (1 + 6e/w) of the mean while e is below
   * w/6, the kern of a rectangle (any book of statics), and by 2F/(3(w/2 − e)·d) beyond.
   */
  @Test
  void edgePressureFollowsTheKernOfARectangle() {
    PlateSeat inside = seat(3, 3.05, 3.05, 3);
    double e = inside.xMillimetres();
    assertThat(e).isBetween(0.05, 10 / 6.0);
    // The outermost cell's middle lies half a cell inside the edge.
    double at = 1 + 12 * e / 100 * (5 - 10.0 / 48);
    assertThat(inside.peakMegapascals() / inside.meanMegapascals()).isCloseTo(at, within(0.01));

    PlateSeat outside = seat(3, 3.9, 3.9, 3);
    double far = outside.xMillimetres();
    assertThat(far).isGreaterThan(10 / 6.0);
    double edge = 2 * outside.totalNewtons() / (3 * (5 - far) * 20);
    assertThat(outside.peakMegapascals() / edge).isCloseTo(1, within(0.08));
    assertThat(outside.touchingShare()).isLessThan(1);
  }

  /** Crosswise by half turns never loads an edge as one screw after the other does. */
  @Test
  void crosswiseSparesTheEdge() {
    Tightening cross = Tightening.crosswise(MountTerms.USUAL, DIE, 37.5, 37.5);
    Tightening naive = Tightening.oneAfterTheOther(MountTerms.USUAL, DIE, 37.5, 37.5);
    assertThat(cross.mostTiltDegrees()).isLessThan(0.5 * naive.mostTiltDegrees());
    assertThat(cross.worst().seat().peakMegapascals())
        .isLessThan(0.7 * naive.worst().seat().peakMegapascals());
    assertThat(cross.end().totalNewtons())
        .isCloseTo(naive.end().totalNewtons(), within(1e-6 * naive.end().totalNewtons()));
    assertThat(cross.end().tiltDegrees()).isCloseTo(0, within(1e-6));
    // 3.4 mm of squeeze at half a millimetre a turn, half a turn at a time, four screws.
    assertThat(cross.turns()).hasSize(4 * 14);
    MountTerms finer = with(0.25);
    assertThat(Tightening.crosswise(finer, DIE, 37.5, 37.5).mostTiltDegrees())
        .isLessThan(cross.mostTiltDegrees());
  }

  private static MountTerms with(double increment) {
    return new MountTerms(
        null, null, null, null, null, null, null, null, null, null, increment, null, null, null,
        null, null, null, null);
  }

  /** An even load leaves Prasher's bond line; one off the middle a wedge in balance with it. */
  @Test
  void wedgeOfPasteIsInBalance() {
    List<Patch> lid = List.of(new Patch(0, 0, 30, 30));
    PasteWedge even = PasteWedge.of(lid, 110, 160, 0, 0);
    double line = BondLine.metres(110, 160 / 900e-6) * 1e6;
    assertThat(even.micrometres()).isCloseTo(line, within(1e-6));
    assertThat(even.thickMicrometres() - even.thinMicrometres()).isCloseTo(0, within(1e-6));

    PasteWedge wedge = PasteWedge.of(lid, 110, 160, 2, -1);
    assertThat(wedge.xSlope()).isNegative();
    assertThat(wedge.ySlope()).isPositive();
    double force = 0;
    double x = 0;
    double y = 0;
    int n = 200;
    for (int c = 0; c < n * n; c++) {
      int row = c / n;
      double atX = 30 * ((c % n + 0.5) / n - 0.5);
      double atY = 30 * ((row + 0.5) / n - 0.5);
      double t = wedge.micrometres() + wedge.xSlope() * atX + wedge.ySlope() * atY;
      double f = BondLine.pascal(110, t * 1e-6) * 900e-6 / (n * n);
      force += f;
      x += f * atX;
      y += f * atY;
    }
    assertThat(force).isCloseTo(160, within(0.5));
    assertThat(x / force).isCloseTo(2, within(0.01));
    assertThat(y / force).isCloseTo(-1, within(0.01));
  }

  /** ISO 261 coarse pitches, and the places of two and four screws. */
  @Test
  void usualTermsAreThoseOfTheThread() {
    assertThat(MountTerms.USUAL.pitch()).isEqualTo(0.5);
    assertThat(MountTerms.USUAL.places()).hasSize(4);
    assertThat(MountTerms.USUAL.withExtra(2, 0.5).extra(2)).isEqualTo(0.5);
    assertThat(MountTerms.USUAL.withExtra(2, 0.5).extra(0)).isZero();
    // Common practice: four fingers of a cooler press with 160 to 170 N.
    assertThat(4 * ScrewForce.done(MountTerms.USUAL)).isBetween(160.0, 170.0);
  }
}
