package lab.sassafras.experiment;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import lab.sassafras.measure.Refused;

/**
 * Where a value stands in an entry: {@code group[index]/slot}.
 *
 * @param group key of the group
 * @param index from 1: the trial, the part, or 1 for what stands once
 * @param slot  key of the slot
 */
public record Address(String group, int index, String slot) {

    /** Declared paths are few, and most stand at index 1. */
    private static final Map<String, Address> FIRST = new ConcurrentHashMap<>();
    private static final Pattern WRITTEN = Pattern.compile("([a-z0-9-]{1,40})\\[(\\d{1,4})]/([a-z0-9-]{1,40})");

    /** @throws Refused when it is not written as an address */
    public static Address read(String written) {
        Matcher matcher = WRITTEN.matcher(written == null ? "" : written);
        if (!matcher.matches() || Integer.parseInt(matcher.group(2)) < 1) {
            throw new Refused("“" + written + "” is not an address. Write group[index]/slot, such as hot[1]/mass.");
        }
        return new Address(matcher.group(1), Integer.parseInt(matcher.group(2)), matcher.group(3));
    }

    /** The address of a declared slot at an index. */
    public static Address of(String path, int index) {
        return index == 1 ? FIRST.computeIfAbsent(path, any -> split(any, 1)) : split(path, index);
    }

    private static Address split(String path, int index) {
        int slash = path.indexOf('/');
        return new Address(path.substring(0, slash), index, path.substring(slash + 1));
    }

    /** Group and slot without the index, the name an experiment declares it by. */
    public String path() {
        return group + "/" + slot;
    }

    @Override
    public String toString() {
        return group + "[" + index + "]/" + slot;
    }
}
