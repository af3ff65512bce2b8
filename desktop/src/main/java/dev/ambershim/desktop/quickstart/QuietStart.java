package dev.ambershim.desktop.quickstart;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.LoggerContext;
import ch.qos.logback.classic.spi.Configurator;
import ch.qos.logback.core.spi.ContextAwareBase;

/**
 * What is logged before {@link dev.ambershim.desktop.model.Failures#logTo} says where: nothing, and
 * never to the console, where a command's output stands. Found by the logging library through its
 * service file.
 */
public final class QuietStart extends ContextAwareBase implements Configurator {
  @Override
  public ExecutionStatus configure(LoggerContext context) {
    context.getLogger(Logger.ROOT_LOGGER_NAME).setLevel(Level.OFF);
    return ExecutionStatus.DO_NOT_INVOKE_NEXT_IF_ANY;
  }
}
