package dev.ambershim.core.physics.mounting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.physics.assembly.Seat;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.spread.BondLine;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Screws turned in: two and four of them, springs and torque, even and uneven. */
class TurningTest {
  private static final List<Patch> LID = List.of(new Patch(0, 0, 30, 30));
  private static final List<Patch> DIES =
      List.of(new Patch(-6.6, 7.5, 10.4, 7.2), new Patch(6.6, 7.5, 10.4, 7.2));

  private static MountTerms terms(Drive drive, int screws, Double increment) {
    return new MountTerms(
        drive, screws, null, null, null, null, 0.05, null, null, null, increment, null, null, null,
        null, null, null, null);
  }

  @Test
  void twoScrewsTiltOnlyAlongTheirLine() {
    Tightening turns = Tightening.crosswise(terms(Drive.SPRINGS, 2, 0.5), LID, 37.5, 37.5);
    assertThat(turns.turns()).hasSize(2 * 14);
    for (Tightening.Turn t : turns.turns()) {
      assertThat(t.seat().ySlope()).isCloseTo(0, within(1e-9));
      assertThat(t.seat().newtons()).hasSize(2);
    }
    assertThat(turns.end().tiltDegrees()).isCloseTo(0, within(1e-6));
  }

  /** Bare screws end at F = T/(K·d) less what the socket gives way: 0.05/(0.2·0.003) = 83.3 N. */
  @Test
  void bareScrewsEndAtTheirTorque() {
    Tightening turns = Tightening.crosswise(terms(Drive.TORQUE, 4, 0.25), LID, 37.5, 37.5);
    double all = turns.end().totalNewtons();
    assertThat(all).isBetween(0.6 * 4 * 83.3, 4 * 83.34);
    assertThat(turns.end().newtons())
        .allSatisfy(f -> assertThat(f).isCloseTo(all / 4, within(0.01)));
  }

  @ParameterizedTest
  @CsvSource({"1.0, 28", "0.5, 56", "0.25, 112"})
  void smallerTurnsAreMoreOfThem(double increment, int count) {
    assertThat(Tightening.crosswise(terms(Drive.SPRINGS, 4, increment), LID, 37.5, 37.5).turns())
        .hasSize(count);
  }

  /** The order is crosswise: after each screw comes the one across from it. */
  @Test
  void theOrderIsCrosswise() {
    List<Screw> places = MountTerms.USUAL.places();
    for (int s = 0; s < 4; s += 2) {
      assertThat(places.get(s).xMillimetres()).isEqualTo(-places.get(s + 1).xMillimetres());
      assertThat(places.get(s).yMillimetres()).isEqualTo(-places.get(s + 1).yMillimetres());
    }
    assertThat(Tightening.crosswise(MountTerms.USUAL, LID, 37.5, 37.5).turns())
        .extracting(Tightening.Turn::screw)
        .startsWith(0, 1, 2, 3, 0, 1, 2, 3);
  }

  /** A turn of the first screw lowers its own corner, wherever the contact lies. */
  @Test
  void theFirstTurnLowersItsOwnCorner() {
    for (List<Patch> tops : List.of(LID, DIES)) {
      PlateSeat seat = Tightening.crosswise(MountTerms.USUAL, tops, 40, 40).turns().get(0).seat();
      // Screw 0 stands left low: the plate rises towards the right and upwards.
      assertThat(seat.xSlope()).isPositive();
      assertThat(seat.ySlope()).isPositive();
      assertThat(seat.peakMegapascals()).isGreaterThan(seat.meanMegapascals());
    }
  }

  /** Dies off the middle are pressed off their middle, and that is seen. */
  @Test
  void diesOffTheMiddleTiltTheChipInItsSocket() {
    PlateSeat end = Tightening.crosswise(MountTerms.USUAL, DIES, 40, 40).end();
    // The screws pull in the middle, the dies lie above it, so the low edge of the dies carries.
    assertThat(end.xSlope()).isCloseTo(0, within(1e-9));
    assertThat(Math.abs(end.ySlope())).isPositive();
    assertThat(end.yMillimetres()).isLessThan(7.5);
    assertThat(end.peakMegapascals()).isGreaterThan(1.5 * end.meanMegapascals());
  }

  @Test
  void looseScrewsDoNotPress() {
    PlateSeat seat =
        PlateSeat.of(LID, 37.5, 37.5, MountTerms.USUAL.places(), new double[] {-3, -3, -3, -3}, 12);
    assertThat(seat.totalNewtons()).isCloseTo(0, within(1e-6));
    assertThat(seat.peakMegapascals()).isCloseTo(0, within(1e-6));
  }

  @Test
  void oneScrewAfterTheOtherIsFourTurnsAndTheLastEndsTheSame() {
    Tightening naive = Tightening.oneAfterTheOther(MountTerms.USUAL, LID, 37.5, 37.5);
    assertThat(naive.turns()).hasSize(4);
    assertThat(naive.worst().seat().peakMegapascals())
        .isGreaterThanOrEqualTo(naive.end().peakMegapascals());
    assertThat(naive.mostTiltDegrees()).isGreaterThan(0.3);
  }

  /** A load on one side thins the paste there; further out, more; and never through the lid. */
  @Test
  void theWedgeGrowsWithTheLoadsPlace() {
    double last = 0;
    for (double x = 0; x <= 12; x += 2) {
      PasteWedge wedge = PasteWedge.of(LID, 110, 150, x, 0);
      double height = wedge.thickMicrometres() - wedge.thinMicrometres();
      assertThat(height).isGreaterThanOrEqualTo(last - 1e-9);
      assertThat(wedge.thinMicrometres()).isPositive();
      assertThat(wedge.ySlope()).isCloseTo(0, within(1e-6));
      last = height;
    }
    assertThat(last).isGreaterThan(10);
  }

  @Test
  void theWedgeOfSeveralDiesIsAboutTheirMiddle() {
    PasteWedge even = PasteWedge.of(DIES, 110, 100, 0, 7.5);
    double area = 2 * 10.4 * 7.2;
    assertThat(even.micrometres())
        .isCloseTo(BondLine.metres(110, 100 / area * 1e6) * 1e6, within(1e-6));
    assertThat(even.xSlope()).isCloseTo(0, within(1e-9));
    PasteWedge low = PasteWedge.of(DIES, 110, 100, 0, 6.5);
    assertThat(low.ySlope()).isPositive();
  }

  @Test
  void whatIsSaidReplacesWhatIsUsual() {
    MountTerms own =
        new MountTerms(
            null,
            3,
            80.0,
            90.0,
            0.7,
            4.0,
            0.1,
            0.15,
            20.0,
            2.0,
            0.25,
            List.of(0.5),
            300.0,
            0.8,
            2.0,
            8.0,
            null,
            null);
    assertThat(own.screws()).isEqualTo(4);
    assertThat(own.across()).isEqualTo(80);
    assertThat(own.along()).isEqualTo(90);
    assertThat(own.pitch()).isEqualTo(0.7);
    assertThat(own.nut()).isEqualTo(0.15);
    assertThat(own.rate()).isEqualTo(20);
    assertThat(own.extra(0)).isEqualTo(0.5);
    assertThat(own.extra(3)).isZero();
    assertThat(own.bears(Seat.BOARD)).hasValue(300);
    assertThat(own.lid()).isEqualTo(0.8);
    assertThat(own.die()).isEqualTo(2);
    assertThat(own.edge()).isEqualTo(8);
    // ISO 261: M2.5 × 0.45, M3 × 0.5, M3.5 × 0.6, M4 × 0.7, M5 × 0.8.
    double[] threads = {2.5, 3, 3.5, 4, 5};
    double[] pitches = {0.45, 0.5, 0.6, 0.7, 0.8};
    for (int i = 0; i < threads.length; i++) {
      MountTerms of =
          new MountTerms(
              null,
              null,
              null,
              null,
              null,
              threads[i],
              null,
              null,
              null,
              null,
              null,
              null,
              null,
              null,
              null,
              null,
              null,
              null);
      assertThat(of.pitch()).isEqualTo(pitches[i]);
    }
  }
}
