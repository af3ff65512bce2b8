package dev.ambershim.core.plan;

import dev.ambershim.core.physics.dosing.CloseTerms;
import dev.ambershim.core.physics.dosing.CoatTerms;
import dev.ambershim.core.physics.fit.Heights;
import dev.ambershim.core.physics.mounting.MountTerms;
import dev.ambershim.core.physics.spread.PasteTerms;
import dev.ambershim.core.physics.surface.Surfaces;

/**
 * What a job says of the materials that close it, and of the heights that were measured.
 *
 * @param coat liquid metal, cover, and what the metal meets
 * @param paste paste under the cold plate
 * @param closing glue under the lid
 * @param mounting screws of the cooler
 * @param heights what was measured
 * @param surfaces faces that were probed, and how they are lapped
 */
public record WorkTerms(
    CoatTerms coat,
    PasteTerms paste,
    CloseTerms closing,
    MountTerms mounting,
    Heights heights,
    Surfaces surfaces) {
  /** Nothing is said, nothing measured. */
  public static final WorkTerms USUAL = new WorkTerms(null, null, null, null, null, null);

  /** Fills in what is usual. */
  public WorkTerms {
    coat = coat == null ? CoatTerms.USUAL : coat;
    paste = paste == null ? PasteTerms.USUAL : paste;
    closing = closing == null ? CloseTerms.USUAL : closing;
    mounting = mounting == null ? MountTerms.USUAL : mounting;
    heights = heights == null ? Heights.NONE : heights;
    surfaces = surfaces == null ? Surfaces.NONE : surfaces;
  }
}
