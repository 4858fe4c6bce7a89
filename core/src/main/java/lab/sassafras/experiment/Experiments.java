package lab.sassafras.experiment;

import java.util.List;
import java.util.Optional;
import java.util.ServiceLoader;

/** Every experiment on the class path, in the order its service files name them, which is that of a class's year. */
public final class Experiments {

    private static final List<Experiment> ALL = ServiceLoader.load(Experiment.class).stream()
            .map(ServiceLoader.Provider::get)
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
}
