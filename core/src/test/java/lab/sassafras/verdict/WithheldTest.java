package lab.sassafras.verdict;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import lab.sassafras.convention.Conventions;
import lab.sassafras.experiment.WorkedRuns;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Judging;
import lab.sassafras.slot.Setting;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.substance.Dissolution;
import lab.sassafras.substance.Reference;
import lab.sassafras.substance.ReferenceShelf;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Who may not be told what a result should be gets a document that does not hold it. */
class WithheldTest {

    static Set<String> keys() {
        return WorkedRuns.all().keySet();
    }

    /** A class's own references beside the handbook, each off by so much. */
    private static ReferenceShelf planted(Sheet sheet, double off) {
        ReferenceShelf shelf = sheet.setting().shelf();
        List<Reference> reactions = new ArrayList<>();
        Reduction.of(sheet, Conventions.standard())
                .happened()
                .equation()
                .flatMap(equation -> shelf.heat(equation).map(known -> moved(known, equation.text(), off)))
                .ifPresent(reactions::add);
        List<Reference> combustions = sheet.lines().stream()
                .filter(line -> line.address().path().endsWith("/formula"))
                .map(line -> ChemicalFormula.read(line.text()))
                .flatMap(fuel -> shelf.combustion(fuel).map(known -> moved(known, fuel.text(), off)).stream())
                .toList();
        List<Dissolution> salts = shelf.heatsOfSolution().stream()
                .map(each -> new Dissolution(
                        each.formula(),
                        each.waters(),
                        moved(each.reference(), each.reference().key(), off)))
                .toList();
        return shelf.with(new ReferenceShelf.Beside(List.of(), salts, List.of(), reactions, combustions));
    }

    private static Reference moved(Reference known, String key, double off) {
        return new Reference(
                key,
                known.name(),
                known.value() + off,
                known.uncertainty(),
                known.unit(),
                known.source(),
                known.opened());
    }

    /** Everything a page, a file or a print could be made of. */
    private static String document(Sheet sheet, Setting setting) {
        Reduction whole =
                Reduction.of(sheet.with(setting), Conventions.standard()).whole(1);
        return whole.findings() + "\n"
                + whole.samples().stream()
                        .map(each -> each.interval() + " " + each.verdict())
                        .toList() + "\n" + whole.alternatives() + "\n" + whole.suspects() + "\n"
                + whole.working(1).map(each -> each.text()).orElse("") + "\n"
                + whole.trials().stream()
                        .flatMap(trial -> trial.solution().stream())
                        .flatMap(solution -> solution.derived().stream())
                        .map(each -> each.derived().label() + " " + each.estimate())
                        .collect(Collectors.joining("\n"))
                + whole.happened().whereHeatWent();
    }

    @ParameterizedTest
    @MethodSource("keys")
    void underTwoPlantedReferencesItIsTheSame(String key) {
        Sheet sheet = WorkedRuns.all().get(key).sheet();
        Setting withheld = sheet.setting().judged(Judging.WITHHELD);
        String one = document(sheet, withheld.with(planted(sheet, 7)));
        assertThat(document(sheet, withheld.with(planted(sheet, -13))).equals(one))
                .isTrue();
        Reduction reduction = Reduction.of(sheet.with(withheld), Conventions.standard());
        assertThat(reduction.alternatives()).isEmpty();
        assertThat(reduction.suspects()).isEmpty();
        assertThat(reduction.verdict()).hasValueSatisfying(verdict -> {
            assertThat(verdict.agreement()).isEmpty();
            assertThat(verdict.candidates()).isEmpty();
        });
        Estimate told = Reduction.of(sheet, Conventions.standard()).result().orElseThrow();
        assertThat(reduction.result()).hasValueSatisfying(result -> {
            assertThat(result.value()).isEqualTo(told.value());
            assertThat(result.uncertainty()).isEqualTo(told.uncertainty());
        });
    }

    /** What an instructor gave counts before the shelf: for a sample by its name, in the unit of its result. */
    @Test
    void whatWasGivenStandsBeforeTheShelf() {
        Sheet sheet = WorkedRuns.all()
                .get("specific-heat-of-solid")
                .says("sample[1]/name", "Unknown  3")
                .sheet();
        BenchUnit unit = sheet.experiment().unknown().unit();
        Judging.Given forAll = given("", 7, unit);
        assertThat(judgedBy(sheet, given("another", 5, unit), forAll)).contains(7.0);
        assertThat(judgedBy(sheet, given(" unknown 3", 5, unit), forAll)).contains(5.0);
        assertThat(judgedBy(sheet, given("", 7, BenchUnit.KILOJOULES_PER_MOLE))).isEmpty();
    }

    private static Judging.Given given(String sample, double value, BenchUnit unit) {
        return new Judging.Given(sample, new Reference("given", "given", value, 0.1, unit, "a certificate", true));
    }

    private static Optional<Double> judgedBy(Sheet sheet, Judging.Given... given) {
        Setting setting = sheet.setting().judged(new Judging(false, List.of(given)));
        Reduction reduction = Reduction.of(sheet.with(setting), Conventions.standard());
        return reduction
                .agreement(reduction.samples().get(0))
                .map(agreement -> agreement.reference().value());
    }

    private static List<Double> judgedBy(Sheet sheet, double off) {
        Reduction reduction =
                Reduction.of(sheet.with(sheet.setting().with(planted(sheet, off))), Conventions.standard());
        return reduction.samples().stream()
                .flatMap(sample -> reduction.agreement(sample).stream())
                .map(agreement -> agreement.reference().value())
                .toList();
    }

    /** The same planting moves the document of whoever is told everything. */
    @Test
    void toldEverythingItIsNotTheSame() {
        Set<String> moved = keys().stream()
                .filter(key -> {
                    Sheet sheet = WorkedRuns.all().get(key).sheet();
                    return !judgedBy(sheet, 7).equals(judgedBy(sheet, -13));
                })
                .collect(Collectors.toSet());
        assertThat(moved)
                .contains("heat-of-solution", "solid-with-solution", "combustion-under-a-can", "bomb-combustion");
    }
}
