package dev.ambershim.logbook.store;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;

/** Keeps a logbook to one writer. The system gives the lock back whatever ends the process. */
final class WriterLock implements AutoCloseable {
  private final FileChannel channel;

  private WriterLock(FileChannel channel) {
    this.channel = channel;
  }

  /**
   * Takes the lock.
   *
   * @throws Problem {@code logbook.busy} if another writer has it
   */
  static WriterLock take(Path folder) {
    try {
      FileChannel channel =
          FileChannel.open(
              folder.resolve("writer.lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
      if (!locked(channel)) {
        channel.close();
        throw new Problem(
            "logbook.busy",
            Place.file(folder.toString()),
            "This logbook is open in another window.",
            "Go to that window, or open the logbook here read-only.");
      }
      return new WriterLock(channel);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static boolean locked(FileChannel channel) throws IOException {
    try {
      FileLock lock = channel.tryLock();
      return lock != null;
    } catch (OverlappingFileLockException e) {
      return false;
    }
  }

  @Override
  public void close() {
    try {
      channel.close();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
