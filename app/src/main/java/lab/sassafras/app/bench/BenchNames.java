package lab.sassafras.app.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import lab.sassafras.measure.Refused;

/** Names of many benches written in one line: one after another between commas, or counted as in “Bench 1–8”. */
final class BenchNames {

    private static final Pattern COUNTED = Pattern.compile("(.*?)(\\d{1,3})\\s*(?:-|–|to)\\s*(\\d{1,3})");
    private static final Pattern BETWEEN = Pattern.compile("[,;\\n]");
    private static final int MOST = 60;

    private BenchNames() {}

    /** @throws Refused where nothing is named, or more than a room holds */
    static List<String> read(String line) {
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
                            throw new Refused("“" + part + "” counts backwards, or further than " + MOST + " benches.");
                        }
                        IntStream.rangeClosed(from, to).forEach(number -> names.add(counted.group(1) + number));
                    } else {
                        names.add(part);
                    }
                });
        if (names.isEmpty()) {
            throw new Refused("Name the benches, such as “Bench 1–8” or “Hawthorn, Rowan, Alder”.");
        }
        if (names.size() > MOST) {
            throw new Refused("That is more than " + MOST + " benches.");
        }
        return names;
    }
}
