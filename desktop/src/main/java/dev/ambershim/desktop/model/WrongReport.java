package dev.ambershim.desktop.model;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What went wrong, for whoever is asked for help: the version, the machine's kind, and the last
 * lines of the log file, with no name of a person, a folder or a host in them.
 */
public final class WrongReport {
  private static final int LINES = 400;

  /** A path of two parts or more; its last part may name a person too, so only its ending stays. */
  private static final Pattern PATH =
      Pattern.compile("(?:~|[A-Za-z]:)?(?:[/\\\\][^\\s/\\\\:\"'<>|]+){2,}");

  private WrongReport() {}

  /**
   * The report as text.
   *
   * @param version of the application
   * @param log the log file, which may be missing
   * @param system the machine's properties, such as {@code os.name}
   */
  public static String of(String version, Path log, Map<String, String> system) {
    StringBuilder out = new StringBuilder();
    out.append("Amber Shim ").append(version).append('\n');
    for (String key :
        List.of(
            "java.version", "java.vendor", "os.name", "os.version", "os.arch", "user.language")) {
      out.append(key).append(": ").append(system.getOrDefault(key, "not known")).append('\n');
    }
    out.append("\nThe last lines of the log:\n");
    for (String line : lines(log)) {
      out.append(plain(line, system)).append('\n');
    }
    return out.toString();
  }

  private static List<String> lines(Path log) {
    try {
      List<String> all =
          Files.isRegularFile(log)
              ? new String(Files.readAllBytes(log), StandardCharsets.UTF_8).lines().toList()
              : List.of("There is none yet.");
      return all.subList(Math.max(0, all.size() - LINES), all.size());
    } catch (IOException e) {
      return List.of("It cannot be read.");
    }
  }

  /** A line without paths, and without the person's and the machine's name. */
  static String plain(String line, Map<String, String> system) {
    String home = system.getOrDefault("user.home", "");
    String shown = home.length() > 1 ? line.replace(home, "/home/somebody") : line;
    Matcher paths = PATH.matcher(shown);
    shown = paths.replaceAll(m -> Matcher.quoteReplacement("<path>" + ending(m.group())));
    for (String name : List.of("user.name", "host.name")) {
      String said = system.getOrDefault(name, "");
      if (said.length() > 1) {
        shown = shown.replaceAll("\\b" + Pattern.quote(said) + "\\b", "somebody");
      }
    }
    return shown;
  }

  private static String ending(String path) {
    int dot = path.lastIndexOf('.');
    boolean has = dot > path.lastIndexOf('/') && path.length() - dot <= 9;
    return has ? path.substring(dot) : "";
  }
}
