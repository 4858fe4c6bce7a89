package lab.sassafras.plan;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import lab.sassafras.account.Account;
import lab.sassafras.account.Solution;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.expression.Bindings;
import lab.sassafras.expression.Computation;
import lab.sassafras.expression.Expression;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.measure.Measured;
import lab.sassafras.sheet.Sheet;
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
 * @param met        how often the final temperature that was read lies where it was foreseen
 */
record Foreseen(String experiment, double ratio, double met) {

    private static final double VOLUME = 0.005;

    static Foreseen of(Plan plan, int many, long seed) {
        Expectation expected = Plans.expected(plan);
        Interval end = Plans.ends(expected).value();
        Random random = new Random(seed);
        List<Double> off = new ArrayList<>();
        int met = 0;
        for (int i = 0; i < many; i++) {
            double[] run = run(plan, expected, random);
            off.add(run[0]);
            met += run[1] >= end.low() && run[1] <= end.high() ? 1 : 0;
        }
        off.sort(Double::compare);
        double half = (off.get((int) (0.975 * many)) - off.get((int) (0.025 * many))) / 2;
        return new Foreseen(plan.experiment().key(), half / expected.result().half(), (double) met / many);
    }

    /** One run: how far its result is off, and the final temperature that was read. */
    private static double[] run(Plan plan, Expectation expected, Random random) {
        double truth = expected.reference().value() + expected.reference().uncertainty() * random.nextGaussian();
        Sheet sheet = plan.sheet();
        Set<String> read = sheet.lines().stream()
                .filter(line -> line.role() == Role.READ || line.role() == Role.VOLUME)
                .map(Line::key)
                .collect(Collectors.toSet());
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
        Plan asRead = plan;
        for (String path : plan.amounts()) {
            Plan.Had had = plan.one(path);
            double value = plan.amount(path).orElseThrow();
            if (had.role() == Role.READ && (plan.temperature(path) || had.unit().equals("g"))) {
                InstrumentKind kind = plan.temperature(path) ? InstrumentKind.THERMOMETER : InstrumentKind.BALANCE;
                asRead = asRead.with(path, Round.exact(reader.reads(plan.reads().get(kind), value)));
            } else if (had.role() == Role.VOLUME) {
                asRead = asRead.with(path, Round.exact(value * (1 + VOLUME * (2 * random.nextDouble() - 1))));
            }
        }
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
        Experiments.all().stream().filter(Plan::runs).forEach(each -> {
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
