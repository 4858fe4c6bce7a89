package lab.sassafras.slot;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import lab.sassafras.measure.Refused;

/** Where a value stands in an entry: {@code group[index]/slot}. Immutable; every way of writing it is written once. */
public final class Address {

    /** Declared paths are few, and most stand at index 1. */
    private static final Map<String, Address> FIRST = new ConcurrentHashMap<>();

    private static final Pattern WRITTEN = Pattern.compile("([a-z0-9-]{1,40})\\[(\\d{1,4})]/([a-z0-9-]{1,40})");

    private final String group;
    private final int index;
    private final String slot;
    private final String path;
    private final String written;

    private Address(String group, int index, String slot) {
        this.group = group;
        this.index = index;
        this.slot = slot;
        this.path = group + "/" + slot;
        this.written = group + "[" + index + "]/" + slot;
    }

    /**
     * {@return the address as read}
     *
     * @param written as written
     * @throws Refused when it is not written as an address
     */
    public static Address read(String written) {
        Matcher matcher = WRITTEN.matcher(written == null ? "" : written);
        if (!matcher.matches() || Integer.parseInt(matcher.group(2)) < 1) {
            throw new Refused("“" + written + "” is not an address. Write group[index]/slot, such as hot[1]/mass.");
        }
        return new Address(matcher.group(1), Integer.parseInt(matcher.group(2)), matcher.group(3));
    }

    /**
     * {@return the address of a declared slot at an index}
     *
     * @param path  group and slot, as an experiment declares them
     * @param index which one, from 1
     */
    public static Address of(String path, int index) {
        if (index != 1) {
            return split(path, index);
        }
        Address known = FIRST.get(path);
        return known != null ? known : FIRST.computeIfAbsent(path, any -> split(any, 1));
    }

    private static Address split(String path, int index) {
        int slash = path.indexOf('/');
        return new Address(path.substring(0, slash), index, path.substring(slash + 1));
    }

    /** {@return key of the group} */
    public String group() {
        return group;
    }

    /** {@return from 1: the trial, the part, or 1 for what stands once} */
    public int index() {
        return index;
    }

    /** {@return key of the slot} */
    public String slot() {
        return slot;
    }

    /** {@return group and slot without the index, the name an experiment declares it by} */
    public String path() {
        return path;
    }

    @Override
    public boolean equals(Object other) {
        return this == other || other instanceof Address address && written.equals(address.written);
    }

    @Override
    public int hashCode() {
        return written.hashCode();
    }

    @Override
    public String toString() {
        return written;
    }
}
