package dev.ambershim.core.job;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import java.lang.reflect.RecordComponent;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Whether a job that came from outside is whole: nothing is missing that must be there, every
 * figure is one, and no text is endless or holds signs that no keyboard writes. It walks the job's
 * records by their components, so that a new field is held to it without a word. What a boxed
 * figure or a time does not say may be missing; so may the few parts below.
 */
final class Soundness {
  /** Longest title of a job, and of a chip and other names, in letters. */
  static final int MOST_LETTERS = 300;

  /** Longest notes, in letters. */
  static final int MOST_NOTES = 100_000;

  /** Most runs of a job. */
  static final int MOST_RUNS = 2000;

  private static final int MOST_PARTS = 250_000;
  private static final double LARGEST = 1e9;

  /** Parts that may be missing, by record and component. */
  private static final Set<String> MAY_BE_MISSING =
      Set.of(
          "Job.compared",
          "Job.ruinedAt",
          "Cooler.kind",
          "Cooler.flowLitresPerHour",
          "Cooler.warmsKelvin",
          "Cooler.radiatorKelvinPerWatt",
          "Cooler.otherWatts",
          "Cooler.inBaseKelvinPerWatt",
          "Cooler.alongTimes",
          "Terms.targetKelvin",
          "Terms.ownPaste",
          "Ways.option",
          "StepEntry.mishap",
          "Mishap.risk",
          "Mishap.accident",
          "CoatTerms.earlier",
          "PasteTerms.pattern",
          "Found.photos",
          "PhotoPair.then",
          "LapTerms.finish");

  private static final List<String> PARTS = List.of("chip", "cooler", "before", "after");

  private Soundness() {}

  /**
   * Checks a job.
   *
   * @throws Problem {@code job.missing}, {@code job.figure} or {@code job.words} with the path
   */
  static void check(Job job) {
    if (job.runs() != null && job.runs().size() > MOST_RUNS) {
      throw new Problem(
          "job.many",
          Place.field("runs"),
          "The job has " + job.runs().size() + " runs; at most " + MOST_RUNS + " are taken.",
          "Split it into two jobs.");
    }
    walk("", job);
  }

  /**
   * Checks that chip, cooler and both builds are there with all that is drawn and reckoned of them.
   *
   * @throws Problem {@code job.missing}, naming what is not there
   */
  static void built(Job job) {
    List<Object> parts = new ArrayList<>();
    parts.add(job.chip());
    parts.add(job.cooler());
    parts.add(job.before());
    parts.add(job.after());
    for (int i = 0; i < parts.size(); i++) {
      there(PARTS.get(i), parts.get(i));
    }
    there("chip.lid", job.chip().lid());
    there("before.inner", job.before().inner());
    there("before.outer", job.before().outer());
    there("after.inner", job.after().inner());
    there("after.outer", job.after().outer());
  }

  private static void walk(String path, Object value) {
    if (value instanceof Double || value instanceof Float) {
      double figure = ((Number) value).doubleValue();
      if (!(Math.abs(figure) <= LARGEST)) {
        throw new Problem(
            "job.figure",
            Place.field(path),
            figure + " cannot be.",
            "Give a figure in the field's unit, or leave it out where it may be missing.");
      }
    } else if (value instanceof String text) {
      words(path, text);
    } else if (value instanceof Collection<?> all) {
      if (all.size() > MOST_PARTS) {
        throw new Problem(
            "job.many", Place.field(path), "It holds " + all.size() + " parts.", "Keep fewer.");
      }
      int i = 0;
      for (Object one : all) {
        there(path + "[" + i + "]", one);
        walk(path + "[" + i++ + "]", one);
      }
    } else if (value instanceof Map<?, ?> map) {
      map.forEach(
          (key, one) -> {
            there(path, one);
            walk(path, key);
            walk(path, one);
          });
    } else if (value instanceof Record) {
      record(path, value);
    }
  }

  private static void record(String path, Object value) {
    for (RecordComponent c : value.getClass().getRecordComponents()) {
      String inner = path.isEmpty() ? c.getName() : path + "." + c.getName();
      Object part = part(c, value);
      if (part == null && !mayBeMissing(value.getClass(), c)) {
        there(inner, null);
      }
      walk(inner, part);
    }
  }

  private static Object part(RecordComponent component, Object record) {
    try {
      return component.getAccessor().invoke(record);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(e);
    }
  }

  private static boolean mayBeMissing(Class<?> record, RecordComponent c) {
    Class<?> type = c.getType();
    return Number.class.isAssignableFrom(type)
        || type == Boolean.class
        || (type == Instant.class && !c.getName().equals("wall"))
        || type == LocalDate.class
        || MAY_BE_MISSING.contains(record.getSimpleName() + "." + c.getName());
  }

  private static void there(String path, Object part) {
    if (part == null) {
      throw new Problem(
          "job.missing",
          Place.field(path),
          "This is missing; a job must say it.",
          "Put it in, or write the job anew from the logbook that it came from.");
    }
  }

  private static void words(String path, String text) {
    boolean notes = path.equals("notes") || path.endsWith(".note") || path.endsWith(".reading");
    int most = notes ? MOST_NOTES : MOST_LETTERS;
    if (text.length() > most) {
      throw new Problem(
          "job.words",
          Place.field(path),
          "It holds " + text.length() + " letters; at most " + most + " are taken.",
          "Say it in fewer words.");
    }
    for (int i = 0; i < text.length(); i++) {
      char sign = text.charAt(i);
      if (Character.isISOControl(sign)
          && !(notes && (sign == '\n' || sign == '\t' || sign == '\r'))) {
        throw new Problem(
            "job.words",
            Place.field(path),
            "It holds a control character (" + (int) sign + ") among its letters.",
            "Take it out.");
      }
    }
  }
}
