package dev.ambershim.core.physics.surface;

import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * How a face is to be lapped. What is left empty is taken as usual.
 *
 * @param face the face
 * @param extremeCold whether it is for cooling far below the room, where paste must not crack
 * @param targetMicrometres flatness to reach (minimum zone)
 * @param platingMicrometres thickness of the plating; 0 for bare metal
 * @param floorMillimetres least thickness to leave
 * @param newtons how hard it is pressed
 * @param strokeMillimetres length of a stroke, one way
 * @param offsetMillimetres how far off the middle the hand may press
 * @param finish the last paper
 */
@RecordBuilder
public record LapTerms(
    Face face,
    boolean extremeCold,
    Double targetMicrometres,
    Double platingMicrometres,
    Double floorMillimetres,
    Double newtons,
    Double strokeMillimetres,
    Double offsetMillimetres,
    Grit finish)
    implements LapTermsBuilder.With {
  /** Lid top, ambient cooling, usual figures. */
  public static final LapTerms USUAL =
      new LapTerms(Face.LID_TOP, false, null, null, null, null, null, null, null);

  /** Fills in the face. */
  public LapTerms {
    face = face == null ? Face.LID_TOP : face;
  }

  /** Flatness to reach, µm: 10 for ambient cooling, 5 for extreme cold; common practice. */
  public double target() {
    return targetMicrometres != null ? targetMicrometres : extremeCold ? 5 : 10;
  }

  /** Plating, µm; nickel of some 5 µm on lids and plates by common practice, none on silicon. */
  public double plating() {
    return platingMicrometres != null
        ? platingMicrometres
        : face == Face.DIE || face == Face.LAP ? 0 : 5;
  }

  /** Press, N; about the weight of a hand on metal, far less on silicon. */
  public double press() {
    return newtons != null ? newtons : face == Face.DIE ? 3 : 10;
  }

  /** Stroke, mm. */
  public double stroke() {
    return strokeMillimetres != null ? strokeMillimetres : 120;
  }

  /** How far off the middle a careful hand presses, mm. */
  public double offset() {
    return offsetMillimetres != null ? offsetMillimetres : face == Face.DIE ? 1 : 2;
  }

  /** The last paper: fine for liquid metal and ambient paste, coarser where paste must hold on. */
  public Grit last() {
    return finish != null ? finish : extremeCold ? Grit.P1200 : Grit.P2000;
  }
}
