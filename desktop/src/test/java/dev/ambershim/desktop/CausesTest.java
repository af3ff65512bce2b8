package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.job.Side;
import dev.ambershim.core.runs.causes.Sign;
import dev.ambershim.desktop.demo.DemoWorkshop;
import dev.ambershim.logbook.store.Access;
import dev.ambershim.logbook.store.JobHead;
import dev.ambershim.logbook.store.Logbook;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** Why is it hot, asked and answered in the window; and a round of practice. */
class CausesTest extends DesktopTest {
  private void aJob() {
    open();
    press(KeyCode.CONTROL, KeyCode.N);
    hands.clickOn(node("new-title"));
    hands.write("Sedge Q4");
    press(KeyCode.ENTER);
    weighed();
  }

  private void asked() {
    until("causes are looked for", 180, () -> !model.inquiry().busyProperty().get());
    settle();
  }

  private String answer() {
    asked();
    return text("diagnosis-answer");
  }

  /** Loads one core after another on a rig that has a fault; each key by keyboard. */
  private void oneByOne(String fault) {
    @SuppressWarnings("unchecked")
    ComboBox<String> faults = (ComboBox<String>) node("diagnosis-fault");
    onFx(() -> faults.setValue(fault));
    onFx(() -> node("one-by-one-rig").requestFocus());
    press(KeyCode.SPACE);
    until(
        "every core was loaded",
        180,
        () -> !job().evidence().readings().isEmpty() && !model.inquiry().busyProperty().get());
    settle();
  }

  @Test
  void aFaultyRigIsDiagnosedByKeyboard() {
    aJob();
    press(KeyCode.CONTROL, KeyCode.DIGIT2);
    press(KeyCode.CONTROL, KeyCode.D);
    assertThat(answer()).startsWith("No reading before the work tells the cores one by one yet.");
    oneByOne("film void");
    assertThat(answer()).startsWith("The inner joint has a gap");
    assertThat(node("diagnosis-joint-maps")).isNotNull();
    assertThat(node("diagnosis-fault")).isNotNull();
    // Undo takes the readings back, and the answer with them.
    press(KeyCode.CONTROL, KeyCode.Z);
    assertThat(answer()).startsWith("No reading");
    oneByOne("dry paste");
    assertThat(answer()).startsWith("The inner joint is too thick or has dried out");
    press(KeyCode.CONTROL, KeyCode.W);
    assertThat(text("show-working")).contains("How was this worked out?");
    press(KeyCode.CONTROL, KeyCode.D);
    assertThat(stage.getScene().lookup("#baseline-answer")).isNotNull();
  }

  @Test
  void aCrookedPatternIsNoReasonToOpenTheChip() {
    aJob();
    press(KeyCode.CONTROL, KeyCode.DIGIT2);
    press(KeyCode.CONTROL, KeyCode.D);
    fill("reading-watts", "140");
    fill("reading-room", "22");
    fill("reading-coolant", "");
    for (String wrong : List.of("hot", "90 91", "900 97 94 91 89 86 83 80")) {
      fill("reading-cores", wrong);
      assertThat(job().evidence().readings()).as(wrong).isEmpty();
    }
    fill("reading-lid", "61");
    fill("reading-cores", "100 97 94 91 89 86 83 80");
    asked();
    assertThat(job().evidence().readings()).hasSize(1);
    assertThat(job().evidence().readings().get(0).lidCelsius()).isEqualTo(61);
    assertThat(text("diagnosis-answer")).contains("joint is tilted, thicker towards the back");
    press(KeyCode.CONTROL, KeyCode.DIGIT1);
    worked();
    asked();
    worked();
    assertThat(text("weigh-answer"))
        .startsWith("Find the cause first: a tilted outer joint may make it hot");
    press(KeyCode.CONTROL, KeyCode.DIGIT2);
    asked();
    assertThat(stage.getScene().lookup("#baseline-answer").getParent().lookupAll(".reason"))
        .extracting(n -> ((javafx.scene.control.Label) n).getText())
        .anyMatch(t -> t.startsWith("A tilted outer joint may make it hot"));
  }

  @Test
  void whatWasNoticedIsKeptAndCounts() {
    aJob();
    press(KeyCode.CONTROL, KeyCode.DIGIT2);
    press(KeyCode.CONTROL, KeyCode.D);
    onFx(() -> node("sign-pump-silent").requestFocus());
    press(KeyCode.SPACE);
    assertThat(job().evidence().signs(Side.BEFORE)).containsExactly(Sign.PUMP_SILENT);
    press(KeyCode.CONTROL, KeyCode.Z);
    assertThat(job().evidence().signs(Side.BEFORE)).isEmpty();
    assertThat(((CheckBox) node("sign-pump-silent")).isSelected()).isFalse();
  }

  /** What is read for one job must never land in another that was opened meanwhile. */
  @Test
  void anotherJobEndsOneCoreAfterAnother() {
    aJob();
    String first = model.storedProperty().get().id();
    press(KeyCode.CONTROL, KeyCode.DIGIT2);
    press(KeyCode.CONTROL, KeyCode.D);
    onFx(() -> node("one-by-one-rig").requestFocus());
    press(KeyCode.SPACE);
    until("a core is under load", () -> text("diagnosis-status").startsWith("Core 0 alone"));
    press(KeyCode.CONTROL, KeyCode.N);
    hands.clickOn(node("new-title"));
    hands.write("Moor K2");
    press(KeyCode.ENTER);
    asked();
    assertThat(model.storedProperty().get().id()).isNotEqualTo(first);
    assertThat(job().evidence().readings()).isEmpty();
    onFx(() -> model.open(first));
    settle();
    assertThat(job().evidence().readings()).isEmpty();
  }

  @Test
  void bothDemoJobsAreSound() {
    List<JobHead> heads = new ArrayList<>();
    try (Logbook book = Logbook.open(folder.resolve("logbook"), Access.WRITE, Clock.systemUTC())) {
      DemoWorkshop.fill(book);
      heads.addAll(book.list());
    }
    open();
    for (String title : List.of("Sorrel", "Fennel")) {
      JobHead head =
          heads.stream().filter(h -> h.title().startsWith(title)).findFirst().orElseThrow();
      onFx(() -> model.open(head.id()));
      worked();
      press(KeyCode.CONTROL, KeyCode.DIGIT9);
      press(KeyCode.CONTROL, KeyCode.D);
      assertThat(answer()).as(title).startsWith("Probably all is as it should be");
      press(KeyCode.CONTROL, KeyCode.D);
    }
  }

  @Test
  void aRoundIsPlayedToItsEnd() {
    open();
    press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.D);
    onFx(() -> node("practise-begin").requestFocus());
    press(KeyCode.SPACE);
    asked();
    assertThat(text("practise-answer")).contains("You have 60 minutes for tests.");
    onFx(() -> node("practise-ONE_BY_ONE").requestFocus());
    press(KeyCode.SPACE);
    asked();
    assertThat(text("practise-answer")).doesNotContain("60 minutes");
    assertThat(node("practise-ONE_BY_ONE").isDisabled()).isTrue();
    onFx(() -> node("practise-advise").requestFocus());
    press(KeyCode.SPACE);
    asked();
    assertThat(node("practise").lookupAll(".label"))
        .extracting(n -> ((javafx.scene.control.Label) n).getText())
        .anyMatch(t -> t.startsWith("Advice: "));
    onFx(() -> node("practise-name").requestFocus());
    press(KeyCode.SPACE);
    asked();
    assertThat(text("practise-answer")).matches("(Found|It was something else): .*");
    assertThat(node("practise-record").lookupAll(".label"))
        .extracting(n -> ((javafx.scene.control.Label) n).getText())
        .anyMatch(t -> t.startsWith("Your score over 1 round is"));
    click("practise-lay");
    click("practise-drop-RIGHT");
    assertThat(text("practise-drop-told")).matches("(Right|No): this drop is .*");
    click("practise-ask");
    asked();
    click("practise-step-0");
    assertThat(text("practise-step-told")).isNotEmpty();
    // The record is the logbook's: it is there again in the next window.
    close();
    open();
    press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.D);
    settle();
    assertThat(node("practise-record").lookupAll(".label"))
        .extracting(n -> ((javafx.scene.control.Label) n).getText())
        .anyMatch(t -> t.startsWith("Your score over 1 round is"));
  }
}
