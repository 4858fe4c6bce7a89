package lab.sassafras.substance;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Which salts crystallize with water, and with how many. A jar's own damp is no hydrate: that has no whole number. */
public final class Hydrates {

    private static final Map<String, List<Integer>> WATERS = Table.rows("hydrates.csv")
            .collect(Collectors.toMap(
                    cell -> cell[0],
                    cell -> Arrays.stream(cell[1].split(" "))
                            .map(Integer::valueOf)
                            .toList()));

    private Hydrates() {}

    /**
     * {@return the other forms a salt is known in, with how many waters: without any, and with as many as it
     * crystallizes with; none for a salt that takes none}
     *
     * @param solid a salt or a hydrate of it
     */
    public static List<ChemicalFormula> others(ChemicalFormula solid) {
        String salt = solid.text().split("[·*]", 2)[0];
        return Stream.concat(
                        WATERS.containsKey(salt) ? Stream.of(salt) : Stream.of(),
                        WATERS.getOrDefault(salt, List.of()).stream()
                                .map(waters -> salt + "·" + (waters == 1 ? "" : waters) + "H2O"))
                .map(ChemicalFormula::read)
                .filter(each -> !each.sameAs(solid))
                .toList();
    }
}
