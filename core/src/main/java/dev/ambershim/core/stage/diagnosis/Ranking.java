package dev.ambershim.core.stage.diagnosis;

import dev.ambershim.core.runs.causes.CauseKind;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.Executor;
import java.util.function.Function;

/** The causes of a case, the tests that are left, and the joints as far as they are seen. */
public final class Ranking {
  /** From this probability on a cause that can be undone stands before opening the chip. */
  static final double LOOK_FIRST = 0.2;

  /** Or from this one on where no single cause is likely, but some such cause is. */
  static final double LOOK_FIRST_TOGETHER = 0.4;

  /** Of a cause's probability, what one kind of suspect must hold to be named for it. */
  private static final double MOSTLY = 0.7;

  /** Cheaper causes are not worth a remount, K. */
  private static final double WORTH_LOOKING = 1;

  private final List<Cause> causes;
  private final List<NextTest> next;
  private final List<JointMap> maps;
  private final List<Held> held;

  private Ranking(List<Cause> causes, List<NextTest> next, List<JointMap> maps, List<Held> held) {
    this.causes = List.copyOf(causes);
    this.next = List.copyOf(next);
    this.maps = List.copyOf(maps);
    this.held = List.copyOf(held);
  }

  /** Every cause of every joint, the likeliest first; their probabilities sum to 1. */
  public List<Cause> causes() {
    return causes;
  }

  /** Tests that are left, the most telling first. */
  public List<NextTest> next() {
    return next;
  }

  /** The joints from the inside out. */
  public List<JointMap> maps() {
    return maps;
  }

  /** The joint under the cold plate. */
  public String outermost() {
    return maps.get(maps.size() - 1).joint();
  }

  /**
   * The likeliest cause that can be put right without opening the chip, if it is likely enough to
   * be looked for before anything is opened: by itself, or all of its kind together.
   */
  public Optional<Cause> lookFirst() {
    return lookFirst(causes, outermost());
  }

  static Optional<Cause> lookFirst(List<Cause> causes, String outermost) {
    List<Cause> worth =
        causes.stream()
            .filter(c -> c.kelvin() >= WORTH_LOOKING && c.reversible(outermost))
            .filter(c -> c.kind() != CauseKind.SENSOR_OFF && c.kind() != CauseKind.CORE_DRAWS_MORE)
            .toList();
    double together = worth.stream().mapToDouble(Cause::probability).sum();
    return worth.stream()
        .findFirst()
        .filter(c -> c.probability() >= LOOK_FIRST || together >= LOOK_FIRST_TOGETHER);
  }

  /** Which cause a suspect counts for, as a number. */
  @FunctionalInterface
  interface Keys {
    int of(Held held);
  }

  private record Key(CauseKind kind, int joint) {}

  static Ranking of(
      DiagnosisCase given,
      StackModel model,
      Layout layout,
      List<Held> held,
      Function<StackModel.Turned, Straight.Seen> looks,
      Executor helpers) {
    Costs costs = new Costs(given, model, layout);
    Map<Key, List<Held>> byCause = new LinkedHashMap<>();
    for (CauseKind kind : CauseKind.values()) {
      for (int j = 0; j < (kind.inJoint() ? model.joints() : 1); j++) {
        byCause.put(new Key(kind, kind.inJoint() ? j : -1), new ArrayList<>());
      }
    }
    for (Held one : held) {
      byCause.get(key(one, costs)).add(one);
    }
    List<Key> order = List.copyOf(byCause.keySet());
    List<NextTest> next =
        new NextTests(given, model, layout, held, h -> order.indexOf(key(h, costs)), looks)
            .ranked(helpers);
    List<Cause> causes = new ArrayList<>();
    byCause.forEach(
        (key, all) -> {
          double share = all.stream().mapToDouble(Held::probability).sum();
          double kelvin =
              share <= 0
                  ? 0
                  : all.stream().mapToDouble(h -> h.probability() * costs.kelvin(h)).sum() / share;
          Suspect telling = all.isEmpty() ? null : all.get(0).suspect();
          causes.add(
              new Cause(
                  key.kind,
                  key.joint < 0 ? Optional.empty() : Optional.of(model.name(key.joint)),
                  share,
                  kelvin,
                  telling == null ? Shape.NONE : telling.shape(),
                  telling == null ? -1 : telling.core(),
                  power(all, share, layout)));
        });
    causes.sort(Comparator.comparingDouble(Cause::probability).reversed());
    double[] faulty = new double[model.joints()];
    for (Cause cause : causes) {
      for (int j = 0; j < faulty.length; j++) {
        faulty[j] +=
            cause.joint().filter(model.name(j)::equals).isPresent() ? cause.probability() : 0;
      }
    }
    return new Ranking(causes, next, JointMaps.of(given, model, layout, held.get(0), faulty), held);
  }

  /** What a power reading that is off comes to, where most of a cause's probability lies there. */
  private static OptionalDouble power(List<Held> all, double share, Layout layout) {
    double sum = 0;
    double of = 0;
    for (Held held : all) {
      if (held.suspect().stray() == Suspect.Stray.ALL_POWER
          && held.suspect().kind() == CauseKind.NONE_OF_THESE) {
        of += held.probability();
        sum += held.probability() * held.belief().likely()[layout.allPower()];
      }
    }
    return of > MOSTLY * share ? OptionalDouble.of(sum / of) : OptionalDouble.empty();
  }

  /** Of two causes that come together the dearer one counts. */
  private static Key key(Held held, Costs costs) {
    Suspect suspect = held.suspect();
    if (suspect.pair() && Math.abs(costs.stray(held)) > Math.abs(costs.shape(held))) {
      return new Key(suspect.stray().kind(), -1);
    }
    return new Key(suspect.kind(), suspect.kind().inJoint() ? suspect.shape().joint() : -1);
  }

  /** The suspects behind the causes, the likeliest first. */
  List<Held> held() {
    return held;
  }

  /** What a held suspect costs the mean core at full load, K. */
  static final class Costs {
    private final StackModel model;
    private final Layout layout;
    private final double[] watts;
    private final double all;
    private final double usual;
    private final double loop;
    private final int sensors;

    Costs(DiagnosisCase given, StackModel model, Layout layout) {
      this.model = model;
      this.layout = layout;
      watts = given.stack().heat().stream().mapToDouble(h -> h.watts()).toArray();
      all = Arrays.stream(watts).sum();
      usual = mean(Shape.NONE);
      loop = given.loopKelvinPerWatt().orElse(Straight.USUAL_LOOP);
      sensors =
          (int)
              given.readings().stream()
                  .flatMap(r -> r.coreCelsius().keySet().stream())
                  .distinct()
                  .count();
    }

    private double mean(Shape shape) {
      double[][] response = model.responses(new StackModel.Turned(shape, 0)).kelvinPerWatt();
      double sum = 0;
      for (double[] core : response) {
        for (int l = 0; l < watts.length; l++) {
          sum += core[l] * watts[l];
        }
      }
      return sum / response.length;
    }

    double kelvin(Held held) {
      return shape(held) + stray(held);
    }

    double shape(Held held) {
      return held.suspect().shape().form() == Shape.Form.NONE
          ? 0
          : mean(held.suspect().shape()) - usual;
    }

    double stray(Held held) {
      double[] likely = held.belief().likely();
      int core = held.suspect().core();
      return switch (held.suspect().stray()) {
        case NOTHING, EVERYTHING, NOISE -> 0;
        case LOOP -> likely[layout.loop()] * loop * all;
        case AIR -> likely[layout.air()];
        case SENSOR_HIGH, SENSOR_LOW -> likely[layout.sensor(core)] / sensors;
        case ALL_POWER -> likely[layout.allPower()] * usual;
        case POWER -> {
          double sum = 0;
          double[][] response =
              model.responses(new StackModel.Turned(held.suspect().shape(), 0)).kelvinPerWatt();
          for (double[] row : response) {
            sum += row[core] * watts[core];
          }
          yield likely[layout.power(core)] * sum / response.length;
        }
      };
    }
  }
}
