package lab.sassafras.app;

import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAnyPackage;
import static com.tngtech.archunit.core.domain.properties.CanBeAnnotated.Predicates.annotatedWith;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaCall;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.Map;
import java.util.Set;
import lab.sassafras.app.access.WhoIsHere;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.usecase.UseCase;
import lab.sassafras.sheet.InputCheck;
import lab.sassafras.sheet.SheetEditing;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.modulith.core.ApplicationModules;
import org.springframework.stereotype.Controller;

/** The arrows between the modules of the application, and the one way in. */
@Tag("long")
class ModulesTest {

    /** What writes, by the class that does. */
    private static final Map<String, Set<String>> WRITES = Map.ofEntries(
            Map.entry("PeriodBook", Set.of("open", "join", "rename", "remove", "settle")),
            Map.entry("EntryBook", Set.of("begin", "open")),
            Map.entry("ObservationBook", Set.of("keep")),
            Map.entry("NoteBook", Set.of("write")),
            Map.entry("DecisionBook", Set.of("decide")),
            Map.entry("OriginBook", Set.of("note")),
            Map.entry("Traces", Set.of("begin", "bringIn", "add", "readRoom", "pushed", "push", "simulated")),
            Map.entry("SimulatedBook", Set.of("begin", "touch")),
            Map.entry("Probes", Set.of("make", "revoke", "begin", "keep")),
            Map.entry("Paces", Set.of("choose", "wait")),
            Map.entry("Calorimeters", Set.of("add", "adopt", "rename", "decide")),
            Map.entry("Instruments", Set.of("add")),
            Map.entry("OwnSubstances", Set.of("add", "decide")),
            Map.entry("PlanBook", Set.of("keep", "confirm", "layOut", "takeAway", "allow")),
            Map.entry("Supplies", Set.of("count")),
            Map.entry("ClassBook", Set.of("lay", "raise", "hold", "tell", "beside", "see")));

    private static final JavaClasses APP = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("lab.sassafras.app");

    @Test
    void modulesKnowOnlyWhatTheySayTheyKnow() {
        ApplicationModules.of(SassafrasApplication.class).verify();
    }

    @Test
    void aPageTranslatesAndKeepsNothing() {
        DescribedPredicate<JavaClass> keeping = DescribedPredicate.describe(
                "what keeping needs",
                each -> List.of(Observation.class, SheetEditing.class, InputCheck.class, EntityManager.class).stream()
                        .anyMatch(each::isEquivalentTo));
        noClasses()
                .that()
                .areAnnotatedWith(Controller.class)
                .should()
                .dependOnClassesThat(keeping)
                .check(APP);
    }

    @Test
    void onlyAUseCaseWrites() {
        classes()
                .that(DescribedPredicate.not(
                        resideInAnyPackage("..usecase..", "..record..", "..shelf..", "..probes..", "..simulated..")))
                .should(callNothingThatWrites())
                .check(APP);
        assertThat(WRITES.keySet())
                .allMatch(name ->
                        APP.stream().anyMatch(each -> each.getSimpleName().equals(name)));
        WRITES.forEach((name, methods) -> assertThat(APP.stream()
                        .filter(each -> each.getSimpleName().equals(name))
                        .flatMap(each -> each.getMethods().stream())
                        .map(each -> each.getName()))
                .as(name)
                .containsAll(methods));
    }

    private static ArchCondition<JavaClass> callNothingThatWrites() {
        return new ArchCondition<>("call nothing that writes") {
            @Override
            public void check(JavaClass page, ConditionEvents events) {
                for (JavaCall<?> call : page.getMethodCallsFromSelf()) {
                    if (WRITES.getOrDefault(call.getTargetOwner().getSimpleName(), Set.of())
                            .contains(call.getName())) {
                        events.add(SimpleConditionEvent.violated(page, call.getDescription()));
                    }
                }
            }
        };
    }

    @Test
    void noUseCaseCallsAnother() {
        assertThat(APP.stream().filter(each -> each.isAnnotatedWith(UseCase.class)))
                .hasSizeBetween(8, 17);
        APP.stream()
                .filter(each -> each.isAnnotatedWith(UseCase.class))
                .forEach(each -> noClasses()
                        .that()
                        .areAnnotatedWith(UseCase.class)
                        .and(DescribedPredicate.not(DescribedPredicate.<JavaClass>describe("itself", each::equals)))
                        .should()
                        .dependOnClassesThat(DescribedPredicate.describe(each.getSimpleName(), each::equals))
                        .check(APP));
        noClasses()
                .that(annotatedWith(UseCase.class))
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("..bench..", "..notebook..", "..exchange..", "..shelfpages..", "..access..")
                .check(APP);
    }

    /** Who acts is resolved at the door and nowhere else. */
    @Test
    void nobodyButTheDoorAsksWhoIsHere() {
        noClasses()
                .that()
                .resideOutsideOfPackage("..access..")
                .and()
                .haveNameNotMatching(".*\\.(Door|Reader)Controller") // where somebody comes in and leaves
                .should()
                .dependOnClassesThat()
                .areAssignableTo(WhoIsHere.class)
                .check(APP);
    }
}
