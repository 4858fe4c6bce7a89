package lab.sassafras.app.general.warming;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Refused;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Setting;
import lab.sassafras.slot.StatedSlot;
import lab.sassafras.slot.Telling;
import lab.sassafras.slot.Words;
import lab.sassafras.statistics.StraightLine;

/**
 * A few readings of temperature against time in one answer, {@code 0 20.0; 60 21.2}: it counts with its slope (°C/s).
 */
final class TraceSlot extends StatedSlot {

    TraceSlot(String key) {
        super(key, false);
    }

    private static StraightLine line(String text) {
        List<Double> times = new ArrayList<>();
        List<Double> temperatures = new ArrayList<>();
        for (String reading : text.split(";")) {
            String[] two = reading.strip().split("\\s+");
            try {
                times.add(Double.valueOf(two[0]));
                temperatures.add(Double.valueOf(two[1]));
            } catch (NumberFormatException | ArrayIndexOutOfBoundsException none) {
                throw new Refused("“" + reading.strip() + "” is no time and temperature, such as 60 21.2.");
            }
        }
        return StraightLine.of(times, temperatures)
                .orElseThrow(() -> new Refused("Three readings at different times make a trace."));
    }

    @Override
    protected void check(String text, Setting setting) {
        line(text);
    }

    @Override
    protected Optional<BenchUnit> unit() {
        return Optional.of(BenchUnit.DEGREES_PER_SECOND);
    }

    @Override
    public Field field() {
        return Field.WORDS;
    }

    @Override
    public void admit(Line line, Setting setting) {
        // whatever can be read can be taken in
    }

    @Override
    public Optional<Measured> number(Line line, Setting setting) {
        StraightLine laid = line(line.text());
        return Optional.of(Measured.independent(laid.slope(), laid.slopeUncertainty()));
    }

    @Override
    public List<Finding> questions(Line line, String label, Setting setting) {
        return line(line.text()).slope() > 0
                ? List.of()
                : List.of(Finding.question("trace.cooling", label + " falls.")
                        .at(line.address().toString()));
    }

    @Override
    public String spoken(String text, Telling telling) {
        return text.split(";").length + " readings";
    }

    @Override
    public List<Option> options(Words words, String path, Setting setting) {
        return List.of();
    }

    @Override
    public Optional<Elsewhere> elsewhere() {
        return Optional.empty();
    }

    @Override
    public boolean namesSample() {
        return false;
    }
}
