package dev.ambershim.core.job;

import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.assembly.Lid;
import dev.ambershim.core.physics.assembly.Part;
import dev.ambershim.core.physics.assembly.Seat;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.physics.material.Material;
import dev.ambershim.core.plan.Step;
import dev.ambershim.core.plan.Terms;
import dev.ambershim.core.plan.Wish;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.function.BiFunction;
import java.util.function.Function;

/**
 * A thing about a job that is picked from a few.
 *
 * @param name stable name, such as {@code chip.lid.material}
 * @param part the part of the section that it belongs to
 * @param label what a person calls it
 * @param options what can be picked, in words
 * @param read which of them is picked in a job
 * @param write the job with another picked
 */
public record Choice(
    String name,
    String part,
    String label,
    List<String> options,
    Function<Job, Integer> read,
    BiFunction<Job, Integer, Job> write) {
  private static final List<Material> METALS =
      List.of(Material.COPPER, Material.NICKEL, Material.ALUMINIUM, Material.SILVER);
  private static final String NOT_RUINED = "no step";

  /** The picks of a part, for one side's build. */
  public static List<Choice> of(String part, Side side) {
    return all(side).stream().filter(c -> c.part().equals(part)).toList();
  }

  private static List<Choice> all(Side side) {
    Section<Build> build = Figures.at(side);
    String name = side.words();
    return List.of(
        of(
            name + ".lidOn",
            Part.LID,
            "lid",
            build.in(Build::lidOn, Build::withLidOn),
            List.of(true, false),
            on -> on ? "on" : "off"),
        of(
            "chip.lid.material",
            Part.LID,
            "lid material",
            ChipFigures.LID_SECTION.in(Lid::material, Lid::withMaterial),
            METALS,
            Material::words),
        of(
            "chip.seat",
            Part.SUBSTRATE,
            "what it sits in",
            ChipFigures.CHIP.in(Chip::seat, Chip::withSeat),
            List.of(Seat.values()),
            Seat::words),
        filling(name + ".inner", Part.INNER, build.in(Build::inner, Build::withInner)),
        filling(name + ".outer", Part.OUTER, build.in(Build::outer, Build::withOuter)),
        of(
            "cooler",
            Part.PLATE,
            "kind of cooler",
            // A cooler takes on the usual figures of its new kind.
            CoolerFigures.COOLER.in(
                c -> c.kind(), (c, kind) -> kind.usual(c.name(), c.reachMillimetres())),
            List.of(CoolerClass.values()),
            CoolerClass::words),
        of(
            "cooler.material",
            Part.PLATE,
            "plate material",
            CoolerFigures.COOLER.in(c -> c.material(), (c, metal) -> c.withMaterial(metal)),
            METALS,
            Material::words),
        of(
            "terms.wish",
            TermFigures.WORTH,
            "what you want",
            TermFigures.TERMS.in(Terms::wish, Terms::withWish),
            List.of(Wish.values()),
            Wish::words),
        ruinedAt(),
        ways(
            "blade", "open with", "a blade", "a vice tool", Terms::blade, (t, v) -> t.withBlade(v)),
        ways(
            "guard",
            "parts around the die",
            "covered",
            "left bare",
            Terms::guard,
            (t, v) -> t.withGuard(v)),
        ways("frame", "bare die in", "a frame", "nothing", Terms::frame, (t, v) -> t.withFrame(v)),
        ways(
            "advertised",
            "liquid metal conducts",
            "as advertised",
            "as published",
            Terms::advertised,
            (t, v) -> t.withAdvertised(v)));
  }

  /** A joint takes on the usual figures of its new filling. */
  private static Choice filling(String name, String part, Section<Joint> joint) {
    return of(
        name,
        part,
        "filling",
        joint.in(Joint::filling, (j, filling) -> Joint.usual(filling)),
        List.of(Filling.values()),
        Filling::words);
  }

  private static Choice ruinedAt() {
    List<Step> steps = new ArrayList<>();
    steps.add(null);
    steps.addAll(List.of(Step.values()));
    return of(
        "ruinedAt",
        Figures.JOB,
        "chip lost at",
        new Section<>(Job::ruinedAt, Job::withRuinedAt),
        steps,
        step -> step == null ? NOT_RUINED : step.words());
  }

  private static Choice ways(
      String name,
      String label,
      String whenTrue,
      String whenFalse,
      Function<Terms, Boolean> read,
      BiFunction<Terms, Boolean, Terms> write) {
    return of(
        "terms." + name,
        TermFigures.WORTH,
        label,
        TermFigures.TERMS.in(read, write),
        List.of(true, false),
        yes -> yes ? whenTrue : whenFalse);
  }

  private static <T> Choice of(
      String name,
      String part,
      String label,
      Section<T> section,
      List<T> values,
      Function<T, String> words) {
    return new Choice(
        name,
        part,
        label,
        values.stream().map(words).toList(),
        job -> {
          T now = section.get().apply(job);
          for (int i = 0; i < values.size(); i++) {
            if (Objects.equals(values.get(i), now)) {
              return i;
            }
          }
          return 0;
        },
        (job, index) -> section.put().apply(job, values.get(index)));
  }

  /** Its name as one word. */
  public String id() {
    return name.replace('.', '-');
  }

  /** What is picked in a job. */
  public String read(Job job) {
    return options.get(read.apply(job));
  }

  /**
   * The job with another pick.
   *
   * @throws IllegalArgumentException if there is no such option
   */
  public Job write(Job job, String option) {
    int index = options.indexOf(option);
    if (index < 0) {
      throw new IllegalArgumentException(option);
    }
    return write.apply(job, index);
  }
}
