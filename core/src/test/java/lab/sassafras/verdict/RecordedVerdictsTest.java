package lab.sassafras.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import lab.sassafras.account.Finding;
import lab.sassafras.convention.Conventions;
import lab.sassafras.curve.Recorded;
import lab.sassafras.experiment.PossibleCause;
import lab.sassafras.experiment.WorkedRuns;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * What is said of a run of every experiment as it should be, and of one with each of a third of the slips planted,
 * against what was recorded once the planted causes had been judged ({@code ./bench causes}): no size, sign, order or
 * word moves unnoticed. Where one is to move, run {@link #main} and say why in the commit.
 */
class RecordedVerdictsTest {

    private static final int LOOKED_AT = 6;
    /** One cause in three of each experiment: all of them take half a minute. */
    private static final int EVERY = 3;

    private static Stream<String> lines() {
        Stream<String> asTheyShouldBe = WorkedRuns.all().entrySet().stream()
                .flatMap(
                        each -> said(each.getKey(), Reduction.of(each.getValue().sheet(), Conventions.standard())));
        Stream<String> slipped = Mishaps.kinds().stream().flatMap(kind -> {
            double property = kind.property();
            List<PossibleCause> causes = kind.experiments();
            return IntStream.iterate(0, i -> i < causes.size(), i -> i + EVERY)
                    .mapToObj(causes::get)
                    .flatMap(suspect -> Mishaps.of(kind, suspect, property, new Random(11)).stream()
                            .flatMap(mishap -> said(kind.experiment() + " with " + suspect.key(), mishap.reduction())));
        });
        return Stream.concat(asTheyShouldBe, slipped);
    }

    private static Stream<String> said(String name, Reduction reduction) {
        List<String> lines = new ArrayList<>();
        lines.add(name + ";"
                + reduction.findings().stream()
                        .map(each -> each.code() + " " + each.message().replaceAll("\\s*;\\s*", ", "))
                        .collect(Collectors.joining(" ")));
        reduction.verdict().ifPresent(verdict -> {
            lines.add("verdict;"
                    + verdict.findings().stream().map(Finding::message).collect(Collectors.joining("; ")));
            verdict.agreement()
                    .ifPresent(each -> lines.add("beside;"
                            + Recorded.numbers(
                                    each.reference().value(),
                                    each.percentError(),
                                    each.difference(),
                                    each.allowed(),
                                    each.times())));
            verdict.candidates().stream()
                    .limit(LOOKED_AT)
                    .forEach(each -> lines.add("may be " + each.substance().key() + ";"
                            + Recorded.numbers(each.difference(), each.compatibility()) + " " + each.objections()));
        });
        reduction.suspects().stream()
                .limit(LOOKED_AT)
                .forEach(each -> lines.add("cause " + each.suspect().key() + (each.believed() ? " believed;" : ";")
                        + Recorded.numbers(
                                each.error(),
                                each.change(),
                                each.reach(),
                                each.part().orElse(0),
                                each.explains().orElse(0),
                                each.likely())
                        + " " + each.unit()));
        reduction
                .happened()
                .asReaction()
                .ifPresent(each -> lines.add("reaction " + each.equation() + ";"
                        + Recorded.numbers(each.times(), each.concentration().orElse(-1))));
        lines.add("heat;"
                + reduction.happened().whereHeatWent().stream()
                        .flatMap(where -> where.parts().stream())
                        .map(part -> part.kind() + " " + Recorded.numbers(part.joules()))
                        .collect(Collectors.joining(" ")));
        return lines.stream();
    }

    /** Numbers within sentences are written to their figures and differ by none of them. */
    @Tag("long")
    @Test
    void everyRunIsJudgedAsRecorded() {
        Recorded.same(lines(), RecordedVerdictsTest.class, "recorded-verdicts.csv");
    }

    /**
     * Prints what is to be recorded.
     *
     * @param arguments none
     */
    public static void main(String[] arguments) {
        lines().forEach(System.out::println);
    }
}
