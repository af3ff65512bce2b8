package dev.ambershim.desktop.frame;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.RunResult;
import dev.ambershim.core.runs.reading.Channel;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Picks;
import dev.ambershim.desktop.widget.Scroll;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;

/** What each column of a log was taken for, to be put right. */
public final class ColumnsSheet {
  private ColumnsSheet() {}

  /** The content for one run. */
  public static Node content(JobModel model, RunResult run) {
    GridPane grid = new GridPane();
    grid.setHgap(16);
    grid.setVgap(6);
    grid.addRow(
        0,
        Labels.line("Column", "strong"),
        Labels.line("Figures", "strong"),
        Labels.line("Taken for", "strong"),
        Labels.line("How sure", "strong"));
    int row = 1;
    for (Channel channel : run.log().channels()) {
      ComboBox<Role> box = new ComboBox<>();
      box.getItems().setAll(Role.values());
      box.setConverter(words());
      box.setValue(channel.role());
      box.setId("role-" + (row - 1));
      box.setDisable(model.readOnly());
      Label sure = Labels.line(sureness(channel), "quiet");
      Picks.follow(
          box,
          role -> {
            model.runs().setRole(run.index(), channel.name(), role);
            sure.setText("you said so");
          });
      grid.addRow(
          row++, Labels.line(channel.name()), Labels.line(range(channel), "quiet"), box, sure);
    }
    Scroll scroll = new Scroll(grid);
    scroll.setFitToWidth(true);
    scroll.setPrefHeight(420);
    VBox read = new Column(2);
    read.getChildren()
        .add(
            Labels.line(
                "Read as "
                    + run.log().notes().encoding()
                    + ", "
                    + run.log().notes().delimiter()
                    + " between cells, decimal "
                    + (run.log().notes().decimalComma() ? "comma" : "point")
                    + "; "
                    + run.log().size()
                    + " samples.",
                "quiet"));
    for (String remark : run.log().notes().remarks()) {
      read.getChildren().add(Labels.line(remark, "hint"));
    }
    return new Column(10, read, scroll);
  }

  private static String sureness(Channel channel) {
    if (channel.confidence() >= 1) {
      return "you said so";
    }
    return channel.confidence() > 0.9 ? "sure" : channel.confidence() > 0.7 ? "likely" : "a guess";
  }

  private static String range(Channel channel) {
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (double v : channel.values()) {
      if (!Double.isNaN(v)) {
        low = Math.min(low, v);
        high = Math.max(high, v);
      }
    }
    Notation plain = Notation.METRIC;
    return plain.fixed(low, 1) + " to " + plain.fixed(high, 1) + " " + channel.unit();
  }

  private static StringConverter<Role> words() {
    return new StringConverter<>() {
      @Override
      public String toString(Role role) {
        return role == null ? "" : role.words();
      }

      @Override
      public Role fromString(String text) {
        throw new UnsupportedOperationException("roles are picked, not typed");
      }
    };
  }
}
