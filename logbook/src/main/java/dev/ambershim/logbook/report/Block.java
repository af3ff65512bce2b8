package dev.ambershim.logbook.report;

import dev.ambershim.core.picture.Picture;
import java.util.List;

/** One piece of a report. */
public sealed interface Block {
  /** A heading. */
  record Heading(String text) implements Block {}

  /** The one answer that the report is about. */
  record Answer(String text) implements Block {}

  /** A paragraph. */
  record Paragraph(String text) implements Block {}

  /** Short points. */
  record Points(List<String> texts) implements Block {}

  /** A picture with what it shows. */
  record Figure(Picture picture, String caption) implements Block {}

  /** A table whose first row is its header; figures stand right. */
  record Table(List<List<String>> rows) implements Block {}

  /** A thing to tick off: when, what, and lines about it. */
  record Check(String time, String title, List<String> lines) implements Block {}

  /** A photo as PNG with what it shows; the bytes are shared and not to be written. */
  record Photo(byte[] png, String caption) implements Block {}
}
