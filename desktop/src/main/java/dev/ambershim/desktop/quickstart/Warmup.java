package dev.ambershim.desktop.quickstart;

import dev.ambershim.desktop.demo.DemoWorkshop;
import dev.ambershim.desktop.widget.Dress;
import dev.ambershim.logbook.store.Access;
import dev.ambershim.logbook.store.Logbook;
import dev.ambershim.logbook.store.NativeStore;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;

/**
 * Run once after a build: makes the demo's logbook, the binary style sheets and the native library
 * ready, then starts the window as a person does, so that the virtual machine can keep the classes
 * of just that for quicker starts.
 */
public final class Warmup {
  private Warmup() {}

  /**
   * Makes everything ready in a folder, shows the window, ends.
   *
   * @param arguments the folder, which must not be there yet; and any second word where there is no
   *     screen, so that no window is shown
   */
  public static void main(String[] arguments) throws IOException {
    Path ready = Path.of(arguments[0]);
    Path making = ready.resolveSibling("ready.new");
    Files.createDirectories(making);
    try (Logbook logbook = Logbook.open(making.resolve("demo"), Access.WRITE, Clock.systemUTC())) {
      DemoWorkshop.fill(logbook);
    }
    Dress.makeBinary(making);
    NativeStore.extract(making);
    Files.move(making, ready);
    if (arguments.length == 1) {
      DesktopApp.rehearse();
    }
  }
}
