package lab.sassafras.app.record;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;

/** All observations of an entry in the order they were given, struck-out ones among them. */
public record Observations(List<Observation> all) {

    public Observations {
        all = List.copyOf(all);
    }

    /** Those that neither were struck out nor only strike another out. */
    public List<Observation> standing() {
        Set<UUID> superseded = all.stream().flatMap(each -> each.supersedes().stream()).collect(Collectors.toSet());
        return all.stream().filter(each -> !superseded.contains(each.id()) && !each.strikeOut()).toList();
    }

    /** The one that struck this out, if any did. */
    public Optional<Observation> strikerOf(Observation struck) {
        return all.stream().filter(each -> each.supersedes().filter(struck.id()::equals).isPresent()).findFirst();
    }

    public List<Observation> at(String address) {
        return all.stream().filter(each -> each.address().equals(address)).toList();
    }

    public Optional<Observation> last() {
        return all.isEmpty() ? Optional.empty() : Optional.of(all.get(all.size() - 1));
    }
}
