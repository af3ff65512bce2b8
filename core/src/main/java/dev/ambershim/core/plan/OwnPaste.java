package dev.ambershim.core.plan;

/**
 * What a series of the person's own tells of a paste: how it stood against the mean of those that
 * it was compared with.
 *
 * @param name the paste
 * @param series the series that told it
 * @param candidates how many were compared, this one among them
 * @param mounts how many mounts of it counted
 * @param kelvin its rise less the mean of all candidates', K
 * @param standardErrorKelvin of that
 * @param watts the power that it holds for
 */
public record OwnPaste(
    String name,
    String series,
    int candidates,
    int mounts,
    double kelvin,
    double standardErrorKelvin,
    double watts) {
  /** Fills in names that are missing. */
  public OwnPaste {
    name = name == null ? "" : name;
    series = series == null ? "" : series;
  }

  /** Whether it can be reckoned with. */
  public boolean sound() {
    return candidates >= 2
        && mounts >= 1
        && Math.abs(kelvin) <= 100
        && standardErrorKelvin > 0
        && standardErrorKelvin <= 100
        && watts > 0
        && watts <= 5000;
  }

  /** Where it comes from, in words. */
  public String from() {
    return name
        + ", by your series \""
        + series
        + "\" ("
        + mounts
        + (mounts == 1 ? " mount" : " mounts")
        + ")";
  }
}
