package dev.ambershim.desktop;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** What the window's tests must keep to, so that none meets a window that is being rebuilt. */
@AnalyzeClasses(
    packages = "dev.ambershim.desktop",
    importOptions = ImportOption.OnlyIncludeTests.class)
class WindowTestsTest {
  @ArchTest
  static final ArchRule WHO_TOUCHES_THE_SCENE_RUNS_ON_ITS_THREAD =
      classes()
          .that()
          .haveSimpleNameEndingWith("Test")
          .and()
          .areTopLevelClasses()
          .and(dependOn("javafx.scene.Node").or(dependOn("javafx.stage.Stage")))
          .should()
          .beAssignableTo(DesktopTest.class);

  @ArchTest
  static final ArchRule NOBODY_WAITS_BY_SLEEP_OR_FROM_ANOTHER_THREAD =
      noClasses()
          .that()
          .areAssignableTo(DesktopTest.class)
          .or()
          .haveSimpleName("Hands")
          .should()
          .dependOnClassesThat()
          .haveNameMatching("org\\.testfx\\.(util\\.WaitForAsyncUtils|api\\.FxRobot.*)")
          .orShould()
          .callMethod(Thread.class, "sleep", long.class);

  private static DescribedPredicate<JavaClass> dependOn(String type) {
    return DescribedPredicate.describe(
        "depend on " + type,
        c ->
            c.getDirectDependenciesFromSelf().stream()
                .anyMatch(d -> d.getTargetClass().getName().equals(type)));
  }
}
