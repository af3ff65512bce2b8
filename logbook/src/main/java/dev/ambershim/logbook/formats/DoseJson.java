package dev.ambershim.logbook.formats;

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
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** The published block of a job's doses. */
public final class DoseJson {
  private record Dosed(
      boolean mayGoOn,
      List<Barred> bars,
      FindingJson finding,
      List<Film> films,
      List<Met> meetings,
      Covered cover,
      Seat lid,
      double pasteGrams,
      List<String> notes) {}

  private record Barred(String key, String where, String what, String remedy) {
    static Barred of(Bar bar) {
      return new Barred(bar.key(), bar.where(), bar.what(), bar.remedy());
    }
  }

  private record Film(
      String place,
      int faces,
      double areaSquareMillimetres,
      double gapMicrometres,
      double gapLowMicrometres,
      double gapHighMicrometres,
      double dropMillimetres,
      double dropMilligrams,
      double dropCubicMillimetres,
      double plungerMillimetres,
      double leastDropMillimetres,
      double mostDropMillimetres,
      boolean fits,
      String reaches,
      double chanceDry,
      double chanceReaches) {
    static Film of(CoatTerms coat, MetalDose dose, MetalDose.Odds odds) {
      Drop drop = dose.drop();
      return new Film(
          dose.place().name(),
          dose.faces(),
          dose.place().areaSquareMillimetres(),
          dose.place().gapMicrometres(),
          dose.place().lowGapMicrometres(),
          dose.place().highGapMicrometres(),
          drop.ballMillimetres(),
          drop.milligrams(coat.alloy(), coat.warmth()),
          drop.cubicMillimetres(),
          drop.travelMillimetres(coat.bore()),
          dose.leastDrop().ballMillimetres(),
          dose.mostDrop().map(Drop::ballMillimetres).orElse(Double.NaN),
          dose.fits(),
          dose.runs() ? "runs down the board" : dose.place().part(),
          odds.dry(),
          odds.reaches());
    }
  }

  private record Met(
      String place,
      String face,
      String verdict,
      boolean said,
      double potentialVolts,
      String mechanism,
      double firstLookMonths) {
    static Met of(Meeting m) {
      return new Met(
          m.place().words(),
          m.face().words(),
          m.verdict().words(),
          m.said(),
          m.face().volts(),
          m.face().mechanism(),
          m.face().firstLookMonths());
    }
  }

  private record Covered(
      String material,
      int coats,
      double areaSquareMillimetres,
      double thicknessMicrometres,
      double roomMicrometres,
      double wetMillilitresACoat,
      double dryMinutesAtLeast,
      double dryMinutes,
      double heatCelsius,
      String removal) {
    static Covered of(Insulation cover) {
      return new Covered(
          cover.cover().words(),
          cover.coats(),
          cover.areaSquareMillimetres(),
          cover.thicknessMicrometres(),
          cover.roomMicrometres(),
          cover.wetMillilitres(),
          cover.cover().dryLowMinutes(),
          cover.cover().dryLikelyMinutes(),
          cover.cover().heatCelsius(),
          cover.cover().removal());
    }
  }

  private record Seat(
      String carriedBy,
      double glueMicrometres,
      boolean glueReachesTheRim,
      List<Double> gapsMicrometres,
      double beadMillimetresLong,
      double glueCubicMillimetres,
      double glueGrams,
      double cureMinutesAtLeast,
      double cureMinutes,
      double cureMinutesSafe,
      FindingJson.Range cure) {
    static Seat of(Doses doses, LidSeat seat) {
      Cure cure = doses.cure();
      return new Seat(
          seat.carrier(),
          seat.glueMicrometres(),
          seat.reaches(),
          seat.gaps(),
          doses.glue().lengthMillimetres(),
          doses.glue().cubicMillimetres(),
          doses.glue().grams(),
          cure.skinMinutes(),
          cure.handlingMinutes(),
          cure.fullMinutes(),
          FindingJson.Range.of(cure.handling()));
    }
  }

  private DoseJson() {}

  /** Writes it. */
  public static ObjectNode of(CoatAnswer answer) {
    Job job = answer.job();
    Doses doses = answer.doses();
    return Json.published(
        new Dosed(
            doses.bars().isEmpty(),
            doses.bars().stream().map(Barred::of).toList(),
            FindingJson.of(answer.finding()),
            IntStream.range(0, doses.films().size())
                .mapToObj(i -> Film.of(job.coat(), doses.films().get(i), answer.odds().get(i)))
                .toList(),
            answer.meetings().stream().map(Met::of).toList(),
            doses.cover().map(Covered::of).orElse(null),
            doses.seat().map(s -> Seat.of(doses, s)).orElse(null),
            Doses.pasteGrams(job.workCase()),
            Stream.concat(answer.reasons().stream(), answer.notes().stream()).toList()));
  }
}
