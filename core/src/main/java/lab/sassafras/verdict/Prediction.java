package lab.sassafras.verdict;

import java.util.Optional;
import lab.sassafras.declaration.CommonPlaces;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Line;

/**
 * A final temperature predicted before mixing, beside the one that was read.
 *
 * @param predicted what was written down (°C)
 * @param read     what the first trial came to (°C); empty while it is not read
 */
public record Prediction(Line predicted, Optional<Line> read) {

    /**
     * {@return what was predicted, where anything was}
     *
     * @param sheet what was read
     */
    public static Optional<Prediction> of(Sheet sheet) {
        return sheet.experiment()
                .finalReading()
                .flatMap(path -> sheet.reading(CommonPlaces.PREDICTION, 1)
                        .map(predicted -> new Prediction(predicted, sheet.reading(path, 1))));
    }

    /** {@return what was read less what was predicted (°C)} */
    public Optional<Double> off() {
        return read.map(line -> line.value() - predicted.value());
    }
}
