package dev.ambershim.core.physics.surface;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Every face of a job that was probed, and what was lapped.
 *
 * @param reliefs probings, in the order they were made
 * @param passes lapping that was done, in order
 * @param terms how the next face is to be lapped
 */
@RecordBuilder
public record Surfaces(List<Relief> reliefs, List<LapPass> passes, LapTerms terms)
    implements SurfacesBuilder.With {
  /** Nothing is probed. */
  public static final Surfaces NONE = new Surfaces(List.of(), List.of(), LapTerms.USUAL);

  /** Copies its lists, and fills in what an older job does not say. */
  public Surfaces {
    reliefs = reliefs == null ? List.of() : List.copyOf(reliefs);
    passes = passes == null ? List.of() : List.copyOf(passes);
    terms = terms == null ? LapTerms.USUAL : terms;
  }

  /** The last probing of a face. */
  public Optional<Relief> latest(Face face) {
    return reliefs.stream().filter(r -> r.face() == face).reduce((a, b) -> b);
  }

  /** The first probing of a face. */
  public Optional<Relief> first(Face face) {
    return reliefs.stream().filter(r -> r.face() == face).findFirst();
  }

  /** How many passes a face had. */
  public int passes(Face face) {
    return (int) passes.stream().filter(p -> p.face() == face).count();
  }

  /** The same with one more probing. */
  public Surfaces with(Relief relief) {
    List<Relief> all = new ArrayList<>(reliefs);
    all.add(relief);
    return withReliefs(all);
  }

  /** The same with the last probing of a face replaced. */
  public Surfaces replacing(Relief relief) {
    List<Relief> all = new ArrayList<>(reliefs);
    for (int i = all.size() - 1; i >= 0; i--) {
      if (all.get(i).face() == relief.face()) {
        all.set(i, relief);
        return withReliefs(all);
      }
    }
    return with(relief);
  }

  /** The same without the last probing of a face. */
  public Surfaces without(Face face) {
    List<Relief> all = new ArrayList<>(reliefs);
    latest(face).ifPresent(r -> all.remove(all.lastIndexOf(r)));
    return withReliefs(all);
  }

  /** The same with one more pass. */
  public Surfaces with(LapPass pass) {
    List<LapPass> all = new ArrayList<>(passes);
    all.add(pass);
    return withPasses(all);
  }

  /** The same without the last pass. */
  public Surfaces withoutLastPass() {
    List<LapPass> all = new ArrayList<>(passes);
    all.remove(all.size() - 1);
    return withPasses(all);
  }
}
