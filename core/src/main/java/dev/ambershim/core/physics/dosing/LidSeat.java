package dev.ambershim.core.physics.dosing;

import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Die;
import java.util.ArrayList;
import java.util.List;

/**
 * What carries a closed lid, and the gaps that it leaves: inner gap = cavity + glue line − die
 * height, never below the film itself. If the glue is pressed thinner than the film on the highest
 * die allows, the lid lies on that die and the glue fills the rest.
 *
 * @param onDie whether the highest die carries it; else its rim does
 * @param carrier what carries it
 * @param glueMicrometres glue line under the rim, old sealant and all
 * @param gaps gap over each die of the chip, in its order, µm
 * @param reaches whether the glue stands high enough to reach the rim
 */
public record LidSeat(
    boolean onDie, String carrier, double glueMicrometres, List<Double> gaps, boolean reaches) {
  /** Two wetted faces that are pressed together leave about so much; common practice, µm. */
  public static final double FILM_MICROMETRES = 25;

  /** So much may lie between nine pressed films of ten, µm; common practice. */
  public static final double THIN_MICROMETRES = 12;

  public static final double THICK_MICROMETRES = 50;

  /** What is brushed on both faces bridges so much; beyond, a film is uneven: common practice. */
  public static final double SURE_MICROMETRES = 100;

  /** A film that is thicker does not stay where it is put: common practice, µm. */
  public static final double DEEPEST_MICROMETRES = 150;

  /** Copies its list. */
  public LidSeat {
    gaps = List.copyOf(gaps);
  }

  /**
   * Seats a lid.
   *
   * @param line the new glue
   * @param oldMicrometres old sealant that was left under the rim
   */
  public static LidSeat of(Chip chip, GlueLine line, double oldMicrometres) {
    double cavity = chip.lid().cavityMillimetres() * 1000;
    Die highest = chip.dies().get(0);
    for (Die d : chip.dies()) {
      highest = d.heightMicrometres() > highest.heightMicrometres() ? d : highest;
    }
    double pressed = line.thicknessMicrometres() + oldMicrometres;
    double needed = highest.heightMicrometres() + FILM_MICROMETRES - cavity;
    boolean onDie = needed >= pressed;
    double glue = Math.max(pressed, needed);
    List<Double> gaps = new ArrayList<>();
    for (Die d : chip.dies()) {
      gaps.add(cavity + glue - d.heightMicrometres());
    }
    return new LidSeat(
        onDie,
        onDie ? highest.name() : "rim",
        glue,
        gaps,
        line.cubicMillimetres() == 0 || line.heightMicrometres() + oldMicrometres >= glue);
  }
}
