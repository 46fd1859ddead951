package app.jubek.formats;

import static com.tngtech.archunit.core.domain.JavaAccess.Predicates.target;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.assignableTo;
import static com.tngtech.archunit.core.domain.properties.HasName.Predicates.nameMatching;
import static com.tngtech.archunit.core.domain.properties.HasOwner.Predicates.With.owner;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

class ArchitectureTest {
    private final JavaClasses classes = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("app.jubek.formats");

    /** Files come from outside: RE2/J or a scan reads them. */
    @Test
    void noFileIsReadWithExpressionsThatBacktrack() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAPackage("java.util.regex..")
                .orShould()
                .callMethodWhere(target(owner(assignableTo(String.class)))
                        .and(target(nameMatching("matches|replaceAll|replaceFirst|split"))))
                .check(classes);
    }
}
