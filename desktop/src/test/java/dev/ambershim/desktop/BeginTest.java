package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.plan.Wish;
import dev.ambershim.desktop.widget.PictureView;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** The first window: three questions, a forecast at once, and the job that begins with it. */
class BeginTest extends DesktopTest {
  @SuppressWarnings("unchecked")
  private ComboBox<String> box(String id) {
    return (ComboBox<String>) node(id);
  }

  private void told() {
    until("the forecast is told", 60, () -> text("begin-answer").contains("in eight cases"));
  }

  @Test
  void anEmptyLogbookForecastsAtOnceAndTheJobSaysTheSame() {
    open();
    told();
    assertThat(text("begin-answer")).startsWith("Go: ");
    assertThat(((PictureView) node("begin-options")).drawn()).isTrue();
    assertThat(((PictureView) node("begin-section")).drawn()).isTrue();
    assertThat(node("begin-worth").lookupAll(".label"))
        .anyMatch(n -> ((Label) n).getText().startsWith("A reading at this load: "));
    onFx(() -> box("new-wish").getSelectionModel().select(Wish.QUIETER.words()));
    until(
        "it is told in noise",
        60,
        () ->
            node("begin").lookupAll(".label").stream()
                .anyMatch(n -> ((Label) n).getText().contains(" quieter")));
    String quieter = text("begin-answer");
    onFx(() -> ((TextField) node("new-title")).setText("Sedge Q4"));
    onFx(() -> node("new-title").requestFocus());
    press(KeyCode.ENTER);
    worked();
    assertThat(model.jobProperty().get().title()).isEqualTo("Sedge Q4");
    assertThat(model.jobProperty().get().terms().wish()).isEqualTo(Wish.QUIETER);
    until("Weigh says the same", 60, () -> text("weigh-answer").equals(quieter));
  }

  @Test
  void anotherChipAndCoolerAreAnotherForecast() {
    open();
    told();
    String first = text("begin-answer");
    onFx(() -> box("new-cooler").getSelectionModel().select(CoolerClass.LARGE_LOOP.words()));
    onFx(
        () ->
            box("new-kind")
                .getSelectionModel()
                .select(StartingPoint.DESKTOP_ONE_DIE_SOLDER.words()));
    until("another forecast", 60, () -> !text("begin-answer").equals(first));
    onFx(() -> ((TextField) node("new-title")).requestFocus());
    press(KeyCode.ENTER);
    worked();
    assertThat(model.jobProperty().get().cooler().kind()).isEqualTo(CoolerClass.LARGE_LOOP);
    assertThat(model.jobProperty().get().title()).isEqualTo("New chip");
    // What cools a laptop is built into it.
    press(KeyCode.CONTROL, KeyCode.N);
    onFx(() -> box("new-kind").getSelectionModel().select(StartingPoint.LAPTOP_BARE_DIE.words()));
    assertThat(box("new-cooler").isDisabled()).isTrue();
    press(KeyCode.ESCAPE);
    settle();
    assertThat(stage.getScene().lookup("#begin")).isNull();
  }
}
