package dev.ambershim.core.runs.protocol;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import java.util.ArrayList;
import java.util.List;

/**
 * What a conducted run does, in order: rest, warm-up, plateaus with cool-downs between, and one
 * more cool-down at the end.
 *
 * @param name what the person calls it
 * @param restSeconds rest before the load, so that its beginning can be seen
 * @param warmUpSeconds load that does not count
 * @param plateaus count of plateaus
 * @param plateauSeconds length of each
 * @param coolDownSeconds rest between plateaus and at the end
 * @param stopCelsius the run stops when any core or the package reaches this
 * @param settings what the person fixed
 */
public record Protocol(
    String name,
    int restSeconds,
    int warmUpSeconds,
    int plateaus,
    int plateauSeconds,
    int coolDownSeconds,
    double stopCelsius,
    Settings settings) {
  /** A usual limit; the chip's own data sheet comes first. Common practice. */
  public static final double USUAL_STOP_CELSIUS = 95;

  /**
   * What is kept fixed through a run, as the person set it; null where it is not said.
   *
   * @param clockMegahertz core clock
   * @param volts core voltage
   * @param fanTurnsPerMinute fan
   * @param pumpTurnsPerMinute pump
   */
  public record Settings(
      Double clockMegahertz, Double volts, Double fanTurnsPerMinute, Double pumpTurnsPerMinute) {
    /** Nothing is said. */
    public static final Settings UNSAID = new Settings(null, null, null, null);

    /**
     * Checks what is said.
     *
     * @throws Problem {@code protocol.range}, naming the figure
     */
    public Settings {
      said("clock", clockMegahertz, 100, 12_000, "MHz");
      said("voltage", volts, 0.3, 2.5, "V");
      said("fan", fanTurnsPerMinute, 0, 20_000, "rpm");
      said("pump", pumpTurnsPerMinute, 0, 20_000, "rpm");
    }

    private static void said(String field, Double value, double low, double high, String unit) {
      if (value != null) {
        range(field, value, low, high, unit);
      }
    }
  }

  /** The schools' starting points; common practice. */
  public static final List<Protocol> SCHOOLS =
      List.of(
          new Protocol("ten minutes", 60, 0, 1, 600, 120, USUAL_STOP_CELSIUS, Settings.UNSAID),
          new Protocol(
              "half an hour, half an hour to cool",
              60,
              0,
              1,
              1800,
              1800,
              USUAL_STOP_CELSIUS,
              Settings.UNSAID),
          new Protocol(
              "warm up for forty minutes, then three of twenty",
              60,
              2400,
              3,
              1200,
              0,
              USUAL_STOP_CELSIUS,
              Settings.UNSAID),
          new Protocol("one hour", 60, 0, 1, 3600, 300, USUAL_STOP_CELSIUS, Settings.UNSAID));

  /**
   * Checks its figures.
   *
   * @throws Problem {@code protocol.range}, naming the figure
   */
  public Protocol {
    settings = settings == null ? Settings.UNSAID : settings;
    range("rest", restSeconds, 0, 3600, "s");
    range("warm-up", warmUpSeconds, 0, 14400, "s");
    range("plateaus", plateaus, 1, 20, "");
    range("plateau", plateauSeconds, 60, 86400, "s");
    range("cool-down", coolDownSeconds, 0, 14400, "s");
    range("stop", stopCelsius, 40, 120, "°C");
  }

  private static void range(String field, double value, double low, double high, String unit) {
    if (!(value >= low && value <= high)) {
      throw new Problem(
          "protocol.range",
          Place.field(field),
          plain(value) + " " + unit + " is out of range.",
          "Give " + plain(low) + " to " + plain(high) + ".");
    }
  }

  private static String plain(double value) {
    return value == Math.rint(value) ? String.valueOf((long) value) : String.valueOf(value);
  }

  /** The phases one after the other, without those of no length. */
  public List<Phase> phases() {
    List<Phase> phases = new ArrayList<>();
    int at = add(phases, Phase.Kind.REST, warmUpSeconds > 0 ? 0 : 1, 0, restSeconds);
    at = add(phases, Phase.Kind.WARM_UP, 0, at, warmUpSeconds);
    for (int i = 1; i <= plateaus; i++) {
      at = add(phases, Phase.Kind.PLATEAU, i, at, plateauSeconds);
      at = add(phases, Phase.Kind.COOL_DOWN, i < plateaus ? i + 1 : i, at, coolDownSeconds);
    }
    return phases;
  }

  private static int add(List<Phase> to, Phase.Kind kind, int plateau, int from, int length) {
    if (length > 0) {
      to.add(new Phase(kind, plateau, from, from + length));
    }
    return from + length;
  }

  /** Length of the whole run. */
  public int lengthSeconds() {
    return restSeconds + warmUpSeconds + plateaus * (plateauSeconds + coolDownSeconds);
  }

  /** The same with another limit. */
  public Protocol stoppingAt(double celsius) {
    return new Protocol(
        name,
        restSeconds,
        warmUpSeconds,
        plateaus,
        plateauSeconds,
        coolDownSeconds,
        celsius,
        settings);
  }

  /** The same with other settings. */
  public Protocol with(Settings other) {
    return new Protocol(
        name,
        restSeconds,
        warmUpSeconds,
        plateaus,
        plateauSeconds,
        coolDownSeconds,
        stopCelsius,
        other);
  }
}
