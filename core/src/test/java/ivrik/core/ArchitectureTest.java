package ivrik.core;

import static com.tngtech.archunit.base.DescribedPredicate.describe;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "ivrik.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule coreHasNoInterfaceFilesOrNatives =
            noClasses()
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage(
                            "javafx..",
                            "java.awt..",
                            "javax.swing..",
                            "java.nio.file..",
                            "java.io.File",
                            "org.bytedeco..");

    @ArchTest
    static final ArchRule thePipelineHasNoLoops =
            slices().matching("ivrik.core.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule numbersAreTheSameOnEveryMachine =
            noClasses()
                    .should()
                    .accessTargetWhere(
                            describe(
                                    "Java lets the last bit of differ from machine to machine",
                                    access ->
                                            access.getTargetOwner().isEquivalentTo(Math.class)
                                                    && access.getName()
                                                            .matches(
                                                                    "a?(sin|cos|tan)h?|atan2|exp(m1)?"
                                                                        + "|log(10|1p)?|pow|cbrt|hypot")));

    @ArchTest
    static final ArchRule picturesStandAlone =
            noClasses()
                    .that()
                    .resideInAnyPackage(
                            "ivrik.core.threads..",
                            "ivrik.core.picture..",
                            "ivrik.core.sampling..",
                            "ivrik.core.colour..",
                            "ivrik.core.motion..")
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage(
                            "ivrik.core.look..", "ivrik.core.project..", "ivrik.core.render..");
}
