package dev.ambershim.core.base;

import java.util.ArrayList;
import java.util.List;

/**
 * Where a problem sits. Parts that do not apply are empty or zero.
 *
 * @param file the file's name as the person knows it, or empty
 * @param line the line, counted from 1, or 0
 * @param column the column of a table, counted from 1, or 0
 * @param field the field, layer or channel by its name, or empty
 */
public record Place(String file, int line, int column, String field) {
  /** No place at all. */
  public static final Place NOWHERE = new Place("", 0, 0, "");

  /** A whole file. */
  public static Place file(String name) {
    return new Place(name, 0, 0, "");
  }

  /** A line of a file, counted from 1. */
  public static Place line(String name, int line) {
    return new Place(name, line, 0, "");
  }

  /** A cell of a file: line and column, both counted from 1. */
  public static Place cell(String name, int line, int column) {
    return new Place(name, line, column, "");
  }

  /** A named field or layer that belongs to no file. */
  public static Place field(String name) {
    return new Place("", 0, 0, name);
  }

  /** The place in words, such as {@code "run.csv, line 12, column 3"}; empty when there is none. */
  public String inWords() {
    List<String> parts = new ArrayList<>();
    if (!file.isEmpty()) {
      parts.add(file);
    }
    if (line > 0) {
      parts.add("line " + line);
    }
    if (column > 0) {
      parts.add("column " + column);
    }
    if (!field.isEmpty()) {
      parts.add(field);
    }
    return String.join(", ", parts);
  }
}
