package dev.ambershim.core.physics.dosing;

import static dev.ambershim.core.physics.dosing.MetalFace.ALUMINIUM;
import static dev.ambershim.core.physics.dosing.MetalFace.ANODISED;
import static dev.ambershim.core.physics.dosing.MetalFace.BRASS;
import static dev.ambershim.core.physics.dosing.MetalFace.COPPER;
import static dev.ambershim.core.physics.dosing.MetalFace.COVERED;
import static dev.ambershim.core.physics.dosing.MetalFace.GOLD;
import static dev.ambershim.core.physics.dosing.MetalFace.INDIUM;
import static dev.ambershim.core.physics.dosing.MetalFace.NICKEL;
import static dev.ambershim.core.physics.dosing.MetalFace.PLASTIC;
import static dev.ambershim.core.physics.dosing.MetalFace.SILICON;
import static dev.ambershim.core.physics.dosing.MetalFace.SILVER;
import static dev.ambershim.core.physics.dosing.MetalFace.STEEL;
import static dev.ambershim.core.physics.dosing.MetalFace.TIN;
import static dev.ambershim.core.physics.dosing.MetalFace.ZINC;

import java.util.List;

/** A place where liquid metal can get to, and what it may be made of. The first is usual. */
public enum MetalPlace {
  DIE("die", true, List.of(SILICON, GOLD, INDIUM)),
  LID_INSIDE("lid, inside", true, List.of(NICKEL, COPPER, GOLD, INDIUM, SILVER, ALUMINIUM)),
  LID_TOP("lid, top", true, List.of(NICKEL, COPPER, SILVER, ALUMINIUM)),
  PLATE("cold plate", true, List.of(COPPER, NICKEL, SILVER, ALUMINIUM, ANODISED)),
  BRACKET(
      "cooler's bracket", false, List.of(STEEL, NICKEL, PLASTIC, COVERED, ALUMINIUM, ZINC, BRASS)),
  PARTS("solder joints of parts near by", false, List.of(COVERED, TIN)),
  CASE("case", false, List.of(STEEL, PLASTIC, COVERED, ALUMINIUM, ANODISED)),
  TOOL("tools", false, List.of(PLASTIC, STEEL, COVERED, ALUMINIUM, BRASS)),
  TABLE("table", false, List.of(PLASTIC, STEEL, COVERED, ALUMINIUM)),
  JEWELLERY("rings and watch", false, List.of(COVERED, GOLD, SILVER, STEEL, ALUMINIUM));

  private final String words;
  private final boolean inJoint;
  private final List<MetalFace> faces;

  MetalPlace(String words, boolean inJoint, List<MetalFace> faces) {
    this.words = words;
    this.inJoint = inJoint;
    this.faces = faces;
  }

  /** In words. */
  public String words() {
    return words;
  }

  /** Whether the film lies on it; else the metal gets there only by mishap. */
  public boolean inJoint() {
    return inJoint;
  }

  /** What it may be made of. */
  public List<MetalFace> faces() {
    return faces;
  }
}
