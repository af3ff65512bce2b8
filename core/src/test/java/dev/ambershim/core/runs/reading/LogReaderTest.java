package dev.ambershim.core.runs.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.judging.RunAnalyser;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.concurrent.CancellationException;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Reading: every habit of writing that is promised, and everything that can be wrong with a file.
 */
class LogReaderTest {
  private static RunLog read(String text) {
    return LogReader.read("run.csv", text.getBytes(StandardCharsets.UTF_8));
  }

  private static Problem refused(byte[] bytes) {
    return catchThrowableOfType(Problem.class, () -> LogReader.read("run.csv", bytes));
  }

  private static Problem refused(String text) {
    return refused(text.getBytes(StandardCharsets.UTF_8));
  }

  /** Twelve samples with a core that counts from 60 and a room at 21.5. */
  private static String rows(String separator, boolean comma) {
    return IntStream.range(0, 12)
        .mapToObj(
            i ->
                String.format(
                    Locale.ROOT,
                    "%d%s%.1f%s%.1f%s%d",
                    i,
                    separator,
                    60 + i / 2.0,
                    separator,
                    21.5,
                    separator,
                    160))
        .map(line -> comma ? line.replace('.', ',') : line)
        .collect(Collectors.joining("\n"));
  }

  private static void assertSample(RunLog log) {
    assertThat(log.size()).isEqualTo(12);
    assertThat(log.with(Role.CORE)).hasSize(1);
    assertThat(log.with(Role.CORE).get(0).values()[3]).isCloseTo(61.5, within(1e-12));
    assertThat(log.with(Role.ROOM)).hasSize(1);
    assertThat(log.with(Role.POWER)).hasSize(1);
    assertThat(log.seconds()[11]).isEqualTo(11);
  }

  @Nested
  class Habits {
    @ParameterizedTest
    @ValueSource(strings = {",", ";", "\t", "|", "  "})
    void everyDelimiter(String d) {
      String head =
          String.join(d.isBlank() && !d.equals("\t") ? " " : d, "time", "core_0", "room", "power");
      assertSample(read(head + "\n" + rows(d, false)));
    }

    @ParameterizedTest
    @ValueSource(strings = {";", "\t", "|", "   "})
    void decimalCommas(String d) {
      String head =
          String.join(d.isBlank() && !d.equals("\t") ? " " : d, "time", "core_0", "room", "power");
      RunLog log = read(head + "\n" + rows(d, true));
      assertSample(log);
      assertThat(log.notes().decimalComma()).isTrue();
    }

    @Test
    void columnsByPlaceWhereCellsAreEmpty() {
      RunLog log =
          read(
              """
              logged by hand
                time core 0 core 1  room power
                   0   40.5   41.0 21.50
                   1   50.5               120.5
                   2   60.5   61.5 21.50  121.0

                   3          62.5 21.50  121.5
                   4  100.5  101.5 21.50  122.0
              """);
      assertThat(log.with(Role.CORE)).hasSize(2);
      assertThat(log.with(Role.CORE).get(0).values())
          .containsExactly(40.5, 50.5, 60.5, Double.NaN, 100.5);
      assertThat(log.with(Role.CORE).get(1).values())
          .containsExactly(41, Double.NaN, 61.5, 62.5, 101.5);
      assertThat(log.with(Role.ROOM).get(0).values())
          .containsExactly(21.5, Double.NaN, 21.5, 21.5, 21.5);
      assertThat(log.with(Role.POWER).get(0).values())
          .containsExactly(Double.NaN, 120.5, 121, 121.5, 122);
      assertThat(log.seconds()).containsExactly(0, 1, 2, 3, 4);
    }

    @Test
    void quotedDecimalCommasBetweenCommas() {
      RunLog log =
          read("time,core 0,room\n0,\"61,5\",\"21,5\"\n1,\"62,0\",\"21,5\"\n2,\"62,5\",\"21,5\"\n");
      assertThat(log.with(Role.CORE).get(0).values()[2]).isEqualTo(62.5);
    }

    @ParameterizedTest
    @ValueSource(strings = {"UTF-8", "UTF-16LE", "UTF-16BE", "windows-1252"})
    void everyEncodingWithoutAMark(String name) {
      String text = "time;core 0 [°C];room [°C];power [W]\n" + rows(";", true);
      assertSample(LogReader.read("run.csv", text.getBytes(Charset.forName(name))));
    }

    @Test
    void byteOrderMarks() {
      String text = "\ufefftime;core 0 [°C];room [°C];power [W]\n" + rows(";", true);
      assertSample(LogReader.read("a", text.getBytes(StandardCharsets.UTF_8)));
      assertSample(LogReader.read("b", text.getBytes(StandardCharsets.UTF_16LE)));
      assertSample(LogReader.read("c", text.getBytes(StandardCharsets.UTF_16BE)));
    }

    @Test
    void unitsInASecondRow() {
      RunLog log = read("Time;Core 0;Room;Power\ns;°C;°C;W\n" + rows(";", false));
      assertSample(log);
      assertThat(log.with(Role.CORE).get(0).unit()).isEqualTo("°C");
    }

    @Test
    void unitsInTheCells() {
      RunLog log = read("time,core 0,power\n0,61 °C,160.5 W\n1,62 °C,161.5 W\n2,63°C,162.5W\n");
      assertThat(log.with(Role.CORE).get(0).values()).containsExactly(61, 62, 63);
      assertThat(log.notes().cellsDropped()).isZero();
    }

    @Test
    void fahrenheitAndGigahertzAreTurned() {
      RunLog log = read("time,core 0 [°F],clock [GHz]\n0,212,4.7\n1,140,4.65\n2,32,4.6\n");
      assertThat(log.with(Role.CORE).get(0).values()[0]).isCloseTo(100, within(1e-9));
      assertThat(log.with(Role.CORE).get(0).values()[2]).isCloseTo(0, within(1e-9));
      assertThat(log.with(Role.CLOCK).get(0).values()[1]).isCloseTo(4650, within(1e-9));
    }

    @Test
    void thousandsMarks() {
      RunLog log =
          read("time;clock [MHz];core 0\n0;4.650,5;60,0\n1;4.651,5;61,0\n2;4.652,5;62,0\n");
      assertThat(log.with(Role.CLOCK).get(0).values()[2]).isEqualTo(4652.5);
    }

    @Test
    void aPreambleIsPassedOver() {
      RunLog log =
          read("Recorded on the bench\nNotes: none\n\ntime,core 0,room,power\n" + rows(",", false));
      assertSample(log);
      assertThat(log.notes().remarks()).anyMatch(r -> r.contains("above the header"));
    }

    @Test
    void yesAndNoAreFlags() {
      RunLog log = read("time,core 0,throttling\n0,61.5,no\n1,62.5,Yes\n2,63.5,no\n3,64.5,yes\n");
      assertThat(log.with(Role.THROTTLE).get(0).values()).containsExactly(0, 1, 0, 1);
    }

    @Test
    void duplicateNamesAreToldApart() {
      RunLog log = read("time,core 0,core 0\n0,61.5,51.5\n1,62.5,52.5\n2,63.5,53.5\n");
      assertThat(log.channels()).extracting(Channel::name).containsExactly("core 0", "core 0 (2)");
    }

    @Test
    void unitsInTheCellsCountWhereTheHeaderHasNone() {
      RunLog log = read("time,core 0,clock\n0,212 °F,4.7 GHz\n1,140 °F,4.65 GHz\n2,32 °F,4 GHz\n");
      assertThat(log.with(Role.CORE).get(0).values()[0]).isCloseTo(100, within(1e-9));
      assertThat(log.with(Role.CLOCK).get(0).values()[1]).isCloseTo(4650, within(1e-9));
    }

    @Test
    void fixedWidthWithBlanksInNamesAndCells() {
      RunLog log =
          read(
              """
              Date and time          Core 0    Room air   Chip power
              2026-03-01 10:00:00    61.5      21.5       160.0
              2026-03-01 10:00:01    62.5      21.5       161.0
              2026-03-01 10:00:02    63.5      21.5       162.0
              """);
      assertThat(log.channels())
          .extracting(Channel::name)
          .containsExactly("Core 0", "Room air", "Chip power");
      assertThat(log.with(Role.CORE).get(0).values()).containsExactly(61.5, 62.5, 63.5);
      assertThat(log.seconds()).containsExactly(0, 1, 2);
    }

    @Test
    void textInUtf16WithItsMarkAndFixedBlanks() {
      String text =
          "\ufeff"
              + """
              time  core 0  room
              0  61.5  21.5
              1  62.5  21.5
              2  63.5  21.5
              """;
      RunLog log = LogReader.read("run.txt", text.getBytes(StandardCharsets.UTF_16LE));
      assertThat(log.with(Role.CORE).get(0).values()).containsExactly(61.5, 62.5, 63.5);
    }

    /** A quoted name has FastCSV part every cell; without it the bytes are read in one pass. */
    @Test
    void bothWaysOfReadingGiveTheSame() {
      Random random = new Random(3);
      StringBuilder text = new StringBuilder(",core 1 [°C],room,clock,throttling\n");
      for (int i = 0; i < 2000; i++) {
        text.append(i).append(random.nextInt(20) == 0 ? ", " : ",");
        text.append(random.nextBoolean() ? "-" : "").append(Math.abs(random.nextGaussian()));
        text.append(random.nextInt(9) == 0 ? " °C," : ",");
        text.append(random.nextInt(7) == 0 ? "n/a" : String.valueOf(random.nextInt(1000) / 8.0));
        text.append(',').append(random.nextInt(5) == 0 ? "1'234.5" : "4650.");
        text.append(random.nextInt(50) == 0 ? "" : random.nextBoolean() ? ",yes" : ",no");
        text.append(random.nextInt(30) == 0 ? ",extra\r\n" : "\n");
        text.append(random.nextInt(40) == 0 ? "\n# a remark\n" : "");
      }
      RunLog plain = read("time" + text);
      RunLog quoted = read("\"time\"" + text);
      assertThat(plain.notes()).isEqualTo(quoted.notes());
      assertThat(plain.seconds()).isEqualTo(quoted.seconds());
      assertThat(plain.channels()).hasSize(4);
      for (int c = 0; c < 4; c++) {
        assertThat(plain.channels().get(c).values()).isEqualTo(quoted.channels().get(c).values());
        assertThat(plain.channels().get(c).unit()).isEqualTo(quoted.channels().get(c).unit());
      }
    }

    @Test
    void manyMoreRowsThanOneBlock() {
      StringBuilder text = new StringBuilder("time;core 0;room;throttling\n");
      for (int i = 0; i < 40_000; i++) {
        text.append(i)
            .append(';')
            .append(i % 90)
            .append(",5;21,5;")
            .append(i % 7 == 0 ? "ja\n" : "nein\n");
      }
      RunLog log = read(text.toString());
      assertThat(log.size()).isEqualTo(40_000);
      assertThat(log.with(Role.CORE).get(0).values()[39_999]).isEqualTo(39_999 % 90 + 0.5);
      assertThat(log.with(Role.THROTTLE).get(0).values()[7 * 5000]).isEqualTo(1);
      assertThat(log.with(Role.THROTTLE).get(0).values()[7 * 5000 + 1]).isZero();
    }

    @Test
    void fiveHundredColumns() {
      String head =
          "time,"
              + IntStream.range(0, 500).mapToObj(i -> "core " + i).collect(Collectors.joining(","));
      String row = IntStream.range(0, 500).mapToObj(i -> "50.5").collect(Collectors.joining(","));
      RunLog log = read(head + "\n0," + row + "\n1," + row + "\n2," + row + "\n");
      assertThat(log.with(Role.CORE)).hasSize(500);
    }
  }

  @Nested
  class Times {
    private double[] seconds(String... cells) {
      StringBuilder text = new StringBuilder("time,core 0\n");
      for (String cell : cells) {
        text.append('"').append(cell).append("\",61.5\n");
      }
      return read(text.toString()).seconds();
    }

    @Test
    void manyOrders() {
      assertThat(seconds("2026-03-01 10:00:00", "2026-03-01 10:00:02")).containsExactly(0, 2);
      assertThat(seconds("2026-03-01T10:00:00Z", "2026-03-01T10:00:02Z")).containsExactly(0, 2);
      assertThat(seconds("01.03.2026 23:59:59", "02.03.2026 00:00:01")).containsExactly(0, 2);
      assertThat(seconds("3/14/2026 9:59:59 AM", "3/14/2026 10:00:01 AM")).containsExactly(0, 2);
      assertThat(seconds("31/03/2026 23:59:59", "01/04/2026 00:00:01")).containsExactly(0, 2);
      assertThat(seconds("10:00:00.250", "10:00:00.750")).containsExactly(0, 0.5);
      assertThat(seconds("1772359200000", "1772359202000")).containsExactly(0, 2);
      assertThat(seconds("1772359200000000", "1772359202000000")).containsExactly(0, 2);
      assertThat(seconds("14 Mar 2026 10:00:00", "14 Mar 2026 10:00:02")).containsExactly(0, 2);
      assertThat(seconds("31-Dec-26 23:59:59", "01-Jan-27 00:00:01")).containsExactly(0, 2);
      assertThat(seconds("Mar 14, 2026 10:00:00", "Mar 14, 2026 10:00:02")).containsExactly(0, 2);
      assertThat(seconds("20260301T235959", "20260302T000001")).containsExactly(0, 2);
      assertThat(seconds("2026/03/01 10:00", "2026/03/01 10:01")).containsExactly(0, 60);
      assertThat(seconds("2026-03-01T10:00:00.5+01:00", "2026-03-01T10:00:02+01:00"))
          .containsExactly(0, 1.5);
    }

    @Test
    void anOrderThatNoDayTellsIsTheShorterOne() {
      assertThat(seconds("3/4/2026 23:59:59", "4/4/2026 00:00:01")).containsExactly(0, 2);
      assertThat(seconds("4/3/2026 23:59:59", "4/4/2026 00:00:01")).containsExactly(0, 2);
    }

    @Test
    void midnightInATimeOfDay() {
      assertThat(seconds("23:59:58", "23:59:59", "00:00:00", "00:00:01"))
          .containsExactly(0, 1, 2, 3);
    }

    @Test
    void dateAndTimeInTwoColumns() {
      RunLog log = read("Date,Time,core 0\n2026-03-01,23:59:59,60.5\n2026-03-02,00:00:01,61.5\n");
      assertThat(log.seconds()).containsExactly(0, 2);
      assertThat(log.channels()).hasSize(1);
    }

    /** Points in a date look like thousands marks where the comma is the decimal mark. */
    @Test
    void dateAndTimeInTwoColumnsWithDecimalCommas() {
      RunLog log =
          read(
              """
              Datum;Uhrzeit;Kern 0
              31.03.2026;23:59:58;60,5
              31.03.2026;23:59:59;61,5
              01.04.2026;00:00:00;62,5
              """);
      assertThat(log.seconds()).containsExactly(0, 1, 2);
      assertThat(log.channels()).hasSize(1);
    }

    @Test
    void unitsOfTheTimeColumn() {
      assertThat(read("time [ms],core 0\n0,60.5\n500,61.5\n1000,62.5\n").seconds()[2]).isEqualTo(1);
      assertThat(read("time [min],core 0\n0,60.5\n0.5,61.5\n1,62.5\n").seconds()[2]).isEqualTo(60);
    }

    @Test
    void noTimeAtAll() {
      RunLog log = read("core 0,room\n60.5,21.5\n61.5,21.5\n62.5,21.5\n");
      assertThat(log.seconds()).containsExactly(0, 1, 2);
      assertThat(log.notes().remarks()).anyMatch(r -> r.contains("one second a line"));
    }

    @Test
    void aClockThatJumpsBackGoesOn() {
      RunLog log = read("time,core 0\n10,60.5\n11,61.5\n12,62.5\n2,63.5\n3,64.5\n4,65.5\n");
      assertThat(log.seconds()).containsExactly(0, 1, 2, 3, 4, 5);
      assertThat(log.notes().remarks()).anyMatch(r -> r.contains("jumped back by 10 s at line 5"));
    }

    @Test
    void oneStrayLineIsDropped() {
      RunLog log = read("time,core 0\n10,60.5\n11,61.5\n5,99.5\n12,62.5\n13,63.5\n");
      assertThat(log.seconds()).containsExactly(0, 1, 2, 3);
      assertThat(log.with(Role.CORE).get(0).values()).doesNotContain(99.5);
      assertThat(log.notes().rowsDropped()).isEqualTo(1);
    }

    @Test
    void gapsAreSaid() {
      RunLog log = read("time,core 0\n0,60.5\n1,61.5\n2,62.5\n90,63.5\n91,64.5\n");
      assertThat(log.notes().remarks()).anyMatch(r -> r.contains("1 gap") && r.contains("88 s"));
    }

    @Test
    void timeThatIsNoTime() {
      assertThat(refused("time,core 0\nfirst,60.5\nsecond,61.5\nthird,62.5\n").key())
          .isEqualTo("log.noTime");
    }
  }

  @Nested
  class BadInput {
    @Test
    void emptyAndBlank() {
      assertThat(refused(new byte[0]).key()).isEqualTo("log.empty");
      assertThat(refused("\n\n  \n").key()).isEqualTo("log.empty");
    }

    @Test
    void oneLine() {
      Problem p = refused("time,core 0,room\n");
      assertThat(p.key()).isEqualTo("log.oneLine");
      assertThat(p.getMessage()).startsWith("run.csv, line 1: ");
      assertThat(p.remedy()).isNotBlank();
    }

    @Test
    void noNumbers() {
      Problem p = refused("a,b\nc,d\ne,f\n");
      assertThat(p.key()).isEqualTo("log.noNumbers");
      assertThat(p.getMessage()).contains("run.csv, line 1");
    }

    @Test
    void noHeader() {
      RunLog log = read(rows(",", false));
      assertThat(log.channels()).extracting(Channel::name).contains("column 2", "column 4");
      assertThat(log.seconds()[11]).isEqualTo(11);
      assertThat(log.notes().remarks()).anyMatch(r -> r.contains("no header line"));
      assertThatThrownBy(() -> RunAnalyser.analyse(log, OptionalDouble.empty()))
          .isInstanceOf(Problem.class)
          .hasMessageContaining("\"column 2\"");
    }

    @Test
    void binary() {
      byte[] bytes = new byte[4000];
      for (int i = 0; i < bytes.length; i++) {
        bytes[i] = (byte) (i * 31 % 256);
      }
      assertThat(refused(bytes).key()).isEqualTo("log.binary");
    }

    @Test
    void mixedDelimitersAreReadWhereTheyCan() {
      RunLog log =
          read("time,core 0,room\n0,60.5,21.5\n1;61.5;21.5\n2,62.5,21.5\n3,63.5,21.5\n4,64,21.5\n");
      assertThat(log.size()).isEqualTo(5);
      assertThat(log.with(Role.CORE).get(0).values()[1]).isEqualTo(61.5);
      assertThat(log.notes().remarks()).anyMatch(r -> r.contains("another delimiter"));
    }

    @Test
    void aRepeatedHeaderHalfWay() {
      String head = "time,core 0,room,power\n";
      RunLog log = read(head + rows(",", false) + "\n" + head + "12,66.5,21.5,160\n");
      assertThat(log.size()).isEqualTo(13);
      assertThat(log.notes().remarks()).anyMatch(r -> r.contains("repeated once"));
    }

    @Test
    void textAmongNumbersIsCountedWithItsPlace() {
      RunLog log = read("time,core 0,room\n0,60.5,21.5\n1,oops,21.5\n2,62.5,21.5\n3,63.5,21.5\n");
      assertThat(log.size()).isEqualTo(4);
      assertThat(log.with(Role.CORE).get(0).values()[1]).isNaN();
      assertThat(log.notes().cellsDropped()).isEqualTo(1);
      assertThat(log.notes().remarks())
          .anyMatch(r -> r.contains("line 3, column 2") && r.contains("oops"));
    }

    @Test
    void emptyCellsAreGapsAndNotFaults() {
      RunLog log = read("time,core 0,room\n0,60.5,21.5\n1,,21.5\n2,n/a,21.5\n3,63.5,21.5\n");
      assertThat(log.with(Role.CORE).get(0).values()[2]).isNaN();
      assertThat(log.notes().cellsDropped()).isZero();
    }

    @Test
    void shortAndChattyLinesAreDroppedAndCounted() {
      RunLog log =
          read(
              "time,core 0,room,power\n"
                  + rows(",", false)
                  + "\n# logger paused\n12,66\n13,67.0,21.5,160\n");
      assertThat(log.size()).isEqualTo(13);
      assertThat(log.notes().rowsDropped()).isEqualTo(2);
      assertThat(log.notes().remarks()).anyMatch(r -> r.contains("the first at line 14"));
    }

    @Test
    void aQuotationMarkNeverClosedDoesNotHang() {
      StringBuilder text = new StringBuilder("time,core 0\n0,60.5\n1,\"61.5\n");
      for (int i = 2; i < 40; i++) {
        text.append(i).append(",62.5\n");
      }
      // What comes after the mark is one cell; what comes before it is read, or the place is named.
      try {
        assertThat(read(text.toString()).size()).isLessThan(5);
      } catch (Problem p) {
        assertThat(p.place().line()).isPositive();
      }
    }

    @Test
    void wordyColumnsAreLeftOut() {
      RunLog log = read("time,core 0,remark\n0,60.5,ok\n1,61.5,ok\n2,62.5,fine\n");
      assertThat(log.channels()).hasSize(1);
      assertThat(log.notes().remarks()).anyMatch(r -> r.contains("1 column without numbers"));
    }

    @Test
    void readingCanBeStopped() {
      byte[] bytes = ("time,core 0\n" + "1,60.5\n".repeat(5000)).getBytes(StandardCharsets.UTF_8);
      assertThatThrownBy(
              () ->
                  LogReader.read(
                      "run.csv",
                      bytes,
                      share -> {
                        throw new CancellationException();
                      }))
          .isInstanceOf(CancellationException.class);
    }
  }
}
