package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.dosing.LidSeat;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.physics.material.Material;
import dev.ambershim.core.runs.clocking.HeatByClock;
import dev.ambershim.core.runs.judging.Judging;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Everything that a forecast believes before a reading, in one table. A joint's likely resistance
 * is its bond line by its conductivity, as the job has them; the factor here says how far the whole
 * joint may lie from that. The same rows stand in the handbook's page on Weigh.
 */
public final class PriorTable {
  private static final String PRACTICE = "common practice";

  /** Measured conductivity of liquid metals. */
  static final Prior METAL =
      new Prior(
          "metal.measured",
          "liquid metal, conductivity as published",
          20.7,
          14.5,
          29.5,
          "W/m·K",
          "published Ga–In–Sn 16.5 and eutectic Ga–In 26 W/m·K, their mean by ratio, a tenth beyond"
              + " either; entered from the project's design sheet");

  /** Conductivity as sellers have it. */
  static final Prior METAL_ADVERTISED =
      new Prior(
          "metal.advertised",
          "liquid metal, conductivity as advertised",
          60,
          40,
          80,
          "W/m·K",
          "sellers' claims; common practice, not used unless asked for");

  static final Prior FILM =
      new Prior(
          "film.pressed",
          "film pressed between die and lid or plate",
          LidSeat.FILM_MICROMETRES,
          LidSeat.THIN_MICROMETRES,
          LidSeat.THICK_MICROMETRES,
          "µm",
          PRACTICE);
  static final Prior FILM_LAPPED =
      new Prior("film.lapped", "film between two lapped faces", 15, 8, 28, "µm", PRACTICE);
  static final Prior FILM_ON_LID =
      new Prior("film.lid", "film on a lid as it comes", 55, 30, 100, "µm", PRACTICE);
  static final Prior PASTE_LAPPED =
      new Prior("paste.lapped", "paste on a lapped lid", 25, 14, 45, "µm", PRACTICE);
  static final Prior GLUE =
      new Prior("glue.line", "glue line after closing anew", 40, 15, 80, "µm", PRACTICE);
  static final Prior GAP =
      new Prior("gap.trust", "film in a reckoned gap", 1, 0.65, 1.55, "×", PRACTICE);
  static final Prior SILICON =
      new Prior(
          "silicon",
          "conductivity of silicon",
          1,
          Material.SILICON.lowWattsPerMetreKelvin() / Material.SILICON.likelyWattsPerMetreKelvin(),
          Material.SILICON.highWattsPerMetreKelvin() / Material.SILICON.likelyWattsPerMetreKelvin(),
          "×",
          Material.SILICON.source());
  static final Prior HEAT =
      new Prior(
          "heat.reading",
          "heat through the joints by the power reading",
          1,
          0.9,
          1.1,
          "×",
          PRACTICE);
  static final Prior SENSORS =
      new Prior("sensors", "common error of the core sensors", 0, -3.3, 3.3, "K", PRACTICE);
  static final Prior PLATEAU =
      new Prior(
          "reading",
          "a settled rise, from mount to mount",
          0,
          -Prior.ENDS * Judging.USUAL_REMOUNT_KELVIN,
          Prior.ENDS * Judging.USUAL_REMOUNT_KELVIN,
          "K",
          PRACTICE);
  static final Prior COOLANT =
      new Prior("reading.coolant", "a coolant probe", 0, -1, 1, "K", PRACTICE);
  static final Prior LID =
      new Prior("reading.lid", "a probe on the lid's middle", 0, -3, 3, "K", PRACTICE);
  static final Prior CORE_SENSOR =
      new Prior("core.sensor", "a core's sensor against its mates", 0, -5, 5, "K", PRACTICE);
  static final Prior CORE_SHARE =
      new Prior("core.share", "a core's heat against its mates", 0, -0.16, 0.16, "×", PRACTICE);
  static final Prior UNEVEN =
      new Prior("joint.uneven", "a paste joint over one core", 0, -0.8, 0.8, "×", PRACTICE);
  static final Prior UNEVEN_SOLDER =
      new Prior("solder.uneven", "a solder joint over one core", 0, -0.4, 0.4, "×", PRACTICE);
  static final Prior UNEVEN_METAL =
      new Prior("film.uneven", "a liquid-metal film over one core", 0, -0.25, 0.25, "×", PRACTICE);
  static final Prior COOLANT_SHARE =
      new Prior(
          "coolant.share",
          "share of a loop's resistance between coolant and room, about its usual one",
          0,
          -0.2,
          0.2,
          "",
          PRACTICE);

  static final Prior RADIATOR =
      new Prior("radiator", "coolant to room air, as measured", 1, 0.9, 1.1, "×", PRACTICE);

  static final Prior HOT_PLACE =
      new Prior(
          "core.hotPlace",
          "hot place inside a core, for each watt of the core",
          0.9,
          0.2,
          2.2,
          "K/W",
          "8/(3π²)·share/(k·a) (Carslaw & Jaeger) for a quarter to three fifths of a core's heat"
              + " within 0.6 to 1.7 mm, and a sensor in its middle or beside it: common practice");
  static final Prior PLACES =
      new Prior(
          "core.places",
          "joint and die under cores that lie elsewhere than taken",
          1,
          0.8,
          1.25,
          "×",
          PRACTICE);
  static final Prior GEOMETRY =
      new Prior(
          "geometry",
          "whole resistance where plate, fins or lid are others than taken",
          1,
          0.94,
          1.06,
          "×",
          PRACTICE);
  static final Prior BY_VOLTAGE =
      new Prior("power.voltage", "heat as a power of the voltage", 2.2, 1.4, 3, "", PRACTICE);
  static final Prior BY_CLOCK =
      new Prior(
          "power.clock",
          "heat as a power of the clock",
          HeatByClock.LIKELY,
          HeatByClock.LOW,
          HeatByClock.HIGH,
          "",
          PRACTICE);
  static final Prior LAYOUT =
      new Prior(
          "core.layout",
          "spread between cores by where they lie, against what was taken",
          0,
          -1.3,
          1.3,
          "×",
          PRACTICE);
  static final Prior WITHIN =
      new Prior("reading.within", "a settled rise, within one mount", 0, -0.4, 0.4, "K", PRACTICE);

  private PriorTable() {}

  /** How uneven a joint over the dies is from core to core. */
  static Prior uneven(Filling filling) {
    return switch (filling) {
      case LIQUID_METAL -> UNEVEN_METAL;
      case SOLDER -> UNEVEN_SOLDER;
      default -> UNEVEN;
    };
  }

  /** A joint's whole resistance against bond line by conductivity. */
  static Prior joint(Filling filling) {
    return new Prior(
        "joint." + filling.name().toLowerCase(Locale.ROOT).replace('_', '-'),
        "joint of " + filling.words(),
        1,
        filling.lowFactor(),
        filling.highFactor(),
        "×",
        filling.source());
  }

  /** A cooler's resistance to the room. */
  static Prior cooler(CoolerClass kind) {
    return new Prior(
        "cooler." + kind.name().toLowerCase(Locale.ROOT).replace('_', '-'),
        "resistance to the room, " + kind.words(),
        1,
        kind.lowFactor(),
        kind.highFactor(),
        "×",
        PRACTICE);
  }

  /** All rows. */
  public static List<Prior> rows() {
    List<Prior> rows = new ArrayList<>();
    for (Filling filling : Filling.values()) {
      rows.add(joint(filling));
    }
    rows.addAll(
        List.of(
            METAL,
            METAL_ADVERTISED,
            FILM,
            FILM_LAPPED,
            FILM_ON_LID,
            GAP,
            GLUE,
            PASTE_LAPPED,
            SILICON));
    for (CoolerClass kind : CoolerClass.values()) {
      rows.add(cooler(kind));
    }
    rows.addAll(
        List.of(
            COOLANT_SHARE,
            RADIATOR,
            HEAT,
            SENSORS,
            PLATEAU,
            COOLANT,
            LID,
            WITHIN,
            HOT_PLACE,
            PLACES,
            GEOMETRY,
            BY_VOLTAGE,
            BY_CLOCK,
            LAYOUT,
            CORE_SENSOR,
            CORE_SHARE,
            UNEVEN,
            UNEVEN_SOLDER,
            UNEVEN_METAL));
    return rows;
  }
}
