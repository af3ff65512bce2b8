package dev.ambershim.desktop.demo;

import dev.ambershim.core.job.Care;
import dev.ambershim.core.job.CareEvent;
import dev.ambershim.core.job.CareEvent.Kind;
import dev.ambershim.core.job.KeptCheck;
import dev.ambershim.core.job.KeptCheck.From;
import java.time.LocalDate;
import java.util.List;

/** What the workshop wrote down of its chips in use. */
final class DemoChecks {
  private DemoChecks() {}

  /** Two years under factory paste that dried, then renewed. */
  static Care sorrel() {
    return Care.NONE
        .withChecks(
            List.of(
                typed("2024-06-20", 48.9, 146, "before", null),
                typed("2024-09-14", 51.0, 149, "before", null),
                typed("2024-12-07", 50.6, 145, "before", null),
                everyday("2025-02-22", "sorrel-evening.csv", 33.2, 92, "before"),
                typed("2025-05-10", 54.3, 150, "before", null),
                typed("2025-08-16", 55.6, 152, "before", null),
                typed("2025-11-29", 54.4, 146, "before", null),
                everyday("2026-02-14", "sorrel-weekend.csv", 37.4, 98, "before"),
                typed("2026-05-09", 58.0, 151, "before", null),
                typed("2026-06-27", 40.7, 151, "", 6.2),
                typed("2026-07-18", 39.9, 149, "", 6.0),
                typed("2026-08-15", 40.8, 150, "", 6.3),
                everyday("2026-09-12", "sorrel-render.csv", 26.0, 97, ""),
                typed("2026-10-10", 40.0, 148, "", 6.1),
                typed("2026-11-07", 40.5, 150, "", 6.1)))
        .withEvents(
            List.of(
                new CareEvent(LocalDate.parse("2025-09-20"), Kind.DUST, "filter and fins"),
                new CareEvent(LocalDate.parse("2026-06-14"), Kind.RENEWED, "liquid metal inside")));
  }

  /** A bare die that runs as on the first day; so few months take this many checks to say so. */
  static Care fennel() {
    return Care.NONE.withChecks(
        List.of(
            typed("2026-08-08", 43.2, 214, "", 8.0),
            typed("2026-08-15", 43.3, 215, "", 8.0),
            typed("2026-08-29", 43.9, 218, "", 8.1),
            typed("2026-09-12", 43.1, 215, "", 8.0),
            typed("2026-09-26", 43.6, 215, "", 8.1),
            everyday("2026-10-10", "fennel-day.csv", 26.3, 131, ""),
            typed("2026-10-24", 43.5, 216, "", 8.0),
            typed("2026-10-31", 43.0, 213, "", 7.9),
            typed("2026-11-14", 43.7, 216, "", 8.1),
            typed("2026-11-21", 43.4, 215, "", 8.0)));
  }

  private static KeptCheck typed(
      String day, double rise, double watts, String state, Double coolant) {
    return new KeptCheck(
        LocalDate.parse(day), From.TYPED, "", rise, watts, null, coolant, state, 1);
  }

  private static KeptCheck everyday(
      String day, String source, double rise, double watts, String state) {
    return new KeptCheck(
        LocalDate.parse(day), From.EVERYDAY, source, rise, watts, 0.3, null, state, 1);
  }
}
