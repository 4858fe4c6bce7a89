package lab.sassafras.verdict;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;
import java.util.function.IntToDoubleFunction;
import lab.sassafras.account.HeatBalance;
import lab.sassafras.account.HeatTerm;
import lab.sassafras.account.SingleAccount;
import lab.sassafras.account.Solution;
import lab.sassafras.convention.CalorimeterTreatment;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.Conventions;
import lab.sassafras.curve.Baselines;
import lab.sassafras.curve.CurveMethod;
import lab.sassafras.declaration.Span;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.experiment.PossibleCause;
import lab.sassafras.experiment.PossibleCause.Cause;
import lab.sassafras.expression.Bindings;
import lab.sassafras.expression.Computation;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.Measured;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Slot;
import lab.sassafras.slot.TraceUse;
import lab.sassafras.slot.VesselKind;
import lab.sassafras.substance.Reference;
import lab.sassafras.yardstick.Judged;

/**
 * Suspects applied to the account of one trial: for each, what the result would be at any size of the error. A reading
 * is moved on the tape of the account; heat and things on no account are a party more of the same books; what was left
 * out is put on the sheet and the books drawn up anew, once.
 */
final class CauseEffect {

    private static final Input HEAT =
            new Input("suspected:heat", Symbol.of("q:suspected"), "heat on no account", BenchUnit.JOULES);
    /**
     * So much a vessel that was ignored is believed to have held, with lid, probe and stirrer (J/°C; common practice).
     */
    private static final double USUAL_IGNORED = 50;

    /** The curve is read again for moments of mixing so far apart (s). No source. */
    private static final double BETWEEN_MARKS = 5;

    /** At least this part of what was read on a balance is what was to be weighed (no source). */
    private static final double CONTENT = 0.1;

    private static final Input ALONG =
            new Input("suspected:along", Symbol.of("C:suspected"), "on no account", BenchUnit.JOULES_PER_DEGREE);

    private final Sheet sheet;
    private final Conventions conventions;
    private final Solution solution;
    private final int trial;
    private final Computation result;
    private final Lazy<Optional<Computation>> withParties = new Lazy<>(this::withParties);

    private final Lazy<Optional<Reference>> reference = new Lazy<>(this::reference);

    CauseEffect(Sheet sheet, Conventions conventions, Solution solution) {
        this.sheet = sheet;
        this.conventions = conventions;
        this.solution = solution;
        this.trial = solution.account().trial();
        this.result = new Computation(solution.result(), solution.bindings());
    }

    /**
     * One suspect applied.
     *
     * @param at    the result at a size of the error (unit of the result by unit of the error)
     * @param size  a plausible size (unit of the error)
     * @param most  the largest to believe, as a distance (unit of the error)
     * @param unit  symbol of the error's unit
     * @param steps whether it is either so or not, and has no size between
     * @param moved what one unit of it moves the reference by, as a temperature does (unit of the result by unit of the
     *              error)
     */
    record Applied(DoubleUnaryOperator at, double size, double most, String unit, boolean steps, double moved) {

        Applied(DoubleUnaryOperator at, double size, double most, String unit, boolean steps) {
            this(at, size, most, unit, steps, 0);
        }

        Applied movingReference(double by) {
            return new Applied(at, size, most, unit, steps, by);
        }
    }

    private Optional<Reference> reference() {
        return judged(sheet).flatMap(Judgement::found).map(Agreement::reference);
    }

    double asItStands() {
        return result.value();
    }

    /** Empty where the suspect cannot have been here, or moves nothing this account knows. */
    Optional<Applied> apply(PossibleCause suspect) {
        if (!suspect.condition().holds(sheet, trial)) {
            return Optional.empty();
        }
        Cause cause = suspect.cause();
        if (cause instanceof Cause.Read read) {
            return slot(read).optional() ? leftOut(suspect, read) : read(suspect, read);
        }
        if (cause instanceof Cause.Heat) {
            return withParties.get().map(books -> moved(books, HEAT, suspect, suspect.size()));
        }
        if (cause instanceof Cause.AlongWith) {
            return withParties.get().map(books -> moved(books, ALONG, suspect, suspect.size()));
        }
        if (cause instanceof Cause.LeftOutCalorimeter) {
            return calorimeter();
        }
        if (cause instanceof Cause.OtherConstant) {
            return otherConstant();
        }
        return cause instanceof Cause.Mark
                ? marked(suspect)
                : cause instanceof Cause.OtherReagent ? otherReagent() : Optional.empty();
    }

    /**
     * Another answer, worked and judged by its own reference.
     *
     * @param answer the other answer
     * @param size  of it (unit of the suspect)
     * @param value the result with it (unit of the result)
     * @param found how that stands to its own reference
     */
    record Otherwise(String answer, double size, double value, Agreement found) {}

    /** Every other answer that can be judged; none where nothing was answered. */
    List<Otherwise> otherwise(Cause.Answered cause) {
        Address address = sheet.address(cause.path(), trial);
        List<Otherwise> all = new ArrayList<>();
        sheet.stated(address)
                .ifPresent(answered -> cause.instead()
                        .of(answered, sheet)
                        .forEach((answer, size) -> judged(sheet.supposing().answering(address, answer))
                                .ifPresent(worked -> worked.found()
                                        .ifPresent(found ->
                                                all.add(new Otherwise(answer, size, worked.value(), found))))));
        return all;
    }

    /**
     * A reading as it may have been.
     *
     * @param line    that was typed
     * @param text    it may have had; empty where it is a size that is sought
     * @param applied its effect
     */
    record Slipped(Line line, String text, Applied applied) {}

    /** Every reading of this account as it may have been misread or miswritten; each is one size, and no other. */
    List<Slipped> misread() {
        List<Slipped> all = new ArrayList<>();
        for (Line line : sheet.lines()) {
            ofAccount(line)
                    .ifPresent(input -> Slips.of(line, sheet.setting().figures().mark())
                            .forEach(slip -> all.add(new Slipped(
                                    line,
                                    slip.text(),
                                    new Applied(
                                            step -> result.shifted(input, step),
                                            slip.error(),
                                            Math.abs(slip.error()),
                                            input.unit().symbol(),
                                            true)))));
        }
        return all;
    }

    /** Every mass of this account read as it stands, from which a vessel may not have been taken off. */
    List<Slipped> withVessel(PossibleCause suspect) {
        List<Slipped> all = new ArrayList<>();
        for (Line line : sheet.lines()) {
            if (line.role() == Role.READ
                    && line.unit()
                            .filter(each -> each.dimension().equals(Dimension.MASS))
                            .isPresent()) {
                ofAccount(line)
                        .ifPresent(input -> all.add(new Slipped(
                                line,
                                "",
                                new Applied(
                                        step -> result.shifted(input, step),
                                        suspect.size(),
                                        Math.min(suspect.most(), (1 - CONTENT) * line.value()),
                                        input.unit().symbol(),
                                        false))));
            }
        }
        return all;
    }

    private Optional<Input> ofAccount(Line line) {
        return result.inputs().stream()
                .filter(input -> input.key().equals(line.key()))
                .findFirst();
    }

    /** How the result stands to its reference were a reading another, judged anew: the reference may hang on it too. */
    Optional<Agreement> retyped(Slipped slip) {
        return judged(sheet.supposing()
                        .retyped(slip.line(), slip.text(), slip.applied().size()))
                .flatMap(Judgement::found);
    }

    private record Judgement(double value, Optional<Agreement> found) {}

    /** Only by its reference: what is plausible is judged by these very suspects. */
    private Optional<Judgement> judged(Sheet other) {
        return solved(other).stream()
                .filter(solved ->
                        solved.result().unit().equals(solution.result().unit()))
                .findFirst()
                .map(solved -> new Judgement(
                        solved.estimate().value(),
                        Verdict.agreement(
                                Verdict.parts(new Judged(other, trial, solved.estimate(), solved, 1)),
                                Interval.of(solved.estimate()))));
    }

    private Optional<Solution> solved(Sheet other) {
        return Experiments.declaring(other.experiment())
                .accounts(other, conventions)
                .get(trial - 1)
                .solve(other.bindings())
                .solution();
    }

    /** A reading that enters the account, moved. */
    private Optional<Applied> read(PossibleCause suspect, Cause.Read read) {
        return input(result.inputs(), read.path())
                .map(input -> moved(result, input, suspect, suspect.error(sheet, trial)))
                .map(applied -> applied.movingReference(ofReference(read.path(), applied.size())));
    }

    /** What the reference moves by with a reading, such as a temperature or what a dilution hangs on. */
    private double ofReference(String path, double size) {
        Optional<Reference> stands = reference.get();
        return stands.flatMap(any -> sheet.reading(path, trial))
                .flatMap(line -> judged(sheet.supposing().retyped(line, line.text(), size)))
                .flatMap(Judgement::found)
                .map(found -> (found.reference().value() - stands.get().value()) / size)
                .filter(Double::isFinite)
                .orElse(0.0);
    }

    private Applied moved(Computation account, Input input, PossibleCause suspect, double size) {
        PossibleCause.Measure measure = suspect.measure();
        double recorded = measure.share() ? Math.abs(account.value(input)) : 1;
        return new Applied(
                step -> account.shifted(input, step),
                size * recorded,
                suspect.most() * recorded,
                input.unit().symbol(),
                false);
    }

    /** A quantity that may be left out, and was: its books drawn up once with it, then moved. */
    private Optional<Applied> leftOut(PossibleCause suspect, Cause.Read read) {
        Address address = sheet.address(read.path(), trial);
        if (sheet.filled(address)) {
            return Optional.empty();
        }
        Slot slot = slot(read);
        Line line = new Line(
                address,
                Role.READ,
                "",
                read.countedAs() + suspect.size(),
                -1,
                0,
                slot.unit(Role.READ),
                Optional.empty(),
                OptionalDouble.of(0),
                "");
        Sheet with = sheet.supposing().with(line);
        Sheet answered = read.answer()
                .map(answer -> with.supposing().with(stated(sheet.address(answer.path(), trial), answer.answer())))
                .orElse(with);
        return solved(answered).stream()
                .map(told -> new Computation(told.result(), told.bindings()))
                .flatMap(account -> input(account.inputs(), read.path()).stream()
                        .map(input -> new Applied(
                                step -> account.shifted(input, step - suspect.size()),
                                suspect.size(),
                                suspect.most(),
                                input.unit().symbol(),
                                false)))
                .findFirst();
    }

    /** The vessel at what it is known to hold, or at what is middling for its kind. */
    private Optional<Applied> calorimeter() {
        Calorimeter vessel = sheet.calorimeter(trial).orElseThrow();
        boolean counted = counted(vessel);
        double held = vessel.constant()
                .map(pinned -> pinned.value().value())
                .orElse(vessel.kind().typical());
        return counted || held <= 0
                ? Optional.empty()
                : withParties
                        .get()
                        .map(books -> new Applied(
                                step -> books.shifted(ALONG, step),
                                held,
                                Math.max(
                                        held,
                                        Math.max(USUAL_IGNORED, vessel.kind().largest())),
                                ALONG.unit().symbol(),
                                false));
    }

    private boolean counted(Calorimeter vessel) {
        CalorimeterTreatment.Needs needs =
                conventions.in(ConventionQuestion.CALORIMETER).needs();
        return needs == CalorimeterTreatment.Needs.MATERIAL
                || needs != CalorimeterTreatment.Needs.NOTHING
                        && vessel.constant().isPresent();
    }

    /** What the vessel takes beside the constant it is counted with: what a glass one does, or as much again. */
    private Optional<Applied> otherConstant() {
        Calorimeter vessel = sheet.calorimeter(trial).orElseThrow();
        double held = vessel.constant().map(pinned -> pinned.value().value()).orElse(0.0);
        return !counted(vessel) || held <= 0
                ? Optional.empty()
                : withParties
                        .get()
                        .map(books -> new Applied(
                                step -> books.shifted(ALONG, step),
                                Math.max(held, VesselKind.GLASS_BEAKER.typical()),
                                Math.max(held, VesselKind.GLASS_BEAKER.largest()),
                                ALONG.unit().symbol(),
                                false));
    }

    /** The curve read once more with another moment of mixing, in steps; between them the result goes straight. */
    private Optional<Applied> marked(PossibleCause suspect) {
        Optional<CurveMethod> way = conventions.in(ConventionQuestion.CHANGE).way();
        Optional<Line> used = sheet.lines().stream()
                .filter(line -> line.address().index() == trial
                        && line.role() == Role.STATED
                        && TraceUse.of(line.text()).isPresent())
                .reduce((earlier, later) -> later);
        if (way.isEmpty() || used.isEmpty() || sheet.curves().baselines(trial).isEmpty()) {
            return Optional.empty();
        }
        TraceUse use = TraceUse.of(used.get().text()).orElseThrow();
        OptionalDouble begins =
                sheet.curves().baselines(trial).map(Baselines::begins).orElse(OptionalDouble.empty());
        Map<Integer, Double> read = new HashMap<>(Map.of(0, asItStands()));
        IntToDoubleFunction at = step -> read.computeIfAbsent(
                step, any -> mixedAt(used.get().address(), use, use.mixing() + step * BETWEEN_MARKS));
        return Optional.of(new Applied(
                seconds -> {
                    int below = (int) Math.floor(seconds / BETWEEN_MARKS);
                    double past = seconds / BETWEEN_MARKS - below;
                    return past == 0
                            ? at.applyAsDouble(below)
                            : (1 - past) * at.applyAsDouble(below) + past * at.applyAsDouble(below + 1);
                },
                begins.orElse(suspect.size()),
                Math.max(suspect.most(), Math.abs(begins.orElse(0))),
                BenchUnit.SECONDS.symbol(),
                false));
    }

    private double mixedAt(Address place, TraceUse use, double seconds) {
        if (!(seconds > use.from() && seconds < use.to())) {
            return Double.NaN;
        }
        String text = use.mixedAt(Math.rint(seconds * 10) / 10).text();
        return solved(sheet.supposing().answering(place, text))
                .map(solved -> solved.estimate().value())
                .orElse(Double.NaN);
    }

    private Optional<Applied> otherReagent() {
        return solution.account() instanceof SingleAccount<?> books
                ? books.beside()
                        .other()
                        .map(factor -> new Computation(factor, solution.bindings()).value())
                        .filter(factor -> factor > 0 && factor < 0.999)
                        .map(factor -> new Applied(step -> asItStands() * (1 + step * (factor - 1)), 1, 1, "", true))
                : Optional.empty();
    }

    /** The same books with heat from outside and something that warmed along, both of no size yet. */
    private Optional<Computation> withParties() {
        Optional<Span> span = sheet.experiment().span();
        if (span.isEmpty()
                || !(solution.account() instanceof HeatBalance ledger)
                || ledger.beside().answer().isPresent()) {
            return Optional.empty();
        }
        Optional<Input> start = input(result.inputs(), span.get().start());
        Optional<Input> end = input(result.inputs(), span.get().end());
        if (start.isEmpty() || end.isEmpty()) {
            return Optional.empty();
        }
        List<HeatTerm> parties = new ArrayList<>(ledger.parties());
        parties.add(HeatTerm.process("suspected", "suspected", HEAT.negated()));
        parties.add(HeatTerm.vessel("along", "along", ALONG, start.get(), end.get()));
        Bindings bindings =
                solution.bindings().with(HEAT.key(), Measured.exact(0)).with(ALONG.key(), Measured.exact(0));
        return new HeatBalance(trial, parties, ledger.unknown(), ledger.bounds(), ledger.beside())
                .solved()
                .map(solved -> new Computation(solved.result(), bindings));
    }

    private Slot slot(Cause.Read read) {
        return sheet.experiment().slot(read.path()).orElseThrow();
    }

    private static Line stated(Address address, String answer) {
        return new Line(
                address, Role.STATED, answer, 0, -1, 0, Optional.empty(), Optional.empty(), OptionalDouble.empty(), "");
    }

    /** The input a slot gives: the first that stands in it, or the temperature the curve gives in its place. */
    private Optional<Input> input(List<Input> inputs, String path) {
        int slash = path.indexOf('/');
        String group = path.substring(0, slash) + "[";
        String slot = "]" + path.substring(slash) + ".";
        return inputs.stream()
                .filter(input -> input.key().startsWith(group) && input.key().contains(slot))
                .findFirst()
                .or(() -> sheet.experiment()
                        .span()
                        .map(span -> path.equals(span.start()) ? "-start" : path.equals(span.end()) ? "-end" : "-none")
                        .flatMap(which -> inputs.stream()
                                .filter(input -> input.key().startsWith("curve[")
                                        && input.key().endsWith(which))
                                .findFirst()));
    }
}
