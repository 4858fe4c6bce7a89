package lab.sassafras.simulate;

import java.util.random.RandomGenerator;
import lab.sassafras.measure.Correction;
import lab.sassafras.measure.Instrument;

/**
 * An instrument of the simulated bench: its record says how far it may be off, a seed how far it is. True is reading +
 * offset + gain · (reading − origin).
 */
final class Meter {

    private final Instrument record;
    private final double offset;
    private final double gain;

    Meter(Instrument record, RandomGenerator drawn) {
        this.record = record;
        Correction correction = record.correction();
        boolean compared = !correction.points().isEmpty();
        double usual = drawn.nextGaussian() * record.offsetUncertainty();
        double part = (2 * drawn.nextDouble() - 1) * correction.gain();
        this.offset = compared ? 0 : usual;
        this.gain = compared ? 0 : part;
    }

    Instrument record() {
        return record;
    }

    /** What it shows of a true value, with the error of one reading in it. */
    double shows(double value, RandomGenerator drawn) {
        double origin = record.kind().origin();
        double exact = (value - offset + gain * origin) / (1 + gain);
        double noise = record.readingUncertainty() > record.resolution() / Math.sqrt(12)
                ? drawn.nextGaussian() * record.readingUncertainty()
                : 0;
        double steps = Math.rint((exact + noise) / record.resolution());
        double inOne = 1 / record.resolution();
        return inOne >= 1 && Math.abs(inOne - Math.rint(inOne)) < 1e-9
                ? steps / Math.rint(inOne)
                : steps * record.resolution();
    }
}
