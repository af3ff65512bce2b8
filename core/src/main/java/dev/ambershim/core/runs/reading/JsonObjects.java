package dev.ambershim.core.runs.reading;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * JSON: an object a sample, one after the other, in an array, or in an array inside one object;
 * also one object whose arrays are columns. Nested names become paths; lines between the objects
 * may tell the time, as when the kernel's sensor tool is asked for JSON again and again.
 */
final class JsonObjects implements Habit {
  private static final Pattern BEGINS =
      Pattern.compile("\\A[^\\n{\\[]{0,80}\\n?\\s*(\\[\\s*)*\\{\\s*(\"|\\})");

  /** One object may be so long, in characters; a longer one is no sample. */
  private static final int MOST_CHARACTERS = 64 << 20;

  /** What names an object in an array, in order of preference. */
  private static final List<String> NAMES =
      List.of("name", "label", "sensor", "core", "cpu", "channel", "id", "index");

  private static final Pattern INPUT =
      Pattern.compile("(temp|fan|in|power|curr|freq)\\d+_(input|average)");
  private static final Pattern SETTING =
      Pattern.compile("(temp|fan|in|power|curr|freq|energy|intrusion)\\d+_\\w+");

  private static final ObjectMapper MAPPER =
      new ObjectMapper(
          JsonFactory.builder()
              .streamReadConstraints(
                  StreamReadConstraints.builder()
                      .maxNestingDepth(64)
                      .maxStringLength(1 << 20)
                      .build())
              .build());

  @Override
  public String words() {
    return "JSON";
  }

  @Override
  public boolean fits(LogBytes text) {
    return BEGINS.matcher(text.head().stripLeading()).find();
  }

  @Override
  public void read(LogBytes text, Sink sink) throws IOException {
    Out out = new Out(sink, new HashMap<>());
    List<Timed> first = new ArrayList<>();
    boolean[] more = new boolean[1];
    try (Reader source = new InputStreamReader(text.stream(), text.charset())) {
      new Objects(source, sink)
          .each(
              object -> {
                // The first waits: alone, it may hold all samples inside.
                if (first.isEmpty()) {
                  first.add(object);
                  return;
                }
                if (!more[0]) {
                  more[0] = true;
                  sample(first.get(0), out);
                }
                sample(object, out);
              });
    }
    if (!first.isEmpty() && !more[0]) {
      whole(first.get(0).text(), out);
    }
  }

  /**
   * Where readings go.
   *
   * @param firstChip the chip under which each label of the kernel's sensor tool came first
   */
  private record Out(Sink sink, Map<String, String> firstChip) {
    /** A label alone as long as it is clear whose it is. */
    String name(String path) {
      int dot = path.indexOf('.');
      if (dot < 0) {
        return path;
      }
      String chip = path.substring(0, dot);
      String label = path.substring(dot + 1);
      String first = firstChip.putIfAbsent(label, chip);
      return first == null || first.equals(chip) ? label : label + " (" + chip + ")";
    }
  }

  /** An object's text with the line it ends at, and the time that stood above it, or empty. */
  private record Timed(String text, int line, String time) {}

  /** One object alone: a sample, or a list of samples, or columns. */
  private static void whole(String object, Out out) {
    JsonNode root = tree(object);
    if (root == null) {
      out.sink().dropped(1);
      return;
    }
    JsonNode rows = root.isObject() ? rows(root) : null;
    if (rows != null) {
      for (JsonNode row : rows) {
        flat("", row, out);
        out.sink().end(1);
      }
      return;
    }
    int length = columns(root);
    for (int i = 0; i < length; i++) {
      for (Map.Entry<String, JsonNode> column : root.properties()) {
        if (column.getValue().isArray()) {
          flat(column.getKey(), column.getValue().path(i), out);
        }
      }
      out.sink().end(1);
    }
    if (length == 0) {
      flat("", root, out);
      out.sink().end(1);
    }
  }

  /** The longest array of objects in an object, if it is longer than a list of cores might be. */
  private static JsonNode rows(JsonNode root) {
    JsonNode best = null;
    for (JsonNode child : root) {
      if (child.isArray()
          && child.size() >= 2
          && child.get(0).isObject()
          && (best == null || child.size() > best.size())) {
        best = child;
      }
    }
    return best;
  }

  /** The common length of an object's arrays of plain values; 0 if they have none. */
  private static int columns(JsonNode root) {
    int length = 0;
    for (JsonNode child : root) {
      if (child.isArray()) {
        boolean plain = child.size() >= 4 && child.get(0).isValueNode();
        if (!plain || (length > 0 && child.size() != length)) {
          return 0;
        }
        length = child.size();
      }
    }
    return length;
  }

  private static void sample(Timed object, Out out) {
    JsonNode tree = tree(object.text());
    if (tree == null) {
      out.sink().dropped(object.line());
      return;
    }
    if (!object.time().isEmpty()) {
      out.sink().cell("time", object.time());
    }
    flat("", tree, out);
    out.sink().end(object.line());
  }

  private static JsonNode tree(String object) {
    try {
      return MAPPER.readTree(object);
    } catch (JsonProcessingException e) {
      return null;
    }
  }

  private static void flat(String path, JsonNode node, Out out) {
    if (node.isObject()) {
      JsonNode value = node.get("value");
      JsonNode unit = node.get("unit");
      if (value != null
          && value.isValueNode()
          && unit != null
          && unit.isTextual()
          && !path.isEmpty()) {
        out.sink().cell(path + " [" + unit.asText() + "]", text(value));
        return;
      }
      for (Map.Entry<String, JsonNode> field : node.properties()) {
        field(path, field.getKey(), field.getValue(), out);
      }
    } else if (node.isArray()) {
      int i = 0;
      for (JsonNode each : node) {
        flat(path + "." + name(each, i++), each, out);
      }
    } else if (!path.isEmpty()) {
      out.sink().cell(path, text(node));
    }
  }

  private static void field(String path, String name, JsonNode value, Out out) {
    Matcher input = INPUT.matcher(name);
    if (!path.isEmpty() && input.matches() && value.isNumber()) {
      out.sink().cell(out.name(path) + SensorBlocks.unit(input.group(1)), text(value));
    } else if (path.isEmpty() || !value.isNumber() || !SETTING.matcher(name).matches()) {
      flat(path.isEmpty() ? name : path + "." + name, value, out);
    }
  }

  /** What an object in an array calls itself, or its place. */
  private static String name(JsonNode node, int place) {
    for (String name : NAMES) {
      JsonNode said = node.get(name);
      if (said != null && said.isValueNode() && !said.isNull() && !said.asText().isBlank()) {
        return said.asText();
      }
    }
    return Integer.toString(place);
  }

  private static String text(JsonNode value) {
    return value.isNull() ? "" : value.asText();
  }

  /** What is done with each object. */
  private interface Use {
    void take(Timed object);
  }

  /** Walks along a text and cuts it into objects, with what stands between them. */
  private static final class Objects {
    private final Reader source;
    private final Sink sink;
    private final StringBuilder object = new StringBuilder();
    private final StringBuilder between = new StringBuilder();
    private final char[] buffer = new char[1 << 14];
    private String above = "";
    private int line = 1;
    private int depth;
    private boolean quoted;
    private boolean escaped;

    Objects(Reader source, Sink sink) {
      this.source = source;
      this.sink = sink;
    }

    void each(Use use) throws IOException {
      for (int n = source.read(buffer); n >= 0; n = source.read(buffer)) {
        for (int i = 0; i < n; i++) {
          char c = buffer[i];
          if (depth == 0 && c != '{') {
            between(c);
          } else {
            inside(c, use);
          }
          line += c == '\n' ? 1 : 0;
        }
      }
      if (depth > 0) {
        sink.dropped(line); // cut off in the middle
      }
      between('\n');
    }

    private void between(char c) {
      if (c != '\n') {
        if (between.length() < 200) {
          between.append(c);
        }
        return;
      }
      String text = between.toString().strip();
      between.setLength(0);
      String time = TimeText.line(text);
      if (!time.isEmpty()) {
        above = time;
      } else if (!text.matches("[\\[\\],;\\s\\x1e]*")) {
        sink.dropped(line);
      }
    }

    private void inside(char c, Use use) {
      if (depth == 0) {
        between('\n');
      }
      if (object.length() < MOST_CHARACTERS) {
        object.append(c);
      }
      if (quoted) {
        quoted = escaped || c != '"';
        escaped = !escaped && c == '\\';
        return;
      }
      if (c == '"') {
        quoted = true;
      } else if (c == '{' || c == '[') {
        depth++;
      } else if ((c == '}' || c == ']') && --depth == 0) {
        String whole = object.toString();
        object.setLength(0);
        use.take(new Timed(whole, line, above));
        above = "";
      }
    }
  }
}
