package lab.sassafras.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import lab.sassafras.experiment.PossibleCause;

/** Every cause of every experiment planted several times, and where it stands among what could have done it. */
public final class Causes {

    private Causes() {}

    /** How one planted cause was judged: its place among rows (ties are one), whether its size was found. */
    record Judged(String experiment, String cause, int place, boolean sized) {}

    /** Where a cause stands among rows, ties in one; 99 where it is not believed. */
    static int place(List<ExplainingSize> suspects, String key) {
        List<ExplainingSize.Row> rows = ExplainingSize.rows(
                suspects.stream().filter(ExplainingSize::believed).toList());
        return IntStream.range(0, rows.size())
                .filter(i -> Stream.concat(Stream.of(rows.get(i).first()), rows.get(i).tied().stream())
                        .anyMatch(each -> each.suspect().key().equals(key)))
                .map(i -> i + 1)
                .findFirst()
                .orElse(99);
    }

    static Judged judged(Mishaps.Mishap mishap) {
        List<ExplainingSize> suspects = mishap.reduction().suspects();
        String key = mishap.suspect().key();
        OptionalDouble found = suspects.stream()
                .filter(each -> each.suspect().key().equals(key))
                .flatMapToDouble(each -> each.explains().stream())
                .findFirst();
        double size = mishap.size() / mishap.suspect().measure().each();
        // its own interval: as far as the result's interval moves it
        double result = mishap.reduction().result().orElseThrow().halfWidth(0.95);
        double per = suspects.stream()
                .filter(each -> each.suspect().key().equals(key))
                .mapToDouble(each -> Math.abs(each.change() / each.error()))
                .findFirst()
                .orElse(0);
        boolean sized = mishap.suspect().cause() instanceof PossibleCause.Cause.OtherReagent
                || mishap.suspect().cause() instanceof PossibleCause.Cause.Answered
                || found.isPresent()
                        && Math.abs(Math.abs(found.getAsDouble()) - Math.abs(size))
                                <= Math.max(0.2 * Math.abs(size), per > 0 ? result / per : 0);
        return new Judged(mishap.kind().experiment(), key, place(suspects, key), sized);
    }

    static List<Judged> all(List<Mishaps.Kind> kinds, int times, long seed) {
        List<Judged> all = new ArrayList<>();
        for (Mishaps.Kind kind : kinds) {
            double property = kind.property();
            for (PossibleCause suspect : kind.experiments()) {
                Random random = new Random(seed + (kind.experiment() + suspect.key()).hashCode());
                for (int i = 0; i < times; i++) {
                    Mishaps.of(kind, suspect, property, random)
                            .map(Causes::judged)
                            .ifPresent(all::add);
                }
            }
        }
        return all;
    }

    /**
     * Prints the table.
     *
     * @param arguments how often each cause is planted (5 by itself), and a seed
     */
    public static void main(String[] arguments) {
        int times = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 5;
        long seed = arguments.length > 1 ? Long.parseLong(arguments[1]) : 1;
        List<Judged> all = all(Mishaps.kinds(), times, seed);
        all.stream()
                .map(each -> each.experiment() + " " + each.cause())
                .distinct()
                .forEach(name -> {
                    List<Judged> these = all.stream()
                            .filter(each -> (each.experiment() + " " + each.cause()).equals(name))
                            .toList();
                    System.out.printf(
                            "%-45s places %s, size found in %d%n",
                            name,
                            these.stream().map(Judged::place).toList(),
                            these.stream().filter(Judged::sized).count());
                });
        System.out.printf(
                "planted %d: in the first three %.1f %%, size found %.1f %%%n",
                all.size(),
                100.0 * all.stream().filter(each -> each.place() <= 3).count() / all.size(),
                100.0 * all.stream().filter(Judged::sized).count() / all.size());
    }
}
