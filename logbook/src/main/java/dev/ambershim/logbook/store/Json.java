package dev.ambershim.logbook.store;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.MapperFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.problem.Place;
import dev.ambershim.core.problem.Problem;

/** Jobs as JSON, the same letters for the same job. */
public final class Json {
  /** The job format that is written. */
  public static final String JOB_FORMAT = "ambershim/job-1";

  private static final ObjectMapper MAPPER =
      JsonMapper.builder()
          .configure(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES, true)
          .configure(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES, true)
          .configure(MapperFeature.SORT_PROPERTIES_ALPHABETICALLY, false)
          .configure(SerializationFeature.INDENT_OUTPUT, true)
          .build();

  private Json() {}

  /** The mapper that every JSON of the logbook goes through. */
  public static ObjectMapper mapper() {
    return MAPPER;
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
      return MAPPER.writeValueAsString(tree).replace("\r\n", "\n");
    } catch (JsonProcessingException e) {
      throw new IllegalStateException(e);
    }
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
}
