package lab.sassafras.experiment.bomb;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import lab.sassafras.account.Finding;
import lab.sassafras.account.HeatTerm;
import lab.sassafras.account.Remark;
import lab.sassafras.declaration.Caveat;
import lab.sassafras.declaration.Gear;
import lab.sassafras.declaration.Group;
import lab.sassafras.declaration.Span;
import lab.sassafras.declaration.Step;
import lab.sassafras.declaration.Task;
import lab.sassafras.draft.AccountBuilder;
import lab.sassafras.experiment.HeatBalanceExperiment;
import lab.sassafras.experiment.PossibleCause;
import lab.sassafras.expression.Constants;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Constant;
import lab.sassafras.expression.Expression.Product;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.slot.Slots;
import lab.sassafras.slot.VesselKind;

/**
 * What is burnt in a bomb, whatever it is: pellet, fuse and acid, the bucket with its water, and what must be ticked
 * off before the bomb is fired.
 */
public abstract class InBomb extends HeatBalanceExperiment {

    /** A bomb in its bucket, without the water: about 2 kJ/°C is usual (common practice, no source). */
    public static final VesselKind BOMB = new VesselKind("bomb", "bomb calorimeter", 2000, 6000, 3000);

    /** Where the pellet stands. */
    protected static final String PELLET = "pellet/mass";
    /** Where the water of the bucket stands. */
    protected static final String WATER = "bucket/water";
    /** Where the temperature before firing stands. */
    protected static final String START = "bucket/start";
    /** Where the temperature at the turn stands. */
    protected static final String END = "bucket/highest";

    private static final String HELPER = "helper/mass";
    private static final String DENSITY = "vacuum/pellet";
    /** Of the air of a room (g/mL). Common practice, no source. */
    private static final Expression AIR = new Constant(0.0012, "0.0012", BenchUnit.GRAMS_PER_MILLILITRE);
    /** Of the weights a balance is adjusted by, by agreement (g/mL). */
    private static final Expression WEIGHTS = new Constant(8.0, "8.0", BenchUnit.GRAMS_PER_MILLILITRE);

    private static final String WAY = "fuse/way";
    private static final String FIRED = "fired/at";
    private static final List<String> CHECKS = List.of("check/vessel", "check/charge", "check/leak");
    private static final String OF_BUOYANCY =
            "the correction for buoyancy (about 0.08 %: the certified value is per gram in vacuum, the pellet "
                    + "was weighed in air; calibration and sample largely cancel it)";
    private static final String OF_STATES = "that to standard states (usually below 0.1 %)";

    /**
     * A run in a bomb.
     *
     * @param key    stable name
     * @param method goes up when the same readings would give another number
     * @param unit   of the unknown
     */
    protected InBomb(String key, int method, BenchUnit unit) {
        super(key, method, unit);
    }

    @Override
    protected List<Group> slots() {
        return List.of(
                Group.once(
                        "fuse",
                        Slots.choice("way", "mass", "length", "none"),
                        Slots.quantity("heat", BenchUnit.JOULES_PER_GRAM)
                                .usually(1000, 20_000)
                                .orTakenAsKnown(),
                        Slots.quantity("heat-by-length", BenchUnit.JOULES_PER_CENTIMETRE)
                                .usually(1, 15)
                                .orTakenAsKnown()),
                Group.once(
                        "aid",
                        Slots.quantity("heat", BenchUnit.JOULES_PER_GRAM)
                                .usually(10_000, 50_000)
                                .orTakenAsKnown()
                                .ifKnown()),
                Group.once("vacuum", Slots.density("pellet").usually(0.8, 2).ifKnown()),
                Group.once(
                        "base",
                        Slots.concentration("concentration").usually(0.02, 0.2).ifKnown()),
                Group.perTrial("pellet", Slots.mass("mass").usually(0.4, 1.5)),
                Group.perTrial("helper", Slots.mass("mass").usually(0.01, 1).ifKnown()),
                Group.perTrial(
                        "wire",
                        Slots.mass("burnt").usually(0.002, 0.05),
                        Slots.quantity("before", BenchUnit.CENTIMETRES).usually(5, 15),
                        Slots.quantity("left", BenchUnit.CENTIMETRES).usually(0, 10)),
                Group.perTrial(
                        "check",
                        Slots.choice("vessel", "done"),
                        Slots.choice("charge", "done"),
                        Slots.choice("leak", "done"),
                        Slots.choice("vented", "done")),
                Group.perTrial(
                        "bucket",
                        Slots.liquid("water").usually(1500, 3000).orAssumed(2000, 5),
                        Slots.temperature("start").usually(18, 28),
                        Slots.temperature("highest").usually(20, 32)),
                Group.perTrial("fired", Slots.moment("at")),
                Group.perTrial("inside", Slots.choice("seen", "clean", "soot", "residue", "leak")),
                Group.perTrial(
                        "acid",
                        Slots.quantity("titre", BenchUnit.MILLILITRES)
                                .usually(1, 20)
                                .orTakenAsKnown()
                                .ifKnown()));
    }

    @Override
    public List<Task> tasks() {
        return List.of(
                Task.of("weigh", 3, 6).from(WAY).at(Gear.BALANCE).then(30),
                Task.of("charge", 4, 8).from("check/vessel").at(Gear.BOMB).then(0),
                Task.of("fire", 14, 18).from(WATER).at(Gear.BOMB, Gear.PROBE).then(0),
                Task.of("open", 3, 6).from("check/vented").at(Gear.BOMB),
                Task.of("titrate", 4, 8).from("acid/titre"),
                Task.of("clean", 4, 7).in(Task.Turn.LAST));
    }

    @Override
    protected List<Step> steps() {
        return List.of(
                Step.of(WAY),
                Step.of("fuse/heat").when(WAY, "mass"),
                Step.of("fuse/heat-by-length").when(WAY, "length"),
                Step.of(PELLET),
                Step.aside(HELPER),
                Step.aside("aid/heat"),
                Step.aside(DENSITY),
                Step.full("wire/burnt").when(WAY, "mass"),
                Step.of("wire/before").when(WAY, "length"),
                Step.of("check/vessel"),
                Step.of("check/charge"),
                Step.of("check/leak"),
                Step.of(WATER),
                Step.of(START).settling(5),
                Step.of(FIRED),
                Step.of(END).taking(8),
                Step.of("check/vented").taking(2),
                Step.of("inside/seen"),
                Step.empty("wire/burnt").when(WAY, "mass"),
                Step.of("wire/left").when(WAY, "length"),
                Step.of("acid/titre"),
                Step.of("base/concentration"));
    }

    @Override
    public Map<String, List<String>> tickedBefore() {
        return Map.of(FIRED, CHECKS, "inside/seen", List.of("check/vented"));
    }

    @Override
    public Optional<Span> span() {
        return Optional.of(new Span(START, END));
    }

    @Override
    public List<VesselKind> vessels() {
        return List.of(BOMB);
    }

    @Override
    public boolean thermometerStays() {
        return true;
    }

    @Override
    public List<Caveat> caveats() {
        return Stream.of("soot", "residue", "leak")
                .map(each -> Caveat.voiding("inside/seen", each))
                .toList();
    }

    @Override
    public List<PossibleCause> suspects() {
        return List.of(
                new PossibleCause("moist-pellet", PELLET, -0.005).ofItself().upTo(0.05),
                new PossibleCause("unburnt", PELLET, -0.01).ofItself().upTo(0.1),
                PossibleCause.from(START, "lost-to-jacket", END, 0.02).upTo(0.15),
                new PossibleCause("start-not-settled", START, 0.01).eitherWay().upTo(0.1),
                new PossibleCause("lost-water", WATER, -10).upTo(60),
                PossibleCause.heat("fuse-forgotten", 60)
                        .upTo(150)
                        .where((sheet, trial) ->
                                sheet.stated(WAY, trial).filter("none"::equals).isPresent()),
                PossibleCause.heat("acid-forgotten", 40)
                        .upTo(120)
                        .where((sheet, trial) ->
                                sheet.reading("acid/titre", trial).isEmpty()));
    }

    /**
     * {@return fuse and acid as parties, as far as they were told}
     *
     * @param draft what the books are drawn up from
     */
    protected static List<HeatTerm> besides(AccountBuilder draft) {
        List<HeatTerm> parties = new ArrayList<>();
        switch (draft.choice(WAY).orElse("none")) {
            case "mass" -> parties.add(fuse(draft.quantity("wire/burnt").times(draft.quantity("fuse/heat"))));
            case "length" ->
                parties.add(fuse(draft.quantity("wire/before")
                        .minus(draft.quantity("wire/left"))
                        .named(Symbol.of("l:burnt"), BenchUnit.CENTIMETRES)
                        .times(draft.quantity("fuse/heat-by-length"))));
            default -> {
                // its heat is in the constant, where calibration and sample are fired alike
            }
        }
        draft.quantityIfGiven(HELPER)
                .ifPresent(mass -> parties.add(HeatTerm.process(
                        "helper",
                        "what it was burnt with",
                        mass.times(draft.quantity("aid/heat")).negated())));
        draft.quantityIfGiven("acid/titre")
                .ifPresent(titre -> parties.add(HeatTerm.process(
                        "acid",
                        "nitric acid forming",
                        new Product(List.of(
                                titre.over(Constants.MILLILITRES_IN_LITRE)
                                        .times(draft.quantity("base/concentration"))
                                        .named(Symbol.of("n:acid"), BenchUnit.MOLES),
                                Constants.JOULES_IN_KILOJOULE,
                                draft.property("nitric-acid-formed", Symbol.of("ΔH:acid")))))));
        draft.choice("inside/seen");
        return parties;
    }

    private static HeatTerm fuse(Expression released) {
        return HeatTerm.process("fuse", "fuse, burnt", released.negated());
    }

    /**
     * {@return the pellet as it was weighed, or as it would weigh in vacuum where its density was given}
     *
     * @param draft what the books are drawn up from
     */
    protected static Expression pellet(AccountBuilder draft) {
        Expression weighed = draft.quantity(PELLET);
        return draft.quantityIfGiven(DENSITY)
                .<Expression>map(density -> weighed.plus(weighed.times(AIR.over(density)))
                        .minus(weighed.times(AIR.over(WEIGHTS)))
                        .named(Symbol.of("m:pellet in vacuum"), BenchUnit.GRAMS))
                .orElse(weighed);
    }

    /**
     * {@return what is left out of a run in a bomb, and how large it usually is}
     *
     * @param draft    what the books are drawn up from
     * @param standard whether standard states are told beside it, or asked for by nobody
     */
    protected static List<Remark> leftOut(AccountBuilder draft, boolean standard) {
        List<String> left = new ArrayList<>();
        if (draft.quantityIfGiven(DENSITY).isEmpty()) {
            left.add(OF_BUOYANCY);
        }
        if (!standard) {
            left.add(OF_STATES);
        }
        if (left.isEmpty()) {
            return List.of();
        }
        Finding said = Finding.note(
                "bomb.corrections",
                draft.figures()
                        .sentence("Left out " + (left.size() > 1 ? "are " : "is ") + String.join(" and ", left) + "."));
        return List.of(bindings -> Optional.of(said));
    }
}
