package lab.sassafras.curve;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Which of several probes somebody warms with a hand: the one that rises now where the others stand. */
public final class Warmed {

    /** It rises by so much within the time looked at (°C, s), and three times as much as any other. No source. */
    static final double RISE = 0.5;

    static final double LOOKED_AT = 30;
    private static final double TIMES = 3;
    private static final int FEWEST = 3;

    private Warmed() {}

    /**
     * {@return the one that is warmed; empty where none is, or more than one}
     *
     * @param probes readings of each of the last while, in order of time
     */
    public static Optional<String> which(Map<String, List<Reading>> probes) {
        List<Map.Entry<String, Double>> risen = probes.entrySet().stream()
                .map(each -> Map.entry(each.getKey(), rise(each.getValue())))
                .sorted(Map.Entry.comparingByValue(Comparator.reverseOrder()))
                .toList();
        if (risen.isEmpty() || risen.get(0).getValue() < RISE) {
            return Optional.empty();
        }
        return risen.size() == 1
                        || risen.get(0).getValue() >= TIMES * risen.get(1).getValue()
                ? Optional.of(risen.get(0).getKey())
                : Optional.empty();
    }

    /** How far it stands above its lowest of that time (°C). */
    private static double rise(List<Reading> all) {
        if (all.size() < FEWEST) {
            return 0;
        }
        Reading now = all.get(all.size() - 1);
        return now.temperature()
                - all.stream()
                        .filter(each -> each.seconds() >= now.seconds() - LOOKED_AT)
                        .mapToDouble(Reading::temperature)
                        .min()
                        .orElse(now.temperature());
    }
}
