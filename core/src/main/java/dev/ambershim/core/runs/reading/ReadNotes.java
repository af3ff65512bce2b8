package dev.ambershim.core.runs.reading;

import java.util.List;

/**
 * How a log was read, and what could not be.
 *
 * @param encoding the text encoding that was found
 * @param delimiter the delimiter in words
 * @param decimalComma whether numbers use a comma as decimal mark
 * @param rowsRead samples kept
 * @param rowsDropped lines that held no usable sample
 * @param cellsDropped cells that held no number where one belongs
 * @param remarks what was found and done, a sentence each
 */
public record ReadNotes(
    String encoding,
    String delimiter,
    boolean decimalComma,
    int rowsRead,
    int rowsDropped,
    int cellsDropped,
    List<String> remarks) {
  /** Copies its list. */
  public ReadNotes {
    remarks = List.copyOf(remarks);
  }
}
