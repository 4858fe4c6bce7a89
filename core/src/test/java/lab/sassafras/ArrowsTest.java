package lab.sassafras;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.library.dependencies.SlicesRuleDefinition;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The arrows of the house, within core: from the bottom of this list to the top, never back. */
class ArrowsTest {

    private static final List<String> ROOMS = List.of(
            "measure",
            "expression",
            "statistics",
            "substance",
            "simulate",
            "account",
            "curve",
            "convention",
            "presentation",
            "slot",
            "declaration",
            "sheet",
            "draft",
            "yardstick",
            "experiment",
            "calibration",
            "verdict",
            "plan",
            "hour",
            "rehearse");

    private final JavaClasses core = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("lab.sassafras");

    @Test
    void noRoomKnowsOneBelowIt() {
        for (int i = 0; i < ROOMS.size(); i++) {
            String[] below = ROOMS.subList(i + 1, ROOMS.size()).stream()
                    .map(room -> "lab.sassafras." + room + "..")
                    .toArray(String[]::new);
            if (below.length > 0) {
                noClasses()
                        .that()
                        .resideInAPackage("lab.sassafras." + ROOMS.get(i) + "..")
                        .should()
                        .dependOnClassesThat()
                        .resideInAnyPackage(below)
                        .check(core);
            }
        }
    }

    @Test
    void everyRoomStandsInTheList() {
        assertThat(core.stream()
                        .map(each -> each.getPackageName().split("\\.", -1))
                        .filter(each -> each.length > 2)
                        .map(each -> each[2]))
                .isSubsetOf(ROOMS);
    }

    /** A sign that is wrong in a formula cannot hide in the physics it is checked by. */
    @Test
    void theSimulatedBenchReadsNothingButUnitsAndSubstances() {
        noClasses()
                .that()
                .resideInAPackage("lab.sassafras.simulate..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(ROOMS.stream()
                        .filter(room ->
                                !List.of("measure", "substance", "simulate").contains(room))
                        .map(room -> "lab.sassafras." + room + "..")
                        .toArray(String[]::new))
                .check(core);
    }

    @Test
    void noExperimentKnowsAnother() {
        SlicesRuleDefinition.slices()
                .matching("lab.sassafras.experiment.(*)..")
                .should()
                .notDependOnEachOther()
                .check(core);
        noClasses()
                .that()
                .resideOutsideOfPackage("lab.sassafras.experiment.*..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("lab.sassafras.experiment.*..")
                .check(core);
    }

    @Test
    void coreKnowsNoWebNoDatabaseNoJson() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "org.springframework..", "jakarta..", "org.hibernate..", "tools.jackson..", "com.fasterxml..")
                .check(core);
    }
}
