package app.jubek.server;

import static com.tngtech.archunit.base.DescribedPredicate.not;
import static com.tngtech.archunit.core.domain.JavaAccess.Predicates.target;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.assignableTo;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAPackage;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAnyPackage;
import static com.tngtech.archunit.core.domain.properties.HasName.Predicates.nameMatching;
import static com.tngtech.archunit.core.domain.properties.HasOwner.Predicates.With.owner;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.core.wording.Wording;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import jakarta.persistence.Entity;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

class ArchitectureTest {
    private final JavaClasses server = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("app.jubek.server");

    @Test
    void featuresHaveNoCyclesAndPlatformAndHttpKnowNoFeature() {
        slices().matching("app.jubek.server.(*)..").should().beFreeOfCycles().check(server);
        noClasses()
                .that()
                .resideInAnyPackage("..platform..", "..http..")
                .should()
                .dependOnClassesThat(resideInAPackage("app.jubek.server.(*)..")
                        .and(not(resideInAnyPackage("..platform..", "..http.."))))
                .check(server);
    }

    @Test
    void noPackageIsABag() {
        Map<String, List<Path>> packages = sources();
        assertThat(packages).hasSizeGreaterThan(60);
        packages.forEach((name, files) -> {
            assertThat(files.size()).as("files of " + name).isLessThanOrEqualTo(20);
            assertThat(files.stream().mapToLong(ArchitectureTest::lines).sum())
                    .as("lines of " + name)
                    .isLessThanOrEqualTo(1_800);
        });
    }

    /** Of all modules. */
    private static Map<String, List<Path>> sources() {
        try (Stream<Path> modules = Files.list(Path.of(".."))) {
            return modules.map(module -> module.resolve("src/main/java"))
                    .filter(Files::isDirectory)
                    .flatMap(ArchitectureTest::files)
                    .filter(file -> file.toString().endsWith(".java"))
                    .collect(Collectors.groupingBy(file -> file.getParent().toString()));
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    private static Stream<Path> files(Path folder) {
        try {
            return Files.walk(folder);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    private static long lines(Path file) {
        try (Stream<String> lines = Files.lines(file)) {
            return lines.count();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
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

    /** The list and the reasons stand in decision 17. */
    @Test
    void sqlIsWrittenOnlyWhereHibernateCantSayIt() {
        Set<String> speakSql = server.stream()
                .filter(ArchitectureTest::speaksSql)
                .map(JavaClass::getSimpleName)
                .collect(Collectors.toSet());
        assertThat(speakSql)
                .containsExactlyInAnyOrder("SchemaVersion", "Signals", "SignInAttemptRepository", "WorkFigures");
    }

    private static boolean speaksSql(JavaClass type) {
        boolean nativeQuery = type.getMethods().stream()
                .flatMap(method -> method.tryGetAnnotationOfType(Query.class).stream())
                .anyMatch(Query::nativeQuery);
        boolean asked = type.getMethodCallsFromSelf().stream()
                .anyMatch(call -> call.getName().equals("createNativeQuery"));
        return nativeQuery
                || asked
                || type.getDirectDependenciesFromSelf().stream()
                        .map(used -> used.getTargetClass().getPackageName())
                        .anyMatch(name -> name.startsWith("org.springframework.jdbc") || name.equals("javax.sql"));
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

    /** Words are made where they leave; nothing reads them back, so they can change on any day. */
    @Test
    void wordsAreMadeAtTheEdgeAlone() {
        noClasses()
                .that()
                .resideOutsideOfPackage("..http..")
                .and()
                .haveSimpleNameNotEndingWith("Controller")
                .and()
                .doNotHaveSimpleName("HandedOnBeforehand") // its refusal tells a person the reason
                .and()
                .doNotHaveSimpleName("Watcher") // the log is in English
                .should()
                .dependOnClassesThat()
                .areAssignableTo(Wording.class)
                .check(server);
    }
}
