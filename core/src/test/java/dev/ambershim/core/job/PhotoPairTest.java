package dev.ambershim.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.plan.Photo;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

class PhotoPairTest {
  private static final Photo THEN = new Photo("a".repeat(64), "then.png");
  private static final Photo NOW = new Photo("b".repeat(64), "now.png");

  @Test
  void bothStandAtOneScaleWhereTheWidthsAreKnown() {
    PhotoPair pair = new PhotoPair(THEN, NOW, 40.0, 20.0).checked();
    assertThat(pair.oneScale()).isTrue();
    assertThat(pair.share(true)).isEqualTo(1);
    assertThat(pair.share(false)).isEqualTo(0.5);
    PhotoPair open = new PhotoPair(THEN, NOW, 40.0, null).checked();
    assertThat(open.oneScale()).isFalse();
    assertThat(open.share(true)).isEqualTo(open.share(false)).isEqualTo(1);
    assertThat(new PhotoPair(null, NOW, 40.0, 20.0).oneScale()).isFalse();
  }

  @Test
  void aWidthThatNoFaceHasIsRefused() {
    for (double width : new double[] {0, -3, 4000, Double.NaN}) {
      assertThatThrownBy(() -> new PhotoPair(THEN, NOW, width, null).checked())
          .isInstanceOf(Problem.class);
    }
  }

  @Test
  void aJobNamesThePhotosOfItsOpenings() {
    Job job = Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4");
    LocalDate day = LocalDate.of(2026, 5, 1);
    Found found = new Found(day, List.of(), "", new PhotoPair(THEN, NOW, null, null), null, null);
    assertThat(job.photos()).isEmpty();
    assertThat(job.withCare(Care.NONE.with(found)).photos()).containsExactly(NOW, THEN);
    // Without a photo of it now there is no pair.
    assertThat(
            new Found(day, List.of(), "", new PhotoPair(THEN, null, null, null), null, null)
                .photos())
        .isNull();
  }
}
