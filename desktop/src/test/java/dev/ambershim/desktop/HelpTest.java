package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import dev.ambershim.core.job.Reading;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.desktop.model.Handbook;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import org.junit.jupiter.api.Test;

/** The handbook in the window: the page for the place one is in, its links, its search. */
class HelpTest extends DesktopTest {
  private String title() {
    return ((Text) node("help-text").lookup(".page-title .page-text")).getText();
  }

  @Test
  void everyPlaceHasItsPage() {
    open();
    onFx(() -> create(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4"));
    worked();
    for (Stage at : Stage.values()) {
      onFx(() -> model.stageProperty().set(at));
      press(KeyCode.F1);
      Handbook.Page page =
          Handbook.read().page(at.name().toLowerCase(Locale.ROOT), false).orElseThrow();
      assertThat(title()).isEqualTo(page.title());
      press(KeyCode.F1);
      assertThat(stage.getScene().lookup("#help-text")).isNull();
    }
    press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.S);
    press(KeyCode.F1);
    assertThat(title()).isEqualTo("Which is best?");
    press(KeyCode.ESCAPE);
    press(KeyCode.CONTROL, KeyCode.L);
    press(KeyCode.F1);
    assertThat(title()).containsIgnoringCase("logbook");
    onFx(() -> ((Button) node("help-keys")).fire());
    assertThat(node("key-map").isVisible()).isTrue();
  }

  @Test
  void itIsSearchedAndItsLinksLead() throws IOException {
    open();
    press(KeyCode.F1);
    assertThat(title()).isEqualTo("Handbook");
    Hyperlink link =
        (Hyperlink)
            node("help-text").lookupAll(".hyperlink").stream()
                .filter(n -> ((Hyperlink) n).getText().equals("Keep"))
                .findFirst()
                .orElseThrow();
    onFx(link::fire);
    assertThat(title()).isEqualTo("10 Keep");
    onFx(() -> ((TextField) node("help-search")).setText("studentized range"));
    ListView<?> found = (ListView<?>) node("help-list");
    assertThat(found.getItems()).hasSize(1);
    onFx(() -> node("help-search").requestFocus());
    press(KeyCode.ENTER);
    assertThat(title()).isEqualTo("Which is best?");
    Path target = folder.resolve("report.txt");
    when(picker.save(any(), any(), any(), any())).thenReturn(Optional.of(target));
    onFx(() -> ((Button) node("help-wrong")).fire());
    worked();
    assertThat(Files.readString(target)).startsWith("Amber Shim ").contains("os.name: ");
    onFx(() -> ((TextField) node("help-search")).setText("zebra unicorn"));
    assertThat(found.getItems()).isEmpty();
  }

  @Test
  void whereAJobStandsIsOneKeyAway() {
    open();
    press(KeyCode.CONTROL, KeyCode.K);
    assertThat(stage.getScene().lookup("#where")).isNull();
    onFx(() -> create(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4"));
    worked();
    press(KeyCode.CONTROL, KeyCode.K);
    until("it is told", () -> stage.getScene().lookup("#where-9") != null);
    onFx(() -> ((Button) node("where-9")).fire());
    assertThat(model.stageProperty().get()).isEqualTo(Stage.PROVE);
    assertThat(stage.getScene().lookup("#where")).isNull();
  }

  /** From the first card to the last by Enter alone, on the example. */
  @Test
  void theTourIsWalkedByKeyboard() {
    open();
    press(KeyCode.CONTROL, KeyCode.F1);
    worked();
    assertThat(text("tour-place")).isEqualTo("1 of 7");
    for (int card = 2; card <= 7; card++) {
      press(KeyCode.ENTER);
      settle();
      assertThat(text("tour-place")).isEqualTo(card + " of 7");
    }
    press(KeyCode.LEFT);
    settle();
    assertThat(text("tour-place")).isEqualTo("6 of 7");
    assertThat(model.stageProperty().get()).isEqualTo(Stage.BASELINE);
    press(KeyCode.ENTER);
    press(KeyCode.ENTER);
    settle();
    assertThat(stage.getScene().lookup("#tour")).isNull();
    press(KeyCode.CONTROL, KeyCode.F1);
    press(KeyCode.ESCAPE);
    settle();
    assertThat(stage.getScene().lookup("#tour")).isNull();
  }

  /** A message about something that went wrong leads to what can be done about it. */
  @Test
  void aProblemLeadsToItsPage() throws IOException {
    open();
    onFx(() -> create(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4"));
    worked();
    assertThat(node("message-help").isVisible()).isFalse();
    Path odd = Files.writeString(folder.resolve("odd.csv"), "nothing,to\nread,here\n");
    onFx(() -> model.runs().add(List.of(odd), Side.BEFORE));
    worked();
    assertThat(text("message")).contains("odd.csv");
    assertThat(node("message-help").isVisible()).isTrue();
    onFx(() -> ((Hyperlink) node("message-help")).fire());
    assertThat(title()).isEqualTo("2 Baseline");
    press(KeyCode.ESCAPE);
    onFx(() -> model.say("All is well."));
    assertThat(node("message-help").isVisible()).isFalse();
  }

  /** Hints say what a stage asks for, go when that is there, and can be put away for good. */
  @Test
  void hintsGoWhenTheyAreDoneOrNotWanted() {
    open();
    onFx(() -> create(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4"));
    worked();
    onFx(() -> model.stageProperty().set(Stage.WEIGH));
    until("Weigh asks", 30, () -> text("stage-hint").contains("a run or a reading of this chip"));
    onFx(
        () ->
            model.edit(
                "a reading",
                job -> job.withReadings(List.of(Reading.plain("typed", 150, 85, 22)))));
    worked();
    until("it has one", 30, () -> text("stage-hint").isEmpty());
    onFx(() -> model.stageProperty().set(Stage.BASELINE));
    until("Baseline asks", 30, () -> text("stage-hint").startsWith("Next here: Conduct a run"));
    onFx(() -> ((Button) node("hide-hints")).fire());
    onFx(() -> model.stageProperty().set(Stage.KEEP));
    worked();
    assertThat(text("stage-hint")).isEmpty();
    assertThat(node("hide-hints").getParent().getParent().isVisible()).isFalse();
  }
}
