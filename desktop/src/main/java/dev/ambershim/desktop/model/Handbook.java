package dev.ambershim.desktop.model;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** The handbook as it ships with the application: its pages, and a search through them. */
public final class Handbook {
  /** The pages in the order of the work; then what goes across it. */
  private static final List<String> NAMES =
      List.of(
          "README",
          "weigh",
          "baseline",
          "open",
          "clean",
          "measure",
          "lap",
          "coat",
          "close",
          "prove",
          "keep",
          "diagnosis",
          "series",
          "practise",
          "plans",
          "conduction",
          "logbook");

  private static final String FOLDER = "/dev/ambershim/desktop/handbook/";
  private static final int MOST_HITS = 40;

  /** How commands are called from the source, as the pages have it; installed they have a name. */
  private static final String FROM_SOURCE = "./amber-shim";

  private final List<Page> pages;

  /**
   * A page.
   *
   * @param name its file's, without its ending
   * @param title its first heading
   * @param markdown its text
   */
  public record Page(String name, String title, String markdown) {}

  /**
   * A place where something was found.
   *
   * @param page where
   * @param heading the heading over it; empty before the first
   * @param words the paragraph in which it stands, without its marks
   */
  public record Hit(Page page, String heading, String words) {}

  private Handbook(List<Page> pages) {
    this.pages = List.copyOf(pages);
  }

  /** Read once, by whoever comes first. */
  private static final class Shipped {
    private static final Handbook BOOK = new Handbook(NAMES.stream().map(Handbook::page).toList());
  }

  /** The handbook; the first time takes some tens of milliseconds. */
  public static Handbook read() {
    return Shipped.BOOK;
  }

  private static Page page(String name) {
    try (InputStream in = Handbook.class.getResourceAsStream(FOLDER + name + ".md")) {
      if (in == null) {
        throw new IOException("no page " + name);
      }
      String text =
          new String(in.readAllBytes(), StandardCharsets.UTF_8)
              .replace(FROM_SOURCE, System.getProperty("ambershim.command", FROM_SOURCE));
      return new Page(name, text.lines().findFirst().orElse(name).replaceFirst("^#+ *", ""), text);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * The page that says more about a problem.
   *
   * @param key of the problem, such as {@code log.noTime}
   */
  public static String about(String key) {
    return switch (key.replaceFirst("\\..*$", "")) {
      case "check", "drift", "everyday", "keep", "care", "found", "shelf" -> "keep";
      case "series", "print" -> "series";
      case "diagnose", "diagnosis", "evidence" -> "diagnosis";
      case "probe", "rest", "gauge", "measure", "shim", "outline" -> "measure";
      case "lap", "surface" -> "lap";
      case "dose", "coat", "metal", "film", "spread", "syringe" -> "coat";
      case "mount", "close", "screw" -> "close";
      case "stack", "solve" -> "conduction";
      case "weigh", "terms", "forecast", "cooler", "heat", "field", "number", "chip" -> "weigh";
      case "hours", "schedule", "plan" -> "plans";
      case "rung", "rungs", "ladder", "headroom", "prove", "remount" -> "prove";
      case "log",
          "run",
          "role",
          "record",
          "rig",
          "protocol",
          "sensors",
          "core",
          "time",
          "power",
          "room",
          "coolant",
          "reading",
          "baseline" ->
          "baseline";
      default -> "logbook";
    };
  }

  /** All pages. */
  public List<Page> pages() {
    return pages;
  }

  /** A page by its name, such as {@code weigh}, or as a link between pages has it. */
  public Optional<Page> page(String name, boolean link) {
    String plain = link ? name.replaceFirst("^.*/", "").replaceFirst("\\.md.*$", "") : name;
    return pages.stream().filter(p -> p.name().equals(plain)).findFirst();
  }

  /**
   * Where all of some words stand together in a paragraph, in the order of the pages.
   *
   * @param sought words with spaces between; none finds nothing
   */
  public List<Hit> search(String sought) {
    List<String> words =
        Arrays.stream(sought.strip().toLowerCase(Locale.ROOT).split("\\s+", -1))
            .filter(w -> !w.isEmpty())
            .toList();
    List<Hit> hits = new ArrayList<>();
    if (words.isEmpty()) {
      return hits;
    }
    for (Page page : pages) {
      String heading = "";
      for (String block : page.markdown().split("\\n\\s*\\n", -1)) {
        if (block.startsWith("#")) {
          heading = block.lines().findFirst().orElse("").replaceFirst("^#+ *", "");
        }
        String lower = block.toLowerCase(Locale.ROOT);
        if (hits.size() < MOST_HITS && words.stream().allMatch(lower::contains)) {
          hits.add(new Hit(page, heading, plain(block)));
        }
      }
    }
    return hits;
  }

  private static String plain(String block) {
    return block
        .replaceAll("!?\\[([^\\]]*)\\]\\([^)]*\\)", "$1")
        .replaceAll("[*`#|]+", " ")
        .replaceAll("\\s+", " ")
        .strip();
  }
}
