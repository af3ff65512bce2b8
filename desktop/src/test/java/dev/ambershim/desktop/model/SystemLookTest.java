package dev.ambershim.desktop.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Light or dark by what desktops keep; their answers are those of the named settings. */
class SystemLookTest {
  /** A desktop that knows no such command. */
  private static Optional<String> silent(List<String> command) {
    assertThat(command).isNotEmpty();
    return Optional.empty();
  }

  @TempDir Path home;

  private Optional<Theme> linux(
      Map<String, String> environment, Function<List<String>, Optional<String>> ask) {
    return new SystemLook(environment, home, ask).find("linux");
  }

  private void settings(String file, String text) throws IOException {
    Path path = home.resolve(".config").resolve(file);
    Files.createDirectories(path.getParent());
    Files.writeString(path, text);
  }

  @Test
  void aDesktopThatSaysNothingLeavesItToUs() {
    assertThat(linux(Map.of(), SystemLookTest::silent)).isEmpty();
    assertThat(linux(Map.of(), command -> Optional.of("'default'\n"))).isEmpty();
  }

  @Test
  void theColourSchemeIsAsked() {
    assertThat(linux(Map.of(), command -> Optional.of("'prefer-dark'\n"))).contains(Theme.GRAPHITE);
    assertThat(linux(Map.of(), command -> Optional.of("'prefer-light'\n"))).contains(Theme.PAPER);
    assertThat(linux(Map.of("GTK_THEME", "Adwaita:dark"), SystemLookTest::silent))
        .contains(Theme.GRAPHITE);
    assertThat(linux(Map.of("GTK_THEME", "Adwaita"), SystemLookTest::silent)).contains(Theme.PAPER);
  }

  @Test
  void settingsFilesAreRead() throws IOException {
    settings("kdeglobals", "[General]\nColorScheme=BreezeDark\n");
    assertThat(linux(Map.of(), SystemLookTest::silent)).contains(Theme.GRAPHITE);
    settings("kdeglobals", "[General]\nColorSchemeHash=Dark\nColorScheme=BreezeLight\n");
    assertThat(linux(Map.of(), SystemLookTest::silent)).contains(Theme.PAPER);
    settings("gtk-3.0/settings.ini", "[Settings]\ngtk-application-prefer-dark-theme = 1\n");
    assertThat(linux(Map.of(), SystemLookTest::silent)).contains(Theme.GRAPHITE);
    settings("gtk-3.0/settings.ini", "\0\1garbage");
    assertThat(linux(Map.of(), SystemLookTest::silent)).contains(Theme.PAPER);
  }

  @Test
  void otherSystemsAreAskedInTheirWay() {
    SystemLook dark = new SystemLook(Map.of(), home, c -> Optional.of("Dark\n"));
    assertThat(dark.find("mac os x")).contains(Theme.GRAPHITE);
    assertThat(new SystemLook(Map.of(), home, SystemLookTest::silent).find("mac os x"))
        .contains(Theme.PAPER);
    SystemLook light =
        new SystemLook(
            Map.of(), home, c -> Optional.of("    AppsUseLightTheme    REG_DWORD    0x1\n"));
    assertThat(light.find("windows 11")).contains(Theme.PAPER);
    assertThat(new SystemLook(Map.of(), home, SystemLookTest::silent).find("windows 11")).isEmpty();
  }

  @Test
  void aDesktopMayAskForStillness() throws IOException {
    assertThat(new SystemLook(Map.of(), home, SystemLookTest::silent).calm("linux")).isFalse();
    assertThat(new SystemLook(Map.of(), home, c -> Optional.of("false\n")).calm("linux")).isTrue();
    assertThat(new SystemLook(Map.of(), home, c -> Optional.of("true\n")).calm("linux")).isFalse();
    settings("kdeglobals", "[KDE]\nAnimationDurationFactor=0\n");
    assertThat(new SystemLook(Map.of(), home, SystemLookTest::silent).calm("linux")).isTrue();
    assertThat(new SystemLook(Map.of(), home, c -> Optional.of("1\n")).calm("mac os x")).isTrue();
  }
}
