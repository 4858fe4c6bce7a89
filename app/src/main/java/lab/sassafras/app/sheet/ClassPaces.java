package lab.sassafras.app.sheet;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.app.record.ClassPace;
import lab.sassafras.app.record.Paces;
import lab.sassafras.declaration.Pace;
import org.springframework.stereotype.Service;

/** The paces of an entry's experiment, as its class has them. */
@Service
public class ClassPaces {

    private final Paces paces;

    ClassPaces(Paces paces) {
        this.paces = paces;
    }

    /** The paces of an entry's experiment with what its class goes by (min, or °C of a rise). */
    public Map<Pace, Double> of(EntrySheet entry) {
        Map<String, ClassPace> chosen = chosen(entry);
        Map<Pace, Double> all = new LinkedHashMap<>();
        entry.experiment()
                .paces()
                .forEach(each -> all.put(
                        each,
                        Optional.ofNullable(chosen.get(each.key()))
                                .map(ClassPace::amount)
                                .orElse(each.usual())));
        return all;
    }

    /** What the class chose for itself, by the key of the pace. */
    public Map<String, ClassPace> chosen(EntrySheet entry) {
        return paces.chosen(entry.entry().period(), entry.experiment().key());
    }

    /** What the class goes by, by kind; empty where the experiment knows none of that kind. */
    public Optional<Double> amount(EntrySheet entry, Pace.Kind kind) {
        return of(entry).entrySet().stream()
                .filter(each -> each.getKey().kind() == kind)
                .map(Map.Entry::getValue)
                .findFirst();
    }
}
