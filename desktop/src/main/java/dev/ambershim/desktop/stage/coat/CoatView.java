package dev.ambershim.desktop.stage.coat;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.physics.spread.PastePattern;
import dev.ambershim.core.plan.Caution;
import dev.ambershim.core.plan.Doses;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.coat.CoatAnswer;
import dev.ambershim.core.stage.coat.DosePicture;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.WhenSeen;
import dev.ambershim.desktop.widget.AnswerPane;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Later;
import dev.ambershim.desktop.widget.Lines;
import dev.ambershim.desktop.widget.Parts;
import dev.ambershim.desktop.widget.Parts.Part;
import dev.ambershim.desktop.widget.PictureView;
import dev.ambershim.desktop.widget.StageView;
import dev.ambershim.desktop.widget.Strip;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/**
 * How much liquid metal, drawn at true size, between too little and too much; what it must never
 * touch; the cover; then the paste, pressed flat.
 */
public final class CoatView implements StageView {
  private static final double STEP = 0.01;

  private final JobModel shell;
  private final CoatModel model;
  private final AnswerPane answer = new AnswerPane(Stage.COAT.question(), "coat-answer");
  private final PictureView drops = new PictureView();
  private final PictureView card = new PictureView();
  private final ToggleButton scale = new ToggleButton("Is this true size? Hold a card against it");
  private final HBox scaling = new Strip(8);
  private final VBox drawn = new Column(8);
  private final Lines notes = new Lines(3, "reason");
  private final MeetingPanel meetings;
  private final MetalPanel metal;
  private final PastePanel paste;
  private final Parts parts;
  private final VBox node;

  /** A view of the model's job. */
  public CoatView(JobModel shell) {
    this.shell = shell;
    model = new CoatModel(shell);
    meetings = new MeetingPanel(shell);
    metal = new MetalPanel(shell);
    paste = new PastePanel(shell);
    answer.lookup("#coat-answer").getStyleClass().add("long");
    drops.setId("coat-drops");
    card.setId("coat-card");
    card.setMinHeight(44);
    card.setPrefHeight(44);
    card.setPrefWidth(500);
    scale.setId("coat-scale");
    scale.getStyleClass().add("part-button");
    scaling.setAlignment(Pos.CENTER_LEFT);
    scaling.visibleProperty().bind(scale.selectedProperty());
    scaling.managedProperty().bind(scale.selectedProperty());
    scaling
        .getChildren()
        .setAll(card, size("coat-smaller", "−", -STEP), size("coat-larger", "+", STEP));
    drawn.getStyleClass().add("panel");
    drawn.getChildren().setAll(drops, scale, scaling);
    notes.getStyleClass().add("panel");
    notes.setId("coat-notes");
    parts =
        answer.parts(
            List.of(
                Part.of("drops", drawn),
                Part.of("what it touches", meetings),
                Part.of("metal", metal),
                Part.of("paste", paste)));
    node = new Column(answer, drawn, notes);
    Later.belowTheFold(
        shell,
        () -> node.getChildren().add(meetings),
        () -> node.getChildren().add(metal),
        () -> node.getChildren().add(paste));
    node.getStyleClass().add("stage");
    model.shownProperty().addListener((o, was, is) -> show());
    model
        .pastedProperty()
        .addListener(
            (o, was, is) -> {
              if (is != null) {
                paste.show(is);
              }
            });
    WhenSeen figures = new WhenSeen(shell, Stage.COAT, this::boxes);
    shell.jobProperty().addListener((o, was, is) -> figures.changed());
    shell.notationProperty().addListener((o, was, is) -> figures.changed());
    shell.themeProperty().addListener((o, was, is) -> show());
    shell.looks().perMillimetreProperty().addListener((o, was, is) -> show());
    shell.looks().textPercentProperty().addListener((o, was, is) -> show());
    boxes();
    show();
  }

  private Button size(String id, String words, double step) {
    Button button = new Button(words);
    button.setId(id);
    button.setOnAction(e -> shell.looks().stretch(step));
    return button;
  }

  private void boxes() {
    if (shell.jobProperty().get() != null) {
      metal.refresh();
      paste.refresh();
    }
  }

  private void show() {
    CoatModel.Shown shown = model.shownProperty().get();
    if (shown == null || shell.jobProperty().get() == null) {
      answer.show("Working out the doses…");
      return;
    }
    Notation notation = shell.notationProperty().get();
    CoatAnswer dose = shown.answer();
    boolean metals = !dose.doses().films().isEmpty();
    visible(drawn, metals);
    visible(metal, metals);
    visible(notes, metals);
    answer.show(dose, notation);
    List<String> words = new ArrayList<>(dose.notes());
    if (metals) {
      words.add(Caution.METAL.words());
    }
    notes.show(words);
    meetings.show(dose);
    metal.show(dose);
    paste.lay(dose.job(), shown.laid());
    double height = DosePicture.height(dose.doses().films().size());
    drops.setMinHeight(height);
    drops.setPrefHeight(height);
    boolean dark = shell.themeProperty().get().dark();
    double per = shell.looks().drawnPerMillimetre();
    drops.show(
        (w, h) -> DosePicture.of(dose.doses().films(), dose.job().coat(), per, notation, w, h),
        dark);
    card.setPrefWidth(DosePicture.CARD_MILLIMETRES * per + 30);
    card.show((w, h) -> DosePicture.card(per, w, h), dark);
  }

  private static void visible(Node node, boolean is) {
    node.setVisible(is);
    node.setManaged(is);
  }

  @Override
  public void part(int number) {
    parts.go(number);
  }

  @Override
  public Node node() {
    return node;
  }

  @Override
  public void toggleWorking() {
    answer.toggleWorking();
  }

  @Override
  public void accept() {
    paste.press();
  }

  @Override
  public void nudge(int by) {
    if (shell.readOnly()) {
      return;
    }
    PastePattern now = Doses.pastePattern(shell.jobProperty().get().workCase());
    List<PastePattern> all =
        List.of(
            PastePattern.DOT,
            PastePattern.LINE,
            PastePattern.TWO_LINES,
            PastePattern.CROSS,
            PastePattern.FIVE_DOTS,
            PastePattern.THIN_SPREAD);
    PastePattern next = all.get(Math.floorMod(all.indexOf(now) + by, all.size()));
    shell.edit("pattern: " + next.words(), job -> job.withPaste(job.paste().with(next)));
  }
}
