package dev.ambershim.sensors.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.sensors.Source.Sample;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A log is followed while another program writes it. */
class GrowingLogTest {
  @TempDir Path folder;

  private Path log() throws IOException {
    Path file = folder.resolve("live.csv");
    Files.writeString(file, "time,core 0,room\n0,60.5,21.5\n1,61.5,21.5\n2,62.5,21.5\n");
    return file;
  }

  @Test
  void whatComesIsGivenLineByLine() throws Exception {
    Path file = log();
    try (GrowingLog growing = new GrowingLog(file, false, 50)) {
      assertThat(growing.sensors().get(0).role()).isEqualTo(Role.CORE);
      assertThat(growing.next()).isEmpty();
      Files.writeString(file, "3,63.5,21.5\n4,64.5,21.5\n5,6", StandardOpenOption.APPEND);
      Sample first = growing.next().orElseThrow();
      assertThat(first.seconds()).isEqualTo(3);
      assertThat(first.figures()).containsExactly(63.5, 21.5);
      assertThat(growing.next().orElseThrow().seconds()).isEqualTo(4);
      // Half a line is no sample yet.
      assertThat(growing.next()).isEmpty();
      Files.writeString(file, "5.5,21.5\n", StandardOpenOption.APPEND);
      assertThat(growing.next().orElseThrow().figures()[0]).isEqualTo(65.5);
    }
  }

  @Test
  void aLogThatIsCutOrReplacedIsToldAtOnce() throws Exception {
    Path file = log();
    try (GrowingLog growing = new GrowingLog(file, false, 50)) {
      Files.writeString(file, "time,core 0,room\n0,60.5,21.5\n");
      assertThatThrownBy(growing::next)
          .isInstanceOf(Problem.class)
          .hasMessageContaining("became shorter");
    }
    try (GrowingLog growing = new GrowingLog(log(), false, 50)) {
      Path other = folder.resolve("other.csv");
      Files.writeString(other, Files.readString(file) + "3,63,21\n4,64,21\n");
      Files.move(other, file, StandardCopyOption.REPLACE_EXISTING);
      assertThatThrownBy(growing::next)
          .isInstanceOf(Problem.class)
          .hasMessageContaining("replaced by another file");
    }
  }

  @Test
  void oneBadByteDropsItsLineAndNothingElse() throws Exception {
    Path file = folder.resolve("live.csv");
    Files.writeString(file, "time,core 0 [°C],room\n0,60.5,21.5\n1,61.5,21.5\n2,62.5,21.5\n");
    try (GrowingLog growing = new GrowingLog(file, false, 50)) {
      Files.write(
          file,
          new byte[] {'3', ',', '6', (byte) 0xFF, '.', '5', ',', '2', '1', '\n'},
          StandardOpenOption.APPEND);
      assertThat(growing.next()).isEmpty();
      Files.writeString(file, "4,64.5,21.5\n", StandardOpenOption.APPEND);
      assertThat(growing.next().orElseThrow().figures()[0]).isEqualTo(64.5);
      assertThat(growing.sensors().get(0).name()).isEqualTo("core 0 [°C]");
    }
  }

  @Test
  void fromItsStartWhereWanted() throws Exception {
    try (GrowingLog growing = new GrowingLog(log(), true, 0)) {
      assertThat(growing.next().orElseThrow().seconds()).isZero();
    }
  }

  @Test
  void otherColumnsEndIt() throws Exception {
    Path file = log();
    try (GrowingLog growing = new GrowingLog(file, false, 50)) {
      Files.writeString(file, "time,fan,core 7\n0,900,60.5\n1,900,61.5\n2,900,62.5\n3,900,63\n");
      assertThatThrownBy(growing::next)
          .isInstanceOf(Problem.class)
          .hasMessageContaining("columns have changed");
    }
  }

  @Test
  void nothingToFollow() throws IOException {
    Path empty = Files.writeString(folder.resolve("empty.csv"), "time,co");
    assertThatThrownBy(() -> new GrowingLog(empty, false, 0))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("empty.csv");
    assertThatThrownBy(() -> new GrowingLog(folder.resolve("none.csv"), false, 0))
        .isInstanceOf(Problem.class);
  }
}
