package dev.ambershim.desktop.stage.steps;

import dev.ambershim.core.plan.Mishap.Harm;
import dev.ambershim.desktop.widget.Box;
import dev.ambershim.desktop.widget.Labels;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;

/**
 * One line to type into, whatever is asked: initials, a reading, a note, a reason, the three
 * questions about a mishap. Enter keeps it, Escape leaves it.
 */
final class EntryLine extends HBox {
  private static final List<Harm> HARMS = List.of(Harm.values());

  private final Label prompt = Labels.line("");
  private final TextField field = new Box();
  private final Runnable onClose;
  private final Deque<Question> questions = new ArrayDeque<>();
  private final List<String> answers = new ArrayList<>();
  private Consumer<List<String>> then;

  /** A question; what may be left empty says so. */
  record Question(String prompt, String suggested, boolean mayBeEmpty) {}

  /**
   * An empty line.
   *
   * @param onClose gives the keyboard back
   */
  EntryLine(Runnable onClose) {
    super(16);
    this.onClose = onClose;
    getStyleClass().add("bench-entry");
    setAlignment(Pos.CENTER_LEFT);
    field.setId("bench-field");
    prompt.setId("bench-prompt");
    prompt.setMinWidth(USE_PREF_SIZE);
    HBox.setHgrow(field, Priority.ALWAYS);
    getChildren().addAll(prompt, field);
    field.setOnAction(e -> answer());
    close();
  }

  /** Asks something. */
  void ask(List<Question> all, Consumer<List<String>> done) {
    questions.clear();
    questions.addAll(all);
    answers.clear();
    then = done;
    show();
  }

  private void show() {
    Question question = questions.element();
    prompt.setText(question.prompt());
    field.setText(question.suggested());
    setVisible(true);
    setManaged(true);
    field.requestFocus();
    field.selectAll();
  }

  private void answer() {
    String text = field.getText().strip();
    if (text.isEmpty() && !questions.element().mayBeEmpty()) {
      return;
    }
    answers.add(text);
    questions.remove();
    if (!questions.isEmpty()) {
      show();
      return;
    }
    List<String> all = List.copyOf(answers);
    close();
    then.accept(all);
  }

  /** Whether something is being asked. */
  boolean open() {
    return isVisible();
  }

  /** Leaves what was asked. */
  void close() {
    setVisible(false);
    setManaged(false);
    questions.clear();
    onClose.run();
  }

  /** The questions about a mishap. */
  static List<Question> mishap() {
    StringBuilder harms = new StringBuilder("How bad?");
    for (int i = 0; i < HARMS.size(); i++) {
      harms.append("  ").append(i + 1).append(' ').append(HARMS.get(i).words());
    }
    return List.of(
        new Question("What happened?", "", false),
        new Question(harms.toString(), "1", false),
        new Question("What will you do another way next time?", "", true));
  }

  /** The harm that was typed as its number; no harm if it is none. */
  static Harm harm(String typed) {
    return typed.matches("[1-4]") ? HARMS.get(Integer.parseInt(typed) - 1) : Harm.NONE;
  }
}
