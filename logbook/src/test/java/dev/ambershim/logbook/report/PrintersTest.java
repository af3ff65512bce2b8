package dev.ambershim.logbook.report;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.ambershim.core.base.Problem;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import javax.print.DocFlavor;
import javax.print.StreamPrintServiceFactory;
import org.junit.jupiter.api.Test;

class PrintersTest {
  private static final Report REPORT =
      new Report("A card", List.of(new Block.Answer("Go"), new Block.Paragraph("Some words.")));

  /** A printer that writes PostScript stands for one of paper. */
  @Test
  void aReportGoesToAPrinterPageByPage() {
    ByteArrayOutputStream paper = new ByteArrayOutputStream();
    StreamPrintServiceFactory printer =
        StreamPrintServiceFactory.lookupStreamPrintServiceFactories(
            DocFlavor.SERVICE_FORMATTED.PRINTABLE, "application/postscript")[0];
    Printers.print(REPORT, printer.getPrintService(paper));
    String printed = paper.toString(StandardCharsets.ISO_8859_1);
    assertThat(printed).startsWith("%!PS-Adobe").contains("showpage");
    assertThat(paper.size()).isGreaterThan(2000);
  }

  @Test
  void aPrinterThatIsGoneIsSaid() {
    assertThatThrownBy(() -> Printers.print(REPORT, "no such printer"))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("is not there any more");
  }
}
