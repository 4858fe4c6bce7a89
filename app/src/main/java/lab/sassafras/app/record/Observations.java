package lab.sassafras.app.record;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** All observations of an entry in the order they were given, struck-out ones among them; each is looked up at once. */
public final class Observations {

    private final List<Observation> all;
    private final List<Observation> standing;
    private final Map<UUID, Observation> byId = new HashMap<>();
    private final Map<UUID, Observation> strikers = new HashMap<>();
    private final Map<String, List<Observation>> byAddress = new HashMap<>();

    public Observations(List<Observation> all) {
        this.all = List.copyOf(all);
        all.forEach(each -> {
            byId.put(each.id(), each);
            each.supersedes().ifPresent(struck -> strikers.putIfAbsent(struck, each));
            byAddress.computeIfAbsent(each.address(), any -> new ArrayList<>(2)).add(each);
        });
        this.standing = all.stream().filter(this::stands).toList();
    }

    public List<Observation> all() {
        return all;
    }

    /** Those that neither were struck out nor only strike another out. */
    public List<Observation> standing() {
        return standing;
    }

    public boolean stands(Observation observation) {
        return !strikers.containsKey(observation.id()) && !observation.strikeOut();
    }

    /** The one that struck this out first, if any did. */
    public Optional<Observation> strikerOf(Observation struck) {
        return Optional.ofNullable(strikers.get(struck.id()));
    }

    /** All that was ever typed at an address, in order. */
    public List<Observation> at(String address) {
        return byAddress.getOrDefault(address, List.of());
    }

    /** What stands at an address, in order. */
    public List<Observation> standingAt(String address) {
        return at(address).stream().filter(this::stands).toList();
    }

    public Optional<Observation> find(UUID id) {
        return Optional.ofNullable(byId.get(id));
    }

    public Optional<Observation> last() {
        return all.isEmpty() ? Optional.empty() : Optional.of(all.get(all.size() - 1));
    }
}
