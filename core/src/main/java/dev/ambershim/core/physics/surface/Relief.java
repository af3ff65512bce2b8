package dev.ambershim.core.physics.surface;

import java.util.List;

/**
 * One probing of a face.
 *
 * @param face the face
 * @param note when or why, such as "as it came" or "after P800"
 * @param points the heights, as probed with the face up
 * @param stage how many lapping passes the face had had
 */
public record Relief(Face face, String note, List<ProbedPoint> points, int stage) {
  /** Copies its list. */
  public Relief {
    note = note == null ? "" : note;
    points = points == null ? List.of() : List.copyOf(points);
  }

  /** The same with other points. */
  public Relief with(List<ProbedPoint> other) {
    return new Relief(face, note, other, stage);
  }
}
