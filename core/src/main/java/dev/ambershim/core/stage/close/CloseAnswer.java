package dev.ambershim.core.stage.close;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.stage.Drawing;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.StageAnswer;
import dev.ambershim.core.stage.measure.FitQuestion;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How thick the joint under the lid gets, how hard the cooler presses, and what uneven screws cost.
 *
 * @param job what it was worked out for
 * @param lid how the lid lies; empty when none is put on
 * @param mount how the cooler presses
 * @param wedge what uneven screws cost; empty where no paste carries the plate
 * @param notes each limit, kept or not, and what the wedge costs
 * @param pictures the lid as it lies, and every turn of the screws
 */
public record CloseAnswer(
    Job job,
    Optional<LidAnswer> lid,
    MountAnswer mount,
    Optional<FitQuestion.Tilted> wedge,
    List<String> notes,
    List<Drawing> pictures)
    implements StageAnswer {
  private static final double LID_HEIGHT = 210;
  private static final double TURNS_HEIGHT = 230;

  /** Copies its lists. */
  public CloseAnswer {
    notes = List.copyOf(notes);
    pictures = List.copyOf(pictures);
  }

  /**
   * Works it out.
   *
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public static CloseAnswer of(Job job, Notation notation, SolveWatch watch) {
    MountAnswer mount = MountAnswer.of(job, notation);
    Optional<LidAnswer> lid = LidAnswer.of(job, notation);
    Optional<FitQuestion.Tilted> wedge = mount.cost(job, watch);
    List<String> notes = new ArrayList<>(mount.checks());
    wedge.ifPresent(w -> notes.addAll(words(w, notation)));
    if (wedge.isEmpty()) {
      notes.add(
          "Liquid metal carries no load: the plate lies on what it touches, so uneven screws do not"
              + " tilt it as long as their force acts inside that area.");
    }
    List<Drawing> pictures = new ArrayList<>();
    lid.ifPresent(
        l ->
            pictures.add(
                new Drawing(
                    "lid",
                    "How the lid lies.",
                    LID_HEIGHT,
                    (w, h) -> ClosePicture.of(job.chip(), l.seat(), l.glue(), notation, w, h))));
    double limit = job.after().lidOn() ? Double.MAX_VALUE : job.mounting().edge();
    pictures.add(
        new Drawing(
            "turns",
            "Every turn of the screws.",
            TURNS_HEIGHT,
            (w, h) -> TurnsPicture.of(mount.tightening(), job.mounting(), limit, notation, w, h)));
    return new CloseAnswer(job, lid, mount, wedge, notes, pictures);
  }

  private static List<String> words(FitQuestion.Tilted wedge, Notation notation) {
    List<String> words = new ArrayList<>();
    words.add(wedge.sentence("The paste ends", notation));
    if (!wedge.coresKelvin().isEmpty() && !wedge.little()) {
      List<String> each = new ArrayList<>();
      for (int i = 0; i < wedge.coresKelvin().size(); i++) {
        double warmer = notation.shown(wedge.coresKelvin().get(i), Unit.KELVIN);
        each.add(i + ": " + notation.fixed(warmer, 2));
      }
      words.add(
          "Warmer by core, in "
              + notation.symbol(Unit.KELVIN)
              + ": "
              + String.join(", ", each)
              + ".");
    }
    return words;
  }

  @Override
  public Stage stage() {
    return Stage.CLOSE;
  }

  @Override
  public Optional<Finding> finding() {
    return Optional.of(lid.map(LidAnswer::finding).orElse(mount.finding()));
  }

  @Override
  public String sentence() {
    return finding().orElseThrow().sentence();
  }

  @Override
  public List<String> reasons() {
    return lid.map(LidAnswer::reasons).orElse(List.of());
  }

  @Override
  public List<Finding> others() {
    return lid.isPresent() ? List.of(mount.finding()) : List.of();
  }
}
