package dev.ambershim.core.job;

import static dev.ambershim.core.physics.assembly.Part.PLATE;

import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Figure.Access;
import dev.ambershim.core.job.Figure.Range;
import dev.ambershim.core.physics.assembly.Cooler;
import java.util.ArrayList;
import java.util.List;

/** Measures of the cooler. */
final class CoolerFigures {
  static final Section<Cooler> COOLER = new Section<>(Job::cooler, Job::withCooler);

  private CoolerFigures() {}

  static List<Figure> all(Cooler cooler) {
    List<Figure> figures = new ArrayList<>(base());
    if (cooler.kind().hasHoses()) {
      figures.add(
          new Figure(
              "cooler.flowLitresPerHour",
              PLATE,
              "coolant flow",
              Unit.LITRE_PER_HOUR,
              new Range(1, 2000),
              new Range(30, 300),
              "From a flow meter in the loop. Empty if you have none.",
              COOLER.may(Cooler::flowLitresPerHour, Cooler::withFlowLitresPerHour, c -> null)));
      figures.add(
          new Figure(
              "cooler.warmsKelvin",
              PLATE,
              "coolant warms in the block",
              Unit.KELVIN,
              new Range(0.01, 40),
              new Range(0.3, 8),
              "Outlet less inlet of the block at full load, by two probes read against each other.",
              COOLER.may(Cooler::warmsKelvin, Cooler::withWarmsKelvin, c -> null)));
      figures.add(
          new Figure(
              "cooler.radiatorKelvinPerWatt",
              PLATE,
              "coolant to room air",
              Unit.KELVIN_PER_WATT,
              new Range(0.002, 3),
              new Range(0.01, 0.2),
              "Coolant over room air, divided by all heat in the loop: radiators, fans and pump.",
              COOLER.may(
                  Cooler::radiatorKelvinPerWatt,
                  Cooler::withRadiatorKelvinPerWatt,
                  c -> c.kind().coolantShare() * c.resistanceKelvinPerWatt())));
    }
    if (cooler.kind().ownLoop()) {
      figures.add(
          new Figure(
              "cooler.otherWatts",
              PLATE,
              "other heat in the loop",
              Unit.WATT,
              new Range(0, 2000),
              new Range(50, 500),
              "What other blocks in the loop give off during your runs. Empty if there are none.",
              COOLER.may(Cooler::otherWatts, Cooler::withOtherWatts, c -> null)));
    }
    figures.add(
        new Figure(
            "cooler.inBaseKelvinPerWatt",
            PLATE,
            "of that in the base",
            Unit.KELVIN_PER_WATT,
            new Range(0.001, 3),
            new Range(0.01, 0.3),
            "From maker's tests of the block alone: plate to coolant, or plate to pipes. Only this"
                + " part profits when heat spreads.",
            COOLER.may(
                Cooler::inBaseKelvinPerWatt,
                Cooler::withInBaseKelvinPerWatt,
                c -> c.resistanceKelvinPerWatt() * c.kind().baseShare())));
    figures.add(
        new Figure(
            "cooler.alongTimes",
            PLATE,
            "plate conducts along itself",
            Unit.TIMES,
            new Range(1, 30),
            new Range(1, 15),
            "1 for plain metal; about 3 with heat pipes in it, 5 to 15 for a vapour chamber.",
            COOLER.may(Cooler::alongTimes, Cooler::withAlongTimes, c -> c.kind().across())));
    return figures;
  }

  private static List<Figure> base() {
    return List.of(
        plate(
            "widthMillimetres",
            "plate width",
            new Range(10, 200),
            new Range(30, 90),
            "Caliper or ruler over the cold plate's contact face.",
            COOLER.must(Cooler::widthMillimetres, Cooler::withWidthMillimetres)),
        plate(
            "depthMillimetres",
            "plate depth",
            new Range(10, 200),
            new Range(30, 90),
            "As the width, the other way.",
            COOLER.must(Cooler::depthMillimetres, Cooler::withDepthMillimetres)),
        plate(
            "thicknessMillimetres",
            "plate thickness",
            new Range(0.5, 30),
            new Range(1, 25),
            "From the maker's drawing, or by caliper where the edge shows it.",
            COOLER.must(Cooler::thicknessMillimetres, Cooler::withThicknessMillimetres)),
        new Figure(
            "cooler.resistanceKelvinPerWatt",
            PLATE,
            "plate to room air",
            Unit.KELVIN_PER_WATT,
            new Range(0.005, 3),
            new Range(0.03, 0.8),
            "Coolant or plate temperature over room air, divided by chip power.",
            COOLER.must(Cooler::resistanceKelvinPerWatt, Cooler::withResistanceKelvinPerWatt)),
        plate(
            "finWidthMillimetres",
            "fins or channels, width",
            new Range(5, 200),
            new Range(20, 80),
            "How far fins, channels or heat pipes reach behind the plate; from a photo inside.",
            COOLER.must(Cooler::finWidthMillimetres, Cooler::withFinWidthMillimetres)),
        plate(
            "finDepthMillimetres",
            "fins or channels, depth",
            new Range(5, 200),
            new Range(10, 80),
            "As the width, the other way.",
            COOLER.must(Cooler::finDepthMillimetres, Cooler::withFinDepthMillimetres)),
        plate(
            "reachMillimetres",
            "room to come down",
            new Range(0, 20),
            new Range(0, 6),
            "How much lower the mount can hold the plate than on a lid: springs, standoffs, frame.",
            COOLER.must(Cooler::reachMillimetres, Cooler::withReachMillimetres)));
  }

  private static Figure plate(
      String name, String label, Range possible, Range usual, String how, Access access) {
    return new Figure(
        "cooler." + name, PLATE, label, Unit.MILLIMETRE, possible, usual, how, access);
  }
}
