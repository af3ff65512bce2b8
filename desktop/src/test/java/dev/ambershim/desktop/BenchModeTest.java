package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.atLeastOnce;
import static org.mockito.Mockito.clearInvocations;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.dosing.Bar;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.plan.Accident;
import dev.ambershim.core.plan.Evidence;
import dev.ambershim.core.plan.Mishap.Harm;
import dev.ambershim.core.plan.Moment;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.PlanStep;
import dev.ambershim.core.plan.Step;
import dev.ambershim.core.plan.StepEntry;
import dev.ambershim.desktop.demo.DemoWorkshop;
import dev.ambershim.desktop.model.Bell;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.logbook.store.Access;
import dev.ambershim.logbook.store.Logbook;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Region;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The demo's jobs, and one under extreme cold, worked through with the keyboard alone. */
class BenchModeTest extends DesktopTest {
  private static final Instant EVENING = Instant.parse("2026-09-05T16:30:00Z");

  private final Bell bell = mock(Bell.class);
  private volatile Moment now = new Moment(EVENING, "boot-1", 5000);
  private Path photo;

  @BeforeEach
  void demo() throws IOException {
    try (Logbook logbook =
        Logbook.open(folder.resolve("logbook"), Access.WRITE, Clock.systemUTC())) {
      DemoWorkshop.fill(logbook);
    }
    photo = folder.resolve("bench.png");
    ImageIO.write(new BufferedImage(64, 48, BufferedImage.TYPE_INT_RGB), "png", photo.toFile());
    when(picker.open(any(), any(), any(String[].class))).thenReturn(List.of(photo));
    clock = () -> now;
  }

  private void start() {
    open();
    onFx(() -> model.workbench().timers().setBell(bell));
  }

  /** A camera that writes into a folder needs no hand: what comes in goes to the step on screen. */
  @Test
  void aPhotoFromAWatchedFolderGoesToTheStep() throws IOException {
    start();
    Path card = Files.createDirectory(folder.resolve("card"));
    Files.copy(photo, card.resolve("old.png"));
    when(picker.folder(any())).thenReturn(Optional.of(card));
    press(KeyCode.F2);
    press(KeyCode.CONTROL, KeyCode.K);
    onFx(() -> ((Button) node("photo-folder-choose")).fire());
    assertThat(text("photo-folder")).isEqualTo(card.toString());
    press(KeyCode.ESCAPE);
    // Photos come one after another; what comes before the first look counts as lying there.
    until(
        "a photo is taken in",
        30,
        () -> {
          comes(card.resolve("new" + System.nanoTime() + ".png"));
          return model.jobProperty().get().work().entries().stream()
              .flatMap(e -> e.photos().stream())
              .anyMatch(p -> p.name().startsWith("new"));
        });
    assertThat(
            model.jobProperty().get().work().entries().stream().flatMap(e -> e.photos().stream()))
        .noneMatch(p -> p.name().equals("old.png"));
    press(KeyCode.CONTROL, KeyCode.K);
    onFx(() -> ((Button) node("photo-folder-stop")).fire());
    assertThat(text("photo-folder")).isEqualTo("No folder is watched.");
  }

  private void comes(Path file) {
    try {
      Files.copy(photo, file);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void pass(double minutes) {
    now =
        new Moment(
            now.wall().plusMillis(Math.round(minutes * 60_000)),
            now.boot(),
            now.upSeconds() + minutes * 60);
  }

  /** A key, and what it brings; without the frames that only a mouse needs. */
  private void tap(KeyCode... keys) {
    hands.push(keys);
    until("it is kept", () -> !model.work().busyProperty().get());
    FxThread.live();
  }

  private void planned() {
    until("the plan is there", () -> model.workbench().outlookProperty().get() != null);
    until("the plan is set", () -> !model.workbench().planning().busyProperty().get());
    FxThread.live();
  }

  private void type(String text) {
    if (text.length() < 4) {
      onFx(() -> ((TextField) node("bench-field")).replaceSelection(text));
    } else {
      hands.write(text);
      until("it is typed", () -> ((TextField) node("bench-field")).getText().endsWith(text));
    }
    tap(KeyCode.ENTER);
  }

  private boolean asked() {
    return stage.getScene().lookup("#bench-field") instanceof TextField f
        && f.getParent().isVisible();
  }

  private String said() {
    Node state = stage.getScene().lookup("#bench-state");
    return state != null && state.isVisible() ? ((Label) state).getText() : "";
  }

  private String rescueWords() {
    StringBuilder all = new StringBuilder();
    node("rescue").lookupAll(".label").forEach(n -> all.append(((Label) n).getText()).append(' '));
    return all.toString();
  }

  private PlanStep step() {
    Plan plan = Plan.of(job().workCase());
    return plan.steps().stream()
        .filter(s -> s.title().equals(text("bench-title")))
        .filter(s -> !job().work().entry(s.id()).done())
        .findFirst()
        .orElseThrow();
  }

  /** Works the step on the bench as a person would, with one key and what it asks for. */
  private PlanStep workIt(KeyCode on) {
    PlanStep step = step();
    pass(step.hands().likely());
    if (said().startsWith("Not yet")) {
      pass(said().contains(" h ") ? 2880 : 60);
    }
    tap(on);
    if (asked()) {
      assertThat(step.hold()).as(step.id() + ": " + said() + " " + job().work().at()).isPresent();
      Evidence evidence = step.hold().orElseThrow().evidence();
      type(evidence == Evidence.TICK ? "LM" : "54.2");
      tap(on);
    } else if (!job().work().entry(step.id()).done()) {
      assertThat(said()).contains("asks for a photo");
      tap(KeyCode.P);
      tap(on);
    }
    assertThat(job().work().entry(step.id()).done()).as(step.id() + ": " + said()).isTrue();
    return step;
  }

  /** Everything is large enough to be read from a metre, and all of it is in sight. */
  private void readable(PlanStep step) {
    for (String id : List.of("bench-title", "bench-action", "bench-caution", "bench-check")) {
      Label label = (Label) node(id);
      if (label.isVisible()) {
        assertThat(label.getFont().getSize())
            .as("%s of %s", id, step.id())
            .isGreaterThanOrEqualTo(28);
      }
    }
    Node up = node("bench-title").getParent().getParent();
    Region words = (Region) up;
    ScrollPane scroll = (ScrollPane) up.getParent().getParent().getParent();
    assertThat(words.getHeight())
        .as("height of %s", step.id())
        .isLessThanOrEqualTo(Math.max(scroll.getViewportBounds().getHeight(), 10) + 0.5);
  }

  private void showsHold(Plan plan) {
    for (PlanStep step : plan.steps()) {
      StepEntry entry = job().work().entry(step.id());
      assertThat(entry.done()).as(step.id()).isTrue();
      step.hold().ifPresent(h -> assertThat(entry.passes(h)).as(step.id()).isTrue());
      for (String earlier : step.after()) {
        assertThat(job().work().entry(earlier).doneAt())
            .as("%s before %s", earlier, step.id())
            .isBeforeOrEqualTo(entry.doneAt());
      }
    }
  }

  @Test
  void sorrelIsWorkedThroughWithARestartAndATimerThatEndsMeanwhile() {
    start();
    tap(KeyCode.F2);
    planned();
    Plan plan = Plan.of(job().workCase());
    assertThat(text("bench-place")).startsWith("Step 1 of " + plan.steps().size());
    // What a hold point asks for is asked for; without it nothing goes on.
    tap(KeyCode.SPACE);
    assertThat(asked()).isTrue();
    tap(KeyCode.ESCAPE);
    assertThat(job().work().done()).isEmpty();

    String last = "";
    while (!last.equals("press")) {
      readable(step());
      last = workIt(KeyCode.SPACE).id();
    }
    assertThat(text("timer-press")).contains("the glue cures").contains("more at least");
    assertThat(model.jobProperty().get().work().running("press")).isPresent();
    // Books what it used: the bottle has lost what the steps took.
    assertThat(job().work().entry("alcohol-die").used())
        .extracting("item")
        .containsExactlyInAnyOrder("brown bottle", "swabs");

    // The machine is switched off for the night; the timer ends meanwhile.
    settle();
    close();
    now = new Moment(now.wall().plusSeconds(13 * 3600), "boot-2", 40);
    start();
    until("the timers are read", () -> !model.workbench().timers().ticking().isEmpty());
    assertThat(text("timer-press")).contains("the usual time is over").contains("wall clock");
    verify(bell, atLeastOnce()).ring();
    clearInvocations(bell);
    tap(KeyCode.F2);
    planned();
    assertThat(text("bench-place")).contains("done");

    // One key puts it away; it stays away.
    tap(KeyCode.T);
    assertThat(said()).contains("Put away");
    for (int i = 0; i < plan.steps().size() && !text("bench-place").startsWith("All"); i++) {
      readable(step());
      workIt(KeyCode.PAGE_DOWN);
    }
    assertThat(text("bench-place")).isEqualTo("All " + plan.steps().size() + " steps are done");
    showsHold(plan);
    tap(KeyCode.F2);
    assertThat(stage.getScene().lookup("#bench")).isNull();
  }

  @Test
  void fennelIsWorkedThroughWithAPedalAPassAMishapAndAWayBack() throws IOException {
    start();
    onFx(
        () ->
            model.open(
                model.jobs().stream()
                    .filter(j -> j.title().startsWith("Fennel"))
                    .findFirst()
                    .orElseThrow()
                    .id()));
    until("Fennel is open", () -> job().title().startsWith("Fennel"));
    tap(KeyCode.F2);
    planned();
    Plan plan = Plan.of(job().workCase());

    // A pedal that sends F13 is picked, by keyboard, and goes on from now on.
    tap(KeyCode.CONTROL, KeyCode.K);
    onFx(() -> node("pick-next").requestFocus());
    tap(KeyCode.SPACE);
    tap(KeyCode.F9);
    tap(KeyCode.ESCAPE);
    assertThat(Labels.plain(((Label) stage.getScene().lookup(".bench-keys")).getText()))
        .startsWith("F9  go on");

    while (!step().id().equals("seat")) {
      workIt(KeyCode.F9);
    }
    // A note, a mishap, and the hold point passed with a reason, all from the keyboard.
    tap(KeyCode.N);
    type("pocket is 0.2 mm wide");
    tap(KeyCode.M);
    tap(KeyCode.DIGIT0);
    type("slider touched the substrate");
    type("2");
    type("look from the side first");
    tap(KeyCode.O);
    tap(KeyCode.ENTER); // no reason, no pass
    assertThat(asked()).isTrue();
    type("clamp of another make");
    StepEntry seat = job().work().entry("seat");
    assertThat(seat.note()).isEqualTo("pocket is 0.2 mm wide");
    assertThat(seat.mishap().harm()).isEqualTo(Harm.MENDED);
    assertThat(seat.mishap().risk()).isEqualTo(Step.OPEN_SOLDER);
    assertThat(seat.overridden()).isEqualTo("clamp of another make");
    tap(KeyCode.F9);
    assertThat(job().work().entry("seat").done()).isTrue();

    // Back, why, open again, undo, and on.
    tap(KeyCode.PAGE_UP);
    assertThat(text("bench-title")).isEqualTo("Seat and clamp the chip");
    assertThat(said()).startsWith("Done.");
    tap(KeyCode.W);
    // Lessons come with the plan that is made anew beside the window's thread.
    until(
        "the lesson is told",
        () ->
            node("bench-why").lookupAll(".bench-detail").stream()
                .map(n -> ((Label) n).getText())
                .anyMatch(
                    t ->
                        t.startsWith(
                            "Last time: slider touched the substrate (mended, Fennel F16")));
    tap(KeyCode.R);
    assertThat(job().work().entry("seat").done()).isFalse();
    tap(KeyCode.CONTROL, KeyCode.Z);
    assertThat(job().work().entry("seat").done()).isTrue();

    // A spill: the way out by letters, and the plan goes on from where that ends.
    while (!step().id().equals("film-look")) {
      workIt(KeyCode.F9);
    }
    tap(KeyCode.M);
    assertThat(text("rescue-head")).isEqualTo("Rescue: what happened?");
    assertThat(node("bench-title").getParent().isVisible()).isFalse();
    tap(KeyCode.E);
    assertThat(text("rescue-head")).endsWith("liquid metal spilled, board without power");
    assertThat(rescueWords())
        .contains("Stop. ", "No power", "picked up")
        .contains("Liquid metal conducts");
    tap(KeyCode.N);
    assertThat(rescueWords()).contains("Leave the board off");
    tap(KeyCode.BACK_SPACE);
    tap(KeyCode.Y);
    tap(KeyCode.N);
    assertThat(rescueWords())
        .contains("Fresh gloves, and go on")
        .contains("Your logbook has no such mishap yet");
    tap(KeyCode.F9);
    assertThat(job().work().entry("film-look").mishap().accident())
        .isEqualTo(Accident.METAL_SPILLED_OFF);
    assertThat(step().id()).isEqualTo("alcohol-die");
    assertThat(job().work().entry("film-die").done()).isFalse();
    assertThat(job().work().entry("plate-clean").done()).isTrue();

    for (int i = 0; i < 2 * plan.steps().size() && !text("bench-place").startsWith("All"); i++) {
      workIt(KeyCode.F9);
    }
    showsHold(plan);
    verify(bell, atLeastOnce()).ring();
    tap(KeyCode.B);
    assertThat(said()).isEqualTo("The bell is muted.");
    tap(KeyCode.F2);

    // The report has the diary with what was passed, and the photos.
    Path report = folder.resolve("fennel.html");
    when(picker.save(any(), any(), any(), any())).thenReturn(Optional.of(report));
    press(KeyCode.CONTROL, KeyCode.P);
    until("the report is written", () -> Files.exists(report));
    settle();
    assertThat(Files.readString(report))
        .contains("passed without its check, because: clamp of another make")
        .contains("Lesson: look from the side first")
        .contains("data:image/png;base64,");
  }

  private void openJob(String title) {
    start();
    onFx(
        () ->
            model.open(
                model.jobs().stream()
                    .filter(j -> j.title().startsWith(title))
                    .findFirst()
                    .orElseThrow()
                    .id()));
    until(title + " is open", () -> job().title().startsWith(title));
  }

  /** Weighs by key, works through all steps by one key, and looks at Prove. */
  private Plan fromWeighToProve() {
    press(KeyCode.CONTROL, KeyCode.DIGIT1);
    weighed();
    if (!job().before().lidOn()) {
      assertThat(text("weigh-answer")).doesNotContain("pen it", "Leave the lid");
    }
    press(KeyCode.CONTROL, KeyCode.DIGIT3);
    until("the plan is told", () -> stage.getScene().lookup("#open-answer") != null);
    tap(KeyCode.F2);
    planned();
    Plan plan = Plan.of(job().workCase());
    for (int i = 0; i < plan.steps().size() && !text("bench-place").startsWith("All"); i++) {
      readable(step());
      workIt(KeyCode.SPACE);
    }
    assertThat(text("bench-place")).isEqualTo("All " + plan.steps().size() + " steps are done");
    showsHold(plan);
    tap(KeyCode.F2);
    press(KeyCode.CONTROL, KeyCode.DIGIT9);
    until("Prove is there", () -> stage.getScene().lookup("#verdict") != null);
    settle();
    return plan;
  }

  @Test
  void aLaptopIsDoneFromWeighToProve() {
    openJob("Moss L6");
    Plan plan = fromWeighToProve();
    assertThat(plan.step("battery-off")).isPresent();
    assertThat(plan.step("pads-print")).isPresent();
    assertThat(text("verdict")).startsWith("Helped by ");
  }

  @Test
  void aCardIsDoneFromWeighToProve() {
    openJob("Tarn G4");
    Plan plan = fromWeighToProve();
    assertThat(plan.step("card-in")).isPresent();
    assertThat(plan.step("film-die")).isPresent();
    assertThat(text("verdict")).startsWith("Helped by ");
  }

  @Test
  void anExtremeColdJobIsDoneFromWeighToProve() throws IOException {
    start();
    press(KeyCode.CONTROL, KeyCode.N);
    ComboBox<?> kind = (ComboBox<?>) node("new-kind");
    onFx(kind::requestFocus);
    for (int i = 0;
        i < List.of(StartingPoint.values()).indexOf(StartingPoint.EXTREME_COLD_SOLDER);
        i++) {
      hands.push(KeyCode.DOWN);
    }
    onFx(() -> node("new-title").requestFocus());
    hands.write("Rime C1");
    press(KeyCode.ENTER);
    assertThat(job().chip().name()).isEqualTo("Rime C1");
    // As it comes the plan is fresh paste: liquid metal would freeze under the pot.
    Job metal = job().withAfter(job().before().withInner(Joint.usual(Filling.LIQUID_METAL)));
    assertThat(metal.workCase().doses().bars()).extracting(Bar::key).contains("dose.frozen");
    Plan plan = fromWeighToProve();
    assertThat(plan.step("insulate")).isPresent();
    assertThat(plan.step("dry-out")).isPresent();
    // Runs far below zero are compared as any others are.
    when(picker.open(any(), any(), any(String[].class)))
        .thenReturn(List.of(coldRun("before.csv", -118)));
    press(KeyCode.CONTROL, KeyCode.O);
    when(picker.open(any(), any(), any(String[].class)))
        .thenReturn(List.of(coldRun("after.csv", -127)));
    press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.O);
    until("it is compared", () -> text("verdict").startsWith("Helped by 9"));
  }

  /** Forty minutes at 240 W under a pot of −180 °C, invented. */
  private Path coldRun(String name, double core) throws IOException {
    Random random = new Random(name.hashCode());
    StringBuilder log = new StringBuilder("time_s,core_0_C,core_1_C,package_W,room_C\n");
    for (int s = 0; s <= 2400; s += 2) {
      double warm = 1 - Math.exp(-s / 120.0);
      log.append(s);
      for (int c = 0; c < 2; c++) {
        log.append(',')
            .append(
                String.format(
                    Locale.ROOT,
                    "%.2f",
                    -180 + (core + 2 * c + 180) * warm + 0.2 * random.nextGaussian()));
      }
      log.append(",240.0,-180.0\n");
    }
    return Files.writeString(folder.resolve(name), log);
  }
}
