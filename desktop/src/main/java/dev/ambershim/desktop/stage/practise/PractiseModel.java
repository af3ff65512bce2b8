package dev.ambershim.desktop.stage.practise;

import com.fasterxml.jackson.core.JsonProcessingException;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.runs.causes.Sign;
import dev.ambershim.core.runs.causes.Trial;
import dev.ambershim.core.stage.practise.DropRound;
import dev.ambershim.core.stage.practise.FaultRound;
import dev.ambershim.core.stage.practise.PracticeRecord;
import dev.ambershim.core.stage.practise.PractiseWords;
import dev.ambershim.core.stage.practise.StepRound;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.logbook.report.Solved;
import dev.ambershim.logbook.store.Json;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.random.RandomGenerator;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;

/** Rounds of practice, and the record of them. */
public final class PractiseModel {
  /** The setting that the record is kept under. */
  static final String SETTING = "practice";

  private final JobModel shell;
  private final RandomGenerator seeds;
  private final ReadOnlyObjectWrapper<FaultRound> round = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<FaultRound.Verdict> verdict = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<DropRound> drop = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<StepRound> step = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<PracticeRecord> record =
      new ReadOnlyObjectWrapper<>(PracticeRecord.NONE);
  private final ReadOnlyBooleanWrapper busy = new ReadOnlyBooleanWrapper(false);
  private final ObservableList<String> notes = FXCollections.observableArrayList();

  /**
   * A model that keeps its record in the shell's logbook.
   *
   * @param seeds where rounds begin
   */
  public PractiseModel(JobModel shell, RandomGenerator seeds) {
    this.shell = shell;
    this.seeds = seeds;
  }

  /** Reads the record that was kept. */
  public void read() {
    shell.readSetting(SETTING, text -> record.set(read(text)));
  }

  private static PracticeRecord read(String text) {
    if (text.isEmpty()) {
      return PracticeRecord.NONE;
    }
    try {
      return Json.mapper().readValue(text, PracticeRecord.class);
    } catch (JsonProcessingException e) {
      // A record that cannot be read is begun anew; nothing else hangs on it.
      return PracticeRecord.NONE;
    }
  }

  private void keep(PracticeRecord now) {
    record.set(now);
    shell.keep(SETTING, Json.pretty(Json.mapper().valueToTree(now)));
  }

  /** The round that is played; null before the first. */
  public ReadOnlyObjectProperty<FaultRound> roundProperty() {
    return round.getReadOnlyProperty();
  }

  /** How it ended; null while it is played. */
  public ReadOnlyObjectProperty<FaultRound.Verdict> verdictProperty() {
    return verdict.getReadOnlyProperty();
  }

  /** The drop that is judged. */
  public ReadOnlyObjectProperty<DropRound> dropProperty() {
    return drop.getReadOnlyProperty();
  }

  /** The question for the next step. */
  public ReadOnlyObjectProperty<StepRound> stepProperty() {
    return step.getReadOnlyProperty();
  }

  /** What was practised so far. */
  public ReadOnlyObjectProperty<PracticeRecord> recordProperty() {
    return record.getReadOnlyProperty();
  }

  /** Whether a reading is on its way. */
  public ReadOnlyBooleanProperty busyProperty() {
    return busy.getReadOnlyProperty();
  }

  /** What was read and noticed in this round, line by line. */
  public ObservableList<String> notes() {
    return notes;
  }

  private Notation notation() {
    return shell.notationProperty().get();
  }

  /** Begins a round. */
  public void begin() {
    if (busy.get()) {
      return;
    }
    busy.set(true);
    long seed = seeds.nextLong();
    shell
        .inquiry()
        .submit(
            "",
            progress -> FaultRound.of(seed),
            made -> {
              busy.set(false);
              verdict.set(null);
              notes.setAll(PractiseWords.reading(made.readings().get(0), notation()));
              round.set(made);
            });
  }

  /** Asks what the program would test next; the answer comes among the notes. */
  public void advise() {
    FaultRound now = round.get();
    if (now == null || verdict.get() != null || busy.get()) {
      return;
    }
    busy.set(true);
    shell
        .inquiry()
        .submit(
            "",
            progress -> PractiseWords.advice(now, now.ranking(Solved.HELPERS)),
            told -> {
              busy.set(false);
              goOn(now, List.of(told));
            });
  }

  /** Shows what came of it. The round is the same object; whoever shows it looks again. */
  private void goOn(FaultRound same, List<String> lines) {
    notes.addAll(lines);
    round.set(null);
    round.set(same);
  }

  private record Made(FaultRound round, List<String> lines) {}

  /** Makes a test of the round. */
  public void take(Trial trial) {
    FaultRound now = round.get();
    if (now == null || verdict.get() != null || busy.get() || !now.can(trial)) {
      return;
    }
    busy.set(true);
    Notation notation = notation();
    shell
        .inquiry()
        .submit(
            "",
            progress -> {
              int before = now.readings().size();
              Optional<Sign> seen = now.take(trial);
              List<String> lines = new ArrayList<>();
              now.readings()
                  .subList(before, now.readings().size())
                  .forEach(r -> lines.add(PractiseWords.reading(r, notation)));
              seen.ifPresent(sign -> lines.add(sign.words() + "."));
              return new Made(now, lines);
            },
            made -> {
              busy.set(false);
              goOn(made.round, made.lines);
            });
  }

  /** Names the cause, and ends the round. */
  public void answer(FaultRound.Choice choice, double probability) {
    FaultRound now = round.get();
    if (now == null || verdict.get() != null || busy.get()) {
      return;
    }
    busy.set(true);
    shell
        .inquiry()
        .submit(
            "",
            progress -> now.answer(choice, probability, Solved.HELPERS),
            told -> {
              busy.set(false);
              keep(record.get().with(told));
              verdict.set(told);
            });
  }

  /** Lays another drop. */
  public void layDrop() {
    drop.set(DropRound.of(seeds.nextLong()));
  }

  /** Judges the drop; what it was, in words. */
  public Optional<String> judge(DropRound.Guess guess) {
    DropRound now = drop.get();
    if (now == null) {
      return Optional.empty();
    }
    keep(record.get().withDrop(guess == now.truth()));
    return Optional.of(PractiseWords.drop(now, guess, notation()));
  }

  /** Asks for another next step. */
  public void askStep() {
    long seed = seeds.nextLong();
    shell.inquiry().submit("", progress -> StepRound.of(seed), step::set);
  }

  /** Names the next step; what it was, in words. */
  public Optional<String> name(String id) {
    StepRound now = step.get();
    if (now == null) {
      return Optional.empty();
    }
    keep(record.get().withStep(id.equals(now.next().id())));
    return Optional.of(PractiseWords.step(now, id));
  }
}
