package lab.sassafras.statistics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Estimate.Contribution;
import lab.sassafras.measure.Scope;
import lab.sassafras.measure.Shared;
import org.junit.jupiter.api.Test;

class TrialMeanTest {

    private static final Shared OFFSET = Shared.everywhere("o", "offset", 0.5, Double.POSITIVE_INFINITY);

    private static TrialMean of(double own, double offset, double... values) {
        return TrialMean.of(DoubleStream.of(values)
                .mapToObj(value -> new Estimate(
                        value,
                        Math.hypot(own, 0.5 * offset),
                        1e9,
                        List.of(
                                new Contribution("t" + value, "reading", 1, own, null),
                                new Contribution("o", "offset", offset, Math.abs(offset) * 0.5, OFFSET))))
                .toList());
    }

    /** 9, 10, 11: s = 1, s/√3 = 0.5774; the offset's 0.5 once, and not divided by √3. */
    @Test
    void whatTrialsShareIsCountedOnceAndNotDividedByTheRootOfN() {
        TrialMean mean = of(0.1, 1, 9, 10, 11);
        assertThat(mean.estimate().value()).isEqualTo(10);
        assertThat(mean.scatter()).hasValue(1);
        assertThat(mean.estimate().uncertainty()).isCloseTo(Math.sqrt(1.0 / 3 + 0.25), within(1e-12));
    }

    private static TrialResult ofAmount(double amount) {
        return new TrialResult(
                new Estimate(1, 0.1, 1e9, List.of()),
                Optional.empty(),
                amount > 0 ? Optional.of(amount) : Optional.empty());
    }

    /** A heat by itself grows with what was burnt: amounts over 2 % apart have no mean. Common practice, no source. */
    @Test
    void amountsApartByMoreThanAFiftiethAreUnlike() {
        assertThat(TrialResult.unlike(List.of(ofAmount(1), ofAmount(0.981)))).isFalse();
        assertThat(TrialResult.unlike(List.of(ofAmount(1), ofAmount(0.979)))).isTrue();
        assertThat(TrialResult.unlike(List.of(ofAmount(0), ofAmount(0)))).isFalse();
    }

    /** An offset that pushes one trial up and the other down leaves their mean alone. */
    @Test
    void anOffsetThatWorksBothWaysCancelsInTheMean() {
        TrialMean mean = TrialMean.of(List.of(withOffset(10, 1), withOffset(10.2, -1)));
        assertThat(mean.estimate().contributions())
                .filteredOn(each -> each.key().equals("o"))
                .singleElement()
                .satisfies(each -> assertThat(each.uncertainty()).isZero());
    }

    private static Estimate withOffset(double value, double sensitivity) {
        return new Estimate(
                value,
                0.5,
                1e9,
                List.of(
                        new Contribution("t", "reading", 1, 0.1, null),
                        new Contribution("o", "offset", sensitivity, 0.5, OFFSET)));
    }

    @Test
    void trialsThatAgreeByLuckAreNotBetterThanTheirInstruments() {
        TrialMean mean = of(0.3, 0, 10.00, 10.01);
        assertThat(mean.estimate().uncertainty()).isCloseTo(0.3 / Math.sqrt(2), within(1e-9));
        assertThat(mean.estimate().contributions().get(0).label()).isEqualTo("reading");
    }

    /** Student's t for two degrees of freedom at 95 %: 4.303 (any table). */
    @Test
    void threeScatteredTrialsHaveTwoDegreesOfFreedom() {
        Estimate estimate = of(0.001, 0, 9, 10, 11).estimate();
        assertThat(estimate.degreesOfFreedom()).isCloseTo(2, within(1e-3));
        assertThat(estimate.halfWidth(0.95)).isCloseTo(4.303 / Math.sqrt(3), within(0.002));
    }

    @Test
    void oneTrialIsItselfAndNoneIsNoMean() {
        assertThat(of(0.1, 1, 9).scatter()).isEmpty();
        assertThat(of(0.1, 1, 9).estimate().uncertainty()).isCloseTo(Math.hypot(0.1, 0.5), within(1e-12));
        assertThatThrownBy(() -> TrialMean.of(List.of())).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void sharesOfTheBudgetAddUpToTheWhole() {
        Estimate estimate = of(0.4, 1, 9, 10, 12).estimate();
        assertThat(estimate.contributions().stream()
                        .mapToDouble(each -> each.shareOf(estimate))
                        .sum())
                .isCloseTo(1, within(1e-12));
    }

    /** A density measured once is shared by the trials of its entry, and is another entry's own affair. */
    @Test
    void aSourceReachesAsFarAsItsScope() {
        Shared ofEntry = new Shared("density", "density", 0.5, Double.POSITIVE_INFINITY, Scope.ENTRY);
        Shared ofTrial = new Shared("curve", "curve", 0.5, Double.POSITIVE_INFINITY, Scope.TRIAL);
        Estimate mean = TrialMean.of(List.of(sharing(10, ofEntry, ofTrial), sharing(10, ofEntry, ofTrial)))
                .estimate();
        // the entry's once, 0.5; the trials' own divided by √2
        assertThat(mean.uncertainty()).isCloseTo(Math.sqrt(0.25 + 0.125), within(1e-12));
        assertThat(mean.asInput().shares()).isEmpty();
        assertThat(mean.asInput().ownUncertainty()).isCloseTo(mean.uncertainty(), within(1e-12));
        assertThat(sharing(10, OFFSET).asInput().shares())
                .singleElement()
                .satisfies(each -> assertThat(each.source()).isEqualTo(OFFSET));
    }

    /**
     * What an entry hands on to another, a constant to a run, keeps its interval: 3 J/°C of scatter, 2 of the offset.
     */
    @Test
    void aResultTakenAsAnInputKeepsItsDegreesOfFreedom() {
        Estimate constant = Estimate.of(
                10,
                List.of(
                        new Contribution("scatter", "scatter", 1, 3, null),
                        new Contribution(OFFSET.key(), OFFSET.label(), 2 / OFFSET.standardUncertainty(), 2, OFFSET)),
                2);
        // (9 + 4)² ÷ (9² ÷ 2)
        assertThat(constant.degreesOfFreedom()).isCloseTo(169 / 40.5, within(1e-12));
        assertThat(Estimate.of(constant.asInput()).halfWidth(0.95)).isCloseTo(constant.halfWidth(0.95), within(1e-9));
    }

    private static Estimate sharing(double value, Shared... sources) {
        return Estimate.of(
                value,
                java.util.Arrays.stream(sources)
                        .map(each -> new Contribution(each.key(), each.label(), 1, each.standardUncertainty(), each))
                        .toList(),
                Double.POSITIVE_INFINITY);
    }
}
