package lab.sassafras.experiment;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
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
        String combination) {

    /** With the newest shelf, its trials taken together the usual way. */
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
                "");
    }

    /**
     * The result of another entry.
     *
     * @param label in words
     * @param value its result (unit); empty where that entry has none yet
     * @param unit  of its result, which says what it is per
     */
    public record Referenced(String label, Optional<Measured> value, BenchUnit unit) {

        /** Whether it is a result of the kind asked for: of the same dimension, which says what it is per. */
        public boolean of(BenchUnit asked) {
            return unit.dimension() == asked.dimension();
        }
    }

    public static Setting plain(Figures figures) {
        return new Setting(
                Optional.empty(), Map.of(), 1, Map.of(), Set.of(), Map.of(), figures, Conventions.standard());
    }

    /** The same, reduced with a version of the shelf. */
    public Setting with(ReferenceShelf other) {
        return new Setting(
                calorimeter,
                calorimeters,
                trials,
                parts,
                leftOut,
                references,
                figures,
                conventions,
                other,
                combination);
    }

    public Setting with(Calorimeter other) {
        return new Setting(
                Optional.of(other),
                calorimeters,
                trials,
                parts,
                leftOut,
                references,
                figures,
                conventions,
                shelf,
                combination);
    }

    public Setting with(Conventions other) {
        return new Setting(
                calorimeter, calorimeters, trials, parts, leftOut, references, figures, other, shelf, combination);
    }

    /** The same, with the result of its trials made another way. */
    public Setting combining(Combination other) {
        return new Setting(
                calorimeter,
                calorimeters,
                trials,
                parts,
                leftOut,
                references,
                figures,
                conventions,
                shelf,
                other.key());
    }

    /** The same, open to more vessels and more results. */
    public Setting knowing(Map<String, Calorimeter> moreCalorimeters, Map<String, Referenced> moreReferences) {
        return new Setting(
                calorimeter,
                joined(calorimeters, moreCalorimeters),
                trials,
                parts,
                leftOut,
                joined(references, moreReferences),
                figures,
                conventions,
                shelf,
                combination);
    }

    private static <T> Map<String, T> joined(Map<String, T> known, Map<String, T> more) {
        Map<String, T> all = new java.util.LinkedHashMap<>(more);
        all.putAll(known);
        return all;
    }
}
