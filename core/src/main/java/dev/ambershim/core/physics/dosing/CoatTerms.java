package dev.ambershim.core.physics.dosing;

import dev.ambershim.core.physics.assembly.Room;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * With what and onto what the metal goes. What is not said stays empty and is taken as usual.
 *
 * @param alloy the metal
 * @param celsius how warm it is
 * @param boreMillimetres bore of its syringe
 * @param measuring how the drop is measured out
 * @param lower how rough the lower face is
 * @param upper how rough the upper face is
 * @param upright whether the board stands in its case
 * @param partMillimetres how far the nearest part is from the die that the metal must not reach;
 *     null to take it from the measured parts
 * @param bare whether that part is bare, and not under a cover
 * @param faces what the person said of the places that the metal can meet
 * @param coats how many coats or layers of cover; null for the usual
 * @param earlier a cover that lies there from before, or null
 */
@RecordBuilder
public record CoatTerms(
    Alloy alloy,
    Double celsius,
    Double boreMillimetres,
    Measuring measuring,
    Finish lower,
    Finish upper,
    Boolean upright,
    Double partMillimetres,
    boolean bare,
    List<Said> faces,
    Integer coats,
    Cover earlier)
    implements CoatTermsBuilder.With {
  /** Nothing is said. */
  public static final CoatTerms USUAL =
      new CoatTerms(null, null, null, null, null, null, null, null, false, null, null, null);

  /**
   * What a place is made of.
   *
   * @param place where
   * @param face what it is made of there
   */
  public record Said(MetalPlace place, MetalFace face) {}

  /** Fills in what is usual; a board stands in most cases. */
  public CoatTerms {
    alloy = alloy == null ? Alloy.GALLIUM_INDIUM_TIN : alloy;
    measuring = measuring == null ? Measuring.EYE : measuring;
    lower = lower == null ? Finish.POLISHED : lower;
    upper = upper == null ? Finish.AS_MADE : upper;
    upright = upright == null ? Boolean.TRUE : upright;
    faces =
        faces == null
            ? List.of()
            : faces.stream().filter(f -> f.place() != null && f.face() != null).toList();
  }

  /** How warm the metal is, °C. */
  public double warmth() {
    return celsius == null ? Room.USUAL_CELSIUS : celsius;
  }

  /** Bore of the syringe, mm; a usual one holds one millilitre. */
  public double bore() {
    return boreMillimetres == null ? 4.7 : boreMillimetres;
  }

  /** What lies at a place, as said; empty if nothing was said. */
  public Optional<MetalFace> said(MetalPlace place) {
    return faces.stream().filter(f -> f.place() == place).map(Said::face).findFirst();
  }

  /** The same with a place made of something. */
  public CoatTerms saying(MetalPlace place, MetalFace face) {
    List<Said> all = new ArrayList<>(faces);
    all.removeIf(f -> f.place() == place);
    all.add(new Said(place, face));
    return withFaces(all);
  }
}
