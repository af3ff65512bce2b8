package dev.ambershim.desktop.model;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.application.Platform;

/**
 * A folder that a camera or a phone writes photos to, looked at every second or so: what comes in
 * new is handed on once it is whole. What lay there before is left alone.
 */
public final class PhotoFolder implements AutoCloseable {
  private static final long EVERY_MILLIS = 1200;

  private final Path folder;
  private final Set<Path> known = new HashSet<>();
  private final Map<Path, Long> growing = new HashMap<>();
  private boolean begun;
  private Future<?> looking;

  private final ScheduledExecutorService clock =
      Executors.newSingleThreadScheduledExecutor(
          r -> {
            Thread thread = new Thread(r, "photo folder");
            thread.setDaemon(true);
            return thread;
          });

  PhotoFolder(Path folder) {
    this.folder = folder;
  }

  /**
   * Begins to watch.
   *
   * @param came hears of every new photo, on the JavaFX thread
   */
  public static PhotoFolder watch(Path folder, Consumer<Path> came) {
    PhotoFolder watched = new PhotoFolder(folder);
    watched.looking =
        watched.clock.scheduleWithFixedDelay(
            () ->
                watched
                    .look()
                    .forEach(
                        photo ->
                            Platform.runLater(
                                () -> {
                                  if (!watched.clock.isShutdown()) {
                                    came.accept(photo);
                                  }
                                })),
            0,
            EVERY_MILLIS,
            TimeUnit.MILLISECONDS);
    return watched;
  }

  /** Looks once: the photos that are new since the first look, and no longer grow. */
  synchronized List<Path> look() {
    List<Path> whole = new ArrayList<>();
    try (Stream<Path> all = Files.list(folder)) {
      for (Path file : all.filter(PhotoFolder::photo).sorted().toList()) {
        if (!begun) {
          known.add(file);
        } else if (!known.contains(file)) {
          long size = Files.size(file);
          if (size > 0 && size == growing.getOrDefault(file, -1L)) {
            known.add(file);
            growing.remove(file);
            whole.add(file);
          } else {
            growing.put(file, size);
          }
        }
      }
      begun = true;
    } catch (IOException | UncheckedIOException e) {
      // A camera that was pulled out comes back; until then there is nothing to see.
      growing.clear();
    }
    return whole;
  }

  private static boolean photo(Path file) {
    String name = file.getFileName().toString().toLowerCase(Locale.ROOT);
    return !name.startsWith(".") && name.matches(".*\\.(png|jpe?g)") && Files.isRegularFile(file);
  }

  @Override
  public void close() {
    if (looking != null) {
      looking.cancel(false);
    }
    clock.shutdownNow();
  }
}
