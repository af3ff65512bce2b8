package dev.ambershim.desktop.quickstart;

import dev.ambershim.desktop.demo.DemoWorkshop;
import dev.ambershim.desktop.model.Opened;
import dev.ambershim.desktop.model.SystemLook;
import dev.ambershim.desktop.widget.Dress;
import dev.ambershim.logbook.store.Access;
import dev.ambershim.logbook.store.Json;
import dev.ambershim.logbook.store.Logbook;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Clock;
import java.util.Comparator;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Stream;

/** Opens a logbook on a thread of its own, so that JavaFX can start meanwhile. */
public final class Opening {
  private static final String SCRATCH = "amber-shim-demo-";

  private Opening() {}

  /** Opens the logbook that the options ask for. */
  public static CompletableFuture<Opened> start(LaunchOptions options) {
    CompletableFuture<Opened> opened = new CompletableFuture<>();
    thread("preparing", Json::prepare);
    thread("asking the desktop", SystemLook::asked);
    thread(
        "opening",
        () -> {
          try {
            opened.complete(Opened.of(open(options)));
          } catch (RuntimeException | Error e) {
            opened.completeExceptionally(e);
          }
        });
    return opened;
  }

  private static void thread(String name, Runnable work) {
    Thread thread = new Thread(work, name);
    thread.setDaemon(true);
    thread.start();
  }

  private static Logbook open(LaunchOptions options) {
    if (options.demo()) {
      return demo();
    }
    return Logbook.open(
        options.logbook(), options.readOnly() ? Access.READ_ONLY : Access.WRITE, Clock.systemUTC());
  }

  /** The demo in a scratch folder that goes when the process ends. */
  public static Logbook demo() {
    try {
      thread("old scratch folders", Opening::removeOld);
      Path scratch = scratch();
      Runtime.getRuntime().addShutdownHook(new Thread(() -> remove(scratch)));
      Path ready = Path.of(System.getProperty(Dress.READY, ""), "demo", "logbook.sqlite");
      boolean made = Files.isRegularFile(ready);
      if (made) {
        Files.copy(ready, scratch.resolve("logbook.sqlite"));
      }
      Logbook logbook = Logbook.open(scratch, Access.WRITE, Clock.systemUTC());
      if (!made) {
        DemoWorkshop.fill(logbook);
      }
      return logbook;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A folder of this process, for the person only; the usual way seeds a random source for it. */
  private static Path scratch() throws IOException {
    String name = SCRATCH + ProcessHandle.current().pid() + "-" + System.nanoTime();
    return Files.createDirectory(
        Path.of(System.getProperty("java.io.tmpdir"), name),
        PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rwx------")));
  }

  /** Scratch folders of demos whose process is gone, as after a crash. */
  private static void removeOld() {
    Path temporary = Path.of(System.getProperty("java.io.tmpdir"));
    try (Stream<Path> all = Files.list(temporary)) {
      for (Path folder : all.filter(f -> named(f)).toList()) {
        String[] parts = folder.getFileName().toString().substring(SCRATCH.length()).split("-", -1);
        boolean runs = ProcessHandle.of(Long.parseLong(parts[0])).isPresent();
        if (!runs && Files.isDirectory(folder)) {
          remove(folder);
        }
      }
    } catch (IOException ignored) {
      // They harm nobody.
    }
  }

  private static boolean named(Path folder) {
    return folder.getFileName().toString().matches(SCRATCH + "\\d{1,9}-\\d+");
  }

  private static void remove(Path folder) {
    try (Stream<Path> all = Files.walk(folder)) {
      for (Path path : all.sorted(Comparator.reverseOrder()).toList()) {
        Files.deleteIfExists(path);
      }
    } catch (IOException ignored) {
      // A scratch folder left behind harms nobody; the system clears its temporary files.
    }
  }
}
