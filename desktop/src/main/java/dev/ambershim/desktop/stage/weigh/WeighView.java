package dev.ambershim.desktop.stage.weigh;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.build.Detail;
import dev.ambershim.core.physics.conduction.StackSection;
import dev.ambershim.core.picture.LadderPicture;
import dev.ambershim.core.plan.OptionKind;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.weigh.HeatPicture;
import dev.ambershim.core.stage.weigh.HeatSectionPicture;
import dev.ambershim.core.stage.weigh.OptionForecast;
import dev.ambershim.core.stage.weigh.OptionWords;
import dev.ambershim.core.stage.weigh.OptionsPicture;
import dev.ambershim.core.stage.weigh.PricePicture;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.WhenSeen;
import dev.ambershim.desktop.stage.weigh.WeighModel.Shown;
import dev.ambershim.desktop.widget.AnswerPane;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Parts;
import dev.ambershim.desktop.widget.Parts.Part;
import dev.ambershim.desktop.widget.PictureView;
import dev.ambershim.desktop.widget.StageView;
import dev.ambershim.desktop.widget.Strip;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * The advice; the options as intervals on one axis; where the kelvin go now and with the picked
 * option; then what it rests on: the load, the readings, the words about the job.
 */
public final class WeighView implements StageView {
  private final JobModel shell;
  private final WeighModel model;
  private final AnswerPane advice = new AnswerPane(Stage.WEIGH.question(), "weigh-answer");
  private final AnswerPane picked = new AnswerPane("The picked option", "weigh-picked");
  private final PictureView options = new PictureView();
  private final PictureView price = new PictureView();
  private final PictureView ladder = new PictureView();
  private final PictureView heat = new PictureView();
  private final PictureView cut = new PictureView();
  private final Button plan = new Button("Plan this  Alt+Enter");
  private final Button again = new Button("Weigh again");
  private final ReadingRows readings;
  private final JobWords words;
  private final Parts parts;
  private final VBox node;

  /** A view of the model's job. */
  public WeighView(JobModel shell) {
    this.shell = shell;
    model = new WeighModel(shell);
    readings = new ReadingRows(shell);
    words = new JobWords(shell);
    advice.lookup("#weigh-answer").getStyleClass().add("long");
    picked.lookup("#weigh-picked").getStyleClass().setAll("label", "strong");
    size(options, "options", 296);
    size(price, "price", 210);
    size(ladder, "ladder", 196);
    size(heat, "heat", 196);
    size(cut, "heat-section", 190);
    options.onPick(part -> model.pick(OptionKind.valueOf(part)));
    plan.setId("plan");
    plan.setOnAction(e -> model.plan());
    again.setId("weigh-again");
    again.setOnAction(e -> model.again());
    again.visibleProperty().bind(model.stoppedProperty());
    again.managedProperty().bind(model.stoppedProperty());
    HBox pair = new Strip(8, ladder, heat);
    HBox.setHgrow(ladder, Priority.ALWAYS);
    HBox.setHgrow(heat, Priority.ALWAYS);
    VBox choices = panel(options);
    VBox frontier = panel(price);
    VBox shape = panel(pair, cut, new LoadSliders(shell, model));
    VBox detail = panel(picked, plan);
    VBox known = panel(readings);
    parts =
        advice.parts(
            List.of(
                Part.of("options", choices),
                Part.of("price", frontier),
                Part.of("heat", shape),
                Part.of("picked", detail),
                Part.of("readings", known)));
    node =
        new Column(
            advice, again, new WishBar(shell), choices, frontier, shape, detail, known, words);
    node.getStyleClass().add("stage");
    model
        .shownProperty()
        .addListener(
            (o, was, is) -> {
              if (is.passing()) {
                pictures(is);
              } else {
                refresh();
              }
            });
    model.checkedProperty().addListener((o, was, is) -> showPicked());
    shell.themeProperty().addListener((o, was, is) -> refresh());
    WhenSeen figures = new WhenSeen(shell, Stage.WEIGH, this::words);
    shell.jobProperty().addListener((o, was, is) -> figures.changed());
    words();
    refresh();
  }

  private static void size(PictureView picture, String id, double height) {
    picture.setId(id);
    picture.setMinHeight(height);
    picture.setPrefHeight(height);
    picture.setPrefWidth(300);
  }

  private static VBox panel(Node... children) {
    VBox box = new Column(children);
    box.getStyleClass().add("panel");
    return box;
  }

  private void words() {
    if (shell.jobProperty().get() != null) {
      words.show(shell.jobProperty().get());
    }
  }

  private void refresh() {
    Shown now = model.shownProperty().get();
    if (now == null) {
      advice.show("Weighing every option on this chip…");
      return;
    }
    Notation notation = shell.notationProperty().get();
    boolean dark = shell.themeProperty().get().dark();
    advice.show(now.weighing().advice().sentence(), now.weighing().reasons());
    options.show((w, h) -> OptionsPicture.of(now.weighing(), notation, w, h), dark);
    price.show((w, h) -> PricePicture.of(now.weighing(), notation, w, h), dark);
    options.pick(now.picked().option().kind().name());
    showPicked();
    plan.setDisable(!now.picked().option().possible() || shell.readOnly());
    pictures(now);
    readings.show(now.weighing().question().readings());
  }

  /** Where the kelvin go, now and with the picked option. */
  private void pictures(Shown now) {
    Notation notation = shell.notationProperty().get();
    boolean dark = shell.themeProperty().get().dark();
    String name = now.picked().option().words();
    // Pictures of the option before would be taken for this one's.
    ladder.setVisible(now.then().isPresent());
    heat.setVisible(now.then().isPresent());
    cut.setVisible(now.then().isPresent());
    now.then()
        .ifPresent(
            then -> {
              ladder.show(
                  (w, h) ->
                      LadderPicture.of(
                          new LadderPicture.Column(now.now().ladder(), now.now().watts(), "now"),
                          new LadderPicture.Column(then.ladder(), then.watts(), "picked"),
                          notation,
                          w,
                          h),
                  dark);
              heat.show((w, h) -> HeatPicture.of(now.now(), then, "picked", notation, w, h), dark);
              heat.setAccessibleHelp(name);
              cut(now.now(), then, notation, dark);
            });
  }

  /** The picked option, with its check once that is there; no picture hangs on it. */
  private void showPicked() {
    Shown now = model.shownProperty().get();
    if (now != null) {
      OptionForecast checked = model.checkedProperty().get();
      boolean same = checked != null && checked.option().kind() == now.picked().option().kind();
      Notation notation = shell.notationProperty().get();
      picked.show((same ? checked : now.picked()).finding(), reasons(now, notation), notation);
    }
  }

  private void cut(Detail now, Detail then, Notation notation, boolean dark) {
    boolean both = now.section().isPresent() && then.section().isPresent();
    cut.setVisible(both);
    cut.setManaged(both);
    if (both) {
      StackSection first = now.section().get();
      StackSection second = then.section().get();
      cut.show((w, h) -> HeatSectionPicture.of(first, second, "picked", notation, w, h), dark);
    }
  }

  private static List<String> reasons(Shown now, Notation notation) {
    OptionForecast f = now.picked();
    List<String> all = new ArrayList<>();
    if (!f.option().possible()) {
      return all;
    }
    all.add(OptionWords.cost(f, notation));
    all.add(
        "Spread between cores "
            + notation.text(now.weighing().spreadNowKelvin(), Unit.KELVIN)
            + " now, "
            + notation.text(f.spreadKelvin(), Unit.KELVIN)
            + " afterwards ("
            + notation.range(f.spread(), Unit.KELVIN)
            + ").");
    all.addAll(f.option().cautions());
    return all;
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
    picked.toggleWorking();
  }

  @Override
  public void nudge(int by) {
    model.nudge(by);
  }

  @Override
  public void accept() {
    model.plan();
  }
}
