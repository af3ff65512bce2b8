package dev.ambershim.logbook.formats;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;

/** iCalendar as text (RFC 5545): an empty calendar, and its bytes. */
final class CalendarText {
  private CalendarText() {}

  /** An empty calendar of ours. */
  static Calendar begin(String kind) {
    Calendar calendar = new Calendar();
    calendar.add(new ProdId("-//Amber Shim//" + kind + "//EN"));
    calendar.add(ImmutableVersion.VERSION_2_0);
    calendar.add(ImmutableCalScale.GREGORIAN);
    return calendar;
  }

  /** Text of RFC 5545 has no control characters but tab and the line ends that it escapes. */
  static String plain(String text) {
    return text.replaceAll("[\\p{Cntrl}]+", " ").strip();
  }

  /**
   * The calendar as the bytes of an {@code .ics} file.
   *
   * @param title the longest text in it that a person typed
   */
  static byte[] bytes(Calendar calendar, String title) {
    try {
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      // Lines may have 75 octets; the library counts signs, of which one may take three.
      boolean plain = title.chars().allMatch(c -> c < 128);
      new CalendarOutputter(true, plain ? 73 : 24).output(calendar, out);
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
