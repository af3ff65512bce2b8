package dev.ambershim.core.stage.clean;

import static dev.ambershim.core.plan.Flaw.Face.DIE;
import static dev.ambershim.core.plan.Flaw.Face.DIE_EDGE;
import static dev.ambershim.core.plan.Flaw.Face.LID_INSIDE;
import static dev.ambershim.core.plan.Flaw.Face.LID_RIM;
import static dev.ambershim.core.plan.Flaw.Face.LID_TOP;
import static dev.ambershim.core.plan.Flaw.Face.PARTS;
import static dev.ambershim.core.plan.Flaw.Face.PLATE;
import static dev.ambershim.core.plan.Flaw.Face.SUBSTRATE;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.plan.Flaw;
import dev.ambershim.core.plan.Flaw.Face;
import dev.ambershim.core.plan.Flaw.Kind;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.StageAnswer;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What flaws mean, and whether the faces may be used again. All of it is common practice, judged by
 * eye and nail; what cannot be seen from outside it says so.
 *
 * @param sentence the answer in one sentence
 * @param worst the worst of the judgements
 * @param judgements each flaw with what it means
 */
public record CleanAnswer(String sentence, Fitness worst, List<Judgement> judgements)
    implements StageAnswer {
  /** Steps at which the faces are looked at. */
  private static final List<String> LOOKS = List.of("look-chip", "look-lid", "plate-look");

  /** Whether a face may be used again. */
  public enum Fitness {
    YES("use it"),
    WATCH("use it, and watch it"),
    MEND("mend it first"),
    CANNOT_TELL("cannot tell from outside"),
    NO("do not use it");

    private final String words;

    Fitness(String words) {
      this.words = words;
    }

    /** The judgement in words. */
    public String words() {
      return words;
    }
  }

  /**
   * A flaw with what it means.
   *
   * @param flaw the flaw
   * @param fitness whether the face may be used again
   * @param meaning what it means
   * @param doing what to do
   */
  public record Judgement(Flaw flaw, Fitness fitness, String meaning, String doing) {
    /** The flaw and whether its face may be used, in a few words. */
    public String title() {
      return flaw.face().words()
          + ", "
          + flaw.kind().words()
          + (flaw.deep() ? ", deep" : "")
          + (flaw.note().isEmpty() ? "" : ", " + flaw.note())
          + ": "
          + fitness.words();
    }

    /** All of it in a line. */
    public String line() {
      return title() + ". " + meaning + " " + doing;
    }
  }

  /** Copies its list. */
  public CleanAnswer {
    judgements = List.copyOf(judgements);
  }

  /** Judges what was noted in a job. */
  public static CleanAnswer of(Job job) {
    boolean looked = LOOKS.stream().anyMatch(id -> job.work().entry(id).done());
    return of(job.work().flaws(), looked, job.workCase().metalOnPlate());
  }

  /**
   * Judges what was found.
   *
   * @param looked whether the faces were looked at, so that no flaw means a clean face
   * @param plateBared whether liquid metal meets the cold plate
   */
  public static CleanAnswer of(List<Flaw> flaws, boolean looked, boolean plateBared) {
    List<Judgement> judgements = new ArrayList<>();
    Fitness worst = Fitness.YES;
    for (Flaw flaw : flaws) {
      Judgement judgement = judge(flaw, plateBared);
      judgements.add(judgement);
      if (judgement.fitness().compareTo(worst) > 0) {
        worst = judgement.fitness();
      }
    }
    return new CleanAnswer(sentence(worst, judgements, looked), worst, judgements);
  }

  private static String sentence(Fitness worst, List<Judgement> judgements, boolean looked) {
    if (judgements.isEmpty()) {
      return looked
          ? "Clean, and fit to be used again: no flaw was noted."
          : "Not looked at yet. Note what you find on each face, or that it is clean.";
    }
    Fitness use = worst;
    Optional<Judgement> first = judgements.stream().filter(f -> f.fitness() == use).findFirst();
    String what = first.map(f -> words(f.flaw())).orElse("");
    int count = judgements.size();
    String of = count == 1 ? "" : " Of " + count + " flaws this is the worst.";
    return switch (worst) {
      case YES -> "Fit to be used again: what was noted does no harm.";
      case WATCH -> "Fit to be used again; keep an eye on the " + what + "." + of;
      case MEND -> "Not yet: the " + what + " has to be mended first." + of;
      case CANNOT_TELL -> "Cannot tell from outside what the " + what + " did." + of;
      case NO -> "Not fit to be used again: " + what + "." + of;
    };
  }

  private static String words(Flaw flaw) {
    return flaw.kind().words()
        + ", "
        + flaw.face().words()
        + (flaw.note().isEmpty() ? "" : " (" + flaw.note() + ")");
  }

  private static Judgement judge(Flaw flaw, boolean plateBared) {
    Face face = flaw.face();
    boolean die = face == DIE || face == DIE_EDGE;
    boolean metal = face == LID_INSIDE || face == LID_TOP || face == LID_RIM || face == PLATE;
    return switch (flaw.kind()) {
      case CRACK -> crack(flaw, die, metal);
      case CHIP -> chip(flaw, die);
      case SCRATCH, GOUGE -> scratch(flaw, die, metal);
      case STAIN ->
          found(
              flaw,
              Fitness.YES,
              metal
                  ? "Gallium has gone into the copper or grease has baked on; it hardly conducts"
                      + " worse."
                  : "Flux, paste or varnish; it conducts nothing once it is dry.",
              "Alcohol once more; leave what stays.");
      case PIT -> pit(flaw, die, metal, plateBared);
      case CRUST -> crust(flaw, metal);
      case LIFTED ->
          metal
              ? found(
                  flaw,
                  face == LID_RIM ? Fitness.MEND : Fitness.NO,
                  "Plating that lifts comes off with the film, and metal creeps under it.",
                  face == LID_RIM
                      ? "Rub the rim down to where it holds."
                      : "Another one, or lap it down to whole metal.")
              : found(
                  flaw,
                  Fitness.CANNOT_TELL,
                  "There is no plating here; it may be lacquer over traces.",
                  "Magnifier: if a trace shows copper, cover it; prove it before you close.");
      case LOOSE -> loose(flaw);
    };
  }

  private static Judgement found(Flaw flaw, Fitness fitness, String meaning, String doing) {
    return new Judgement(flaw, fitness, meaning, doing);
  }

  private static Judgement crack(Flaw flaw, boolean die, boolean metal) {
    if (die) {
      return found(
          flaw,
          Fitness.NO,
          "A crack runs on with every warming, whatever the chip does today.",
          "Do not go on. Record the mishap, so that the odds learn from it.");
    }
    if (metal) {
      return found(flaw, Fitness.NO, "It opens with every warming.", "Another one.");
    }
    return found(
        flaw,
        Fitness.CANNOT_TELL,
        "A line in the lacquer is harmless, a line through the layers is not; they look alike.",
        "Dry start in the socket before anything is filmed, if your cooler can sit on it.");
  }

  private static Judgement chip(Flaw flaw, boolean die) {
    if (!die) {
      return found(
          flaw,
          flaw.face() == SUBSTRATE ? Fitness.WATCH : Fitness.MEND,
          flaw.face() == SUBSTRATE
              ? "At the very edge of a substrate there are no traces."
              : "A burr stands up beside it.",
          flaw.face() == SUBSTRATE ? "Photograph it; go on." : "Rub the burr flat on wet paper.");
    }
    return flaw.deep()
        ? found(
            flaw,
            Fitness.CANNOT_TELL,
            "Over about a millimetre it may reach the circuits, which lie on the underside.",
            "Dry start before anything is filmed; if it is not detected, it is lost.")
        : found(
            flaw,
            Fitness.WATCH,
            "Small chips at the edge lie outside the circuits, as a rule.",
            "Photograph it. Set the plate or lid down flat, so that it does not grow.");
  }

  private static Judgement scratch(Flaw flaw, boolean die, boolean metal) {
    boolean gouge = flaw.kind() == Kind.GOUGE;
    if (die) {
      return gouge || flaw.deep()
          ? found(
              flaw,
              Fitness.WATCH,
              "The film fills it; a deep one is where a crack would start.",
              "No polishing over it. Even force when you close.")
          : found(
              flaw,
              Fitness.YES,
              "The circuits lie on the underside; the film fills it.",
              "Leave it.");
    }
    if (metal) {
      return gouge || flaw.deep()
          ? found(
              flaw,
              Fitness.MEND,
              "Its burr stands higher than the film is thick.",
              "Rub the burr flat; the groove itself is filled.")
          : found(flaw, Fitness.YES, "The film or paste fills it.", "Leave it.");
    }
    return gouge || flaw.deep()
        ? found(
            flaw,
            Fitness.CANNOT_TELL,
            "A cut may have gone through a trace.",
            "Magnifier: copper shows? Cover it with varnish. Dry start before you film.")
        : found(flaw, Fitness.WATCH, "In the lacquer only.", "A dab of varnish over it.");
  }

  private static Judgement pit(Flaw flaw, boolean die, boolean metal, boolean plateBared) {
    if (die) {
      return found(
          flaw,
          Fitness.WATCH,
          "Solder or crust has torn a flake out of the silicon.",
          "Leave it; the film fills it.");
    }
    if (!metal) {
      return found(flaw, Fitness.WATCH, "A flake of lacquer is gone.", "A dab of varnish over it.");
    }
    if (flaw.face() == PLATE && plateBared && flaw.deep()) {
      return found(
          flaw,
          Fitness.NO,
          "Deep pits are eaten: aluminium under it, or plating with holes.",
          "Not with liquid metal. Paste, or another plate.");
    }
    return flaw.deep()
        ? found(flaw, Fitness.MEND, "Too deep for a film.", "Lap it until the pits are out.")
        : found(flaw, Fitness.WATCH, "It takes up some of the film.", "A little more metal there.");
  }

  private static Judgement crust(Flaw flaw, boolean metal) {
    return found(
        flaw,
        Fitness.MEND,
        metal
            ? "Gallium has gone into the metal and left a dry alloy that conducts badly."
            : "Dried liquid metal, or soot of a short.",
        metal
            ? "Rub it with a pinhead of fresh liquid metal, then alcohol; fine wet paper if it stays."
            : "Soften it with fresh liquid metal on the die only; beside it pick it off, then look"
                + " for burnt contacts.");
  }

  private static Judgement loose(Flaw flaw) {
    if (flaw.face() == PARTS || flaw.face() == SUBSTRATE) {
      return flaw.deep()
          ? found(
              flaw,
              Fitness.NO,
              "Several parts gone: supply or memory will not hold.",
              "Those who solder such parts may put them back; else it is lost.")
          : found(
              flaw,
              Fitness.CANNOT_TELL,
              "Most of these parts steady the supply; with one gone many chips run, some do not.",
              "Note its place. Dry start before you film. Cover the bare pads.");
    }
    return found(flaw, Fitness.CANNOT_TELL, "Nothing should be loose here.", "Look again.");
  }

  @Override
  public Stage stage() {
    return Stage.CLEAN;
  }

  @Override
  public Optional<Finding> finding() {
    return Optional.empty();
  }

  @Override
  public List<String> reasons() {
    return List.of("Judged by eye and fingernail, as is common practice.");
  }

  /** Each flaw, what it means and what to do. */
  @Override
  public List<String> notes() {
    return judgements.stream().map(Judgement::line).toList();
  }
}
