package dev.ambershim.logbook.formats;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.mounting.PlateSeat;
import dev.ambershim.core.physics.mounting.Tightening;
import dev.ambershim.core.stage.close.CloseAnswer;
import dev.ambershim.core.stage.close.FirstStart;
import dev.ambershim.core.stage.close.MountAnswer;
import dev.ambershim.logbook.store.Json;

/** The published block of a mount. */
public final class MountJson {
  private MountJson() {}

  /** Writes it. */
  public static ObjectNode of(CloseAnswer close, FirstStart start) {
    Job job = close.job();
    MountAnswer mount = close.mount();
    ObjectNode node = Json.mapper().createObjectNode();
    node.set("finding", ResultJson.of(mount.finding()));
    node.put("limitsKept", mount.kept());
    ArrayNode checks = node.putArray("checks");
    close.notes().forEach(checks::add);
    seat(node.putObject("end"), mount.tightening().end());
    turns(node.putArray("turns"), job, mount.tightening());
    ObjectNode naive = node.putObject("oneAfterTheOther");
    naive.put("tiltDegrees", mount.naive().mostTiltDegrees());
    naive.put("peakMegapascals", mount.naive().worst().seat().peakMegapascals());
    mount
        .wedge()
        .ifPresent(
            w -> {
              ObjectNode wedge = node.putObject("wedge");
              wedge.put("micrometres", w.micrometres());
              wedge.put("xSlopeMicrometresPerMillimetre", w.xSlope());
              wedge.put("ySlopeMicrometresPerMillimetre", w.ySlope());
              wedge.put("thinMicrometres", w.thinMicrometres());
              wedge.put("thickMicrometres", w.thickMicrometres());
              close
                  .wedge()
                  .ifPresent(
                      c -> {
                        wedge.put("costMeanKelvin", c.meanKelvin());
                        wedge.put("spreadKelvin", c.spreadKelvin());
                        ArrayNode cores = wedge.putArray("coresKelvin");
                        c.coresKelvin().forEach(cores::add);
                      });
            });
    ObjectNode first = node.putObject("firstStart");
    first.put("watts", start.watts());
    ArrayNode seconds = first.putArray("seconds");
    start.seconds().forEach(seconds::add);
    ArrayNode good = first.putArray("goodCelsius");
    start.goodCelsius().forEach(good::add);
    ArrayNode bad = first.putArray("badCelsius");
    start.badCelsius().forEach(bad::add);
    return node;
  }

  private static void seat(ObjectNode to, PlateSeat seat) {
    to.put("newtons", seat.totalNewtons());
    to.put("meanMegapascals", seat.meanMegapascals());
    to.put("peakMegapascals", seat.peakMegapascals());
    to.put("tiltDegrees", seat.tiltDegrees());
    ArrayNode forces = to.putArray("screwNewtons");
    seat.newtons().forEach(forces::add);
  }

  private static void turns(ArrayNode to, Job job, Tightening tightening) {
    for (Tightening.Turn t : tightening.turns()) {
      ObjectNode one = to.addObject();
      one.put("screw", job.mounting().places().get(t.screw()).name());
      one.put("turned", t.turned());
      seat(one, t.seat());
    }
  }
}
