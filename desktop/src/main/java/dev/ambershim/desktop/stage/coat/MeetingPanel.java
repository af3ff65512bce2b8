package dev.ambershim.desktop.stage.coat;

import dev.ambershim.core.physics.dosing.Meeting;
import dev.ambershim.core.physics.dosing.MetalFace;
import dev.ambershim.core.physics.dosing.Verdict;
import dev.ambershim.core.stage.coat.CoatAnswer;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Picks;
import java.util.Arrays;
import java.util.List;
import javafx.application.Platform;
import javafx.geometry.HPos;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;

/** Every place that liquid metal can get to, what it is made of, and whether that may be. */
final class MeetingPanel extends Column {
  private final JobModel model;

  /** A meeting, its face and its sentence side by side need so much, pixels. */
  private static final double WIDE = 490;

  private final GridPane grid = new GridPane();

  private List<Meeting> all = List.of();
  private boolean narrow;

  MeetingPanel(JobModel model) {
    super(8);
    this.model = model;
    getStyleClass().add("panel");
    setId("meetings");
    grid.setHgap(12);
    grid.setVgap(6);
    grid.setMinWidth(0);
    widthProperty()
        .addListener(
            (o, was, is) -> {
              boolean fits = is.doubleValue() >= WIDE;
              if (fits == narrow) {
                narrow = !fits;
                lay();
                // Whoever lays this out has its height from before.
                Platform.runLater(grid::requestLayout);
              }
            });
    getChildren().addAll(Labels.line("What must the metal never touch?", "strong"), grid);
  }

  void show(CoatAnswer answer) {
    if (!all.equals(answer.meetings())) {
      all = answer.meetings();
      lay();
    }
    setVisible(!all.isEmpty());
    setManaged(!all.isEmpty());
  }

  /** A meeting in a row; where that is too wide, its sentence goes below. */
  private void lay() {
    grid.getChildren().clear();
    for (int i = 0; i < all.size(); i++) {
      Meeting m = all.get(i);
      int row = narrow ? 2 * i : i;
      Label place = Labels.line(m.place().words());
      place.setMinWidth(narrow ? 0 : Region.USE_PREF_SIZE);
      GridPane.setValignment(place, VPos.TOP);
      grid.add(place, 0, row);
      grid.add(pick(m), 1, row);
      Label sentence = Labels.line(m.sentence(), style(m.verdict()));
      // Narrow by itself, so that the two columns before it keep to their words.
      sentence.setPrefWidth(200);
      sentence.setMaxWidth(Double.MAX_VALUE);
      GridPane.setHgrow(sentence, Priority.ALWAYS);
      sentence.setId("meeting-" + m.place().name());
      if (narrow) {
        grid.add(sentence, 0, row + 1, 2, 1);
      } else {
        grid.add(sentence, 2, row);
      }
    }
  }

  private static String style(Verdict verdict) {
    return switch (verdict) {
      case NEVER -> "alarm";
      case WATCH -> "reason";
      case FINE -> "quiet";
    };
  }

  private Node pick(Meeting meeting) {
    Node node =
        Picks.onDemand(
            meeting.face().words(),
            "meeting-" + meeting.place().name(),
            model.readOnly(),
            () -> {
              ComboBox<String> box = new ComboBox<>();
              box.setId("meeting-face-" + meeting.place().name());
              box.getItems()
                  .setAll(meeting.place().faces().stream().map(MetalFace::words).toList());
              box.setValue(meeting.face().words());
              Picks.follow(
                  box,
                  words ->
                      model.edit(
                          meeting.place().words() + ": " + words,
                          job ->
                              job.withCoat(
                                  job.coat()
                                      .saying(
                                          meeting.place(),
                                          Arrays.stream(MetalFace.values())
                                              .filter(f -> f.words().equals(words))
                                              .findFirst()
                                              .orElseThrow()))));
              return box;
            });
    GridPane.setValignment(node, VPos.TOP);
    GridPane.setHalignment(node, HPos.LEFT);
    ((StackPane) node).setAlignment(Pos.TOP_LEFT);
    return node;
  }
}
