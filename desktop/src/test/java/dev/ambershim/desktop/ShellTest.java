package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.when;

import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.assembly.Cooler;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.assembly.Part;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.picture.Mark;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.desktop.frame.FrameView;
import dev.ambershim.desktop.model.Message;
import dev.ambershim.desktop.model.Theme;
import dev.ambershim.desktop.model.Traffic;
import dev.ambershim.desktop.widget.PictureView;
import dev.ambershim.logbook.report.Printers;
import dev.ambershim.logbook.store.Access;
import dev.ambershim.logbook.store.Logbook;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import org.junit.jupiter.api.Test;

/** The frame: keys, stages, section, figures, units, themes, jobs, and what goes wrong. */
class ShellTest extends DesktopTest {
  private void openWithJob() {
    open();
    onFx(() -> create(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4"));
    settle();
  }

  @Test
  void anEmptyLogbookTeaches() {
    open();
    until("it forecasts", 60, () -> text("begin-answer").contains("in eight cases"));
    assertThat(node("empty-example").isVisible()).isTrue();
    press(KeyCode.CONTROL, KeyCode.Z);
    press(KeyCode.CONTROL, KeyCode.P);
    assertThat(model.jobProperty().get()).isNull();
  }

  @Test
  void everyStageHasItsKeyAndItsQuestion() {
    openWithJob();
    KeyCode[] digits = {
      KeyCode.DIGIT1, KeyCode.DIGIT2, KeyCode.DIGIT3, KeyCode.DIGIT4, KeyCode.DIGIT5,
      KeyCode.DIGIT6, KeyCode.DIGIT7, KeyCode.DIGIT8, KeyCode.DIGIT9, KeyCode.DIGIT0
    };
    for (Stage stageOfWork : Stage.values()) {
      press(KeyCode.CONTROL, digits[stageOfWork.number() - 1]);
      assertThat(model.stageProperty().get()).isEqualTo(stageOfWork);
      assertThat(
              stage.getScene().getRoot().lookupAll(".question").stream()
                  .map(n -> ((Labeled) n).getText()))
          .contains(stageOfWork.question());
    }
    click("stage-lap");
    assertThat(model.stageProperty().get()).isEqualTo(Stage.LAP);
  }

  @Test
  void theKeyMapComesAndGoesByOneKey() {
    openWithJob();
    press(KeyCode.SHIFT, KeyCode.F1);
    assertThat(node("key-map").isVisible()).isTrue();
    press(KeyCode.SHIFT, KeyCode.F1);
    assertThat(stage.getScene().lookup("#key-map")).isNull();
    press(KeyCode.SHIFT, KeyCode.F1);
    press(KeyCode.ESCAPE);
    assertThat(stage.getScene().lookup("#key-map")).isNull();
  }

  @Test
  void aFigureIsEditedUndoneAndRefused() {
    openWithJob();
    click("part-inner-joint");
    String id = "field-before-inner-bondLineMicrometres";
    weighed();
    String was = text("weigh-picked");
    fill(id, "120");
    assertThat(model.jobProperty().get().before().inner().bondLineMicrometres()).isEqualTo(120);
    weighed();
    assertThat(text("weigh-picked")).isNotEqualTo(was);
    fill(id, "0.04");
    assertThat(node(id).getStyleClass()).contains("wrong");
    assertThat(hints()).anyMatch(h -> h.contains("looks like millimetres"));
    fill(id, "forty");
    assertThat(hints()).anyMatch(h -> h.contains("\"forty\" is not a number"));
    assertThat(model.jobProperty().get().before().inner().bondLineMicrometres()).isEqualTo(120);
    hands.clickOn(node(id));
    press(KeyCode.ESCAPE);
    assertThat(((TextField) node(id)).getText()).isEqualTo("120");
    onFx(() -> node("section").requestFocus());
    press(KeyCode.CONTROL, KeyCode.Z);
    weighed();
    assertThat(text("weigh-picked")).isEqualTo(was);
    assertThat(((TextField) node(id)).getText()).isEqualTo("70");
  }

  private List<String> hints() {
    return stage.getScene().getRoot().lookupAll(".hint").stream()
        .map(n -> ((Labeled) n).getText())
        .toList();
  }

  @Test
  void anotherFillingChangesTheSection() {
    openWithJob();
    weighed();
    press(KeyCode.CONTROL, KeyCode.B);
    click("part-outer-joint");
    ComboBox<?> box = (ComboBox<?>) node("choice-after-outer");
    onFx(box::requestFocus);
    for (int i = 0; i < List.of(Filling.values()).indexOf(Filling.LIQUID_METAL); i++) {
      hands.push(KeyCode.DOWN);
    }
    assertThat(model.jobProperty().get().after().outer().filling()).isEqualTo(Filling.PASTE);
    press(KeyCode.ENTER);
    assertThat(model.jobProperty().get().after().outer().filling()).isEqualTo(Filling.LIQUID_METAL);
    assertThat(section().picture().description()).contains("liquid metal of 40 µm under the cold");
    press(KeyCode.CONTROL, KeyCode.B);
    assertThat(model.sideProperty().get()).isEqualTo(Side.BEFORE);
    assertThat(section().picture().description()).contains("paste of 50 µm under the cold plate");
  }

  private PictureView section() {
    return (PictureView) node("section");
  }

  @Test
  void aLayerIsPickedInTheSectionWithTheMouse() {
    openWithJob();
    hands.clickOn(
        stage,
        () -> {
          Mark.Box die = box(section(), Part.DIE);
          return section().localToScreen(die.x() + die.width() / 2, die.y() + die.height() / 2);
        });
    settle();
    assertThat(model.partProperty().get()).isEqualTo(Part.DIE);
    assertThat(node("field-chip-dies-0-heightMicrometres").isVisible()).isTrue();
  }

  @Test
  void aFigureThatFewCanMeasureMayStayEmpty() {
    openWithJob();
    model.edit(
        "cooler",
        job -> job.withCooler(CoolerClass.LARGE_LOOP.usual("my loop", Cooler.USUAL_REACH)));
    settle();
    click("part-cold-plate");
    TextField flow = (TextField) node("field-cooler-flowLitresPerHour");
    assertThat(flow.getText()).isEmpty();
    assertThat(flow.getPromptText()).isEqualTo("not known");
    fill("field-cooler-flowLitresPerHour", "120,5");
    assertThat(model.jobProperty().get().cooler().flowLitresPerHour()).isEqualTo(120.5);
    fill("field-cooler-flowLitresPerHour", " ");
    assertThat(model.jobProperty().get().cooler().flowLitresPerHour()).isNull();
    fill("field-cooler-thicknessMillimetres", " ");
    assertThat(node("field-cooler-thicknessMillimetres").getStyleClass()).contains("wrong");
  }

  @Test
  void unitsAreTheOnesThatThePersonWants() {
    openWithJob();
    click("part-lid");
    press(KeyCode.CONTROL, KeyCode.U);
    click("set-inches");
    click("set-decimal-comma");
    press(KeyCode.ESCAPE);
    TextField box = (TextField) node("field-chip-lid-thicknessMillimetres");
    assertThat(box.getText()).startsWith("0,0905");
    weighed();
    assertThat(text("weigh-picked")).contains(",").contains("K");
    fill("field-chip-lid-thicknessMillimetres", "0,1");
    assertThat(model.jobProperty().get().chip().lid().thicknessMillimetres()).isEqualTo(2.54);
    close();
    open();
    assertThat(model.notationProperty().get().inches()).isTrue();
  }

  @Test
  void theThemeIsKept() {
    openWithJob();
    assertThat(model.themeProperty().get()).isEqualTo(Theme.GRAPHITE);
    press(KeyCode.CONTROL, KeyCode.T);
    assertThat(model.themeProperty().get()).isEqualTo(Theme.PAPER);
    close();
    open();
    assertThat(model.themeProperty().get()).isEqualTo(Theme.PAPER);
  }

  @Test
  void jobsAreSearchedAndOpened() {
    openWithJob();
    onFx(() -> create(StartingPoint.DESKTOP_CHIPLETS_SOLDER, "Rush T2"));
    settle();
    press(KeyCode.CONTROL, KeyCode.L);
    hands.clickOn(node("search-jobs"));
    hands.write("sedge");
    assertThat(((ListView<?>) node("jobs")).getItems()).hasSize(1);
    press(KeyCode.ENTER);
    assertThat(text("job-title")).isEqualTo("Sedge Q4");
  }

  @Test
  void wordsAboutTheJobAreKept() {
    openWithJob();
    fill("title", "Sedge Q4, spare board");
    assertThat(text("job-title")).isEqualTo("Sedge Q4, spare board");
    fill("cooler-name", "Ford 120");
    assertThat(model.jobProperty().get().cooler().name()).isEqualTo("Ford 120");
    click("notes");
    hands.write("Two faces.");
    click("stage-weigh");
    assertThat(model.jobProperty().get().notes()).isEqualTo("Two faces.");
  }

  @Test
  void theWorkingOpensOnDemand() {
    openWithJob();
    weighed();
    press(KeyCode.CONTROL, KeyCode.W);
    Node working =
        stage.getScene().getRoot().lookupAll(".working").stream()
            .filter(Node::isVisible)
            .findFirst()
            .orElseThrow();
    assertThat(working.lookupAll(".label").stream().map(n -> ((Labeled) n).getText()))
        .anyMatch(t -> t.startsWith("Source: conduction: the layers' own modes"));
    press(KeyCode.CONTROL, KeyCode.W);
    assertThat(working.isVisible()).isFalse();
  }

  @Test
  void logsComeInByThePickerAndRunsAreManaged() {
    openWithJob();
    Path a = MadeLogs.write(folder, "a.csv", 80);
    Path b = MadeLogs.write(folder, "b.csv", 70);
    when(picker.open(any(), eq("Logs"), any(String[].class))).thenReturn(List.of(a, b));
    press(KeyCode.CONTROL, KeyCode.O);
    assertThat(model.jobProperty().get().runs(Side.BEFORE)).hasSize(2);
    press(KeyCode.CONTROL, KeyCode.O);
    assertThat(text("message")).contains("already among the runs before");
    click("move-1");
    press(KeyCode.CONTROL, KeyCode.DIGIT9);
    assertThat(text("verdict")).startsWith("Helped by 10.0 K");
    fill("room-0", "22,0");
    fill("room-1", "20");
    assertThat(text("verdict")).startsWith("Helped by 8.0 K");
    fill("room-0", "warm");
    assertThat(hints()).anyMatch(h -> h.contains("\"warm\" is not a number"));
    click("remove-0");
    assertThat(text("verdict")).isEqualTo("Add a log from before the work to compare.");
    press(KeyCode.CONTROL, KeyCode.Z);
    assertThat(text("verdict")).startsWith("Helped by 8.0 K");
  }

  @Test
  void tenLogsAreTenAnalysesAndATitleIsNone() throws IOException {
    openWithJob();
    List<Path> logs = new ArrayList<>();
    for (int i = 0; i < 10; i++) {
      logs.add(MadeLogs.write(folder, "run" + i + ".csv", 70 + i));
    }
    onFx(() -> model.runs().add(logs, Side.BEFORE));
    settle();
    assertThat(job().runs()).hasSize(10);
    assertThat(model.runsJudged()).isEqualTo(10);
    onFx(() -> model.edit("title", job -> job.withTitle("Ten")));
    onFx(() -> model.edit("price", job -> job.withTerms(job.terms().withPasteCoins(9))));
    settle();
    assertThat(model.runsJudged()).isEqualTo(10);
  }

  @Test
  void anyTwoStatesAreCompared() throws IOException {
    openWithJob();
    Path before = MadeLogs.write(folder, "before.csv", 80);
    Path after = MadeLogs.write(folder, "after.csv", 68);
    Path late = MadeLogs.write(folder, "late.csv", 73);
    onFx(() -> model.runs().add(List.of(before), Side.BEFORE));
    onFx(() -> model.runs().add(List.of(after, late), Side.AFTER));
    settle();
    // A further state is a name that is typed; then which two are compared is picked.
    click("pick-state-2");
    onFx(
        () -> {
          @SuppressWarnings("unchecked")
          ComboBox<String> state = (ComboBox<String>) node("state-2");
          state.setValue("after a summer");
          state.getOnHidden().handle(null);
        });
    settle();
    assertThat(text("verdict")).startsWith("Helped by 12.0 K");
    onFx(
        () -> {
          @SuppressWarnings("unchecked")
          ComboBox<String> first = (ComboBox<String>) node("compare-first");
          first.setValue("after");
          first.getOnHidden().handle(null);
        });
    settle();
    onFx(
        () -> {
          @SuppressWarnings("unchecked")
          ComboBox<String> second = (ComboBox<String>) node("compare-second");
          second.setValue("after a summer");
          second.getOnHidden().handle(null);
        });
    settle();
    assertThat(text("verdict")).startsWith("Hurt by 5.0 K");
    press(KeyCode.CONTROL, KeyCode.Z);
    assertThat(text("verdict")).doesNotContain("Hurt");
  }

  @Test
  void aBadFileIsOneMessageAndNothingIsLost() throws IOException {
    openWithJob();
    Path bad = Files.writeString(folder.resolve("bad.csv"), "a,b\nc,d\n");
    Path gone = folder.resolve("gone.csv");
    when(picker.open(any(), eq("Logs"), any(String[].class))).thenReturn(List.of(bad, gone));
    press(KeyCode.CONTROL, KeyCode.O);
    assertThat(model.history().stream().filter(Message::problem).map(Message::text))
        .anyMatch(m -> m.contains("bad.csv, line 1"))
        .anyMatch(m -> m.contains("gone.csv") && m.contains("not there"));
    assertThat(node("message").getStyleClass()).contains("problem");
    assertThat(model.jobProperty().get().runs()).isEmpty();
    press(KeyCode.CONTROL, KeyCode.DIGIT1);
    fill("title", "still alive");
    assertThat(text("saved")).isEqualTo("All changes saved");
  }

  @Test
  void aReadOnlyWindowShowsAndForbids() {
    openWithJob();
    close();
    try (Logbook writer =
        Logbook.open(folder.resolve("logbook"), Access.WRITE, Clock.systemUTC())) {
      open(Access.READ_ONLY);
      assertThat(text("saved")).isEqualTo("Read-only");
      assertThat(text("message")).contains("read-only here");
      assertThat(node("undo").isDisabled()).isTrue();
      press(KeyCode.CONTROL, KeyCode.DIGIT2);
      assertThat(node("add-before").isDisabled()).isTrue();
      onFx(() -> model.edit("title", j -> j.withRuns(List.of())));
      onFx(() -> create(StartingPoint.DESKTOP_ONE_DIE_PASTE, "no"));
      settle();
      assertThat(writer.list()).hasSize(1);
      assertThat(text("message")).contains("read-only");
      close();
    }
  }

  @Test
  void nothingIsCutOffAtTheUsualSize() {
    openWithJob();
    for (Node node : stage.getScene().getRoot().lookupAll(".button")) {
      Labeled button = (Labeled) node;
      Node shown = button.lookup(".text");
      if (shown instanceof Text text && button.isVisible()) {
        assertThat(text.getText()).isEqualTo(button.getText());
      }
    }
  }

  @Test
  void eachStageBeginsAtItsAnswer() {
    openWithJob();
    ScrollPane middle = (ScrollPane) node("middle");
    press(KeyCode.CONTROL, KeyCode.DIGIT1);
    weighed();
    onFx(() -> middle.setVvalue(1));
    press(KeyCode.CONTROL, KeyCode.DIGIT2);
    assertThat(middle.getVvalue()).isZero();
  }

  /** Logs that the application was opened with wait for a job, and for a word on when they are. */
  @Test
  void filesThatItWasOpenedWithAreTakenIn() {
    open();
    Path log = MadeLogs.write(folder, "run.csv", 70);
    onFx(() -> ((FrameView) stage.getScene().getRoot()).openWith(List.of(log)));
    settle();
    assertThat(stage.getScene().lookup("#with-before")).isNull();
    onFx(() -> create(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4"));
    worked();
    until("it is asked", () -> stage.getScene().lookup("#with-before") != null);
    press(KeyCode.ENTER);
    worked();
    until("it is there", () -> model.jobProperty().get().runs().size() == 1);
    onFx(() -> ((FrameView) stage.getScene().getRoot()).openWith(List.of(log)));
    settle();
    press(KeyCode.ESCAPE);
    settle();
    assertThat(stage.getScene().lookup("#with-before")).isNull();
  }

  /** A machine without a printer says so, and offers the file. */
  @Test
  void printingSaysWhichPrintersThereAre() {
    open();
    press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.P);
    assertThat(stage.getScene().lookup("#print-go")).isNull();
    onFx(() -> create(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4"));
    worked();
    press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.P);
    until("printers were looked for", () -> !text("print-said").startsWith("Looking"));
    boolean none = Printers.names().isEmpty();
    assertThat(node("print-go").isDisabled()).isEqualTo(none);
    assertThat(text("print-said").startsWith("This machine knows no printer.")).isEqualTo(none);
    onFx(() -> model.traffic().print(Traffic.Paper.CERTIFICATE, "no such printer"));
    worked();
    assertThat(text("message")).contains("is not there any more");
  }

  @Test
  void theAnswerIsCopied() {
    openWithJob();
    until("it is weighed", 60, () -> text("weigh-answer").contains("in eight cases"));
    press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.C);
    settle();
    onFx(
        () ->
            assertThat(Clipboard.getSystemClipboard().getString()).isEqualTo(text("weigh-answer")));
  }
}
