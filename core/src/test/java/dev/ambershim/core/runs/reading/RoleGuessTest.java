package dev.ambershim.core.runs.reading;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Names as loggers write them; common practice, without a source. */
class RoleGuessTest {
  @ParameterizedTest
  @CsvSource({
    "Core 0, °C, CORE",
    "core_7, '', CORE",
    "CPU Core #3 [°C], °C, CORE",
    "Kern 2, °C, CORE",
    "core0_C, °C, CORE",
    "T_core5, °C, CORE",
    "Core 0 distance to limit, °C, UNUSED",
    "Core max, °C, UNUSED",
    "Core average, °C, UNUSED",
    "Package, °C, PACKAGE",
    "CPU die temperature, °C, PACKAGE",
    "Coolant, °C, COOLANT",
    "Water in, °C, COOLANT",
    "Room air, °C, ROOM",
    "ambient, '', ROOM",
    "Raumluft, °C, ROOM",
    "room_C, °C, ROOM",
    "GPU, °C, UNUSED",
    "Drive 1, °C, UNUSED",
    "board vrm, °C, UNUSED",
    "Package power, W, POWER",
    "power_W, W, POWER",
    "chip power, '', POWER",
    "Core 0 power, W, UNUSED",
    "GPU power, W, UNUSED"
  })
  void temperaturesAndPower(String name, String unit, Role role) {
    assertThat(RoleGuess.of(name, unit, 25, 95, false).role()).isEqualTo(role);
  }

  @ParameterizedTest
  @CsvSource({
    "Core 0 clock, MHz, CLOCK",
    "clock, '', CLOCK",
    "CPU frequency, MHz, CLOCK",
    "Bus clock, MHz, UNUSED",
    "memory clock, MHz, UNUSED",
    "Fan, rpm, FAN",
    "CPU fan, '', FAN",
    "Pump, rpm, PUMP",
    "GPU fan, rpm, UNUSED",
    "turntable, rpm, UNUSED"
  })
  void clocks(String name, String unit, Role role) {
    assertThat(RoleGuess.of(name, unit, 800, 4700, false).role()).isEqualTo(role);
  }

  @ParameterizedTest
  @CsvSource({
    "Core voltage, V, 1.2, VOLTAGE",
    "Core 0 VID, V, 1.2, VOLTAGE",
    "VCORE, mV, 1180, VOLTAGE",
    "12 V rail, V, 12.1, UNUSED",
    "Total load, %, 100, LOAD",
    "CPU usage, %, 99, LOAD",
    "humidity, %, 40, UNUSED"
  })
  void whatElseShouldBeEqual(String name, String unit, double high, Role role) {
    assertThat(RoleGuess.of(name, unit, 0, high, false).role()).isEqualTo(role);
  }

  @ParameterizedTest
  @CsvSource({"Throttling, THROTTLE", "thermal limit reached, THROTTLE", "on mains, UNUSED"})
  void flags(String name, Role role) {
    assertThat(RoleGuess.of(name, "", 0, 1, true).role()).isEqualTo(role);
  }

  @ParameterizedTest
  @CsvSource({"Core 0, °C, 0.9", "core_0, '', 0.7"})
  void aStatedUnitMakesSurer(String name, String unit, double atLeast) {
    assertThat(RoleGuess.of(name, unit, 30, 90, false).confidence()).isGreaterThan(atLeast);
  }
}
