package dev.ambershim.desktop.launch;

import java.lang.management.ManagementFactory;

/** Tells on standard output when the window was up, for the start bench. */
public final class StartReport {
  /** System property that asks for the report, and then for the end of the process. */
  public static final String ASKED = "ambershim.start.report";

  private StartReport() {}

  /**
   * Prints the milliseconds since the virtual machine began, and ends it, if that was asked for.
   */
  public static void windowUp() {
    if (Boolean.getBoolean(ASKED)) {
      long began = ManagementFactory.getRuntimeMXBean().getStartTime();
      System.out.println("window up after " + (System.currentTimeMillis() - began) + " ms");
      Runtime.getRuntime().halt(0);
    }
  }
}
