package dev.ambershim.logbook.report;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.plan.Photo;
import dev.ambershim.core.stage.series.Series;
import dev.ambershim.core.stage.series.SeriesTerms;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

class SeriesReportTest {
  private static final Photo PRINT = new Photo("0".repeat(64), "print.png");

  private static Series series() {
    return new Series(
            "two pastes",
            List.of("ash", "birch"),
            List.of(List.of("ash", "birch")),
            SeriesTerms.USUAL,
            List.of())
        .with(new Series.Made("ash", 1, null, null, null, "hair", "messy"))
        .with(new Series.Made("ash", 1, 60.5, 150.0, 22.0, "", "easy to wipe"))
        .withLast(m -> m.withCoveredPercent(80.0).withPrint(PRINT))
        .with(new Series.Made("birch", 1, 66.0, 150.0, 22.0, "", ""));
  }

  private static byte[] png() throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(30, 20, BufferedImage.TYPE_INT_RGB), "png", out);
    return out.toByteArray();
  }

  private static Report report(Optional<byte[]> photo) {
    Series series = series();
    return SeriesReport.of(
        series.judged(Notation.METRIC).orElseThrow(),
        Notation.METRIC,
        series.withFixed("Sedge Q4, 150 W"),
        p -> p.equals(PRINT) ? photo : Optional.empty());
  }

  @Test
  void everyMountIsThereWithWhatWasSeen() throws IOException {
    List<Block> blocks = report(Optional.of(png())).blocks();
    Block.Table mounts =
        blocks.stream()
            .filter(b -> b instanceof Block.Table)
            .map(b -> (Block.Table) b)
            .filter(t -> t.rows().get(0).contains("Covered"))
            .findFirst()
            .orElseThrow();
    assertThat(blocks).contains(new Block.Paragraph("The same at every mount: Sedge Q4, 150 W."));
    assertThat(mounts.rows()).hasSize(4);
    assertThat(mounts.rows().get(1)).contains("hair", "messy", "–");
    assertThat(mounts.rows().get(2)).contains("60.5 K", "80.0 %", "easy to wipe");
    assertThat(blocks)
        .filteredOn(b -> b instanceof Block.Photo)
        .singleElement()
        .satisfies(
            b ->
                assertThat(((Block.Photo) b).caption())
                    .isEqualTo("Prints when lifted: ash, block 1. They are not to scale."));
  }

  @Test
  void aPhotoThatIsGoneIsLeftOut() {
    assertThat(report(Optional.empty()).blocks()).noneMatch(b -> b instanceof Block.Photo);
    assertThat(report(Optional.of(new byte[] {1, 2, 3})).blocks())
        .noneMatch(b -> b instanceof Block.Photo);
  }
}
