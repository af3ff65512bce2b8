package dev.ambershim.core.plan;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** A step while it is being written. Only this package writes steps. */
final class StepDraft {
  private final String id;
  private final Phase phase;
  private final Set<Thing> things;
  private String title = "";
  private String action = "";
  private String reason = "";
  private String look = "";
  private final List<Trouble> wrong = new ArrayList<>();
  private List<String> tools = List.of();
  private final List<Need> needs = new ArrayList<>();
  private Span hands = Span.NONE;
  private Wait wait;
  private Caution caution;
  private String record = "";
  private Hold hold;
  private Sketch sketch;
  private Step risk;
  private ChipState.Change change = ChipState.Change.NOTHING;
  private boolean atOnce;

  StepDraft(String id, Phase phase, Thing... things) {
    this.id = id;
    this.phase = phase;
    this.things = EnumSet.noneOf(Thing.class);
    this.things.addAll(List.of(things));
  }

  StepDraft title(String words) {
    title = words;
    return this;
  }

  StepDraft action(String words) {
    action = words;
    return this;
  }

  StepDraft reason(String words) {
    reason = words;
    return this;
  }

  StepDraft look(String words) {
    look = words;
    return this;
  }

  StepDraft wrong(String sign, String meaning, String first) {
    wrong.add(new Trouble(sign, meaning, first));
    return this;
  }

  StepDraft tools(String... words) {
    tools = List.of(words);
    return this;
  }

  StepDraft needs(Supply supply, double amount) {
    needs.add(new Need(supply, amount));
    return this;
  }

  StepDraft minutes(double low, double likely, double high) {
    hands = new Span(low, likely, high);
    return this;
  }

  StepDraft wait(double low, double likely, double high, String what, String depends) {
    wait = new Wait(new Span(low, likely, high), what, depends);
    return this;
  }

  StepDraft caution(Caution words) {
    caution = words;
    return this;
  }

  StepDraft record(String words) {
    record = words;
    return this;
  }

  StepDraft hold(String check) {
    hold = new Hold(check, Evidence.TICK, "");
    return this;
  }

  StepDraft holdPhoto(String check) {
    hold = new Hold(check, Evidence.PHOTO, "");
    return this;
  }

  StepDraft holdReading(String check, String reading) {
    hold = new Hold(check, Evidence.READING, reading);
    return this;
  }

  StepDraft sketch(Sketch picture) {
    sketch = picture;
    return this;
  }

  StepDraft risk(Step where) {
    risk = where;
    return this;
  }

  StepDraft change(ChipState.Change what) {
    change = what;
    return this;
  }

  /** Must follow the step before without a pause. */
  StepDraft atOnce() {
    atOnce = true;
    return this;
  }

  String id() {
    return id;
  }

  /** Tools and protective gear that it takes, gear first. */
  List<String> gearAndTools() {
    List<String> all = new ArrayList<>(caution == null ? List.of() : caution.gear());
    all.addAll(tools);
    return all;
  }

  Set<Thing> things() {
    return things;
  }

  PlanStep after(Set<String> before) {
    return new PlanStep(
        id,
        phase,
        things,
        title,
        action,
        reason,
        look,
        wrong,
        tools,
        needs,
        hands,
        Optional.ofNullable(wait),
        Optional.ofNullable(caution),
        record,
        Optional.ofNullable(hold),
        Optional.ofNullable(sketch),
        Optional.ofNullable(risk),
        change,
        atOnce,
        before);
  }
}
