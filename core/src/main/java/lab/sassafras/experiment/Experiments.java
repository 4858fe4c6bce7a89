package lab.sassafras.experiment;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.ServiceLoader;

/** Every experiment on the class path. */
public final class Experiments {

    private static final List<Experiment> ALL = ServiceLoader.load(Experiment.class).stream()
            .map(ServiceLoader.Provider::get).sorted(Comparator.comparing(each -> each.words().title())).toList();

    private Experiments() {
    }

    public static List<Experiment> all() {
        return ALL;
    }

    public static Optional<Experiment> find(String key) {
        return ALL.stream().filter(each -> each.key().equals(key)).findFirst();
    }
}
