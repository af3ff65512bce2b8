package dev.ambershim.logbook.photo;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Metadata;
import com.drew.metadata.MetadataException;
import com.drew.metadata.exif.ExifIFD0Directory;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.plan.Photo;
import dev.ambershim.logbook.store.Attachment;
import dev.ambershim.logbook.store.Logbook;
import dev.ambershim.logbook.store.Readings;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;

/** Takes photos in, PNG or JPEG, and makes smaller ones of them. */
public final class Photos {
  /** Longest side of the small picture, pixels. */
  public static final int THUMBNAIL = 240;

  private static final int GAP = 12;
  private static final long MOST_BYTES = 48L << 20;
  private static final long MOST_PIXELS = 120_000_000;

  private Photos() {}

  /**
   * Keeps a photo from a file.
   *
   * @throws Problem {@code photo.unread}, {@code photo.kind}, {@code photo.large} or {@code
   *     photo.damaged}
   */
  public static Photo keep(Logbook logbook, Path file) {
    String name = file.getFileName().toString();
    try {
      if (Files.size(file) > MOST_BYTES) {
        throw large(name);
      }
      return keep(logbook, name, Files.readAllBytes(file));
    } catch (IOException e) {
      throw new Problem(
          "photo.unread", Place.file(name), "It cannot be read.", "Look whether it is there.", e);
    }
  }

  /**
   * Keeps a photo as it came, with its small picture.
   *
   * @param name the file's name
   * @throws Problem as the other
   */
  public static Photo keep(Logbook logbook, String name, byte[] bytes) {
    byte[] small = scaled(name, bytes, THUMBNAIL);
    String hash = Readings.sha256(bytes);
    logbook.files().attach(new Attachment(hash, name, bytes), Optional.empty());
    logbook.files().attachThumbnail(hash, small);
    return new Photo(hash, name);
  }

  /** The ending that a photo's bytes ask for: png, jpg, or nothing if they are neither. */
  public static Optional<String> ending(byte[] bytes) {
    if (bytes.length > 8 && (bytes[0] & 0xff) == 0x89 && bytes[1] == 'P' && bytes[2] == 'N') {
      return Optional.of("png");
    }
    boolean jpeg = bytes.length > 3 && (bytes[0] & 0xff) == 0xff && (bytes[1] & 0xff) == 0xd8;
    return jpeg ? Optional.of("jpg") : Optional.empty();
  }

  /**
   * A smaller copy, upright, as PNG.
   *
   * @param longest its longest side, pixels; a smaller photo keeps its size
   */
  public static byte[] scaled(String name, byte[] bytes, int longest) {
    if (bytes.length > MOST_BYTES) {
      throw large(name);
    }
    if (ending(bytes).isEmpty()) {
      throw new Problem(
          "photo.kind",
          Place.file(name),
          "It is neither PNG nor JPEG.",
          "Save the photo as JPEG or PNG, and take that.");
    }
    try {
      BufferedImage image = image(name, bytes, longest);
      BufferedImage small = upright(image, orientation(bytes), longest);
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      ImageIO.write(small, "png", out);
      return out.toByteArray();
    } catch (IOException | RuntimeException e) {
      if (e instanceof Problem problem) {
        throw problem;
      }
      throw new Problem(
          "photo.damaged",
          Place.file(name),
          "The picture in it cannot be read; it may be cut off.",
          "Take the photo again, or copy it again from the camera.",
          e);
    }
  }

  /**
   * Photos side by side in one picture, each of the same height.
   *
   * @param pngs at least one
   * @param height pixels
   */
  public static byte[] beside(List<byte[]> pngs, int height) {
    try {
      List<BufferedImage> images = new ArrayList<>();
      int width = -GAP;
      for (byte[] png : pngs) {
        BufferedImage image = ImageIO.read(new ByteArrayInputStream(png));
        images.add(image);
        width += GAP + Math.max(1, image.getWidth() * height / image.getHeight());
      }
      BufferedImage all = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
      Graphics2D g = all.createGraphics();
      g.setRenderingHint(
          RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
      int x = 0;
      for (BufferedImage image : images) {
        int w = Math.max(1, image.getWidth() * height / image.getHeight());
        g.drawImage(image, x, 0, w, height, null);
        x += w + GAP;
      }
      g.dispose();
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      ImageIO.write(all, "png", out);
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Problem large(String name) {
    return new Problem(
        "photo.large",
        Place.file(name),
        "The photo is too large.",
        "Save it smaller: up to " + (MOST_BYTES >> 20) + " MB and 120 million pixels.");
  }

  /** Reads with lines and columns left out where far more are there than needed. */
  private static BufferedImage image(String name, byte[] bytes, int longest) throws IOException {
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
      if (!readers.hasNext()) {
        throw new IOException("no reader");
      }
      ImageReader reader = readers.next();
      try {
        reader.setInput(in, true, false);
        long width = reader.getWidth(0);
        long height = reader.getHeight(0);
        if (width * height > MOST_PIXELS) {
          throw large(name);
        }
        var how = reader.getDefaultReadParam();
        int step = (int) Math.max(1, Math.max(width, height) / (3L * longest));
        how.setSourceSubsampling(step, step, 0, 0);
        return reader.read(0, how);
      } finally {
        reader.dispose();
      }
    }
  }

  /** How the camera was held, by EXIF; 1 for upright. */
  private static int orientation(byte[] bytes) {
    try {
      Metadata metadata = ImageMetadataReader.readMetadata(new ByteArrayInputStream(bytes));
      ExifIFD0Directory directory = metadata.getFirstDirectoryOfType(ExifIFD0Directory.class);
      return directory == null || !directory.containsTag(ExifIFD0Directory.TAG_ORIENTATION)
          ? 1
          : directory.getInt(ExifIFD0Directory.TAG_ORIENTATION);
    } catch (ImageProcessingException | MetadataException e) {
      return 1; // without a word about it, it is taken as it lies
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static BufferedImage upright(BufferedImage image, int orientation, int longest) {
    boolean turned = orientation >= 5 && orientation <= 8;
    double scale = Math.min(1, (double) longest / Math.max(image.getWidth(), image.getHeight()));
    int w = Math.max(1, (int) Math.round(image.getWidth() * scale));
    int h = Math.max(1, (int) Math.round(image.getHeight() * scale));
    AffineTransform place = new AffineTransform();
    switch (orientation) {
      case 2 -> place.setTransform(-1, 0, 0, 1, w, 0);
      case 3 -> place.setTransform(-1, 0, 0, -1, w, h);
      case 4 -> place.setTransform(1, 0, 0, -1, 0, h);
      case 5 -> place.setTransform(0, 1, 1, 0, 0, 0);
      case 6 -> place.setTransform(0, 1, -1, 0, h, 0);
      case 7 -> place.setTransform(0, -1, -1, 0, h, w);
      case 8 -> place.setTransform(0, -1, 1, 0, 0, w);
      default -> {}
    }
    BufferedImage small =
        new BufferedImage(turned ? h : w, turned ? w : h, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = small.createGraphics();
    g.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
    g.transform(place);
    g.drawImage(image, 0, 0, w, h, null);
    g.dispose();
    return small;
  }
}
