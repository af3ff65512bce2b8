package dev.ambershim.core.runs.reading;

import de.siegmar.fastcsv.reader.CsvCallbackHandler;
import de.siegmar.fastcsv.reader.RecordType;
import java.util.ArrayList;
import java.util.List;

/**
 * Takes a log's cells from FastCSV as they are parted. Until the samples begin, the lines are kept
 * as text; from there on each cell goes straight into its column, and no text is made of it.
 */
final class RowHandler extends CsvCallbackHandler<RowHandler> {
  private final List<String> cells = new ArrayList<>();
  private Samples samples;
  private int line;
  private boolean blank;
  private boolean empty;

  /** From the next line on, cells are figures of these samples. */
  void into(Samples to) {
    samples = to;
  }

  /** The line's place in the file, from 1. */
  int line() {
    return line;
  }

  /** Whether a line that is kept as text holds nothing. */
  boolean blank() {
    return blank;
  }

  /** The line's cells as text; empty once samples are read. */
  String[] texts() {
    return cells.toArray(String[]::new);
  }

  @Override
  protected RecordType getRecordType() {
    return empty ? RecordType.EMPTY : RecordType.DATA;
  }

  @Override
  protected int getFieldCount() {
    return samples != null ? samples.cellCount() : cells.size();
  }

  @Override
  protected void beginRecord(long startingLineNumber) {
    line = (int) startingLineNumber;
    blank = true;
    empty = false;
    cells.clear();
    if (samples != null) {
      samples.begin();
    }
  }

  @Override
  protected void addField(char[] buffer, int offset, int length, boolean quoted) {
    if (samples != null) {
      samples.cell(buffer, offset, length);
      return;
    }
    cells.add(new String(buffer, offset, length));
    blank &= length == 0;
  }

  @Override
  protected void setComment(char[] buffer, int offset, int length) {
    addField(buffer, offset, length, false);
  }

  @Override
  protected void setEmpty() {
    empty = true;
  }

  @Override
  protected RowHandler buildRecord() {
    return this;
  }
}
