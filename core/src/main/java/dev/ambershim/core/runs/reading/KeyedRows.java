package dev.ambershim.core.runs.reading;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Several rows a sample, told apart by a key: one for each core and perhaps one for them all, or
 * one for each reading with its sensor's name. A row's figures go into columns named by its key.
 * What is filled once a sample, or equal in all of its rows, belongs to the chip and keeps its
 * plain name.
 */
final class KeyedRows implements Habit {
  private static final String PLAIN_KEYS = "|-|--|all|*|sum|summary|total|avg|average|mean|system|";

  /** Share of the groups that must be as a rule has it: a log may miss a row now and then. */
  private static final double AS_A_RULE = 0.8;

  private final Dialect dialect;
  private final Header header;
  private final int firstLine;
  private final int[] times;
  private final boolean timesShared;
  private final int key;
  private final int unit;
  private final boolean[] alone;
  private final int coreColumn;
  private final boolean[] byCore;
  private final boolean oneFigure;

  private KeyedRows(Look look, int firstLine) {
    dialect = look.dialect;
    header = look.header;
    times = look.times;
    timesShared = look.shared;
    key = look.key;
    unit = look.unit;
    alone = look.alone;
    coreColumn = look.coreColumn;
    byCore = look.byCore;
    oneFigure = look.oneFigure;
    this.firstLine = firstLine;
  }

  /**
   * Whether a table's rows come by a key.
   *
   * @param rows its first rows of samples
   * @param firstLine line of the first of them
   */
  static Optional<KeyedRows> of(
      Dialect dialect, Header header, List<String[]> rows, int firstLine) {
    if (header.unnamed() || rows.size() < 4 || header.width() < 2) {
      return Optional.empty();
    }
    Look look = new Look(dialect, header, rows);
    return look.found() ? Optional.of(new KeyedRows(look, firstLine)) : Optional.empty();
  }

  @Override
  public String words() {
    return oneFigure ? "a line a reading" : "rows by " + header.names()[key];
  }

  @Override
  public boolean fits(LogBytes text) {
    return true;
  }

  @Override
  public void read(LogBytes text, Sink sink) throws IOException {
    try (Reader source = new InputStreamReader(text.stream(), text.charset());
        CsvReader<CsvRecord> csv =
            CsvReader.builder()
                .fieldSeparator(dialect.delimiter())
                .skipEmptyLines(true)
                .allowExtraFields(true)
                .allowMissingFields(true)
                .allowExtraCharsAfterClosingQuote(true)
                .ofCsvRecord(LogReader.parted(source, dialect))) {
      Set<String> seen = new HashSet<>();
      String time = "";
      int last = firstLine;
      boolean any = false;
      for (CsvRecord record : csv) {
        int line = (int) record.getStartingLineNumber();
        if (line < firstLine) {
          continue;
        }
        String[] cells = record.getFields().toArray(String[]::new);
        if (isHeader(cells)) {
          continue;
        }
        String rowKey = cell(cells, key);
        String rowTime = timeOf(cells);
        if (cells.length * 2 <= header.width() || (rowKey.isEmpty() && cells.length <= key)) {
          sink.dropped(line);
          continue;
        }
        boolean next = !seen.add(rowKey) || (timesShared && !rowTime.equals(time));
        if (any && next) {
          sink.end(last);
          seen.clear();
          seen.add(rowKey);
        }
        if (!any || next) {
          for (int t : times) {
            sink.cell(header.names()[t], cell(cells, t));
          }
        }
        any = true;
        time = rowTime;
        last = line;
        row(cells, rowKey, sink);
      }
      sink.end(last);
    }
  }

  private void row(String[] cells, String rowKey, Sink sink) {
    for (int c = 0; c < Math.min(header.width(), cells.length); c++) {
      String text = cell(cells, c);
      if (c == key || c == unit || c == coreColumn || isTime(c) || Cells.blank(text)) {
        continue;
      }
      sink.cell(name(c, rowKey, cells), text);
    }
  }

  private String name(int c, String rowKey, String[] cells) {
    String column = header.names()[c];
    if (alone[c] || PLAIN_KEYS.contains("|" + rowKey.toLowerCase(Locale.ROOT) + "|")) {
      return column;
    }
    String who = byCore[c] ? "Core " + cell(cells, coreColumn) : who(rowKey);
    if (!oneFigure) {
      return who + " " + column;
    }
    String of = unit < 0 ? header.units()[c] : cell(cells, unit);
    return of.isBlank() ? who : who + " [" + of.strip() + "]";
  }

  /** A number stands for what its column counts. */
  private String who(String rowKey) {
    if (!rowKey.matches("\\d+")) {
      return rowKey;
    }
    String counted = ColumnWords.plain(header.names()[key]);
    boolean threads = coreColumn >= 0 || counted.contains("thread");
    return (threads ? "Thread " : "Core ") + rowKey;
  }

  private boolean isHeader(String[] cells) {
    int same = 0;
    for (int c = 0; c < Math.min(cells.length, header.raw().length); c++) {
      same += cells[c].strip().equals(header.raw()[c].strip()) ? 1 : 0;
    }
    return same * 2 > header.raw().length || Arrays.equals(cells, header.unitRow());
  }

  private String timeOf(String[] cells) {
    StringBuilder all = new StringBuilder();
    for (int t : times) {
      all.append(cell(cells, t)).append('\t');
    }
    return all.toString();
  }

  private boolean isTime(int column) {
    return Arrays.stream(times).anyMatch(t -> t == column);
  }

  private static String cell(String[] cells, int c) {
    return c < cells.length ? cells[c].strip() : "";
  }

  /** A look at the first rows. */
  private static final class Look {
    private final Dialect dialect;
    private final Header header;
    private final List<String[]> rows;
    private final int[] times;
    private final boolean shared;
    private int key = -1;
    private int unit = -1;
    private int coreColumn = -1;
    private boolean oneFigure;
    private boolean[] alone;
    private boolean[] byCore;
    private List<List<String[]>> groups = List.of();

    Look(Dialect dialect, Header header, List<String[]> rows) {
      this.dialect = dialect;
      this.header = header;
      this.rows = rows;
      times = times();
      int same = 0;
      for (int r = 1; r < rows.size(); r++) {
        same += times.length > 0 && time(r).equals(time(r - 1)) ? 1 : 0;
      }
      shared = same * 10 >= rows.size() * 4;
    }

    private int[] times() {
      List<Integer> found = new ArrayList<>();
      for (int c = 0; c < header.width() && found.size() < 2; c++) {
        int column = c;
        if (TimeText.named(header.names()[c])
            || (found.isEmpty() && rows.stream().allMatch(r -> time(cell(r, column))))) {
          found.add(c);
        }
      }
      return found.stream().mapToInt(Integer::intValue).toArray();
    }

    private static boolean time(String cell) {
      return TimeText.of(cell).isTime();
    }

    private String time(int row) {
      StringBuilder all = new StringBuilder();
      for (int t : times) {
        all.append(cell(rows.get(row), t)).append('\t');
      }
      return all.toString();
    }

    boolean found() {
      int best = -1;
      for (int c = 0; c < header.width(); c++) {
        int column = c;
        boolean isTime = Arrays.stream(times).anyMatch(t -> t == column);
        if (!isTime && isKey(c) && (best < 0 || score(c) > score(best))) {
          best = c;
        }
      }
      if (best < 0) {
        return false;
      }
      key = best;
      groups = groups(key);
      columns();
      return true;
    }

    /** Words and names of cores win over other columns that tell rows apart as well. */
    private int score(int c) {
      return 10 * distinct(c) + (named(c) ? 5 : 0) + (words(c) ? 3 : 0);
    }

    private int distinct(int c) {
      return (int) rows.stream().map(r -> cell(r, c)).distinct().count();
    }

    private boolean named(int c) {
      return ColumnWords.plain(header.names()[c])
          .matches(
              "(.* )?(core|cpu|thread|processor|sensor|name|channel|measurement|metric|probe|label"
                  + "|entity|id|device|component|key)( .*)?");
    }

    private boolean words(int c) {
      return rows.stream()
          .allMatch(r -> Double.isNaN(Cells.number(cell(r, c), dialect.decimalComma())));
    }

    private boolean isKey(int c) {
      Map<String, Integer> counts = new HashMap<>();
      int filled = 0;
      boolean whole = true;
      for (String[] row : rows) {
        String text = cell(row, c);
        counts.merge(text, 1, Integer::sum);
        filled += text.isEmpty() ? 0 : 1;
        whole &=
            text.matches("\\d{1,4}") || Double.isNaN(Cells.number(text, dialect.decimalComma()));
      }
      if (!header.units()[c].isEmpty() || (!words(c) && !counting(c, counts.keySet()))) {
        return false;
      }
      int different = counts.size();
      boolean again = counts.values().stream().filter(n -> n > 1).count() * 2 >= different;
      if (different < 2
          || !whole
          || !again
          || filled * 10 < rows.size() * 8
          || (!words(c) && !named(c) && !(shared && different > 2))) {
        return false;
      }
      if (words(c) && !named(c) && counts.keySet().stream().anyMatch(k -> Cells.unit(k) != null)) {
        return false;
      }
      // What stays for many rows is a phase or a mark; a key changes from row to row.
      int changes = 0;
      for (int r = 1; r < rows.size(); r++) {
        changes += cell(rows.get(r), c).equals(cell(rows.get(r - 1), c)) ? 0 : 1;
      }
      if (changes * 10 < (rows.size() - 1) * 7) {
        return false;
      }
      return shared ? partsSharedTimes(c) : goesRound(c);
    }

    /** Whether whole numbers count cores: from nought or one up, with few left out. */
    private boolean counting(int c, Set<String> keys) {
      int low = Integer.MAX_VALUE;
      int high = 0;
      for (String key : keys) {
        if (key.matches("\\d{1,4}")) {
          low = Math.min(low, Integer.parseInt(key));
          high = Math.max(high, Integer.parseInt(key));
        } else if (!key.isEmpty() && !plain(key)) {
          return false;
        }
      }
      boolean name = ColumnWords.plain(header.names()[c]).matches("[a-z #]*");
      return name && low <= 1 && high < 4 * keys.size() + 8;
    }

    /** Rows of one time have different keys, and the same keys come at each time. */
    private boolean partsSharedTimes(int c) {
      int good = 0;
      int all = 0;
      Map<String, Integer> sets = new HashMap<>();
      for (int r = 0; r < rows.size(); ) {
        Set<String> keys = new HashSet<>();
        List<String> order = new ArrayList<>();
        int from = r;
        while (r < rows.size() && time(r).equals(time(from))) {
          keys.add(cell(rows.get(r), c));
          order.add(cell(rows.get(r), c));
          r++;
        }
        if (r < rows.size() || all == 0) {
          all++;
          good += keys.size() == r - from ? 1 : 0;
          sets.merge(String.join("\t", order), 1, Integer::sum);
        }
      }
      int usual = sets.values().stream().mapToInt(Integer::intValue).max().orElse(0);
      return good >= AS_A_RULE * all && usual >= 0.5 * all;
    }

    /** Keys come in one order, again and again. */
    private boolean goesRound(int c) {
      Map<String, String> next = new HashMap<>();
      int as = 0;
      for (int r = 1; r < rows.size(); r++) {
        String before = next.put(cell(rows.get(r - 1), c), cell(rows.get(r), c));
        as += before == null || before.equals(cell(rows.get(r), c)) ? 1 : 0;
      }
      boolean figures = words(c) || named(c);
      return figures && (as >= AS_A_RULE * (rows.size() - 1) || longForm(c));
    }

    /** A column of sensors' names beside one of figures: rows may come in any order. */
    private boolean longForm(int c) {
      int figures = 0;
      for (int f = 0; f < header.width(); f++) {
        int column = f;
        boolean isTime = Arrays.stream(times).anyMatch(t -> t == column);
        figures += !isTime && f != c && !words(f) ? 1 : 0;
      }
      return words(c) && figures == 1 && distinct(c) >= 2;
    }

    private List<List<String[]>> groups(int c) {
      List<List<String[]>> all = new ArrayList<>();
      Set<String> seen = new HashSet<>();
      String last = "";
      for (int r = 0; r < rows.size(); r++) {
        String row = cell(rows.get(r), c);
        if (all.isEmpty() || !seen.add(row) || (shared && !time(r).equals(last))) {
          all.add(new ArrayList<>());
          seen.clear();
          seen.add(row);
        }
        last = time(r);
        all.get(all.size() - 1).add(rows.get(r));
      }
      return all;
    }

    private void columns() {
      alone = new boolean[header.width()];
      byCore = new boolean[header.width()];
      int figures = 0;
      for (int c = 0; c < header.width(); c++) {
        String name = ColumnWords.plain(header.names()[c]);
        int column = c;
        boolean isTime = Arrays.stream(times).anyMatch(t -> t == column);
        if (c == key || isTime) {
          continue;
        }
        boolean words = words(c);
        if (words && unit < 0 && rows.stream().allMatch(r -> unitOrNone(cell(r, column)))) {
          unit = c;
        } else if (name.matches("core( (id|no|nr|index))?") && !words) {
          coreColumn = c;
        } else if (!words) {
          figures++;
          alone[c] = alone(c);
        }
      }
      oneFigure = figures == 1 && words(key) && rows.stream().noneMatch(r -> plain(cell(r, key)));
      for (int c = 0; coreColumn >= 0 && c < header.width(); c++) {
        byCore[c] = !alone[c] && onceACore(c);
      }
    }

    private static boolean plain(String rowKey) {
      return PLAIN_KEYS.contains("|" + rowKey.toLowerCase(Locale.ROOT) + "|");
    }

    private static boolean unitOrNone(String cell) {
      return cell.isEmpty()
          || Cells.unit(cell) != null
          || cell.matches("(?i)count|state|bool|j|kj|kb|mb|gb|kib|mib|gib|mb/s|kb/s");
    }

    /** Filled in one row of each group, or equal in all and no matter of a single core. */
    private boolean alone(int c) {
      int all = 0;
      int once = 0;
      int equal = 0;
      for (List<String[]> group : groups) {
        List<String> filled =
            group.stream().map(r -> cell(r, c)).filter(t -> !Cells.blank(t)).toList();
        if (group.size() > 1 && !filled.isEmpty()) {
          all++;
          once += filled.size() == 1 ? 1 : 0;
          equal += filled.size() > 1 && filled.stream().distinct().count() == 1 ? 1 : 0;
        }
      }
      String unit = header.units()[c];
      Role role = RoleGuess.of(header.names()[c], unit, 20, 90, false).role();
      boolean chip = role.single() || role == Role.FAN || role == Role.PUMP;
      return all > 0 && (once >= AS_A_RULE * all || (chip && equal + once >= AS_A_RULE * all));
    }

    /** Filled in the first row only of each core's threads. */
    private boolean onceACore(int c) {
      int all = 0;
      int good = 0;
      for (List<String[]> group : groups) {
        Set<String> cores = new HashSet<>();
        int filled = 0;
        int rowsOfCores = 0;
        for (String[] row : group) {
          boolean core = !Cells.blank(cell(row, coreColumn)) && !plain(cell(row, key));
          rowsOfCores += core ? 1 : 0;
          if (core && !Cells.blank(cell(row, c))) {
            filled++;
            cores.add(cell(row, coreColumn));
          }
        }
        if (rowsOfCores > 1) {
          all++;
          good += filled > 0 && filled == cores.size() ? 1 : 0;
        }
      }
      return all > 0 && good >= AS_A_RULE * all;
    }
  }
}
