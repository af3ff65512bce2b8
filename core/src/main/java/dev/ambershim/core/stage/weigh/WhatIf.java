package dev.ambershim.core.stage.weigh;

/**
 * The load to forecast for, where it is another than the one that was read.
 *
 * @param powerFactor heat by the heat of the question
 * @param clockFactor clock by the clock of the question; voltage follows it
 * @param roomKelvin room air above the question's
 * @param fanFactor fan speed by the fan speed that was read
 */
public record WhatIf(double powerFactor, double clockFactor, double roomKelvin, double fanFactor) {
  /** The question as it is. */
  public static final WhatIf AS_IT_IS = new WhatIf(1, 1, 0, 1);

  /**
   * A cooler gives heat to air by about the 0.6th power of its flow, between the laminar and the
   * turbulent law of flow over plates (Incropera &amp; DeWitt, 7.2: 0.5 and 0.8).
   */
  private static final double BY_FLOW = -0.6;

  /** Heat by the heat of the question. */
  double heat() {
    return powerFactor * OptionList.powerByClock(clockFactor);
  }

  /** Logarithm of the cooler's resistance by what it was. */
  double coolerLogarithm() {
    return BY_FLOW * Math.log(fanFactor);
  }
}
