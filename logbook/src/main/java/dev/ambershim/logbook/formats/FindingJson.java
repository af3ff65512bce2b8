package dev.ambershim.logbook.formats;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Working;
import java.util.List;
import java.util.Optional;

/**
 * A finding with its working under the published keys. In all records of this package a part that
 * is null is left out, and a figure that is not known, NaN, is written as null.
 */
record FindingJson(
    String key, String sentence, double value, String unit, Range interval, Worked working) {
  record Range(double low, double high, double level) {
    static Range of(Interval interval) {
      return new Range(interval.low(), interval.high(), interval.level());
    }
  }

  record Worked(String formula, List<Input> inputs, String source, List<String> limits) {
    static Worked of(Working working) {
      return new Worked(
          working.formula(),
          working.inputs().stream()
              .map(i -> new Input(i.name(), i.value(), i.unit().symbol()))
              .toList(),
          working.source(),
          working.limits());
    }
  }

  record Input(String name, double value, String unit) {}

  static FindingJson of(Finding finding) {
    return new FindingJson(
        finding.key(),
        finding.sentence(),
        finding.value(),
        finding.unit().symbol(),
        finding.interval().map(Range::of).orElse(null),
        Worked.of(finding.working()));
  }

  /** The finding's block, or null, which leaves it out. */
  static FindingJson of(Optional<Finding> finding) {
    return finding.map(FindingJson::of).orElse(null);
  }
}
