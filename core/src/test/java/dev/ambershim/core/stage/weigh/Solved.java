package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.physics.build.Response;
import dev.ambershim.core.physics.build.Responses;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.conduction.SolveWatch;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ForkJoinPool;

/** Responses that the tests of this package share: a situation is solved once. */
final class Solved {
  private static final Responses RESPONSES = new Responses(new ForkJoinPool(2));

  private Solved() {}

  static Map<Situation, Response> of(Set<Situation> situations) {
    return RESPONSES.of(situations, SolveWatch.NONE);
  }

  static Response of(Situation situation) {
    return of(Set.of(situation)).get(situation);
  }

  static Weighing weigh(Question question, WhatIf whatIf) {
    return Weighing.of(
        question, whatIf, of(Weighing.situations(question, Notation.METRIC)), Notation.METRIC);
  }
}
