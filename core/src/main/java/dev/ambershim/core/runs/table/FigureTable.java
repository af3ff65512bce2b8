package dev.ambershim.core.runs.table;

import dev.ambershim.core.base.MomentText;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.TableText;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A table with a header line, written as {@link TableText} tells. Columns may come in any order and
 * with others beside them. A column's name ends in its unit, such as {@code rise_K}.
 */
public final class FigureTable {
  private final String file;
  private final String kind;
  private final String remedy;
  private final Map<String, Integer> columns;
  private final List<Row> rows;

  /** A unit that a column may be in: how its name ends, and what brings it to the usual unit. */
  public record In(String suffix, double factor, double plus) {
    /** A unit that needs no more than a factor. */
    public static In of(String suffix, double factor) {
      return new In(suffix, factor, 0);
    }
  }

  private FigureTable(
      String file, String kind, String remedy, Map<String, Integer> columns, List<Row> rows) {
    this.file = file;
    this.kind = kind;
    this.remedy = remedy;
    this.columns = columns;
    this.rows = rows;
  }

  /**
   * Reads a table.
   *
   * @param file its name for messages
   * @param kind how the keys of its problems begin, such as {@code drift}
   * @param header the header line that messages ask for
   * @param most more rows are refused
   * @throws Problem {@code KIND.empty}, {@code KIND.unreadable}, {@code KIND.cells}, {@code
   *     KIND.many}
   */
  public static FigureTable read(String file, String text, String kind, String header, int most) {
    String remedy = "Begin the file with the line " + header + ".";
    Map<String, Integer> columns = new HashMap<>();
    List<Row> rows = new ArrayList<>();
    FigureTable table = new FigureTable(file, kind, remedy, columns, rows);
    TableText.read(
        file,
        text,
        kind,
        remedy,
        (line, cells) -> {
          if (columns.isEmpty()) {
            for (int i = 0; i < cells.size(); i++) {
              columns.putIfAbsent(name(cells.get(i)), i);
            }
            return;
          }
          rows.add(table.new Row(line, cells));
          if (rows.size() > most) {
            throw new Problem(
                kind + ".many",
                Place.line(file, line),
                "More than " + most + " lines are too many.",
                "Leave some out.");
          }
        });
    if (rows.isEmpty()) {
      throw new Problem(
          kind + ".empty",
          Place.file(file),
          "There is no line of figures under the header.",
          "Add a line each.");
    }
    return table;
  }

  private static String name(String header) {
    return header
        .strip()
        .toLowerCase(Locale.ROOT)
        .replaceAll("[\\s\\[\\]()°]+", "_")
        .replaceAll("_+", "_")
        .replaceAll("_$", "");
  }

  /** The lines under the header. */
  public List<Row> rows() {
    return List.copyOf(rows);
  }

  /** Whether there is a column, with the end of its name that tells its unit. */
  public boolean has(String column) {
    return columns.containsKey(column.toLowerCase(Locale.ROOT));
  }

  /**
   * Asks for columns.
   *
   * @throws Problem {@code KIND.header} for the first one that is not there
   */
  public void need(List<String> names) {
    for (String column : names) {
      if (!has(column)) {
        throw new Problem(
            kind + ".header",
            Place.line(file, 1),
            "No column " + column + " is in the header.",
            remedy);
      }
    }
  }

  /** A line of the table. */
  public final class Row {
    private final int line;
    private final List<String> cells;

    private Row(int line, List<String> cells) {
      this.line = line;
      this.cells = cells;
    }

    /** Where it stands in the file, from 1. */
    public int line() {
      return line;
    }

    /** What stands in a column; empty if there is none. */
    public String text(String column) {
      Integer at = columns.get(column.toLowerCase(Locale.ROOT));
      return at == null || at >= cells.size() ? "" : cells.get(at).strip();
    }

    /**
     * A figure that may be missing.
     *
     * @throws Problem {@code KIND.cell} if the cell holds something else
     */
    public OptionalDouble figure(String column) {
      String cell = text(column);
      if (cell.isEmpty()) {
        return OptionalDouble.empty();
      }
      double value = TableText.figure(cell);
      if (Double.isNaN(value)) {
        throw problem(
            column, TableText.quoted(cell) + " is not a number.", "Give a figure such as 61.5.");
      }
      return OptionalDouble.of(value);
    }

    /** A figure of a column that may be in one of several units; the first that is there counts. */
    public OptionalDouble figure(String stem, List<In> units) {
      for (In unit : units) {
        OptionalDouble figure = figure(stem + unit.suffix());
        if (figure.isPresent()) {
          return OptionalDouble.of(figure.getAsDouble() * unit.factor() + unit.plus());
        }
      }
      return OptionalDouble.empty();
    }

    /**
     * A day; a time of day behind it does not count.
     *
     * @throws Problem {@code KIND.cell} if there is none
     */
    public LocalDate day(String column) {
      String cell = text(column);
      String day = cell.split("[Tt\\s]", 2)[0].replace('/', '-');
      Optional<LocalDate> read;
      try {
        read = Optional.of(MomentText.readDay(day, column));
      } catch (Problem e) {
        read = Optional.empty();
      }
      return read.filter(d -> d.getYear() >= 1900 && d.getYear() < 2200)
          .orElseThrow(
              () ->
                  problem(
                      column,
                      cell.isEmpty()
                          ? "The line has no day."
                          : TableText.quoted(cell) + " is no day.",
                      "Write days as 2027-02-01."));
    }

    /** A problem with a cell of this line. */
    public Problem problem(String column, String what, String remedyThere) {
      int at = columns.getOrDefault(column.toLowerCase(Locale.ROOT), -1);
      return new Problem(kind + ".cell", Place.cell(file, line, at + 1), what, remedyThere);
    }
  }
}
