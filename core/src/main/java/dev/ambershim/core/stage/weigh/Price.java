package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.base.Interval;

/**
 * What an option costs and how sure that is. Hours are log-normal about the plan's; the odds of
 * ruin have the Beta distribution that {@link OwnRecord} updates, so a step that was never tried is
 * known less well than one done fifty times. Prices are taken as typed.
 *
 * @param ruin chance of losing the chip, 0 to 1
 * @param ruinRange where that chance lies in eight cases of ten
 * @param coins bought, given up, hours, and the chip's price times the chance of ruin: the mean
 * @param range where that lies in eight cases of ten
 * @param net what the likely gain is worth less that
 * @param netRange where that lies in eight cases of ten, the doubt of the gain included
 * @param pays chance that the gain is worth more than it costs, 0 to 1
 */
public record Price(
    double ruin,
    Interval ruinRange,
    double coins,
    Interval range,
    double net,
    Interval netRange,
    double pays) {
  /**
   * Standard deviation of the logarithm of hours for which no plan tells how long the slow cases
   * take. Common practice: one job in ten takes half as long again.
   */
  private static final double USUAL_SIGMA = 0.32;

  /** What a standard normal figure keeps in nine cases of ten. */
  private static final double NINE_OF_TEN = 1.2816;

  /**
   * The price of an option.
   *
   * @param gainKelvin the likely gain
   * @param gains equally likely gains, K, read only
   */
  static Price of(Option option, Question question, double gainKelvin, double[] gains) {
    var terms = question.terms();
    OwnRecord.Chance odds = question.record().odds(option.steps(), terms.odds());
    double fixed = option.coins() + option.lostCoins();
    double hours = option.handsHours() * terms.coinsPerHour();
    double likely = fixed + hours + odds.mean() * terms.chipCoins();
    double sigma =
        option.mostHandsHours() > option.handsHours()
            ? Math.log(option.mostHandsHours() / option.handsHours()) / NINE_OF_TEN
            : USUAL_SIGMA;
    PriceDraws.Ruins ruins = PriceDraws.ruins(odds, gains.length);
    double[] paces = PriceDraws.paces(gains.length);
    double[] costs = new double[gains.length];
    double[] nets = new double[gains.length];
    int paying = 0;
    for (int i = 0; i < gains.length; i++) {
      costs[i] =
          fixed + hours * Math.exp(sigma * paces[i]) + ruins.chances()[i] * terms.chipCoins();
      nets[i] = gains[i] * terms.coinsPerKelvin() - costs[i];
      paying += nets[i] > 0 ? 1 : 0;
    }
    double net = gainKelvin * terms.coinsPerKelvin() - likely;
    return new Price(
        odds.mean(),
        about(ruins.range(), odds.mean()),
        likely,
        about(Middle.of(costs).range(), likely),
        net,
        about(Middle.of(nets).range(), net),
        (double) paying / gains.length);
  }

  /** Where eight cases of ten lie; the likely value may lie above when a chance is very small. */
  private static Interval about(Interval middle, double likely) {
    return new Interval(
        Math.min(middle.low(), likely), Math.max(middle.high(), likely), middle.level());
  }
}
