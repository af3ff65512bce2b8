package dev.ambershim.desktop.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;

/** The kept logs are what the rig makes. */
class DemoRunTest {
  @Test
  void eachKeptLogBeginsAsTheRigMakesIt() {
    for (DemoRun run : DemoWorkshop.runs()) {
      String kept = new String(run.kept(), StandardCharsets.UTF_8);
      String made = run.made(30);
      // The header, a minute of rest and half a minute of load.
      assertThat(made.lines().count()).isGreaterThanOrEqualTo(91);
      assertThat(kept).as(run.file()).startsWith(made);
      assertThat(kept.lines().count()).isGreaterThan(1980);
    }
  }
}
