package dev.ambershim.app;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** {@code screenshots}: every main view, redrawn from the demo. */
@Command(
    name = "screenshots",
    mixinStandardHelpOptions = true,
    description = "Redraw every main view from the demo.")
final class ScreenshotsCommand implements Callable<Integer> {
  @Parameters(paramLabel = "DIR", description = "Folder for the pictures.")
  Path folder;

  @Option(
      names = "--size",
      paramLabel = "WIDTHxHEIGHT",
      description = "Size of the window, 1280x800 if not said.")
  String size = "1280x800";

  @Override
  public Integer call() {
    if (!size.matches("\\d{3,4}x\\d{3,4}")) {
      throw new Problem(
          "screenshots.size",
          Place.field("--size"),
          "\"" + size + "\" is no size of a window.",
          "Give width and height, such as 1024x700.");
    }
    String[] parts = size.split("x", -1);
    Screenshots.draw(folder, Integer.parseInt(parts[0]), Integer.parseInt(parts[1]));
    return 0;
  }
}
