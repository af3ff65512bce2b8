import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Enumeration;
import java.util.List;
import java.util.Locale;
import java.util.TreeMap;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;

/**
 * Writes which licences everything in the application has, by the bill of materials, and takes the
 * texts out of the archives that bring them. Run by ./package: {@code BOM LIB-FOLDER TARGET}.
 */
final class Licences {
  private Licences() {}

  public static void main(String[] arguments) throws IOException {
    Path target = Path.of(arguments[2]);
    TreeMap<String, String> named = new TreeMap<>();
    JsonNode bom = new ObjectMapper().readTree(Path.of(arguments[0]).toFile());
    for (JsonNode component : bom.get("components")) {
      String name = component.get("name").asText() + " " + component.get("version").asText();
      String licences = licences(component);
      if (licences.isEmpty()) {
        throw new IOException(name + " says no licence");
      }
      named.put(name, licences);
    }
    StringBuilder list = new StringBuilder("What is in Amber Shim besides its own code:\n\n");
    named.forEach((name, licences) -> list.append(name).append(": ").append(licences).append('\n'));
    list.append("The Java runtime: GPL-2.0-with-classpath-exception; see runtime/legal\n");
    list.append("The font Lato: OFL-1.1; its text lies in logbook's archive\n");
    list.append("\nTexts that the archives bring lie in licences/.\n");
    Files.writeString(target.resolve("THIRD-PARTY.txt"), list);
    texts(Path.of(arguments[1]), target.resolve("licences"));
  }

  private static String licences(JsonNode component) {
    if (component.path("group").asText().equals("dev.ambershim")) {
      return "see copyright";
    }
    List<String> all = new ArrayList<>();
    for (JsonNode choice : component.path("licenses")) {
      JsonNode one = choice.path("license");
      all.add(
          choice.has("expression")
              ? choice.get("expression").asText()
              : one.path("id").asText(one.path("name").asText()));
    }
    return String.join(", ", all);
  }

  private static void texts(Path lib, Path target) throws IOException {
    List<Path> archives;
    try (Stream<Path> files = Files.list(lib)) {
      archives = files.filter(f -> f.toString().endsWith(".jar")).sorted().toList();
    }
    for (Path archive : archives) {
      try (ZipFile zip = new ZipFile(archive.toFile())) {
        Enumeration<? extends ZipEntry> entries = zip.entries();
        while (entries.hasMoreElements()) {
          ZipEntry entry = entries.nextElement();
          String name = entry.getName().substring(entry.getName().lastIndexOf('/') + 1);
          String plain = name.toLowerCase(Locale.ROOT);
          boolean text =
              (plain.startsWith("license") || plain.startsWith("notice") || plain.equals("ofl.txt"))
                  && !plain.endsWith(".class");
          if (text && !entry.isDirectory()) {
            String of = archive.getFileName().toString().replaceAll("\\.jar$", "");
            Path file = target.resolve(of).resolve(name);
            Files.createDirectories(file.getParent());
            try (InputStream in = zip.getInputStream(entry)) {
              Files.write(file, in.readAllBytes());
            }
          }
        }
      }
    }
  }
}
