package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Interval;

/**
 * What an option would bring at the asked load. For an impossible option only the reason counts.
 *
 * @param option the option
 * @param gainKelvin likely gain, positive is cooler
 * @param gain where it lies in eight cases of ten
 * @param chance that the gain reaches the difference that the person cares about, 0 to 1
 * @param spreadKelvin likely hottest less coolest core afterwards
 * @param spread where that lies in eight cases of ten
 * @param coins what has to be bought
 * @param price what it costs in all, its risk among it
 * @param kelvinPerCoin likely gain by cost; not a number where it costs nothing
 * @param finding gain as an answer with its working
 */
public record OptionForecast(
    Option option,
    double gainKelvin,
    Interval gain,
    double chance,
    double spreadKelvin,
    Interval spread,
    double coins,
    Price price,
    double kelvinPerCoin,
    Finding finding) {
  /** Chance of losing the chip, 0 to 1. */
  public double ruin() {
    return price.ruin();
  }

  /** What has to be bought, the hours at the bench, and the chip's price times the odds of ruin. */
  public double costCoins() {
    return price.coins();
  }

  /** What the likely gain is worth less what it costs. */
  public double netCoins() {
    return price.net();
  }

  /** The same with another finding. */
  OptionForecast with(Finding other) {
    return new OptionForecast(
        option, gainKelvin, gain, chance, spreadKelvin, spread, coins, price, kelvinPerCoin, other);
  }
}
