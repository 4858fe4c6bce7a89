package lab.sassafras.benchmarks;

import java.util.List;
import java.util.Locale;
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
import lab.sassafras.sheet.Admission;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.GivenValue;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;
import lab.sassafras.slot.VesselKind;

/** Sheets of single-reading entries, as a class fills them. */
final class Runs {

    private static final Instrument THERMOMETER = new Instrument(
            "t", "thermometer", InstrumentKind.THERMOMETER, BenchUnit.DEGREES_CELSIUS, 0.1, -10, 110, 0.2, 0);
    private static final Instrument BALANCE =
            new Instrument("b", "balance", InstrumentKind.BALANCE, BenchUnit.GRAMS, 0.01, 0, 400, 0.01, 0);

    private Sheet sheet;

    private Runs(String experiment) {
        Calorimeter cup = new Calorimeter(
                "cup",
                VesselKind.FOAM_CUP,
                Optional.of(new Calorimeter.Pinned("c", Measured.independent(9.6, 0.8), 120, "three trials")));
        sheet = new Sheet(
                Experiments.find(experiment).orElseThrow(),
                List.of(),
                new Setting(
                        Optional.of(cup),
                        Map.of(),
                        1,
                        Map.of(),
                        Set.of(),
                        Map.of(),
                        Figures.POINT,
                        Conventions.standard()));
    }

    private Runs read(String address, double value, int decimals, String unit) {
        Instrument on = unit.equals("g") ? BALANCE : THERMOMETER;
        return give(
                address, Role.READ, String.format(Locale.ROOT, "%." + decimals + "f", value), unit, Optional.of(on));
    }

    private Runs says(String address, String word) {
        return give(address, Role.STATED, word, "", Optional.empty());
    }

    private Runs give(String address, Role role, String text, String unit, Optional<Instrument> on) {
        sheet = sheet.supposing()
                .with(new Admission(sheet)
                        .accept(Address.read(address), role, new GivenValue(text, unit, on, null, "bench")));
        return this;
    }

    /** A hot solid into water; the number varies the readings a little. */
    static Sheet solid(int number) {
        double little = number % 100 * 0.01;
        return new Runs("specific-heat-of-solid")
                .read("sample[1]/mass", 71.46 + little, 2, "g")
                .says("sample[1]/bath", "boiling")
                .read("sample[1]/start", 98.6, 1, "°C")
                .read("water[1]/mass", 110.56 - little, 2, "g")
                .read("water[1]/start", 21.1, 1, "°C")
                .read("mixed[1]/final", 25.4 + little, 2, "°C")
                .sheet;
    }

    /** A salt into water. */
    static Sheet salt() {
        return new Runs("heat-of-solution")
                .says("solute[1]/formula", "NH4Cl")
                .read("water[1]/mass", 98.45, 2, "g")
                .read("solid[1]/mass", 6.02, 2, "g")
                .read("water[1]/start", 21.8, 1, "°C")
                .read("solution[1]/final", 18.1, 1, "°C")
                .says("solution[1]/dissolved", "all")
                .sheet;
    }
}
