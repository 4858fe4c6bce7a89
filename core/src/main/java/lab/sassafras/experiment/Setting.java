package lab.sassafras.experiment;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lab.sassafras.convention.Conventions;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Measured;
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
        ReferenceShelf shelf) {

    /** With the newest shelf. */
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
                ReferenceShelf.standard());
    }

    /**
     * The result of another entry.
     *
     * @param label in words
     * @param value its result; empty where that entry has none yet
     */
    public record Referenced(String label, Optional<Measured> value) {}

    public static Setting plain(Figures figures) {
        return new Setting(
                Optional.empty(), Map.of(), 1, Map.of(), Set.of(), Map.of(), figures, Conventions.standard());
    }

    /** The same, reduced with a version of the shelf. */
    public Setting with(ReferenceShelf other) {
        return new Setting(calorimeter, calorimeters, trials, parts, leftOut, references, figures, conventions, other);
    }

    public Setting with(Calorimeter other) {
        return new Setting(
                Optional.of(other), calorimeters, trials, parts, leftOut, references, figures, conventions, shelf);
    }

    public Setting with(Conventions other) {
        return new Setting(calorimeter, calorimeters, trials, parts, leftOut, references, figures, other, shelf);
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
                shelf);
    }

    private static <T> Map<String, T> joined(Map<String, T> known, Map<String, T> more) {
        Map<String, T> all = new java.util.LinkedHashMap<>(more);
        all.putAll(known);
        return all;
    }
}
