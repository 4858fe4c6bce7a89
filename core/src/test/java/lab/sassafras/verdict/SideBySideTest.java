package lab.sassafras.verdict;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Estimate.Contribution;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Scope;
import lab.sassafras.measure.Shared;
import lab.sassafras.substance.Reference;
import org.junit.jupiter.api.Test;

/** A class at a glance: everyone shifted by something shared, or one bench off. Numbers made by hand. */
class SideBySideTest {

    private static final Reference TOLD =
            new Reference("r", "heat of solution", 14.78, 0.1, BenchUnit.KILOJOULES_PER_MOLE, "made up", true);
    private static final Shared THERMOMETER =
            new Shared("instrument:t1", "offset of R-2", 1, Double.POSITIVE_INFINITY, Scope.EVERYWHERE);
    private static final Shared READ_ONCE =
            new Shared("water[1]/mass.read", "water", 1, Double.POSITIVE_INFINITY, Scope.ENTRY);

    /** Each with 0.2 of its own and as much as is given of a thermometer they share. */
    private static SideBySide.Given entry(String bench, double value, double shared) {
        return given(
                bench,
                Estimate.of(
                        value,
                        List.of(
                                new Contribution("own", "reading", 1, 0.1, null),
                                new Contribution(READ_ONCE.key(), "water", 0.173, 0.173, READ_ONCE),
                                new Contribution(THERMOMETER.key(), "offset of R-2", shared, shared, THERMOMETER)),
                        Double.POSITIVE_INFINITY));
    }

    private static SideBySide.Given given(String bench, Estimate result) {
        return new SideBySide.Given(bench, result, Interval.of(result));
    }

    private static SideBySide of(double shared, double... values) {
        List<SideBySide.Given> given = new ArrayList<>();
        String[] benches = {"Alder", "Hawthorn", "Medlar", "Rowan", "Sorrel", "Willow", "Yew", "Elder"};
        for (int i = 0; i < values.length; i++) {
            given.add(entry(benches[i], values[i], shared));
        }
        return SideBySide.of(given, Optional.of(TOLD), BenchUnit.KILOJOULES_PER_MOLE, Figures.POINT);
    }

    private static List<String> codes(SideBySide side) {
        return side.findings().stream().map(Finding::code).toList();
    }

    @Test
    void outliersAreToldFromTheOthersAndWorthRepeatingNow() {
        SideBySide side = of(0, 14.7, 14.9, 12.9, 14.8, 14.6, 14.75);
        assertThat(codes(side)).containsExactly("class.one-off", "class.agrees");
        assertThat(side.findings().get(0).message()).startsWith("Medlar is an outlier");
        assertThat(side.findings().get(1).message()).startsWith("The mean of the others agrees");
        assertThat(side.entries())
                .filteredOn(SideBySide.Entry::off)
                .singleElement()
                .satisfies(off -> {
                    assertThat(off.label()).isEqualTo("Medlar");
                    assertThat(off.repeat().orElseThrow()).startsWith("yes");
                });
        assertThat(side.entries()).filteredOn(each -> each.repeat().isEmpty()).hasSize(5);
        // two to the same side do not hide each other
        SideBySide two = of(0, 14.7, 14.9, 12.9, 14.8, 14.6, 14.75, 12.8, 14.85);
        assertThat(two.findings().get(0).message()).startsWith("Medlar and Yew are outliers");
    }

    /** Of five nobody can tell; they are shown with their spread, however far one lies out. */
    @Test
    void belowSixTheSpreadIsShownAndNoOneIsCalledAnOutlier() {
        SideBySide side = of(0, 14.7, 14.9, 12.9, 14.8, 14.6);
        assertThat(side.entries()).noneMatch(SideBySide.Entry::off);
        assertThat(side.findings())
                .filteredOn(each -> each.code().equals("class.too-few"))
                .singleElement()
                .satisfies(each -> assertThat(each.message())
                        .contains("spread over 2.0 kJ/mol, from +12.9 to +14.9", "fewer than 6 entries"));
        assertThat(codes(of(0, 14.7, 14.9, 12.9, 14.8, 14.6, 14.75))).doesNotContain("class.too-few");
        // a specific heat has no direction, and no sign
        assertThat(SideBySide.of(
                                List.of(entry("Alder", 0.387, 0), entry("Rowan", 0.392, 0)),
                                Optional.empty(),
                                BenchUnit.JOULES_PER_GRAM_DEGREE,
                                Figures.POINT)
                        .findings()
                        .get(0)
                        .message())
                .contains("from 0.387");
    }

    /**
     * All about 1.3 too small, scattering by 0.13: nothing one bench did, and the thermometer of ± 0.5 may be much of
     * it.
     */
    @Test
    void everyoneShiftedNamesWhatIsSharedAndWhetherThatIsEnough() {
        SideBySide side = of(0.5, 13.4, 13.6, 13.5, 13.3, 13.45, 13.4);
        assertThat(codes(side)).containsExactly("class.shifted");
        assertThat(side.findings().get(0).message())
                .contains("by −1.3", "offset of R-2 (± 0.5)", "repeating one run would not remove")
                .doesNotContain("water");
        assertThat(side.entries()).noneMatch(SideBySide.Entry::off);
        assertThat(of(0.1, 13.4, 13.6, 13.5, 13.3, 13.45, 13.4)
                        .findings()
                        .get(0)
                        .message())
                .contains("not enough to explain it");
        assertThat(of(0, 13.4, 13.6, 13.5, 13.3, 13.45, 13.4).findings().get(0).message())
                .contains("share no instrument");
        // a thermometer of ± 0.8 all share is enough for 1.3: that is no shift
        assertThat(codes(of(0.8, 13.4, 13.6, 13.5, 13.3, 13.45, 13.4))).containsExactly("class.agrees");
    }

    @Test
    void moreScatterThanAnyBudgetHasIsSaidAndAnUnsureEntryIsWorthRepeating() {
        assertThat(codes(of(0, 13.6, 15.9, 14.0, 15.6, 14.8, 14.1))).contains("class.scatter");
        assertThat(codes(of(0, 14.6, 14.9, 14.7, 14.6, 14.8, 14.9))).doesNotContain("class.scatter");
        List<SideBySide.Given> unsure = new ArrayList<>(List.of(entry("Alder", 14.7, 0), entry("Rowan", 14.8, 0)));
        unsure.add(given(
                "Sorrel",
                Estimate.of(
                        14.5, List.of(new Contribution("own", "reading", 1, 1.5, null)), Double.POSITIVE_INFINITY)));
        assertThat(SideBySide.of(unsure, Optional.empty(), BenchUnit.KILOJOULES_PER_MOLE, Figures.POINT)
                        .entries()
                        .get(2)
                        .repeat()
                        .orElseThrow())
                .contains("less sure");
        SideBySide alone = of(0, 14.7);
        assertThat(alone.together()).isEmpty();
        assertThat(alone.findings()).isEmpty();
    }
}
