package dev.ambershim.cli;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Spoils inputs in the ways that files get spoilt, and in some that only malice knows. */
final class Mutator {
  private static final Pattern FIGURE = Pattern.compile("-?\\d+(\\.\\d+)?([eE][-+]?\\d+)?");
  private static final Pattern VALUE =
      Pattern.compile("(?<=:)\\s*(\"[^\"]*\"|-?[0-9.eE+-]+|true|false|null)");
  private static final String[] FIGURES = {
    "1e309",
    "-1e309",
    "1e308",
    "-1e308",
    "1e-300",
    "0",
    "-1",
    "-0.0",
    "NaN",
    "Infinity",
    "255",
    "1e12",
    "0.001",
    "99999999999999999999",
    "1,5",
    "1.2.3",
    "0x10",
    "²",
    "-273.16",
    "1e18",
    "5000",
    "-300"
  };
  private static final String[] VALUES = {
    "null",
    "[]",
    "{}",
    "\"\"",
    "\"x\"",
    "true",
    "1e308",
    "-1",
    "0",
    "1e-300",
    "[null]",
    "[[]]",
    "\"line\\nend\"",
    "\"=cmd()\"",
    "\"\\u0000\\u001b\"",
    "1e309",
    "{\"a\": 1}",
    "\"2026-13-45\""
  };
  private static final String[] TOKENS = {
    "\0",
    "\"",
    "\n",
    "\r",
    ",",
    ";",
    "\t",
    "{",
    "}",
    "[",
    "]",
    "\uFFFD",
    "\u202e",
    "\uFEFF",
    "é",
    "°",
    "'",
    "\\",
    "\u001b[2J",
    "time",
    "core 0",
    "null",
    ":",
    "%",
    "\r\n\r\n"
  };

  private final Random random;

  Mutator(long seed) {
    random = new Random(seed);
  }

  int below(int bound) {
    return random.nextInt(bound);
  }

  /** The input spoilt in one to three ways. */
  byte[] spoilt(byte[] input) {
    byte[] out = input;
    for (int n = 1 + random.nextInt(3); n > 0; n--) {
      out = once(out);
    }
    return out;
  }

  /** JSON with another value somewhere, so that it can still be read. */
  byte[] otherValue(byte[] json) {
    return replaced(json, VALUE, random.nextBoolean() ? FIGURES : VALUES);
  }

  private byte[] once(byte[] in) {
    return switch (random.nextInt(12)) {
      case 0 -> flipped(in);
      case 1 -> Arrays.copyOf(in, random.nextInt(in.length + 1));
      case 2 -> without(in);
      case 3 -> twice(in);
      case 4 ->
          inserted(in, TOKENS[random.nextInt(TOKENS.length)].getBytes(StandardCharsets.UTF_8));
      case 5 -> lines(in);
      case 6, 7, 8 -> replaced(in, FIGURE, FIGURES);
      case 9, 10 -> replaced(in, VALUE, VALUES);
      default -> inserted(in, noise());
    };
  }

  private byte[] noise() {
    byte[] noise = new byte[1 + random.nextInt(40)];
    random.nextBytes(noise);
    return noise;
  }

  private byte[] flipped(byte[] in) {
    byte[] out = in.clone();
    for (int n = 1 + random.nextInt(4); n > 0 && out.length > 0; n--) {
      out[random.nextInt(out.length)] ^= (byte) (1 << random.nextInt(8));
    }
    return out;
  }

  private byte[] without(byte[] in) {
    int from = random.nextInt(in.length + 1);
    int to = Math.min(in.length, from + random.nextInt(60));
    byte[] out = Arrays.copyOf(in, in.length - (to - from));
    System.arraycopy(in, to, out, from, in.length - to);
    return out;
  }

  private byte[] twice(byte[] in) {
    int from = random.nextInt(in.length + 1);
    int to = Math.min(in.length, from + random.nextInt(400));
    return inserted(in, Arrays.copyOfRange(in, from, to));
  }

  private byte[] inserted(byte[] in, byte[] what) {
    int at = random.nextInt(in.length + 1);
    byte[] out = Arrays.copyOf(in, in.length + what.length);
    System.arraycopy(what, 0, out, at, what.length);
    System.arraycopy(in, at, out, at + what.length, in.length - at);
    return out;
  }

  private byte[] lines(byte[] in) {
    List<String> lines =
        new ArrayList<>(List.of(new String(in, StandardCharsets.UTF_8).split("\n", -1)));
    int a = random.nextInt(lines.size());
    int b = random.nextInt(lines.size());
    switch (random.nextInt(3)) {
      case 0 -> lines.set(a, lines.get(b));
      case 1 -> lines.add(a, lines.get(b));
      default -> lines.remove(a);
    }
    return String.join("\n", lines).getBytes(StandardCharsets.UTF_8);
  }

  private byte[] replaced(byte[] in, Pattern what, String[] by) {
    String text = new String(in, StandardCharsets.UTF_8);
    List<int[]> found = new ArrayList<>();
    Matcher m = what.matcher(text);
    while (m.find()) {
      found.add(new int[] {m.start(), m.end()});
    }
    if (found.isEmpty()) {
      return flipped(in);
    }
    int[] at = found.get(random.nextInt(found.size()));
    String put = by[random.nextInt(by.length)];
    return (text.substring(0, at[0]) + put + text.substring(at[1]))
        .getBytes(StandardCharsets.UTF_8);
  }
}
