package lab.sassafras.experiment;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Measured;

/**
 * What surrounds the readings of an entry.
 *
 * @param calorimeter the vessel used; empty where the experiment has none
 * @param trials      how many trials were opened, at least 1
 * @param parts       how many parts of each repeated group, at least 1
 * @param leftOut     trials a person decided to leave out
 * @param references  results of other entries, by the identity typed in the reference slot
 * @param figures     how numbers are written
 */
public record Setting(Optional<Calorimeter> calorimeter, int trials, Map<String, Integer> parts,
                      Set<Integer> leftOut, Map<String, Referenced> references, Figures figures) {

    /**
     * The result of another entry.
     *
     * @param label in words
     * @param value its result; empty where that entry has none yet
     */
    public record Referenced(String label, Optional<Measured> value) {
    }

    public static Setting plain(Figures figures) {
        return new Setting(Optional.empty(), 1, Map.of(), Set.of(), Map.of(), figures);
    }

    public Setting with(Calorimeter other) {
        return new Setting(Optional.of(other), trials, parts, leftOut, references, figures);
    }
}
