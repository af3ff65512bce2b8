package dev.ambershim.core.plan;

import dev.ambershim.core.base.SeededDraws;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.hipparchus.random.RandomDataGenerator;

/**
 * When each step that is left is done.
 *
 * <p>One pair of hands; waits run beside other work; nobody works outside the hours. The order is
 * the best there is for the likely times (see {@link Sequencer}). How sure the end is comes from
 * {@value #DRAWS} draws of every time from its PERT beta distribution with that order kept.
 *
 * @param slots the steps in the order in which they are done
 * @param asOf the moment it was set up at
 * @param begin when the first begins
 * @param likelyEnd when all is done and has passed, with the likely times
 * @param oneByOneEnd the same if nothing were done beside a wait
 * @param medianEnd before which it ends in half of the draws
 * @param cautiousEnd before which it ends in nine of ten draws
 * @param cautiousBegin with an end that is given: when to begin so that nine of ten draws make it
 * @param wanted the end that was asked for
 * @param late whether that cannot be kept even by beginning now
 */
public record Schedule(
    List<Slot> slots,
    Instant asOf,
    Instant begin,
    Instant likelyEnd,
    Instant oneByOneEnd,
    Instant medianEnd,
    Instant cautiousEnd,
    Optional<Instant> cautiousBegin,
    Optional<Instant> wanted,
    boolean late) {
  /** How often the times are drawn. */
  public static final int DRAWS = 2000;

  private static final double CAUTIOUS = 0.9;

  /** How far a person's pace at all steps lies from the usual one, as a logarithm; practice. */
  private static final double PACE = 0.25;

  private static final long SEED = 20_260_715L;

  /**
   * A step in time.
   *
   * @param step the step
   * @param begin when it begins
   * @param handsEnd when the hands are free again
   * @param passedEnd when its wait has passed
   * @param slackMinutes how much later it may begin without the end being later
   */
  public record Slot(
      PlanStep step, Instant begin, Instant handsEnd, Instant passedEnd, double slackMinutes) {}

  /** Copies its list. */
  public Schedule {
    slots = List.copyOf(slots);
  }

  /** What is to be scheduled and when. */
  private record Task(
      List<Block> blocks, double[] ready, double start, Windows windows, Instant now) {}

  /**
   * Sets the rest of a plan in time.
   *
   * @param log what is done, and the hours, the start and the end that are wanted
   * @param now the moment
   * @param zone where the hours count
   * @return empty if nothing is left to do
   * @throws dev.ambershim.core.base.Problem {@code schedule.hours} if a step does not fit into the
   *     hours; {@code schedule.far} if start or end lie too far ahead
   */
  public static Optional<Schedule> of(Plan plan, WorkLog log, Instant now, ZoneId zone) {
    return of(plan.steps(), log, now, zone);
  }

  /**
   * Sets steps in time.
   *
   * @param steps each after those it waits for
   * @param log what is done, and the hours, the start and the end that are wanted
   * @param now the moment
   * @param zone where the hours count
   * @return empty if nothing is left to do
   * @throws dev.ambershim.core.base.Problem as the other
   */
  static Optional<Schedule> of(List<PlanStep> steps, WorkLog log, Instant now, ZoneId zone) {
    Task task = task(steps, log, now, zone);
    if (task.blocks().isEmpty()) {
      return Optional.empty();
    }
    ScheduleRules.check(task.blocks(), log, now);
    Sequencer forwards = new Sequencer(task.blocks(), task.windows(), task.ready());
    boolean toEnd = log.doneBy() != null && log.startAt() == null;
    int[] order;
    double start = task.start();
    boolean late = false;
    Optional<Instant> cautiousBegin = Optional.empty();
    if (toEnd) {
      double end = minutes(now, log.doneBy());
      Sequencer back = backwards(task, end);
      int[] reversed = back.best(0);
      double latest = -back.end(reversed, 0) + end;
      late = latest < task.start() - 0.5;
      if (late) {
        order = forwards.best(start);
      } else {
        order = turned(reversed);
        start = latest;
        cautiousBegin =
            Optional.of(at(now, Math.max(task.start(), drawnBegin(task, back, reversed, end))));
      }
    } else {
      order = forwards.best(start);
      late = log.doneBy() != null && forwards.end(order, start) > minutes(now, log.doneBy()) + 0.5;
    }
    double[] starts = forwards.starts(order, start);
    double end = forwards.end(order, start);
    double[] ends = drawnEnds(task, forwards, order, start);
    return Optional.of(
        new Schedule(
            slots(task, order, starts, end),
            now,
            at(now, Arrays.stream(starts).min().orElse(start)),
            at(now, end),
            at(now, oneByOne(task, order, start)),
            at(now, quantile(ends, 0.5)),
            at(now, quantile(ends, CAUTIOUS)),
            cautiousBegin,
            Optional.ofNullable(log.doneBy()),
            late));
  }

  private static Task task(List<PlanStep> all, WorkLog log, Instant now, ZoneId zone) {
    List<List<PlanStep>> groups = new ArrayList<>();
    Map<String, Integer> place = new HashMap<>();
    Map<String, Double> free = new HashMap<>();
    double start =
        log.startAt() == null || log.begun() ? 0 : Math.max(0, minutes(now, log.startAt()));
    double busyUntil = 0;
    for (PlanStep step : all) {
      StepEntry entry = log.entry(step.id());
      boolean goesOn = entry.begunAt() != null && step.id().equals(log.at());
      if (entry.done() || goesOn) {
        double done;
        if (entry.done()) {
          done = minutes(now, entry.doneAt());
        } else {
          double spent = Math.max(0, -minutes(now, entry.begunAt()));
          // Half of its least time stays when it takes longer than thought.
          done = Math.max(step.hands().likely() - spent, step.hands().low() / 2);
          busyUntil = Math.max(busyUntil, done);
        }
        free.put(step.id(), done + waits(step, log, done));
      } else if (step.atOnce() && !groups.isEmpty() && step.after().contains(last(groups).id())) {
        last2(groups).add(step);
        place.put(step.id(), groups.size() - 1);
      } else {
        groups.add(new ArrayList<>(List.of(step)));
        place.put(step.id(), groups.size() - 1);
      }
    }
    List<Block> blocks = new ArrayList<>();
    double[] ready = new double[groups.size()];
    for (int i = 0; i < groups.size(); i++) {
      List<PlanStep> steps = groups.get(i);
      List<Integer> before = new ArrayList<>();
      double hands = 0;
      for (PlanStep step : steps) {
        hands += step.hands().likely();
        for (String id : step.after()) {
          if (place.containsKey(id) && place.get(id) != i && !before.contains(place.get(id))) {
            before.add(place.get(id));
          }
          ready[i] = Math.max(ready[i], free.getOrDefault(id, 0.0));
        }
      }
      double passes = steps.get(steps.size() - 1).passes().map(w -> w.span().likely()).orElse(0.0);
      blocks.add(new Block(steps, hands, passes, 0, before));
    }
    return new Task(blocks, ready, Math.max(start, busyUntil), log.hours().around(now, zone), now);
  }

  private static PlanStep last(List<List<PlanStep>> groups) {
    List<PlanStep> group = last2(groups);
    return group.get(group.size() - 1);
  }

  private static List<PlanStep> last2(List<List<PlanStep>> groups) {
    return groups.get(groups.size() - 1);
  }

  /** Minutes that still pass after a step's hands: none once its timer was put away. */
  private static double waits(PlanStep step, WorkLog log, double done) {
    if (step.passes().isEmpty()) {
      return 0;
    }
    boolean over = log.timer(step.id()).filter(t -> t.endedAt() != null).isPresent();
    return over ? Math.min(0, -done) : step.passes().get().span().likely();
  }

  private static Sequencer backwards(Task task, double end) {
    return new Sequencer(task.blocks(), task.windows(), task.ready()).backwards(end);
  }

  private static int[] turned(int[] order) {
    int[] other = new int[order.length];
    for (int i = 0; i < order.length; i++) {
      other[i] = order.length - 1 - order[order.length - 1 - i];
    }
    return other;
  }

  private static List<Slot> slots(Task task, int[] order, double[] starts, double end) {
    Sequencer back = backwards(task, end);
    int[] reversed = turned(order);
    double[] backStarts = back.starts(reversed, 0);
    List<Slot> slots = new ArrayList<>();
    int n = order.length;
    for (int i : order) {
      Block block = task.blocks().get(i);
      double latest = end - backStarts[n - 1 - i] - block.hands();
      double slack = Math.max(0, latest - starts[i]);
      double at = starts[i];
      for (PlanStep step : block.steps()) {
        double handsEnd = at + step.hands().likely();
        double passed = handsEnd + step.passes().map(w -> w.span().likely()).orElse(0.0);
        slots.add(
            new Slot(
                step, at(task.now(), at), at(task.now(), handsEnd), at(task.now(), passed), slack));
        at = handsEnd;
      }
    }
    slots.sort(Comparator.comparing(Slot::begin));
    return slots;
  }

  /** The end if each wait were sat out before anything else is begun. */
  private static double oneByOne(Task task, int[] order, double start) {
    double at = start;
    for (int i : order) {
      Block block = task.blocks().get(i);
      double begin = task.windows().earliest(Math.max(at, task.ready()[i]), block.hands());
      at = begin + block.hands() + block.passes();
    }
    return at;
  }

  /** Ends of many draws, minutes from now, sorted. */
  private static double[] drawnEnds(Task task, Sequencer forwards, int[] order, double start) {
    Drawing drawing = new Drawing(task);
    double[] ends = new double[DRAWS];
    Arrays.setAll(ends, d -> forwards.end(order, start, drawing.next()));
    Arrays.sort(ends);
    return ends;
  }

  /** The begin that lets nine of ten draws end in time. */
  private static double drawnBegin(Task task, Sequencer back, int[] reversed, double end) {
    Drawing drawing = new Drawing(task);
    double[] begins = new double[DRAWS];
    Arrays.setAll(begins, d -> end - back.end(reversed, 0, drawing.next().backwards()));
    Arrays.sort(begins);
    return quantile(begins, 1 - CAUTIOUS);
  }

  /** Draws of all times of a task, one after the other. */
  private static final class Drawing {
    private final RandomDataGenerator random = SeededDraws.of(SEED);
    private final List<List<PertTime>> hands = new ArrayList<>();
    private final List<Optional<PertTime>> passes = new ArrayList<>();
    private final double[] leads;
    private final double[] ready;
    private final double longest;

    Drawing(Task task) {
      for (Block block : task.blocks()) {
        hands.add(block.steps().stream().map(s -> new PertTime(s.hands())).toList());
        passes.add(
            block.steps().get(block.steps().size() - 1).passes().map(w -> new PertTime(w.span())));
      }
      leads = new double[hands.size()];
      ready = task.ready();
      longest = task.windows().longest();
    }

    Sequencer.Times next() {
      double[] drawn = new double[leads.length];
      double[] passed = new double[leads.length];
      // Who is slow at one step is slow at the next: such errors do not even out.
      double pace = Math.exp(PACE * random.nextNormal(0, 1));
      for (int i = 0; i < drawn.length; i++) {
        double sum = 0;
        for (PertTime step : hands.get(i)) {
          sum += step.draw(random);
        }
        // What takes longer than a day's hours is broken off at their end.
        drawn[i] = Math.min(pace * sum, longest);
        passed[i] = passes.get(i).map(p -> p.draw(random)).orElse(0.0);
      }
      return new Sequencer.Times(drawn, passed, leads, ready);
    }
  }

  private static double quantile(double[] sorted, double level) {
    return sorted[(int) Math.min(sorted.length - 1, Math.floor(level * sorted.length))];
  }

  /** Minutes from one moment to another, parts of a second too. */
  static double minutes(Instant from, Instant to) {
    return Duration.between(from, to).toNanos() / 60e9;
  }

  private static Instant at(Instant now, double minutes) {
    if (Double.isInfinite(minutes)) {
      return Instant.MAX;
    }
    // To the millisecond as a whole, or nine o'clock would be a moment before nine.
    double begin = now.getEpochSecond() * 1e3 + now.getNano() / 1e6;
    return Instant.ofEpochMilli(Math.round(begin + minutes * 60_000));
  }
}
