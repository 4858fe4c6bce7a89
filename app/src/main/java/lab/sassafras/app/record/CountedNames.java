package lab.sassafras.app.record;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import lab.sassafras.measure.Refused;

/** Names of many things written in one line: one after another between commas, or counted as in “Bench 1–8”. */
public final class CountedNames {

    private static final Pattern COUNTED = Pattern.compile("(.*?)(\\d{1,3})\\s*(?:-|–|to)\\s*(\\d{1,3})");
    private static final Pattern BETWEEN = Pattern.compile("[,;\\n]");
    private static final int MOST = 60;

    private CountedNames() {}

    /**
     * {@return the names}
     *
     * @param things what they are of, in the plural
     * @throws Refused where nothing is named, or more than a room holds
     */
    public static List<String> read(String line, String things) {
        List<String> names = new ArrayList<>();
        BETWEEN.splitAsStream(line)
                .map(String::strip)
                .filter(part -> !part.isEmpty())
                .forEach(part -> {
                    Matcher counted = COUNTED.matcher(part);
                    if (counted.matches()) {
                        int from = Integer.parseInt(counted.group(2));
                        int to = Integer.parseInt(counted.group(3));
                        if (to < from || to - from >= MOST) {
                            throw new Refused(
                                    "“" + part + "” counts backwards, or further than " + MOST + " " + things + ".");
                        }
                        IntStream.rangeClosed(from, to).forEach(number -> names.add(counted.group(1) + number));
                    } else {
                        names.add(part);
                    }
                });
        if (names.isEmpty()) {
            throw new Refused("Name the " + things + ", such as “Bench 1–8” or “Hawthorn, Rowan, Alder”.");
        }
        if (names.size() > MOST) {
            throw new Refused("That is more than " + MOST + " " + things + ".");
        }
        return names;
    }
}
