package ivrik.cli;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "ivrik.cli", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule theCommandKnowsNoWindowAndNoNatives =
            noClasses()
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage("javafx..", "ivrik.app..", "org.bytedeco..");
}
