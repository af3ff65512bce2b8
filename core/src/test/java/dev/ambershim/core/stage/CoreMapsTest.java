package dev.ambershim.core.stage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.runs.judging.HotSpots;
import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.core.runs.reading.RunLog;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** The cores of a job's runs, where they lie. */
class CoreMapsTest {
  /** A run of so many cores; each lies its number's share of {@code slope} above the mean. */
  private static RunLog run(String name, int cores, double mean, double slope, boolean room) {
    Random random = new Random(name.hashCode());
    StringBuilder text = new StringBuilder("elapsed s");
    for (int c = 0; c < cores; c++) {
      text.append(",core ").append(c).append(" [C]");
    }
    text.append(room ? ",room [C],power [W]\n" : ",power [W]\n");
    for (int i = 0; i < 600; i++) {
      text.append(i);
      for (int c = 0; c < cores; c++) {
        double core = mean + slope * (c - (cores - 1) / 2.0) + 0.3 * random.nextGaussian();
        text.append(',').append(Math.round(core * 10) / 10.0);
      }
      text.append(room ? ",22.0,150\n" : ",150\n");
    }
    return LogReader.read(name, text.toString().getBytes(StandardCharsets.UTF_8));
  }

  private static CoreMaps maps(RunLog before, RunLog after) {
    Job job = Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sorrel");
    job = job.withRun(RunEntry.of(Side.BEFORE, "b.csv", "b"));
    if (after != null) {
      job = job.withRun(RunEntry.of(Side.AFTER, "a.csv", "a"));
    }
    Map<String, RunLog> logs =
        after == null ? Map.of("b", before) : Map.of("b", before, "a", after);
    return CoreMaps.of(Assessment.of(job, logs, Notation.METRIC), Notation.METRIC);
  }

  @Test
  void risesAndTheirChangeCoreByCore() {
    CoreMaps maps = maps(run("b", 8, 82, 0, true), run("a", 8, 70, 0, true));
    assertThat(maps.cores()).hasSize(8);
    assertThat(maps.rise()).isTrue();
    assertThat(maps.before()).allSatisfy(k -> assertThat(k).isCloseTo(60, within(0.2)));
    assertThat(maps.change()).allSatisfy(k -> assertThat(k).isCloseTo(-12, within(0.3)));
    assertThat(maps.hints()).isEmpty();
  }

  /** Cores are numbered from the back, so a rise with the number is a hot front. */
  @Test
  void aHotSideIsHinted() {
    CoreMaps maps = maps(run("b", 8, 82, 1.5, true), null);
    assertThat(maps.after()).isEmpty();
    assertThat(maps.change()).isEmpty();
    assertThat(maps.hints().get(0).kind()).isEqualTo(HotSpots.Kind.SIDE);
    assertThat(maps.hints().get(0).sentence()).contains("front");
  }

  @Test
  void anotherCountOfCoresHasNoPlaces() {
    CoreMaps maps = maps(run("b", 6, 82, 0, true), null);
    assertThat(maps.cores()).isEmpty();
    assertThat(maps.before()).hasSize(6);
  }

  @Test
  void withoutARoomTheyAreTemperatures() {
    CoreMaps maps = maps(run("b", 8, 82, 0, false), run("a", 8, 70, 0, true));
    assertThat(maps.rise()).isFalse();
    assertThat(maps.before().get(3)).isCloseTo(82, within(0.2));
    assertThat(maps.after().get(3)).isCloseTo(70, within(0.2));
  }

  @Test
  void mountsAndTheirScatterAreKeptInTheJob() {
    Job job = Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sorrel");
    assertThat(job.judging().remountKelvin()).isEqualTo(0.5);
    RunEntry run = RunEntry.of(Side.AFTER, "a.csv", "a");
    assertThat(run.mount()).isEqualTo(1);
    RunEntry second = run.ofMount(2);
    assertThat(second.on(Side.BEFORE).mount()).isEqualTo(2);
    assertThat(second.withRoom(21.5).mount()).isEqualTo(2);
    // What an older job does not say.
    assertThat(new RunEntry(Side.AFTER, 0, "a.csv", "a", null, null, null).mount()).isEqualTo(1);
  }
}
