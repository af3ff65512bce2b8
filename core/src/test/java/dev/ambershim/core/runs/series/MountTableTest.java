package dev.ambershim.core.runs.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Problem;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MountTableTest {
  @Test
  void columnsInAnyOrderAndUnits() {
    List<Mount> mounts =
        MountTable.read(
            "s.csv",
            "order;power_W;rise_F;candidate;block;room_C;price\n1;150,5;108;grey paste;1;21,5;0,4\n");
    Mount m = mounts.get(0);
    assertThat(m.candidate()).isEqualTo("grey paste");
    assertThat(m.riseKelvin()).isCloseTo(60, within(1e-9));
    assertThat(m.watts()).isEqualTo(150.5);
    assertThat(m.roomCelsius()).hasValue(21.5);
    assertThat(m.order()).hasValue(1);
    assertThat(m.price()).hasValue(0.4);
    assertThat(m.counts()).isTrue();
  }

  @Test
  void aSpoiledMountNeedsNoFigures() {
    Mount m =
        MountTable.read("s.csv", "candidate,block,rise_K,power_W,spoiled\nA,1,,,hair\n").get(0);
    assertThat(m.counts()).isFalse();
    assertThat(m.spoiled()).isEqualTo("hair");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "candidate,block,rise_K,power_W/,1,60,150|no candidate",
        "candidate,block,rise_K,power_W/A,1,,150|no rise",
        "candidate,block,rise_K,power_W/A,1,-4,150|-4.0 K cannot be",
        "candidate,block,rise_K,power_W/A,1,60,|no power",
        "candidate,block,rise_K,power_W/A,1,60,0.2|0.2 W cannot be",
        "candidate,block,rise_K,power_W/A,1,hot,150|not a number",
        "candidate,block,rise_K,power_W,price/A,1,60,150,-2|price cannot be",
        "block,rise_K,power_W/1,60,150|No column candidate",
        "candidate,block,power_W/A,1,150|No column rise_K",
        "candidate,block,rise_K/A,1,60|No column power_W"
      })
  void whatCannotBeIsRefusedByItsPlace(String text, String message) {
    assertThatThrownBy(() -> MountTable.read("s.csv", text.replace('/', '\n') + "\n"))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("s.csv")
        .hasMessageContaining(message);
  }
}
