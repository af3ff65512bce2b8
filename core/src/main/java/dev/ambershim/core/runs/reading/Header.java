package dev.ambershim.core.runs.reading;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.ToIntBiFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The names and units of a log's columns, from the line above the first sample and a line of units
 * between them if there is one.
 *
 * @param names unique names, as the file has them
 * @param units units in their own spelling, empty where none is stated
 * @param raw the header line's cells, to know a repeated header by
 * @param unitRow the unit line's cells, or empty
 * @param line index of the header line among the rows, or −1 if there is none
 */
record Header(String[] names, String[] units, String[] raw, String[] unitRow, int line) {
  private static final Pattern LAST_WORD = Pattern.compile("[ _,/.:-]([^ _,/.:-]+)$");
  private static final Pattern BEHIND = Pattern.compile("[, ]([^ ,/]+/[^ ,/]+)$");
  private static final Pattern CAMEL_UNIT = Pattern.compile("[a-z](Watts?|MHz|GHz|RPM)$");

  /** Units whose one letter may as well be the end of a name, such as "probe K". */
  private static final Set<String> BARE_LETTER = Set.of("K");

  private static final Pattern BRACKETED = Pattern.compile("[\\[(]([^\\])]*)[\\])]");

  static Header above(
      List<String[]> rows, int first, ToIntBiFunction<List<String[]>, Integer> columns) {
    int width = columns.applyAsInt(rows, first);
    int at = first - 1;
    String[] unitRow = new String[0];
    if (at >= 1 && isUnitRow(rows.get(at)) && rows.get(at - 1).length * 2 > width) {
      unitRow = rows.get(at);
      at--;
    }
    if (at < 0 || rows.get(at).length * 2 <= width) {
      String[] names = new String[width];
      String[] units = new String[width];
      for (int c = 0; c < width; c++) {
        names[c] = "column " + (c + 1);
        units[c] = "";
      }
      return new Header(names, units, new String[0], unitRow, -1);
    }
    String[] raw = rows.get(at);
    int most = Math.max(width, raw.length);
    String[] names = new String[most];
    String[] units = new String[most];
    Map<String, Integer> seen = new HashMap<>();
    for (int c = 0; c < most; c++) {
      String cell = c < raw.length ? raw[c].strip() : "";
      String name = cell.isEmpty() ? "column " + (c + 1) : cell;
      int times = seen.merge(name, 1, Integer::sum);
      names[c] = times == 1 ? name : name + " (" + times + ")";
      String below = c < unitRow.length ? Cells.unit(strip(unitRow[c])) : null;
      units[c] = below != null ? below : unitIn(cell);
    }
    return new Header(names, units, raw, unitRow, at);
  }

  int width() {
    return names.length;
  }

  boolean unnamed() {
    return line < 0;
  }

  private static boolean isUnitRow(String[] cells) {
    int units = 0;
    int filled = 0;
    for (String cell : cells) {
      String text = strip(cell);
      if (!text.isEmpty()) {
        filled++;
        if (Cells.unit(text) != null) {
          units++;
        }
      }
    }
    return units > 0 && units * 2 > filled;
  }

  private static String strip(String cell) {
    return cell.strip().replaceAll("^[\\[(]|[\\])]$", "");
  }

  /** The unit that a name states in brackets or as its last word; empty if none. */
  static String unitIn(String name) {
    Matcher m = BRACKETED.matcher(name);
    String unit = null;
    while (m.find()) {
      String found = Cells.unit(m.group(1));
      unit = found == null ? unit : found;
    }
    if (unit != null) {
      return unit;
    }
    if (name.contains("°C") || name.contains("℃")) {
      return "°C";
    }
    if (name.contains("°F") || name.contains("℉")) {
      return "°F";
    }
    Matcher behind = BEHIND.matcher(name.strip());
    if (behind.find() && Cells.unit(behind.group(1)) != null) {
      return Cells.unit(behind.group(1));
    }
    if (name.strip().endsWith("%")) {
      return "%";
    }
    Matcher last = LAST_WORD.matcher(name.strip());
    if (last.find()) {
      String found = Cells.unit(last.group(1));
      if (found != null && (last.group().startsWith("_") || !BARE_LETTER.contains(found))) {
        return found;
      }
    }
    Matcher camel = CAMEL_UNIT.matcher(name.strip());
    if (camel.find()) {
      return Cells.unit(camel.group(1));
    }
    return "";
  }
}
