package lab.sassafras.plan;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import lab.sassafras.experiment.Foresight;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.measure.Refused;
import lab.sassafras.slot.QuantitySlot;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Slot;
import lab.sassafras.substance.Hazard;

/**
 * What is to be prepared of a plan for so many benches and trials.
 *
 * @param lines      by kind, in order
 * @param substances named by the plan, as it names them
 */
public record Prepared(List<Line> lines, List<String> substances) {

    /** What kind of thing is prepared. */
    public enum Kind {
        /** Weighed out. */
        SOLID("Solids"),
        /** Made, or diluted. */
        SOLUTION("Solutions"),
        /** Water, ice, another liquid. */
        LIQUID("Water and other liquids"),
        /** Vessels, instruments, plates. */
        GEAR("Glassware and instruments"),
        /** For eyes and hands. */
        PROTECTION("Protective equipment"),
        /** Where it goes afterwards. */
        WASTE("Waste");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        /** {@return the heading it stands under} */
        public String words() {
            return words;
        }
    }

    /**
     * One thing.
     *
     * @param kind   of it
     * @param what   it is
     * @param amount of it in all, to spare too
     * @param unit   of the amount; empty for pieces
     * @param how    it is made, or what to mind
     * @param need   what the shelf is to hold for it; empty for what comes out of a tap
     * @param path   of the slot it is weighed or measured out for; empty for what is not
     */
    public record Line(
            Kind kind, String what, double amount, String unit, String how, Optional<Need> need, String path) {

        private Line(Kind kind, String what, double amount, String unit, String how) {
            this(kind, what, amount, unit, how, Optional.empty(), "");
        }
    }

    /**
     * What is taken off the shelf.
     *
     * @param what   a substance by formula or key, or a piece of gear
     * @param amount of it
     * @param unit   g or mL; empty for pieces
     */
    public record Need(String what, double amount, String unit) {}

    /** Most benches, and most trials of each. */
    public static final int MOST = 60;

    /** Most that is prepared to spare, in per cent. */
    public static final int SPARE = 200;

    /** Ice melts while it waits: so many times as much. No source. */
    private static final double MELTS = 1.5;
    /** Benches to a balance, and to a hot plate. No source. */
    private static final int SHARE = 4;
    /** What a piece of gear is called on the shelf that heats. */
    public static final String PLATE = "hot plate";

    /** From here on a hand is burnt (°C). Common practice, no source. */
    private static final double HOT = 50;
    /**
     * {@return what is to be prepared}
     *
     * @param plan    what is had for one trial
     * @param benches how many
     * @param trials  at each
     * @param spare   more than that, in per cent
     * @param bottles that stand on the shelf
     * @throws Refused where so many cannot be prepared for
     */
    public static Prepared of(Plan plan, int benches, int trials, double spare, List<Bottle> bottles) {
        if (benches < 1 || benches > MOST || trials < 1 || trials > MOST || !(spare >= 0 && spare <= SPARE)) {
            throw new Refused("Prepare for 1 to " + MOST + " benches, 1 to " + MOST + " trials at each, and 0 to "
                    + SPARE + " % to spare.");
        }
        // what may not be done is not prepared either, whoever asks
        Refusals.of(plan).stream().findFirst().ifPresent(why -> {
            throw new Refused(why.message());
        });
        return new Making(plan, benches, benches * trials * (1 + spare / 100), bottles).prepared();
    }

    /**
     * {@return substances a plan names, as it names them, whether it may be done or not}
     *
     * @param plan what is had
     */
    public static List<String> substances(Plan plan) {
        return new Making(plan, 1, 1, List.of()).prepared().substances();
    }

    /** Works the list out. */
    private static final class Making {

        private final Plan plan;
        private final int benches;
        private final double times;
        private final List<Bottle> bottles;
        private final Figures figures;
        private final List<Line> lines = new ArrayList<>();
        private final Set<String> substances = new LinkedHashSet<>();
        private final Optional<Foresight.Seen> seen;

        Making(Plan plan, int benches, double times, List<Bottle> bottles) {
            this.bottles = bottles;
            this.plan = plan;
            this.benches = benches;
            this.times = times;
            this.figures = plan.setting().figures();
            this.seen = seen(plan);
        }

        /** What cannot be foreseen is said where it is to be expected; here nothing is made ready for it. */
        private static Optional<Foresight.Seen> seen(Plan plan) {
            try {
                return plan.seen();
            } catch (Refused notKnown) {
                return Optional.empty();
            }
        }

        Prepared prepared() {
            plan.had().forEach((path, had) -> {
                if (had.role() == Role.STATED) {
                    substances.addAll(Handled.named(
                            plan.experiment(), plan.setting(), Plan.at(path).path(), had.text()));
                } else if (!plan.temperature(path)
                        && plan.experiment().foresight().isEmpty()) {
                    amount(path, had);
                }
            });
            seen.stream().flatMap(each -> each.used().stream()).forEach(this::used);
            gear();
            protection();
            waste();
            lines.sort(java.util.Comparator.comparing(Line::kind));
            return new Prepared(List.copyOf(lines), List.copyOf(substances));
        }

        private void used(Foresight.Used each) {
            boolean tap = each.what().equals("water");
            if (!tap) {
                substances.add(each.what());
            }
            lines.add(new Line(
                    each.poured() ? Kind.LIQUID : Kind.SOLID,
                    each.name(),
                    each.grams() * times,
                    "g",
                    "",
                    tap ? Optional.empty() : Optional.of(new Need(each.what(), each.grams() * times, "g")),
                    ""));
        }

        private void amount(String path, Plan.Had had) {
            double each = plan.amount(path).orElseThrow();
            String label = plan.experiment().words().label(path);
            Slot slot = plan.experiment().slot(path).orElseThrow();
            String start = path.replaceAll("/.*", "/start");
            double at = plan.had().containsKey(start) ? plan.amount(start).orElse(Lab.ROOM) : Lab.ROOM;
            boolean frozen = at <= 0;
            Optional<QuantitySlot.Dissolved> dissolved =
                    slot.dissolved().filter(of -> plan.had().containsKey(of.formula()));
            if (dissolved.isPresent() && had.role() == Role.VOLUME) {
                solution(path, label, each * times, dissolved.get());
            } else if (liquid(path)) {
                boolean told = plan.had().containsKey(start);
                lines.add(new Line(
                        Kind.LIQUID,
                        label + of(path) + (told ? ", at " + figures.plain(at) + " °C" : ""),
                        each * times,
                        had.unit(),
                        at > HOT ? heating(each * times, at) : "",
                        substance(path)
                                .filter(what -> !what.equals("water"))
                                .map(what -> new Need(what, each * times, had.unit())),
                        path));
            } else if (had.unit().equals("g")) {
                lines.add(new Line(
                        frozen ? Kind.LIQUID : Kind.SOLID,
                        label + of(path),
                        each * times * (frozen ? MELTS : 1),
                        "g",
                        frozen ? "Half as much again melts while it waits." : "",
                        substance(path).map(what -> new Need(what, each * times, "g")),
                        path));
            }
        }

        /** How long it takes on a plate. */
        private String heating(double grams, double to) {
            return "From " + figures.plain(Lab.ROOM) + " °C on one plate of "
                    + figures.plain(plan.lab().plate()) + " W about "
                    + figures.fixed(Math.ceil(plan.lab().minutes(grams, to)), 0) + " min.";
        }

        /** Which substance it is: what the step says, what is named as its group is, or the one the plan is of. */
        private Optional<String> substance(String path) {
            return plan.experiment().procedure().stream()
                    .filter(step -> step.path().equals(path))
                    .flatMap(step -> step.exposed().stream())
                    .findFirst()
                    .or(() -> plan.had().keySet().stream()
                            .filter(each -> each.endsWith("/" + path.replaceAll("/.*", "")))
                            .findFirst())
                    .or(() -> Purpose.Apart.place(plan).filter(any -> !poured(path)))
                    .flatMap(place -> Optional.ofNullable(plan.had().get(place)))
                    .filter(had -> had.role() == Role.STATED)
                    .map(Plan.Had::text);
        }

        private boolean poured(String path) {
            return plan.experiment()
                    .slot(path)
                    .filter(slot -> slot.roles().contains(Role.VOLUME))
                    .isPresent();
        }

        private boolean liquid(String path) {
            return poured(path)
                    || substance(path)
                            .flatMap(plan.setting().shelf()::find)
                            .filter(each -> !each.kind().solid())
                            .isPresent();
        }

        private String of(String path) {
            return substance(path)
                    .map(text -> ", "
                            + plan.setting()
                                    .shelf()
                                    .find(text)
                                    .map(each -> each.name())
                                    .orElse(text))
                    .orElse("");
        }

        private void solution(String path, String label, double millilitres, QuantitySlot.Dissolved of) {
            String formula = plan.one(of.formula()).text();
            double concentration = plan.amount(of.concentration()).orElse(0);
            Recipe recipe = Recipe.of(formula, concentration, millilitres, bottles, figures);
            lines.add(new Line(
                    Kind.SOLUTION,
                    label + ", " + formula + " " + figures.plain(concentration) + " mol/L",
                    millilitres,
                    "mL",
                    recipe.words(),
                    recipe.need(),
                    path));
        }

        private void gear() {
            boolean foreseen = plan.experiment().foresight().isPresent();
            plan.setting()
                    .calorimeter()
                    .filter(any -> !foreseen)
                    .ifPresent(vessel -> gear(
                            vessel.kind().words() + ", with a lid",
                            benches,
                            "one to a bench",
                            vessel.kind().words()));
            plan.reads().entrySet().stream()
                    .filter(each -> !foreseen || plan.reads(each.getKey()))
                    .forEach(of -> {
                        InstrumentKind kind = of.getKey();
                        Instrument each = of.getValue();
                        boolean shared = kind.equals(InstrumentKind.BALANCE);
                        gear(
                                kind.word() + " that reads " + figures.plain(each.resolution()) + " "
                                        + each.unit().symbol(),
                                shared ? shared() : benches,
                                shared ? "one to " + SHARE + " benches" : "one to a bench",
                                kind.word());
                    });
            plan.experiment().foresight().stream()
                    .flatMap(each -> each.gear().stream())
                    .forEach(what -> gear(what, benches, "one to a bench", what));
            if (hot() && seen.isEmpty()) {
                gear(
                        "hot plate with a beaker, or a bath",
                        shared(),
                        "leave room in the beaker: what is put in lifts the water",
                        PLATE);
            }
            if (plan.had().values().stream().anyMatch(each -> each.role() == Role.VOLUME)) {
                gear("measuring cylinder", benches, "one to a bench", "measuring cylinder");
            }
        }

        private void gear(String what, double pieces, String how, String need) {
            lines.add(new Line(Kind.GEAR, what, pieces, "", how, Optional.of(new Need(need, pieces, "")), ""));
        }

        private double shared() {
            return Math.ceil((double) benches / SHARE);
        }

        private boolean hot() {
            return plan.amounts().stream()
                            .anyMatch(path ->
                                    plan.temperature(path) && plan.amount(path).orElseThrow() > HOT)
                    || seen.flatMap(Foresight.Seen::timed).stream()
                            .flatMap(each -> each.curve().stream())
                            .anyMatch(each -> each.temperature() > HOT);
        }

        private List<Hazard> hazards() {
            return substances.stream().flatMap(each -> Hazard.of(each).stream()).toList();
        }

        private void protection() {
            lines.add(new Line(Kind.PROTECTION, "eye protection", 0, "", "for everybody in the room"));
            if (hazards().stream().anyMatch(each -> !each.hazard().isEmpty())) {
                lines.add(new Line(
                        Kind.PROTECTION, "gloves that withstand what is handled", 0, "", "look in its sheet which"));
            }
            if (hazards().stream().anyMatch(Hazard::strong)) {
                lines.add(new Line(Kind.PROTECTION, "rinsing water for eyes within reach", 0, "", "strong corrosives"));
            }
            if (hot()) {
                lines.add(new Line(
                        Kind.PROTECTION,
                        "tongs or gloves against heat",
                        benches,
                        "",
                        "above " + figures.plain(HOT) + " °C"));
            }
        }

        private void waste() {
            boolean metals = hazards().stream()
                    .anyMatch(each ->
                            each.hazard().contains("H410") || each.hazard().contains("H411"));
            boolean flammable = hazards().stream().anyMatch(Hazard::flammable);
            boolean caustic = hazards().stream().anyMatch(Hazard::acidOrBase);
            if (metals) {
                lines.add(new Line(Kind.WASTE, "harmful to water life", 0, "", "collected, never down the drain"));
            }
            if (flammable) {
                lines.add(
                        new Line(Kind.WASTE, "flammable liquids", 0, "", "collected apart, closed, away from flames"));
            }
            if (caustic) {
                lines.add(new Line(
                        Kind.WASTE, "acids and bases", 0, "", "collected apart, neutralized by who is trained for it"));
            }
            if (!metals && !flammable && !caustic) {
                lines.add(new Line(
                        Kind.WASTE,
                        "what the lab’s own rules say",
                        0,
                        "",
                        "nothing here is remembered as needing a canister"));
            }
        }
    }
}
