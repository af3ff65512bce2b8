package dev.ambershim.core.physics.fit;

import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * How a shim, a mask or a stencil is to be cut. What is left empty is taken as usual; the usual
 * figures are common practice.
 *
 * @param sheet what is cut
 * @param dieClearanceMillimetres from a die's edge to the opening
 * @param partClearanceMillimetres from a part's edge to its opening
 * @param insetMillimetres from the substrate's edge to the sheet's, for socket or frame
 * @param cornerMillimetres radius of the openings' corners
 * @param kerfMillimetres width that the cut burns away; 0 for a knife
 * @param webMillimetres least width of a bridge that can be cut and handled
 * @param rimMicrometres how far the cut's edge is raised; laser leaves such a rim
 * @param foilMicrometres thickness of the foil taken; empty for the best of the usual ones
 */
@RecordBuilder
public record ShimTerms(
    Sheet sheet,
    Double dieClearanceMillimetres,
    Double partClearanceMillimetres,
    Double insetMillimetres,
    Double cornerMillimetres,
    Double kerfMillimetres,
    Double webMillimetres,
    Double rimMicrometres,
    Double foilMicrometres)
    implements ShimTermsBuilder.With {
  /** A shim by the usual figures. */
  public static final ShimTerms USUAL =
      new ShimTerms(Sheet.SHIM, 0.3, 0.3, 0.5, 0.3, 0.1, 0.8, 20.0, null);

  /** What can be cut. */
  public enum Sheet {
    SHIM("shim around the die"),
    MASK("mask for the film"),
    STENCIL("stencil for varnish");

    private final String words;

    Sheet(String words) {
      this.words = words;
    }

    /** In words. */
    public String words() {
      return words;
    }
  }

  /** Fills in what is not said. */
  public ShimTerms {
    sheet = sheet == null ? Sheet.SHIM : sheet;
    dieClearanceMillimetres = dieClearanceMillimetres == null ? 0.3 : dieClearanceMillimetres;
    partClearanceMillimetres = partClearanceMillimetres == null ? 0.3 : partClearanceMillimetres;
    insetMillimetres = insetMillimetres == null ? 0.5 : insetMillimetres;
    cornerMillimetres = cornerMillimetres == null ? 0.3 : cornerMillimetres;
    kerfMillimetres = kerfMillimetres == null ? 0.1 : kerfMillimetres;
    webMillimetres = webMillimetres == null ? 0.8 : webMillimetres;
    rimMicrometres = rimMicrometres == null ? 20.0 : rimMicrometres;
  }
}
