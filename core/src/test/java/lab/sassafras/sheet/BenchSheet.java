package lab.sassafras.sheet;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lab.sassafras.convention.Conventions;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.measure.Measured;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.GivenValue;
import lab.sassafras.slot.Judging;
import lab.sassafras.slot.Logged;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;
import lab.sassafras.slot.VesselKind;
import lab.sassafras.substance.Reference;
import lab.sassafras.verdict.Reduction;

/** A sheet being filled in the words of the trade, for tests. */
public final class BenchSheet {

    public static final Instrument THERMOMETER = new Instrument(
            "t1", "thermometer", InstrumentKind.THERMOMETER, BenchUnit.DEGREES_CELSIUS, 0.1, -10, 110, 0.2, 0);
    public static final Instrument BALANCE =
            new Instrument("b1", "balance", InstrumentKind.BALANCE, BenchUnit.GRAMS, 0.01, 0, 400, 0.01, 0);

    private Sheet sheet;

    private BenchSheet(Sheet sheet) {
        this.sheet = sheet;
    }

    public static BenchSheet of(String experiment) {
        return of(experiment, 1);
    }

    public static BenchSheet of(String experiment, int trials) {
        Setting setting = new Setting(
                Optional.of(new Calorimeter("F-1", VesselKind.FOAM_CUP, Optional.empty())),
                Map.of(),
                trials,
                Map.of(),
                Set.of(),
                Map.of(),
                Figures.POINT,
                Conventions.standard());
        return new BenchSheet(new Sheet(Experiments.find(experiment).orElseThrow(), java.util.List.of(), setting));
    }

    public static BenchSheet parts(String experiment, Map<String, Integer> parts) {
        Setting setting = new Setting(
                Optional.of(new Calorimeter("F-1", VesselKind.FOAM_CUP, Optional.empty())),
                Map.of(),
                1,
                parts,
                Set.of(),
                Map.of(),
                Figures.POINT,
                Conventions.standard());
        return new BenchSheet(new Sheet(Experiments.find(experiment).orElseThrow(), java.util.List.of(), setting));
    }

    public BenchSheet vessels(Map<String, Calorimeter> vessels) {
        sheet = sheet.with(sheet.setting().knowing(vessels, Map.of()));
        return this;
    }

    public BenchSheet results(Map<String, Setting.Referenced> results) {
        sheet = sheet.with(sheet.setting().knowing(Map.of(), results));
        return this;
    }

    public BenchSheet logging(Map<String, Logged> traces) {
        sheet = sheet.with(sheet.setting().logging(traces));
        return this;
    }

    public BenchSheet mass(String address, String grams) {
        return give(address, Role.READ, grams, "g", Optional.of(BALANCE));
    }

    public BenchSheet temperature(String address, String celsius) {
        return give(address, Role.READ, celsius, "°C", Optional.of(THERMOMETER));
    }

    public BenchSheet temperature(String address, String celsius, Instrument on) {
        return give(address, Role.READ, celsius, "°C", Optional.of(on));
    }

    public BenchSheet volume(String address, String millilitres) {
        return give(address, Role.VOLUME, millilitres, "mL", Optional.empty());
    }

    /** A number read without a known instrument. */
    public BenchSheet reads(String address, String text, String unit) {
        return give(address, Role.READ, text, unit, Optional.empty());
    }

    public BenchSheet assumed(String address, String text, String uncertainty, String unit) {
        sheet = sheet.supposing()
                .with(new Admission(sheet)
                        .accept(
                                Address.read(address),
                                Role.ASSUMED,
                                new GivenValue(text, unit, Optional.empty(), uncertainty, "Hawthorn")));
        return this;
    }

    public BenchSheet says(String address, String word) {
        return give(address, Role.STATED, word, null, Optional.empty());
    }

    public BenchSheet give(String address, Role role, String text, String unit, Optional<Instrument> on) {
        sheet = sheet.supposing()
                .with(new Admission(sheet)
                        .accept(Address.read(address), role, new GivenValue(text, unit, on, null, "Hawthorn")));
        return this;
    }

    public BenchSheet constant(double value, double uncertainty, double fill) {
        Calorimeter vessel = new Calorimeter(
                "F-1",
                VesselKind.FOAM_CUP,
                Optional.of(
                        new Calorimeter.Pinned("c1", Measured.independent(value, uncertainty), fill, "three trials")));
        sheet = sheet.with(sheet.setting().with(vessel));
        return this;
    }

    public BenchSheet in(Calorimeter vessel) {
        sheet = sheet.with(sheet.setting().with(vessel));
        return this;
    }

    /** Judged by a value somebody gave, known to half a per cent. */
    public BenchSheet given(double value, BenchUnit unit) {
        Reference plate =
                new Reference("given", "what was given", value, 0.005 * Math.abs(value), unit, "a plate", true);
        sheet = sheet.with(sheet.setting().judged(new Judging(false, java.util.List.of(new Judging.Given("", plate)))));
        return this;
    }

    public Sheet sheet() {
        return sheet;
    }

    public Reduction reduced() {
        return reduced(Conventions.standard());
    }

    public Reduction reduced(Conventions conventions) {
        return Reduction.of(sheet.with(sheet.setting().with(conventions)), conventions);
    }

    /** 10 g of hot solid into 100 g of water, as in the copper check. */
    public static BenchSheet copper() {
        return of("specific-heat-of-solid")
                .mass("sample[1]/mass", "10.00")
                .says("sample[1]/bath", "boiling")
                .temperature("sample[1]/start", "100.0")
                .mass("water[1]/mass", "100.00")
                .temperature("water[1]/start", "20.0")
                .temperature("mixed[1]/final", "20.7");
    }

    /** The mixing check: a constant too large for a foam cup. */
    public static BenchSheet mixing() {
        return of("constant-by-mixing")
                .says("cup[1]/held", "cold")
                .mass("cold[1]/mass", "50.098")
                .temperature("cold[1]/start", "24.2")
                .mass("hot[1]/mass", "49.661")
                .temperature("hot[1]/start", "56.9")
                .temperature("mixed[1]/final", "39.7");
    }
}
