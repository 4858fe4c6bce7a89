package lab.sassafras.sheet;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import lab.sassafras.declaration.Cardinality;
import lab.sassafras.declaration.Declaration;
import lab.sassafras.declaration.Group;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;
import org.jspecify.annotations.Nullable;

/**
 * Lines by where they stand, and what follows from that alone: which trials share a sample, which places there are.
 * Taking a line in or out costs the same however many stand.
 */
public final class Places {

    private final Declaration experiment;
    private final Setting setting;
    private final Map<Address, List<Line>> byAddress = new LinkedHashMap<>();
    private int names;
    private int @Nullable [] firsts;

    Places(Declaration experiment, Setting setting) {
        this.experiment = experiment;
        this.setting = setting;
    }

    /** The same lines under another setting. */
    Places(Places other, Setting setting) {
        this(other.experiment, setting);
        other.byAddress.forEach((address, lines) -> byAddress.put(address, List.copyOf(lines)));
        this.names = other.names;
    }

    Declaration experiment() {
        return experiment;
    }

    Setting setting() {
        return setting;
    }

    void add(Line line) {
        byAddress.computeIfAbsent(line.address(), any -> new ArrayList<>(2)).add(line);
        named(line, 1);
    }

    /** Takes one line out again; the line itself, not one that says the same. */
    @SuppressWarnings("ReferenceEquality")
    void remove(Line line) {
        List<Line> here = byAddress.getOrDefault(line.address(), List.of());
        for (int i = here.size() - 1; i >= 0; i--) {
            if (here.get(i) == line) {
                here.remove(i);
                named(line, -1);
                break;
            }
        }
        if (here.isEmpty()) {
            byAddress.remove(line.address());
        }
    }

    private void named(Line line, int change) {
        if (names(line.address())) {
            names += change;
            firsts = null;
        }
    }

    /** Whether what stands at an address names the sample of a trial. */
    boolean names(Address address) {
        return experiment.sampleName().filter(address.path()::equals).isPresent();
    }

    /** {@return where anything stands, in the order first given} */
    public Set<Address> addresses() {
        return Collections.unmodifiableSet(byAddress.keySet());
    }

    boolean holds(Address address) {
        return byAddress.containsKey(address);
    }

    List<Line> at(Address address) {
        return byAddress.getOrDefault(address, List.of());
    }

    Optional<Line> line(Address address, Role role) {
        List<Line> here = at(address);
        for (int i = here.size() - 1; i >= 0; i--) {
            if (here.get(i).role() == role) {
                return Optional.of(here.get(i));
            }
        }
        return Optional.empty();
    }

    /**
     * {@return what the sample of a trial is called; empty where no names were given}
     *
     * @param trial which trial, from 1
     */
    public String sample(int trial) {
        return names > 0
                ? experiment
                        .sampleName()
                        .flatMap(path -> line(Address.of(path, trial), Role.STATED))
                        .map(Line::text)
                        .orElse("")
                : "";
    }

    /**
     * {@return the first trial made with the same sample}
     *
     * @param trial which trial, from 1
     */
    public int firstOfSample(int trial) {
        if (names == 0) {
            return 1;
        }
        int[] known = firsts;
        if (known == null) {
            known = firstOfEach();
            firsts = known;
        }
        return trial < known.length ? known[trial] : trial;
    }

    private int[] firstOfEach() {
        int[] first = new int[setting.trials() + 1];
        Map<String, Integer> met = new LinkedHashMap<>();
        for (int trial = 1; trial < first.length; trial++) {
            Integer earlier = met.putIfAbsent(sample(trial), trial);
            first[trial] = earlier == null ? trial : earlier;
        }
        return first;
    }

    /**
     * {@return indices at which a group stands, from 1}
     *
     * @param group as declared
     */
    public IntStream indices(Group group) {
        return IntStream.rangeClosed(1, count(group))
                .filter(index -> group.cardinality() != Cardinality.PER_SAMPLE || firstOfSample(index) == index);
    }

    /**
     * {@return how many parts a repeated group has}
     *
     * @param group key of the group
     */
    public int parts(String group) {
        return setting.parts().getOrDefault(group, 1);
    }

    private int count(Group group) {
        return switch (group.cardinality()) {
            case ONCE -> 1;
            case PER_TRIAL, PER_SAMPLE -> setting.trials();
            case PER_PART -> parts(group.key());
        };
    }

    /**
     * {@return the index a group has for a trial}
     *
     * @param group as declared
     * @param trial which trial, from 1
     */
    public int index(Group group, int trial) {
        return switch (group.cardinality()) {
            case PER_TRIAL -> trial;
            case PER_SAMPLE -> firstOfSample(trial);
            case ONCE, PER_PART -> 1;
        };
    }

    /**
     * {@return whether there is such a place: its group is declared and has that number now}
     *
     * @param address where it stands
     */
    public boolean stands(Address address) {
        return experiment.slot(address.path()).isPresent()
                && experiment
                        .group(address.group())
                        .filter(group -> stands(group, address.index()))
                        .isPresent();
    }

    /** Whether a group has such a number. */
    boolean stands(Group group, int index) {
        return index >= 1
                && index <= count(group)
                && (group.cardinality() != Cardinality.PER_SAMPLE || firstOfSample(index) == index);
    }

    /** Whether both sides of a weighing by difference stand, and full is less than empty. */
    boolean negativePair(Address address) {
        return line(address, Role.GROSS)
                .flatMap(gross -> line(address, Role.TARE).filter(tare -> gross.value() < tare.value()))
                .isPresent();
    }
}
