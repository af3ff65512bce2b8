package dev.ambershim.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.dosing.Bar;
import dev.ambershim.core.physics.dosing.CloseTerms;
import dev.ambershim.core.physics.dosing.CoatTerms;
import dev.ambershim.core.physics.dosing.Cover;
import dev.ambershim.core.physics.dosing.MetalFace;
import dev.ambershim.core.physics.dosing.MetalPlace;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.physics.material.Material;
import dev.ambershim.core.plan.Phase;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.PlanStep;
import dev.ambershim.core.plan.Way;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Tag;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;

/**
 * No plan with a forbidden pair, a stacked cover or a gap beyond what a film bridges reaches "go
 * on" at any step from the first coat on. What is forbidden is told here again, by the trade's own
 * rule, and not by the table that the plan reads.
 */
@Tag("slow")
@org.junit.jupiter.api.Tag("slow")
class NoForbiddenPlanTest {
  private static final Set<MetalFace> EATEN =
      Set.of(
          MetalFace.ALUMINIUM, MetalFace.ANODISED, MetalFace.ZINC, MetalFace.BRASS, MetalFace.TIN);

  /** Four dots are pressed to less than this while they are wet, µm. */
  private static final double MOST_GLUE = 150;

  /** Where liquid metal goes. */
  enum Plans {
    UNDER_THE_LID,
    ON_THE_DIE,
    ON_THE_LID,
    NOWHERE
  }

  private static final Joint FILM = Joint.usual(Filling.LIQUID_METAL);
  private static final Joint PASTE = Joint.usual(Filling.PASTE);

  @Property(tries = 600)
  void noForbiddenPlanGoesOn(
      @ForAll Plans plans,
      @ForAll StartingPoint point,
      @ForAll Material plate,
      @ForAll Material lid,
      @ForAll MetalPlace place,
      @ForAll @IntRange(min = 0, max = 9) int what,
      @ForAll boolean said,
      @ForAll Cover earlier,
      @ForAll boolean stacked,
      @ForAll @DoubleRange(min = 0.3, max = 1.4) double cavity,
      @ForAll boolean parts) {
    Job job = job(plans, point, plate, lid, cavity);
    MetalFace face = place.faces().get(what % place.faces().size());
    CoatTerms coat =
        new CoatTerms(
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            false,
            null,
            null,
            stacked ? earlier : null);
    job = job.withCoat(said ? coat.saying(place, face) : coat);
    job = WorkWays.take(job, parts ? Way.PARTS_NEAR : Way.NO_PARTS);

    Plan plan = Plan.of(job.workCase());
    boolean forbidden = forbidden(job, plans, place, face, said, stacked && parts ? earlier : null);
    for (PlanStep step : plan.steps()) {
      boolean coating =
          step.phase() == Phase.COAT || step.phase() == Phase.CLOSE || step.phase() == Phase.MOUNT;
      if (forbidden && coating) {
        assertThat(plan.bar(step)).as(step.id()).isPresent();
      }
      if (step.phase() == Phase.OPEN || step.phase() == Phase.CLEAN) {
        assertThat(plan.bar(step)).as("opening is not barred: " + step.id()).isEmpty();
      }
    }
    boolean any = plan.steps().stream().anyMatch(s -> plan.bar(s).isPresent());
    if (!forbidden) {
      // Nothing else may bar it than a cover that is too high for the room there is, or glue that
      // adds its line to a gap that is just not too deep by itself.
      double lowest =
          job.chip().dies().stream().mapToDouble(d -> d.heightMicrometres()).min().orElseThrow();
      boolean nearly = job.chip().lid().cavityMillimetres() * 1000 + MOST_GLUE - lowest > 150;
      for (Bar bar : plan.doses().bars()) {
        assertThat(bar.key())
            .matches(
                k ->
                    k.equals("dose.coverTooHigh")
                        || (k.equals("dose.tooDeep") && nearly)
                        || (k.equals("dose.frozen") && point == StartingPoint.EXTREME_COLD_SOLDER));
      }
    } else {
      assertThat(any).isTrue();
    }
  }

  private static Job job(
      Plans plans, StartingPoint point, Material plate, Material lid, double cavity) {
    Job job = Job.from(point, "Sedge Q4");
    job = job.withCooler(job.cooler().withMaterial(plate));
    job = job.withChip(job.chip().withLid(job.chip().lid().withMaterial(lid)));
    job = job.withChip(job.chip().withLid(job.chip().lid().withCavityMillimetres(cavity)));
    Build after =
        switch (plans) {
          case UNDER_THE_LID -> new Build(true, 40, FILM, PASTE);
          case ON_THE_DIE -> new Build(false, 0, job.before().inner(), FILM);
          case ON_THE_LID -> new Build(true, 40, job.before().inner(), FILM);
          case NOWHERE -> new Build(true, 40, job.before().inner(), PASTE);
        };
    return job.with(job.title(), "", job.cooler(), job.before(), after);
  }

  /** By the trade's rule alone. */
  private static boolean forbidden(
      Job job, Plans plans, MetalPlace place, MetalFace face, boolean said, Cover earlier) {
    if (plans == Plans.NOWHERE) {
      return false;
    }
    boolean onDie = plans == Plans.UNDER_THE_LID || plans == Plans.ON_THE_DIE;
    boolean plate = plans != Plans.UNDER_THE_LID;
    boolean worn = face == MetalFace.GOLD || face == MetalFace.SILVER;
    boolean bad = EATEN.contains(face) || (place == MetalPlace.JEWELLERY && worn);
    boolean met =
        switch (place) {
          case DIE, PARTS -> onDie;
          case LID_INSIDE -> plans == Plans.UNDER_THE_LID;
          case LID_TOP -> plans == Plans.ON_THE_LID;
          case PLATE -> plate;
          default -> true;
        };
    boolean eaten = said && met && bad;
    boolean plateSaid = said && place == MetalPlace.PLATE;
    eaten |= plate && !plateSaid && job.cooler().material() == Material.ALUMINIUM;
    boolean lidSaid =
        said && place == (plans == Plans.ON_THE_LID ? MetalPlace.LID_TOP : MetalPlace.LID_INSIDE);
    eaten |=
        plans != Plans.ON_THE_DIE && !lidSaid && job.chip().lid().material() == Material.ALUMINIUM;
    boolean stacked = onDie && earlier != null && earlier != Cover.VARNISH;
    return eaten || stacked || tooDeep(job, plans);
  }

  private static boolean tooDeep(Job job, Plans plans) {
    if (plans != Plans.UNDER_THE_LID) {
      return false;
    }
    // The least gap that any glue could leave: the lid lies on its highest die, or on bare glue.
    double cavity = job.chip().lid().cavityMillimetres() * 1000;
    return job.chip().dies().stream().anyMatch(d -> cavity - d.heightMicrometres() > 150);
  }

  @org.junit.jupiter.api.Test
  void aRemedyLetsThePlanGoOn() {
    Job job =
        job(
            Plans.ON_THE_DIE,
            StartingPoint.DESKTOP_ONE_DIE_PASTE,
            Material.ALUMINIUM,
            Material.COPPER,
            0.75);
    PlanStep film = Plan.of(job.workCase()).step("film-die").orElseThrow();
    assertThat(Plan.of(job.workCase()).bar(film).orElseThrow().sentence())
        .contains("aluminium")
        .contains("keep to paste");
    Job copper = job.withCoat(job.coat().saying(MetalPlace.PLATE, MetalFace.NICKEL));
    assertThat(Plan.of(copper.workCase()).bar(film)).isEmpty();
    Job ring = copper.withCoat(copper.coat().saying(MetalPlace.JEWELLERY, MetalFace.SILVER));
    assertThat(Plan.of(ring.workCase()).bar(film)).isPresent();
    Job closed =
        job(
            Plans.UNDER_THE_LID,
            StartingPoint.DESKTOP_ONE_DIE_PASTE,
            Material.COPPER,
            Material.COPPER,
            1.2);
    assertThat(closed.workCase().doses().bars().get(0).key()).isEqualTo("dose.tooDeep");
    // Old sealant that lifts the lid counts like any depth.
    Job lifted =
        job(
                Plans.UNDER_THE_LID,
                StartingPoint.DESKTOP_ONE_DIE_PASTE,
                Material.COPPER,
                Material.COPPER,
                0.8)
            .withClosing(new CloseTerms(null, null, null, null, null, null, 300.0));
    assertThat(lifted.workCase().doses().bars()).isNotEmpty();
  }
}
