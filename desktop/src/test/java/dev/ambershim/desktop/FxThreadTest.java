package dev.ambershim.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import javafx.application.Platform;
import org.junit.jupiter.api.Test;

/** The window's tests run on its thread, and hear of handlers that fail. */
class FxThreadTest extends DesktopTest {
  @Test
  void aTestRunsOnTheJavaFxThreadAndALookFromAnotherIsRefused() {
    open();
    assertThat(Platform.isFxApplicationThread()).isTrue();
    CompletableFuture<String> look = CompletableFuture.supplyAsync(() -> text("saved"));
    until("it was tried", look::isDone);
    assertThatThrownBy(look::get)
        .isInstanceOf(ExecutionException.class)
        .hasRootCauseMessage("the scene may be read and changed on the JavaFX thread only");
  }

  @Test
  void aHandlerThatFailsFailsTheTestThatWaits() {
    open();
    Platform.runLater(
        () -> {
          throw new IllegalStateException("a handler");
        });
    assertThatThrownBy(() -> until("never", () -> false))
        .isInstanceOf(AssertionError.class)
        .hasRootCauseMessage("a handler");
  }
}
