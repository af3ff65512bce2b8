package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.dosing.MetalFace;
import dev.ambershim.core.physics.dosing.MetalPlace;
import dev.ambershim.core.physics.mounting.Drive;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.Way;
import dev.ambershim.desktop.widget.PictureView;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;
import org.junit.jupiter.api.Test;

/** Close and mount: what carries the lid, how long the glue cures, force, turns, first minute. */
class CloseTest extends DesktopTest {
  private void begin() {
    open();
    onFx(() -> create(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sorrel S8"));
    settle();
    hands.push(KeyCode.CONTROL, KeyCode.DIGIT8);
    until("Close is there", () -> stage.getScene().lookup("#close-answer") != null);
    worked();
  }

  private String words(String id) {
    StringBuilder all = new StringBuilder();
    ((VBox) node(id)).getChildren().forEach(n -> all.append(((Label) n).getText()).append(' '));
    return all.toString();
  }

  @Test
  void theLidIsClosedAndTheCureFollowsTheAir() {
    begin();
    // The die of 780 µm is higher than the hollow of 750 µm: it carries, the glue fills the rest.
    assertThat(text("close-answer"))
        .startsWith("The die carries the lid: film 25 µm, glue line 55 µm.")
        .contains("ready to handle ");
    String damp = text("close-answer");
    enter("closing-humidityPercent", "20");
    assertThat(text("close-answer")).isNotEqualTo(damp);
    enter("closing-oldMicrometres", "120");
    assertThat(text("close-answer")).startsWith("The rim carries the lid: film ");
    enter("closing-oldMicrometres", "");
    onFx(() -> ((ToggleButton) node("seal-SEAL_NONE")).fire());
    worked();
    assertThat(job().workCase().seal()).isEqualTo(Way.SEAL_NONE);
    assertThat(text("close-answer")).endsWith("clamp and cooler hold it.");
    onFx(() -> ((ToggleButton) node("seal-SEAL_AROUND")).fire());
    worked();

    // The gaps that were worked out go into the section, and the timer into the plan.
    onFx(() -> ((Button) node("close-take")).fire());
    worked();
    assertThat(job().after().glueMicrometres()).isEqualTo(55);
    assertThat(job().after().inner().bondLineMicrometres()).isEqualTo(25);
    var wait = Plan.of(job().workCase()).step("press").orElseThrow().passes().orElseThrow();
    assertThat(wait.span().low()).isGreaterThan(job().workCase().doses().cure().skinMinutes());
    assertThat(((PictureView) node("close-picture")).picture().description())
        .contains("die carries");
  }

  @Test
  void screwsAreTurnedHeldAgainstLimitsAndUneven() {
    begin();
    assertThat(text("mount-answer")).startsWith("Four springs press with ").contains("rounds");
    assertThat(words("close-checks")).contains("of 250 N").contains("The paste ends ");
    assertThat(words("close-first")).contains("A good joint").contains("power off at once");
    assertThat(((PictureView) node("close-turns")).picture().description()).startsWith("56 turns");
    enter("mounting-increment", "0.25");
    assertThat(((PictureView) node("close-turns")).picture().description()).startsWith("112 turns");
    String even = words("close-checks");
    enter("mounting-extraTurns-0", "1.5");
    assertThat(job().mounting().extra(0)).isEqualTo(1.5);
    assertThat(words("close-checks")).isNotEqualTo(even);
    onFx(() -> ((ToggleButton) node("drive-TORQUE")).fire());
    worked();
    assertThat(job().mounting().drive()).isEqualTo(Drive.TORQUE);
    enter("mounting-torqueNewtonMetres", "0.5");
    assertThat(text("mount-answer")).contains("more than it should bear");
    assertThat(words("close-checks")).contains("which is too much");
    enter("mounting-torqueNewtonMetres", "900");
    assertThat(model.messageProperty().get().text()).contains("torque").contains("out of range");
  }

  /** At the bench nothing overrides a forbidden pair; the remedy does. */
  @Test
  void theBenchDoesNotGoOnOverAForbiddenPair() {
    begin();
    onFx(
        () ->
            model.edit(
                "aluminium table",
                job -> job.withCoat(job.coat().saying(MetalPlace.TABLE, MetalFace.ALUMINIUM))));
    worked();
    onFx(
        () ->
            model
                .workbench()
                .edit(
                    "up to the film",
                    log -> {
                      var done = log;
                      for (var step : Plan.of(job().workCase()).steps()) {
                        if (step.id().equals("film-die")) {
                          break;
                        }
                        done = done.done(step.id(), model.workbench().now(), List.of());
                      }
                      return done.goingTo("film-die", model.workbench().now())
                          .with("film-die", e -> e.withOverride("never mind"));
                    }));
    settle();
    hands.push(KeyCode.F2);
    settle();
    hands.push(KeyCode.SPACE);
    settle();
    assertThat(job().work().entry("film-die").done()).isFalse();
    assertThat(text("bench-state")).startsWith("Stop. Table:").contains("aluminium");
    hands.push(KeyCode.F2);
    settle();
    onFx(
        () ->
            model.edit(
                "table covered",
                job -> job.withCoat(job.coat().saying(MetalPlace.TABLE, MetalFace.COVERED))));
    settle();
    hands.push(KeyCode.F2);
    settle();
    hands.push(KeyCode.SPACE);
    settle();
    assertThat(job().work().entry("film-die").done()).isTrue();

    // At the first start the bench tells what a good joint looks like in its first minute.
    onFx(
        () ->
            model
                .workbench()
                .edit(
                    "up to the first start",
                    log -> {
                      var done = log;
                      for (var step : Plan.of(job().workCase()).steps()) {
                        if (step.id().equals("first-start")) {
                          break;
                        }
                        done = done.done(step.id(), model.workbench().now(), List.of());
                      }
                      return done.goingTo("first-start", model.workbench().now());
                    }));
    until(
        "the first minute is told", 30, () -> text("bench-state").contains("A good joint: about"));
  }
}
