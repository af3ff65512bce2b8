package dev.ambershim.core.base;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicIntegerArray;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class SideBySideTest {
  private final List<Integer> numbers = IntStream.range(0, 200).boxed().toList();

  @Test
  void resultsComeInOrderAndEachPieceIsDoneOnceHoweverManyHelp() {
    for (int threads = 0; threads < 4; threads++) {
      AtomicIntegerArray done = new AtomicIntegerArray(numbers.size());
      ExecutorService helpers = Executors.newFixedThreadPool(Math.max(1, threads));
      try {
        List<Integer> squares =
            SideBySide.each(
                numbers,
                n -> {
                  done.incrementAndGet(n);
                  return n * n;
                },
                threads == 0 ? Runnable::run : helpers);
        assertThat(squares).isEqualTo(numbers.stream().map(n -> n * n).toList());
      } finally {
        helpers.shutdown();
      }
      for (int n : numbers) {
        assertThat(done.get(n)).isEqualTo(1);
      }
    }
  }

  @Test
  void theCallerDoesItAllWhereNobodyHelps() {
    assertThat(SideBySide.each(numbers, n -> n + 1, piece -> {})).hasSameSizeAs(numbers);
  }

  @Test
  void whatFailsIsThrownAsItWas() {
    Problem problem = new Problem("made", Place.NOWHERE, "It failed.", "Make it anew.");
    assertThatThrownBy(
            () ->
                SideBySide.each(
                    numbers,
                    n -> {
                      if (n == 7) {
                        throw problem;
                      }
                      return n;
                    },
                    Runnable::run))
        .isSameAs(problem);
  }

  @Test
  void aCallerThatIsInterruptedDoesNotWaitForAHelper() {
    CountDownLatch begun = new CountDownLatch(1);
    CountDownLatch released = new CountDownLatch(1);
    Callable<Integer> slow =
        () -> {
          begun.countDown();
          released.await();
          return 1;
        };
    Executor helper =
        piece -> {
          Thread thread = new Thread(piece);
          thread.setDaemon(true);
          thread.start();
          await(begun);
        };
    try {
      assertThatThrownBy(
              () ->
                  SideBySide.all(
                      List.of(() -> 0, slow),
                      piece -> {
                        helper.execute(piece);
                        Thread.currentThread().interrupt();
                      }))
          .isInstanceOf(CancellationException.class);
      assertThat(Thread.interrupted()).isTrue();
    } finally {
      released.countDown();
    }
  }

  private static void await(CountDownLatch latch) {
    try {
      latch.await();
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }
}
