package ivrik.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "ivrik.app", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule packagesHaveNoLoops =
            slices().matching("ivrik.app.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule theWindowKnowsNoCommandLineAndNoNatives =
            noClasses()
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage(
                            "ivrik.cli..", "org.bytedeco..", "java.awt..", "javax.swing..");

    @ArchTest
    static final ArchRule controlsKnowNothingOfTheProject =
            noClasses()
                    .that()
                    .resideInAnyPackage("ivrik.app.widget..", "ivrik.app.theme..")
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage(
                            "ivrik.app.session..", "ivrik.app.shell..", "ivrik.core.project..");

    @ArchTest
    static final ArchRule theSessionHasNoControls =
            noClasses()
                    .that()
                    .resideInAPackage("ivrik.app.session..")
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage("javafx.scene..");
}
