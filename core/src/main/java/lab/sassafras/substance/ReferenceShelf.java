package lab.sassafras.substance;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lab.sassafras.measure.BenchUnit;

/** The handbook part of the shelf: specific heats with their sources. Read once, never changed while running. */
public final class ReferenceShelf {

    /** Goes up when a row changes, so that an entry can say which shelf it was reduced with. */
    public static final int VERSION = 1;

    private static final ReferenceShelf STANDARD = new ReferenceShelf(
            rows("specific-heats.csv").map(ReferenceShelf::substance).toList(),
            rows("properties.csv").map(ReferenceShelf::property).toList(),
            rows("heats-of-solution.csv").map(ReferenceShelf::property).toList());

    private final List<Substance> substances;
    private final List<Reference> properties;
    private final List<Reference> heatsOfSolution;

    private ReferenceShelf(List<Substance> substances, List<Reference> properties, List<Reference> heatsOfSolution) {
        this.substances = List.copyOf(substances);
        this.properties = List.copyOf(properties);
        this.heatsOfSolution = List.copyOf(heatsOfSolution);
    }

    /** Heats of solution in water at infinite dilution, 25 °C, by formula. */
    public List<Reference> heatsOfSolution() {
        return heatsOfSolution;
    }

    /** The heat of solution of exactly this formula: a hydrate is another thing than the salt without its water. */
    public Optional<Reference> heatOfSolution(String formula) {
        return heatsOfSolution.stream().filter(each -> each.key().equals(formula)).findFirst();
    }

    /** Single values of water and ice that accounts draw on. */
    public List<Reference> properties() {
        return properties;
    }

    /** @throws IllegalArgumentException for a property nobody put on the shelf */
    public Reference property(String key) {
        return properties.stream().filter(each -> each.key().equals(key)).findFirst()
                .orElseThrow(() -> new IllegalArgumentException("nothing on the shelf is called " + key));
    }

    /** Solids, or liquids. */
    public List<Substance> of(boolean solid) {
        return substances.stream().filter(each -> each.kind().solid() == solid).toList();
    }

    public static ReferenceShelf standard() {
        return STANDARD;
    }

    public List<Substance> all() {
        return substances;
    }

    public List<Substance> solids() {
        return of(true);
    }

    public Optional<Substance> find(String key) {
        return substances.stream().filter(each -> each.key().equals(key)).findFirst();
    }

    private static Stream<String[]> rows(String resource) {
        try (InputStream in = ReferenceShelf.class.getResourceAsStream(resource)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8).lines()
                    .filter(line -> !line.isBlank() && !line.startsWith("#")).skip(1)
                    .map(line -> line.split(";", -1));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Reference property(String[] cell) {
        return new Reference(cell[0], cell[1], Double.parseDouble(cell[2]), Double.parseDouble(cell[3]),
                BenchUnit.of(cell[4]).orElseThrow(), cell[5], cell[6].equals("opened"));
    }

    private static Substance substance(String[] cell) {
        return new Substance(cell[0], cell[1], Substance.Kind.valueOf(cell[2]), cell[3], Double.parseDouble(cell[4]),
                Double.parseDouble(cell[5]), Double.parseDouble(cell[6]), cell[7], cell[8].equals("yes"),
                cell[9].equals("yes"), cell[10], cell[11].equals("opened"));
    }
}
