package dev.ambershim.core.job;

import dev.ambershim.core.assembly.Joint;
import dev.ambershim.core.material.Filling;
import dev.ambershim.core.material.Material;
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

  static Choice lid(String path, String label) {
    return new Choice(path, "lid", label, List.of("on", "off"));
  }

  static Choice filling(String path, String part, String label) {
    return new Choice(path, part, label, FILLINGS.stream().map(Filling::words).toList());
  }

  static Choice metal(String path, String part, String label) {
    return new Choice(path, part, label, METALS.stream().map(Material::words).toList());
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
    return Boolean.TRUE.equals(value) ? "on" : "off";
  }

  /** The job with another pick; a joint takes on the usual figures of its new filling. */
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
    } else {
      value = index == 0;
    }
    return place.with(job, value);
  }
}
