package dev.ambershim.logbook.formats;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.dosing.Bar;
import dev.ambershim.core.physics.dosing.CoatTerms;
import dev.ambershim.core.physics.dosing.Cure;
import dev.ambershim.core.physics.dosing.Drop;
import dev.ambershim.core.physics.dosing.Insulation;
import dev.ambershim.core.physics.dosing.LidSeat;
import dev.ambershim.core.physics.dosing.Meeting;
import dev.ambershim.core.physics.dosing.MetalDose;
import dev.ambershim.core.plan.Doses;
import dev.ambershim.core.stage.coat.CoatAnswer;
import dev.ambershim.logbook.store.Json;

/** The published block of a job's doses. */
public final class DoseJson {
  private DoseJson() {}

  /** Writes it. */
  public static ObjectNode of(CoatAnswer answer) {
    Job job = answer.job();
    ObjectNode node = Json.mapper().createObjectNode();
    node.put("mayGoOn", answer.doses().bars().isEmpty());
    bars(node.putArray("bars"), answer);
    answer.finding().ifPresent(f -> node.set("finding", ResultJson.of(f)));
    ArrayNode films = node.putArray("films");
    for (int i = 0; i < answer.doses().films().size(); i++) {
      film(films.addObject(), job.coat(), answer.doses().films().get(i), answer.odds().get(i));
    }
    ArrayNode meetings = node.putArray("meetings");
    for (Meeting m : answer.meetings()) {
      ObjectNode one = meetings.addObject();
      one.put("place", m.place().words());
      one.put("face", m.face().words());
      one.put("verdict", m.verdict().words());
      one.put("said", m.said());
      figure(one, "potentialVolts", m.face().volts());
      one.put("mechanism", m.face().mechanism());
      one.put("firstLookMonths", m.face().firstLookMonths());
    }
    answer.doses().cover().ifPresent(c -> cover(node.putObject("cover"), c));
    answer.doses().seat().ifPresent(s -> seat(node.putObject("lid"), answer.doses(), s));
    node.put("pasteGrams", Doses.pasteGrams(job.workCase()));
    ArrayNode notes = node.putArray("notes");
    answer.reasons().forEach(notes::add);
    answer.notes().forEach(notes::add);
    return node;
  }

  private static void bars(ArrayNode to, CoatAnswer answer) {
    for (Bar bar : answer.doses().bars()) {
      ObjectNode one = to.addObject();
      one.put("key", bar.key());
      one.put("where", bar.where());
      one.put("what", bar.what());
      one.put("remedy", bar.remedy());
    }
  }

  private static void film(ObjectNode to, CoatTerms coat, MetalDose dose, MetalDose.Odds odds) {
    Drop drop = dose.drop();
    to.put("place", dose.place().name());
    to.put("faces", dose.faces());
    to.put("areaSquareMillimetres", dose.place().areaSquareMillimetres());
    to.put("gapMicrometres", dose.place().gapMicrometres());
    to.put("gapLowMicrometres", dose.place().lowGapMicrometres());
    to.put("gapHighMicrometres", dose.place().highGapMicrometres());
    to.put("dropMillimetres", drop.ballMillimetres());
    to.put("dropMilligrams", drop.milligrams(coat.alloy(), coat.warmth()));
    to.put("dropCubicMillimetres", drop.cubicMillimetres());
    to.put("plungerMillimetres", drop.travelMillimetres(coat.bore()));
    to.put("leastDropMillimetres", dose.leastDrop().ballMillimetres());
    figure(
        to, "mostDropMillimetres", dose.mostDrop().map(Drop::ballMillimetres).orElse(Double.NaN));
    to.put("fits", dose.fits());
    to.put("reaches", dose.runs() ? "runs down the board" : dose.place().part());
    to.put("chanceDry", odds.dry());
    to.put("chanceReaches", odds.reaches());
  }

  private static void cover(ObjectNode to, Insulation cover) {
    to.put("material", cover.cover().words());
    to.put("coats", cover.coats());
    to.put("areaSquareMillimetres", cover.areaSquareMillimetres());
    to.put("thicknessMicrometres", cover.thicknessMicrometres());
    to.put("roomMicrometres", cover.roomMicrometres());
    to.put("wetMillilitresACoat", cover.wetMillilitres());
    to.put("dryMinutesAtLeast", cover.cover().dryLowMinutes());
    to.put("dryMinutes", cover.cover().dryLikelyMinutes());
    to.put("heatCelsius", cover.cover().heatCelsius());
    to.put("removal", cover.cover().removal());
  }

  private static void seat(ObjectNode to, Doses doses, LidSeat seat) {
    to.put("carriedBy", seat.carrier());
    to.put("glueMicrometres", seat.glueMicrometres());
    to.put("glueReachesTheRim", seat.reaches());
    ArrayNode gaps = to.putArray("gapsMicrometres");
    seat.gaps().forEach(gaps::add);
    to.put("beadMillimetresLong", doses.glue().lengthMillimetres());
    to.put("glueCubicMillimetres", doses.glue().cubicMillimetres());
    to.put("glueGrams", doses.glue().grams());
    Cure cure = doses.cure();
    to.put("cureMinutesAtLeast", cure.skinMinutes());
    to.put("cureMinutes", cure.handlingMinutes());
    to.put("cureMinutesSafe", cure.fullMinutes());
  }

  static void figure(ObjectNode to, String key, double value) {
    if (Double.isFinite(value)) {
      to.put(key, value);
    } else {
      to.putNull(key);
    }
  }
}
