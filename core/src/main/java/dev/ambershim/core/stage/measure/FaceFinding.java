package dev.ambershim.core.stage.measure;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.surface.FaceReport;
import dev.ambershim.core.physics.surface.Flatness;
import dev.ambershim.core.physics.surface.Form;
import dev.ambershim.core.physics.surface.HighSpot;
import dev.ambershim.core.physics.surface.Polynomial;
import dev.ambershim.core.physics.surface.ProbedPoint;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What a face report says in a sentence, with its working. */
public final class FaceFinding {
  /** Degrees of freedom from which a scatter is worth its name; common practice. */
  private static final int ENOUGH_REPEATS = 6;

  private FaceFinding() {}

  /**
   * How flat a face is.
   *
   * @param face what the face is called, as it begins a sentence
   */
  public static Finding of(FaceReport report, String face, Notation notation) {
    Flatness flat = report.flatness();
    StringBuilder words = new StringBuilder();
    words
        .append(face)
        .append(": flat to ")
        .append(notation.text(flat.zoneMicrometres(), Unit.MICROMETRE));
    report
        .zone()
        .ifPresent(z -> words.append(" (").append(notation.range(z, Unit.MICROMETRE)).append(")"));
    words.append(" over ").append(report.points().size()).append(" places");
    words.append(shape(report.form(), report.points().size(), notation)).append(".");
    List<Working.Input> inputs = new ArrayList<>();
    inputs.add(new Working.Input("places", report.points().size(), Unit.COUNT));
    inputs.add(new Working.Input("heights probed", report.probings(), Unit.COUNT));
    inputs.add(new Working.Input("minimum zone", flat.zoneMicrometres(), Unit.MICROMETRE));
    inputs.add(new Working.Input("FLTt, least squares", flat.flttMicrometres(), Unit.MICROMETRE));
    inputs.add(new Working.Input("FLTp", flat.fltpMicrometres(), Unit.MICROMETRE));
    inputs.add(new Working.Input("FLTv", flat.fltvMicrometres(), Unit.MICROMETRE));
    inputs.add(new Working.Input("FLTq", flat.fltqMicrometres(), Unit.MICROMETRE));
    inputs.add(new Working.Input("bow", report.form().bowMicrometres(), Unit.MICROMETRE));
    inputs.add(new Working.Input("twist", report.form().twistMicrometres(), Unit.MICROMETRE));
    inputs.add(
        new Working.Input(
            "slope over the face", report.form().slopeMicrometres(), Unit.MICROMETRE));
    report
        .scatterMicrometres()
        .ifPresent(
            s ->
                inputs.add(
                    new Working.Input(
                        "scatter of one probing" + (report.fromRepeats() ? "" : ", as stated"),
                        s,
                        Unit.MICROMETRE)));
    List<String> limits = new ArrayList<>();
    limits.add("Between the probed places nothing is known: a finer grid finds more.");
    limits.add(
        report.scatterMicrometres().isEmpty()
            ? "Without repeats there is no interval. Probe at least six places twice."
            : "Scatter makes any face look less flat; the interval allows for it.");
    if (report.fromRepeats() && report.probings() - report.points().size() < ENOUGH_REPEATS) {
      limits.add("So few repeats tell the scatter roughly: probe at least six places twice.");
    }
    if (!report.outliers().isEmpty()) {
      limits.add("Places that do not go with the rest are in it; probe them again.");
    }
    return new Finding(
        "measure.flatness",
        words.toString(),
        flat.zoneMicrometres(),
        Unit.MICROMETRE,
        report.zone(),
        new Working(
            "the two parallel planes closest together that hold all places, exactly, as a linear"
                + " programme; deviations along the normal of the least-squares plane",
            inputs,
            "ISO 12781-1:2011 (words and reference planes); JCGM 100:2008 for the scatter",
            limits));
  }

  private static String shape(Form form, int places, Notation notation) {
    String bow = notation.text(Math.abs(form.bowMicrometres()), Unit.MICROMETRE);
    return switch (form.shape()) {
      case CONVEX -> "; convex, its middle " + bow + " proud of its corners";
      case CONCAVE -> "; concave, its middle " + bow + " shy of its corners";
      case SADDLE ->
          "; a saddle, up one way and down the other, one corner "
              + notation.text(Math.abs(form.twistMicrometres()), Unit.MICROMETRE)
              + " out of the plane of the rest";
      case WEDGE ->
          "; sloping by "
              + notation.text(form.slopeMicrometres(), Unit.MICROMETRE)
              + ", a wedge if the gauge was set to the other face";
      case FLAT ->
          places < Polynomial.DOME
              ? "; too few to tell a bow from a twist"
              : "; no bow or twist stands out";
    };
  }

  /**
   * What to know beside the figure: how flat it is over the die alone, and where it stands up.
   *
   * @param die the die's outline, if the face lies over it
   */
  public static List<String> notes(FaceReport report, Optional<Patch> die, Notation notation) {
    List<String> notes = new ArrayList<>();
    die.ifPresent(
        d -> {
          List<ProbedPoint> inside =
              report.points().stream()
                  .filter(p -> d.holds(p.xMillimetres(), p.yMillimetres()))
                  .toList();
          try {
            double zone = Flatness.of(inside).zoneMicrometres();
            notes.add(
                "Over the die alone: flat to "
                    + notation.text(zone, Unit.MICROMETRE)
                    + " over "
                    + inside.size()
                    + " places.");
          } catch (Problem few) {
            notes.add("Over the die alone too few places were probed to say how flat it is there.");
          }
        });
    List<HighSpot> spots = report.highSpots().stream().limit(3).toList();
    if (!spots.isEmpty()) {
      List<String> words = new ArrayList<>();
      for (HighSpot s : spots) {
        words.add(
            (words.size() + 1)
                + " at right "
                + notation.text(s.xMillimetres(), Unit.MILLIMETRE)
                + ", above "
                + notation.text(s.yMillimetres(), Unit.MILLIMETRE)
                + " ("
                + notation.text(s.micrometres(), Unit.MICROMETRE)
                + ")");
      }
      notes.add("High spots, the first to show on paper: " + String.join("; ", words) + ".");
    }
    return notes;
  }

  /** Places to probe again, a sentence each. */
  public static List<String> doubts(FaceReport report, Notation notation) {
    return report.outliers().stream()
        .map(
            o ->
                "At x "
                    + notation.text(o.point().xMillimetres(), Unit.MILLIMETRE)
                    + ", y "
                    + notation.text(o.point().yMillimetres(), Unit.MILLIMETRE)
                    + " the height lies "
                    + notation.text(Math.abs(o.micrometres()), Unit.MICROMETRE)
                    + (o.micrometres() > 0 ? " above" : " below")
                    + " its neighbours. Wipe the place and probe it again, or take it out.")
        .toList();
  }
}
