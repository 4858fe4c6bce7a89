package lab.sassafras.plan;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lab.sassafras.convention.Conventions;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.measure.Measured;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Setting;
import lab.sassafras.slot.VesselKind;

/** Plans on invented instruments. */
final class Plans {

    static final Instrument COARSE = thermometer("R-2", 0.5, -10, 50);
    static final Instrument FINE = thermometer("R-6", 0.1, -10, 110);
    static final Instrument BALANCE = balance("B-1", 0.01);
    static final Instrument KITCHEN = balance("B-7", 1);
    static final List<Instrument> SHELF = List.of(COARSE, FINE, BALANCE, KITCHEN);

    private Plans() {}

    static Instrument thermometer(String name, double step, double low, double high) {
        return new Instrument(
                name, name, InstrumentKind.THERMOMETER, BenchUnit.DEGREES_CELSIUS, step, low, high, 2 * step, 0);
    }

    private static Instrument balance(String name, double step) {
        return new Instrument(name, name, InstrumentKind.BALANCE, BenchUnit.GRAMS, step, 0, 4000, step, 0);
    }

    static Plan of(String experiment) {
        return of(Experiments.find(experiment).orElseThrow());
    }

    static Plan of(Experiment experiment) {
        VesselKind kind = experiment.takes().get(0);
        boolean bomb = kind.key().equals("bomb");
        Optional<Calorimeter.Pinned> constant = experiment.calorimeter() == Calorimeter.Use.FINDS_CONSTANT
                ? Optional.empty()
                : Optional.of(new Calorimeter.Pinned(
                        "c", Measured.independent(kind.typical(), 0.05 * kind.typical()), 0, "three trials"));
        Setting setting = new Setting(
                Optional.of(new Calorimeter("F-11", kind, constant)),
                Map.of(),
                1,
                Map.of(),
                Set.of(),
                Map.of(),
                Figures.POINT,
                Conventions.standard());
        return Plan.usual(
                experiment,
                setting,
                Map.of(
                        InstrumentKind.THERMOMETER,
                        bomb ? thermometer("P-1", 0.001, -10, 110) : FINE,
                        InstrumentKind.BALANCE,
                        bomb ? balance("B-3", 1e-4) : BALANCE));
    }

    /** Brass out of boiling water, as on the sketch of a plan. */
    static Plan brass() {
        return of("specific-heat-of-solid")
                .with("seen/known", "brass")
                .with("sample/mass", "32")
                .with("sample/start", "99")
                .with("water/mass", "90")
                .with("water/start", "21")
                .with(COARSE);
    }

    static Expectation.Ends ends(Expectation expected) {
        return expected.warms().orElseThrow();
    }

    static Expectation expected(Plan plan) {
        Expectation.Outcome outcome = Expectation.of(plan);
        return outcome.expectation().orElseThrow(() -> new AssertionError(outcome.findings()));
    }
}
