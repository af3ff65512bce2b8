package dev.ambershim.desktop.model;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.plan.Moment;
import dev.ambershim.core.plan.StepTimer;
import dev.ambershim.core.plan.StepTimer.State;

/**
 * A timer as it stands at a moment.
 *
 * @param job the key of its job
 * @param title the job's title
 * @param timer the timer
 * @param seconds how long it has run
 * @param sure whether that goes by the machine's uptime; else by a wall clock that may have been
 *     set
 */
public record Ticking(String job, String title, StepTimer timer, double seconds, boolean sure) {
  static Ticking at(Moment now, String job, String title, StepTimer timer) {
    Moment.Elapsed elapsed = now.since(timer.begun());
    return new Ticking(job, title, timer, elapsed.seconds(), elapsed.sure());
  }

  /** How far it is. */
  public State state() {
    return timer.state(seconds);
  }

  /** Whether it asks to be looked at. */
  public boolean rings() {
    return state() == State.DUE || state() == State.SAFE;
  }

  /** What it says, such as "first coat dries: 3:20 more at least". */
  public String words() {
    double left = timer.secondsToNext(seconds);
    String said =
        switch (state()) {
          case RUNNING -> clock(left) + " more at least";
          case LEAST -> "the least is over, " + clock(left) + " to the usual time";
          case DUE ->
              left > 0 ? "the usual time is over, safe in " + Notation.minutes(left / 60) : "over";
          case SAFE -> "the safe time is over";
        };
    return timer.what() + ": " + said + (sure ? "" : " (by the wall clock)");
  }

  private static String clock(double seconds) {
    long all = (long) Math.ceil(seconds);
    if (all >= 3600) {
      return Notation.minutes(all / 60.0);
    }
    return all / 60 + ":" + (all % 60 < 10 ? "0" : "") + all % 60;
  }
}
