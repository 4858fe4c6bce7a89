package lab.sassafras.experiment;

import java.util.List;
import java.util.Optional;
import java.util.ServiceLoader;
import java.util.stream.Stream;
import lab.sassafras.declaration.Declaration;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.slot.VesselKind;

/** Every experiment on the class path, in the order its service files name them, which is that of a class's year. */
public final class Experiments {

    private static final List<Experiment> ALL = ServiceLoader.load(Experiment.class).stream()
            .map(ServiceLoader.Provider::get)
            .toList();

    private static final List<VesselKind> VESSELS = Stream.concat(
                    VesselKind.usual().stream(), ALL.stream().flatMap(each -> each.vessels().stream()))
            .distinct()
            .toList();

    private static final List<InstrumentKind> INSTRUMENTS = Stream.concat(
                    InstrumentKind.usual().stream(), ALL.stream().flatMap(each -> each.instruments().stream()))
            .distinct()
            .toList();

    private Experiments() {}

    /** {@return every experiment, in the order of a class’s year} */
    public static List<Experiment> all() {
        return ALL;
    }

    /**
     * {@return the experiment of that name; empty for an unknown one}
     *
     * @param key stable name
     */
    public static Optional<Experiment> find(String key) {
        return ALL.stream().filter(each -> each.key().equals(key)).findFirst();
    }

    /**
     * {@return the experiment of that name, or a stand-in that keeps what a version with that experiment wrote down}
     *
     * @param key stable name
     */
    public static Experiment findOrUnknown(String key) {
        return find(key).orElseGet(() -> new UnknownExperiment(key));
    }

    /**
     * {@return the experiment that declares what a sheet asks for}
     *
     * @param declaration what a sheet is filled by
     */
    public static Experiment declaring(Declaration declaration) {
        return declaration instanceof Experiment known ? known : new UnknownExperiment(declaration.key());
    }

    /** {@return every kind of vessel known here: the usual ones, and those experiments bring} */
    public static List<VesselKind> vessels() {
        return VESSELS;
    }

    /**
     * {@return the kind of vessel of that name; empty for an unknown one}
     *
     * @param key stable name
     */
    public static Optional<VesselKind> vessel(String key) {
        return VESSELS.stream().filter(each -> each.key().equals(key)).findFirst();
    }

    /**
     * {@return the kind of vessel of that name, or a stand-in that keeps what a version that knew it wrote down}
     *
     * @param key stable name
     */
    public static VesselKind vesselOrUnknown(String key) {
        return vessel(key).orElseGet(() -> VesselKind.unknown(key));
    }

    /** {@return every kind of instrument known here: those every lab has, and those experiments bring} */
    public static List<InstrumentKind> instruments() {
        return INSTRUMENTS;
    }

    /**
     * {@return the kind of instrument of that name, or a stand-in that keeps what a version that knew it wrote down}
     *
     * @param key stable name
     */
    public static InstrumentKind instrumentOrUnknown(String key) {
        return INSTRUMENTS.stream()
                .filter(each -> each.key().equals(key))
                .findFirst()
                .orElseGet(() -> new InstrumentKind(
                        key, "instrument of a kind not known here", Dimension.NONE, 0, 0, 0, Double.MAX_VALUE));
    }
}
