package dev.ambershim.core.physics.surface;

import dev.ambershim.core.physics.material.Material;

/** How fast a material goes against copper, on the same paper. Common practice. */
enum LapMetal {
  COPPER(1),
  NICKEL(0.35),
  ALUMINIUM(1.6),
  SILVER(1.1),
  SILICON(0.3);

  private final double factor;

  LapMetal(double factor) {
    this.factor = factor;
  }

  double factor() {
    return factor;
  }

  static LapMetal of(Material material) {
    return switch (material) {
      case ALUMINIUM -> ALUMINIUM;
      case SILICON -> SILICON;
      case NICKEL -> NICKEL;
      default -> COPPER;
    };
  }
}
