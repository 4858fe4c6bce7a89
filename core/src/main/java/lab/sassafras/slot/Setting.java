package lab.sassafras.slot;

import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Consumer;
import lab.sassafras.convention.Conventions;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Measured;
import lab.sassafras.statistics.Combination;
import lab.sassafras.substance.ReferenceShelf;

/**
 * What surrounds the readings of an entry.
 *
 * @param calorimeter  the vessel used; empty where the experiment has none
 * @param calorimeters other vessels a trial may have used, by the identity typed in the slot
 * @param trials       how many trials were opened, at least 1
 * @param parts        how many parts of each repeated group, at least 1
 * @param leftOut      trials a person decided to leave out
 * @param references   results of other entries, by the identity typed in the reference slot
 * @param figures      how numbers are written
 * @param conventions  the schools in force, which decide what is asked
 * @param shelf        the handbook values the entry is reduced with
 * @param combination  what makes the result of the trials, by its key; empty for what the experiment usually does
 * @param traces       readings on a clock, by the identity a slot names them by
 * @param judging      what a result is judged by beside the shelf, and whether that may be told
 */
public record Setting(
        Optional<Calorimeter> calorimeter,
        Map<String, Calorimeter> calorimeters,
        int trials,
        Map<String, Integer> parts,
        Set<Integer> leftOut,
        Map<String, Referenced> references,
        Figures figures,
        Conventions conventions,
        ReferenceShelf shelf,
        String combination,
        Map<String, Logged> traces,
        Judging judging) {

    /**
     * Of which everything may be told.
     *
     * @param calorimeter  the vessel used; empty where the experiment has none
     * @param calorimeters other vessels a trial may have used, by the identity typed in the slot
     * @param trials       how many trials were opened, at least 1
     * @param parts        how many parts of each repeated group, at least 1
     * @param leftOut      trials a person decided to leave out
     * @param references   results of other entries, by the identity typed in the reference slot
     * @param figures      how numbers are written
     * @param conventions  the schools in force, which decide what is asked
     * @param shelf        the handbook values the entry is reduced with
     * @param combination  what makes the result of the trials, by its key; empty for what the experiment usually does
     * @param traces       readings on a clock, by the identity a slot names them by
     */
    public Setting(
            Optional<Calorimeter> calorimeter,
            Map<String, Calorimeter> calorimeters,
            int trials,
            Map<String, Integer> parts,
            Set<Integer> leftOut,
            Map<String, Referenced> references,
            Figures figures,
            Conventions conventions,
            ReferenceShelf shelf,
            String combination,
            Map<String, Logged> traces) {
        this(
                calorimeter,
                calorimeters,
                trials,
                parts,
                leftOut,
                references,
                figures,
                conventions,
                shelf,
                combination,
                traces,
                Judging.USUAL);
    }

    /**
     * With the newest shelf, its trials taken together the usual way.
     *
     * @param calorimeter  the vessel used; empty where the experiment has none
     * @param calorimeters other vessels a trial may have used, by the identity typed in the slot
     * @param trials       how many trials were opened, at least 1
     * @param parts        how many parts of each repeated group, at least 1
     * @param leftOut      trials a person decided to leave out
     * @param references   results of other entries, by the identity typed in the reference slot
     * @param figures      how numbers are written
     * @param conventions  the schools in force
     */
    public Setting(
            Optional<Calorimeter> calorimeter,
            Map<String, Calorimeter> calorimeters,
            int trials,
            Map<String, Integer> parts,
            Set<Integer> leftOut,
            Map<String, Referenced> references,
            Figures figures,
            Conventions conventions) {
        this(
                calorimeter,
                calorimeters,
                trials,
                parts,
                leftOut,
                references,
                figures,
                conventions,
                ReferenceShelf.standard(),
                "",
                Map.of());
    }

    /**
     * What happened in another entry.
     *
     * @param equation      of it
     * @param times         how many times its result belongs to the equation as written
     * @param concentration of the equation in what the vessel held in the end (mol/kg); empty where it is not known
     */
    public record Reaction(String equation, double times, OptionalDouble concentration) {}

    /**
     * The result of another entry.
     *
     * @param label in words
     * @param value its result (unit); empty where that entry has none yet
     * @param unit  of its result, which says what it is per
     * @param process what happened in it; empty where no equation tells
     */
    public record Referenced(String label, Optional<Measured> value, BenchUnit unit, Optional<Reaction> process) {

        /**
         * The result of an entry of which no equation tells.
         *
         * @param label in words
         * @param value its result (unit); empty where that entry has none yet
         * @param unit  of its result, which says what it is per
         */
        public Referenced(String label, Optional<Measured> value, BenchUnit unit) {
            this(label, value, unit, Optional.empty());
        }

        /**
         * {@return whether it is a result of the kind asked for: of the same dimension, which says what it is per}
         *
         * @param asked unit of what is asked for
         */
        public boolean of(BenchUnit asked) {
            return unit.dimension().equals(asked.dimension());
        }
    }

    /**
     * {@return a setting without vessel, references or decisions, of one trial}
     *
     * @param figures how numbers are written
     */
    public static Setting plain(Figures figures) {
        return new Setting(
                Optional.empty(), Map.of(), 1, Map.of(), Set.of(), Map.of(), figures, Conventions.standard());
    }

    /**
     * {@return the same, reduced with a version of the shelf}
     *
     * @param other a version of the shelf
     */
    public Setting with(ReferenceShelf other) {
        return changed(copy -> copy.shelf = other);
    }

    /**
     * {@return the same with another vessel}
     *
     * @param other the other one
     */
    public Setting with(Calorimeter other) {
        return changed(copy -> copy.calorimeter = Optional.of(other));
    }

    /**
     * {@return the same under other schools}
     *
     * @param other the other one
     */
    public Setting with(Conventions other) {
        return changed(copy -> copy.conventions = other);
    }

    /**
     * {@return the same, its numbers written otherwise}
     *
     * @param other how numbers are written
     */
    public Setting writing(Figures other) {
        return changed(copy -> copy.figures = other);
    }

    /**
     * {@return the same with so many trials}
     *
     * @param many at least 1
     */
    public Setting repeated(int many) {
        return changed(copy -> copy.trials = many);
    }

    /**
     * {@return the same, with the result of its trials made another way}
     *
     * @param other what is put in force
     */
    public Setting combining(Combination other) {
        return changed(copy -> copy.combination = other.key());
    }

    /**
     * {@return the same, open to more vessels and more results}
     *
     * @param moreCalorimeters vessels by identity
     * @param moreReferences   results by identity
     */
    public Setting knowing(Map<String, Calorimeter> moreCalorimeters, Map<String, Referenced> moreReferences) {
        return changed(copy -> {
            copy.calorimeters = joined(calorimeters, moreCalorimeters);
            copy.references = joined(references, moreReferences);
        });
    }

    /**
     * {@return the same, with readings on a clock}
     *
     * @param known by the identity a slot names them by
     */
    public Setting logging(Map<String, Logged> known) {
        return changed(copy -> copy.traces = known);
    }

    /**
     * {@return the same, judged by what was given, or not at all}
     *
     * @param by what a result is judged by
     */
    public Setting judged(Judging by) {
        return changed(copy -> copy.judging = by);
    }

    /**
     * {@return whether whoever is to read it may not be told what a result should be: then nothing it is worked from
     * holds a value to judge by}
     */
    public boolean withheld() {
        return judging.withheld();
    }

    private Setting changed(Consumer<Copy> change) {
        Copy copy = new Copy(this);
        change.accept(copy);
        return copy.made();
    }

    /** A copy while it is being changed. */
    private static final class Copy {

        private final Setting of;
        private int trials;
        private Optional<Calorimeter> calorimeter;
        private Map<String, Calorimeter> calorimeters;
        private Map<String, Referenced> references;
        private Figures figures;
        private Conventions conventions;
        private ReferenceShelf shelf;
        private String combination;
        private Map<String, Logged> traces;
        private Judging judging;

        Copy(Setting of) {
            this.of = of;
            trials = of.trials;
            calorimeter = of.calorimeter;
            calorimeters = of.calorimeters;
            references = of.references;
            figures = of.figures;
            conventions = of.conventions;
            shelf = of.shelf;
            combination = of.combination;
            traces = of.traces;
            judging = of.judging;
        }

        Setting made() {
            return new Setting(
                    calorimeter,
                    calorimeters,
                    trials,
                    of.parts,
                    of.leftOut,
                    references,
                    figures,
                    conventions,
                    shelf,
                    combination,
                    traces,
                    judging);
        }
    }

    private static <T> Map<String, T> joined(Map<String, T> known, Map<String, T> more) {
        Map<String, T> all = new java.util.LinkedHashMap<>(more);
        all.putAll(known);
        return all;
    }
}
