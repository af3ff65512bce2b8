package dev.ambershim.sensors.machine;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.plan.Moment;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The clock over a made tree, and over none. */
class TimerClockTest {
  private static final Instant NOON = Instant.parse("2026-06-15T12:00:00Z");

  @TempDir Path proc;

  private Clock at(Instant when) {
    return Clock.fixed(when, ZoneOffset.UTC);
  }

  @Test
  void uptimeGoesOnWhenTheClockIsSetBack() throws IOException {
    Files.createDirectories(proc.resolve("sys/kernel/random"));
    Files.writeString(proc.resolve("sys/kernel/random/boot_id"), "1b2c\n");
    Files.writeString(proc.resolve("uptime"), "350.25 700.10\n");
    Moment then = new TimerClock(at(NOON), proc).now();
    assertThat(then).isEqualTo(new Moment(NOON, "1b2c", 350.25));
    Files.writeString(proc.resolve("uptime"), "950.25 1800.10\n");
    // Another process on the same start of the machine, with the clock an hour back.
    Moment now = new TimerClock(at(NOON.minusSeconds(3000)), proc).now();
    assertThat(now.since(then).seconds()).isEqualTo(600);
    assertThat(now.since(then).sure()).isTrue();
    assertThat(now.since(then).shiftSeconds()).isEqualTo(-3600);
  }

  @Test
  void withoutAKernelThatTellsItTheProcessCounts() {
    TimerClock clock = new TimerClock(at(NOON), proc);
    Moment then = clock.now();
    Moment now = clock.now();
    assertThat(then.boot()).startsWith("process ");
    assertThat(now.since(then).sure()).isTrue();
    assertThat(now.since(then).seconds()).isBetween(0.0, 60.0);
    // Another process cannot tell, and goes by the wall.
    assertThat(new TimerClock(at(NOON.plusSeconds(90)), proc).now().since(then).sure()).isFalse();
  }
}
