package dev.ambershim.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.plan.Cases.Arrival;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** The handbook's table of plans is what the plans are. */
class PlanTableTest {
  private static final String BEGIN = "<!-- plans -->";
  private static final String END = "<!-- end of plans -->";

  private static String row(Arrival arrival, OptionKind kind) {
    Plan plan = Plan.of(Cases.of(arrival, kind));
    String holds =
        plan.steps().stream()
            .filter(s -> s.hold().isPresent())
            .map(s -> s.title().toLowerCase(Locale.ROOT))
            .collect(Collectors.joining("; "));
    long cautions = plan.steps().stream().flatMap(s -> s.caution().stream()).distinct().count();
    return "| "
        + arrival.words()
        + " | "
        + plan.work().words()
        + " | "
        + plan.steps().size()
        + " | "
        + cautions
        + " | "
        + holds
        + " |";
  }

  private static String table() {
    List<String> rows =
        new ArrayList<>(
            List.of(
                "| the chip as it comes | what is done | steps | cautions | held at |",
                "|---|---|---|---|---|"));
    for (Arrival arrival : Arrival.values()) {
      for (OptionKind kind : OptionKind.values()) {
        boolean told =
            kind == OptionKind.FRESH_PASTE
                || kind == OptionKind.METAL_GLUED
                || kind == OptionKind.METAL_ON_DIE
                || kind == OptionKind.METAL_RENEWED
                || kind == OptionKind.PASTE_INSIDE
                || kind == OptionKind.LAP_TOP
                || kind == OptionKind.BARE;
        if (told && Cases.possible(arrival, kind)) {
          rows.add(row(arrival, kind));
        }
      }
    }
    return String.join("\n", rows);
  }

  @Test
  void theHandbookShowsWhatEachPlanHolds() throws IOException {
    String page = Files.readString(Path.of("../docs/handbook/plans.md"));
    String shown = page.substring(page.indexOf(BEGIN) + BEGIN.length(), page.indexOf(END)).strip();
    assertThat(shown).isEqualTo(table());
    assertThat(table().lines().count()).isGreaterThan(40);
  }
}
