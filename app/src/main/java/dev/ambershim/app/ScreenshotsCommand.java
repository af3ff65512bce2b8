package dev.ambershim.app;

import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;

/** {@code screenshots}: every main view, redrawn from the demo. */
@Command(
    name = "screenshots",
    mixinStandardHelpOptions = true,
    description = "Redraw every main view at 1280 × 800 from the demo.")
final class ScreenshotsCommand implements Callable<Integer> {
  @Parameters(paramLabel = "DIR", description = "Folder for the pictures.")
  Path folder;

  @Override
  public Integer call() {
    Screenshots.draw(folder);
    return 0;
  }
}
