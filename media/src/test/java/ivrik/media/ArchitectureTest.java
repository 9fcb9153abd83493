package ivrik.media;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

import java.io.File;

@AnalyzeClasses(packages = "ivrik.media", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule packagesHaveNoLoops =
            slices().matching("ivrik.media.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule mediaHasNoInterface =
            noClasses()
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage("javafx..", "javax.swing..", "ivrik.app..", "ivrik.cli..");

    @ArchTest
    static final ArchRule nothingIsRememberedOfEachFileUntilTheEnd =
            noClasses().should().callMethod(File.class, "deleteOnExit");

    @ArchTest
    static final ArchRule everyFaultIsOneTheUserCanActOn =
            classes()
                    .that()
                    .areAssignableTo(Exception.class)
                    .should()
                    .beAssignableTo(ivrik.core.IvrikException.class);
}
