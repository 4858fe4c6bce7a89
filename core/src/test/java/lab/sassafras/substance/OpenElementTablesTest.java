package lab.sassafras.substance;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BiPredicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.compress.archivers.tar.TarArchiveInputStream;
import org.apache.commons.compress.compressors.gzip.GzipCompressorInputStream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The elements of the shelf beside two open tables of the npm registry, packed as they came: periodic-table.js 2.0.5
 * (specific heat, density, melting point, heat of fusion) and node-periodic-table 0.0.6 (molar heat, density, melting
 * point). Where the three differ the differences are listed here. Tables may have copied one another, so that two that
 * agree make no opened source.
 */
class OpenElementTablesTest {

    private static final double HEAT = 0.015;
    private static final double DENSITY = 0.02;

    private final ReferenceShelf shelf = ReferenceShelf.standard();
    private final Map<String, JsonNode> first = bySymbol("exabyte-io-periodic-table.js-2.0.5", "periodic-table.json");
    private final Map<String, JsonNode> second = bySymbol("node-periodic-table-0.0.6", "elements.json");

    /** The first has chromium, cobalt and lead (0.159) wrong, and wide roundings; carbon and the rest agree. */
    @Test
    void specificHeatsDifferOnlyWhereTheFirstTableIsOff() {
        assertThat(differing((element, row) -> near(HEAT, firstHeat(element), row.specificHeat())))
                .containsExactlyInAnyOrder("Bi", "Cr", "Co", "Pb", "Sn", "S", "Li");
        assertThat(differing((element, row) -> near(HEAT, secondHeat(element), row.specificHeat())))
                .isEmpty();
        assertThat(firstHeat("Pb")).isEqualTo(0.159);
    }

    /** What both confirm says so beside its mark, and nothing else does. */
    @Test
    void exactlyWhatBothConfirmIsMarkedSo() {
        assertThat(elements()
                        .filter(row -> row.source().contains("agrees with two open element tables"))
                        .map(Substance::formula))
                .containsExactlyInAnyOrderElementsOf(elements()
                        .filter(row -> near(HEAT, firstHeat(row.formula()), row.specificHeat())
                                && near(HEAT, secondHeat(row.formula()), row.specificHeat()))
                        .map(Substance::formula)
                        .toList());
        assertThat(shelf.find("copper").orElseThrow().sourceInWords()).contains("agrees with two", "not verified");
    }

    /**
     * The first has solid graphite, the second amorphous carbon; the shelf has the graphite that is sold, with pores.
     */
    @Test
    void densitiesDifferOnlyForCarbon() {
        assertThat(differing((element, row) ->
                        near(DENSITY, number(first.get(element), "density_g_per_cm3"), row.density())))
                .containsExactly("C");
        assertThat(differing((element, row) -> near(DENSITY, number(second.get(element), "density"), row.density())))
                .containsExactly("C");
    }

    /** Heat of fusion per gram, and both tables' melting points within 1 % where the shelf lists the fusion. */
    @Test
    void heatsOfFusionAreThoseOfTheFirstTable() {
        Map<String, String> fusions = Map.of("Pb", "fusion-of-lead", "Sn", "fusion-of-tin");
        fusions.forEach((element, key) -> {
            JsonNode row = first.get(element);
            double perGram = 1000 * number(row, "fusion_heat_kJ_mol") / number(row, "atomic_weight");
            assertThat(near(0.02, perGram, shelf.property(key).value())).as(key).isTrue();
            assertThat(near(0.01, number(row, "melting_point_K"), number(second.get(element), "melt")))
                    .isTrue();
        });
        // potassium, 2.33 kJ/mol, stands where its vaporization should, and the other way round
        assertThat(number(first.get("K"), "fusion_heat_kJ_mol")).isEqualTo(102.5);
        assertThat(number(first.get("K"), "evaporation_heat_kJ_mol")).isEqualTo(2.33);
    }

    private Stream<Substance> elements() {
        return shelf.all().stream().filter(row -> first.containsKey(row.formula()));
    }

    private Set<String> differing(BiPredicate<String, Substance> agree) {
        return elements()
                .filter(row -> !agree.test(row.formula(), row))
                .map(Substance::formula)
                .collect(Collectors.toCollection(TreeSet::new));
    }

    private double firstHeat(String element) {
        return number(first.get(element), "specific_heat_J_g_mol");
    }

    private double secondHeat(String element) {
        return number(second.get(element), "molar_heat") / number(second.get(element), "atomic_mass");
    }

    private static boolean near(double within, double one, double other) {
        return Math.abs(one / other - 1) <= within;
    }

    /** A number, also where a remark stands behind it. */
    private static double number(JsonNode row, String field) {
        return Double.parseDouble(row.get(field).asString().split(" ")[0]);
    }

    private static Map<String, JsonNode> bySymbol(String archive, String file) {
        Map<String, JsonNode> rows = new HashMap<>();
        try (InputStream packed = OpenElementTablesTest.class.getResourceAsStream("/packages/" + archive + ".tgz");
                TarArchiveInputStream tar =
                        new TarArchiveInputStream(new GzipCompressorInputStream(new BufferedInputStream(packed)))) {
            while (!tar.getNextEntry().getName().equals("package/" + file)) {
                // the next one
            }
            new JsonMapper()
                    .readTree(tar.readAllBytes())
                    .forEach(row -> rows.put(row.get("symbol").asString(), row));
        } catch (IOException e) {
            throw new AssertionError(e);
        }
        return rows;
    }
}
