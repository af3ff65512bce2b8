package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.atLeastOnce;
import static org.mockito.Mockito.clearInvocations;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.plan.Moment;
import dev.ambershim.core.plan.Span;
import dev.ambershim.core.plan.StepTimer;
import dev.ambershim.desktop.model.Bell;
import dev.ambershim.desktop.model.Ticking;
import dev.ambershim.logbook.store.Access;
import dev.ambershim.logbook.store.Logbook;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import javafx.scene.control.Button;
import javafx.scene.image.WritableImage;
import javafx.scene.input.Clipboard;
import javafx.scene.input.DataFormat;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** Timers of two jobs on one shelf, in every stage; and photos that are pasted. */
class TimersTest extends DesktopTest {
  private static final Instant NOON = Instant.parse("2026-06-15T12:00:00Z");

  private final Bell bell = mock(Bell.class);
  private volatile Moment now = new Moment(NOON, "boot", 10_000);

  private static Job timed(String title, String step, String what, Moment begun, Span span) {
    Job job = Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, title);
    return job.withWork(job.work().withTimer(new StepTimer(step, what, begun, span, null)));
  }

  private void pass(double minutes) {
    now =
        new Moment(
            now.wall().plusMillis(Math.round(minutes * 60_000)),
            now.boot(),
            now.upSeconds() + minutes * 60);
  }

  private void start() {
    clock = () -> now;
    open();
    onFx(() -> model.workbench().timers().setBell(bell));
  }

  private void ticked(String id, String words) {
    until(
        id + " says " + words,
        () ->
            stage.getScene().lookup("#timer-" + id) instanceof Button b
                && b.getText().contains(words));
  }

  @Test
  void theTimersOfAllJobsStandOnTheShelfAndRing() {
    try (Logbook logbook =
        Logbook.open(folder.resolve("logbook"), Access.WRITE, Clock.systemUTC())) {
      logbook.create(timed("Sedge Q4", "cover", "first coat dries", now, new Span(10, 15, 30)));
      String id =
          logbook
              .create(timed("Reed T2", "press", "the glue cures", now, new Span(30, 720, 1440)))
              .id();
      logbook.keepSetting("lastJob", id);
    }
    start();
    assertThat(model.jobProperty().get().title()).isEqualTo("Reed T2");
    ticked("cover", "10:00 more at least");
    ticked("press", "30:00 more at least");
    verify(bell, never()).ring();
    // In every stage.
    for (KeyCode digit : List.of(KeyCode.DIGIT1, KeyCode.DIGIT4, KeyCode.DIGIT9)) {
      press(KeyCode.CONTROL, digit);
      assertThat(stage.getScene().lookup("#timer-cover")).isNotNull();
    }

    pass(10.5);
    ticked("cover", "the least is over");
    verify(bell, atLeastOnce()).ring();
    assertThat(text("message")).startsWith("Sedge Q4: first coat dries");
    clearInvocations(bell);
    pass(5);
    ticked("cover", "the usual time is over");
    verify(bell, atLeastOnce()).ring();
    clearInvocations(bell);
    // It rings again while nobody comes.
    pass(1.5);
    until(
        "it rings again",
        () -> !org.mockito.Mockito.mockingDetails(bell).getInvocations().isEmpty());

    // Muted, it stays silent; the setting is remembered.
    onFx(() -> model.workbench().timers().mute(true));
    settle();
    clearInvocations(bell);
    pass(16);
    ticked("cover", "the safe time is over");
    verify(bell, never()).ring();

    // Put away, though its job is not the one on screen; and for good.
    click("timer-cover");
    until("it is away", () -> stage.getScene().lookup("#timer-cover") == null);
    close();
    start();
    ticked("press", "the least is over");
    assertThat(stage.getScene().lookup("#timer-cover")).isNull();
    assertThat(model.workbench().timers().mutedProperty().get()).isTrue();
    List<Ticking> left = List.copyOf(model.workbench().timers().ticking());
    assertThat(left).hasSize(1);
    assertThat(left.get(0).sure()).isTrue();
    // Another start of the machine: only the wall clock is left, and it says so.
    now = new Moment(now.wall().plusSeconds(60), "boot-2", 5);
    ticked("press", "(by the wall clock)");
  }

  @Test
  void aPhotoIsPastedAtTheBenchAndABadOneRefused() throws IOException {
    start();
    onFx(() -> create(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4"));
    settle();
    press(KeyCode.F2);
    onFx(
        () ->
            Clipboard.getSystemClipboard()
                .setContent(Map.of(DataFormat.IMAGE, new WritableImage(30, 20))));
    press(KeyCode.CONTROL, KeyCode.V);
    until(
        "the photo is kept",
        () -> !model.jobProperty().get().work().entry("proof-first").photos().isEmpty());
    settle();
    assertThat(text("bench-state")).isEqualTo("Photo kept: pasted.png.");
    String hash = model.jobProperty().get().work().entry("proof-first").photos().get(0).sha256();
    assertThat(node("photo-" + hash.substring(0, 8))).isNotNull();

    // A file that is no photo is refused by name, and nothing is attached.
    Path log = Files.writeString(folder.resolve("notes.png"), "no picture");
    when(picker.open(any(), any(), any(String[].class))).thenReturn(List.of(log));
    press(KeyCode.P);
    settle();
    assertThat(text("bench-state")).contains("notes.png").contains("neither PNG nor JPEG");
    assertThat(model.jobProperty().get().work().entry("proof-first").photos()).hasSize(1);
    // Undo takes the photo off again.
    press(KeyCode.CONTROL, KeyCode.Z);
    assertThat(model.jobProperty().get().work().entry("proof-first").photos()).isEmpty();
  }
}
