package app.jubek.server;

import static com.tngtech.archunit.core.domain.JavaAccess.Predicates.target;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.assignableTo;
import static com.tngtech.archunit.core.domain.properties.HasName.Predicates.nameMatching;
import static com.tngtech.archunit.core.domain.properties.HasOwner.Predicates.With.owner;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import jakarta.persistence.Entity;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.data.repository.Repository;

class ArchitectureTest {
    private static final List<String> FEATURES =
            List.of("account", "mailbox", "intake", "delivery", "rulebook", "evidence", "records", "outside");

    private final JavaClasses server = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("app.jubek.server");

    @Test
    void featuresHaveNoCyclesAndThePlatformKnowsNoFeature() {
        slices().matching("app.jubek.server.(*)..").should().beFreeOfCycles().check(server);
        noClasses()
                .that()
                .resideInAPackage("..platform..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(FEATURES.stream()
                        .map(f -> "app.jubek.server." + f + "..")
                        .toArray(String[]::new))
                .check(server);
    }

    @Test
    void entitiesAndRepositoriesStayInsideTheirFeature() {
        classes()
                .that()
                .areAnnotatedWith(Entity.class)
                .or()
                .areAssignableTo(Repository.class)
                .should()
                .bePackagePrivate()
                .check(server);
    }

    /** What comes in is read by RE2/J or a scan, which go through it once. */
    @Test
    void nothingReadsTextWithExpressionsThatBacktrack() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAPackage("java.util.regex..")
                .orShould()
                .callMethodWhere(target(owner(assignableTo(String.class)))
                        .and(target(nameMatching("matches|replaceAll|replaceFirst|split"))))
                .check(server);
    }
}
