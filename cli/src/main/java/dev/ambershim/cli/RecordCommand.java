package dev.ambershim.cli;

import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.runs.judging.RunAnalyser;
import dev.ambershim.core.runs.judging.RunAnalysis;
import dev.ambershim.core.runs.judging.StepResponse;
import dev.ambershim.core.runs.protocol.Protocol;
import dev.ambershim.core.runs.protocol.Status;
import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.core.stage.baseline.Baseline;
import dev.ambershim.logbook.formats.RunJson;
import dev.ambershim.logbook.store.Json;
import dev.ambershim.logbook.store.LogFiles;
import dev.ambershim.sensors.Load;
import dev.ambershim.sensors.Source;
import dev.ambershim.sensors.SteadyLoad;
import dev.ambershim.sensors.kernel.KernelPinning;
import dev.ambershim.sensors.live.ConductedRun;
import dev.ambershim.sensors.live.GrowingLog;
import dev.ambershim.sensors.live.OneByOne;
import dev.ambershim.sensors.machine.MachineSource;
import dev.ambershim.sensors.rig.ConductionRig;
import dev.ambershim.sensors.rig.Fault;
import dev.ambershim.sensors.rig.RigSetup;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.Callable;
import picocli.CommandLine.ArgGroup;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code record}: conducts a stress run and keeps its samples. */
@Command(
    name = "record",
    mixinStandardHelpOptions = true,
    description = {
      "Conduct a stress run: rest, load, plateaus, and what they say.",
      "It stops by itself at your temperature limit, on a lost sensor and at a runaway. Stay near a"
          + " machine whose cooler you have just mounted."
    })
final class RecordCommand implements Callable<Integer> {
  /** Where the samples come from. */
  static final class From {
    @Option(names = "--rig", required = true, description = "The simulated rig.")
    boolean rig;

    @Option(names = "--sensors", required = true, description = "This machine's own sensors.")
    boolean sensors;

    @Option(
        names = "--follow",
        required = true,
        paramLabel = "CSV",
        description = "A log that another program is writing; start the load yourself.")
    Path follow;
  }

  @Spec CommandSpec spec;

  @ArgGroup(multiplicity = "1")
  From from;

  @Parameters(
      paramLabel = "STEM",
      description = "Where the logs go and how their names begin, such as runs/before.")
  Path stem;

  @Option(
      names = "--protocol",
      paramLabel = "NAME",
      defaultValue = "ten",
      description = "ten, half-hour, three-plateaus or hour (default: ${DEFAULT-VALUE}).")
  String protocol;

  @Option(
      names = "--stop",
      paramLabel = "C",
      description = "Stop when anything reaches this (default: 95 °C).")
  Double stop;

  @Option(names = "--clock", paramLabel = "MHZ", description = "Core clock, as you fixed it.")
  Double clock;

  @Option(names = "--volts", paramLabel = "V", description = "Core voltage, as you fixed it.")
  Double volts;

  @Option(names = "--fan", paramLabel = "RPM", description = "Fan, as you fixed it.")
  Double fan;

  @Option(names = "--pump", paramLabel = "RPM", description = "Pump, as you fixed it.")
  Double pump;

  @Option(
      names = "--room",
      paramLabel = "C",
      description = "Room at the intake, if no sensor tells it.")
  Double room;

  @Option(
      names = "--fault",
      paramLabel = "FAULT=SIZE",
      description =
          "For the rig: dry-paste, tilted-cooler, film-void or weak-pump, each with a size from 0"
              + " to 1.")
  Map<String, Double> faults = new HashMap<>();

  @Option(names = "--watts", paramLabel = "W", description = "For the rig: heat under load.")
  double watts = 150;

  @Option(names = "--seed", description = "For the rig: start of its random numbers.")
  long seed = 1;

  @Option(
      names = "--liquid-metal",
      description = "For the rig: liquid metal under the lid instead of paste.")
  boolean liquidMetal;

  @Option(
      names = "--threads",
      paramLabel = "N",
      description = "For the sensors: threads of the built-in load; 0 if you start your own.")
  int threads = SteadyLoad.allThreads();

  @Option(
      names = "--one-by-one",
      description =
          "Load each core alone after an idle, and write STEM.csv and what diagnose reads.")
  boolean oneByOne;

  @Option(
      names = "--each",
      paramLabel = "S",
      description = "With --one-by-one: seconds for each core (default: 40).")
  double each = OneByOne.Times.USUAL.eachSeconds();

  @Option(names = "--root", hidden = true, description = "Root of the sensor files.")
  Path root = Path.of("/");

  @Option(names = "--json", description = "Print JSON.")
  boolean json;

  @Override
  public Integer call() throws InterruptedException {
    LogInput.checkRoom("--room", room);
    Protocol conducted = school(protocol);
    if (stop != null) {
      conducted = conducted.stoppingAt(stop);
    }
    conducted = conducted.with(new Protocol.Settings(clock, volts, fan, pump));
    Path whole = stem.toAbsolutePath();
    if (oneByOne) {
      return cores(whole, conducted.stopCelsius());
    }
    try (Source source = source();
        Load load = load(source)) {
      ConductedRun run =
          new ConductedRun(
              source,
              load,
              conducted,
              whole.getParent(),
              whole.getFileName().toString(),
              List.of("source: " + source.name(), "protocol: " + conducted.name()));
      ConductedRun.Outcome outcome = run.conduct(Notation.METRIC, this::tell);
      print(outcome);
      if (outcome.broken().isPresent()) {
        throw outcome.broken().get();
      }
      return 0;
    }
  }

  /** One core after another, on the rig or with this machine's load held to a core. */
  private int cores(Path whole, double stopCelsius) throws InterruptedException {
    Optional<RigSetup> rig = from.rig ? Optional.of(setup()) : Optional.empty();
    OptionalDouble typed = room == null ? OptionalDouble.empty() : OptionalDouble.of(room);
    OneByOneRecording recording = new OneByOneRecording(whole, each, rig);
    try (Source source = source();
        Load load = from.sensors ? new SteadyLoad(1, KernelPinning.of(root)) : load(source)) {
      recording.record(source, load, stopCelsius, typed, spec.commandLine().getOut(), json);
      return 0;
    }
  }

  static Protocol school(String name) {
    int at = List.of("ten", "half-hour", "three-plateaus", "hour").indexOf(name);
    if (at < 0) {
      throw new Problem(
          "protocol.unknown",
          Place.field("--protocol"),
          "\"" + name + "\" is no protocol.",
          "Protocols are: ten, half-hour, three-plateaus, hour.");
    }
    return Protocol.SCHOOLS.get(at);
  }

  private RigSetup setup() {
    StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_PASTE;
    RigSetup setup =
        RigSetup.of(
            new Situation(
                point.chip("rig"),
                CoolerClass.LARGE_LOOP.usual("rig loop", 3.5),
                liquidMetal ? point.afterwards() : point.asBought()),
            watts,
            seed);
    for (Map.Entry<String, Double> fault : faults.entrySet()) {
      setup = setup.with(fault(fault.getKey()), fault.getValue());
    }
    return setup;
  }

  private Source source() {
    if (from.rig) {
      return oneByOne ? ConductionRig.fine(setup(), 0) : new ConductionRig(setup());
    }
    return from.sensors ? MachineSource.of(root) : new GrowingLog(from.follow, false, 30_000);
  }

  private static Fault fault(String name) {
    try {
      return Fault.valueOf(name.strip().toUpperCase(Locale.ROOT).replace('-', '_'));
    } catch (IllegalArgumentException e) {
      throw new Problem(
          "rig.fault",
          Place.field("--fault"),
          "\"" + name + "\" is no fault.",
          "Faults are: dry-paste, tilted-cooler, film-void, weak-pump.",
          e);
    }
  }

  private Load load(Source source) {
    if (source instanceof ConductionRig rig) {
      return rig;
    }
    return from.sensors && threads > 0 ? new SteadyLoad(threads) : Load.BY_PERSON;
  }

  /** A line a minute, so that a long run can be followed without flooding the screen. */
  private void tell(Status s) {
    if (json || Math.round(s.seconds()) % 60 != 0) {
      return;
    }
    PrintWriter out = spec.commandLine().getOut();
    out.println(
        String.format(
            Locale.ROOT,
            "  %4.0f s  %-24s hottest %s%s%s",
            s.seconds(),
            s.phase().words(),
            Notation.METRIC.text(s.hottestCelsius(), Unit.CELSIUS),
            Double.isNaN(s.riseKelvin())
                ? ""
                : ", rise " + Notation.METRIC.text(s.riseKelvin(), Unit.KELVIN),
            s.settled().map(settled -> settled ? ", settled" : ", not settled yet").orElse("")));
    out.flush();
  }

  private record Recorded(boolean done, String stop, List<ObjectNode> runs) {}

  private record Unfit(String file, String unfit) {}

  private void print(ConductedRun.Outcome outcome) {
    PrintWriter out = spec.commandLine().getOut();
    List<ObjectNode> runs = new ArrayList<>();
    if (!json) {
      out.println(outcome.stop().words());
    }
    for (Path file : outcome.plateaus()) {
      try {
        runs.add(judge(file, out));
      } catch (Problem problem) {
        // A run that ended at once leaves a log that says too little; it is kept all the same.
        runs.add(Json.published(new Unfit(file.toString(), problem.what())));
        if (!json) {
          out.println(file.getFileName() + ": cannot be judged. " + problem.what());
        }
      }
    }
    if (json) {
      out.println(Json.pretty(new Recorded(outcome.stop().done(), outcome.stop().words(), runs)));
    }
    out.flush();
  }

  private ObjectNode judge(Path file, PrintWriter out) {
    RunLog log = LogReader.read(file.toString(), LogFiles.read(file)).believed();
    OptionalDouble typed = room == null ? OptionalDouble.empty() : OptionalDouble.of(room);
    RunAnalysis analysis = RunAnalyser.analyse(log, typed);
    Optional<StepResponse> step = RunAnalyser.step(log, typed);
    if (!json) {
      step.ifPresent(s -> out.println(s.sentence(Notation.METRIC)));
      out.println(
          file.getFileName()
              + ": "
              + Baseline.of(List.of(analysis), Notation.METRIC).map(Finding::sentence).orElse(""));
    }
    return RunJson.of(log, analysis, step, List.of());
  }
}
