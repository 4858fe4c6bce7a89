package lab.sassafras.substance;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;

/** The handbook part of the shelf: specific heats with their sources. Read once, never changed while running. */
public final class ReferenceShelf {

    /** Goes up when a row changes, so that an entry can say which shelf it was reduced with. */
    public static final int VERSION = 1;

    private static final ReferenceShelf STANDARD = new ReferenceShelf(load("specific-heats.csv"));

    private final List<Substance> substances;

    private ReferenceShelf(List<Substance> substances) {
        this.substances = List.copyOf(substances);
    }

    public static ReferenceShelf standard() {
        return STANDARD;
    }

    public List<Substance> all() {
        return substances;
    }

    public List<Substance> solids() {
        return substances.stream().filter(each -> each.kind().solid()).toList();
    }

    public Optional<Substance> find(String key) {
        return substances.stream().filter(each -> each.key().equals(key)).findFirst();
    }

    private static List<Substance> load(String resource) {
        try (InputStream in = ReferenceShelf.class.getResourceAsStream(resource)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8).lines()
                    .filter(line -> !line.isBlank() && !line.startsWith("#")).skip(1)
                    .map(ReferenceShelf::row).toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Substance row(String line) {
        String[] cell = line.split(";", -1);
        return new Substance(cell[0], cell[1], Substance.Kind.valueOf(cell[2]), cell[3], Double.parseDouble(cell[4]),
                Double.parseDouble(cell[5]), Double.parseDouble(cell[6]), cell[7], cell[8].equals("yes"),
                cell[9].equals("yes"), cell[10], cell[11].equals("opened"));
    }
}
