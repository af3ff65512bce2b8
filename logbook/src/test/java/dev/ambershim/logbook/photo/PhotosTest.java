package dev.ambershim.logbook.photo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.plan.Photo;
import dev.ambershim.logbook.Fixture;
import dev.ambershim.logbook.store.Logbook;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Photos in, upright and small; and files that are none. */
class PhotosTest {
  @TempDir Path folder;

  /** Left half red, right half blue, as wide as it is told. */
  private static byte[] picture(String kind, int width, int height) throws IOException {
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setColor(Color.RED);
    g.fillRect(0, 0, width / 2, height);
    g.setColor(Color.BLUE);
    g.fillRect(width / 2, 0, width - width / 2, height);
    g.dispose();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    assertThat(ImageIO.write(image, kind, out)).isTrue();
    return out.toByteArray();
  }

  /**
   * The JPEG with an EXIF block that says how the camera was held (CIPA DC-008, tag 0x0112; the
   * layout from memory).
   */
  private static byte[] held(byte[] jpeg, int orientation) {
    byte[] exif = {
      (byte) 0xff,
      (byte) 0xe1,
      0,
      34,
      'E',
      'x',
      'i',
      'f',
      0,
      0,
      'M',
      'M',
      0,
      42,
      0,
      0,
      0,
      8,
      0,
      1,
      0x01,
      0x12,
      0,
      3,
      0,
      0,
      0,
      1,
      0,
      (byte) orientation,
      0,
      0,
      0,
      0,
      0,
      0
    };
    byte[] all = new byte[jpeg.length + exif.length];
    System.arraycopy(jpeg, 0, all, 0, 2);
    System.arraycopy(exif, 0, all, 2, exif.length);
    System.arraycopy(jpeg, 2, all, 2 + exif.length, jpeg.length - 2);
    return all;
  }

  private static BufferedImage read(byte[] png) throws IOException {
    return ImageIO.read(new ByteArrayInputStream(png));
  }

  @Test
  void aPhotoIsKeptAsItCameWithASmallOneBesideIt() throws IOException {
    Path file = folder.resolve("die.jpg");
    byte[] bytes = picture("jpg", 1600, 900);
    Files.write(file, bytes);
    try (Logbook logbook = Fixture.open(folder.resolve("logbook"))) {
      Photo photo = Photos.keep(logbook, file);
      assertThat(photo.name()).isEqualTo("die.jpg");
      assertThat(logbook.files().attachment(photo.sha256()).bytes()).isEqualTo(bytes);
      BufferedImage small = read(logbook.files().thumbnail(photo.sha256()).orElseThrow());
      assertThat(small.getWidth()).isEqualTo(Photos.THUMBNAIL);
      assertThat(small.getHeight()).isEqualTo(135);
      assertThat(new Color(small.getRGB(30, 60)).getRed()).isGreaterThan(200);
      // The same photo again is the same photo.
      assertThat(Photos.keep(logbook, file)).isEqualTo(photo);
      assertThat(logbook.files().thumbnail("0".repeat(64))).isEmpty();
    }
  }

  @Test
  void aCameraHeldUprightGivesAnUprightPicture() throws IOException {
    byte[] jpeg = picture("jpg", 400, 200);
    // 6: the top of the picture lies at the right of the sensor, so it is turned a quarter right.
    BufferedImage turned = read(Photos.scaled("a.jpg", held(jpeg, 6), 100));
    assertThat(turned.getWidth()).isEqualTo(50);
    assertThat(turned.getHeight()).isEqualTo(100);
    assertThat(new Color(turned.getRGB(25, 10)).getRed())
        .as("left is now above")
        .isGreaterThan(200);
    BufferedImage other = read(Photos.scaled("a.jpg", held(jpeg, 8), 100));
    assertThat(new Color(other.getRGB(25, 10)).getBlue()).isGreaterThan(200);
    BufferedImage down = read(Photos.scaled("a.jpg", held(jpeg, 3), 100));
    assertThat(new Color(down.getRGB(10, 25)).getBlue()).isGreaterThan(200);
    BufferedImage plain = read(Photos.scaled("a.jpg", held(jpeg, 1), 100));
    assertThat(new Color(plain.getRGB(10, 25)).getRed()).isGreaterThan(200);
  }

  @Test
  void whatIsNoPhotoIsRefusedWithItsName() throws IOException {
    byte[] png = picture("png", 60, 40);
    assertThat(refusal("notes.png", "hello".getBytes(StandardCharsets.UTF_8)))
        .isEqualTo("photo.kind");
    assertThat(refusal("empty.jpg", new byte[0])).isEqualTo("photo.kind");
    assertThat(refusal("cut.png", Arrays.copyOf(png, 60))).isEqualTo("photo.damaged");
    // A header that claims a hundred thousand pixels a side is not believed with memory.
    byte[] huge = png.clone();
    huge[16] = 0;
    huge[17] = 1;
    huge[18] = (byte) 0x86;
    huge[19] = (byte) 0xa0;
    huge[20] = 0;
    huge[21] = 1;
    huge[22] = (byte) 0x86;
    huge[23] = (byte) 0xa0;
    assertThat(refusal("huge.png", huge)).isIn("photo.large", "photo.damaged");
    try (Logbook logbook = Fixture.open(folder.resolve("logbook"))) {
      Problem p =
          catchThrowableOfType(
              Problem.class, () -> Photos.keep(logbook, folder.resolve("gone.jpg")));
      assertThat(p.key()).isEqualTo("photo.unread");
    }
  }

  private static String refusal(String name, byte[] bytes) {
    Problem p =
        catchThrowableOfType(Problem.class, () -> Photos.scaled(name, bytes, Photos.THUMBNAIL));
    assertThat(p).as(name).isNotNull();
    assertThat(p.getMessage()).contains(name);
    assertThat(p.remedy()).isNotBlank();
    return p.key();
  }
}
