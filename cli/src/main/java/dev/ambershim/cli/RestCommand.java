package dev.ambershim.cli;

import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.fit.RestingContact;
import dev.ambershim.core.physics.fit.TouchChances;
import dev.ambershim.logbook.formats.RestJson;
import dev.ambershim.logbook.store.Json;
import dev.ambershim.logbook.store.LogFiles;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ForkJoinPool;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code rest}: what a flat plate touches first, how it lies, and what stays clear. */
@Command(
    name = "rest",
    mixinStandardHelpOptions = true,
    description = "Tell how a flat plate comes to rest on tops of different height.")
final class RestCommand implements Callable<Integer> {
  private static final int MOST_WORK = 40_000_000;

  @Spec CommandSpec spec;

  @Parameters(paramLabel = "FEATURES.rest.json", description = "The tops and the load.")
  Path file;

  @Option(names = "--json", description = "Print JSON.")
  boolean json;

  @Override
  public Integer call() {
    String name = file.toString();
    PrintWriter out = spec.commandLine().getOut();
    RestJson.Case tops =
        RestJson.read(name, new String(LogFiles.read(file), StandardCharsets.UTF_8));
    RestingContact rest;
    try {
      rest = RestingContact.of(tops.features(), tops.xLoad(), tops.yLoad());
    } catch (Problem problem) {
      if (!problem.key().equals("rest.unstable")) {
        throw problem.in(name);
      }
      // That the plate tips is an answer, and one to be warned of.
      ObjectNode node = RestJson.unstable(problem);
      out.println(json ? Json.pretty(node) : problem.what() + " " + problem.remedy());
      out.flush();
      if (json) {
        spec.commandLine().getErr().println("amber-shim: " + problem.in(name).getMessage());
      }
      return 0;
    }
    Optional<TouchChances> chances =
        tops.tolerances()
            ? Optional.of(
                TouchChances.of(
                    tops.features(),
                    tops.xLoad(),
                    tops.yLoad(),
                    draws(tops.features().size()),
                    ForkJoinPool.commonPool()))
            : Optional.empty();
    if (json) {
      out.println(Json.pretty(RestJson.of(tops.features(), rest, chances)));
    } else {
      print(out, tops, rest, chances);
    }
    out.flush();
    return 0;
  }

  /** A million, and fewer where there are so many tops that they would take minutes. */
  private static int draws(int tops) {
    return Math.max(20_000, Math.min(TouchChances.USUAL_DRAWS, MOST_WORK / tops));
  }

  private static void print(
      PrintWriter out, RestJson.Case tops, RestingContact rest, Optional<TouchChances> chances) {
    out.printf(
        Locale.ROOT,
        "The plate rests on %s, tilted by %.3f°%s.%n",
        String.join(", ", rest.touching()),
        rest.tiltDegrees(),
        rest.rocking() ? "; it can rock, as the load stands right over the edge of its feet" : "");
    for (int i = 0; i < tops.features().size(); i++) {
      out.printf(
          Locale.ROOT,
          "  %s: %.4f mm clear%n",
          tops.features().get(i).name(),
          rest.clearances().get(i));
    }
    chances.ifPresent(
        c ->
            c.chances()
                .forEach(
                    each ->
                        out.printf(
                            Locale.ROOT,
                            "  %s: touches first with a chance of %.1f %%, carries with %.1f %%%n",
                            each.name(),
                            100 * each.touchesFirst(),
                            100 * each.carries())));
  }
}
