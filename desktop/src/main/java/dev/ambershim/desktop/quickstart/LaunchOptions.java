package dev.ambershim.desktop.quickstart;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/**
 * How the window is started.
 *
 * @param logbook folder of the logbook
 * @param demo whether to show the demo in a scratch copy instead
 * @param readOnly whether to look only
 * @param picture where to write a picture of the window once it is up, if anywhere
 * @param files bundles and logs that it was opened with
 */
public record LaunchOptions(
    Path logbook, boolean demo, boolean readOnly, Optional<Path> picture, List<Path> files) {
  /** Copies its list. */
  public LaunchOptions {
    files = List.copyOf(files);
  }
}
