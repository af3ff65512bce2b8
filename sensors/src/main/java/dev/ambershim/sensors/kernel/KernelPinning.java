package dev.ambershim.sensors.kernel;

import com.sun.jna.Library;
import com.sun.jna.Native;
import com.sun.jna.NativeLong;
import dev.ambershim.sensors.Pinning;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Holds threads to cores as the kernel of Linux does: sched_setaffinity(2). A core's first
 * processor stands for it; which processors share a core the kernel tells under sys.
 */
public final class KernelPinning implements Pinning {
  private static final Logger LOG = LoggerFactory.getLogger(KernelPinning.class);
  private static final int BITS = 64;

  /** As many processors as the kernel's usual set has. */
  private static final int WORDS = 1024 / BITS;

  /** The call itself. */
  interface Kernel extends Library {
    /** Sets the processors that a thread may run on; 0 is the calling thread. */
    int sched_setaffinity(int thread, NativeLong bytes, long[] mask);
  }

  private final List<Integer> processors;
  private final Kernel kernel;

  private KernelPinning(List<Integer> processors, Kernel kernel) {
    this.processors = List.copyOf(processors);
    this.kernel = kernel;
  }

  /**
   * The cores of this machine; none where the kernel does not tell them or does not hold threads.
   *
   * @param root of the kernel's files
   */
  public static Pinning of(Path root) {
    List<Integer> found = processors(root.resolve("sys/devices/system/cpu"));
    if (found.isEmpty()) {
      return NONE;
    }
    try {
      return new KernelPinning(found, Native.load("c", Kernel.class));
    } catch (UnsatisfiedLinkError e) {
      LOG.info("threads cannot be held to cores here", e);
      return NONE;
    }
  }

  /** The first processor of each core, package by package, core by core. */
  static List<Integer> processors(Path folder) {
    Map<List<Integer>, Integer> first = new TreeMap<>(KernelPinning::byPlace);
    try (DirectoryStream<Path> all = Files.newDirectoryStream(folder, "cpu[0-9]*")) {
      for (Path one : all) {
        int processor = Integer.parseInt(one.getFileName().toString().substring(3));
        int pack = number(one.resolve("topology/physical_package_id"));
        int core = number(one.resolve("topology/core_id"));
        if (pack >= 0 && core >= 0) {
          first.merge(List.of(pack, core), processor, Math::min);
        }
      }
    } catch (IOException | UncheckedIOException | NumberFormatException e) {
      LOG.debug("the kernel does not tell its cores", e);
      return List.of();
    }
    return new ArrayList<>(first.values());
  }

  private static int byPlace(List<Integer> a, List<Integer> b) {
    int pack = Integer.compare(a.get(0), b.get(0));
    return pack != 0 ? pack : Integer.compare(a.get(1), b.get(1));
  }

  private static int number(Path file) throws IOException {
    return Files.isReadable(file)
        ? Integer.parseInt(Files.readString(file, StandardCharsets.US_ASCII).strip())
        : -1;
  }

  @Override
  public int cores() {
    return processors.size();
  }

  @Override
  public void hold(int core) {
    int processor = processors.get(core);
    long[] mask = new long[WORDS];
    mask[processor / BITS] = 1L << (processor % BITS);
    int failed = kernel.sched_setaffinity(0, new NativeLong((long) WORDS * Long.BYTES), mask);
    if (failed != 0) {
      LOG.warn("processor {} could not be held to", processor);
    }
  }
}
