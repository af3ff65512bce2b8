package dev.ambershim.logbook.store;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.io.JsonEOFException;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonMappingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.MapperFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.deser.std.FromStringDeserializer;
import com.fasterxml.jackson.databind.exc.UnrecognizedPropertyException;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.module.SimpleModule;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.NullNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.node.TextNode;
import com.fasterxml.jackson.databind.ser.std.ToStringSerializer;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Job;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.function.Function;

/** Jobs as JSON, the same letters for the same job. */
public final class Json {
  /** The job format that is written. */
  public static final String JOB_FORMAT = "ambershim/job-1";

  private static final ObjectMapper MAPPER =
      JsonMapper.builder()
          .configure(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES, true)
          .configure(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES, true)
          .configure(MapperFeature.SORT_PROPERTIES_ALPHABETICALLY, false)
          // The records carry none, and looking for them takes a fifth of the first reading.
          .configure(MapperFeature.USE_ANNOTATIONS, false)
          .configure(SerializationFeature.INDENT_OUTPUT, true)
          .addModule(
              new SimpleModule()
                  .addSerializer(Instant.class, ToStringSerializer.instance)
                  .addSerializer(LocalDate.class, ToStringSerializer.instance)
                  .addDeserializer(Instant.class, new IsoText<>(Instant.class, Instant::parse))
                  .addDeserializer(
                      LocalDate.class, new IsoText<>(LocalDate.class, LocalDate::parse)))
          .build();

  private static final ObjectMapper PUBLISHED =
      MAPPER.copy().setDefaultPropertyInclusion(JsonInclude.Include.NON_NULL);

  private Json() {}

  /** The mapper that every JSON of the logbook goes through. */
  public static ObjectMapper mapper() {
    return MAPPER;
  }

  /**
   * Learns how a job is read, which takes much longer than to read one. Whoever opens a logbook may
   * have it done beside that; the first job that is read waits for it.
   */
  public static void prepare() {
    MAPPER.readerFor(Job.class);
  }

  /** A job as JSON. */
  public static String write(Job job) {
    ObjectNode node = MAPPER.createObjectNode();
    node.put("format", JOB_FORMAT);
    node.set("job", MAPPER.valueToTree(job));
    return pretty(node);
  }

  /** Any tree as indented JSON with Unix line ends. */
  public static String pretty(Object tree) {
    try {
      JsonNode node = tree instanceof JsonNode given ? given : MAPPER.valueToTree(tree);
      return MAPPER.writeValueAsString(finite(node)).replace("\r\n", "\n");
    } catch (JsonProcessingException e) {
      throw new IllegalStateException(e);
    }
  }

  /**
   * A record as the tree that is published: its parts are the keys, in their order. A part that is
   * null is left out; a figure that is not known is NaN, which is written as null.
   */
  public static ObjectNode published(Record record) {
    ObjectNode node = PUBLISHED.valueToTree(record);
    finite(node);
    return node;
  }

  /** A figure as a record for {@link #published} has it. */
  public static double known(Double figure) {
    return figure == null ? Double.NaN : figure;
  }

  /** A text whose key stays where there is none. */
  public static JsonNode orNull(String text) {
    return text == null ? NullNode.getInstance() : TextNode.valueOf(text);
  }

  /** What a part calls itself, by a text or a whole number; what stands for it otherwise. */
  public static String name(JsonNode part, String otherwise) {
    JsonNode name = part.path("name");
    boolean says = name.isTextual() || name.isIntegralNumber();
    return says && !name.asText().isBlank() ? name.asText() : otherwise;
  }

  /** The tree with null for each figure that is none; JSON has no sign for it. */
  private static JsonNode finite(JsonNode node) {
    if (node instanceof ObjectNode object) {
      object.properties().forEach(field -> field.setValue(finite(field.getValue())));
    } else if (node instanceof ArrayNode array) {
      for (int i = 0; i < array.size(); i++) {
        array.set(i, finite(array.get(i)));
      }
    } else if (node.isFloatingPointNumber() && !Double.isFinite(node.doubleValue())) {
      return NullNode.getInstance();
    }
    return node;
  }

  /**
   * A job from JSON.
   *
   * @param name the file's name for messages
   * @throws Problem {@code job.unreadable} or {@code job.version}
   */
  public static Job read(String name, String json) {
    try {
      JsonNode node = MAPPER.readTree(json);
      String format = node.path("format").asText("");
      if (format.isEmpty()) {
        throw new Problem(
            "job.unreadable",
            Place.file(name),
            "This is no job: it is empty or does not say its format.",
            "Take the job.json of a bundle that Amber Shim wrote.");
      }
      if (!format.equals(JOB_FORMAT)) {
        throw new Problem(
            "job.version",
            Place.file(name),
            "The job is in the format \"" + format + "\"; this version reads " + JOB_FORMAT + ".",
            "Open it with a newer Amber Shim.");
      }
      Job job = MAPPER.treeToValue(node.path("job"), Job.class);
      if (job == null || job.chip() == null || job.cooler() == null) {
        throw new Problem(
            "job.unreadable",
            Place.file(name),
            "The job lacks its chip or its cooler.",
            "Write the bundle again from the logbook that it came from.");
      }
      return job;
    } catch (JsonMappingException e) {
      if (e.getCause() instanceof Problem problem) {
        throw problem.in(name);
      }
      throw new Problem(
          "job.unreadable",
          new Place(name, 0, 0, field(e)),
          e instanceof UnrecognizedPropertyException
              ? "This version does not know this field."
              : "This value does not fit the field.",
          "Put it right there, or write the bundle again from the logbook that it came from.",
          e);
    } catch (JsonProcessingException e) {
      int line = e.getLocation() == null ? 0 : e.getLocation().getLineNr();
      throw new Problem(
          "job.unreadable",
          Place.line(name, Math.max(0, line)),
          "The job cannot be read.",
          "Write the bundle again from the logbook that it came from.",
          e);
    }
  }

  /** The field that could not be read, as a path such as {@code chip.dies[1].name}. */
  private static String field(JsonMappingException e) {
    StringBuilder path = new StringBuilder();
    for (JsonMappingException.Reference step : e.getPath()) {
      if (step.getFieldName() == null) {
        path.append('[').append(step.getIndex()).append(']');
      } else {
        path.append(path.isEmpty() ? "" : ".").append(step.getFieldName());
      }
    }
    return path.toString();
  }

  /** A time or a day as ISO 8601 text. */
  private static final class IsoText<T> extends FromStringDeserializer<T> {
    private static final long serialVersionUID = 1L;

    private final transient Function<String, T> parser;

    IsoText(Class<T> type, Function<String, T> parser) {
      super(type);
      this.parser = parser;
    }

    @Override
    protected T _deserialize(String text, DeserializationContext context)
        throws JsonProcessingException {
      try {
        return parser.apply(text);
      } catch (DateTimeParseException e) {
        throw context.weirdStringException(text, _valueClass, "not ISO 8601");
      }
    }
  }

  /**
   * A tree from a file's text; an empty object for an empty text.
   *
   * @param key of the problem, such as {@code "stack.unreadable"}
   * @param what the file holds, such as "the case"
   * @throws Problem with the file and the line, if it is not valid JSON
   */
  public static JsonNode tree(String file, String json, String key, String what) {
    try {
      JsonNode node = mapper().readTree(json);
      return node == null ? mapper().createObjectNode() : node;
    } catch (JsonProcessingException e) {
      JsonLocation at = e.getLocation();
      // The library's own words speak of its insides; where it stopped is what helps.
      boolean ended = e instanceof JsonEOFException;
      throw new Problem(
          key,
          new Place(
              file,
              at == null ? 0 : Math.max(0, at.getLineNr()),
              at == null || ended ? 0 : Math.max(0, at.getColumnNr()),
              ""),
          ended
              ? "This is not valid JSON: it ends before all brackets and quotes are closed."
              : "This is not valid JSON: something here does not belong.",
          (ended ? "Close them" : "Correct it there (decimals take a point, not a comma)")
              + ", or write "
              + what
              + " again.",
          e);
    }
  }
}
