package dev.ambershim.logbook.bundle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Care;
import dev.ambershim.core.job.Found;
import dev.ambershim.core.job.KeptCheck;
import dev.ambershim.core.job.PhotoPair;
import dev.ambershim.core.plan.Flaw;
import dev.ambershim.core.plan.Flaw.Face;
import dev.ambershim.core.plan.Flaw.Kind;
import dev.ambershim.core.plan.Hours;
import dev.ambershim.core.plan.Mishap;
import dev.ambershim.core.plan.Mishap.Harm;
import dev.ambershim.core.plan.Moment;
import dev.ambershim.core.plan.OptionKind;
import dev.ambershim.core.plan.Photo;
import dev.ambershim.core.plan.Span;
import dev.ambershim.core.plan.StepTimer;
import dev.ambershim.core.plan.Supply;
import dev.ambershim.core.plan.Use;
import dev.ambershim.core.plan.Way;
import dev.ambershim.core.plan.Ways;
import dev.ambershim.core.plan.WorkLog;
import dev.ambershim.logbook.Fixture;
import dev.ambershim.logbook.photo.Photos;
import dev.ambershim.logbook.store.Logbook;
import dev.ambershim.logbook.store.StoredJob;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Bundles out and in again, and bundles that mean harm. */
@Tag("slow")
class JobBundleTest {
  private static final byte[] PNG = png();

  private static byte[] png() {
    try {
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      ImageIO.write(new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB), "png", out);
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @TempDir Path folder;
  private Logbook logbook;
  private Path good;

  @BeforeEach
  void open() {
    logbook = Fixture.open(folder.resolve("logbook"));
    good = folder.resolve("good.shimjob");
    JobBundle.write(logbook, Fixture.complete(logbook, "Sedge Q4"), good);
  }

  @AfterEach
  void close() {
    logbook.close();
  }

  @Test
  void outAndInAgainIsTheSameToTheByte() throws IOException {
    try (Logbook other = Fixture.open(folder.resolve("other"))) {
      StoredJob taken = JobBundle.read(other, good).stored();
      assertThat(taken.job()).isEqualTo(logbook.load(logbook.list().get(0).id()).job());
      Path again = folder.resolve("again.shimjob");
      JobBundle.write(other, taken, again);
      assertThat(Files.readAllBytes(again)).isEqualTo(Files.readAllBytes(good));
      assertThat(Files.exists(folder.resolve("again.shimjob.part"))).isFalse();
    }
  }

  /** What was found on opening again travels with its photo, and without one. */
  @Test
  void openingsTravelWithTheirPhotos() throws IOException {
    StoredJob stored = logbook.load(logbook.list().get(0).id());
    Photo photo = Photos.keep(logbook, "found.png", PNG);
    LocalDate day = LocalDate.of(2026, 5, 1);
    Care care =
        stored
            .job()
            .care()
            .with(check("2026-04-01"))
            .with(new Found(day, List.of(Found.Look.DRY), ""))
            .with(
                new Found(
                    day, List.of(), "", new PhotoPair(null, photo, null, 20.0), 800.0, 120.0));
    Path bundle = folder.resolve("found.shimjob");
    JobBundle.write(
        logbook, logbook.edit(stored.id(), "found", stored.job().withCare(care)), bundle);
    assertThat(unzip(bundle).keySet()).contains("photos/" + photo.sha256() + ".png");
    try (Logbook other = Fixture.open(folder.resolve("other"))) {
      assertThat(JobBundle.read(other, bundle).stored().job().care()).isEqualTo(care);
      assertThat(other.files().thumbnail(photo.sha256())).isPresent();
    }
  }

  /** Two of a club work on one chip: what each adds comes to the other once. */
  @Test
  void aBundleThatIsHereAlreadyIsJoined() {
    StoredJob mine = logbook.load(logbook.list().get(0).id());
    try (Logbook other = Fixture.open(folder.resolve("other"))) {
      StoredJob theirs = JobBundle.read(other, good).stored();
      assertThat(theirs.id()).isEqualTo(mine.id());
      Care care = theirs.job().care().with(check("2026-04-01"));
      Path back = folder.resolve("back.shimjob");
      JobBundle.write(other, other.edit(theirs.id(), "check", theirs.job().withCare(care)), back);
      Care own = mine.job().care().with(check("2026-05-01"));
      logbook.edit(mine.id(), "check", mine.job().withCare(own).withTitle("mine"));
      JobBundle.Taken taken = JobBundle.read(logbook, back);
      assertThat(logbook.list()).hasSize(1);
      assertThat(taken.joined().orElseThrow().words()).isEqualTo("1 check");
      assertThat(taken.stored().job().title()).isEqualTo("mine");
      assertThat(taken.stored().job().care().checks()).hasSize(2);
      // The same bundle again adds nothing, and what it added can be undone.
      assertThat(JobBundle.read(logbook, back).joined().orElseThrow().added()).isEmpty();
      assertThat(logbook.undo(mine.id()).job().care().checks()).hasSize(1);
    }
  }

  /** A bundle of an older version names no job; then all of it must be the same. */
  @Test
  void aBundleWithoutAnIdIsKnownByItsContent() throws IOException {
    Map<String, byte[]> files = new LinkedHashMap<>(unzip(good));
    String manifest = new String(files.get("bundle.json"), StandardCharsets.UTF_8);
    files.put(
        "bundle.json",
        manifest.replaceAll("\\s*\"id\"[^,]*,", "").getBytes(StandardCharsets.UTF_8));
    Path old = zip(files);
    assertThat(JobBundle.read(logbook, old).joined()).isPresent();
    assertThat(logbook.list()).hasSize(1);
    StoredJob mine = logbook.load(logbook.list().get(0).id());
    logbook.edit(mine.id(), "title", mine.job().withTitle("mine"));
    assertThat(JobBundle.read(logbook, old).joined()).isEmpty();
    assertThat(logbook.list()).hasSize(2);
  }

  private static KeptCheck check(String day) {
    return new KeptCheck(LocalDate.parse(day), null, "", 50, 120, null, null, "", 1);
  }

  @Test
  void theBundleIsOpenToAnyone() throws IOException {
    Map<String, byte[]> files = unzip(good);
    assertThat(files.keySet()).contains("bundle.json", "job.json");
    assertThat(new String(files.get("bundle.json"), StandardCharsets.UTF_8))
        .contains("ambershim/bundle-1")
        .contains("before.csv");
    String hash = logbook.load(logbook.list().get(0).id()).job().runs().get(0).sha256();
    assertThat(files.get("logs/" + hash + ".log")).isEqualTo(Fixture.log(80));
    assertThat(new String(files.get("readings/" + hash + ".csv"), StandardCharsets.UTF_8))
        .startsWith("seconds,\"core 0 [°C] [°C]\"");
  }

  /** A job under way with a photo, a mishap, a timer and flaws. */
  private StoredJob worked() {
    StoredJob stored = logbook.load(logbook.list().get(0).id());
    Photo photo = Photos.keep(logbook, "die.png", PNG);
    Instant at = Instant.parse("2026-03-01T09:00:00Z");
    WorkLog log =
        stored
            .job()
            .work()
            .goingTo("marks", at)
            .with("marks", e -> e.withPhotos(List.of(photo)).withNote("dot at the left"))
            .done("marks", at.plusSeconds(240), List.of(new Use("bottle", Supply.ALCOHOL, 5)))
            .with("lift", e -> e.withMishap(new Mishap("slipped", Harm.MENDED, "slower", null)))
            .withTimer(
                new StepTimer(
                    "cover", "dries", new Moment(at, "boot", 12.5), new Span(10, 15, 30), null))
            .withFlaws(List.of(new Flaw(Face.DIE, Kind.SCRATCH, false, "corner")))
            .withHours(new Hours("18:00", "22:00", List.of(5, 6)))
            .withWays(Ways.USUAL.with(OptionKind.METAL_GLUED).with(Way.SEAL_AROUND));
    return logbook.edit(stored.id(), "worked", stored.job().withWork(log));
  }

  @Test
  void photosTravelWithTheJobThatTheyBelongTo() throws IOException {
    StoredJob stored = worked();
    Path bundle = folder.resolve("worked.shimjob");
    JobBundle.write(logbook, stored, bundle);
    String hash = stored.job().work().entry("marks").photos().get(0).sha256();
    Map<String, byte[]> files = unzip(bundle);
    assertThat(files.get("photos/" + hash + ".png")).isEqualTo(PNG);
    assertThat(new String(files.get("bundle.json"), StandardCharsets.UTF_8))
        .contains("ambershim/bundle-2");
    try (Logbook other = Fixture.open(folder.resolve("other"))) {
      StoredJob taken = JobBundle.read(other, bundle).stored();
      assertThat(taken.job()).isEqualTo(stored.job());
      assertThat(other.files().thumbnail(hash)).isPresent();
      Path again = folder.resolve("again.shimjob");
      JobBundle.write(other, taken, again);
      assertThat(Files.readAllBytes(again)).isEqualTo(Files.readAllBytes(bundle));
    }
    // A photo that is missing, changed or none is refused, and nothing is taken in.
    Map<String, byte[]> without = new LinkedHashMap<>(files);
    without.remove("photos/" + hash + ".png");
    assertThat(refusal(zip(without))).isEqualTo("bundle.incomplete");
    Map<String, byte[]> changed = new LinkedHashMap<>(files);
    byte[] other = PNG.clone();
    other[PNG.length - 20]++;
    changed.put("photos/" + hash + ".png", other);
    assertThat(refusal(zip(changed))).isEqualTo("bundle.changed");
  }

  private String refusal(Path bundle) {
    int before = logbook.list().size();
    Problem p = catchThrowableOfType(Problem.class, () -> JobBundle.read(logbook, bundle));
    assertThat(p).as("refused").isNotNull();
    assertThat(p.getMessage()).contains(bundle.getFileName().toString());
    assertThat(p.remedy()).isNotBlank();
    assertThat(logbook.list()).as("nothing taken in").hasSize(before);
    return p.key();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "../evil.txt",
        "/etc/evil",
        "logs/../../evil.log",
        "logs\\evil.log",
        "C:/evil",
        "logs/short.log",
        "extra.exe"
      })
  void namesThatHaveNoPlaceAreRefused(String name) throws IOException {
    Map<String, byte[]> files = unzip(good);
    files.put(name, new byte[] {1});
    assertThat(refusal(zip(files))).isEqualTo("bundle.path");
    assertThat(Files.exists(folder.resolveSibling("evil.txt"))).isFalse();
  }

  @Test
  void aBombIsNotUnpacked() throws IOException {
    Map<String, byte[]> files = unzip(good);
    files.put("logs/" + "a".repeat(64) + ".log", new byte[64 << 20]);
    assertThat(refusal(zip(files))).isEqualTo("bundle.bomb");
  }

  @Test
  void tooManyFiles() throws IOException {
    Map<String, byte[]> files = unzip(good);
    for (int i = 0; i < BundleGuard.MOST_ENTRIES; i++) {
      files.put(String.format("logs/%064x.log", i), new byte[0]);
    }
    assertThat(refusal(zip(files))).isEqualTo("bundle.bomb");
  }

  @Test
  void anotherVersion() throws IOException {
    Map<String, byte[]> files = unzip(good);
    files.put(
        "bundle.json",
        new String(files.get("bundle.json"), StandardCharsets.UTF_8)
            .replace("bundle-1", "bundle-7")
            .getBytes(StandardCharsets.UTF_8));
    assertThat(refusal(zip(files))).isEqualTo("bundle.version");
    files = unzip(good);
    files.put(
        "job.json",
        new String(files.get("job.json"), StandardCharsets.UTF_8)
            .replace("job-1", "job-7")
            .getBytes(StandardCharsets.UTF_8));
    assertThat(refusal(zip(files))).isEqualTo("job.version");
  }

  @Test
  void cutOffAtAnyPlace() throws IOException {
    byte[] whole = Files.readAllBytes(good);
    for (int i = 0; i < 20; i++) {
      Path cut = folder.resolve("cut" + i + ".shimjob");
      Files.write(cut, Arrays.copyOf(whole, whole.length * i / 20));
      assertThat(refusal(cut)).isIn("bundle.cutOff", "bundle.unread");
    }
  }

  @Test
  void aLogThatWasChangedIsNoticed() throws IOException {
    Map<String, byte[]> files = unzip(good);
    String log =
        files.keySet().stream().filter(n -> n.startsWith("logs/")).findFirst().orElseThrow();
    files.get(log)[200]++;
    assertThat(refusal(zip(files))).isEqualTo("bundle.changed");
  }

  @Test
  void aLogThatIsMissingIsNoticed() throws IOException {
    Map<String, byte[]> files = unzip(good);
    files.keySet().removeIf(n -> n.startsWith("logs/"));
    assertThat(refusal(zip(files))).isEqualTo("bundle.incomplete");
    files = unzip(good);
    files.remove("job.json");
    assertThat(refusal(zip(files))).isEqualTo("bundle.incomplete");
  }

  @Test
  void otherZipsAndOtherFiles() throws IOException {
    assertThat(refusal(zip(new LinkedHashMap<>()))).isIn("bundle.foreign", "bundle.cutOff");
    Path text = folder.resolve("text.shimjob");
    Files.writeString(text, "hello");
    assertThat(refusal(text)).isEqualTo("bundle.cutOff");
    Map<String, byte[]> files = unzip(good);
    files.put("bundle.json", "{ not json".getBytes(StandardCharsets.UTF_8));
    assertThat(refusal(zip(files))).isEqualTo("bundle.foreign");
    files = unzip(good);
    files.put("job.json", "[1,2]".getBytes(StandardCharsets.UTF_8));
    assertThat(refusal(zip(files))).startsWith("job.");
    assertThat(refusal(folder.resolve("none.shimjob"))).isEqualTo("bundle.unread");
  }

  private static Map<String, byte[]> unzip(Path source) throws IOException {
    Map<String, byte[]> files = new LinkedHashMap<>();
    try (InputStream in = Files.newInputStream(source);
        ZipInputStream zip = new ZipInputStream(in)) {
      ZipEntry entry = zip.getNextEntry();
      while (entry != null) {
        files.put(entry.getName(), zip.readAllBytes());
        entry = zip.getNextEntry();
      }
    }
    return files;
  }

  private Path zip(Map<String, byte[]> files) throws IOException {
    Path target = folder.resolve("made.shimjob");
    try (OutputStream out = Files.newOutputStream(target);
        ZipOutputStream zip = new ZipOutputStream(out)) {
      for (Map.Entry<String, byte[]> file : files.entrySet()) {
        zip.putNextEntry(new ZipEntry(file.getKey()));
        zip.write(file.getValue());
        zip.closeEntry();
      }
    }
    return target;
  }
}
