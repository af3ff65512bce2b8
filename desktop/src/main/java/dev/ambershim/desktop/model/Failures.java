package dev.ambershim.desktop.model;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.LoggerContext;
import ch.qos.logback.classic.encoder.PatternLayoutEncoder;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.rolling.FixedWindowRollingPolicy;
import ch.qos.logback.core.rolling.RollingFileAppender;
import ch.qos.logback.core.rolling.SizeBasedTriggeringPolicy;
import ch.qos.logback.core.util.Duration;
import ch.qos.logback.core.util.FileSize;
import java.nio.file.Path;
import org.slf4j.LoggerFactory;

/**
 * The file that failures go to: beside the logbook, one megabyte at most, three older ones kept.
 */
public final class Failures {
  private static volatile String file = "not yet open";

  private Failures() {}

  /** Where the log file is. */
  public static String logFile() {
    return file;
  }

  /** Sends everything worth knowing to a folder from now on, and nothing to the console. */
  public static void logTo(Path folder) {
    Path target = folder.resolve("amber-shim.log");
    file = target.toString();
    LoggerContext context = (LoggerContext) LoggerFactory.getILoggerFactory();
    context.reset();
    PatternLayoutEncoder encoder = new PatternLayoutEncoder();
    encoder.setContext(context);
    encoder.setPattern("%d{yyyy-MM-dd HH:mm:ss.SSS} %-5level %logger{24} %msg%n");
    encoder.start();
    RollingFileAppender<ILoggingEvent> appender = new RollingFileAppender<>();
    appender.setContext(context);
    appender.setFile(file);
    appender.setEncoder(encoder);
    FixedWindowRollingPolicy rolling = new FixedWindowRollingPolicy();
    rolling.setContext(context);
    rolling.setParent(appender);
    rolling.setFileNamePattern(folder.resolve("amber-shim.%i.log").toString());
    rolling.setMinIndex(1);
    rolling.setMaxIndex(3);
    rolling.start();
    SizeBasedTriggeringPolicy<ILoggingEvent> trigger = new SizeBasedTriggeringPolicy<>();
    trigger.setContext(context);
    // Looked at often: a fault that repeats can write a megabyte within its usual minute.
    trigger.setCheckIncrement(Duration.buildByMilliseconds(200));
    trigger.setMaxFileSize(FileSize.valueOf("1MB"));
    trigger.start();
    appender.setRollingPolicy(rolling);
    appender.setTriggeringPolicy(trigger);
    appender.start();
    Logger root = context.getLogger(org.slf4j.Logger.ROOT_LOGGER_NAME);
    root.setLevel(Level.WARN);
    root.addAppender(appender);
    context.getLogger("dev.ambershim").setLevel(Level.INFO);
    Thread.setDefaultUncaughtExceptionHandler(
        (thread, failure) ->
            LoggerFactory.getLogger(Failures.class)
                .error("uncaught in {}", thread.getName(), failure));
  }
}
