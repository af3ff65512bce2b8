package dev.ambershim.desktop.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PhotoFolderTest {
  @TempDir Path folder;

  private Path write(String name, int bytes) throws IOException {
    return Files.write(folder.resolve(name), new byte[bytes]);
  }

  @Test
  void onlyWhatIsNewAndWholeIsHandedOn() throws IOException {
    write("old.jpg", 10);
    try (PhotoFolder watched = new PhotoFolder(folder)) {
      assertThat(watched.look()).isEmpty();
      Path came = write("IMG_1.JPG", 5);
      write("notes.txt", 5);
      write(".hidden.png", 5);
      assertThat(watched.look()).isEmpty();
      write("IMG_1.JPG", 9);
      assertThat(watched.look()).as("it still grows").isEmpty();
      assertThat(watched.look()).containsExactly(came);
      assertThat(watched.look()).isEmpty();
      Path empty = write("IMG_2.png", 0);
      assertThat(watched.look()).isEmpty();
      assertThat(watched.look()).as("nothing is in it yet").isEmpty();
      write("IMG_2.png", 3);
      watched.look();
      assertThat(watched.look()).containsExactly(empty);
    }
  }

  @Test
  void aFolderThatGoesAndComesBackIsSeenAgain() throws IOException {
    Path card = Files.createDirectory(folder.resolve("card"));
    try (PhotoFolder watched = new PhotoFolder(card)) {
      watched.look();
      Files.delete(card);
      assertThat(watched.look()).isEmpty();
      Files.createDirectory(card);
      Path came = Files.write(card.resolve("a.jpg"), new byte[4]);
      watched.look();
      assertThat(watched.look()).containsExactly(came);
    }
  }
}
