package dev.ambershim.core.runs.judging;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.stat.descriptive.moment.Mean;
import org.hipparchus.stat.descriptive.moment.StandardDeviation;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Mean, standard deviation and lag-1 autocorrelation against the certified values of the NIST
 * Statistical Reference Datasets, univariate summary statistics
 * (https://www.itl.nist.gov/div898/strd/univ/homepage.html). Data come from the test archive of
 * Hipparchus, the certified values below from the headers of those same files.
 */
class NistStrdTest {
  @ParameterizedTest
  @CsvSource({
    // name, certified mean, standard deviation, autocorrelation, relative tolerance
    "Lottery, 518.958715596330, 291.699727470969, -0.120948622967393, 1e-13",
    "Lew, -177.435000000000, 277.332168044316, -0.307304800605679, 1e-13",
    "Mavro, 2.00185600000000, 0.000429123454003053, 0.937989183438248, 1e-11",
    "Michelso, 299.852400000000, 0.0790105478190518, 0.535199668621283, 1e-11",
    "PiDigits, 4.53480000000000, 2.86733906028871, -0.00355099287237972, 1e-13",
    "NumAcc1, 10000002, 1.00000000000000, -0.500000000000000, 1e-14",
    "NumAcc2, 1.20000000000000, 0.100000000000000, -0.999000000000000, 1e-12",
    "NumAcc3, 1000000.20000000, 0.100000000000000, -0.999000000000000, 1e-8",
    "NumAcc4, 10000000.2000000, 0.100000000000000, -0.999000000000000, 1e-7"
  })
  void certifiedValuesAreMet(
      String name, double mean, double deviation, double autocorrelation, double tolerance)
      throws IOException {
    double[] y = data(name);
    assertThat(BatchMeans.mean(y)).isCloseTo(mean, within(1e-14 * Math.abs(mean)));
    assertThat(BatchMeans.standardDeviation(y)).isCloseTo(deviation, within(tolerance * deviation));
    assertThat(BatchMeans.lagOne(y))
        .isCloseTo(autocorrelation, within(Math.max(1e-13, 2 * tolerance)));
  }

  @ParameterizedTest
  @CsvSource({"Lottery", "Lew", "Mavro", "Michelso", "PiDigits"})
  void hipparchusAgrees(String name) throws IOException {
    double[] y = data(name);
    assertThat(BatchMeans.mean(y)).isCloseTo(new Mean().evaluate(y), within(1e-9));
    assertThat(BatchMeans.standardDeviation(y))
        .isCloseTo(new StandardDeviation().evaluate(y), within(1e-9));
  }

  /** The figures of a set: every line that is one number, after the last line that is not. */
  private static double[] data(String name) throws IOException {
    List<Double> figures = new ArrayList<>();
    try (BufferedReader in =
        new BufferedReader(
            new InputStreamReader(
                NistStrdTest.class.getResourceAsStream(
                    "/org/hipparchus/stat/data/" + name + ".txt"),
                StandardCharsets.UTF_8))) {
      String line = in.readLine();
      while (line != null) {
        String text = line.strip();
        if (text.matches("[-+]?[0-9.]+([eE][-+]?\\d+)?")) {
          figures.add(Double.parseDouble(text));
        } else if (!text.isEmpty()) {
          figures.clear();
        }
        line = in.readLine();
      }
    }
    assertThat(figures).as("data of %s", name).hasSizeGreaterThan(2);
    return figures.stream().mapToDouble(Double::doubleValue).toArray();
  }
}
