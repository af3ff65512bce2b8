package dev.ambershim.desktop.stage.steps;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.plan.Mishap.Harm;
import dev.ambershim.desktop.stage.steps.EntryLine.Question;
import dev.ambershim.desktop.stage.steps.StepKeys.Action;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** Keys at the bench as they are picked, kept and read again. */
class StepKeysTest {
  @Test
  void aPedalAndTheSpaceBarGoOnAsARule() {
    assertThat(StepKeys.USUAL.action(KeyCode.PAGE_DOWN)).contains(Action.NEXT);
    assertThat(StepKeys.USUAL.action(KeyCode.SPACE)).contains(Action.NEXT);
    assertThat(StepKeys.USUAL.action(KeyCode.PAGE_UP)).contains(Action.BACK);
    assertThat(StepKeys.USUAL.action(KeyCode.Q)).isEmpty();
    assertThat(StepKeys.USUAL.name(Action.NEXT)).isEqualTo("Page Down");
  }

  @Test
  void noKeyDoesTwoThings() {
    Set<KeyCode> seen = new HashSet<>();
    StepKeys.USUAL
        .keys()
        .values()
        .forEach(codes -> codes.forEach(c -> assertThat(seen.add(c)).as(c.name()).isTrue()));
  }

  @Test
  void aPickedKeyIsTakenFromWhatHadIt() {
    StepKeys keys = StepKeys.USUAL.with(Action.NEXT, KeyCode.T);
    assertThat(keys.action(KeyCode.T)).contains(Action.NEXT);
    // The space bar stays; only the first key was replaced.
    assertThat(keys.action(KeyCode.SPACE)).contains(Action.NEXT);
    assertThat(keys.action(KeyCode.PAGE_DOWN)).isEmpty();
    assertThat(keys.name(Action.TIMER)).isEqualTo("no key");
    StepKeys back = keys.with(Action.TIMER, KeyCode.F4);
    assertThat(back.action(KeyCode.F4)).contains(Action.TIMER);
  }

  @Test
  void whatIsKeptComesBack() {
    StepKeys keys =
        StepKeys.USUAL.with(Action.NEXT, KeyCode.F13).with(Action.MISHAP, KeyCode.NUMPAD7);
    assertThat(StepKeys.of(keys.text())).isEqualTo(keys);
    StepKeys bare = StepKeys.USUAL.with(Action.NEXT, KeyCode.T);
    assertThat(StepKeys.of(bare.text())).isEqualTo(bare);
  }

  @Test
  void whatCannotBeReadIsAsUsual() {
    assertThat(StepKeys.of("")).isEqualTo(StepKeys.USUAL);
    assertThat(StepKeys.of("NEXT=NO_SUCH_KEY;DANCE=T;;=;BACK")).isEqualTo(StepKeys.USUAL);
    StepKeys half = StepKeys.of("NEXT=F9;DANCE=T");
    assertThat(half.keys().get(Action.NEXT)).containsExactly(KeyCode.F9);
    assertThat(half.keys().get(Action.BACK)).isEqualTo(StepKeys.USUAL.keys().get(Action.BACK));
    assertThat(new StepKeys(Map.of()).keys()).hasSize(Action.values().length);
  }

  @Test
  void aMishapIsAskedInThreeQuestions() {
    List<Question> questions = EntryLine.mishap();
    assertThat(questions).hasSize(3);
    assertThat(questions.get(1).prompt())
        .contains("1 no harm done")
        .contains("2 mended")
        .contains("4 the chip is lost");
    assertThat(questions.get(0).mayBeEmpty()).isFalse();
    assertThat(questions.get(2).mayBeEmpty()).isTrue();
    assertThat(EntryLine.harm("3")).isEqualTo(Harm.WORSE);
    assertThat(EntryLine.harm("4")).isEqualTo(Harm.LOST);
    assertThat(EntryLine.harm("very")).isEqualTo(Harm.NONE);
    assertThat(EntryLine.harm("")).isEqualTo(Harm.NONE);
  }
}
