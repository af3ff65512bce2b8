package dev.ambershim.core.job;

import dev.ambershim.core.plan.School;
import dev.ambershim.core.plan.Terms;
import dev.ambershim.core.plan.Way;
import dev.ambershim.core.plan.Ways;

/**
 * The ways a job is worked by. Three of them are also terms of the weighing, which knows only
 * whether: blade or tool, parts covered or not, something beside a bare die or not. The terms have
 * the last word there, so that plan and odds never differ.
 */
public final class WorkWays {
  private WorkWays() {}

  /** A job's ways, its terms allowed for. */
  public static Ways of(Job job) {
    Terms terms = job.terms();
    Ways ways = job.work().ways().with(terms.blade() ? Way.BLADE : Way.VICE_TOOL);
    ways = agree(ways, terms.guard(), Way.NO_COVER, School.COVER);
    return agree(ways, terms.frame(), Way.REST_NEITHER, School.REST);
  }

  private static Ways agree(Ways ways, boolean wanted, Way none, School school) {
    if (!wanted) {
      return ways.with(none);
    }
    return ways.takes(none) ? ways.with(school.usual()) : ways;
  }

  /** The job with a way taken, and its terms with it. */
  public static Job take(Job job, Way way) {
    Job taken = job.withWork(job.work().withWays(job.work().ways().with(way)));
    return switch (way.school()) {
      case OPENER -> taken.withTerms(taken.terms().withBlade(way == Way.BLADE));
      case COVER -> taken.withTerms(taken.terms().withGuard(way != Way.NO_COVER));
      case REST -> taken.withTerms(taken.terms().withFrame(way != Way.REST_NEITHER));
      default -> taken;
    };
  }
}
