package dev.ambershim.core.runs.reading;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;

/**
 * How a log separates its cells and writes its decimals, found from its first lines: the delimiter
 * under which most cells are numbers and most lines have the same count of cells.
 *
 * @param delimiter the delimiter; a tab also stands for runs of blanks
 * @param leastBlanks how many blanks in a row part two cells; 0 if blanks do not
 * @param places where cells begin in a line, if blanks part them and some cells are empty; else
 *     empty
 * @param decimalComma whether numbers use a comma as decimal mark
 */
record Dialect(char delimiter, int leastBlanks, List<Integer> places, boolean decimalComma) {
  private static final int LOOK_LINES = 80;
  private static final Pattern RUN_OF_BLANKS = Pattern.compile("[ \\t]+");
  private static final Pattern WIDE_RUN_OF_BLANKS = Pattern.compile(" *\\t[ \\t]*| {2,}");
  private static final Pattern COMMA_DECIMAL = Pattern.compile("[-+]?\\d+,\\d+( ?[^\\d,]*)?");
  private static final Pattern POINT_DECIMAL = Pattern.compile("[-+]?\\d+\\.\\d+( ?[^\\d.]*)?");

  Dialect(char delimiter, int leastBlanks, boolean decimalComma) {
    this(delimiter, leastBlanks, List.of(), decimalComma);
  }

  /** Whether cells are parted by runs of blanks. */
  boolean blanks() {
    return leastBlanks > 0;
  }

  String words() {
    if (blanks()) {
      return "blanks";
    }
    return switch (delimiter) {
      case ',' -> "comma";
      case ';' -> "semicolon";
      case '\t' -> "tab";
      default -> "bar";
    };
  }

  /** Tells the dialect from the text's first lines. */
  static Dialect sniff(String text) {
    List<String> lines = text.lines().filter(l -> !l.isBlank()).limit(LOOK_LINES).toList();
    Dialect best = new Dialect(',', 0, false);
    double bestScore = -1;
    List<Dialect> candidates =
        List.of(
            new Dialect(';', 0, false),
            new Dialect('\t', 0, false),
            new Dialect('|', 0, false),
            new Dialect(',', 0, false),
            new Dialect('\t', 2, false),
            new Dialect('\t', 1, false));
    for (Dialect candidate : candidates) {
      boolean comma = candidate.usesDecimalComma(lines);
      Dialect dialect = new Dialect(candidate.delimiter, candidate.leastBlanks, comma);
      double score = dialect.score(lines);
      if (score > bestScore + 1e-9) {
        bestScore = score;
        best = dialect;
      }
    }
    return best.blanks() ? best.placed(lines) : best;
  }

  /**
   * The same with the places of its cells, where they stand in columns and some lines lack some. A
   * column is a stretch that some line fills and every line leaves blank beside.
   */
  private Dialect placed(List<String> lines) {
    List<String> samples = lines.stream().filter(this::figures).toList();
    int most = samples.stream().mapToInt(l -> split(l).size()).max().orElse(0);
    boolean even = samples.stream().allMatch(l -> split(l).size() == most);
    boolean tabs = samples.stream().anyMatch(l -> l.indexOf('\t') >= 0);
    if (even || tabs || most < 2) {
      return this;
    }
    int first = lines.indexOf(samples.get(0));
    List<String> all = new ArrayList<>(samples);
    if (first > 0) {
      all.add(lines.get(first - 1));
    }
    List<Integer> starts = starts(all);
    return starts.size() == most ? new Dialect(delimiter, leastBlanks, starts, decimalComma) : this;
  }

  private boolean figures(String line) {
    List<String> cells = split(line);
    long good =
        cells.stream()
            .filter(
                c ->
                    !Double.isNaN(Cells.number(c, decimalComma))
                        || !Double.isNaN(Cells.flag(c))
                        || TimeText.of(c).isTime())
            .count();
    return good > 0 && good * 2 >= cells.size();
  }

  private static List<Integer> starts(List<String> lines) {
    BitSet filled = new BitSet();
    for (String line : lines) {
      for (int i = 0; i < line.length(); i++) {
        if (line.charAt(i) != ' ') {
          filled.set(i);
        }
      }
    }
    List<Integer> starts = new ArrayList<>();
    for (int at = filled.nextSetBit(0); at >= 0; ) {
      starts.add(at);
      int blank = filled.nextClearBit(at);
      at = filled.nextSetBit(blank);
    }
    return starts;
  }

  /** A line cut at the places, with single tabs between the cells. */
  String cut(String line) {
    StringBuilder cells = new StringBuilder(line.length());
    for (int i = 0; i < places.size(); i++) {
      int from = i == 0 ? 0 : Math.min(line.length(), places.get(i));
      int to = i + 1 < places.size() ? Math.min(line.length(), places.get(i + 1)) : line.length();
      cells.append(i == 0 ? "" : "\t").append(line, from, to);
    }
    return cells.toString();
  }

  private boolean usesDecimalComma(List<String> lines) {
    int commas = 0;
    int points = 0;
    for (String line : lines) {
      for (String cell : split(line)) {
        if (cell.indexOf(',') >= 0 && COMMA_DECIMAL.matcher(cell.strip()).matches()) {
          commas++;
        } else if (cell.indexOf('.') >= 0 && POINT_DECIMAL.matcher(cell.strip()).matches()) {
          points++;
        }
      }
    }
    return commas > points;
  }

  private double score(List<String> lines) {
    Map<Integer, Integer> counts = new HashMap<>();
    Map<Integer, Integer> cellsOfFigures = new HashMap<>();
    Map<Integer, Integer> numbers = new HashMap<>();
    for (String line : lines) {
      List<String> cells = split(line);
      counts.merge(cells.size(), 1, Integer::sum);
      int good = 0;
      for (String cell : cells) {
        if (Cells.blank(cell)
            || !Double.isNaN(Cells.number(cell, decimalComma))
            || !Double.isNaN(Cells.flag(cell))
            || TimeText.of(cell).isTime()) {
          good++;
        }
      }
      // A header is no sample: it speaks for the count of cells and not against the figures.
      if (good * 2 >= cells.size()) {
        cellsOfFigures.merge(cells.size(), cells.size(), Integer::sum);
        numbers.merge(cells.size(), good, Integer::sum);
      }
    }
    double best = 0;
    for (Map.Entry<Integer, Integer> e : numbers.entrySet()) {
      int cells = e.getKey();
      if (cells < 2) {
        continue;
      }
      double same = (double) counts.get(cells) / lines.size();
      double numeric = (double) e.getValue() / cellsOfFigures.get(cells);
      // More cells win a tie: a blank inside a date also parts a line in two.
      best = Math.max(best, same * numeric * numeric * (1 + Math.min(cells, 40) * 0.002));
    }
    return best;
  }

  /** The cells of one line; quotes are honoured, line breaks inside them are not. */
  List<String> split(String line) {
    String rest = !places.isEmpty() ? cut(line) : blanks() ? unblank(line) : line;
    List<String> cells = new ArrayList<>();
    StringBuilder cell = new StringBuilder();
    boolean quoted = false;
    for (int i = 0; i < rest.length(); i++) {
      char c = rest.charAt(i);
      if (c == '"') {
        quoted = !quoted;
      } else if (c == delimiter && !quoted) {
        cells.add(cell.toString());
        cell.setLength(0);
      } else {
        cell.append(c);
      }
    }
    cells.add(cell.toString());
    return cells;
  }

  /** A line of blank-parted cells with single tabs instead. */
  private String unblank(String line) {
    return (leastBlanks == 1 ? RUN_OF_BLANKS : WIDE_RUN_OF_BLANKS)
        .matcher(line.strip())
        .replaceAll("\t");
  }
}
