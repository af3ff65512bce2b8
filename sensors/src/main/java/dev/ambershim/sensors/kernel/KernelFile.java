package dev.ambershim.sensors.kernel;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** One of the kernel's small text files. They come and go with their drivers. */
final class KernelFile {
  private KernelFile() {}

  /** The file's text without blanks around it; empty if it cannot be read now. */
  static Optional<String> text(Path file) {
    try {
      return Optional.of(Files.readString(file, StandardCharsets.UTF_8).strip());
    } catch (IOException | UncheckedIOException e) {
      // A sensor that is busy or gone answers with an error; the next reading may succeed.
      return Optional.empty();
    }
  }

  /** The file's figure; not a number if it cannot be read now. */
  static double figure(Path file) {
    String text = text(file).orElse("");
    try {
      return Double.parseDouble(text);
    } catch (NumberFormatException e) {
      return Double.NaN;
    }
  }

  /** What lies in a folder, by name and number; nothing if there is no such folder. */
  static List<Path> inside(Path folder, String pattern) {
    if (!Files.isDirectory(folder)) {
      return List.of();
    }
    try (Stream<Path> all = Files.list(folder)) {
      return all.filter(p -> p.getFileName().toString().matches(pattern))
          .sorted((a, b) -> Long.compare(number(a), number(b)))
          .toList();
    } catch (IOException e) {
      return List.of();
    }
  }

  /** The first number in a name, such as 12 in "temp12_input"; 0 if there is none. */
  static long number(Path path) {
    String digits = path.getFileName().toString().replaceAll("^\\D*(\\d{1,15}).*$", "$1");
    return digits.matches("\\d+") ? Long.parseLong(digits) : 0;
  }
}
