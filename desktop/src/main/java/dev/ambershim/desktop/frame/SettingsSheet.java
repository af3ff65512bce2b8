package dev.ambershim.desktop.frame;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.Looks;
import dev.ambershim.desktop.widget.Box;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Strip;
import java.time.DayOfWeek;
import java.time.LocalTime;
import java.time.format.TextStyle;
import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;

/** Units, number format, look and size of text. */
final class SettingsSheet {
  private SettingsSheet() {}

  static Node content(JobModel model) {
    Notation now = model.notationProperty().get();
    CheckBox inches = box("inches", "Lengths in inches and thou", now.inches());
    CheckBox fahrenheit = box("fahrenheit", "Temperatures in °F", now.fahrenheit());
    CheckBox comma = box("decimal-comma", "Decimal comma", now.decimalComma());
    CheckBox twelve = box("twelve-hours", "Times as 6:05 pm", now.twelveHours());
    TextField money = new Box(now.currency());
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
    HBox currency = new Strip(8, money, sign);
    currency.setAlignment(Pos.CENTER_LEFT);
    change.run();
    return new Column(
        10,
        inches,
        fahrenheit,
        comma,
        twelve,
        currency,
        example,
        week(model),
        look(model),
        size(model));
  }

  private static HBox look(JobModel model) {
    ComboBox<Looks.Wish> look = new ComboBox<>();
    look.setId("set-look");
    look.getItems().setAll(Looks.Wish.values());
    look.setConverter(Labels.words(Looks.Wish::words));
    look.setValue(model.looks().wishProperty().get());
    look.valueProperty().addListener((o, was, is) -> model.looks().wish(is));
    return named("Light or dark", look, "Ctrl+T changes it, too.");
  }

  private static HBox week(JobModel model) {
    ComboBox<DayOfWeek> first = new ComboBox<>();
    first.setId("set-first-day");
    first.getItems().setAll(DayOfWeek.MONDAY, DayOfWeek.SATURDAY, DayOfWeek.SUNDAY);
    first.setConverter(Labels.words(day -> day.getDisplayName(TextStyle.FULL, Locale.ENGLISH)));
    first.setValue(model.looks().firstDayProperty().get());
    first.valueProperty().addListener((o, was, is) -> model.looks().firstDay(is));
    return named("The week begins on", first, "Days are written out, as in 6 June 2026.");
  }

  private static HBox size(JobModel model) {
    ComboBox<Integer> size = new ComboBox<>();
    size.setId("set-text-size");
    size.getItems().setAll(Looks.SIZES);
    size.setConverter(Labels.words(percent -> percent + " %"));
    size.setValue(model.looks().textPercentProperty().get());
    size.valueProperty().addListener((o, was, is) -> model.looks().size(is));
    model.looks().textPercentProperty().addListener((o, was, is) -> size.setValue(is.intValue()));
    return named("Size of text", size, "Ctrl+Plus and Ctrl+Minus change it, too.");
  }

  private static HBox named(String name, Node box, String hint) {
    Label label = Labels.line(name);
    label.setLabelFor(box);
    HBox row = new Strip(8, label, box, Labels.line(hint, "hint"));
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private static CheckBox box(String id, String words, boolean on) {
    CheckBox box = new CheckBox(words);
    box.setId("set-" + id);
    box.setSelected(on);
    return box;
  }
}
