package dev.ambershim.sensors.machine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.sensors.Source;
import dev.ambershim.sensors.Source.Sensor;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import oshi.hardware.CentralProcessor;
import oshi.hardware.HardwareAbstractionLayer;

/** The machine by the kernel and by OSHI, each in a made form. */
class MachineSourceTest {
  private static HardwareAbstractionLayer oshi(double celsius, double volts, int... fans) {
    HardwareAbstractionLayer machine = mock(HardwareAbstractionLayer.class);
    oshi.hardware.Sensors sensors = mock(oshi.hardware.Sensors.class);
    CentralProcessor processor = mock(CentralProcessor.class);
    when(machine.getSensors()).thenReturn(sensors);
    when(machine.getProcessor()).thenReturn(processor);
    when(sensors.getCpuTemperature()).thenReturn(celsius);
    when(sensors.getCpuVoltage()).thenReturn(volts);
    when(sensors.getFanSpeeds()).thenReturn(fans);
    // Hertz, as its documentation says; minus one where a core's is not known.
    when(processor.getCurrentFreq()).thenReturn(new long[] {4_700_000_000L, 4_500_000_000L, -1});
    when(processor.getSystemCpuLoadTicks()).thenReturn(new long[8]);
    when(processor.getSystemCpuLoadBetweenTicks(any(long[].class))).thenReturn(0.985);
    return machine;
  }

  private static Source kernel(Sensor... sensors) {
    Source source = mock(Source.class);
    when(source.sensors()).thenReturn(List.of(sensors));
    when(source.name()).thenReturn("kernel");
    return source;
  }

  private static List<Role> roles(Source source) {
    return source.sensors().stream().map(Sensor::role).toList();
  }

  @Test
  void oshiTellsItsUnitsAndLeavesOutWhatItDoesNotKnow() {
    OshiSource source = new OshiSource(oshi(61.5, 0, 1180));
    assertThat(roles(source)).containsExactly(Role.PACKAGE, Role.FAN, Role.CLOCK, Role.LOAD);
    assertThat(source.read(3).figures()).containsExactly(61.5, 1180, 4600, 98.5);
    assertThat(source.read(3).seconds()).isEqualTo(3);
  }

  @Test
  void theFirstSampleComesAtOnce() throws InterruptedException {
    OshiSource source = new OshiSource(oshi(61.5, 1.2), () -> 5_000_000_000L);
    assertThat(source.next().orElseThrow().seconds()).isZero();
  }

  @Test
  void theKernelComesFirstAndOshiAddsWhatItLacks() throws InterruptedException {
    Source kernel =
        kernel(new Sensor("core 0", "°C", Role.CORE), new Sensor("package", "°C", Role.PACKAGE));
    when(kernel.next())
        .thenReturn(Optional.of(new Source.Sample(7, new double[] {71, 73})))
        .thenReturn(Optional.empty());
    Source both = MachineSource.of(() -> kernel, () -> new OshiSource(oshi(60, 1.21, 900)));
    assertThat(roles(both))
        .containsExactly(Role.CORE, Role.PACKAGE, Role.VOLTAGE, Role.FAN, Role.CLOCK, Role.LOAD);
    assertThat(both.next().orElseThrow().figures()).containsExactly(71, 73, 1.21, 900, 4600, 98.5);
    assertThat(both.next()).isEmpty();
    assertThat(both.name()).isEqualTo("kernel");
  }

  @Test
  void eitherAloneIsEnough() {
    Source kernel = kernel(new Sensor("core 0", "°C", Role.CORE));
    Source alone =
        MachineSource.of(
            () -> kernel,
            () -> {
              throw new UnsatisfiedLinkError("no native part here");
            });
    assertThat(alone).isSameAs(kernel);
    Problem none = new Problem("sensors.none", Place.NOWHERE, "-", "-");
    Source other =
        MachineSource.of(
            () -> {
              throw none;
            },
            () -> new OshiSource(oshi(60, 1.2)));
    assertThat(other).isInstanceOf(OshiSource.class);
    assertThatThrownBy(
            () ->
                MachineSource.of(
                    () -> {
                      throw none;
                    },
                    () -> new OshiSource(oshi(0, 1.2))))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("no processor temperature here");
  }
}
