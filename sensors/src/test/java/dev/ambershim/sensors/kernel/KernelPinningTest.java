package dev.ambershim.sensors.kernel;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.sensors.Pinning;
import dev.ambershim.sensors.SteadyLoad;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Which processor stands for a core, by the kernel's files. */
class KernelPinningTest {
  @TempDir Path root;

  private void processor(int number, int pack, int core) throws IOException {
    Path folder = root.resolve("sys/devices/system/cpu/cpu" + number + "/topology");
    Files.createDirectories(folder);
    Files.writeString(
        folder.resolve("physical_package_id"), pack + "\n", StandardCharsets.US_ASCII);
    Files.writeString(folder.resolve("core_id"), core + "\n", StandardCharsets.US_ASCII);
  }

  @Test
  void theFirstProcessorOfEachCoreStandsForIt() throws IOException {
    processor(0, 0, 0);
    processor(1, 0, 4);
    processor(2, 0, 0);
    processor(3, 0, 4);
    processor(10, 0, 8);
    assertThat(KernelPinning.processors(root.resolve("sys/devices/system/cpu")))
        .isEqualTo(List.of(0, 1, 10));
  }

  @Test
  void aMachineThatDoesNotTellHasNoCores() {
    assertThat(KernelPinning.of(root)).isSameAs(Pinning.NONE);
    try (SteadyLoad load = new SteadyLoad(1)) {
      assertThat(load.alone(0)).isFalse();
    }
  }

  @Test
  void aThreadIsHeldOnThisMachine() {
    Pinning here = KernelPinning.of(Path.of("/"));
    if (here.cores() == 0) {
      return;
    }
    try (SteadyLoad load = new SteadyLoad(1, here)) {
      assertThat(load.alone(0)).isTrue();
      assertThat(load.alone(here.cores())).isFalse();
      assertThat(load.alone(-1)).isTrue();
    }
  }
}
