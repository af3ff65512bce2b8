package dev.ambershim.cli;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import java.util.Set;
import java.util.Timer;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executors;
import java.util.concurrent.ForkJoinPool;

/** The arrows of the house: desktop and cli to logbook and sensors to core, one way. */
@AnalyzeClasses(packages = "dev.ambershim", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
  private static final Set<String> DRESSED =
      Set.of(
          "Button",
          "CheckBox",
          "ComboBox",
          "ListView",
          "ListCell",
          "ProgressBar",
          "ScrollPane",
          "Slider",
          "TextArea",
          "TextField",
          "ToggleButton",
          "Tooltip",
          "Label",
          "ContextMenu",
          "TextInputControl");

  @ArchTest
  static final ArchRule CORE_IS_PURE =
      noClasses()
          .that()
          .resideInAPackage("dev.ambershim.core..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "dev.ambershim.logbook..",
              "dev.ambershim.sensors..",
              "dev.ambershim.desktop..",
              "dev.ambershim.cli..",
              "javafx..",
              "java.sql..",
              "java.nio.file..",
              "java.awt..",
              "javax.swing..");

  @ArchTest
  static final ArchRule CORE_HAS_NO_CLOCK_AND_STARTS_NO_THREAD =
      noClasses()
          .that()
          .resideInAPackage("dev.ambershim.core..")
          .should()
          .callMethod(System.class, "currentTimeMillis")
          .orShould()
          .callMethod(Thread.class, "start")
          .orShould()
          .callMethod(Thread.class, "sleep", long.class)
          .orShould()
          .dependOnClassesThat()
          .belongToAnyOf(Executors.class, ForkJoinPool.class, CompletableFuture.class, Timer.class)
          .orShould()
          .dependOnClassesThat()
          .haveFullyQualifiedName("java.time.Clock");

  /** What the application's base sheet still dresses; the rest is cut away from it. */
  @ArchTest
  static final ArchRule ONLY_CONTROLS_THAT_ARE_DRESSED =
      classes()
          .that()
          .resideInAPackage("dev.ambershim.desktop..")
          .should(
              new ArchCondition<>("use only the controls that BaseSheet keeps") {
                @Override
                public void check(JavaClass type, ConditionEvents events) {
                  type.getDirectDependenciesFromSelf().stream()
                      .map(d -> d.getTargetClass())
                      .filter(
                          c ->
                              c.isAssignableTo("javafx.scene.control.Control")
                                  || c.isAssignableTo("javafx.scene.control.PopupControl")
                                  || c.isAssignableTo("javafx.scene.chart.Chart"))
                      .filter(c -> c.getPackageName().startsWith("javafx"))
                      .filter(c -> !DRESSED.contains(c.getSimpleName()))
                      .forEach(
                          c ->
                              events.add(
                                  SimpleConditionEvent.violated(
                                      type, type.getName() + " uses " + c.getName())));
                }
              });

  @ArchTest
  static final ArchRule LOGBOOK_AND_SENSORS_KNOW_ONLY_THE_CORE =
      noClasses()
          .that()
          .resideInAnyPackage("dev.ambershim.logbook..", "dev.ambershim.sensors..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("dev.ambershim.desktop..", "dev.ambershim.cli..", "javafx..");

  @ArchTest
  static final ArchRule LOGBOOK_AND_SENSORS_DO_NOT_KNOW_EACH_OTHER =
      noClasses()
          .that()
          .resideInAPackage("dev.ambershim.logbook..")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("dev.ambershim.sensors..");

  @ArchTest
  static final ArchRule NOBODY_KNOWS_THE_COMMANDS =
      noClasses()
          .that()
          .resideOutsideOfPackage("dev.ambershim.cli..")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("dev.ambershim.cli..");

  @ArchTest
  static final ArchRule STAGES_DO_NOT_KNOW_EACH_OTHER =
      slices()
          .matching(
              "dev.ambershim.desktop.(weigh|baseline|open|clean|measure|lap|coat|close|bench|prove)..")
          .should()
          .notDependOnEachOther();

  @ArchTest
  static final ArchRule DESKTOP_PACKAGES_HAVE_NO_CIRCLES =
      slices().matching("dev.ambershim.desktop.(*)..").should().beFreeOfCycles();

  @ArchTest
  static final ArchRule CORE_PACKAGES_HAVE_NO_CIRCLES =
      slices().matching("dev.ambershim.core.(*)..").should().beFreeOfCycles();

  @ArchTest
  static final ArchRule THE_SHELL_MODEL_HOLDS_NO_NODE =
      noClasses()
          .that()
          .haveSimpleNameEndingWith("Model")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("javafx.scene..", "javafx.stage..");

  @ArchTest
  static final ArchRule NAMES_SAY_WHAT_A_THING_IS =
      noClasses()
          .should()
          .haveSimpleNameEndingWith("Utils")
          .orShould()
          .haveSimpleNameEndingWith("Util")
          .orShould()
          .haveSimpleNameEndingWith("Manager")
          .orShould()
          .haveSimpleNameEndingWith("Helper");

  @ArchTest
  static final ArchRule RESULTS_ARE_RECORDS =
      classes()
          .that()
          .resideInAPackage("dev.ambershim.core.finding..")
          .and()
          .areTopLevelClasses()
          .and()
          .doNotHaveSimpleName("package-info")
          .should(
              new ArchCondition<JavaClass>("be records") {
                @Override
                public void check(JavaClass type, ConditionEvents events) {
                  events.add(new SimpleConditionEvent(type, type.isRecord(), type.getName()));
                }
              });
}
