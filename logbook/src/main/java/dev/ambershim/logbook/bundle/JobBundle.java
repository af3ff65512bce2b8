package dev.ambershim.logbook.bundle;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.JobMerge;
import dev.ambershim.core.job.JobRules;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.plan.Photo;
import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.logbook.photo.Photos;
import dev.ambershim.logbook.store.Attachment;
import dev.ambershim.logbook.store.Json;
import dev.ambershim.logbook.store.Logbook;
import dev.ambershim.logbook.store.Readings;
import dev.ambershim.logbook.store.StoredJob;
import dev.ambershim.logbook.store.WholeFile;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipOutputStream;

/**
 * Job bundles: a zip with {@code bundle.json} (format and list of files), {@code job.json}, every
 * log as it came under {@code logs/}, what was read from it under {@code readings/}, and photos as
 * they came under {@code photos/}. The same job gives the same bytes.
 */
public final class JobBundle {
  /** The bundle format that is written for a job without photos. */
  public static final String FORMAT = "ambershim/bundle-1";

  /** The same with photos, which older versions do not know. */
  public static final String FORMAT_WITH_PHOTOS = "ambershim/bundle-2";

  private static final FileTime EPOCH = FileTime.from(Instant.parse("2000-01-01T00:00:00Z"));

  private static final Pattern ID = Pattern.compile("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}");

  private JobBundle() {}

  /** Writes a job out of a logbook; the file appears whole or not at all. */
  public static void write(Logbook logbook, StoredJob stored, Path target) {
    WholeFile.write(target, bytes(logbook, stored));
  }

  /**
   * Writes what a logbook keeps of a job as it is kept, for a job that cannot be read: its document
   * and every file that it names.
   */
  public static void writeAsItIs(Logbook logbook, String id, Path target) {
    String document = logbook.document(id);
    Map<String, byte[]> files = new TreeMap<>();
    files.put("job.json", document.getBytes(StandardCharsets.UTF_8));
    Matcher hashes = Pattern.compile("\\b[0-9a-f]{64}\\b").matcher(document);
    while (hashes.find()) {
      if (logbook.files().holds(hashes.group())) {
        byte[] bytes = logbook.files().attachment(hashes.group()).bytes();
        Optional<String> picture = Photos.ending(bytes);
        files.put(
            picture
                .map(e -> "photos/" + hashes.group() + "." + e)
                .orElse("logs/" + hashes.group() + ".log"),
            bytes);
      }
    }
    WholeFile.write(target, zipped(files));
  }

  /** A job's bundle as bytes. */
  private static byte[] bytes(Logbook logbook, StoredJob stored) {
    Job job = stored.job();
    Map<String, byte[]> files = new TreeMap<>();
    ObjectNode manifest = Json.mapper().createObjectNode();
    Set<Photo> photos = photos(job);
    manifest.put("format", photos.isEmpty() ? FORMAT : FORMAT_WITH_PHOTOS);
    manifest.put("id", stored.id());
    ArrayNode logs = manifest.putArray("logs");
    for (RunEntry run : job.runs()) {
      String at = "logs/" + run.sha256() + ".log";
      if (files.containsKey(at)) {
        continue;
      }
      Attachment file = logbook.files().attachment(run.sha256());
      files.put(at, file.bytes());
      logbook
          .files()
          .reading(run.sha256())
          .ifPresent(
              log ->
                  files.put(
                      "readings/" + run.sha256() + ".csv",
                      Readings.csv(log).getBytes(StandardCharsets.UTF_8)));
      ObjectNode entry = logs.addObject();
      entry.put("sha256", run.sha256());
      entry.put("name", file.name());
      entry.put("bytes", file.bytes().length);
    }
    if (!photos.isEmpty()) {
      addPhotos(logbook, photos, files, manifest.putArray("photos"));
    }
    files.put("bundle.json", Json.pretty(manifest).getBytes(StandardCharsets.UTF_8));
    files.put("job.json", Json.write(job).getBytes(StandardCharsets.UTF_8));
    return zipped(files);
  }

  private static byte[] zipped(Map<String, byte[]> files) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      zip(files, out);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  private static Set<Photo> photos(Job job) {
    Set<Photo> all = new TreeSet<>(Comparator.comparing(Photo::sha256));
    all.addAll(job.photos());
    return all;
  }

  private static void addPhotos(
      Logbook logbook, Set<Photo> photos, Map<String, byte[]> files, ArrayNode list) {
    for (Photo photo : photos) {
      Attachment file = logbook.files().attachment(photo.sha256());
      String ending = Photos.ending(file.bytes()).orElse("png");
      files.put("photos/" + photo.sha256() + "." + ending, file.bytes());
      ObjectNode entry = list.addObject();
      entry.put("sha256", photo.sha256());
      entry.put("name", file.name());
      entry.put("bytes", file.bytes().length);
    }
  }

  private static void zip(Map<String, byte[]> files, OutputStream out) throws IOException {
    try (ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8)) {
      for (Map.Entry<String, byte[]> file : files.entrySet()) {
        ZipEntry entry = new ZipEntry(file.getKey());
        entry.setLastModifiedTime(EPOCH);
        zip.putNextEntry(entry);
        zip.write(file.getValue());
        zip.closeEntry();
      }
    }
  }

  /**
   * What became of a bundle.
   *
   * @param stored the job that it is now
   * @param joined what it added to a job that was here already; empty if it is a new one
   */
  public record Taken(StoredJob stored, Optional<JobMerge> joined) {}

  /**
   * Takes a bundle into a logbook: as a new job, or into the copy of it that is there already, as
   * an edit that can be undone. Nothing is kept unless all of it is sound.
   *
   * @throws Problem a key starting with {@code bundle.} or {@code job.}
   */
  public static Taken read(Logbook logbook, Path source) {
    String name = source.getFileName().toString();
    Map<String, byte[]> files;
    try {
      files = BundleGuard.entries(source);
    } catch (ZipException e) {
      throw refused("bundle.cutOff", name, "It is not a whole zip file; it may be cut off.", e);
    } catch (IOException e) {
      throw refused("bundle.unread", name, "It cannot be read.", e);
    }
    Optional<String> id = checkManifest(name, files);
    byte[] jobBytes = files.get("job.json");
    if (jobBytes == null) {
      throw refused("bundle.incomplete", name, "It holds no job.", null);
    }
    Job job = Json.read(name + ": job.json", new String(jobBytes, StandardCharsets.UTF_8));
    try {
      JobRules.sound(job);
    } catch (Problem problem) {
      throw problem.in(name + ": job.json");
    }
    for (RunEntry run : job.runs()) {
      if (!run.sha256().matches("[0-9a-f]{64}")
          || !files.containsKey("logs/" + run.sha256() + ".log")) {
        throw refused(
            "bundle.incomplete", name, "It lacks the log \"" + run.fileName() + "\".", null);
      }
    }
    Map<String, byte[]> photos = photosIn(name, job, files);
    nothingElse(name, job, files);
    files.keySet().removeIf(at -> !at.startsWith("logs/"));
    for (Map<String, byte[]> some : List.of(files, photos)) {
      for (Map.Entry<String, byte[]> file : some.entrySet()) {
        if (!Readings.sha256(file.getValue()).equals(hashIn(file.getKey()))) {
          throw refused("bundle.changed", name, "A file inside is not what it was.", null);
        }
      }
    }
    // Damaged photos, and what cannot be judged, are refused before anything is kept.
    photos.forEach((at, bytes) -> Photos.scaled(name + ": " + at, bytes, Photos.THUMBNAIL));
    Map<String, String> names = names(job);
    Map<String, Optional<RunLog>> read = new TreeMap<>();
    files.forEach((at, bytes) -> read.put(hashIn(at), log(names.get(hashIn(at)), bytes)));
    judge(name, job, read);
    for (Map.Entry<String, byte[]> log : files.entrySet()) {
      String hash = hashIn(log.getKey());
      logbook.files().attach(new Attachment(hash, names.get(hash), log.getValue()), read.get(hash));
    }
    for (Photo photo : photos(job)) {
      photos.forEach(
          (at, bytes) -> {
            if (hashIn(at).equals(photo.sha256())) {
              Photos.keep(logbook, photo.name(), bytes);
            }
          });
    }
    return take(logbook, name, id, job);
  }

  /** By its id, or by all of it where an older version wrote no id. */
  private static Taken take(Logbook logbook, String name, Optional<String> id, Job job) {
    Optional<String> here =
        id.isPresent()
            ? id.filter(logbook::has)
            : logbook.jobs().entrySet().stream()
                .filter(e -> e.getValue().equals(job))
                .map(Map.Entry::getKey)
                .findFirst();
    if (here.isEmpty()) {
      StoredJob created = id.isPresent() ? logbook.create(id.get(), job) : logbook.create(job);
      return new Taken(created, Optional.empty());
    }
    StoredJob mine = logbook.load(here.get());
    JobMerge merge = JobMerge.of(mine.job(), job);
    if (merge.added().isEmpty()) {
      return new Taken(mine, Optional.of(merge));
    }
    JobRules.sound(merge.job());
    return new Taken(
        logbook.edit(mine.id(), "bundle " + name + ": " + merge.words(), merge.job()),
        Optional.of(merge));
  }

  private static String hashIn(String entry) {
    return entry.substring(entry.indexOf('/') + 1, entry.lastIndexOf('.'));
  }

  /** The photos that the job names; each must be there. */
  private static Map<String, byte[]> photosIn(String name, Job job, Map<String, byte[]> files) {
    Map<String, byte[]> photos = new TreeMap<>(files);
    photos.keySet().removeIf(at -> !at.startsWith("photos/"));
    for (Photo photo : photos(job)) {
      if (photo.sha256() == null
          || photo.name() == null
          || photos.keySet().stream().noneMatch(at -> hashIn(at).equals(photo.sha256()))) {
        throw refused(
            "bundle.incomplete", name, "It lacks the photo \"" + photo.name() + "\".", null);
      }
    }
    return photos;
  }

  private static Map<String, String> names(Job job) {
    Map<String, String> names = new TreeMap<>();
    job.runs().forEach(r -> names.putIfAbsent(r.sha256(), r.fileName()));
    return names;
  }

  private static Optional<RunLog> log(String name, byte[] bytes) {
    try {
      return Optional.of(LogReader.read(name, bytes));
    } catch (Problem unreadable) {
      // The job came with it, so it stays with it; the job's screen says what is wrong.
      return Optional.empty();
    }
  }

  /** Works the job out, so that none is kept that cannot be shown. */
  private static void judge(String name, Job job, Map<String, Optional<RunLog>> read) {
    Map<String, RunLog> logs = new TreeMap<>();
    read.forEach((hash, log) -> log.ifPresent(l -> logs.put(hash, l)));
    try {
      Assessment.of(job, logs, Notation.METRIC);
    } catch (Problem problem) {
      throw problem.in(name);
    } catch (RuntimeException fault) {
      throw refused("bundle.unjudged", name, "Its job cannot be worked out.", fault);
    }
  }

  /** A bundle carries what its job names, and nothing besides. */
  private static void nothingElse(String name, Job job, Map<String, byte[]> files) {
    Set<String> named = new TreeSet<>(List.of("bundle.json", "job.json"));
    job.runs().forEach(r -> named.add(r.sha256()));
    photos(job).forEach(p -> named.add(p.sha256()));
    for (String at : files.keySet()) {
      if (!named.contains(at) && !(at.indexOf('/') > 0 && named.contains(hashIn(at)))) {
        throw refused(
            "bundle.unnamed",
            name,
            "It holds a file that its job does not name (" + at + ").",
            null);
      }
    }
  }

  /** Checks the list of contents, and tells which job it is of, if it says so. */
  private static Optional<String> checkManifest(String name, Map<String, byte[]> files) {
    byte[] bytes = files.get("bundle.json");
    if (bytes == null) {
      throw refused("bundle.foreign", name, "It is a zip file, but not a job bundle.", null);
    }
    String format;
    String id;
    try {
      JsonNode node = Json.mapper().readTree(new String(bytes, StandardCharsets.UTF_8));
      format = node.path("format").asText("");
      id = node.path("id").asText("");
    } catch (JsonProcessingException e) {
      throw refused("bundle.foreign", name, "Its list of contents cannot be read.", e);
    }
    if (!format.equals(FORMAT) && !format.equals(FORMAT_WITH_PHOTOS)) {
      throw new Problem(
          "bundle.version",
          Place.file(name),
          "The bundle is in the format \""
              + format
              + "\"; this version reads "
              + FORMAT
              + " and "
              + FORMAT_WITH_PHOTOS
              + ".",
          "Open it with a newer Amber Shim.");
    }
    return Optional.of(id).filter(i -> ID.matcher(i).matches());
  }

  static Problem refused(String key, String name, String why, Exception cause) {
    String remedy = "Nothing was taken in. Ask for the bundle again from where it came.";
    return cause == null
        ? new Problem(key, Place.file(name), why, remedy)
        : new Problem(key, Place.file(name), why, remedy, cause);
  }
}
