package dev.ambershim.logbook.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.fit.ShimTerms;
import dev.ambershim.core.stage.measure.ShimOutline;
import java.awt.geom.PathIterator;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.StringReader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javax.xml.parsers.DocumentBuilderFactory;
import org.apache.batik.parser.AWTPathProducer;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.locationtech.jts.geom.Coordinate;
import org.w3c.dom.Element;
import org.xml.sax.InputSource;

/**
 * Outlines read back and measured: SVG by Apache Batik's path parser, PDF by painting the page, DXF
 * by the group codes of its published reference.
 */
class OutlineFilesTest {
  @TempDir Path folder;

  /** 36.5 mm square with an opening of 9.8 by 19.6 mm, corners sharp, no kerf. */
  private static final ShimOutline SHIM =
      ShimOutline.of(
          StartingPoint.DESKTOP_ONE_DIE_PASTE.chip("Sorrel S8"),
          List.of(),
          new ShimTerms(ShimTerms.Sheet.SHIM, 0.3, 0.3, 0.5, 0.0, 0.0, 0.8, 20.0, null),
          Notation.METRIC);

  private Path write(String name) {
    Path file = folder.resolve(name);
    OutlineFiles.write(file, "Shim <1>", SHIM.rings());
    return file;
  }

  @Test
  void svgIsTrueToSize() throws Exception {
    String text = Files.readString(write("shim.svg"));
    Element svg =
        DocumentBuilderFactory.newInstance()
            .newDocumentBuilder()
            .parse(new InputSource(new StringReader(text)))
            .getDocumentElement();
    // A user unit is a millimetre: the width in mm is the width of the view box.
    assertThat(svg.getAttribute("width")).isEqualTo("40.5000mm");
    assertThat(svg.getAttribute("viewBox")).isEqualTo("0 0 40.5000 40.5000");
    assertThat(svg.getElementsByTagName("title").item(0).getTextContent()).isEqualTo("Shim <1>");
    String path = ((Element) svg.getElementsByTagName("path").item(0)).getAttribute("d");
    java.awt.Shape shape =
        AWTPathProducer.createShape(new StringReader(path), PathIterator.WIND_EVEN_ODD);
    Rectangle2D box = shape.getBounds2D();
    assertThat(box.getWidth()).isCloseTo(36.5, within(1e-3));
    assertThat(box.getHeight()).isCloseTo(36.5, within(1e-3));
    assertThat(shape.contains(20.25, 20.25)).isFalse();
    assertThat(shape.contains(20.25 + 4.85, 20.25)).isFalse();
    assertThat(shape.contains(20.25 + 4.95, 20.25)).isTrue();
    assertThat(shape.contains(20.25, 20.25 + 9.75)).isFalse();
    assertThat(shape.contains(20.25, 20.25 + 9.85)).isTrue();
  }

  @Test
  void dxfIsTrueToSize() throws IOException {
    List<String> lines = Files.readAllLines(write("shim.dxf"));
    assertThat(lines.size() % 2).isZero();
    List<List<double[]>> rings = new ArrayList<>();
    List<String> layers = new ArrayList<>();
    double x = 0;
    String entity = "";
    for (int i = 0; i < lines.size(); i += 2) {
      int code = Integer.parseInt(lines.get(i).strip());
      String value = lines.get(i + 1);
      if (code == 0) {
        entity = value;
        if (value.equals("POLYLINE")) {
          rings.add(new ArrayList<>());
        }
      } else if (entity.equals("POLYLINE") && code == 8) {
        layers.add(value);
      } else if (entity.equals("POLYLINE") && code == 70) {
        assertThat(value).isEqualTo("1"); // closed
      } else if (entity.equals("VERTEX") && code == 10) {
        x = Double.parseDouble(value);
      } else if (entity.equals("VERTEX") && code == 20) {
        rings.get(rings.size() - 1).add(new double[] {x, Double.parseDouble(value)});
      }
    }
    assertThat(entity).isEqualTo("EOF");
    assertThat(layers).containsExactly("OPENINGS", "EDGE");
    assertThat(area(rings.get(0))).isCloseTo(9.8 * 19.6, within(1e-3));
    assertThat(area(rings.get(1))).isCloseTo(36.5 * 36.5, within(1e-3));
    assertThat(lines).containsSubsequence("$INSUNITS", " 70", "4");
  }

  /** Gauss' area formula. */
  private static double area(List<double[]> ring) {
    double sum = 0;
    for (int i = 0; i < ring.size(); i++) {
      double[] a = ring.get(i);
      double[] b = ring.get((i + 1) % ring.size());
      sum += a[0] * b[1] - b[0] * a[1];
    }
    return Math.abs(sum) / 2;
  }

  @Test
  void pdfIsTrueToSizeWithABar() throws IOException {
    byte[] bytes = Files.readAllBytes(write("shim.pdf"));
    try (PDDocument document = Loader.loadPDF(bytes)) {
      assertThat(new PDFTextStripper().getText(document)).contains("50 mm long").contains("100 %");
      // 254 dots an inch are ten a millimetre.
      BufferedImage page = new PDFRenderer(document).renderImageWithDPI(0, 254);
      int[] bar = across(page, row(page, 0));
      assertThat(bar[1] - bar[0]).isBetween(498, 503);
      int low = page.getHeight() * 3 / 5;
      while (low > 0 && across(page, low) == null) {
        low--;
      }
      int[] edge = across(page, low);
      assertThat(edge[1] - edge[0]).isBetween(363, 368);
    }
  }

  /** The first row with a dark line as long as the bar. */
  private static int row(BufferedImage page, int from) {
    for (int y = from; y < page.getHeight(); y++) {
      int longest = 0;
      int run = 0;
      for (int x = 0; x < page.getWidth(); x++) {
        run = dark(page, x, y) ? run + 1 : 0;
        longest = Math.max(longest, run);
      }
      if (longest > 400) {
        return y;
      }
    }
    throw new AssertionError("no bar on the page");
  }

  private static boolean dark(BufferedImage page, int x, int y) {
    return (page.getRGB(x, y) & 0xff) < 160;
  }

  private static int[] across(BufferedImage page, int y) {
    int first = -1;
    int last = -1;
    for (int x = 0; x < page.getWidth(); x++) {
      if (dark(page, x, y)) {
        first = first < 0 ? x : first;
        last = x;
      }
    }
    return first < 0 ? null : new int[] {first, last};
  }

  @Test
  void refusesWhatItCannotWrite() {
    assertThatThrownBy(() -> write("shim.png"))
        .isInstanceOf(Problem.class)
        .hasMessageContaining(".svg, .dxf or .pdf");
    List<Coordinate[]> large =
        List.<Coordinate[]>of(
            new Coordinate[] {
              new Coordinate(0, 0),
              new Coordinate(400, 0),
              new Coordinate(0, 9),
              new Coordinate(0, 0)
            });
    assertThatThrownBy(() -> OutlineFiles.write(folder.resolve("a.pdf"), "", large))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("larger than an A4 page");
  }
}
