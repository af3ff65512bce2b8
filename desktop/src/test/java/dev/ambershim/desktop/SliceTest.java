package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import dev.ambershim.core.job.Side;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.desktop.frame.FrameView;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Point2D;
import javafx.scene.Scene;
import javafx.scene.control.ComboBox;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.Dragboard;
import javafx.scene.input.KeyCode;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.Rectangle;
import javafx.stage.Stage;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;

/**
 * The slice from end to end at the real window: a new job, two logs dropped, a role put right, the
 * verdict read off the screen, undo, restart, and the report.
 */
class SliceTest extends DesktopTest {
  @Test
  void fromAnEmptyLogbookToAReport() throws IOException {
    Path before = MadeLogs.write(folder, "before.csv", 80);
    Path after = MadeLogs.write(folder, "after.csv", 68);
    open();

    // A new job, by keyboard.
    press(KeyCode.CONTROL, KeyCode.N);
    hands.clickOn(node("new-title"));
    hands.write("Sedge Q4");
    press(KeyCode.ENTER);
    assertThat(text("job-title")).isEqualTo("Sedge Q4");
    weighed();
    assertThat(text("weigh-answer")).matches("(Go|Leave|Try).*");

    // Two logs dropped on the two places.
    drop(before, Side.BEFORE);
    assertThat(text("baseline-answer")).contains("Room air is not known");
    drop(after, Side.AFTER);
    assertThat(text("verdict")).startsWith("Helped by 12.0 K").endsWith("in core temperature.");

    // The column that nobody could guess is said to be the room, in both runs.
    setRoom(0);
    setRoom(1);
    assertThat(text("verdict")).matches("Helped by 12\\.0 K \\(1[01]\\.\\d to 1[23]\\.\\d\\)\\.");
    assertThat(text("saved")).isEqualTo("All changes saved");

    // Undo takes the last of that back, redo brings it again.
    press(KeyCode.CONTROL, KeyCode.Z);
    assertThat(text("verdict")).endsWith("in core temperature.");
    assertThat(text("message")).startsWith("Undone: column probe 7");
    press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);
    assertThat(text("verdict")).endsWith(").");

    // Restart: all is there again.
    close();
    open();
    assertThat(text("job-title")).isEqualTo("Sedge Q4");
    assertThat(text("verdict")).startsWith("Helped by 12.0 K");

    // The report, by keyboard.
    Path report = folder.resolve("report.pdf");
    when(picker.save(any(), any(), any(), any())).thenReturn(Optional.of(report));
    press(KeyCode.CONTROL, KeyCode.P);
    until("the report is told", () -> text("message").startsWith("Written, report"));
    try (PDDocument pdf = Loader.loadPDF(report.toFile())) {
      assertThat(new PDFTextStripper().getText(pdf)).contains("Helped by 12.0 K");
    }

    // Results and bundle too; the bundle of a job that is here joins it, and has nothing new.
    Path results = folder.resolve("results.json");
    when(picker.save(any(), any(), any(), any())).thenReturn(Optional.of(results));
    press(KeyCode.CONTROL, KeyCode.R);
    assertThat(Files.readString(results)).contains("\"verdict\" : \"helped\"");
    Path bundle = folder.resolve("job.shimjob");
    when(picker.save(any(), any(), any(), any())).thenReturn(Optional.of(bundle));
    press(KeyCode.CONTROL, KeyCode.E);
    when(picker.open(any(), any(), any())).thenReturn(List.of(bundle));
    press(KeyCode.CONTROL, KeyCode.I);
    until("the bundle is told", () -> text("message").contains("was here already"));
    assertThat(text("message")).endsWith("nothing in the bundle is new.");
    assertThat(model.jobs()).hasSize(1);
    assertThat(text("verdict")).startsWith("Helped by 12.0 K");
  }

  private void setRoom(int run) {
    click("columns-" + run);
    ComboBox<?> box = (ComboBox<?>) node("role-2");
    assertThat(box.getValue()).isEqualTo(Role.UNUSED);
    // By keyboard: the room is the fourth role, "not used" the last.
    onFx(box::requestFocus);
    int up = Role.values().length - 1 - List.of(Role.values()).indexOf(Role.ROOM);
    for (int i = 0; i < up; i++) {
      hands.push(KeyCode.UP);
    }
    settle();
    assertThat(box.getValue()).isEqualTo(Role.ROOM);
    press(KeyCode.ESCAPE);
  }

  /** Drags a file with the mouse from another window onto a place of this one. */
  private void drop(Path file, Side side) {
    Stage source = showSource(file.toFile());
    try {
      FxThread.beside(() -> drag(side));
      until(
          "the file is taken",
          () ->
              model.jobProperty().get().runs(side).stream()
                  .anyMatch(r -> r.fileName().equals(file.getFileName().toString())));
      settle();
    } finally {
      onFx(source::hide);
      onFx(stage::requestFocus);
    }
  }

  private void drag(Side side) {
    hands.moveTo(new Point2D(1430, 150));
    hands.hold();
    try {
      hands.moveTo(new Point2D(1420, 180));
      hands.moveTo(new Point2D(1390, 220));
      hands.moveTo(new Point2D(700, 400));
      until("the places are made", () -> stage.getScene().lookup("#drop-before") != null);
      hands.moveTo(new Point2D(690, 410));
      until("the places show", () -> node("drop-before").getParent().isVisible());
      Point2D place = FxThread.on(() -> Hands.middleOf(node("drop-" + side.words())));
      hands.moveTo(place);
      hands.moveTo(place.add(3, 3));
      hands.moveTo(place.add(6, 6));
    } finally {
      hands.letGo();
    }
  }

  private Stage showSource(File file) {
    Stage[] shown = new Stage[1];
    onFx(
        () -> {
          Rectangle handle = new Rectangle(200, 200);
          handle.setOnDragDetected(
              e -> {
                Dragboard board = handle.startDragAndDrop(TransferMode.COPY);
                ClipboardContent content = new ClipboardContent();
                content.putFiles(List.of(file));
                board.setContent(content);
                e.consume();
              });
          Stage source = new Stage();
          source.setScene(new Scene(new StackPane(handle), 200, 200));
          source.setX(1330);
          source.setY(60);
          source.show();
          shown[0] = source;
        });
    FxThread.live();
    assertThat(stage.getScene().getRoot()).isInstanceOf(FrameView.class);
    return shown[0];
  }
}
