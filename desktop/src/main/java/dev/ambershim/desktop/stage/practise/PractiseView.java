package dev.ambershim.desktop.stage.practise;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.runs.causes.Trial;
import dev.ambershim.core.stage.practise.DropRound;
import dev.ambershim.core.stage.practise.FaultRound;
import dev.ambershim.core.stage.practise.PractiseWords;
import dev.ambershim.core.stage.practise.StepRound;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.Theme;
import dev.ambershim.desktop.widget.AnswerPane;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Inquiry;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.PictureView;
import dev.ambershim.desktop.widget.Strip;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Practise: a hidden fault to find, a drop to judge, a next step to name. */
public final class PractiseView implements Inquiry {
  private static final double DROP_HEIGHT = 140;

  private final JobModel shell;
  private final PractiseModel model;
  private final AnswerPane answer =
      new AnswerPane("Practise: what is wrong with this chip?", "practise-answer");
  private final VBox notes = new Column(3);
  private final FlowPane trials = new FlowPane(8, 8);
  private final Map<Trial, Button> buttons = new EnumMap<>(Trial.class);
  private final ComboBox<String> choice = new ComboBox<>();
  private final Slider sure = new Slider(10, 100, 60);
  private final Label sureness = Labels.line("", "strong");
  private final Button name = new Button("Name the cause");
  private final Button advise = new Button("What would you test next?");
  private final HBox naming = new Strip(10);
  private final Label wait = Labels.line("", "hint");
  private final PictureView drop = new PictureView();
  private final Label dropTold = Labels.line("");
  private final Label stepAsked = Labels.line("");
  private final FlowPane steps = new FlowPane(8, 8);
  private final Label stepTold = Labels.line("");
  private final VBox kept = new Column(3);
  private final VBox node = new Column(14);

  /**
   * A view of practice.
   *
   * @param back goes back to the stage
   */
  public PractiseView(JobModel shell, Runnable back) {
    this.shell = shell;
    // Rounds begin with the moment, so that they are not repeated.
    long moment = shell.workbench().now().toEpochMilli();
    this.model = new PractiseModel(shell, new SplittableRandom(moment));
    node.getStyleClass().add("stage");
    node.setId("practise");
    Button begin = new Button("Begin a round");
    begin.setId("practise-begin");
    begin.getStyleClass().add("next");
    begin.setOnAction(e -> model.begin());
    Button leave = new Button("Back  Ctrl+Shift+D");
    leave.setId("practise-back");
    leave.setOnAction(e -> back.run());
    for (Trial trial : FaultRound.TRIALS) {
      Button button = new Button();
      button.setId("practise-" + trial.name());
      button.setOnAction(e -> model.take(trial));
      buttons.put(trial, button);
    }
    choice.setId("practise-choice");
    choice.setPrefWidth(240);
    sure.setId("practise-sure");
    sure.setBlockIncrement(10);
    sure.setPrefWidth(180);
    sure.valueProperty().addListener((o, was, is) -> sureness());
    sureness();
    name.setId("practise-name");
    name.setOnAction(e -> answer());
    advise.setId("practise-advise");
    advise.setOnAction(e -> model.advise());
    naming.setAlignment(Pos.CENTER_LEFT);
    naming.getChildren().addAll(Labels.line("It is"), choice, sure, sureness, name);
    wait.setId("practise-wait");
    HBox head = new Strip(10, begin, wait);
    head.setAlignment(Pos.CENTER_LEFT);
    node.getChildren()
        .addAll(answer, head, notes, trials, naming, drops(), nextStep(), record(), leave);
    model.roundProperty().addListener((o, was, is) -> show());
    model.verdictProperty().addListener((o, was, is) -> show());
    model
        .busyProperty()
        .addListener(
            (o, was, is) -> {
              wait.setText(is ? "A moment…" : "");
              show();
            });
    model.recordProperty().addListener((o, was, is) -> follow());
    model.dropProperty().addListener((o, was, is) -> showDrop());
    model.stepProperty().addListener((o, was, is) -> showStep());
    shell.themeProperty().addListener((o, was, is) -> showDrop());
    shell.looks().textPercentProperty().addListener((o, was, is) -> showDrop());
    show();
    follow();
  }

  private void sureness() {
    sureness.setText(Math.round(sure.getValue()) + " % sure");
  }

  private Notation notation() {
    return shell.notationProperty().get();
  }

  private void show() {
    FaultRound round = model.roundProperty().get();
    FaultRound.Verdict verdict = model.verdictProperty().get();
    boolean playing = round != null && verdict == null;
    if (verdict != null) {
      answer.show(PractiseWords.verdict(verdict), PractiseWords.reasons(verdict, notation()));
    } else if (playing) {
      answer.show(
          "This chip runs hot, or does it? You have "
              + Math.round(round.left())
              + " minutes for tests.",
          List.of(
              "Pick tests, look at what they read, then name the cause and how sure you are.",
              "The first time, ask what to test next and see what each test shows."));
    } else if (!model.busyProperty().get() && round == null) {
      answer.show(
          "A chip with a hidden fault, or none: find it by tests.",
          List.of("Each test takes minutes from your budget. Nothing can break here."));
    }
    notes.getChildren().clear();
    for (String note : model.notes()) {
      notes.getChildren().add(Labels.line(note));
    }
    trials.getChildren().clear();
    if (playing) {
      for (Trial trial : FaultRound.TRIALS) {
        Button button = buttons.get(trial);
        button.setText(trial.words() + ", " + Math.round(round.minutes(trial)) + " min");
        button.setDisable(!round.can(trial) || model.busyProperty().get());
        trials.getChildren().add(button);
      }
      advise.setDisable(model.busyProperty().get());
      trials.getChildren().add(advise);
      if (choice.getItems().size() != round.choices().size()
          || !choice.getItems().equals(words(round))) {
        choice.getItems().setAll(words(round));
        choice.getSelectionModel().selectFirst();
      }
    }
    naming.setVisible(playing);
    naming.setManaged(playing);
    name.setDisable(model.busyProperty().get());
  }

  private static List<String> words(FaultRound round) {
    return round.choices().stream().map(FaultRound.Choice::words).toList();
  }

  private void answer() {
    FaultRound round = model.roundProperty().get();
    int picked = choice.getSelectionModel().getSelectedIndex();
    if (round != null && picked >= 0) {
      model.answer(round.choices().get(picked), sure.getValue() / 100);
    }
  }

  private Node drops() {
    drop.setId("practise-drop");
    drop.setMinHeight(DROP_HEIGHT);
    drop.setVisible(false);
    drop.setManaged(false);
    Button lay = new Button("Lay a drop");
    lay.setId("practise-lay");
    lay.setOnAction(e -> model.layDrop());
    FlowPane row = new FlowPane(8, 8, lay);
    for (DropRound.Guess guess : DropRound.Guess.values()) {
      Button button = new Button(guess.words());
      button.setId("practise-drop-" + guess.name());
      button.setOnAction(
          e ->
              model
                  .judge(guess)
                  .ifPresent(
                      told -> {
                        dropTold.setText(told);
                        model.layDrop();
                      }));
      row.getChildren().add(button);
    }
    dropTold.setId("practise-drop-told");
    return new Column(
        6,
        Labels.line("Drops by eye: too little, right, or too much?", "strong"),
        row,
        drop,
        dropTold);
  }

  private void showDrop() {
    DropRound round = model.dropProperty().get();
    if (round == null) {
      return;
    }
    drop.setVisible(true);
    drop.setManaged(true);
    double scale = shell.looks().drawnPerMillimetre();
    drop.show((w, h) -> round.at(scale, w, h), shell.themeProperty().get() == Theme.GRAPHITE);
  }

  private Node nextStep() {
    Button ask = new Button("Ask for a step");
    ask.setId("practise-ask");
    ask.setOnAction(e -> model.askStep());
    stepTold.setId("practise-step-told");
    stepAsked.setId("practise-step-asked");
    return new Column(
        6, Labels.line("Which step next?", "strong"), ask, stepAsked, steps, stepTold);
  }

  private void showStep() {
    StepRound round = model.stepProperty().get();
    steps.getChildren().clear();
    if (round == null) {
      return;
    }
    stepAsked.setText(
        round.chip() + ". You have just done: " + round.done().title() + ". Which step next?");
    stepTold.setText("");
    for (int i = 0; i < round.choices().size(); i++) {
      String id = round.choices().get(i).id();
      Button button = new Button(round.choices().get(i).title());
      button.setId("practise-step-" + i);
      button.setOnAction(
          e -> {
            model.name(id).ifPresent(told -> stepTold.setText(told));
            steps.getChildren().forEach(n -> n.setDisable(true));
          });
      steps.getChildren().add(button);
    }
  }

  private Node record() {
    kept.setId("practise-record");
    return kept;
  }

  private void follow() {
    kept.getChildren().clear();
    List<String> lines = PractiseWords.record(model.recordProperty().get(), notation());
    if (!lines.isEmpty()) {
      kept.getChildren().add(Labels.line("Your own record", "strong"));
      lines.forEach(line -> kept.getChildren().add(Labels.line(line)));
    }
  }

  @Override
  public void open(boolean now) {
    if (now) {
      model.read();
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
