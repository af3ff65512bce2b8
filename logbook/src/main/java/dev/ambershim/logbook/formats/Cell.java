package dev.ambershim.logbook.formats;

/** Words of a person as a cell of a table that others open in a spreadsheet. */
final class Cell {
  private Cell() {}

  /**
   * The words, with an apostrophe before them where a spreadsheet would take them for a formula: it
   * runs what begins with an equals sign, a sign of plus or minus, an at sign, a tab or a carriage
   * return (common advice against formula injection).
   */
  static String text(String words) {
    boolean formula = !words.isEmpty() && "=+-@\t\r".indexOf(words.charAt(0)) >= 0;
    return formula ? "'" + words : words;
  }

  /** The words as they were before they became a cell. */
  static String words(String cell) {
    return cell.length() > 1
            && cell.charAt(0) == '\''
            && !text(cell.substring(1)).equals(cell.substring(1))
        ? cell.substring(1)
        : cell;
  }
}
