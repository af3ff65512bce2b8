package dev.ambershim.core.runs.reading;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Blocks of text with a reading a line, "Core 0: +71.0°C (high = …)", as the kernel's sensor tools
 * print them, again and again, with or without a line of time between; also their raw kind, with
 * "temp2_input: 71.000" under the name of each.
 */
final class SensorBlocks implements Habit {
  private static final Pattern READING =
      Pattern.compile(
          "\\s*([^:=\\t,;|]{1,60}?)\\s*:\\s*([-+]?\\d+(?:[.,]\\d+)?)\\s*"
              + "(°C|°F|Â°C|\\?C|C|F|RPM|rpm|mV|V|mW|µW|uW|W|MHz|GHz|kHz|A|J|kJ|%)?(\\s*\\(.*|\\s+ALARM.*|\\s*)");
  private static final Pattern NOTHING =
      Pattern.compile(
          "(?i)adapter:.*|\\s*([^:]{1,60}):\\s*(N/A|FAULT|\\d+\\s*\\(.*|\\w*)(\\s*\\(.*)?");
  private static final Pattern HEADING = Pattern.compile("(\\S[^:]{0,60}):\\s*");
  private static final Pattern RAW =
      Pattern.compile(
          "\\s+(temp|fan|in|power|curr|freq|energy)\\d+_(\\w+):\\s*([-+]?\\d+(?:\\.\\d+)?)\\s*");
  private static final Pattern CHIP =
      Pattern.compile(
          "[A-Za-z0-9_.]+-(isa|pci|virtual|acpi|hid|i2c|mdio|spi|scsi|usb)-\\w+(-\\w+)?");
  private static final int LOOK = 80;

  @Override
  public String words() {
    return "blocks of readings";
  }

  /** The unit of a raw reading by the kernel's name for its kind, in brackets. */
  static String unit(String kind) {
    return switch (kind) {
      case "temp" -> " [°C]";
      case "fan" -> " [RPM]";
      case "in" -> " [V]";
      case "power" -> " [W]";
      case "curr" -> " [A]";
      default -> "";
    };
  }

  @Override
  public boolean fits(LogBytes text) {
    int lines = 0;
    int readings = 0;
    int others = 0;
    int units = 0;
    for (String line : text.head().lines().limit(4 * LOOK).toList()) {
      if (line.isBlank() || lines == LOOK) {
        continue;
      }
      lines++;
      Matcher reading = READING.matcher(line);
      boolean raw = RAW.matcher(line).matches();
      if (raw || reading.matches()) {
        boolean time = !TimeText.line(line).isEmpty();
        readings += time ? 0 : 1;
        units += !time && (raw || reading.group(3) != null) ? 1 : 0;
      } else if (!CHIP.matcher(line.strip()).matches()
          && !HEADING.matcher(line).matches()
          && !NOTHING.matcher(line).matches()
          && TimeText.line(line).isEmpty()) {
        others++;
      }
    }
    return readings >= 2 && units * 2 >= readings && others * 10 <= lines;
  }

  @Override
  public void read(LogBytes text, Sink sink) throws IOException {
    try (BufferedReader lines =
        new BufferedReader(new InputStreamReader(text.stream(), text.charset()))) {
      new Walk(sink).along(lines);
    }
  }

  /** Goes along the lines and knows where it is. */
  private static final class Walk {
    private final Sink sink;
    private final Map<String, String> firstChip = new HashMap<>();
    private final Set<String> seen = new HashSet<>();
    private String chip = "";
    private String heading = "";
    private boolean timeFollows;
    private boolean timed;
    private int line;

    Walk(Sink sink) {
      this.sink = sink;
    }

    void along(BufferedReader lines) throws IOException {
      for (String text = lines.readLine(); text != null; text = lines.readLine()) {
        line++;
        if (text.length() <= 400) {
          line(text);
        } else {
          sink.dropped(line);
        }
      }
      sink.end(line);
    }

    private void line(String text) {
      String bare = text.strip();
      if (bare.isEmpty()) {
        return;
      }
      String time = TimeText.line(bare);
      if (!time.isEmpty()) {
        time(time);
        return;
      }
      Matcher raw = RAW.matcher(text);
      if (raw.matches() && !heading.isEmpty()) {
        if (raw.group(2).matches("input|average")) {
          reading(heading, unit(raw.group(1)), raw.group(3));
        }
        return;
      }
      Matcher reading = READING.matcher(text);
      if (reading.matches()) {
        String unit = reading.group(3);
        reading(
            reading.group(1),
            unit == null ? "" : " [" + (unit.endsWith("C") ? "°C" : unit) + "]",
            reading.group(2).replace(',', '.'));
        return;
      }
      if (CHIP.matcher(bare).matches()) {
        chip = bare;
        heading = "";
      } else if (HEADING.matcher(text).matches()) {
        heading = bare.substring(0, bare.length() - 1);
      } else if (!NOTHING.matcher(text).matches()) {
        sink.dropped(line);
      }
    }

    /** A time before the first block begins each block; one behind it ends each. */
    private void time(String text) {
      if (!timed) {
        timed = true;
        timeFollows = !seen.isEmpty();
      }
      if (timeFollows) {
        sink.cell("time", text);
        next();
      } else {
        next();
        sink.cell("time", text);
      }
    }

    private void next() {
      sink.end(line);
      seen.clear();
    }

    private void reading(String label, String unit, String figure) {
      String first = firstChip.putIfAbsent(label, chip);
      String name = first == null || first.equals(chip) ? label : label + " (" + chip + ")";
      if (!seen.add(name)) {
        // Without a line of time, a block ends where its first reading comes again.
        next();
        seen.add(name);
      }
      sink.cell(name + unit, figure);
    }
  }
}
