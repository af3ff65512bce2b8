package dev.ambershim.desktop.frame;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.Theme;
import dev.ambershim.desktop.widget.Labels;
import java.time.LocalTime;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Units, number format and look. */
final class SettingsSheet {
  private SettingsSheet() {}

  static Node content(JobModel model) {
    Notation now = model.notationProperty().get();
    CheckBox inches = box("inches", "Lengths in inches and thou", now.inches());
    CheckBox fahrenheit = box("fahrenheit", "Temperatures in °F", now.fahrenheit());
    CheckBox comma = box("decimal-comma", "Decimal comma", now.decimalComma());
    CheckBox twelve = box("twelve-hours", "Times as 6:05 pm", now.twelveHours());
    CheckBox dark =
        box("dark", "Graphite (dark) instead of paper", model.themeProperty().get().dark());
    TextField money = new TextField(now.currency());
    money.setId("set-currency");
    money.setPrefColumnCount(4);
    Label sign = Labels.line("Sign of your money");
    Label example = Labels.line("", "quiet");
    Runnable change =
        () -> {
          Notation chosen =
              new Notation(
                  inches.isSelected(),
                  fahrenheit.isSelected(),
                  comma.isSelected(),
                  twelve.isSelected(),
                  money.getText());
          if (!chosen.equals(model.notationProperty().get())) {
            model.setNotation(chosen);
          }
          example.setText(
              "So figures look like this: "
                  + chosen.text(2.35, Unit.MILLIMETRE)
                  + ", "
                  + chosen.text(40, Unit.MICROMETRE)
                  + ", "
                  + chosen.text(71.5, Unit.CELSIUS)
                  + ", "
                  + chosen.time(LocalTime.of(18, 5))
                  + ", "
                  + chosen.text(12, Unit.COIN)
                  + ".");
        };
    inches.setOnAction(e -> change.run());
    fahrenheit.setOnAction(e -> change.run());
    comma.setOnAction(e -> change.run());
    twelve.setOnAction(e -> change.run());
    money.textProperty().addListener((o, was, is) -> change.run());
    sign.setLabelFor(money);
    HBox currency = new HBox(8, money, sign);
    currency.setAlignment(Pos.CENTER_LEFT);
    dark.setOnAction(e -> model.setTheme(dark.isSelected() ? Theme.GRAPHITE : Theme.PAPER));
    change.run();
    return new VBox(10, inches, fahrenheit, comma, twelve, currency, example, dark);
  }

  private static CheckBox box(String id, String words, boolean on) {
    CheckBox box = new CheckBox(words);
    box.setId("set-" + id);
    box.setSelected(on);
    return box;
  }
}
