package dev.ambershim.desktop.model;

import java.io.File;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.function.Function;

/**
 * What the desktop asks of programs: to be light or dark, and to keep still. Asked of what desktops
 * keep: the variable {@code GTK_THEME}, the setting {@code color-scheme} of GNOME and its kin, the
 * files of GTK and of KDE, and the like of the other systems. A desktop that says nothing leaves it
 * to us.
 */
public final class SystemLook {
  /** A desktop that does not answer within this has no say; a start must not wait for it. */
  private static final long PATIENCE_MILLIS = 400;

  private final Map<String, String> environment;
  private final Path home;
  private final Function<List<String>, Optional<String>> ask;

  SystemLook(
      Map<String, String> environment, Path home, Function<List<String>, Optional<String>> ask) {
    this.environment = environment;
    this.home = home;
    this.ask = ask;
  }

  /**
   * What a desktop asks for.
   *
   * @param theme light or dark; empty if it does not say
   * @param calm whether nothing is to move that need not
   */
  public record Asked(Optional<Theme> theme, boolean calm) {}

  /** Asked once, by whoever comes first; others wait for that. */
  private static final class Here {
    private static final Asked ASKED = asked();

    private static Asked asked() {
      String system = System.getProperty("os.name", "").toLowerCase(Locale.ROOT);
      SystemLook look =
          new SystemLook(
              System.getenv(), Path.of(System.getProperty("user.home", "")), SystemLook::run);
      return new Asked(look.find(system), look.calm(system));
    }
  }

  /** What this machine's desktop asks for; may take some tenths of a second the first time. */
  public static Asked asked() {
    return Here.ASKED;
  }

  /** Whether nothing is to move that need not. */
  boolean calm(String system) {
    if (system.startsWith("mac")) {
      return ask.apply(List.of("defaults", "read", "com.apple.universalaccess", "reduceMotion"))
          .filter(said -> said.strip().equals("1"))
          .isPresent();
    }
    if (system.startsWith("windows")) {
      return false;
    }
    return ask.apply(
                List.of("gsettings", "get", "org.gnome.desktop.interface", "enable-animations"))
            .filter(said -> said.contains("false"))
            .isPresent()
        || line(Path.of("gtk-3.0", "settings.ini"), "gtk-enable-animations")
            .filter(said -> said.equals("0") || said.equalsIgnoreCase("false"))
            .isPresent()
        || line(Path.of("kdeglobals"), "AnimationDurationFactor")
            .filter(said -> said.matches("0(\\.0*)?"))
            .isPresent();
  }

  Optional<Theme> find(String system) {
    if (system.startsWith("mac")) {
      // The key is missing while the desktop is light, and then the command ends with an error.
      return Optional.of(
          ask.apply(List.of("defaults", "read", "-g", "AppleInterfaceStyle"))
                  .filter(said -> said.contains("Dark"))
                  .isPresent()
              ? Theme.GRAPHITE
              : Theme.PAPER);
    }
    if (system.startsWith("windows")) {
      return ask.apply(
              List.of(
                  "reg",
                  "query",
                  "HKCU\\Software\\Microsoft\\Windows\\CurrentVersion\\Themes\\Personalize",
                  "/v",
                  "AppsUseLightTheme"))
          .flatMap(said -> said.contains("0x0") ? dark() : said.contains("0x1") ? light() : none());
    }
    return byVariable().or(this::byScheme).or(this::byGtkFile).or(this::byKdeFile);
  }

  private static Optional<Theme> dark() {
    return Optional.of(Theme.GRAPHITE);
  }

  private static Optional<Theme> light() {
    return Optional.of(Theme.PAPER);
  }

  private static Optional<Theme> none() {
    return Optional.empty();
  }

  private Optional<Theme> byVariable() {
    String named = environment.getOrDefault("GTK_THEME", "").toLowerCase(Locale.ROOT);
    if (named.isBlank()) {
      return none();
    }
    return named.endsWith(":dark") || named.endsWith("-dark") ? dark() : light();
  }

  private Optional<Theme> byScheme() {
    return ask.apply(List.of("gsettings", "get", "org.gnome.desktop.interface", "color-scheme"))
        .flatMap(
            said ->
                said.contains("prefer-dark")
                    ? dark()
                    : said.contains("prefer-light") ? light() : none());
  }

  private Optional<Theme> byGtkFile() {
    return line(Path.of("gtk-3.0", "settings.ini"), "gtk-application-prefer-dark-theme")
        .flatMap(
            said ->
                said.equals("1") || said.equalsIgnoreCase("true")
                    ? dark()
                    : said.equals("0") || said.equalsIgnoreCase("false") ? light() : none());
  }

  private Optional<Theme> byKdeFile() {
    return line(Path.of("kdeglobals"), "ColorScheme")
        .map(said -> said.toLowerCase(Locale.ROOT).contains("dark") ? Theme.GRAPHITE : Theme.PAPER);
  }

  /** The value of a key in a settings file of the person's. */
  private Optional<String> line(Path file, String key) {
    String folder = environment.getOrDefault("XDG_CONFIG_HOME", "");
    Path settings = (folder.isBlank() ? home.resolve(".config") : Path.of(folder)).resolve(file);
    try {
      if (!Files.isRegularFile(settings) || Files.size(settings) > 1 << 20) {
        return Optional.empty();
      }
      return new String(Files.readAllBytes(settings), StandardCharsets.UTF_8)
          .lines()
          .map(String::strip)
          .filter(l -> l.startsWith(key) && l.contains("="))
          .filter(l -> l.substring(0, l.indexOf('=')).strip().equals(key))
          .map(l -> l.substring(l.indexOf('=') + 1).strip())
          .findFirst();
    } catch (IOException e) {
      // A file that cannot be read has no say.
      return Optional.empty();
    }
  }

  private static Optional<String> run(List<String> command) {
    try {
      Process process =
          new ProcessBuilder(command)
              .redirectErrorStream(true)
              .redirectInput(ProcessBuilder.Redirect.from(nothing()))
              .start();
      if (!process.waitFor(PATIENCE_MILLIS, TimeUnit.MILLISECONDS)) {
        process.destroyForcibly();
        return Optional.empty();
      }
      String said = new String(process.getInputStream().readNBytes(4096), StandardCharsets.UTF_8);
      return process.exitValue() == 0 ? Optional.of(said) : Optional.empty();
    } catch (IOException e) {
      // A desktop without this command has no say in it.
      return Optional.empty();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return Optional.empty();
    }
  }

  private static File nothing() {
    return new File(System.getProperty("os.name", "").startsWith("Windows") ? "NUL" : "/dev/null");
  }
}
