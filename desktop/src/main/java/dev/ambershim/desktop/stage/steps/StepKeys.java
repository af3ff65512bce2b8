package dev.ambershim.desktop.stage.steps;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.input.KeyCode;

/**
 * Which key does what at the bench. Any key can be picked, so that a pedal or a one-handed keyboard
 * will do; pedals send Page Down as a rule.
 *
 * @param keys keys by action; the first is the one that is told
 */
record StepKeys(Map<Action, List<KeyCode>> keys) {
  /** What a key can do. */
  enum Action {
    NEXT("go on", KeyCode.PAGE_DOWN, KeyCode.SPACE),
    BACK("back", KeyCode.PAGE_UP, KeyCode.BACK_SPACE),
    TIMER("timer", KeyCode.T),
    PHOTO("photo", KeyCode.P),
    NOTE("note", KeyCode.N),
    WHY("why, and what goes wrong", KeyCode.W),
    MISHAP("rescue, mishap", KeyCode.M),
    PASS("pass without the check", KeyCode.O),
    REOPEN("open a done step again", KeyCode.R),
    MUTE("mute the bell", KeyCode.B);

    private final String words;
    private final List<KeyCode> usual;

    Action(String words, KeyCode... usual) {
      this.words = words;
      this.usual = List.of(usual);
    }

    String words() {
      return words;
    }
  }

  StepKeys {
    Map<Action, List<KeyCode>> all = new EnumMap<>(Action.class);
    for (Action action : Action.values()) {
      all.put(action, List.copyOf(keys.getOrDefault(action, action.usual)));
    }
    keys = all;
  }

  static final StepKeys USUAL = new StepKeys(Map.of());

  /** What a key does, if anything. */
  Optional<Action> action(KeyCode code) {
    return keys.entrySet().stream()
        .filter(e -> e.getValue().contains(code))
        .map(Map.Entry::getKey)
        .findFirst();
  }

  /** The key of an action in words. */
  String name(Action action) {
    List<KeyCode> all = keys.get(action);
    return all.isEmpty() ? "no key" : all.get(0).getName();
  }

  /** The same with another key for an action; the key is taken from whatever had it. */
  StepKeys with(Action action, KeyCode code) {
    Map<Action, List<KeyCode>> all = new EnumMap<>(Action.class);
    keys.forEach((a, codes) -> all.put(a, codes.stream().filter(c -> c != code).toList()));
    List<KeyCode> mine = new ArrayList<>(List.of(code));
    // The keys that came with it stay beside it, but for the first, which is replaced.
    mine.addAll(all.get(action).stream().skip(1).toList());
    all.put(action, mine);
    return new StepKeys(all);
  }

  /** As text, to be kept as a setting. */
  String text() {
    return keys.entrySet().stream()
        .map(
            e ->
                e.getKey()
                    + "="
                    + e.getValue().stream().map(KeyCode::name).collect(Collectors.joining(",")))
        .collect(Collectors.joining(";"));
  }

  /** From text; what it does not say or says wrongly is as usual. */
  static StepKeys of(String text) {
    Map<Action, List<KeyCode>> all = new EnumMap<>(Action.class);
    for (String part : text.split(";", -1)) {
      int at = part.indexOf('=');
      if (at > 0) {
        try {
          List<KeyCode> codes = new ArrayList<>();
          for (String name : part.substring(at + 1).split(",", -1)) {
            if (!name.isEmpty()) {
              codes.add(KeyCode.valueOf(name));
            }
          }
          all.put(Action.valueOf(part.substring(0, at)), codes);
        } catch (IllegalArgumentException unknown) {
          // A key or an action of another version: as usual.
        }
      }
    }
    return new StepKeys(all);
  }
}
