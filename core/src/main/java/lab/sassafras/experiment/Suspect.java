package lab.sassafras.experiment;

import java.util.Optional;

/**
 * A way this experiment is known to go wrong, as a change of one input; one that may be left out and was counts as
 * zero. Its
 * words stand under {@code suspect.key} and leave the size to it.
 *
 * @param key   its name
 * @param path  the slot that would be wrong
 * @param error true value less recorded value, of a plausible size (bench unit)
 * @param from  where it depends on which way the run went: the slot from whose reading the true value lies so much
 *              further
 *              away than the recorded one (nearer, where negative)
 * @param answer of a choice that goes with it; empty where none does
 */
public record Suspect(String key, String path, double error, Optional<String> from, Optional<Answer> answer) {

    /**
     * A choice that would have been answered otherwise.
     *
     * @param path   of the choice
     * @param answer it should have had
     */
    public record Answer(String path, String answer) {}

    /**
     * An error that has the same sign in every run.
     *
     * @param key   stable name
     * @param path  group and slot, as an experiment declares them
     * @param error true value less recorded value, of a plausible size (bench unit)
     */
    public Suspect(String key, String path, double error) {
        this(key, path, error, Optional.empty(), Optional.empty());
    }

    /**
     * {@return an error that pushes away from another reading, or towards it where negative}
     *
     * @param other path of the other reading
     * @param key   stable name
     * @param path  group and slot, as an experiment declares them
     * @param error true value less recorded value, of a plausible size (bench unit)
     */
    public static Suspect from(String other, String key, String path, double error) {
        return new Suspect(key, path, error, Optional.of(other), Optional.empty());
    }

    /**
     * {@return the same, which goes with another answer to a choice}
     *
     * @param choice   path of the choice
     * @param answered the answer it should have had
     */
    public Suspect with(String choice, String answered) {
        return new Suspect(key, path, error, from, Optional.of(new Answer(choice, answered)));
    }

    /**
     * {@return true value less recorded value in a trial (bench unit)}
     *
     * @param sheet what was read
     * @param trial which trial, from 1
     */
    public double error(Sheet sheet, int trial) {
        Optional<Line> here = sheet.reading(path, trial);
        Optional<Line> there = from.flatMap(other -> sheet.reading(other, trial));
        return here.isPresent()
                        && there.isPresent()
                        && here.get().value() < there.get().value()
                ? -error
                : error;
    }
}
