package dev.ambershim.desktop.stage.steps;

import dev.ambershim.core.plan.Evidence;
import dev.ambershim.core.plan.Hold;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.WorkModel;
import dev.ambershim.desktop.stage.steps.EntryLine.Question;
import dev.ambershim.desktop.stage.steps.StepKeys.Action;
import dev.ambershim.desktop.widget.Camera;
import dev.ambershim.desktop.widget.Desk;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.TextInputControl;
import javafx.scene.image.Image;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/** What a key, a pedal or a button of the bench does: it goes on, or asks for what is missing. */
final class Hands {
  private static final String KEYS = "benchKeys";
  private static final String PHOTOS = "photoFolder";

  private final JobModel shell;
  private final Desk window;
  private final StepsModel model;
  private final EntryLine entry;
  private final Runnable why;
  private final Runnable changed;
  private StepKeys keys = StepKeys.USUAL;
  private String initials = "";
  private String folder = "";
  private boolean acting;

  /**
   * The hands at a bench.
   *
   * @param why shows or hides the reasons of a step
   * @param changed after other keys were picked
   */
  Hands(
      JobModel shell,
      Desk window,
      StepsModel model,
      EntryLine entry,
      Runnable why,
      Runnable changed) {
    this.shell = shell;
    this.window = window;
    this.model = model;
    this.entry = entry;
    this.why = why;
    this.changed = changed;
  }

  /** Brings what was kept: keys, initials and the folder for photos. */
  void enter() {
    WorkModel kept = shell.workbench();
    kept.setting(
        KEYS,
        text -> {
          keys = StepKeys.of(text);
          changed.run();
        });
    kept.setting("initials", text -> initials = text);
    kept.setting(PHOTOS, this::watch);
  }

  /** Watches a folder for photos, if it is one. */
  private void watch(String path) {
    folder = path;
    model.watch(path);
  }

  /** The keys as they were picked. */
  StepKeys keys() {
    return keys;
  }

  /** Whether the key that is down has done something, so that its letter belongs to no line. */
  boolean acting() {
    return acting;
  }

  /** The key is up again. */
  void released() {
    acting = false;
  }

  /** Takes a key; whether it was one of the bench's. */
  boolean key(KeyEvent event) {
    if (model.shownProperty().get() == null) {
      return false;
    }
    if (entry.open()) {
      if (event.getCode() == KeyCode.ESCAPE) {
        entry.close();
        return true;
      }
      // What is being typed belongs to the line.
      return false;
    }
    if (event.isShortcutDown()) {
      return shortcut(event);
    }
    if (model.rescue().isOpen()) {
      acting = rescued(event.getCode());
      return acting;
    }
    if (event.getTarget() instanceof TextInputControl || event.isAltDown()) {
      return false;
    }
    Optional<Action> asked = keys.action(event.getCode());
    acting = asked.isPresent();
    asked.ifPresent(this::act);
    return acting;
  }

  private boolean shortcut(KeyEvent event) {
    if (event.getCode() == KeyCode.K) {
      StepKeysSheet.open(
          window,
          keys,
          other -> {
            keys = other;
            shell.workbench().keepSetting(KEYS, other.text());
            changed.run();
          },
          folder,
          other -> {
            shell.workbench().keepSetting(PHOTOS, other);
            watch(other);
          });
      return true;
    }
    if (event.getCode() == KeyCode.V && Clipboard.getSystemClipboard().hasImage()) {
      Image image = Clipboard.getSystemClipboard().getImage();
      model.pasted(Camera.png(image));
      return true;
    }
    return false;
  }

  private void act(Action asked) {
    switch (asked) {
      case NEXT -> goOn();
      case BACK -> model.back();
      case TIMER -> model.timer();
      case PHOTO -> model.photos(window.files().photos());
      case NOTE ->
          entry.ask(
              List.of(new Question("Note", model.shownProperty().get().entry().note(), true)),
              a -> model.note(a.get(0)));
      case WHY -> why.run();
      case MISHAP -> model.rescue().open();
      case PASS -> pass();
      case REOPEN -> model.reopen();
      case MUTE -> mute();
    }
  }

  /** A key while a way out is on the screen. */
  private boolean rescued(KeyCode code) {
    if (code == KeyCode.ESCAPE) {
      model.rescue().close();
      return true;
    }
    if (code == KeyCode.DIGIT0 || code == KeyCode.NUMPAD0) {
      model.rescue().close();
      entry.ask(
          EntryLine.mishap(), a -> model.mishap(a.get(0), EntryLine.harm(a.get(1)), a.get(2)));
      return true;
    }
    if (code == KeyCode.BACK_SPACE) {
      return model.rescue().back();
    }
    if (keys.action(code).filter(a -> a == Action.NEXT).isPresent()) {
      model.endRescue();
      return true;
    }
    if (!code.isLetterKey()) {
      return false;
    }
    char letter = code.getName().charAt(0);
    return model.rescue().pick(letter)
        || ((letter == 'Y' || letter == 'N') && model.rescue().answer(letter == 'Y'));
  }

  private void mute() {
    boolean silent = !shell.workbench().timers().mutedProperty().get();
    shell.workbench().timers().mute(silent);
    model.say(silent ? "The bell is muted." : "The bell rings again.");
  }

  private void pass() {
    if (model.barrier().why().isEmpty()) {
      model.say("This step has no check that has to be passed.");
      return;
    }
    entry.ask(
        List.of(new Question("Why without the check? The report shows it.", "", false)),
        a -> model.pass(a.get(0)));
  }

  /** Goes on, or asks for what is missing. */
  private void goOn() {
    Optional<Evidence> missing = model.barrier().asksFor();
    model.next();
    if (shell.readOnly() || missing.isEmpty()) {
      return;
    }
    Hold hold = model.shownProperty().get().step().hold().orElseThrow();
    switch (missing.get()) {
      case TICK ->
          entry.ask(
              List.of(new Question("If yes, your initials:", initials, false)),
              a -> {
                initials = a.get(0);
                model.initials(a.get(0));
                model.say("");
              });
      case READING ->
          entry.ask(
              List.of(new Question("If yes, " + hold.reading() + ":", "", false)),
              a -> {
                model.reading(a.get(0));
                model.say("");
              });
      case PHOTO ->
          model.say(
              "Hold point: it asks for a photo. "
                  + keys.name(Action.PHOTO)
                  + " picks one, Ctrl+V pastes one, or drop it here.");
    }
  }
}
