package dev.ambershim.core.stage.diagnosis;

import dev.ambershim.core.base.SideBySide;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.runs.causes.CauseKind;
import dev.ambershim.core.runs.causes.Sign;
import dev.ambershim.core.runs.causes.Trial;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executor;
import java.util.stream.Collectors;

/**
 * Causes by evidence: Bayes' rule over suspects. The readings are straight lines in everything that
 * strays, about each suspect's own shape, so that each has its evidence in closed form; the most
 * telling suspects are drawn anew about where the readings put them (Gauss–Newton, with Laplace's
 * approximation for what is left). What was solved for a stack is kept for its next readings.
 */
public final class Diagnosis {
  /** Shapes of each cause that are tried together with a second cause. */
  private static final int PAIRED = 6;

  /** Shapes of each cause that are drawn anew, and how often. */
  private static final int REFINED = 4;

  private static final int ROUNDS = 3;

  /** A shape that would move by less than this share of its spread is not solved anew. */
  private static final double CLOSE_ENOUGH = 0.1;

  /** Suspects this far below the best one are as good as ruled out. */
  private static final double RULED_OUT = 14;

  /** How likely it is that a film's figure leaves out the loop where only the room was read. */
  private static final double LOOP_TOLD = 0.6;

  private static final double LOOP_UNTOLD = 0.25;

  private final StackModel model;
  private final Executor helpers;

  /**
   * Writes a stack out, which takes a tenth of a second.
   *
   * @param given a case on that stack
   * @param helpers works beside the caller; {@code Runnable::run} for the caller alone
   * @throws dev.ambershim.core.base.Problem {@code stack.…} or {@code diagnose.…}
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public Diagnosis(DiagnosisCase given, Executor helpers, SolveWatch watch) {
    given.check();
    this.model = new StackModel(given.stack(), watch);
    this.helpers = helpers;
  }

  StackModel model() {
    return model;
  }

  /**
   * The causes of a case on this stack.
   *
   * @throws dev.ambershim.core.base.Problem {@code diagnose.…}
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public Ranking of(DiagnosisCase given, SolveWatch watch) {
    given.check();
    return new Work(given, watch).ranking();
  }

  /** One case at work. */
  private final class Work {
    private final DiagnosisCase given;
    private final SolveWatch watch;
    private final Layout layout;
    private final boolean[] read;
    private final double straight;
    private final Map<Boolean, Straight> lines;
    private final Map<StackModel.Turned, Straight.Seen> seen = new ConcurrentHashMap<>();

    Work(DiagnosisCase given, SolveWatch watch) {
      this.given = given;
      this.watch = watch;
      List<Integer> mounts = given.readings().stream().map(CaseReading::mount).distinct().toList();
      layout = new Layout(given, model, mounts, given.readings().size());
      read = new boolean[model.cores()];
      for (int c = 0; c < read.length; c++) {
        String name = given.stack().heat().get(c).name();
        read[c] = given.readings().stream().anyMatch(r -> r.coreCelsius().containsKey(name));
      }
      straight = given.readings().get(0).turnedDegrees();
      lines =
          Map.of(
              true, new Straight(given, model, layout, true),
              false, new Straight(given, model, layout, false));
    }

    private double turned(CaseReading reading) {
      return reading.turnedDegrees() - straight;
    }

    Ranking ranking() {
      boolean turns = given.readings().stream().anyMatch(r -> turned(r) != 0);
      List<Suspect> alone =
          Suspects.alone(model, layout.mounts(), turns, given.doubts().innerCrooked());
      model.solve(
          alone.stream()
              .flatMap(s -> given.readings().stream().map(r -> s.at(r.mount(), turned(r))))
              .distinct()
              .toList(),
          helpers,
          watch);
      watch.share(0.6);
      boolean open = given.readings().stream().anyMatch(r -> r.coolantCelsius().isEmpty());
      List<Held> held = new ArrayList<>();
      for (boolean through : open ? new boolean[] {true, false} : new boolean[] {true}) {
        held.addAll(SideBySide.each(alone, s -> hold(s, s, through, open), helpers));
      }
      watch.share(0.8);
      double top = held.stream().mapToDouble(Held::log).max().orElseThrow();
      Set<Held> telling = Collections.newSetFromMap(new IdentityHashMap<>());
      best(held, REFINED).stream().filter(h -> h.log() > top - RULED_OUT).forEach(telling::add);
      held.replaceAll(h -> telling.contains(h) ? refine(h, open) : h);
      List<Held> pairs = new ArrayList<>();
      for (Held one : best(held, PAIRED)) {
        pairs.addAll(beside(one, open));
      }
      held.addAll(pairs);
      watch.share(0.95);
      return Ranking.of(given, model, layout, weighed(held), this::look, helpers);
    }

    /** The best of each cause and seat, and whatever has no shape. */
    private List<Held> best(List<Held> held, int most) {
      return held.stream()
          .collect(
              Collectors.groupingBy(
                  h ->
                      List.of(
                          h.suspect().kind(),
                          h.suspect().shape().joint(),
                          h.suspect().seat(),
                          h.throughLoop())))
          .values()
          .stream()
          .flatMap(
              group ->
                  group.stream()
                      .sorted(Comparator.comparingDouble(Held::log).reversed())
                      .limit(most))
          .toList();
    }

    private Straight.Seen look(StackModel.Turned turned) {
      return seen.computeIfAbsent(turned, lines.get(true)::look);
    }

    private double logPrior(Suspect suspect, boolean through, boolean open) {
      double told = given.loopKelvinPerWatt().isPresent() ? LOOP_TOLD : LOOP_UNTOLD;
      double way = !open ? 1 : through ? told : 1 - told;
      double signs = 1;
      boolean outermost = suspect.shape().joint() == model.outermost();
      for (Sign sign : given.signs()) {
        double speaks = Trial.likelihood(sign, suspect.kind(), outermost);
        if (suspect.pair()) {
          speaks = Math.max(speaks, Trial.likelihood(sign, suspect.stray().kind(), false));
        }
        signs *= speaks;
      }
      double odds = suspect.kind() == CauseKind.AS_IT_SHOULD_BE ? 1 : given.doubts().faultOdds();
      return Math.log(suspect.prior() * odds * way * signs);
    }

    /** The rows of all readings about a suspect's shape. */
    private Normal normal(Suspect suspect, boolean through) {
      watch.check();
      Normal normal = new Normal(layout.size());
      for (int r = 0; r < given.readings().size(); r++) {
        CaseReading reading = given.readings().get(r);
        Straight.Seen look = look(suspect.at(reading.mount(), turned(reading)));
        normal.add(lines.get(through).rows(reading, r, look));
      }
      return normal;
    }

    private Held hold(Suspect suspect, Suspect origin, boolean through, boolean open) {
      return hold(suspect, origin, normal(suspect, through), through, open);
    }

    private Held hold(
        Suspect suspect, Suspect origin, Normal normal, boolean through, boolean open) {
      double[] likely = new double[layout.size()];
      double[] spread = new double[layout.size()];
      layout.priors(suspect, likely, spread);
      for (int f = 0; f < suspect.shape().at().length; f++) {
        likely[layout.shape(f)] = origin.shape().at()[f] - suspect.shape().at()[f];
      }
      Normal.Belief belief = normal.belief(likely, spread, Layout.noise(suspect));
      double log = logPrior(suspect, through, open) + belief.logEvidence();
      return new Held(suspect, origin, through, normal, belief, log, 0);
    }

    /** A suspect about where the readings put its shape. */
    private Held refine(Held held, boolean open) {
      Held now = held;
      for (int i = 0; i < ROUNDS && now.suspect().shape().at().length > 0; i++) {
        double[] at = now.suspect().shape().at().clone();
        double most = 0;
        for (int f = 0; f < at.length; f++) {
          if (now.suspect().shape().spread()[f] == 0) {
            continue;
          }
          double move = now.belief().likely()[layout.shape(f)];
          at[f] += move;
          most = Math.max(most, Math.abs(move) / now.suspect().shape().spread()[f]);
        }
        if (most < CLOSE_ENOUGH) {
          break;
        }
        Suspect moved = now.suspect().about(now.suspect().shape().moved(at));
        now = hold(moved, held.origin(), held.throughLoop(), open);
      }
      return now;
    }

    private List<Held> beside(Held one, boolean open) {
      List<Held> all = new ArrayList<>();
      for (Suspect pair : Suspects.beside(one.origin(), read)) {
        Suspect about = pair.about(one.suspect().shape());
        all.add(hold(about, pair, one.normal(), one.throughLoop(), open));
      }
      return all;
    }

    private List<Held> weighed(List<Held> held) {
      double top = held.stream().mapToDouble(Held::log).max().orElseThrow();
      double[] weights = held.stream().mapToDouble(h -> Math.exp(h.log() - top)).toArray();
      double sum = Arrays.stream(weights).sum();
      List<Held> all = new ArrayList<>();
      for (int i = 0; i < weights.length; i++) {
        all.add(held.get(i).weighing(weights[i] / sum));
      }
      all.sort(Comparator.comparingDouble(Held::probability).reversed());
      return List.copyOf(all);
    }
  }
}
