package lab.sassafras.slot;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.curve.ClockTime;
import lab.sassafras.curve.Curve;
import lab.sassafras.curve.Reading;
import lab.sassafras.curve.Stated;
import lab.sassafras.curve.Stretch;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Refused;

/** Readings on a clock: about a moment of mixing, or for whatever else an experiment reads from them. */
public final class TraceSlot extends StatedSlot {

    private final boolean mixing;

    TraceSlot(String key, boolean mixing) {
        super(key, true);
        this.mixing = mixing;
    }

    /**
     * {@return the curve a kept text stands for; empty where its trace is not here}
     *
     * @param text    as kept
     * @param setting what surrounds the readings
     * @param ratio   heat capacity before mixing, as a part of that after it
     */
    public static Optional<Curve> curve(String text, Setting setting, double ratio) {
        return TraceUse.of(text)
                .flatMap(use -> logged(use, setting)
                        .map(logged -> new Curve(
                                within(use, logged),
                                use.mixing(),
                                logged.display(),
                                logged.room(),
                                use.windows(),
                                new Stated(use.once(), use.fraction(), logged.sure()),
                                ratio)));
    }

    /**
     * {@return the stretch of readings a kept text stands for; empty where its trace is not here}
     *
     * @param text    as kept
     * @param setting what surrounds the readings
     */
    public static Optional<Stretch> stretch(String text, Setting setting) {
        return TraceUse.of(text)
                .flatMap(use -> logged(use, setting)
                        .map(logged -> new Stretch(within(use, logged), logged.display(), logged.unit())));
    }

    /**
     * {@return the same about the moment of mixing}
     *
     * @param text    as kept
     * @param setting what surrounds the readings
     * @param ratio   what lay in the vessel before mixing, as a part of all that lay in it after
     * @throws Refused where nothing was read before mixing, or nothing after it
     */
    public static Optional<Stretch> mixed(String text, Setting setting, double ratio) {
        return stretch(text, setting)
                .flatMap(all -> curve(text, setting, ratio)
                        .map(curve -> new Stretch(all.readings(), all.display(), all.unit(), Optional.of(curve))));
    }

    /**
     * {@return the thermometer a kept text's readings were taken on; empty where it is not here}
     *
     * @param text    as kept
     * @param setting what surrounds the readings
     */
    public static Optional<Instrument> thermometer(String text, Setting setting) {
        return TraceUse.of(text).flatMap(use -> logged(use, setting)).flatMap(Logged::thermometer);
    }

    private static Optional<Logged> logged(TraceUse use, Setting setting) {
        return Optional.ofNullable(setting.traces().get(use.trace()));
    }

    private static List<Reading> within(TraceUse use, Logged logged) {
        return logged.readings().stream()
                .filter(each -> each.seconds() >= use.from() && each.seconds() <= use.to())
                .toList();
    }

    @Override
    protected void check(String text, Setting setting) {
        if (TraceUse.of(text).isEmpty()) {
            throw new Refused("“" + text + "” names no timed readings. Begin them from the page of the run.");
        }
        if (mixing && TraceUse.of(text).filter(use -> use.marked().isPresent()).isEmpty()) {
            throw new Refused("“" + text + "” names no moment of mixing.");
        }
    }

    @Override
    protected Optional<BenchUnit> unit() {
        return Optional.empty();
    }

    @Override
    public Field field() {
        return Field.TRACE;
    }

    @Override
    public void admit(Line line, Setting setting) {
        if (TraceUse.of(line.text())
                .filter(use -> setting.traces().containsKey(use.trace()))
                .isEmpty()) {
            throw new Refused("Those readings are not at this bench.");
        }
    }

    @Override
    public Optional<Measured> number(Line line, Setting setting) {
        return Optional.empty();
    }

    @Override
    public List<Finding> questions(Line line, String label, Setting setting) {
        List<Finding> findings = new ArrayList<>(ofReading(line, label, setting));
        try {
            if (mixing
                    ? curve(line.text(), setting, 1).isEmpty()
                    : stretch(line.text(), setting).isEmpty()) {
                findings.add(Finding.question(
                                "curve.elsewhere",
                                label + " names readings that are not in this book. They are kept in the book the "
                                        + "run came from.")
                        .at(line.address().toString()));
            }
        } catch (Refused unread) {
            findings.add(Finding.question("curve.unread", label + ": " + unread.getMessage())
                    .at(line.address().toString()));
        }
        return findings;
    }

    /** What went wrong while the readings were kept. */
    private static List<Finding> ofReading(Line line, String label, Setting setting) {
        Optional<Logged> logged =
                TraceUse.of(line.text()).map(use -> setting.traces().get(use.trace()));
        List<Finding> findings = new ArrayList<>();
        int many = logged.map(Logged::impossible).orElse(0);
        if (many > 0) {
            findings.add(Finding.question(
                            "curve.impossible",
                            label + ": " + (many == 1 ? "one reading is" : many + " readings are")
                                    + " left aside, since nothing at a bench is as hot or as cold, or lasts as long. A "
                                    + "meter with no probe in it shows such numbers.")
                    .at(line.address().toString()));
        }
        double leapt = logged.map(Logged::leapt).orElse(0.0);
        if (leapt > 0) {
            findings.add(Finding.question(
                            "curve.leapt",
                            label + ": the computer’s clock leapt forward by " + ClockTime.write(Math.rint(leapt))
                                    + " while this was read, so that readings after it stand too late. Give them "
                                    + "again at their own times, by a watch.")
                    .at(line.address().toString()));
        }
        return findings;
    }

    @Override
    public String spoken(String text, Telling telling) {
        return TraceUse.of(text)
                .map(use -> Optional.ofNullable(telling.setting().traces().get(use.trace()))
                                .map(Logged::label)
                                .orElse("timed readings")
                        + (use.marked().isPresent() ? ", mixed at " + ClockTime.write(use.mixing()) : ""))
                .orElse(text);
    }

    @Override
    public List<Option> options(Words words, String path, Setting setting) {
        return List.of();
    }

    @Override
    public Optional<Elsewhere> elsewhere() {
        return Optional.of(Elsewhere.TRACE);
    }

    @Override
    public boolean namesSample() {
        return false;
    }
}
