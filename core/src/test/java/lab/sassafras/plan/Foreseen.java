package lab.sassafras.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import lab.sassafras.account.Account;
import lab.sassafras.account.Solution;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.experiment.Foresight;
import lab.sassafras.expression.Bindings;
import lab.sassafras.expression.Computation;
import lab.sassafras.expression.Expression;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.measure.Measured;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.simulate.Bench;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Role;
import lab.sassafras.verdict.Interval;

/**
 * Runs of a plan whose truth is drawn: what stands on labels and in handbooks is off as it says, every instrument has
 * an offset, a gain and a step of its own; what is read is worked out by the account.
 *
 * @param experiment its key
 * @param ratio      half the width between which the middle 95 % of the results lie about the truth, over what was
 *                   foreseen
 * @param met        how often the final temperature that was read lies where it was foreseen; NaN where none is
 */
record Foreseen(String experiment, double ratio, double met) {

    private static final double VOLUME = 0.005;

    static Foreseen of(Plan plan, int many, long seed) {
        Expectation expected = Plans.expected(plan);
        if (expected.seen().isPresent()) {
            return seen(plan, expected, many, seed);
        }
        Interval end = Plans.ends(expected).value();
        Random random = new Random(seed);
        List<Double> off = new ArrayList<>();
        int met = 0;
        for (int i = 0; i < many; i++) {
            double[] run = run(plan, expected, random);
            off.add(run[0]);
            met += run[1] >= end.low() && run[1] <= end.high() ? 1 : 0;
        }
        return new Foreseen(
                plan.experiment().key(), middle(off) / expected.result().half(), (double) met / many);
    }

    /** Half the width between which the middle 95 % lie. */
    private static double middle(List<Double> off) {
        off.sort(Double::compare);
        return (off.get((int) (0.975 * off.size())) - off.get((int) (0.025 * off.size()))) / 2;
    }

    /** Where no final temperature is sought: a curve is another run, all else is read as it is foreseen. */
    private static Foreseen seen(Plan plan, Expectation expected, int many, long seed) {
        Random random = new Random(seed);
        Foresight.Seen foreseen = expected.seen().orElseThrow();
        Sheet told = plan.sheet(foreseen);
        Account account = Expectation.account(plan, told);
        List<Double> off = new ArrayList<>();
        for (int i = 0; i < many; i++) {
            Reader reader = new Reader(random);
            Plan asRead = asRead(plan, reader);
            Foresight.Seen read = foreseen.timed().isPresent()
                    ? another(plan, foreseen, seed + i)
                    : new Foresight.Seen(
                            foreseen.readings().stream()
                                    .map(each -> read(plan, reader, each))
                                    .toList(),
                            Optional.empty(),
                            List.of(),
                            "");
            Sheet whole = asRead.sheet(read);
            double found = Expectation.account(asRead, whole)
                    .estimate(whole.bindings())
                    .orElseThrow()
                    .value();
            double truth = foreseen.timed().isPresent()
                    ? expected.reference().value()
                    : account.estimate(drawn(account, told, random))
                            .orElseThrow()
                            .value();
            off.add(found - truth);
        }
        return new Foreseen(
                plan.experiment().key(), middle(off) / expected.result().half(), Double.NaN);
    }

    private static Foresight.Seen another(Plan plan, Foresight.Seen of, long seed) {
        Map<String, Double> wished = new HashMap<>(plan.wished());
        wished.put("fusion", 181.0);
        Bench.Played played = Bench.usual(seed, 1)
                .with(Optional.empty(), Optional.ofNullable(plan.reads().get(InstrumentKind.THERMOMETER)))
                .wishing(wished, plan.one("sample/substance").text())
                .atOnce(plan.experiment().scene().orElseThrow());
        String path = of.timed().orElseThrow().path();
        return new Foresight.Seen(
                List.of(), Optional.of(new Foresight.Timed(path, played.curve(), played.mixed())), List.of(), "");
    }

    private static Foresight.Reading read(Plan plan, Reader reader, Foresight.Reading each) {
        double value = Double.parseDouble(each.text());
        double shown = each.unit().equals("mL")
                ? reader.measures(value)
                : reader.reads(plan.reads().get(InstrumentKind.BALANCE), value);
        return new Foresight.Reading(each.path(), Round.exact(shown), each.unit(), each.from());
    }

    /** What stands in handbooks is off as it says. */
    private static Bindings drawn(Account account, Sheet told, Random random) {
        Bindings drawn = told.bindings();
        Set<String> read = read(told);
        for (Expression.Input input : inputs(account, told.bindings())) {
            if (!read.contains(input.key()) && drawn.values().containsKey(input.key())) {
                Measured known = told.bindings().of(input);
                drawn = drawn.with(
                        input.key(), Measured.exact(known.value() + known.uncertainty() * random.nextGaussian()));
            }
        }
        return drawn;
    }

    private static Set<String> read(Sheet sheet) {
        return sheet.lines().stream()
                .filter(line -> line.role() == Role.READ || line.role() == Role.VOLUME)
                .map(Line::key)
                .collect(Collectors.toSet());
    }

    /** The amounts of a plan as a bench weighs, measures and reads them. */
    private static Plan asRead(Plan plan, Reader reader) {
        Plan asRead = plan;
        for (String path : plan.amounts()) {
            Plan.Had had = plan.one(path);
            double value = plan.amount(path).orElseThrow();
            if (had.role() == Role.READ && (plan.temperature(path) || had.unit().equals("g"))) {
                InstrumentKind kind = plan.temperature(path) ? InstrumentKind.THERMOMETER : InstrumentKind.BALANCE;
                asRead = asRead.with(path, Round.exact(reader.reads(plan.reads().get(kind), value)));
            } else if (had.role() == Role.VOLUME) {
                asRead = asRead.with(path, Round.exact(reader.measures(value)));
            }
        }
        return asRead;
    }

    /** One run: how far its result is off, and the final temperature that was read. */
    private static double[] run(Plan plan, Expectation expected, Random random) {
        double truth = expected.reference().value() + expected.reference().uncertainty() * random.nextGaussian();
        Sheet sheet = plan.sheet();
        Set<String> read = read(sheet);
        Sheet seeking = sheet.supposing().seeking(Plan.at(plan.span().end()), Measured.exact(truth));
        Account account = Expectation.account(plan, seeking);
        Bindings told = seeking.bindings();
        Bindings drawn = told;
        for (Expression.Input input : inputs(account, told)) {
            String key = input.key();
            if (!read.contains(key)
                    && (told.values().containsKey(key) || told.beneath().containsKey(key))) {
                Measured known = told.of(input);
                drawn = drawn.with(key, Measured.exact(known.value() + known.uncertainty() * random.nextGaussian()));
            }
        }
        double end = account.estimate(drawn).orElseThrow().value();
        Reader reader = new Reader(random);
        Plan asRead = asRead(plan, reader);
        double ended = reader.reads(plan.reads().get(InstrumentKind.THERMOMETER), end);
        Sheet whole = asRead.sheet().supposing().with(asRead.ending(ended));
        return new double[] {
            Expectation.account(asRead, whole)
                            .estimate(whole.bindings())
                            .orElseThrow()
                            .value()
                    - truth,
            ended
        };
    }

    private static Set<Expression.Input> inputs(Account account, Bindings bindings) {
        Solution solution = account.solve(bindings).solution().orElseThrow();
        return new LinkedHashSet<>(new Computation(solution.result(), solution.bindings()).inputs());
    }

    /** Instruments of one run. */
    private static final class Reader {

        private final double[] offset;
        private final double[] gain;
        private final Random random;

        Reader(Random random) {
            this.random = random;
            this.offset = new double[] {random.nextGaussian(), random.nextGaussian()};
            this.gain = new double[] {2 * random.nextDouble() - 1, 2 * random.nextDouble() - 1};
        }

        double measures(double truth) {
            return truth * (1 + VOLUME * (2 * random.nextDouble() - 1));
        }

        double reads(Instrument on, double truth) {
            int which = on.kind().equals(InstrumentKind.BALANCE) ? 0 : 1;
            double shown = truth
                    + offset[which] * on.offsetUncertainty()
                    + gain[which] * on.correction().gain() * (truth - on.kind().origin());
            // where between two steps it lies differs by the hand that fills and by the room
            double step = on.resolution();
            double shifted = shown + step * (random.nextDouble() - 0.5);
            return Math.rint(shifted / step) * step + shown - shifted;
        }
    }

    /** The table: {@code Foreseen 2000 1}. */
    public static void main(String[] arguments) {
        int many = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 2000;
        long seed = arguments.length > 1 ? Long.parseLong(arguments[1]) : 1;
        Experiments.all().stream().filter(Plan::possible).forEach(each -> {
            long began = System.nanoTime();
            Foreseen found = of(Plans.of(each), many, seed);
            System.out.printf(
                    Locale.ROOT,
                    "%-26s half of the middle 95 %% over what was foreseen %.2f, temperature met %.1f %%; %.1f ms%n",
                    found.experiment(),
                    found.ratio(),
                    100 * found.met(),
                    (System.nanoTime() - began) / 1e6 / many);
        });
    }
}
