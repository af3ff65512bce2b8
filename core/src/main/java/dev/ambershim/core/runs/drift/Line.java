package dev.ambershim.core.runs.drift;

import dev.ambershim.core.base.Interval;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * Where the rise stands at the last check and how fast it grows, with what the checks leave open:
 * Student's t with their own scatter, or a normal distribution while they are too few to tell it.
 *
 * @param kelvin the rise at the last check, K at the reference power
 * @param perYear how it grows, K a year
 * @param variance of the rise, K²
 * @param slopeVariance of the growth, K² a year²
 * @param covariance of both
 * @param freedom degrees of freedom; 0 for a normal distribution
 */
public record Line(
    double kelvin,
    double perYear,
    double variance,
    double slopeVariance,
    double covariance,
    int freedom) {
  private static final double LEVEL = 0.95;

  /** The growth, nineteen of twenty. */
  public Interval perYearInterval() {
    return Interval.around(perYear, half() * Math.sqrt(slopeVariance), LEVEL);
  }

  /** The rise so many years after the last check. */
  public double kelvinIn(double years) {
    return kelvin + perYear * years;
  }

  /** Half the width of the line's interval so many years after the last check, K. */
  public double halfIn(double years) {
    return half() * Math.sqrt(Math.max(0, varianceIn(years)));
  }

  private double varianceIn(double years) {
    return variance + 2 * years * covariance + years * years * slopeVariance;
  }

  /** The chance that the line lies over a rise so many years after the last check. */
  public double chanceOver(double limitKelvin, double years) {
    double z = (kelvinIn(years) - limitKelvin) / Math.sqrt(Math.max(1e-12, varianceIn(years)));
    return freedom > 0
        ? new TDistribution(freedom).cumulativeProbability(z)
        : new NormalDistribution().cumulativeProbability(z);
  }

  /** How many standard errors hold nineteen of twenty. */
  private double half() {
    return freedom > 0
        ? new TDistribution(freedom).inverseCumulativeProbability((1 + LEVEL) / 2)
        : Interval.normalHalf(LEVEL);
  }

  /**
   * The same with the doubt that another line holds: the second moments of both about this one
   * (Hoeting et al. 1999, <i>Bayesian Model Averaging</i>, from memory).
   *
   * @param chance that the other holds
   */
  Line doubting(Line other, double chance) {
    double level = other.kelvin - kelvin;
    double slope = other.perYear - perYear;
    return new Line(
        kelvin,
        perYear,
        variance + chance * level * level,
        slopeVariance + chance * slope * slope,
        covariance + chance * level * slope,
        freedom);
  }

  /**
   * The same with what is known of such joints beforehand: two normal distributions multiplied
   * (Gelman et al., <i>Bayesian Data Analysis</i>, 3.5).
   *
   * @param usualPerYear growth to be expected, K a year
   * @param deviation its standard deviation
   */
  public Line with(double usualPerYear, double deviation) {
    double gain = 1 / (slopeVariance + deviation * deviation);
    double off = usualPerYear - perYear;
    return new Line(
        kelvin + covariance * gain * off,
        perYear + slopeVariance * gain * off,
        variance - covariance * covariance * gain,
        slopeVariance * (1 - slopeVariance * gain),
        covariance * (1 - slopeVariance * gain),
        freedom);
  }
}
