package dev.ambershim.desktop.stage.begin;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.picture.SectionPicture;
import dev.ambershim.core.plan.Wish;
import dev.ambershim.core.stage.weigh.FirstLook;
import dev.ambershim.core.stage.weigh.OptionsPicture;
import dev.ambershim.core.stage.weigh.Weighing;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.AnswerPane;
import dev.ambershim.desktop.widget.Box;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Desk;
import dev.ambershim.desktop.widget.Inquiry;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.PictureView;
import dev.ambershim.desktop.widget.Strip;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Three questions, what they forecast, and the button that begins the job. */
public final class BeginView implements Inquiry {
  private static final double PICTURE_HEIGHT = 320;
  private static final double SECTION_HEIGHT = 200;
  private static final double SECTION_WIDTH = 330;
  private static final String USUAL = "what such a chip usually has";

  private final JobModel shell;
  private final BeginModel model;
  private final AnswerPane answer =
      new AnswerPane("What would opening your processor bring?", "begin-answer");
  private final TextField title = new Box();
  private final ComboBox<String> kind = new ComboBox<>();
  private final ComboBox<String> cooler = new ComboBox<>();
  private final ComboBox<String> wish = new ComboBox<>();
  private final VBox drawn = new Column(6);
  private final VBox worth = new Column(4);
  private final VBox node;

  /**
   * A view.
   *
   * @param ways other ways to begin, as buttons
   * @param begun goes to the job
   */
  public BeginView(JobModel shell, Desk desk, List<Button> ways, Runnable begun) {
    this.shell = shell;
    model = new BeginModel(shell);
    title.setId("new-title");
    title.setPromptText("name of the chip or the job");
    title.setPrefColumnCount(18);
    kind.setId("new-kind");
    cooler.setId("new-cooler");
    wish.setId("new-wish");
    Arrays.stream(StartingPoint.values()).forEach(p -> kind.getItems().add(p.words()));
    cooler.getItems().add(USUAL);
    Arrays.stream(CoolerClass.values())
        .filter(c -> !c.builtIn() && c != CoolerClass.OTHER)
        .forEach(c -> cooler.getItems().add(c.words()));
    Arrays.stream(Wish.values()).forEach(w -> wish.getItems().add(w.words()));
    for (ComboBox<String> box : List.of(kind, cooler, wish)) {
      box.getSelectionModel().selectFirst();
      box.setOnAction(e -> pick());
    }
    Button begin = new Button("Begin this job  Enter");
    begin.setId("begin-job");
    begin.getStyleClass().add("next");
    begin.disableProperty().bind(shell.readOnlyProperty());
    Runnable act =
        () -> {
          model.begin(title.getText());
          title.clear();
          begun.run();
        };
    begin.setOnAction(e -> act.run());
    title.setOnAction(
        e -> {
          if (!shell.readOnly()) {
            act.run();
          }
        });
    FlowPane questions =
        new FlowPane(
            14,
            8,
            Labels.named("Which chip?", kind),
            Labels.named("What cools it?", cooler),
            Labels.named("What do you want?", wish),
            Labels.named("Name", title),
            begin);
    questions.setAlignment(Pos.CENTER_LEFT);
    questions.getStyleClass().add("panel");
    drawn.getStyleClass().add("panel");
    worth.setId("begin-worth");
    HBox others = new Strip(10);
    others.getChildren().addAll(ways);
    node =
        new Column(
            answer,
            questions,
            drawn,
            Labels.line(
                "Everything is kept as you do it, on this machine only. Ctrl+Z takes back whatever"
                    + " you did last; F1 explains the place you are in.",
                "hint"),
            others);
    node.getStyleClass().add("stage");
    node.setId("begin");
    model.forecastProperty().addListener((o, was, is) -> tell());
    shell.themeProperty().addListener((o, was, is) -> tell());
    tell();
  }

  private static <T> T picked(ComboBox<String> box, T[] all, Function<T, String> words) {
    return Arrays.stream(all)
        .filter(one -> words.apply(one).equals(box.getValue()))
        .findFirst()
        .orElse(null);
  }

  private void pick() {
    StartingPoint point = picked(kind, StartingPoint.values(), StartingPoint::words);
    FirstLook look =
        new FirstLook(
            point,
            picked(cooler, CoolerClass.values(), CoolerClass::words),
            picked(wish, Wish.values(), Wish::words));
    // A laptop's plate or a console's chamber is what it is.
    cooler.setDisable(!look.coolerIsFree());
    model.lookProperty().set(look.coolerIsFree() ? look : new FirstLook(point, null, look.wish()));
  }

  private void tell() {
    Weighing now = model.forecastProperty().get();
    drawn.setVisible(now != null);
    if (now == null) {
      answer.show("Pick the kind of chip; the forecast follows at once.");
      return;
    }
    Notation notation = shell.notationProperty().get();
    answer.show(now, notation);
    PictureView options = new PictureView();
    options.setId("begin-options");
    options.setMinHeight(PICTURE_HEIGHT);
    options.setPrefHeight(PICTURE_HEIGHT);
    options.show(
        (w, h) -> OptionsPicture.of(now, notation, w, h), shell.themeProperty().get().dark());
    Job job = model.job();
    PictureView section = new PictureView();
    section.setId("begin-section");
    section.setMinHeight(SECTION_HEIGHT);
    section.setPrefHeight(SECTION_HEIGHT);
    section.show(
        (w, h) -> SectionPicture.of(job.chip(), job.cooler(), job.before(), notation, w, h),
        shell.themeProperty().get().dark());
    VBox gains =
        new Column(6, Labels.line("What each option would gain on such a chip", "hint"), options);
    VBox cut = new Column(6, Labels.line("Such a chip, cut through", "hint"), section, worth);
    drawn
        .getChildren()
        .setAll(
            shell.jobProperty().get() == null
                ? List.of(beside(gains, cut))
                : List.of(gains, worth));
    List<Node> lines = new ArrayList<>();
    lines.add(Labels.line("Worth measuring first", "strong"));
    FirstLook.worthMeasuring(now, notation)
        .forEach(words -> lines.add(Labels.line(words, "reason")));
    worth.getChildren().setAll(lines);
  }

  private static HBox beside(VBox wide, VBox narrow) {
    HBox.setHgrow(wide, Priority.ALWAYS);
    narrow.setMinWidth(SECTION_WIDTH);
    narrow.setPrefWidth(SECTION_WIDTH);
    return new Strip(20, wide, narrow);
  }

  @Override
  public void open(boolean now) {
    if (now) {
      model.open();
    }
  }

  @Override
  public Node node() {
    return node;
  }

  @Override
  public void toggleWorking() {
    answer.toggleWorking();
  }
}
