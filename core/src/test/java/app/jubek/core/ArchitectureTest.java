package app.jubek.core;

import static com.tngtech.archunit.core.domain.JavaAccess.Predicates.target;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.assignableTo;
import static com.tngtech.archunit.core.domain.properties.HasName.Predicates.nameMatching;
import static com.tngtech.archunit.core.domain.properties.HasOwner.Predicates.With.owner;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.wording.Wording;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The directions of docs/architecture.md. */
class ArchitectureTest {
    private static final String BASE = "app.jubek.core.";
    /** Lower packages first; each may know only those before it. */
    private static final List<String> ORDER = List.of(
            "text",
            "matching",
            "wording",
            "address",
            "message",
            "reading",
            "bounce",
            "people",
            "template",
            "criteria",
            "view",
            "explain",
            "compiled",
            "schedule",
            "step",
            "rule",
            "plan",
            "safety",
            "decide",
            "outgoing",
            "composing",
            "arrival",
            "corpus",
            "sample",
            "exchange",
            "evidence",
            "trial",
            "realtest",
            "rehearsal",
            "absence",
            "catchup",
            "recurring",
            "suggest",
            "drift",
            "review");

    private final JavaClasses classes = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("app.jubek.core");

    @Test
    void everyPackageHasItsPlaceInTheOrder() {
        assertThat(classes.stream().map(type -> type.getPackageName().substring(BASE.length())))
                .allSatisfy(name -> assertThat(ORDER).contains(name));
    }

    @Test
    void packagesKnowOnlyThoseBelowThem() {
        for (int i = 0; i < ORDER.size(); i++) {
            String[] above = ORDER.subList(i + 1, ORDER.size()).stream()
                    .map(p -> BASE + p + "..")
                    .toArray(String[]::new);
            if (above.length > 0) {
                noClasses()
                        .that()
                        .resideInAPackage(BASE + ORDER.get(i) + "..")
                        .should()
                        .dependOnClassesThat()
                        .resideInAnyPackage(above)
                        .check(classes);
            }
        }
        slices().matching(BASE + "(*)..").should().beFreeOfCycles().check(classes);
    }

    @Test
    void theEngineKnowsNoFrameworkClockOrInput() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "org.springframework..",
                        "jakarta..",
                        "tools.jackson..",
                        "org.slf4j..",
                        "java.sql..",
                        "java.nio.file..",
                        "java.net..")
                .check(classes);
        noClasses()
                .should()
                .callMethod(java.time.Instant.class, "now")
                .orShould()
                .callMethod(java.time.ZoneId.class, "systemDefault")
                .orShould()
                .callMethod(java.util.UUID.class, "randomUUID")
                .check(classes);
    }

    /** Expressions of the JDK go back over what they read, and over their own stack: RE2/J or a scan reads what comes in. */
    @Test
    void nothingReadsTextWithExpressionsThatBacktrack() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAPackage("java.util.regex..")
                .orShould()
                .callMethodWhere(target(owner(assignableTo(String.class)))
                        .and(target(nameMatching("matches|replaceAll|replaceFirst|split"))))
                .check(classes);
    }

    /** Code branches on codes: nothing in the engine knows how a statement is worded. */
    @Test
    void nothingInTheEngineReadsWords() {
        noClasses()
                .that()
                .doNotHaveFullyQualifiedName(Wording.class.getName())
                .should()
                .dependOnClassesThat()
                .areAssignableTo(Wording.class)
                .check(classes);
    }
}
