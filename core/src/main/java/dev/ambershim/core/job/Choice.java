package dev.ambershim.core.job;

import dev.ambershim.core.physics.assembly.Cooler;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.physics.material.Material;
import dev.ambershim.core.plan.Step;
import java.util.ArrayList;
import java.util.List;

/**
 * A thing about a job that is picked from a few.
 *
 * @param path where it stands in the job
 * @param part the part of the section that it belongs to
 * @param label its name
 * @param options what can be picked, in words
 */
public record Choice(String path, String part, String label, List<String> options) {
  private static final List<Filling> FILLINGS = List.of(Filling.values());
  private static final List<Material> METALS =
      List.of(Material.COPPER, Material.NICKEL, Material.ALUMINIUM, Material.SILVER);

  private static final List<CoolerClass> KINDS = List.of(CoolerClass.values());
  private static final List<Step> STEPS = List.of(Step.values());
  private static final String NOT_RUINED = "no step";

  static Choice lid(String path, String label) {
    return new Choice(path, "lid", label, List.of("on", "off"));
  }

  static Choice filling(String path, String part, String label) {
    return new Choice(path, part, label, FILLINGS.stream().map(Filling::words).toList());
  }

  static Choice metal(String path, String part, String label) {
    return new Choice(path, part, label, METALS.stream().map(Material::words).toList());
  }

  static Choice coolerKind() {
    return new Choice(
        "cooler", "cold plate", "kind of cooler", KINDS.stream().map(CoolerClass::words).toList());
  }

  static Choice ruinedAt() {
    List<String> options = new ArrayList<>(List.of(NOT_RUINED));
    STEPS.forEach(s -> options.add(s.words()));
    return new Choice("ruinedAt", "job", "the chip was lost at", options);
  }

  /** A pick between two ways, the first of which is the true one. */
  static Choice ways(String path, String part, String label, String whenTrue, String whenFalse) {
    return new Choice(path, part, label, List.of(whenTrue, whenFalse));
  }

  /** What is picked in a job. */
  public String read(Job job) {
    Object value = new RecordPath(path).get(job);
    if (value instanceof Joint joint) {
      return joint.filling().words();
    }
    if (value instanceof Material material) {
      return material.words();
    }
    if (value instanceof Cooler cooler) {
      return cooler.kind().words();
    }
    if (value instanceof Step step) {
      return step.words();
    }
    return value == null || Boolean.TRUE.equals(value) ? options.get(0) : options.get(1);
  }

  /**
   * The job with another pick; a joint takes on the usual figures of its new filling, a cooler
   * those of its new kind.
   */
  public Job write(Job job, String option) {
    RecordPath place = new RecordPath(path);
    Object old = place.get(job);
    int index = options.indexOf(option);
    if (index < 0) {
      throw new IllegalArgumentException(option);
    }
    Object value;
    if (old instanceof Joint) {
      value = Joint.usual(FILLINGS.get(index));
    } else if (old instanceof Material) {
      value = METALS.get(index);
    } else if (old instanceof Cooler cooler) {
      value = KINDS.get(index).usual(cooler.name(), cooler.reachMillimetres());
    } else if (path.equals("ruinedAt")) {
      value = index == 0 ? null : STEPS.get(index - 1);
    } else {
      value = index == 0;
    }
    return place.with(job, value);
  }
}
