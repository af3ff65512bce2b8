package dev.ambershim.desktop.widget;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.function.Supplier;
import javafx.scene.Scene;
import javafx.scene.image.Image;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javax.imageio.ImageIO;

/** Takes a scene's picture. */
public final class Camera {
  private Camera() {}

  /**
   * Writes the scene as PNG. Call on the JavaFX thread; encoding and writing are done off it.
   *
   * @return the thread that writes, to be waited for before the process ends
   */
  public static Thread take(Scene scene, Path target) {
    return write(scene.snapshot(null), target);
  }

  /**
   * Writes an image as PNG; encoding and writing are done off the JavaFX thread.
   *
   * @return the thread that writes
   */
  private static Thread write(WritableImage image, Path target) {
    Thread writer = new Thread(writing(image, target), "camera");
    writer.start();
    return writer;
  }

  /** What writes an image as PNG, to be run where there is time. Call on the JavaFX thread. */
  public static Runnable writing(Image image, Path target) {
    Supplier<byte[]> png = png(image);
    return () -> {
      try {
        Files.write(target, png.get());
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    };
  }

  /**
   * What makes an image PNG, to be run where there is time. Call on the JavaFX thread, which reads
   * the pixels here.
   */
  public static Supplier<byte[]> png(Image image) {
    int width = (int) image.getWidth();
    int height = (int) image.getHeight();
    int[] pixels = new int[width * height];
    image
        .getPixelReader()
        .getPixels(0, 0, width, height, PixelFormat.getIntArgbInstance(), pixels, 0, width);
    return () -> {
      BufferedImage picture = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
      picture.setRGB(0, 0, width, height, pixels, 0, width);
      try {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(picture, "png", out);
        return out.toByteArray();
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    };
  }
}
