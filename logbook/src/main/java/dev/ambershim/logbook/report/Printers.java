package dev.ambershim.logbook.report;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import java.awt.print.PrinterException;
import java.awt.print.PrinterJob;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import javax.print.PrintService;
import javax.print.PrintServiceLookup;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.printing.PDFPageable;

/** Sends reports to the printers of this machine, page by page as their PDF has them. */
public final class Printers {
  private Printers() {}

  /**
   * The names of the printers, the usual one first. Takes a moment where a print server is asked.
   */
  public static List<String> names() {
    PrintService usual = PrintServiceLookup.lookupDefaultPrintService();
    return Arrays.stream(PrintServiceLookup.lookupPrintServices(null, null))
        .sorted((a, b) -> Boolean.compare(b.equals(usual), a.equals(usual)))
        .map(PrintService::getName)
        .toList();
  }

  /**
   * Prints a report.
   *
   * @param printer one of the names
   * @throws Problem {@code print.gone} or {@code print.failed}
   */
  public static void print(Report report, String printer) {
    PrintService there =
        Arrays.stream(PrintServiceLookup.lookupPrintServices(null, null))
            .filter(p -> p.getName().equals(printer))
            .findFirst()
            .orElseThrow(
                () ->
                    new Problem(
                        "print.gone",
                        Place.field("printer"),
                        "The printer " + printer + " is not there any more.",
                        "Switch it on, or write the report as PDF and print that."));
    print(report, there);
  }

  /** Prints a report on a printer, or on what stands for one. */
  static void print(Report report, PrintService printer) {
    try (PDDocument document = Loader.loadPDF(PdfReport.of(report))) {
      PrinterJob job = PrinterJob.getPrinterJob();
      job.setPrintService(printer);
      job.setJobName(report.title());
      job.setPageable(new PDFPageable(document));
      job.print();
    } catch (PrinterException | IOException e) {
      throw new Problem(
          "print.failed",
          Place.field("printer"),
          "The printer " + printer.getName() + " did not take it.",
          "Look at the printer, or write the report as PDF and print that.",
          e);
    }
  }
}
