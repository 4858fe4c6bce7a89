package lab.sassafras.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lab.sassafras.account.Account;
import lab.sassafras.account.Finding;
import lab.sassafras.convention.Conventions;
import lab.sassafras.declaration.Group;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Figures;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Setting;
import lab.sassafras.slot.Slot;
import lab.sassafras.slot.Words;
import lab.sassafras.verdict.Reduction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What a sheet makes of its lines, for every experiment and for trials side by side. */
class SheetTest {

    static List<Experiment> experiments() {
        return Experiments.all();
    }

    @ParameterizedTest
    @MethodSource("experiments")
    void anEmptySheetAsksForEverythingAndGivesNoNumber(Experiment experiment) {
        Reduction reduction =
                Reduction.of(new Sheet(experiment, List.of(), Setting.plain(Figures.POINT)), Conventions.standard());
        assertThat(reduction.mean()).isEmpty();
        assertThat(reduction.alternatives()).isEmpty();
        assertThat(reduction.trials())
                .singleElement()
                .satisfies(trial -> assertThat(trial.account())
                        .isInstanceOfSatisfying(Account.Incomplete.class, incomplete -> {
                            assertThat(incomplete.missing()).isNotEmpty().doesNotHaveDuplicates();
                            assertThat(incomplete.missing()).allSatisfy(lack -> {
                                String path = Address.read(lack.address()).path();
                                assertThat(experiment.slot(path)).isPresent();
                                assertThat(experiment.procedure())
                                        .as("a step asks for " + path)
                                        .anyMatch(step -> step.path().equals(path));
                            });
                        }));
    }

    @ParameterizedTest
    @MethodSource("experiments")
    void everySlotIsAskedForAndEveryRequiredOneHasItsHelp(Experiment experiment) {
        for (Group group : experiment.groups()) {
            for (Slot slot : group.slots()) {
                String path = group.key() + "/" + slot.key();
                assertThat(experiment.procedure())
                        .as(path)
                        .anyMatch(step -> step.path().equals(path));
                assertThat(slot.optional() || experiment.words().help(path).isPresent())
                        .as("help for " + path)
                        .isTrue();
            }
        }
    }

    /** Where a hand moves something hot, cold or caustic, the caution stands at that very step. */
    @ParameterizedTest
    @MethodSource("experiments")
    void theMovementItselfCarriesItsCaution(Experiment experiment) {
        assertThat(experiment.procedure())
                .filteredOn(step -> experiment.slot(step.path()).orElseThrow().field() == Slot.Field.MOMENT)
                .allSatisfy(step -> assertThat(experiment.words().caution(step.path()))
                        .as(step.path())
                        .isPresent());
    }

    @ParameterizedTest
    @MethodSource("experiments")
    void onceOnlyRowsAreAskedWithTheFirstTrialAlone(Experiment experiment) {
        Sheet sheet = new Sheet(experiment, List.of(), trials(3, Set.of()));
        assertThat(sheet.tasks().asks(2))
                .allSatisfy(ask -> assertThat(ask.address().index()).isEqualTo(2));
        assertThat(sheet.tasks().asks(1))
                .hasSizeGreaterThanOrEqualTo(sheet.tasks().asks(2).size());
    }

    @Test
    void trialsAreWorkedEachFromTheirOwnReadings() {
        BenchSheet two = hotInCold("20.7", "20.8");
        Reduction reduction = two.reduced();
        // 418.4 · 0.7 ÷ 793 = 0.36933 and 418.4 · 0.8 ÷ 792 = 0.42263
        assertThat(reduction.mean().orElseThrow().values().get(0)).isCloseTo(0.36933, within(1e-5));
        assertThat(reduction.mean().orElseThrow().values().get(1)).isCloseTo(0.42263, within(1e-5));
        Sheet second = two.sheet().with(trials(2, Set.of(1)));
        assertThat(Reduction.of(second, Conventions.standard())
                        .result()
                        .orElseThrow()
                        .value())
                .isCloseTo(0.42263, within(1e-5));
        assertThat(Reduction.of(second, Conventions.standard()).trials().get(0).leftOut())
                .isTrue();
    }

    /** A balance that comes out negative in one trial gives no number there and leaves the other alone. */
    @Test
    void aFaultInOneTrialStaysThere() {
        Reduction reduction =
                hotInCold("20.0", "20.7").temperature("sample[1]/start", "20.0").reduced();
        assertThat(reduction.findings())
                .filteredOn(each -> each.grade() == Finding.Grade.REFUSE)
                .singleElement()
                .satisfies(each -> assertThat(each.message()).startsWith("Trial 1: "));
        assertThat(reduction.mean().orElseThrow().values()).hasSize(1);
    }

    @Test
    void whatHoldsForEveryTrialIsSaidOnce() {
        assertThat(outside(hotInCold("19.0", "19.0")))
                .singleElement()
                .satisfies(each -> assertThat(each).startsWith("The final temperature"));
        assertThat(outside(hotInCold("20.7", "19.0")))
                .singleElement()
                .satisfies(each -> assertThat(each).startsWith("Trial 2: "));
    }

    private static List<String> outside(BenchSheet sheet) {
        return sheet.reduced().findings().stream()
                .filter(each -> each.code().equals("account.final-outside-starts"))
                .map(Finding::message)
                .toList();
    }

    private static BenchSheet hotInCold(String... finals) {
        BenchSheet trials = BenchSheet.of("specific-heat-of-solid", finals.length);
        for (int trial = 1; trial <= finals.length; trial++) {
            trials.mass("sample[" + trial + "]/mass", "10.00")
                    .says("sample[" + trial + "]/bath", "boiling")
                    .temperature("sample[" + trial + "]/start", "100.0")
                    .mass("water[" + trial + "]/mass", "100.00")
                    .temperature("water[" + trial + "]/start", "20.0")
                    .temperature("mixed[" + trial + "]/final", finals[trial - 1]);
        }
        return trials;
    }

    @Test
    void findingsStandWeightiestFirst() {
        assertThat(BenchSheet.mixing()
                        .temperature("mixed[1]/final", "39")
                        .reduced()
                        .findings())
                .extracting(Finding::grade)
                .isSorted();
    }

    @Test
    void aWordNobodyWroteIsAFaultOfOursAndSaidAtOnce() {
        Words words = Experiments.find("fusion-of-ice").orElseThrow().words();
        assertThatThrownBy(() -> words.get("nonsense")).hasMessageContaining("no word “nonsense”");
        assertThat(words.find("nonsense")).isEmpty();
        assertThat(words.symbol("ice/mass").latex()).isEqualTo("m_{\\text{ice}}");
    }

    private static Setting trials(int count, Set<Integer> leftOut) {
        return new Setting(
                Optional.empty(), Map.of(), count, Map.of(), leftOut, Map.of(), Figures.POINT, Conventions.standard());
    }
}
