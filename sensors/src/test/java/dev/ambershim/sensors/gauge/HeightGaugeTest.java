package dev.ambershim.sensors.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Problem;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A height gauge over a socket and over a stream. */
class HeightGaugeTest {
  @TempDir Path folder;

  @ParameterizedTest
  @CsvSource({
    "+0.783 mm, 0.783",
    "'  - 1,25mm ', -1.25",
    "0.0312in, 0.79248",
    "31 thou, 0.7874",
    "783 um, 0.783",
    "0.5, 0.5"
  })
  void readsALine(String line, double millimetres) {
    assertThat(GaugeLine.millimetres(line).orElseThrow()).isCloseTo(millimetres, within(1e-12));
  }

  @ParameterizedTest
  @CsvSource({"# remark", "ERR", "''", "1.2.3 mm", "900 mm", "0.5 kg"})
  void passesOverWhatIsNoReading(String line) {
    assertThat(GaugeLine.millimetres(line)).isEmpty();
  }

  @Test
  void theStandInAnswersTheFootSwitch() throws Exception {
    BlockingQueue<Double> readings = new LinkedBlockingQueue<>();
    CountDownLatch ended = new CountDownLatch(1);
    try (GaugeStandIn standIn = new GaugeStandIn(7)) {
      HeightGauge gauge =
          HeightGauge.at("localhost:" + standIn.port(), readings::add, ended::countDown);
      for (int i = 0; i < 5; i++) {
        gauge.ask(15, 0, 0.8);
        Double reading = readings.poll(5, TimeUnit.SECONDS);
        assertThat(reading).isCloseTo(0.8, within(0.01));
      }
      gauge.close();
    }
    assertThat(ended.getCount()).isEqualTo(1);
  }

  @Test
  void aStreamIsReadToItsEnd() throws IOException, InterruptedException {
    Path line = folder.resolve("line");
    Files.writeString(line, "# begin\n+0.780 mm\nnoise\r\n0.781\n");
    BlockingQueue<Double> readings = new LinkedBlockingQueue<>();
    CountDownLatch ended = new CountDownLatch(1);
    HeightGauge gauge = HeightGauge.at(line.toString(), readings::add, ended::countDown);
    assertThat(ended.await(5, TimeUnit.SECONDS)).isTrue();
    assertThat(readings).containsExactly(0.780, 0.781);
    gauge.ask(0, 0, 0);
    gauge.close();
  }

  @Test
  void whatHasNoEndOfLineIsDroppedAndRandomBytesAreNoHeights() throws Exception {
    Random random = new Random(11);
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    byte[] noise = new byte[200_000];
    random.nextBytes(noise);
    for (int i = 0; i < noise.length; i++) {
      // No line ends: it runs on and on.
      noise[i] = noise[i] == '\n' || noise[i] == '\r' ? 0 : noise[i];
    }
    bytes.writeBytes(noise);
    bytes.writeBytes("\n+0.781 mm\n+0.782".getBytes(StandardCharsets.UTF_8));
    Path line = folder.resolve("noise");
    Files.write(line, bytes.toByteArray());
    BlockingQueue<Double> readings = new LinkedBlockingQueue<>();
    CountDownLatch ended = new CountDownLatch(1);
    HeightGauge gauge = HeightGauge.at(line.toString(), readings::add, ended::countDown);
    assertThat(ended.await(5, TimeUnit.SECONDS)).isTrue();
    assertThat(readings).containsExactly(0.781);
    gauge.close();
  }

  @Test
  void saysWhenNoGaugeAnswers() {
    assertThatThrownBy(() -> HeightGauge.at("localhost:1", r -> {}, () -> {}))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("No height gauge answers");
    assertThatThrownBy(() -> HeightGauge.at("/no/such/line", r -> {}, () -> {}))
        .isInstanceOf(Problem.class);
  }

  /** Nothing goes over a network, not even a name that would have to be looked up. */
  @Test
  void anotherMachineIsRefused() {
    for (String far : List.of("192.0.2.7:4000", "gauge.example:4000", "127.0.0.1.example:4000")) {
      assertThatThrownBy(() -> HeightGauge.at(far, v -> {}, () -> {}))
          .isInstanceOf(Problem.class)
          .hasMessageContaining("another machine");
    }
  }
}
