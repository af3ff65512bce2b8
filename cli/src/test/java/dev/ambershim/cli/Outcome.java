package dev.ambershim.cli;

import java.io.PrintWriter;
import java.io.StringWriter;
import picocli.CommandLine;

/**
 * What came of a command line: exit code, what it printed, and what it complained of.
 *
 * @param code the exit code
 * @param out standard output
 * @param err standard error
 */
record Outcome(int code, String out, String err) {
  /** Runs a command line as a person would type it. */
  static Outcome run(String... words) {
    StringWriter out = new StringWriter();
    StringWriter err = new StringWriter();
    CommandLine line = Commands.ready(Commands.commandLine());
    line.setOut(new PrintWriter(out));
    line.setErr(new PrintWriter(err));
    int code = line.execute(words);
    return new Outcome(code, out.toString(), err.toString());
  }
}
