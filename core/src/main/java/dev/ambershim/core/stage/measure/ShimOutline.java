package dev.ambershim.core.stage.measure;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Die;
import dev.ambershim.core.physics.fit.ShimTerms;
import dev.ambershim.core.physics.fit.ShimTerms.Sheet;
import dev.ambershim.core.physics.fit.Top;
import dev.ambershim.core.physics.fit.TopKind;
import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;

/**
 * The outline of a sheet to cut, by offsets of the chip's own outlines.
 *
 * <ul>
 *   <li>shim: the substrate less an inset, open over each die with its clearance, and over the
 *       parts beside it, since a foil lies flat only where nothing stands under it;
 *   <li>mask for the film: the same outer edge, open over each die less a margin, so that metal
 *       stays off the edge;
 *   <li>stencil for varnish: open over the parts, closed over the dies.
 * </ul>
 *
 * The cut's path lies half a kerf outside the sheet all around, so that what is left has the size
 * that is wanted.
 *
 * @param sheet the sheet as it will be, mm
 * @param path the path of the cut's middle, mm
 * @param flaws what is wrong with it, a sentence each; none when it can be cut
 * @param notes what to know, a sentence each
 * @param foil which foils to lay on each other, for a shim
 */
public record ShimOutline(
    Geometry sheet, Geometry path, List<String> flaws, List<String> notes, List<Integer> foil) {
  /** Foils that are to be had, µm; common practice. */
  private static final int[] FOILS = {25, 50, 75, 125, 175, 250, 350, 500};

  private static final int ARC = 16;

  /** A mask keeps metal this far off a die's edge, mm. */
  private static final double MARGIN = 0.3;

  /** Copies its lists. */
  public ShimOutline {
    flaws = List.copyOf(flaws);
    notes = List.copyOf(notes);
    foil = List.copyOf(foil);
  }

  /**
   * Draws it.
   *
   * @param tops parts beside the die with their sizes, and dies with their heights
   * @throws Problem {@code shim.…} when nothing is left to cut
   */
  public static ShimOutline of(Chip chip, List<Top> tops, ShimTerms terms, Notation notation) {
    GeometryFactory factory = new GeometryFactory();
    double inset = terms.insetMillimetres();
    Geometry whole =
        box(
            factory,
            0,
            0,
            chip.widthMillimetres() - 2 * inset,
            chip.depthMillimetres() - 2 * inset);
    if (whole.isEmpty()) {
      throw new Problem(
          "shim.inset",
          Place.field("inset"),
          "Nothing of the sheet is left.",
          "Take a smaller inset.");
    }
    whole = rounded(whole, terms.cornerMillimetres());
    double die = lowestDie(chip, tops);
    List<Integer> foil = foil(terms, die);
    double thick = foil.stream().mapToInt(f -> f).sum() / 1000.0;
    List<String> flaws = new ArrayList<>();
    List<String> notes = new ArrayList<>();
    Geometry open = factory.createPolygon();
    List<Geometry> dies = new ArrayList<>();
    for (Die d : chip.dies()) {
      Geometry bare =
          box(
              factory,
              d.xMillimetres(),
              d.yMillimetres(),
              d.widthMillimetres(),
              d.depthMillimetres());
      dies.add(bare);
      if (terms.sheet() != Sheet.STENCIL) {
        double off = terms.sheet() == Sheet.SHIM ? terms.dieClearanceMillimetres() : -MARGIN;
        Geometry opening = corners(bare, off, terms.cornerMillimetres());
        open = open.union(opening);
        if (terms.sheet() == Sheet.SHIM && !opening.covers(bare)) {
          flaws.add(
              "The opening's round corners cover the corners of "
                  + d.name()
                  + ". Take a smaller radius or more clearance.");
        }
      }
    }
    for (Top part : tops) {
      boolean counts =
          part.kind() == TopKind.PART && part.widthMillimetres() > 0 && part.depthMillimetres() > 0;
      if (!counts) {
        continue;
      }
      Geometry at =
          box(
              factory,
              part.xMillimetres(),
              part.yMillimetres(),
              part.widthMillimetres(),
              part.depthMillimetres());
      if (terms.sheet() == Sheet.STENCIL) {
        open = open.union(corners(at, terms.partClearanceMillimetres(), terms.cornerMillimetres()));
        if (!whole.covers(at)) {
          flaws.add("The " + part.name() + " lies beyond the stencil's edge and would stay bare.");
        }
      } else if (terms.sheet() == Sheet.SHIM) {
        boolean unread = !part.height().taken();
        if (unread || part.height().mean() > 0) {
          open =
              open.union(corners(at, terms.partClearanceMillimetres(), terms.cornerMillimetres()));
          notes.add(
              "The "
                  + part.name()
                  + " gets an opening and stays bare: varnish it, or cover it with tape."
                  + (!unread && part.height().mean() > thick
                      ? " It stands "
                          + notation.text((part.height().mean() - thick) * 1000, Unit.MICROMETRE)
                          + " over the foil."
                      : ""));
        }
      }
    }
    Geometry sheet = whole.difference(open);
    pieces(sheet, flaws, notation);
    webs(sheet, terms, flaws, notation);
    if (terms.sheet() == Sheet.STENCIL) {
      for (int i = 0; i < dies.size(); i++) {
        if (!sheet.covers(dies.get(i))) {
          flaws.add(
              "The stencil leaves an edge of "
                  + chip.dies().get(i).name()
                  + " open to varnish. Take less clearance around the part beside it.");
        }
      }
      if (open.isEmpty()) {
        flaws.add("No part beside the die is described, so there is nothing to open.");
      }
    }
    if (terms.sheet() == Sheet.SHIM) {
      notes.addAll(thickness(terms, foil, die, notation));
    }
    return new ShimOutline(
        sheet,
        terms.kerfMillimetres() > 0 ? sheet.buffer(terms.kerfMillimetres() / 2, ARC) : sheet,
        flaws,
        notes,
        terms.sheet() == Sheet.SHIM ? foil : List.of());
  }

  /** Height of the lowest die, µm: as read, else as described. */
  private static double lowestDie(Chip chip, List<Top> tops) {
    double low = Double.POSITIVE_INFINITY;
    for (Die d : chip.dies()) {
      double height = d.heightMicrometres();
      for (Top t : tops) {
        boolean read =
            t.kind() == TopKind.DIE
                && t.name().equals(d.name())
                && t.height().taken()
                && !t.overBoard();
        if (read) {
          height = t.height().mean() * 1000;
        }
      }
      low = Math.min(low, height);
    }
    return low;
  }

  /** One to three foils that come nearest below what leaves the die proud as it should be. */
  private static List<Integer> foil(ShimTerms terms, double dieMicrometres) {
    if (terms.foilMicrometres() != null) {
      return List.of((int) Math.round(terms.foilMicrometres()));
    }
    double wanted = dieMicrometres - 1000 * FitWords.RIGHT_PROUD - terms.rimMicrometres();
    List<Integer> best = List.of(FOILS[0]);
    for (int a : FOILS) {
      best = better(best, List.of(a), wanted);
      for (int b : FOILS) {
        if (b >= a) {
          best = better(best, List.of(a, b), wanted);
        }
        for (int c : FOILS) {
          if (b >= a && c >= b) {
            best = better(best, List.of(a, b, c), wanted);
          }
        }
      }
    }
    return best;
  }

  private static List<Integer> better(List<Integer> best, List<Integer> other, double wanted) {
    double sum = other.stream().mapToInt(f -> f).sum();
    double now = best.stream().mapToInt(f -> f).sum();
    boolean nearer =
        sum <= wanted && (now > wanted || sum > now || (sum == now && other.size() < best.size()));
    return nearer ? other : best;
  }

  private static List<String> thickness(
      ShimTerms terms, List<Integer> foil, double die, Notation notation) {
    double thick = foil.stream().mapToInt(f -> f).sum();
    double proud = die - thick - terms.rimMicrometres();
    List<String> notes = new ArrayList<>();
    List<String> names = foil.stream().map(f -> notation.text(f, Unit.MICROMETRE)).toList();
    notes.add(
        "Foil "
            + String.join(" + ", names)
            + " with a cut edge raised by "
            + notation.text(terms.rimMicrometres(), Unit.MICROMETRE)
            + " leaves the die "
            + notation.text(Math.abs(proud), Unit.MICROMETRE)
            + (proud < 0 ? " shy." : " proud."));
    double off = 1000 * FitWords.RIGHT_PROUD - proud;
    if (off > 10) {
      notes.add(
          "Sand the edge down by "
              + notation.text(Math.min(off, terms.rimMicrometres()), Unit.MICROMETRE)
              + (off > terms.rimMicrometres() + 1
                  ? " and take a thinner foil: about 50 µm proud is right by common practice."
                  : ": about 50 µm proud is right by common practice."));
    } else if (off < -60) {
      notes.add("That is much; a thicker foil would hold the plate level.");
    }
    return notes;
  }

  private static void pieces(Geometry sheet, List<String> flaws, Notation notation) {
    if (sheet.isEmpty()) {
      throw new Problem(
          "shim.empty",
          Place.field("sheet"),
          "Nothing of the sheet is left.",
          "Take less clearance or a smaller inset.");
    }
    if (sheet.getNumGeometries() > 1) {
      double least = Double.POSITIVE_INFINITY;
      for (int i = 0; i < sheet.getNumGeometries(); i++) {
        least = Math.min(least, sheet.getGeometryN(i).getArea());
      }
      flaws.add(
          "The sheet falls into "
              + sheet.getNumGeometries()
              + " pieces; the least has "
              + notation.fixed(least, 2)
              + " mm². Take less clearance.");
    }
  }

  /** What vanishes when the sheet is shrunk by half a web and grown again is too thin. */
  private static void webs(Geometry sheet, ShimTerms terms, List<String> flaws, Notation notation) {
    double half = terms.webMillimetres() / 2;
    Geometry sturdy = sheet.buffer(-half, ARC).buffer(half * 1.02, ARC);
    Geometry thin = sheet.difference(sturdy);
    for (int i = 0; i < thin.getNumGeometries(); i++) {
      Geometry one = thin.getGeometryN(i);
      Envelope at = one.getEnvelopeInternal();
      // Sharp outer corners vanish too, and are no bridges.
      if (one.getArea() > 0.25 * half * half) {
        flaws.add(
            "Too thin to cut at x "
                + notation.text((at.getMinX() + at.getMaxX()) / 2, Unit.MILLIMETRE)
                + ", y "
                + notation.text((at.getMinY() + at.getMaxY()) / 2, Unit.MILLIMETRE)
                + ": under "
                + notation.text(terms.webMillimetres(), Unit.MILLIMETRE)
                + ". Take less clearance there, or join the openings.");
      }
    }
  }

  private static Geometry box(GeometryFactory factory, double x, double y, double w, double d) {
    return w <= 0 || d <= 0
        ? factory.createPolygon()
        : factory.toGeometry(new Envelope(x - w / 2, x + w / 2, y - d / 2, y + d / 2));
  }

  /** A rectangle grown by a clearance, its corners rounded to a radius. */
  private static Geometry corners(Geometry bare, double off, double radius) {
    Envelope at = bare.getEnvelopeInternal();
    at.expandBy(off);
    return at.isNull()
        ? bare.getFactory().createPolygon()
        : rounded(bare.getFactory().toGeometry(at), radius);
  }

  private static Geometry rounded(Geometry box, double radius) {
    Envelope at = box.getEnvelopeInternal();
    double r = Math.min(radius, Math.min(at.getWidth(), at.getHeight()) / 2 - 1e-6);
    return r <= 0 ? box : box.buffer(-r).buffer(r, ARC);
  }

  /** Rings of the cut's path: outer edges and openings, each closed, mm. */
  public List<Coordinate[]> rings() {
    List<Coordinate[]> rings = new ArrayList<>();
    for (int i = 0; i < path.getNumGeometries(); i++) {
      Polygon polygon = (Polygon) path.getGeometryN(i);
      // Openings first: a piece that is cut free moves.
      for (int k = 0; k < polygon.getNumInteriorRing(); k++) {
        rings.add(polygon.getInteriorRingN(k).getCoordinates());
      }
    }
    for (int i = 0; i < path.getNumGeometries(); i++) {
      rings.add(((Polygon) path.getGeometryN(i)).getExteriorRing().getCoordinates());
    }
    return rings;
  }
}
