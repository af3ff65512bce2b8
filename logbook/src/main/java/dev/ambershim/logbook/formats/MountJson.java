package dev.ambershim.logbook.formats;

import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.mounting.PlateSeat;
import dev.ambershim.core.physics.mounting.Tightening;
import dev.ambershim.core.stage.close.CloseAnswer;
import dev.ambershim.core.stage.close.FirstStart;
import dev.ambershim.core.stage.close.MountAnswer;
import dev.ambershim.logbook.store.Json;
import java.util.List;

/** The published block of a mount. */
public final class MountJson {
  private record Mount(
      FindingJson finding,
      boolean limitsKept,
      List<String> checks,
      Seat end,
      List<Turn> turns,
      Naive oneAfterTheOther,
      Wedge wedge,
      First firstStart) {}

  private record Seat(
      double newtons,
      double meanMegapascals,
      double peakMegapascals,
      double tiltDegrees,
      List<Double> screwNewtons) {
    static Seat of(PlateSeat seat) {
      return new Seat(
          seat.totalNewtons(),
          seat.meanMegapascals(),
          seat.peakMegapascals(),
          seat.tiltDegrees(),
          seat.newtons());
    }
  }

  private record Turn(
      String screw,
      double turned,
      double newtons,
      double meanMegapascals,
      double peakMegapascals,
      double tiltDegrees,
      List<Double> screwNewtons) {
    static Turn of(Tightening.Turn turn, Job job) {
      Seat seat = Seat.of(turn.seat());
      return new Turn(
          job.mounting().places().get(turn.screw()).name(),
          turn.turned(),
          seat.newtons(),
          seat.meanMegapascals(),
          seat.peakMegapascals(),
          seat.tiltDegrees(),
          seat.screwNewtons());
    }
  }

  private record Naive(double tiltDegrees, double peakMegapascals) {}

  private record Wedge(
      double micrometres,
      double xSlopeMicrometresPerMillimetre,
      double ySlopeMicrometresPerMillimetre,
      double thinMicrometres,
      double thickMicrometres,
      Double costMeanKelvin,
      Double spreadKelvin,
      List<Double> coresKelvin) {
    static Wedge of(CloseAnswer close) {
      return close
          .mount()
          .wedge()
          .map(
              w ->
                  new Wedge(
                      w.micrometres(),
                      w.xSlope(),
                      w.ySlope(),
                      w.thinMicrometres(),
                      w.thickMicrometres(),
                      close.wedge().map(c -> c.meanKelvin()).orElse(null),
                      close.wedge().map(c -> c.spreadKelvin()).orElse(null),
                      close.wedge().map(c -> c.coresKelvin()).orElse(null)))
          .orElse(null);
    }
  }

  private record First(
      double watts, List<Double> seconds, List<Double> goodCelsius, List<Double> badCelsius) {}

  private MountJson() {}

  /** Writes it. */
  public static ObjectNode of(CloseAnswer close, FirstStart start) {
    MountAnswer mount = close.mount();
    return Json.published(
        new Mount(
            FindingJson.of(mount.finding()),
            mount.kept(),
            close.notes(),
            Seat.of(mount.tightening().end()),
            mount.tightening().turns().stream().map(t -> Turn.of(t, close.job())).toList(),
            new Naive(
                mount.naive().mostTiltDegrees(), mount.naive().worst().seat().peakMegapascals()),
            Wedge.of(close),
            new First(start.watts(), start.seconds(), start.goodCelsius(), start.badCelsius())));
  }
}
