package dev.ambershim.desktop.stage.open;

import dev.ambershim.core.plan.School;
import dev.ambershim.core.plan.Way;
import dev.ambershim.core.plan.WorkCase;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.Outlook;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Picks;
import dev.ambershim.desktop.widget.Strip;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;

/** Where practitioners differ: what the plan takes, what it gains, costs and risks. */
final class WaysPanel extends Column {
  private final JobModel model;
  private final Map<School, ComboBox<String>> boxes = new TreeMap<>();
  private final Map<School, Label> accounts = new TreeMap<>();
  private List<School> asked = List.of();
  private boolean filling;

  WaysPanel(JobModel model) {
    super(8);
    this.model = model;
    getStyleClass().add("panel");
  }

  void show(Outlook now) {
    WorkCase work = now.plan().work();
    List<School> schools = Arrays.stream(School.values()).filter(work::asks).toList();
    if (!schools.equals(asked)) {
      asked = schools;
      build();
    }
    filling = true;
    for (School school : asked) {
      Way way = school == School.SEAL ? work.seal() : work.ways().of(school);
      boxes.get(school).setValue(way.words());
      boxes.get(school).setDisable(model.readOnly());
      accounts.get(school).setText(way.account());
    }
    filling = false;
  }

  private void build() {
    boxes.clear();
    accounts.clear();
    getChildren().setAll(Labels.line("Your ways", "strong"));
    for (School school : asked) {
      ComboBox<String> box = new ComboBox<>();
      box.setId("way-" + school.name().toLowerCase(Locale.ROOT));
      box.setAccessibleText(school.question());
      box.getItems().setAll(school.ways().stream().map(Way::words).toList());
      Picks.follow(box, words -> take(school, words));
      Label account = Labels.line("", "hint");
      HBox row = new Strip(8, Labels.line(school.question()), Labels.spring(), box);
      row.setAlignment(Pos.CENTER_LEFT);
      boxes.put(school, box);
      accounts.put(school, account);
      getChildren().addAll(row, account);
    }
  }

  private void take(School school, String words) {
    if (!filling) {
      school.ways().stream()
          .filter(w -> w.words().equals(words))
          .findFirst()
          .ifPresent(model.workbench()::take);
    }
  }
}
