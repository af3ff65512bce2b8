package dev.ambershim.desktop.bench;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.procedure.Mishap.Harm;
import dev.ambershim.desktop.bench.BenchKeys.Action;
import dev.ambershim.desktop.bench.EntryLine.Question;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** Keys at the bench as they are picked, kept and read again. */
class BenchKeysTest {
  @Test
  void aPedalAndTheSpaceBarGoOnAsARule() {
    assertThat(BenchKeys.USUAL.action(KeyCode.PAGE_DOWN)).contains(Action.NEXT);
    assertThat(BenchKeys.USUAL.action(KeyCode.SPACE)).contains(Action.NEXT);
    assertThat(BenchKeys.USUAL.action(KeyCode.PAGE_UP)).contains(Action.BACK);
    assertThat(BenchKeys.USUAL.action(KeyCode.Q)).isEmpty();
    assertThat(BenchKeys.USUAL.name(Action.NEXT)).isEqualTo("Page Down");
  }

  @Test
  void noKeyDoesTwoThings() {
    Set<KeyCode> seen = new HashSet<>();
    BenchKeys.USUAL
        .keys()
        .values()
        .forEach(codes -> codes.forEach(c -> assertThat(seen.add(c)).as(c.name()).isTrue()));
  }

  @Test
  void aPickedKeyIsTakenFromWhatHadIt() {
    BenchKeys keys = BenchKeys.USUAL.with(Action.NEXT, KeyCode.T);
    assertThat(keys.action(KeyCode.T)).contains(Action.NEXT);
    // The space bar stays; only the first key was replaced.
    assertThat(keys.action(KeyCode.SPACE)).contains(Action.NEXT);
    assertThat(keys.action(KeyCode.PAGE_DOWN)).isEmpty();
    assertThat(keys.name(Action.TIMER)).isEqualTo("no key");
    BenchKeys back = keys.with(Action.TIMER, KeyCode.F4);
    assertThat(back.action(KeyCode.F4)).contains(Action.TIMER);
  }

  @Test
  void whatIsKeptComesBack() {
    BenchKeys keys =
        BenchKeys.USUAL.with(Action.NEXT, KeyCode.F13).with(Action.MISHAP, KeyCode.NUMPAD7);
    assertThat(BenchKeys.of(keys.text())).isEqualTo(keys);
    BenchKeys bare = BenchKeys.USUAL.with(Action.NEXT, KeyCode.T);
    assertThat(BenchKeys.of(bare.text())).isEqualTo(bare);
  }

  @Test
  void whatCannotBeReadIsAsUsual() {
    assertThat(BenchKeys.of("")).isEqualTo(BenchKeys.USUAL);
    assertThat(BenchKeys.of("NEXT=NO_SUCH_KEY;DANCE=T;;=;BACK")).isEqualTo(BenchKeys.USUAL);
    BenchKeys half = BenchKeys.of("NEXT=F9;DANCE=T");
    assertThat(half.keys().get(Action.NEXT)).containsExactly(KeyCode.F9);
    assertThat(half.keys().get(Action.BACK)).isEqualTo(BenchKeys.USUAL.keys().get(Action.BACK));
    assertThat(new BenchKeys(Map.of()).keys()).hasSize(Action.values().length);
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
