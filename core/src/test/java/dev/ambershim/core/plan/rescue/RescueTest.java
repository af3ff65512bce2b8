package dev.ambershim.core.plan.rescue;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.plan.Accident;
import dev.ambershim.core.plan.Cases;
import dev.ambershim.core.plan.Cases.Arrival;
import dev.ambershim.core.plan.Mishap;
import dev.ambershim.core.plan.Mishap.Harm;
import dev.ambershim.core.plan.OptionKind;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.PlanStep;
import dev.ambershim.core.plan.Way;
import dev.ambershim.core.plan.rescue.Node.Ask;
import dev.ambershim.core.plan.rescue.Node.End;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Every mishap has a way out, whatever is answered. */
class RescueTest {
  private record Path(List<Boolean> answers, End end) {}

  private static List<Path> ways(Rescue rescue) {
    List<Path> found = new ArrayList<>();
    walk(rescue, List.of(), found);
    return found;
  }

  private static void walk(Rescue rescue, List<Boolean> answers, List<Path> found) {
    if (rescue.at(answers) instanceof End end) {
      found.add(new Path(answers, end));
      return;
    }
    for (boolean yes : new boolean[] {true, false}) {
      List<Boolean> more = new ArrayList<>(answers);
      more.add(yes);
      walk(rescue, more, found);
    }
  }

  private static void speaks(String words, int longest) {
    for (String sentence : words.split("(?<=[.?:;])\\s+", -1)) {
      assertThat(sentence.split("\\s+", -1).length).as(sentence).isLessThanOrEqualTo(30);
    }
    assertThat(words).hasSizeBetween(10, longest).doesNotContain("!");
  }

  @ParameterizedTest
  @EnumSource(Accident.class)
  void everyWayEndsWithinFiveAnswersAndSaysWhatToDo(Accident accident) {
    Rescue rescue = Rescue.of(accident);
    assertThat(rescue.accident()).isEqualTo(accident);
    assertThat(rescue.stop()).isNotEmpty().allSatisfy(s -> speaks(s, 120));
    List<Path> ways = ways(rescue);
    assertThat(ways.size()).isGreaterThanOrEqualTo(2);
    for (Path way : ways) {
      assertThat(way.answers().size()).isBetween(1, 5);
      speaks(way.end().what(), 240);
      assertThat(way.end().what()).endsWith(".");
      Node node = rescue.first();
      for (boolean yes : way.answers()) {
        Ask ask = (Ask) node;
        assertThat(ask.check()).endsWith("?");
        speaks(ask.check(), 140);
        speaks(ask.how(), 240);
        node = yes ? ask.yes() : ask.no();
      }
      // A chip that is lost is nothing to go on with.
      if (way.end().harm() == Harm.LOST) {
        assertThat(way.end().from()).isEmpty();
      }
    }
    assertThat(ways).extracting(w -> w.end().harm()).anyMatch(h -> h != Harm.LOST);
  }

  /** The plan goes on at a step that it has, and never skips ahead. */
  @Test
  void everyPlanGoesOnFromAStepOfItsOwn() {
    List<String> named =
        Arrays.stream(Accident.values())
            .flatMap(a -> ways(Rescue.of(a)).stream())
            .flatMap(w -> w.end().from().stream())
            .distinct()
            .toList();
    List<String> known = new ArrayList<>();
    Plan bladed = Plan.of(Cases.of(Arrival.PASTED, OptionKind.METAL_GLUED, Way.BLADE));
    bladed.steps().forEach(s -> known.add(s.id()));
    for (Arrival arrival : Arrival.values()) {
      for (OptionKind kind : OptionKind.values()) {
        if (!Cases.possible(arrival, kind)) {
          continue;
        }
        Plan plan = Plan.of(Cases.of(arrival, kind));
        plan.steps().forEach(s -> known.add(s.id()));
        PlanStep last = plan.steps().get(plan.steps().size() - 1);
        for (Accident accident : Accident.values()) {
          for (Path way : ways(Rescue.of(accident))) {
            PlanStep on = Rescue.goesOn(plan, way.end(), last);
            assertThat(plan.steps()).contains(on);
            PlanStep first = plan.steps().get(0);
            assertThat(Rescue.goesOn(plan, way.end(), first)).isEqualTo(first);
          }
        }
      }
    }
    assertThat(known).containsAll(named);
  }

  @Test
  void metalUnderPowerStopsAtTheWallAndIsMeasured() {
    Rescue rescue = Rescue.of(Accident.METAL_SPILLED_ON);
    assertThat(rescue.stop().get(0)).startsWith("Power off at the wall");
    assertThat(((Ask) rescue.at(List.of(true))).how()).contains("ohms").contains("ground");
    Plan plan = Plan.of(Cases.of(Arrival.PASTED, OptionKind.METAL_GLUED));
    End end = (End) rescue.at(List.of(false));
    PlanStep here = plan.step("film-look").orElseThrow();
    assertThat(Rescue.goesOn(plan, end, here).id()).isEqualTo("alcohol-die");
  }

  @Test
  void theLogbookTellsHowSuchMishapsEnded() {
    List<Mishap> before =
        List.of(
            new Mishap("a", Harm.MENDED, "", null, Accident.PINS_BENT),
            new Mishap("b", Harm.LOST, "", null, Accident.PINS_BENT),
            new Mishap("c", Harm.LOST, "", null, Accident.DIE_CHIPPED));
    assertThat(Rescue.record(Accident.PINS_BENT, before))
        .isEqualTo("Your logbook has 2 such mishaps; 1 of them lost the chip.");
    assertThat(Rescue.record(Accident.NO_START, before)).contains("no such mishap");
  }
}
