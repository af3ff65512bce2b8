package dev.ambershim.core.stage.diagnosis;

/**
 * How far a chip that is as it should be strays from the stack that the person believes in, and how
 * sure its readings are; standard deviations.
 *
 * @param innerShare of every joint's thickness but the outermost, as a share
 * @param outerShare of the outermost joint's
 * @param tiltShare what every joint is thicker at one edge than in its middle, as a share
 * @param filmShare of the film
 * @param loopShare of the loop
 * @param powerShare of each core's watts
 * @param allPowerShare of all cores' watts together
 * @param sensorKelvin of each core's sensor
 * @param allSensorsKelvin of all sensors together
 * @param hotKelvinPerWatt what a hot place inside a core adds to its sensor, likely
 * @param hotDoubt of that, K/W
 * @param mountShare of the outermost joint's thickness from mount to mount
 * @param mountTiltShare of its tilt
 * @param readingKelvin of one reading of one core
 * @param airKelvin of the coolant and the room
 * @param innerCrooked of all tilts and gaps, how many sit in another joint than the outermost
 * @param faultOdds how much rarer every fault is than among chips that somebody asks about
 */
public record Doubts(
    double innerShare,
    double outerShare,
    double tiltShare,
    double filmShare,
    double loopShare,
    double powerShare,
    double allPowerShare,
    double sensorKelvin,
    double allSensorsKelvin,
    double hotKelvinPerWatt,
    double hotDoubt,
    double mountShare,
    double mountTiltShare,
    double readingKelvin,
    double airKelvin,
    double innerCrooked,
    double faultOdds) {
  /** For a stack that was measured or that a person is sure of. */
  public static final Doubts OF_A_CASE =
      new Doubts(
          0.12, 0.12, 0.07, 0.06, 0.08, 0.04, 0.02, 0.8, 0.4, 0, 0.02, 0.08, 0.06, 0.35, 0.2, 0.5,
          1);

  /**
   * For the build of a job, which nobody measured: as the table of priors of Weigh has it, common
   * practice.
   *
   * @param opened whether somebody closed this chip by hand; a maker's joint is seldom crooked
   */
  static Doubts ofJob(boolean opened) {
    return new Doubts(
        0.35,
        0.3,
        0.12,
        0.25,
        0.3,
        0.09,
        0.06,
        1.5,
        2,
        0.9,
        0.6,
        0.12,
        0.1,
        0.5,
        0.4,
        opened ? 0.5 : 0.05,
        0.3);
  }
}
