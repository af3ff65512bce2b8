package dev.ambershim.desktop.frame;

import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.Traffic.Paper;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Strip;
import java.util.Arrays;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;

/** What is printed, and on which printer. */
final class PrintSheet {
  private PrintSheet() {}

  /**
   * The sheet's content.
   *
   * @param file writes the report to a file instead
   */
  static Node content(JobModel model, Runnable close, Runnable file) {
    ComboBox<String> what = new ComboBox<>();
    what.setId("print-what");
    for (Paper paper : Paper.values()) {
      what.getItems().add(paper.words());
    }
    what.getSelectionModel().selectFirst();
    ComboBox<String> printer = new ComboBox<>();
    printer.setId("print-printer");
    Button go = new Button("Print");
    go.setId("print-go");
    go.getStyleClass().add("next");
    go.setDisable(true);
    go.setOnAction(
        e -> {
          Paper paper =
              Arrays.stream(Paper.values())
                  .filter(p -> p.words().equals(what.getValue()))
                  .findFirst()
                  .orElseThrow();
          close.run();
          model.traffic().print(paper, printer.getValue());
        });
    Button instead = new Button("Write the report to a file  Ctrl+P");
    instead.setOnAction(
        e -> {
          close.run();
          file.run();
        });
    Label said = Labels.line("Looking for printers…", "hint");
    said.setId("print-said");
    model
        .traffic()
        .printers(
            found -> {
              printer.getItems().setAll(found);
              printer.getSelectionModel().selectFirst();
              go.setDisable(found.isEmpty());
              said.setText(
                  found.isEmpty()
                      ? "This machine knows no printer. Write the report as PDF, and print that"
                          + " where there is one."
                      : "");
            });
    return new Column(
        12,
        Labels.named("Print", what),
        Labels.named("on", printer),
        said,
        new Strip(10, go, instead));
  }
}
