package dev.ambershim.app;

import static com.tngtech.archunit.core.domain.JavaCall.Predicates.target;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.belongToAnyOf;
import static com.tngtech.archunit.core.domain.properties.HasOwner.Predicates.With.owner;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.lang.CompositeArchRule;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Working;
import dev.ambershim.desktop.widget.Box;
import dev.ambershim.desktop.widget.Scroll;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.Timer;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executors;
import java.util.concurrent.ForkJoinPool;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;

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
          "Hyperlink",
          "TextInputControl");

  private static final List<String> CORE =
      List.of("base", "physics", "runs", "plan", "job", "picture", "stage");

  private static final List<String> DESKTOP =
      List.of("demo", "model", "widget", "stage", "frame", "quickstart");

  private static ArchRule downwards(String module, List<String> layers) {
    CompositeArchRule rule = null;
    for (int i = 0; i < layers.size() - 1; i++) {
      String[] above =
          layers.subList(i + 1, layers.size()).stream()
              .map(layer -> "dev.ambershim." + module + "." + layer + "..")
              .toArray(String[]::new);
      ArchRule one =
          noClasses()
              .that()
              .resideInAPackage("dev.ambershim." + module + "." + layers.get(i) + "..")
              .should()
              .dependOnClassesThat()
              .resideInAnyPackage(above);
      rule = rule == null ? CompositeArchRule.of(one) : rule.and(one);
    }
    return rule;
  }

  @ArchTest
  static final ArchRule NOTHING_MOVES_BY_ITSELF =
      noClasses()
          .should()
          .dependOnClassesThat()
          .areAssignableTo("javafx.animation.Transition")
          .because("some people get sick of motion; only timers tick");

  /**
   * Nothing goes over a network: only the height gauge has a socket, and it stays on the machine.
   */
  @ArchTest
  static final ArchRule NO_NETWORK =
      noClasses()
          .that()
          .resideOutsideOfPackage("dev.ambershim.sensors.gauge..")
          .should()
          .dependOnClassesThat()
          .haveFullyQualifiedName("java.net.Socket")
          .orShould()
          .dependOnClassesThat()
          .haveFullyQualifiedName("java.net.ServerSocket")
          .orShould()
          .dependOnClassesThat()
          .haveFullyQualifiedName("java.net.DatagramSocket")
          .orShould()
          .dependOnClassesThat()
          .haveFullyQualifiedName("java.net.InetAddress")
          .orShould()
          .dependOnClassesThat()
          .haveFullyQualifiedName("java.net.URLConnection")
          .orShould()
          .callMethod(java.net.URL.class, "openStream")
          .orShould()
          .callMethod(java.net.URL.class, "openConnection")
          .orShould()
          .dependOnClassesThat()
          .resideInAPackage("java.net.http..")
          .orShould()
          .dependOnClassesThat()
          .haveSimpleNameEndingWith("SocketChannel");

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
          .callMethod(System.class, "nanoTime")
          .orShould()
          .callMethod(Instant.class, "now")
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
          .resideInAnyPackage(
              "dev.ambershim.desktop..", "dev.ambershim.cli..", "dev.ambershim.app..", "javafx..");

  @ArchTest
  static final ArchRule LOGBOOK_AND_SENSORS_DO_NOT_KNOW_EACH_OTHER =
      noClasses()
          .that()
          .resideInAPackage("dev.ambershim.logbook..")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("dev.ambershim.sensors..");

  @ArchTest
  static final ArchRule ONLY_THE_APPLICATION_KNOWS_THE_COMMANDS =
      noClasses()
          .that()
          .resideOutsideOfPackages("dev.ambershim.cli..", "dev.ambershim.app..")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("dev.ambershim.cli..");

  @ArchTest
  static final ArchRule COMMANDS_NEED_NO_WINDOW =
      noClasses()
          .that()
          .resideInAPackage("dev.ambershim.cli..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("dev.ambershim.desktop..", "dev.ambershim.app..", "javafx..");

  /** Each layer of the core knows only those before it. */
  @ArchTest static final ArchRule CORE_ARROWS_POINT_DOWN = downwards("core", CORE);

  /** Each layer of the window knows only those before it; the demo fills a logbook. */
  @ArchTest static final ArchRule DESKTOP_ARROWS_POINT_DOWN = downwards("desktop", DESKTOP);

  @ArchTest
  static final ArchRule STAGES_OF_THE_WINDOW_DO_NOT_KNOW_EACH_OTHER =
      slices()
          .matching(
              "dev.ambershim.desktop.stage.(weigh|baseline|open|clean|measure|lap|coat|close|steps|prove)..")
          .should()
          .notDependOnEachOther();

  @ArchTest
  static final ArchRule STAGES_HAVE_NO_CIRCLES =
      slices().matching("dev.ambershim.core.stage.(*)..").should().beFreeOfCycles();

  @ArchTest
  static final ArchRule PHYSICS_HAS_NO_CIRCLES =
      slices().matching("dev.ambershim.core.physics.(*)..").should().beFreeOfCycles();

  @ArchTest
  static final ArchRule MODELS_HOLD_NO_NODE =
      noClasses()
          .that()
          .resideInAPackage("dev.ambershim.desktop.model..")
          .or()
          .haveSimpleNameEndingWith("Model")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("javafx.scene..", "javafx.stage..");

  /** Scroll paints no more than what changed. */
  @ArchTest static final ArchRule WHAT_SCROLLS_IS_A_SCROLL = madeAs(Scroll.class, ScrollPane.class);

  /** A box rests until somebody types in it. */
  @ArchTest static final ArchRule WHAT_IS_TYPED_IN_IS_A_BOX = madeAs(Box.class, TextField.class);

  private static ArchRule madeAs(Class<?> own, Class<?> toolkits) {
    return noClasses()
        .that()
        .areNotAssignableTo(own)
        .should()
        .callConstructorWhere(target(owner(belongToAnyOf(toolkits))));
  }

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
          .belongToAnyOf(Finding.class, Interval.class, Working.class)
          .should(
              new ArchCondition<JavaClass>("be records") {
                @Override
                public void check(JavaClass type, ConditionEvents events) {
                  events.add(new SimpleConditionEvent(type, type.isRecord(), type.getName()));
                }
              });
}
