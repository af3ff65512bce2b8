package dev.ambershim.core.job;

import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/**
 * A typed way to a part of a job and back: how to get it, and the job with another in its place. A
 * section of a section is a section too.
 *
 * @param get the part of a job
 * @param put the job with another part
 */
public record Section<S>(Function<Job, S> get, BiFunction<Job, S, Job> put) {
  /** What lies within. */
  public <T> Section<T> in(Function<S, T> inner, BiFunction<S, T, S> replaced) {
    return new Section<>(
        job -> inner.apply(get.apply(job)),
        (job, part) -> put.apply(job, replaced.apply(get.apply(job), part)));
  }

  /** A figure that is always there. */
  Figure.Access must(ToDoubleFunction<S> read, BiFunction<S, Double, S> write) {
    return new Figure.Access(
        job -> read.applyAsDouble(get.apply(job)),
        (job, value) -> put.apply(job, write.apply(get.apply(job), value)),
        null,
        "");
  }

  /**
   * A figure that may be left empty.
   *
   * @param otherwise what is reckoned with then; null where that is not known
   */
  Figure.Access may(
      Function<S, Double> read, BiFunction<S, Double, S> write, Function<S, Double> otherwise) {
    return new Figure.Access(
        job -> read.apply(get.apply(job)),
        (job, value) -> put.apply(job, write.apply(get.apply(job), value)),
        job -> otherwise.apply(get.apply(job)),
        "not known");
  }

  /**
   * A figure that may be left empty, and is found another way then.
   *
   * @param found how, in a word or two
   */
  Figure.Access found(Function<S, Double> read, BiFunction<S, Double, S> write, String found) {
    Figure.Access access = may(read, write, s -> null);
    return new Figure.Access(access.read(), access.write(), access.otherwise(), found);
  }
}
