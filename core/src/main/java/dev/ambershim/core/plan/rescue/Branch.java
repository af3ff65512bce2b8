package dev.ambershim.core.plan.rescue;

import dev.ambershim.core.plan.Accident;
import dev.ambershim.core.plan.Caution;
import dev.ambershim.core.plan.Mishap.Harm;
import dev.ambershim.core.plan.rescue.Node.Ask;
import dev.ambershim.core.plan.rescue.Node.End;
import java.util.List;
import java.util.Optional;

/** Short words for writing a tree, and where plans go on as a rule. */
final class Branch {
  static final String METER =
      "Power off, battery out. Meter on ohms: one lead on ground, the other on either side of a"
          + " capacitor.";

  static final List<String> CLEAN = List.of("alcohol-die", "top-clean", "plate-clean");
  static final List<String> FILM = List.of("alcohol-die", "film-top", "paste", "plate-clean");
  static final List<String> MOUNT = List.of("plate-clean", "paste", "mount");
  static final List<String> HERE = List.of();

  private Branch() {}

  static Rescue tree(Accident accident, Caution caution, Node first, String... stop) {
    return new Rescue(accident, Optional.ofNullable(caution), List.of(stop), first);
  }

  static Ask ask(String check, String how, Node yes, Node no) {
    return new Ask(check, how, yes, no);
  }

  static End end(Harm harm, String what, List<String> from, int minutes) {
    return new End(harm, what, from, minutes);
  }

  static End rework(String what) {
    return end(Harm.LOST, what + " Only someone who solders such parts can mend it.", HERE, 0);
  }
}
