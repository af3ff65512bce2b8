package dev.ambershim.desktop.stage.measure;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.fit.Top;
import dev.ambershim.core.physics.fit.TopKind;
import dev.ambershim.core.physics.surface.Face;
import dev.ambershim.core.physics.surface.ProbedPoint;
import dev.ambershim.core.physics.surface.Relief;
import dev.ambershim.core.stage.lap.LappingQuestion;
import dev.ambershim.desktop.model.Bell;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.sensors.gauge.GaugeStandIn;
import dev.ambershim.sensors.gauge.HeightGauge;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/**
 * Readings taken one after another, by hand or from a height gauge: what comes next, and where each
 * reading goes. Each is an edit of its own, so that undo takes back the last one.
 */
final class GaugeSession {
  /** Probing stays this far off a face's edge, mm. */
  private static final double EDGE = 2;

  private static final double MOST = 60;

  /** No gauge by hand tells less, so a smaller figure is in another unit, µm. */
  private static final double LEAST_MICROMETRES = 0.09;

  /**
   * One reading to come.
   *
   * @param words what to touch
   * @param near about what height is awaited, mm
   * @param put puts the reading into the job, mm
   */
  private record Target(
      String words, double x, double y, double near, BiFunction<Job, Double, Job> put) {}

  private final JobModel model;
  private final Bell tick;
  private final ReadOnlyStringWrapper next = new ReadOnlyStringWrapper("");
  private final ReadOnlyBooleanWrapper connected = new ReadOnlyBooleanWrapper(false);
  private final ReadOnlyBooleanWrapper running = new ReadOnlyBooleanWrapper(false);
  private List<Target> targets = List.of();
  private int at;
  private HeightGauge gauge;
  private GaugeStandIn standIn;

  GaugeSession(JobModel model, Bell tick) {
    this.model = model;
    this.tick = tick;
    model
        .storedProperty()
        .addListener(
            (o, was, is) -> {
              if (was != null && is != null && !was.id().equals(is.id())) {
                end();
              }
            });
  }

  /** Reads every top once more. */
  void readTops() {
    List<Target> all = new ArrayList<>();
    List<Top> tops = model.jobProperty().get().heights().tops();
    for (int i = 0; i < tops.size(); i++) {
      Top top = tops.get(i);
      int index = i;
      double near =
          top.height().taken()
              ? top.height().mean()
              : top.kind() == TopKind.DIE
                  ? model.jobProperty().get().chip().highestDieMicrometres() / 1000
                  : top.overBoard() ? 6.5 : 0.5;
      all.add(
          new Target(
              top.name() + (top.overBoard() ? ", over the mainboard" : ", over the substrate"),
              20,
              0,
              near,
              (job, mm) ->
                  index >= job.heights().tops().size()
                      ? job
                      : job.withHeights(
                          job.heights()
                              .withTop(
                                  index,
                                  job.heights()
                                      .tops()
                                      .get(index)
                                      .withHeight(
                                          job.heights().tops().get(index).height().and(mm))))));
    }
    begin(all);
  }

  /**
   * Probes a face anew on a grid.
   *
   * @param n places a side
   */
  void probe(Face face, int n) {
    Job now = model.jobProperty().get();
    Patch outline = LappingQuestion.outline(now, face);
    Relief empty =
        new Relief(
            face,
            now.surfaces().passes(face) == 0
                ? "as it came"
                : "after pass " + now.surfaces().passes(face),
            List.of(),
            now.surfaces().passes(face));
    List<Target> all = new ArrayList<>();
    for (int j = 0; j < n; j++) {
      for (int i = 0; i < n; i++) {
        double x =
            outline.xMillimetres()
                + (outline.widthMillimetres() / 2 - EDGE) * (2.0 * i / (n - 1) - 1);
        double y =
            outline.yMillimetres()
                + (outline.depthMillimetres() / 2 - EDGE) * (2.0 * j / (n - 1) - 1);
        boolean first = all.isEmpty();
        all.add(
            new Target(
                face.words() + " at right " + mm(x) + ", above " + mm(y),
                x,
                y,
                0,
                (job, mm) -> {
                  Relief old = first ? empty : job.surfaces().latest(face).orElse(empty);
                  List<ProbedPoint> points = new ArrayList<>(old.points());
                  points.add(new ProbedPoint(x, y, mm * 1000));
                  Relief more = old.with(points);
                  return job.withSurfaces(
                      first ? job.surfaces().with(more) : job.surfaces().replacing(more));
                }));
      }
    }
    begin(all);
  }

  private String mm(double value) {
    return model.notationProperty().get().text(value, Unit.MILLIMETRE);
  }

  private void begin(List<Target> all) {
    if (all.isEmpty()) {
      model.say("There is nothing to read yet: add a top first.");
      return;
    }
    targets = all;
    at = 0;
    running.set(true);
    tell();
  }

  private void tell() {
    next.set(
        at < targets.size()
            ? (at + 1) + " of " + targets.size() + ": " + targets.get(at).words()
            : "");
    if (at >= targets.size()) {
      running.set(false);
    }
  }

  /** Ends without the rest. */
  void end() {
    targets = List.of();
    at = 0;
    tell();
  }

  /** Takes the last reading back. */
  void back() {
    if (at > 0) {
      at--;
      running.set(true);
      tell();
      model.undo();
    }
  }

  /**
   * Takes a reading that was typed.
   *
   * @throws Problem if it is no height
   */
  void type(String text, Unit unit) {
    Notation notation = model.notationProperty().get();
    double value = notation.read(text, unit, "height");
    if (unit == Unit.MICROMETRE && value != 0 && Math.abs(value) < LEAST_MICROMETRES) {
      throw new Problem(
          "gauge.unit",
          Place.field("height"),
          text.strip() + " looks like millimetres; this field is " + notation.symbol(unit) + ".",
          "Type it times 1000.");
    }
    take(unit == Unit.MICROMETRE ? value / 1000 : value);
  }

  private void take(double millimetres) {
    if (at >= targets.size() || model.readOnly()) {
      return;
    }
    if (Math.abs(millimetres) > MOST) {
      model.say(
          "Height gauge: "
              + mm(millimetres)
              + " cannot be a height here. Look at the gauge's unit, and touch again.");
      return;
    }
    Target target = targets.get(at++);
    model.edit("read " + target.words(), job -> target.put().apply(job, millimetres));
    tick.ring();
    tell();
  }

  /** Asks the gauge for the reading that is due. */
  void touch() {
    if (gauge != null && at < targets.size()) {
      Target target = targets.get(at);
      try {
        gauge.ask(target.x(), target.y(), target.near());
      } catch (Problem problem) {
        model.say(problem.getMessage());
        disconnect();
      }
    }
  }

  /** Connects to a gauge; to the stand-in when no address is given. */
  void connect(String address) {
    disconnect();
    model
        .work()
        .submit(
            "reaching the height gauge",
            progress -> {
              String to = address.strip();
              GaugeStandIn made = null;
              if (to.isEmpty()) {
                made = standIn();
                to = "localhost:" + made.port();
              }
              try {
                return new Reached(
                    HeightGauge.at(
                        to,
                        value -> Platform.runLater(() -> take(value)),
                        () -> Platform.runLater(this::lost)),
                    made);
              } catch (Problem problem) {
                if (made != null) {
                  made.close();
                }
                throw problem;
              }
            },
            reached -> {
              gauge = reached.gauge();
              standIn = reached.standIn();
              connected.set(true);
              model.say(
                  standIn == null
                      ? "The height gauge is connected. Each reading goes where the panel says."
                      : "The stand-in for a height gauge is connected, for practice.");
            });
  }

  private record Reached(HeightGauge gauge, GaugeStandIn standIn) {}

  private static GaugeStandIn standIn() {
    try {
      return new GaugeStandIn(20_260_406);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void lost() {
    if (gauge != null) {
      model.say("The height gauge went away. Connect it again; what was read is kept.");
      disconnect();
    }
  }

  /** Lets the gauge go. */
  void disconnect() {
    if (gauge != null) {
      gauge.close();
      gauge = null;
    }
    if (standIn != null) {
      standIn.close();
      standIn = null;
    }
    connected.set(false);
  }

  /** What comes next, in words; empty when nothing does. */
  ReadOnlyStringProperty nextProperty() {
    return next.getReadOnlyProperty();
  }

  /** Whether a gauge is connected. */
  ReadOnlyBooleanProperty connectedProperty() {
    return connected.getReadOnlyProperty();
  }

  /** Whether readings are awaited. */
  ReadOnlyBooleanProperty runningProperty() {
    return running.getReadOnlyProperty();
  }
}
