package dev.ambershim.core.stage.diagnosis;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Sentence;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.runs.causes.CauseKind;
import dev.ambershim.core.runs.causes.Trial;
import java.util.List;
import java.util.Locale;

/** The sentences of a diagnosis. */
public final class DiagnosisWords {
  /** From this probability on a cause is told as found. */
  static final double FOUND = 0.9;

  /** Below this one, nothing can be told yet. */
  static final double UNTOLD = 0.5;

  private final Notation notation;
  private final List<String> cores;

  DiagnosisWords(Notation notation, List<String> cores) {
    this.notation = notation;
    this.cores = cores;
  }

  /** A probability as a person reads it. */
  static String percent(double probability) {
    double percent = 100 * probability;
    if (percent > 99.4) {
      return "over 99 %";
    }
    return percent < 0.95 ? "under 1 %" : Math.round(percent) + " %";
  }

  /** A cause's name at the head of a sentence. */
  String head(Cause cause) {
    String joint = cause.joint().orElse("");
    return switch (cause.kind()) {
      case AS_IT_SHOULD_BE ->
          cause.probability() >= FOUND
              ? "Everything is as it should be"
              : "Probably all is as it should be";
      case TOO_THICK -> "The " + joint + " is too thick or has dried out" + overDie(cause);
      case TILTED -> "The " + joint + " is tilted" + direction(cause);
      case GAP -> "The " + joint + " has a gap" + place(cause);
      case COOLER_WEAK -> "The cooler is weak";
      case COOLANT_WARM -> "The coolant is too warm";
      case SENSOR_OFF -> "The sensor of " + core(cause) + " is off";
      case CORE_DRAWS_MORE -> Sentence.begin(core(cause)) + " draws more than told";
      case NONE_OF_THESE ->
          cause.power().isPresent()
              ? "The power or load reading is off: the chip draws about "
                  + percent(Math.abs(cause.power().getAsDouble()))
                  + (cause.power().getAsDouble() > 0 ? " more" : " less")
                  + " than it says"
              : "No known cause fits these readings";
    };
  }

  /** A cause's name in the middle of a sentence, with its article. */
  static String briefly(Cause cause) {
    String joint = cause.joint().orElse("");
    return switch (cause.kind()) {
      case AS_IT_SHOULD_BE -> "a sound chip";
      case TOO_THICK -> "a thick " + joint;
      case TILTED -> "a tilted " + joint;
      case GAP -> "a gap in the " + joint;
      case COOLER_WEAK -> "a weak cooler";
      case COOLANT_WARM -> "warm coolant";
      case SENSOR_OFF -> "a sensor that is off";
      case CORE_DRAWS_MORE -> "a core that draws more";
      case NONE_OF_THESE -> cause.power().isPresent() ? "a wrong power reading" : "something else";
    };
  }

  /** A cause's name beside a bar. */
  static String label(Cause cause) {
    String joint = cause.joint().orElse("");
    return switch (cause.kind()) {
      case TOO_THICK -> joint + " too thick";
      case TILTED -> joint + " tilted";
      case GAP -> joint + " has a gap";
      default -> cause.kind().words();
    };
  }

  /** Whether a cause has a cost that can be told. */
  static boolean costs(Cause cause) {
    return cause.kind() != CauseKind.AS_IT_SHOULD_BE
        && cause.kind() != CauseKind.NONE_OF_THESE
        && cause.probability() >= 0.005;
  }

  /** A number with its noun. */
  static String counted(int count, String noun) {
    return count + " " + noun + (count == 1 ? "" : "s");
  }

  /** What stands before opening a chip. */
  public static String before(Cause cause) {
    return "Find the cause first: "
        + briefly(cause)
        + " may make it hot ("
        + percent(cause.probability())
        + "), and that is put right without opening it.";
  }

  /** What a stage says first of a cause that stands before any other judgement. */
  public static List<String> beside(Cause cause) {
    return List.of(
        Sentence.begin(briefly(cause))
            + " may make it hot ("
            + percent(cause.probability())
            + "), which is put right without opening the chip.",
        beforeOpening(cause));
  }

  /** What to do about it before opening a chip. */
  public static String beforeOpening(Cause cause) {
    return switch (cause.kind()) {
      case TOO_THICK, GAP -> "Mount the cooler again with fresh paste, then read again.";
      case TILTED ->
          "Mount the cooler again, tighten its screws in turn a little at a time, then read again.";
      case COOLER_WEAK -> "Check the pump, its plug and its speed, then read again.";
      case COOLANT_WARM -> "Clear dust, check fans and intake, then read again.";
      case SENSOR_OFF, CORE_DRAWS_MORE -> "Load one core after another, which shows it.";
      case AS_IT_SHOULD_BE, NONE_OF_THESE -> "Read again with each core alone.";
    };
  }

  /** What is still needed before a side's causes can be told. */
  public static String unread(Side side) {
    return "No reading "
        + side.words()
        + " the work tells the cores one by one yet. Conduct a run, add a log with a temperature for"
        + " each core, or load one core after another.";
  }

  /** How one core after another goes. */
  public static String oneByOne(int idleSeconds, int eachSeconds) {
    return "Each core is loaded alone for "
        + eachSeconds
        + " s after "
        + idleSeconds
        + " s of idle. That tells the joint under each core.";
  }

  /** What else it may be. */
  String otherwise(Cause second) {
    return "Otherwise it is most likely "
        + briefly(second)
        + " ("
        + percent(second.probability())
        + (costs(second) ? ", " + kelvin(second) : "")
        + ").";
  }

  /** What puts a cause right. */
  String remedy(Cause cause, String outermost) {
    boolean outer = cause.joint().filter(outermost::equals).isPresent();
    return switch (cause.kind()) {
      case AS_IT_SHOULD_BE -> "Nothing needs repair; a cooler chip then takes a better joint.";
      case TOO_THICK, GAP ->
          outer
              ? "Remedy: take the cooler off, clean both faces, and mount it with fresh paste."
              : "Remedy: only opening the chip reaches this joint.";
      case TILTED ->
          outer
              ? "Remedy: mount the cooler again and tighten its screws in turn, a little at a time."
              : "Remedy: only opening the chip reaches this joint.";
      case COOLER_WEAK ->
          "Remedy: check the pump, its plug and its speed; then look for a blockage.";
      case COOLANT_WARM -> "Remedy: clear dust, check the fans, and give the intake cooler air.";
      case SENSOR_OFF -> "Remedy: none is needed; judge this chip by its other cores.";
      case CORE_DRAWS_MORE -> "Remedy: check the load and this core's clock and voltage.";
      case NONE_OF_THESE ->
          cause.power().isPresent()
              ? "Remedy: read the power at the wall or in another program, and check the load."
              : "Check the power reading, the load and the described stack.";
    };
  }

  String uncapital(String text) {
    return text.substring(0, 1).toLowerCase(Locale.ROOT) + text.substring(1);
  }

  private String core(Cause cause) {
    int core = cause.core();
    return core >= 0 && core < cores.size() ? cores.get(core) : "a core";
  }

  private static String overDie(Cause cause) {
    Shape shape = cause.shape();
    return shape.form() == Shape.Form.BOX
        ? " over the die" + placeOf(shape.at()[1], shape.at()[2], shape.at()[3] / 2)
        : "";
  }

  private static String direction(Cause cause) {
    Shape shape = cause.shape();
    if (shape.form() != Shape.Form.PLANE) {
      return "";
    }
    return ", thicker " + towards(shape.at()[1], shape.at()[2]);
  }

  private static String towards(double x, double y) {
    // Within 22.5° of an axis it is an edge, else a corner.
    double tan = Math.tan(Math.PI / 8);
    boolean alongX = Math.abs(y) < tan * Math.abs(x);
    boolean alongY = Math.abs(x) < tan * Math.abs(y);
    String across = x > 0 ? "right" : "left";
    String up = y > 0 ? "back" : "front";
    if (alongX) {
      return "towards the " + across;
    }
    return alongY ? "towards the " + up : "towards the " + up + " " + across;
  }

  private static String place(Cause cause) {
    Shape shape = cause.shape();
    return shape.form() == Shape.Form.GAP
        ? placeOf(shape.at()[0], shape.at()[1], Math.abs(shape.at()[2]) / 2)
        : "";
  }

  /** A place from a joint's middle, which reaches so far. */
  private static String placeOf(double x, double y, double middle) {
    return Math.hypot(x, y) < middle ? " in the middle" : " " + towards(x, y);
  }

  /** A cause's own sentence. */
  String sentence(Cause cause) {
    String head = head(cause) + ": " + percent(cause.probability());
    return switch (cause.kind()) {
      case AS_IT_SHOULD_BE -> head + ".";
      case NONE_OF_THESE -> head + ".";
      case SENSOR_OFF ->
          head + ". It moves the mean of the cores by " + kelvin(cause) + " and heats nothing.";
      default -> head + ". It costs the mean core " + kelvin(cause) + " at full load.";
    };
  }

  private String kelvin(Cause cause) {
    return notation.text(Math.abs(cause.kelvin()), Unit.KELVIN);
  }

  /** What a test would tell. */
  String sentence(NextTest test, Cause first, Cause second) {
    String doing = Sentence.begin(test.trial().doing());
    String takes = Math.round(test.minutes()) + " minutes";
    String risk = test.trial().risk() == Trial.Risk.NONE ? "no risk" : "a small risk";
    if (!test.tells()) {
      return doing + " would hardly tell anything more; it takes " + takes + ".";
    }
    return doing
        + " helps to tell "
        + briefly(first)
        + " from "
        + briefly(second)
        + "; it takes "
        + takes
        + " and carries "
        + risk
        + ".";
  }

  /** The answer in a sentence. */
  String finding(List<Cause> causes, List<NextTest> next) {
    Cause first = causes.get(0);
    Cause second = causes.get(1);
    boolean more = !next.isEmpty() && next.get(0).tells();
    String share = percent(first.probability());
    if (first.probability() < UNTOLD) {
      return "Cannot tell yet: "
          + briefly(first)
          + " "
          + share
          + ", "
          + briefly(second)
          + " "
          + percent(second.probability())
          + (more ? "; " + next.get(0).trial().doing() + " tells most." : ".");
    }
    String head = head(first) + " (" + share + ")";
    if (first.probability() >= FOUND || !more) {
      return first.kind() == CauseKind.AS_IT_SHOULD_BE || first.kind() == CauseKind.NONE_OF_THESE
          ? head + "."
          : head + ", which costs " + kelvin(first) + " at full load.";
    }
    return head + "; " + next.get(0).trial().doing() + " tells it from " + briefly(second) + ".";
  }
}
