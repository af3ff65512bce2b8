package dev.ambershim.core.physics.fit;

import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Die;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;

/**
 * All heights that were read on one chip and cooler.
 *
 * @param tops what the cooler could touch
 * @param substrateOverBoard the substrate's top over the mainboard, chip in its socket
 * @param plateOutOfBracket how far the cold plate's face stands out of the cooler's bracket
 * @param lidTop the lid's top over the substrate, closed as it came
 * @param cavity depth of the lid's hollow
 * @param glue glue line under the rim, as it will be
 * @param newCavity depth of a replacement lid's hollow
 * @param xLoad where the cooler presses, right of the chip's middle, mm
 * @param yLoad the same above it, mm
 * @param mount how the cooler is held
 */
@RecordBuilder
public record Heights(
    List<Top> tops,
    Reading substrateOverBoard,
    Reading plateOutOfBracket,
    Reading lidTop,
    Reading cavity,
    Reading glue,
    Reading newCavity,
    double xLoad,
    double yLoad,
    Mount mount)
    implements HeightsBuilder.With {
  /** Nothing is measured. */
  public static final Heights NONE =
      new Heights(List.of(), null, null, null, null, null, null, 0, 0, null);

  /** Copies its list, and fills in what an older job does not say. */
  public Heights {
    tops = tops == null ? List.of() : List.copyOf(tops);
    substrateOverBoard = or(substrateOverBoard);
    plateOutOfBracket = or(plateOutOfBracket);
    lidTop = or(lidTop);
    cavity = or(cavity);
    glue = or(glue);
    newCavity = or(newCavity);
    mount = mount == null ? Mount.UNKNOWN : mount;
  }

  private static Reading or(Reading reading) {
    return reading == null ? Reading.NONE : reading;
  }

  /** The same with one top replaced. */
  public Heights withTop(int index, Top top) {
    List<Top> all = new ArrayList<>(tops);
    all.set(index, top);
    return withTops(all);
  }

  /**
   * What usually stands around this chip, without heights: its dies, a shim, the socket's corners
   * and a part beside the die. Places are common practice, to be put right.
   */
  public static List<Top> usual(Chip chip) {
    List<Top> tops = new ArrayList<>();
    for (Die d : chip.dies()) {
      tops.add(
          new Top(
              d.name(),
              TopKind.DIE,
              d.xMillimetres(),
              d.yMillimetres(),
              d.widthMillimetres(),
              d.depthMillimetres(),
              false,
              Reading.NONE));
    }
    double w = chip.widthMillimetres();
    double d = chip.depthMillimetres();
    tops.add(new Top("shim", TopKind.SHIM, 0, 0, w - 6, d - 6, false, Reading.NONE));
    for (int i = 0; i < 4; i++) {
      tops.add(
          new Top(
              "socket " + List.of("left low", "right low", "left high", "right high").get(i),
              TopKind.SOCKET,
              (i % 2 == 0 ? -1 : 1) * (w / 2 + 3),
              (i < 2 ? -1 : 1) * (d / 2 + 3),
              0,
              0,
              true,
              Reading.NONE));
    }
    return tops;
  }
}
