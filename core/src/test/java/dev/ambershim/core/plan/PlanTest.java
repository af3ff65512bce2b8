package dev.ambershim.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.plan.Cases.Arrival;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Assume;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;

/** Plans for every combination of chip, option and school. */
class PlanTest {

  @Provide
  Arbitrary<List<Way>> ways() {
    List<Arbitrary<Way>> each = new ArrayList<>();
    for (School school : School.values()) {
      each.add(Arbitraries.of(school.ways()));
    }
    return Combinators.combine(each).as(all -> all);
  }

  private static Plan plan(Arrival arrival, OptionKind kind, Way... ways) {
    return Plan.of(Cases.of(arrival, kind, ways));
  }

  private static int at(Plan plan, String id) {
    return plan.indexOf(id);
  }

  /** Whether one step must be done before another, by the chain of what follows what. */
  private static boolean before(Plan plan, String first, String then) {
    Set<String> seen = new HashSet<>();
    List<String> open = new ArrayList<>(List.of(then));
    while (!open.isEmpty()) {
      String id = open.remove(open.size() - 1);
      for (String earlier : plan.step(id).orElseThrow().after()) {
        if (earlier.equals(first)) {
          return true;
        }
        if (seen.add(earlier)) {
          open.add(earlier);
        }
      }
    }
    return false;
  }

  private static void inOrder(Plan plan, String first, String then) {
    if (at(plan, first) >= 0 && at(plan, then) >= 0) {
      assertThat(before(plan, first, then)).as("%s before %s", first, then).isTrue();
    }
  }

  @Property(tries = 1500)
  void everyCombinationIsCompleteAndInAPossibleOrder(
      @ForAll Arrival arrival, @ForAll OptionKind kind, @ForAll("ways") List<Way> ways) {
    Assume.that(Cases.possible(arrival, kind));
    WorkCase work = Cases.of(arrival, kind, ways.toArray(new Way[0]));
    Plan plan = Plan.of(work);
    assertThat(work.option()).isEqualTo(kind);
    List<String> ids = plan.steps().stream().map(PlanStep::id).toList();
    assertThat(ids).doesNotHaveDuplicates().startsWith("proof-first").contains("proof-after");

    // Each step comes after all that it must follow, and the list itself is such an order.
    for (PlanStep step : plan.steps()) {
      for (String earlier : step.after()) {
        assertThat(at(plan, earlier)).isBetween(0, at(plan, step.id()) - 1);
      }
    }

    // What must come before what, however the schedule turns it.
    for (String film : List.of("film-die", "film-lid", "film-plate", "film-top")) {
      inOrder(plan, "look-chip", "film-die");
      inOrder(plan, "plate-look", "film-plate");
      inOrder(plan, "cover-look", "film-die");
      inOrder(plan, film, "mount");
      inOrder(plan, film, "waste");
      inOrder(plan, "waste", "mount");
      inOrder(plan, "power-off", film);
    }
    inOrder(plan, "proof-first", "power-off");
    inOrder(plan, "power-off", "cooler-off");
    inOrder(plan, "cooler-off", "chip-out");
    inOrder(plan, "marks", "seat");
    inOrder(plan, "marks", "cut");
    inOrder(plan, "tool", "seat");
    inOrder(plan, "seat", "shear");
    inOrder(plan, "seat", "shear-passes");
    inOrder(plan, "lift", "sealant-chip");
    inOrder(plan, "lid-mark", "lid-inside");
    inOrder(plan, "sealant-chip", "alcohol-die");
    inOrder(plan, "mask", "cover");
    inOrder(plan, "cover-again", "unmask");
    inOrder(plan, "unmask", "cover-look");
    inOrder(plan, "lap-die", "cover");
    inOrder(plan, "wash-lid", "film-lid");
    inOrder(plan, "film-die", "glue");
    inOrder(plan, "film-lid", "lid-on");
    inOrder(plan, "film-look", "lid-on");
    inOrder(plan, "glue", "lid-on");
    inOrder(plan, "lid-on", "press");
    inOrder(plan, "press", "chip-in");
    inOrder(plan, "chip-out", "chip-in");
    inOrder(plan, "chip-in", "mount");
    inOrder(plan, "frame", "mount");
    inOrder(plan, "paste", "mount");
    inOrder(plan, "mount", "first-start");
    inOrder(plan, "first-start", "proof-after");

    complete(work, plan, ids);
    sound(plan);
  }

  /** What each case needs is there, and what it does not need is not. */
  private static void complete(WorkCase work, Plan plan, List<String> ids) {
    assertThat(ids.contains("settings")).isEqualTo(work.settingsOnly());
    assertThat(ids.contains("cooler-off")).isEqualTo(!work.settingsOnly());
    assertThat(ids.contains("lift")).isEqualTo(work.takesLidOff());
    boolean cut = work.takesLidOff() && work.opener() == Way.BLADE;
    assertThat(ids.contains("cut")).isEqualTo(cut);
    assertThat(ids.contains("seat")).isEqualTo(work.takesLidOff() && !cut);
    assertThat(ids.contains("shear-passes")).isEqualTo(work.takesLidOff() && work.soldered());
    assertThat(ids.contains("sealant-chip")).isEqualTo(work.takesLidOff());
    assertThat(ids.contains("film-die")).isEqualTo(work.metalOnDie());
    assertThat(ids.contains("cover")).isEqualTo(work.metalOnDie() && work.cover() != Way.NO_COVER);
    assertThat(ids.contains("film-top")).isEqualTo(work.metalOnLid());
    assertThat(ids.contains("waste")).isEqualTo(work.metalOnDie() || work.metalOnLid());
    assertThat(ids.contains("waste-old")).isEqualTo(work.metalWasThere() || work.dissolves());
    assertThat(ids.contains("glue")).isEqualTo(work.closes() && work.seal() != Way.SEAL_NONE);
    assertThat(ids.contains("lid-on")).isEqualTo(work.closes());
    assertThat(ids.contains("lap-lid")).isEqualTo(work.lapsLid());
    assertThat(ids.contains("lap-die")).isEqualTo(work.lapsDie());
    assertThat(ids.contains("lid-new")).isEqualTo(work.newLid());
    assertThat(ids.contains("heights")).isEqualTo(work.worksOnDie() && work.bare());
    // Exactly one material covers the parts.
    long covers =
        plan.steps().stream()
            .filter(step -> step.id().startsWith("cover"))
            .flatMap(step -> step.needs().stream())
            .map(Need::supply)
            .distinct()
            .filter(
                s ->
                    s == Supply.VARNISH
                        || s == Supply.POLYIMIDE_TAPE
                        || s == Supply.VINYL_TAPE
                        || s == Supply.FOIL)
            .count();
    assertThat(covers).isLessThanOrEqualTo(1);
    assertThat(plan.needs().containsKey(Supply.METAL))
        .isEqualTo(
            work.metalOnDie()
                || work.metalOnLid()
                || ids.contains("metal-die")
                || (ids.contains("solder-die") && work.ways().takes(Way.DISSOLVE)));
    // A blade never comes near the substrate but where the lid is cut.
    plan.step("sealant-chip")
        .ifPresent(s -> assertThat(s.tools()).containsExactly("plastic edge", "wooden stick"));
  }

  /** Every step says all that it must, short enough for the bench. */
  private static void sound(Plan plan) {
    for (PlanStep step : plan.steps()) {
      assertThat(step.title()).as(step.id()).hasSizeBetween(5, 40);
      assertThat(step.action()).as(step.id()).hasSizeBetween(30, 240).endsWith(".");
      assertThat(step.reason()).as(step.id()).endsWith(".");
      assertThat(step.look()).as(step.id()).endsWith(".");
      assertThat(step.wrong()).as(step.id()).isNotEmpty();
      assertThat(step.hands().likely()).as(step.id()).isPositive();
      step.hold().ifPresent(h -> assertThat(h.check()).endsWith("?").hasSizeBetween(10, 90));
      step.needs().forEach(n -> assertThat(n.amount()).as(step.id()).isPositive());
      assertThat(step.title() + step.action() + step.reason()).doesNotContain("!");
    }
  }

  @Test
  void cautionsStandWhereTheWorkCanHurt() {
    for (Arrival arrival : Arrival.values()) {
      for (OptionKind kind : OptionKind.values()) {
        if (Cases.possible(arrival, kind)) {
          Plan plan = plan(arrival, kind, Way.DISSOLVE);
          for (PlanStep step : plan.steps()) {
            boolean metal = step.needs().stream().anyMatch(n -> n.supply() == Supply.METAL);
            if (metal) {
              assertThat(step.caution()).as(step.id()).contains(Caution.METAL);
            }
          }
          plan.step("power-off").ifPresent(s -> assertThat(s.caution()).contains(Caution.MAINS));
          plan.step("lap-die").ifPresent(s -> assertThat(s.caution()).contains(Caution.DUST));
          plan.step("waste").ifPresent(s -> assertThat(s.caution()).contains(Caution.WASTE));
          plan.step("mount")
              .ifPresent(
                  s ->
                      assertThat(s.caution())
                          .contains(plan.work().bare() ? Caution.BARE_DIE : Caution.FORCE));
        }
      }
    }
  }

  @Test
  void theSectionFollowsTheSteps() {
    Plan plan = plan(Arrival.PASTED, OptionKind.METAL_GLUED);
    List<String> states = new ArrayList<>();
    Set<String> done = new HashSet<>();
    for (PlanStep step : plan.steps()) {
      done.add(step.id());
      String words = plan.state(done).words();
      if (states.isEmpty() || !states.get(states.size() - 1).equals(words)) {
        states.add(words);
      }
    }
    assertThat(states)
        .containsExactly(
            "cooler on, lid on",
            "cooler off, lid on",
            "cooler off, lid off, old filling still on, sealant still on",
            "cooler off, lid off, old filling still on",
            "cooler off, lid off, cleaned",
            "cooler off, lid off, cleaned, die masked",
            "cooler off, lid off, cleaned, die masked, parts covered",
            "cooler off, lid off, cleaned, parts covered",
            "cooler off, lid off, cleaned, parts covered, filmed",
            "cooler off, lid on",
            "cooler on, lid on");
  }

  @Test
  void dismissedPlansGoByTheBuilds() {
    // Planned bare, but the build after says that the lid is on again.
    WorkCase work = Cases.of(Arrival.PASTED, OptionKind.METAL_GLUED);
    WorkCase other =
        new WorkCase(
            work.chip(),
            work.cooler(),
            work.before(),
            work.after(),
            work.ways().with(OptionKind.BARE));
    assertThat(other.option()).isEqualTo(OptionKind.METAL_GLUED);
    WorkCase open =
        new WorkCase(work.chip(), work.cooler(), work.before(), work.after(), Ways.USUAL);
    assertThat(open.option()).isEqualTo(OptionKind.METAL_GLUED);
    assertThat(
            new WorkCase(work.chip(), work.cooler(), work.before(), work.before(), Ways.USUAL)
                .option())
        .isEqualTo(OptionKind.FRESH_PASTE);
  }

  @Test
  void everySchoolSaysWhatItTakesAndWhy() {
    for (School school : School.values()) {
      assertThat(school.ways()).as(school.question()).hasSizeGreaterThan(1);
      assertThat(school.usual().why()).as(school.question()).startsWith("Taken as a rule");
      school.ways().stream().skip(1).forEach(w -> assertThat(w.why()).as(w.name()).isEmpty());
    }
    assertThat(Way.SEAL_AROUND.account())
        .isEqualTo(
            "As the maker does it. Costs: hours of curing. Risks: hard to open again; a thick bead"
                + " lifts the lid.");
    Ways ways = Ways.USUAL.with(Way.SEAL_AROUND).with(Way.SEAL_CORNERS);
    assertThat(ways).isEqualTo(Ways.USUAL);
    assertThat(Ways.USUAL.with(Way.BLADE).with(Way.DISSOLVE).picks())
        .containsExactly(Way.BLADE, Way.DISSOLVE);
    assertThat(
            Arrays.stream(School.values())
                .filter(s -> Cases.of(Arrival.SOLDERED, OptionKind.METAL_GLUED).asks(s)))
        .contains(School.SOLDER, School.SEAL)
        .doesNotContain(School.OPENER, School.REST);
  }

  private static List<String> ids(Plan plan) {
    return plan.steps().stream().map(PlanStep::id).toList();
  }

  @Test
  void solderIsScrapedOrDissolved() {
    Plan scraped = plan(Arrival.SOLDERED, OptionKind.METAL_GLUED);
    Plan dissolved = plan(Arrival.SOLDERED, OptionKind.METAL_GLUED, Way.DISSOLVE);
    PlanStep blade = scraped.step("solder-die").orElseThrow();
    PlanStep drop = dissolved.step("solder-die").orElseThrow();
    assertThat(blade.action()).contains("blade lying almost flat");
    assertThat(blade.caution()).contains(Caution.BLADE);
    assertThat(drop.action()).contains("drop by drop");
    assertThat(drop.caution()).contains(Caution.METAL);
    // It takes about the solder's own volume of metal, whose density falls by 10⁻⁴ a kelvin.
    double more = dissolved.needs().get(Supply.METAL) - scraped.needs().get(Supply.METAL);
    assertThat(more).isCloseTo(10.5 * 20.5 * 0.25 * 6.44e-3, within(1e-4));
    // Several passes, turned half round between.
    assertThat(scraped.step("shear-passes").orElseThrow().action()).contains("half round");
  }

  @Test
  void oldLiquidMetalIsTakenOffAnotherWay() {
    Plan again = plan(Arrival.METAL_INSIDE, OptionKind.METAL_RENEWED);
    assertThat(ids(again)).contains("metal-die", "lid-inside").doesNotContain("paste-die");
    assertThat(again.step("metal-die").orElseThrow().reason()).contains("crust");
    Plan bare = plan(Arrival.BARE_METAL, OptionKind.METAL_RENEWED);
    assertThat(ids(bare))
        .contains("metal-die", "plate-clean", "heights")
        .doesNotContain("seat", "lift", "sealant-chip", "lid-on");
    assertThat(bare.step("plate-clean").orElseThrow().caution()).contains(Caution.METAL);
  }

  @Test
  void freshPasteLeavesTheChipInItsSocket() {
    assertThat(ids(plan(Arrival.PASTED, OptionKind.FRESH_PASTE)))
        .containsExactly(
            "proof-first",
            "settings-saved",
            "kit",
            "power-off",
            "cooler-off",
            "top-clean",
            "plate-clean",
            "plate-look",
            "paste",
            "mount",
            "first-start",
            "proof-after",
            "note-next");
    assertThat(ids(plan(Arrival.PASTED, OptionKind.LOWER_VOLTAGE)))
        .containsExactly("proof-first", "settings-saved", "settings", "proof-after", "note-next");
  }

  @Test
  void theFirstStartSaysWhatToUndoFirst() {
    PlanStep lidded =
        plan(Arrival.PASTED, OptionKind.METAL_GLUED).step("first-start").orElseThrow();
    assertThat(lidded.wrong())
        .extracting(Trouble::sign)
        .containsExactly(
            "The chip is not detected, nothing starts",
            "Memory or a slot is missing",
            "Over 80 °C at once");
    assertThat(lidded.wrong().get(1).first()).contains("clamp");
    PlanStep bare = plan(Arrival.PASTED, OptionKind.BARE).step("first-start").orElseThrow();
    assertThat(bare.wrong().get(1).first()).contains("frame");
    assertThat(bare.wrong()).allMatch(t -> t.first().startsWith("power off"));
  }

  @Test
  void everyPasteAndEverySealHasItsOwnWords() {
    Set<String> pastes = new HashSet<>();
    for (Way way : School.PASTE.ways()) {
      pastes.add(
          plan(Arrival.PASTED, OptionKind.FRESH_PASTE, way).step("paste").orElseThrow().action());
    }
    assertThat(pastes).hasSize(School.PASTE.ways().size());
    assertThat(
            plan(Arrival.PASTED, OptionKind.METAL_GLUED, Way.SEAL_AROUND)
                .step("glue")
                .orElseThrow()
                .action())
        .contains("gap");
    // Unglued, the lid is laid on in the socket, and nothing cures.
    Plan laid = plan(Arrival.PASTED, OptionKind.METAL_UNGLUED);
    assertThat(ids(laid)).containsSubsequence("chip-in", "lid-on", "mount");
    assertThat(ids(laid)).doesNotContain("glue", "press");
    assertThat(laid.hands().likely())
        .isLessThan(plan(Arrival.PASTED, OptionKind.METAL_GLUED).hands().likely());
  }

  @Test
  void aToolThatMustComeFirstIsWaitedFor() {
    Plan plan = plan(Arrival.PASTED, OptionKind.METAL_GLUED, Way.TOOL_TO_COME);
    PlanStep tool = plan.step("tool").orElseThrow();
    assertThat(tool.passes().orElseThrow().span().likely()).isGreaterThan(1440);
    assertThat(before(plan, "tool", "seat")).isTrue();
    // The proof run need not wait for it.
    assertThat(before(plan, "tool", "proof-first")).isFalse();
    assertThat(ids(plan(Arrival.PASTED, OptionKind.METAL_GLUED))).doesNotContain("tool");
  }
}
