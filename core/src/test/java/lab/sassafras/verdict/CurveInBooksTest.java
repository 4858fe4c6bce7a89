package lab.sassafras.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import lab.sassafras.account.Account;
import lab.sassafras.convention.Conventions;
import lab.sassafras.curve.Reading;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.Refused;
import lab.sassafras.sheet.BenchSheet;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Logged;
import lab.sassafras.slot.TraceUse;
import org.junit.jupiter.api.Test;

/** Readings on a clock in the books of a run. */
class CurveInBooksTest {

    private static final String TRACE = "11111111-2222-3333-4444-555555555555";
    private static final Conventions ALONE =
            Conventions.of(Map.of("water", "4.18", "solution", "water", "change", "carried"));

    /** Every half minute to nine minutes, the reading at three minutes skipped. */
    private static Logged logged(DoubleUnaryOperator before, DoubleUnaryOperator after) {
        return new Logged(
                "18 readings",
                IntStream.rangeClosed(0, 18)
                        .filter(i -> i != 6)
                        .mapToObj(i -> new Reading(
                                30 * i, (i < 6 ? before : after).applyAsDouble(30 * i - 180.0) + (i % 2) * 1e-6))
                        .toList(),
                Optional.of(BenchSheet.THERMOMETER));
    }

    /** Common practice, no source: 25 mL of 1 mol/L copper(II) sulfate with excess zinc, 48.0 °C carried to 3 min. */
    private static BenchSheet displacement(Logged readings) {
        return BenchSheet.of("solid-with-solution")
                .says("reaction[1]/equation", "Zn(s) + Cu^2+(aq) -> Zn^2+(aq) + Cu(s)")
                .says("solution[1]/reagent", "Cu^2+")
                .assumed("solution[1]/concentration", "1.00", "0.01", "mol/L")
                .says("solid[1]/formula", "Zn")
                .volume("poured[1]/amount", "25.0")
                .mass("added[1]/mass", "6.00")
                .says("mixed[1]/reacted", "excess")
                .logging(Map.of(TRACE, readings))
                .says("curve[1]/trace", new TraceUse(TRACE, 0, 540, 180).text());
    }

    private static Estimate heat(BenchSheet sheet, Conventions conventions) {
        return sheet.reduced(conventions).mean().orElseThrow().estimate();
    }

    @Test
    void theDisplacementCarriedToThreeMinutesGivesItsHeat() {
        // 21.0 °C and steady, then 69.0 °C at mixing, falling by 0.6 °C a minute; 25 · 4.18 · 48.0 = 5016 J; 0.025 mol
        BenchSheet run = displacement(logged(any -> 21.0, since -> 69.0 - 0.01 * since));
        assertThat(heat(run, ALONE).value()).isCloseTo(-200.64, within(1e-4));
        // the extreme misses what leaked in half a minute: 47.7
        assertThat(heat(run, Conventions.of(Map.of("change", "extreme")).over(ALONE))
                        .value())
                .isCloseTo(-200.64 * 47.7 / 48, within(1e-3));
        assertThat(run.reduced(ALONE).alternatives())
                .filteredOn(each -> each.alternative().question().key().equals("change"))
                .extracting(each -> each.alternative().school().key())
                .contains("newton", "integral", "after-wait", "plateau");
    }

    @Test
    void nothingIsAskedThatTheCurveTells() {
        Sheet sheet =
                displacement(logged(any -> 21.0, since -> 69.0 - 0.01 * since)).sheet();
        assertThat(sheet.with(sheet.setting().with(ALONE)).tasks().asks(1))
                .extracting(ask -> ask.address().toString())
                .contains("curve[1]/trace")
                .noneMatch(each -> each.matches("poured.1./start|mixed.1./final|drift.*|added.1./in"));
    }

    /** The fit's own scatter is the trial's; the offset of the thermometer cancels in the change, its gain does not. */
    @Test
    void theCurveIsASourceOfItsTrialWithItsDegreesOfFreedom() {
        Estimate heat = heat(displacement(logged(any -> 21.0, since -> 69.0 - 0.01 * since)), ALONE);
        assertThat(heat.contributions())
                .filteredOn(each -> each.label().startsWith("curve"))
                .hasSize(2)
                .allSatisfy(each -> assertThat(each.ofTrial()).isTrue());
        assertThat(heat.contributions())
                .noneMatch(each -> each.label().equals("offset of thermometer") && each.uncertainty() > 1e-9);
        assertThat(heat.contributions())
                .filteredOn(each -> each.label().equals("gain of thermometer"))
                .singleElement()
                .satisfies(each -> assertThat(each.uncertainty() / Math.abs(heat.value()))
                        .isCloseTo(0.002 / Math.sqrt(3), within(1e-4)));
    }

    @Test
    void readingsThatAreNotHereAreSaidSoAndKept() {
        BenchSheet run = displacement(logged(any -> 21.0, since -> 69.0));
        Sheet elsewhere = run.sheet().with(run.sheet().setting().logging(Map.of()));
        assertThat(Reduction.of(elsewhere, ALONE).findings())
                .anyMatch(each -> each.code().equals("curve.elsewhere"));
        assertThat(elsewhere.lines()).hasSameSizeAs(run.sheet().lines());
        assertThat(Reduction.of(elsewhere, ALONE).mean()).isEmpty();
        assertThatThrownBy(() ->
                        BenchSheet.of("heat-of-solution").says("curve[1]/trace", new TraceUse(TRACE, 0, 9, 3).text()))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("not at this bench");
    }

    /**
     * What was typed of a drift before there was a clock is read and shown; without it the clock is asked, not the two
     * temperatures.
     */
    @Test
    void aSchoolThatReadsACurveAsksForTheClockAndForNoRowByHand() {
        BenchSheet none = BenchSheet.of("heat-of-solution");
        Sheet asking = none.sheet().with(none.sheet().setting().with(ALONE));
        assertThat(asking.tasks().asks(1))
                .extracting(ask -> ask.address().toString())
                .contains("curve[1]/trace")
                .noneMatch(each -> each.matches("drift.*|.*/(start|final)"));
        assertThat(Reduction.of(asking, ALONE).trials().get(0).account())
                .isInstanceOfSatisfying(
                        Account.Incomplete.class,
                        account -> assertThat(account.missing())
                                .extracting(Account.Missing::address)
                                .contains("curve[1]/trace")
                                .noneMatch(each -> each.matches("drift.*|.*/(start|final)")));
        BenchSheet typed = none.temperature("drift[1]/early", "21.0");
        assertThat(typed.sheet()
                        .with(typed.sheet().setting().with(ALONE))
                        .tasks()
                        .asks(1))
                .extracting(ask -> ask.address().toString())
                .contains("drift[1]/early")
                .doesNotContain("curve[1]/trace");
    }

    /** Mixing may be marked before anything was read: it is kept, and said what is missing. */
    @Test
    void aClockWithNothingReadYetIsKeptAndSaidToBeSo() {
        BenchSheet run = displacement(new Logged("none", List.of(), Optional.empty()));
        assertThat(run.reduced(ALONE).findings())
                .filteredOn(each -> each.code().equals("curve.unread"))
                .singleElement()
                .satisfies(each -> assertThat(each.message()).contains("There is no reading on this curve"));
        assertThat(run.sheet().tasks().asks(1))
                .filteredOn(ask -> ask.address().toString().matches("poured.1./start|mixed.1./final"))
                .noneMatch(ask -> run.sheet().tasks().done(ask));
    }
}
