package dev.ambershim.core.physics.mounting;

import dev.ambershim.core.physics.assembly.Seat;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * How the cooler is screwed down. What is not said stays empty and is taken as usual; all usual
 * figures and all limits are common practice and meant to be replaced by the maker's.
 *
 * @param drive what sets the force
 * @param screws how many screws, 2 or 4
 * @param acrossMillimetres distance of the screws in x
 * @param alongMillimetres distance of the screws in y; of two screws, they stand along x
 * @param pitchMillimetres pitch of the thread
 * @param threadMillimetres diameter of the thread
 * @param torqueNewtonMetres torque of bare screws
 * @param nutFactor how torque becomes force: F = T/(K·d)
 * @param springNewtonsPerMillimetre rate of one spring
 * @param squeezeMillimetres how far a spring is pressed together at its stop
 * @param increment turns at a time
 * @param extraTurns turns that each screw has more or less than the others at the end
 * @param socketNewtons what the socket may carry
 * @param lidMegapascals what a lid may carry, in the mean
 * @param dieMegapascals what bare silicon may carry, in the mean
 * @param edgeMegapascals what an edge of bare silicon may carry
 * @param padGapMillimetres gap between the neighbours and the plate when it lies on the die
 * @param padAreaSquareMillimetres area of all the neighbours' pads
 */
@RecordBuilder
public record MountTerms(
    Drive drive,
    Integer screws,
    Double acrossMillimetres,
    Double alongMillimetres,
    Double pitchMillimetres,
    Double threadMillimetres,
    Double torqueNewtonMetres,
    Double nutFactor,
    Double springNewtonsPerMillimetre,
    Double squeezeMillimetres,
    Double increment,
    List<Double> extraTurns,
    Double socketNewtons,
    Double lidMegapascals,
    Double dieMegapascals,
    Double edgeMegapascals,
    Double padGapMillimetres,
    Double padAreaSquareMillimetres)
    implements MountTermsBuilder.With {
  /** Nothing is said. */
  public static final MountTerms USUAL = MountTermsBuilder.builder().build();

  /** Fills in what is usual where there is no figure to type. */
  public MountTerms {
    drive = drive == null ? Drive.SPRINGS : drive;
    screws = screws == null || screws != 2 ? 4 : 2;
    extraTurns =
        extraTurns == null || extraTurns.stream().anyMatch(t -> t == null)
            ? List.of()
            : List.copyOf(extraTurns);
  }

  private static double or(Double value, double usual) {
    return value == null ? usual : value;
  }

  /** Distance of the screws in x, mm. */
  public double across() {
    return or(acrossMillimetres, 76);
  }

  /** Distance of the screws in y, mm. */
  public double along() {
    return or(alongMillimetres, 76);
  }

  /** Pitch, mm; the coarse pitch of the thread after ISO 261, if it is one of the common ones. */
  public double pitch() {
    double d = thread();
    double coarse = d < 2.75 ? 0.45 : d < 3.25 ? 0.5 : d < 3.75 ? 0.6 : d < 4.5 ? 0.7 : 0.8;
    return or(pitchMillimetres, coarse);
  }

  /** Diameter of the thread, mm. */
  public double thread() {
    return or(threadMillimetres, 3);
  }

  /** Torque, N·m. */
  public double torque() {
    return or(torqueNewtonMetres, 0.03);
  }

  /** Nut factor; 0.20 for plain steel as received (Shigley, table 8–15). */
  public double nut() {
    return or(nutFactor, 0.2);
  }

  /** Rate of a spring, N/mm. */
  public double rate() {
    return or(springNewtonsPerMillimetre, 12);
  }

  /** Squeeze of a spring at its stop, mm. */
  public double squeeze() {
    return or(squeezeMillimetres, 3.4);
  }

  /** Turns at a time. */
  public double step() {
    return or(increment, 0.5);
  }

  /** What a seat bears, N: as said, else as is usual for it; empty where nobody knows. */
  public OptionalDouble bears(Seat seat) {
    return socketNewtons == null ? seat.mostNewtons() : OptionalDouble.of(socketNewtons);
  }

  /**
   * Usual screws and springs on a seat: a laptop's stand closer together and press far less than a
   * desktop cooler's; common practice.
   */
  public static MountTerms usualOn(Seat seat) {
    return switch (seat) {
      case BOARD ->
          USUAL
              .withAcrossMillimetres(52.0)
              .withAlongMillimetres(52.0)
              .withThreadMillimetres(2.0)
              .withSqueezeMillimetres(1.2);
      case CARD ->
          USUAL
              .withAcrossMillimetres(62.0)
              .withAlongMillimetres(62.0)
              .withThreadMillimetres(2.5)
              .withSqueezeMillimetres(2.4);
      default -> USUAL;
    };
  }

  /** Limit of a lid, MPa. */
  public double lid() {
    return or(lidMegapascals, 0.6);
  }

  /** Limit of bare silicon in the mean, MPa. */
  public double die() {
    return or(dieMegapascals, 1.5);
  }

  /** Limit of an edge of bare silicon, MPa. */
  public double edge() {
    return or(edgeMegapascals, 6);
  }

  /** The screws' places, mm from the chip's middle, in the order in which they are turned. */
  public List<Screw> places() {
    double x = across() / 2;
    double y = along() / 2;
    return screws == 2
        ? List.of(new Screw("left", -x, 0), new Screw("right", x, 0))
        : List.of(
            new Screw("left low", -x, -y),
            new Screw("right high", x, y),
            new Screw("right low", x, -y),
            new Screw("left high", -x, y));
  }

  /** Turns that a screw has more than the others. */
  public double extra(int screw) {
    return screw < extraTurns.size() ? extraTurns.get(screw) : 0;
  }

  /** The same with another count of extra turns at a screw. */
  public MountTerms withExtra(int screw, double turns) {
    List<Double> all = new ArrayList<>();
    for (int i = 0; i < screws; i++) {
      all.add(i == screw ? turns : extra(i));
    }
    return withExtraTurns(all.stream().allMatch(t -> t == 0) ? List.of() : all);
  }
}
