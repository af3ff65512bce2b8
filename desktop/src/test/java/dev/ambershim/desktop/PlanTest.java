package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.plan.Moment;
import dev.ambershim.core.plan.OptionKind;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.Supply;
import dev.ambershim.core.plan.Way;
import dev.ambershim.desktop.model.Outlook;
import dev.ambershim.desktop.widget.PictureView;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.DayOfWeek;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.event.EventType;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.VBox;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Open and Clean at the real window: the plan in time, ways, hours, kit, flaws. */
class PlanTest extends DesktopTest {
  private static final Instant NOON = Instant.parse("2026-06-15T12:00:00Z");

  @BeforeEach
  void begin() {
    clock = () -> new Moment(NOON, "boot", 100);
    open();
    onFx(() -> create(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4"));
    settle();
    press(KeyCode.CONTROL, KeyCode.DIGIT3);
    planned();
  }

  private void planned() {
    until(
        "the plan is of this job",
        () -> {
          Outlook now = model.workbench().outlookProperty().get();
          return now != null
              && now.job().equals(model.jobProperty().get())
              && !model.workbench().planning().busyProperty().get();
        });
    settle();
  }

  private Outlook outlook() {
    return model.workbench().outlookProperty().get();
  }

  private Plan plan() {
    return Plan.of(model.jobProperty().get().workCase());
  }

  @SuppressWarnings("unchecked")
  private void take(Way way) {
    onFx(
        () -> {
          ComboBox<String> box =
              (ComboBox<String>) node("way-" + way.school().name().toLowerCase(Locale.ROOT));
          box.requestFocus();
          box.setValue(way.words());
          node("section").requestFocus();
        });
    planned();
  }

  private void set(String id, String text) {
    onFx(
        () -> {
          TextField field = (TextField) node(id);
          field.requestFocus();
          field.setText(text);
          field.getOnAction().handle(null);
        });
    planned();
  }

  @Test
  void thePlanFollowsWaysHoursAndEnds() throws IOException {
    assertThat(text("open-answer")).startsWith("Begin now and finish on ");
    assertThat(((PictureView) node("open-hours")).picture().description())
        .startsWith("Schedule of " + plan().steps().size() + " steps");
    ListView<?> list = (ListView<?>) node("open-steps");
    assertThat(list.getItems()).hasSize(plan().steps().size());

    // Another way, another plan; the weighing's terms go with it.
    take(Way.BLADE);
    assertThat(plan().step("cut")).isPresent();
    assertThat(model.jobProperty().get().terms().blade()).isTrue();
    take(Way.SEAL_AROUND);
    take(Way.NO_COVER);
    assertThat(plan().step("cover")).isEmpty();
    press(KeyCode.CONTROL, KeyCode.Z);
    planned();
    assertThat(plan().step("cover")).isPresent();
    assertThat(model.jobProperty().get().work().ways().takes(Way.SEAL_AROUND)).isTrue();

    // Hours that leave no time are refused in words; others move the work.
    set("hours-from", "19:00");
    set("hours-to", "18:00");
    assertThat(text("hours-wrong")).contains("leave no time");
    set("hours-to", "22:00");
    assertThat(model.jobProperty().get().work().hours().from()).isEqualTo("19:00");
    onFx(() -> model.looks().firstDay(DayOfWeek.SUNDAY));
    assertThat(node("day-1").getParent().getChildrenUnmodifiable().indexOf(node("day-7")))
        .isLessThan(node("day-1").getParent().getChildrenUnmodifiable().indexOf(node("day-1")));
    onFx(() -> ((ToggleButton) node("day-1")).fire());
    planned();
    assertThat(text("open-answer")).startsWith("Begin on Tue 16 June, 19:00");
    set("done-by", "2026-06-30 21:00");
    assertThat(text("open-answer")).startsWith("Begin by ").contains("to be done by Tue 30 June");
    set("done-by", "tomorrow");
    assertThat(text("hours-wrong")).contains("\"tomorrow\" is no time");
    set("done-by", "2026-06-16 20:00");
    assertThat(text("open-answer")).startsWith("It cannot be done by Tue 16 June, 20:00");
    set("done-by", "");
    set("hours-from", "19:00");
    set("hours-to", "19:20");
    assertThat(text("open-answer")).contains("Widen the hours");
    set("hours-to", "22:00");

    // Out as a calendar and as a card.
    Path ics = folder.resolve("w.ics");
    Path card = folder.resolve("card.pdf");
    when(picker.save(any(), any(), any(), any())).thenReturn(Optional.of(ics));
    click("write-calendar");
    until("the calendar is written", () -> Files.exists(ics));
    when(picker.save(any(), any(), any(), any())).thenReturn(Optional.of(card));
    click("write-card");
    until("the card is written", () -> Files.exists(card));
    settle();
    assertThat(Files.readString(ics)).startsWith("BEGIN:VCALENDAR").contains("Sedge Q4");
    assertThat(new String(Files.readAllBytes(card), 0, 5, StandardCharsets.US_ASCII))
        .isEqualTo("%PDF-");

    // What Weigh plans is what is planned here.
    onFx(() -> model.workbench().edit("plan", log -> log.planning(OptionKind.METAL_LAPPED)));
    planned();
    assertThat(plan().step("lap-lid")).isPresent();
  }

  @Test
  void theKitIsStockedAndEmptiedByTheSteps() {
    assertThat(text("kit-sentence")).contains("have to be bought");
    // Typed wrongly first.
    onFx(
        () -> {
          @SuppressWarnings("unchecked")
          ComboBox<String> supply = (ComboBox<String>) node("pack-supply");
          supply.requestFocus();
          supply.setValue(Supply.ALCOHOL.words());
          node("section").requestFocus();
        });
    settle();
    assertThat(((TextField) node("pack-name")).getText()).isEqualTo(Supply.ALCOHOL.words());
    onFx(
        () -> {
          ((TextField) node("pack-amount")).setText("none");
          ((Button) node("add-pack")).fire();
        });
    settle();
    assertThat(text("pack-wrong")).contains("\"none\" is not a number");
    onFx(
        () -> {
          ((TextField) node("pack-name")).setText("bottle");
          ((TextField) node("pack-amount")).setText("12");
          ((TextField) node("pack-until")).setText("2026-06-14");
          ((TextField) node("pack-lot")).setText("K 07");
          ((Button) node("add-pack")).fire();
        });
    planned();
    until("it is on the shelf", () -> outlook().shelf().size() == 1);
    settle();
    assertThat(outlook().shelf().get(0).lot()).isEqualTo("K 07");
    assertThat(outlook().shelf().get(0).bought()).isNotNull();
    onFx(() -> ((Button) node("open-pack-0")).fire());
    until("it is open", () -> outlook().shelf().get(0).opened() != null);
    settle();
    // Past its date, it does not count.
    assertThat(
            outlook().kit().lines().stream()
                .filter(l -> l.supply() == Supply.ALCOHOL)
                .findFirst()
                .orElseThrow()
                .gone())
        .isEqualTo(12);
    onFx(() -> ((Button) node("stock-missing")).fire());
    until("all is there", () -> outlook().kit().shopping().isEmpty());
    settle();
    assertThat(text("kit-sentence")).contains("are on the shelf");
    onFx(() -> ((Button) node("remove-pack-0")).fire());
    until(
        "it is off the shelf",
        () -> outlook().shelf().stream().noneMatch(i -> i.name().equals("bottle")));
  }

  @Test
  void flawsAreNotedAndJudged() {
    press(KeyCode.CONTROL, KeyCode.DIGIT4);
    planned();
    assertThat(text("clean-answer")).startsWith("Not looked at yet");
    note("die", "crack", true, "by the mark");
    note("cold plate", "stain", false, "");
    assertThat(text("clean-answer"))
        .startsWith("Not fit to be used again: crack, die (by the mark)");
    assertThat(((PictureView) node("clean-faces")).picture().description())
        .contains("die: do not use it")
        .contains("cold plate: use it");
    click("remove-flaw-0");
    assertThat(text("clean-answer")).startsWith("Fit to be used again");
    press(KeyCode.CONTROL, KeyCode.Z);
    assertThat(model.jobProperty().get().work().flaws()).hasSize(2);
    // The section shows the chip as it lies on the bench once a step is done.
    onFx(() -> model.workbench().edit("steps", log -> log.done("cooler-off", NOON, List.of())));
    planned();
    assertThat(((PictureView) node("section")).picture().description())
        .contains("on the bench: cooler off, lid on");
    assertThat(((VBox) node("clean-flaws")).getChildren()).hasSize(2);
  }

  @SuppressWarnings("unchecked")
  private void note(String face, String kind, boolean deep, String place) {
    onFx(
        () -> {
          ((ComboBox<String>) node("flaw-face")).setValue(face);
          ((ComboBox<String>) node("flaw-kind")).setValue(kind);
          ((CheckBox) node("flaw-deep")).setSelected(deep);
          ((TextField) node("flaw-place")).setText(place);
          ((Button) node("add-flaw")).fire();
        });
    planned();
  }

  @Test
  void aKeyThatIsHeldDownTakesOneStepOnly() {
    press(KeyCode.F2);
    String first = text("bench-title");
    onFx(
        () -> {
          for (int i = 0; i < 6; i++) {
            key(KeyEvent.KEY_PRESSED, KeyCode.N);
          }
          key(KeyEvent.KEY_RELEASED, KeyCode.N);
        });
    assertThat(((Label) node("bench-prompt")).getText()).isEqualTo("Note");
    press(KeyCode.ESCAPE);
    // The kit comes early and asks for initials; the tool's steps ask too, so look at one without.
    onFx(
        () ->
            model
                .workbench()
                .edit(
                    "jump",
                    log ->
                        Arrays.asList("proof-first", "kit", "power-off").stream()
                            .reduce(
                                log,
                                (l, id) -> l.done(id, NOON.minusSeconds(9000), List.of()),
                                (a, b) -> b)
                            .goingTo("cooler-off", NOON)));
    settle();
    assertThat(text("bench-title")).isEqualTo("Take the cooler off").isNotEqualTo(first);
    onFx(
        () -> {
          for (int i = 0; i < 6; i++) {
            key(KeyEvent.KEY_PRESSED, KeyCode.SPACE);
          }
          key(KeyEvent.KEY_RELEASED, KeyCode.SPACE);
        });
    settle();
    assertThat(model.jobProperty().get().work().done()).hasSize(4);
  }

  private void key(EventType<KeyEvent> type, KeyCode code) {
    stage
        .getScene()
        .getFocusOwner()
        .fireEvent(new KeyEvent(type, "", "", code, false, false, false, false));
  }
}
