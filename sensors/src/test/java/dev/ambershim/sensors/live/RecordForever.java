package dev.ambershim.sensors.live;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.runs.protocol.Protocol;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.sensors.Load;
import dev.ambershim.sensors.Source;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/** A process that records until it is killed, and says the number of each sample that it kept. */
final class RecordForever {
  private RecordForever() {}

  public static void main(String[] arguments) throws InterruptedException {
    Source source =
        new Source() {
          private int count;

          @Override
          public String name() {
            return "forever";
          }

          @Override
          public List<Sensor> sensors() {
            return List.of(new Sensor("core 0", "°C", Role.CORE));
          }

          @Override
          public Optional<Sample> next() throws InterruptedException {
            Thread.sleep(50);
            return Optional.of(new Sample(count++, new double[] {60 + count % 3}));
          }

          @Override
          public void close() {
            // Nothing is open.
          }
        };
    Protocol protocol = new Protocol("forever", 0, 0, 1, 86400, 0, 95, null);
    new ConductedRun(source, Load.BY_PERSON, protocol, Path.of(arguments[0]), "forever", List.of())
        .conduct(Notation.METRIC, s -> System.out.println(Math.round(s.seconds()) + 1));
  }
}
