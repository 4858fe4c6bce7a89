package lab.sassafras.app.planpages;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lab.sassafras.app.plans.PlanFile;
import lab.sassafras.app.shelf.Shelf;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.TypedNumber;
import lab.sassafras.plan.Lab;
import lab.sassafras.plan.Plan;
import lab.sassafras.plan.Purpose;
import lab.sassafras.plan.Refusals;
import lab.sassafras.plan.Sought;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;
import lab.sassafras.slot.Slot;
import lab.sassafras.substance.ReferenceShelf;
import org.jspecify.annotations.Nullable;

/** What somebody typed about a plan, read into one; what of it cannot be stands beside its field. */
public final class PlanForm {

    static final String PLACE = "at-";
    /** Before the path of a temperature that has a thermometer of its own. */
    private static final String ON = "on-";

    /** What is ticked off before a run says nothing about it. */
    private static final String DONE = "done";

    private static final int LONGEST = 80;
    private static final String PARTS = "parts";
    private static final int MOST_PARTS = 6;
    private static final int USUAL_PARTS = 2;
    private final Experiment experiment;
    private final Map<String, String> typed;
    private final Figures figures;
    private final Lab lab;
    private final Map<String, String> wrong = new LinkedHashMap<>();
    private final PlanForPeriod period;
    private final PlanGear gear;
    private final Plan plan;

    PlanForm(Experiment experiment, Map<String, String> typed, Shelf shelf, Lab lab) {
        this.experiment = experiment;
        this.typed = new LinkedHashMap<>(typed);
        this.figures = Figures.POINT;
        this.lab = lab;
        this.period = new PlanForPeriod(experiment, this.typed, wrong);
        this.gear = new PlanGear(experiment, shelf, this.typed, wrong);
        this.plan = read(shelf.handbook(ReferenceShelf.VERSION));
    }

    /** A kept plan as it would be typed. */
    static Map<String, String> typed(PlanFile file) {
        Map<String, String> typed = new LinkedHashMap<>();
        file.had().forEach((path, had) -> typed.put(PLACE + path, had.text()));
        if (Experiments.find(file.experiment()).flatMap(Plan::repeats).isPresent()) {
            typed.put(PARTS, String.valueOf(parts(file)));
        }
        file.reads()
                .forEach((kind, instrument) ->
                        typed.put(kind.contains(" ") ? ON + kind.replaceFirst(".* ", "") : kind, instrument.key()));
        typed.put(
                "vessel",
                file.vessel().key().isEmpty()
                        ? PlanGear.ANY + file.vessel().kind()
                        : file.vessel().key());
        PlanForPeriod.typed(file.forPeriod(), typed);
        PlanFile.Purpose purpose = file.purpose();
        if (purpose != null) {
            typed.put("purpose", purpose.kind());
            typed.put("other", purpose.other());
            typed.put("percent", Figures.POINT.plain(purpose.percent()));
        }
        return typed;
    }

    private static int parts(PlanFile file) {
        return file.had().keySet().stream()
                .filter(path -> path.contains("["))
                .mapToInt(path -> Address.read(path).index())
                .max()
                .orElse(1);
    }

    /** One thing that may be chosen. */
    public record Choice(String value, String words, boolean chosen) {}

    /**
     * A field of the plan.
     *
     * @param name    of the input
     * @param label   in words
     * @param value   as it stands
     * @param unit    beside it; empty for a word
     * @param choices where it is one of several; none where it is typed
     * @param problem what is wrong with it
     */
    public record Field(
            String name,
            String label,
            String value,
            String unit,
            List<Choice> choices,
            @Nullable String problem) {

        /** As it is read, and not typed. */
        public String shown() {
            return choices.stream()
                    .filter(Choice::chosen)
                    .map(Choice::words)
                    .findFirst()
                    .orElse(value);
        }
    }

    private Plan read(ReferenceShelf handbook) {
        Setting setting = new Setting(
                        inVessel() ? Optional.of(gear.vessel()) : Optional.empty(),
                        Map.of(),
                        1,
                        Plan.repeats(experiment)
                                .map(group -> Map.of(group, parts()))
                                .orElse(Map.of()),
                        Set.of(),
                        Map.of(),
                        figures,
                        period.reckoning().conventions())
                .with(handbook);
        Map<InstrumentKind, Instrument> reads = new LinkedHashMap<>();
        InstrumentKind.usual().stream()
                .filter(kind -> !kind.equals(InstrumentKind.CYLINDER))
                .forEach(kind -> reads.put(kind, gear.instrument(kind)));
        Plan had = Plan.usual(experiment, setting, reads).with(period.in(lab));
        for (String path : List.copyOf(had.had().keySet())) {
            String text = value(PLACE + path).strip();
            if (!text.isEmpty() && text.length() <= LONGEST) {
                try {
                    Plan other = had.with(path, text);
                    other.check(path);
                    had = other;
                } catch (Refused refused) {
                    wrong.put(PLACE + path, refused.getMessage());
                }
            } else if (text.length() > LONGEST) {
                wrong.put(PLACE + path, "At most " + LONGEST + " characters.");
            }
        }
        Optional<Instrument> usual = Optional.ofNullable(had.reads().get(InstrumentKind.THERMOMETER));
        for (String path : had.readApart()) {
            Optional<Instrument> own = apart(path);
            if (own.isPresent() && !own.map(Instrument::key).equals(usual.map(Instrument::key))) {
                had = had.with(path, own.get());
            }
        }
        return had;
    }

    /** {@return whether it is done in a calorimeter} */
    public boolean inVessel() {
        return experiment.calorimeter() != Calorimeter.Use.NONE;
    }

    /** {@return whether its parts are counted} */
    public boolean inParts() {
        return Plan.repeats(experiment).isPresent();
    }

    /** {@return how many parts it has, where it has parts} */
    public int parts() {
        String typed = value(PARTS).strip();
        int many = typed.matches("\\d{1,2}") ? Integer.parseInt(typed) : 0;
        if (!typed.isEmpty() && (many < 1 || many > MOST_PARTS)) {
            wrong.put(PARTS, "A whole number from 1 to " + MOST_PARTS + ".");
        }
        return many < 1 || many > MOST_PARTS ? USUAL_PARTS : many;
    }

    /** The thermometer of its own that a temperature is read on. */
    private Optional<Instrument> apart(String path) {
        String chosen = value(ON + path);
        Optional<Instrument> own = gear.instruments(InstrumentKind.THERMOMETER).stream()
                .filter(each -> each.key().equals(chosen))
                .findFirst();
        if (own.isEmpty() && !chosen.isEmpty()) {
            wrong.put(ON + path, "That thermometer is not on the shelf any more.");
        }
        return own;
    }

    public boolean twoThermometers() {
        return !plan.apart().isEmpty();
    }

    /** {@return temperatures that may be read on a thermometer of their own, with those to choose of} */
    public List<Field> apart() {
        List<Instrument> all = gear.instruments(InstrumentKind.THERMOMETER);
        return all.size() < 2
                ? List.of()
                : plan.readApart().stream()
                        .map(path -> {
                            List<Choice> choices =
                                    new ArrayList<>(List.of(new Choice("", "the same thermometer", false)));
                            Instrument own = plan.apart().get(path);
                            all.forEach(each -> choices.add(new Choice(
                                    each.key(),
                                    each.name(),
                                    own != null && own.key().equals(each.key()))));
                            return new Field(
                                    ON + path,
                                    experiment.words().label(path) + ", read on",
                                    value(ON + path),
                                    "",
                                    choices,
                                    problem(ON + path));
                        })
                        .toList();
    }

    /** The plan as it is typed; what cannot be in it is left as is usual. */
    Plan plan() {
        return plan;
    }

    /** What of it a period takes over. */
    public PlanForPeriod period() {
        return period;
    }

    /** {@return instruments of the shelf that a plan may be read on instead} */
    List<Instrument> helpers() {
        return InstrumentKind.usual().stream()
                .flatMap(kind -> gear.instruments(kind).stream())
                .toList();
    }

    public String value(String field) {
        return typed.getOrDefault(field, "");
    }

    public @Nullable String problem(String field) {
        return wrong.get(field);
    }

    /** {@return why it cannot be kept; empty where it can. What stands in for a thing of the shelf is only said} */
    Optional<String> cannotBe() {
        return period.wrong()
                .or(() -> Optional.ofNullable(wrong.get(PARTS)))
                .map(each -> each + " Nothing was kept.")
                .or(() -> wrong.entrySet().stream()
                        .filter(each -> each.getKey().startsWith(PLACE))
                        .map(each -> "“" + plan.label(each.getKey().substring(PLACE.length())) + "”: " + each.getValue()
                                + " Nothing was kept.")
                        .findFirst())
                .or(() -> Refusals.of(plan).stream().findFirst().map(each -> each.message() + " Nothing was kept."));
    }

    /** {@return what is had, in the order of the work} */
    public List<Field> fields() {
        List<Field> fields = new ArrayList<>();
        plan.had().forEach((path, had) -> {
            String name = PLACE + path;
            String value = value(name).isEmpty() ? had.text() : value(name);
            List<Choice> choices = choices(path, value);
            if ((had.role() != Role.STATED || !had.text().equals(DONE)) && !settled(path, choices)) {
                fields.add(new Field(name, plan.label(path), value, had.unit(), choices, problem(name)));
            }
        });
        return fields;
    }

    /** Where but one answer can be planned, nothing is asked. */
    private boolean settled(String path, List<Choice> choices) {
        return choices.size() == 1
                && plan.slot(path)
                        .filter(slot -> slot.field() == Slot.Field.CHOICE)
                        .isPresent();
    }

    private List<Choice> choices(String path, String value) {
        return plan.options(path).stream()
                .map(each -> new Choice(each.value(), each.words(), each.value().equals(value)))
                .toList();
    }

    /** {@return the vessels to choose of} */
    public List<Choice> vesselChoices() {
        return gear.vessels(plan.setting().calorimeter().map(Calorimeter::name).orElse(""));
    }

    /** What it is read on, a list for each kind. */
    public List<Field> readings() {
        List<Field> fields = new ArrayList<>();
        plan.reads().entrySet().stream()
                .filter(each -> !foreseen() || plan.reads(each.getKey()))
                .sorted(Map.Entry.comparingByKey(
                        java.util.Comparator.comparing(InstrumentKind::key).reversed()))
                .forEach(each -> {
                    InstrumentKind kind = each.getKey();
                    List<Choice> choices = new ArrayList<>();
                    gear.instruments(kind)
                            .forEach(one -> choices.add(new Choice(
                                    one.key(),
                                    one.name() + ", reads " + figures.plain(one.resolution()) + " "
                                            + one.unit().symbol(),
                                    one.key().equals(each.getValue().key()))));
                    Instrument any = gear.any(kind);
                    choices.add(new Choice(
                            PlanGear.ANY,
                            "any " + kind.word() + " that reads " + figures.plain(any.resolution()) + " "
                                    + any.unit().symbol(),
                            each.getValue().key().equals(PlanGear.ANY)));
                    fields.add(new Field(
                            kind.key(), kind.word(), each.getValue().key(), "", choices, problem(kind.key())));
                });
        return fields;
    }

    /** {@return what it is for; empty where nobody said, or not whole} */
    Optional<Purpose> purpose() {
        try {
            return switch (value("purpose")) {
                case "apart" ->
                    value("other").isBlank()
                            ? Optional.empty()
                            : Optional.of(new Purpose.Apart(value("other").strip()));
                case "within" ->
                    value("percent").isBlank()
                            ? Optional.empty()
                            : Optional.of(
                                    new Purpose.Within(positive("percent", "Say a number of per cent above nought.")));
                case "sign" -> Optional.of(new Purpose.Sign());
                default -> Optional.empty();
            };
        } catch (Refused refused) {
            return Optional.empty();
        }
    }

    private double positive(String field, String otherwise) {
        try {
            double value = TypedNumber.read(value(field), figures.mark()).value();
            if (value > 0 && value <= 1000) {
                return value;
            }
        } catch (Refused none) {
            // said below
        }
        wrong.put(field, otherwise);
        throw new Refused(otherwise);
    }

    /** What is sought of it. */
    public record Wanted(String path, Sought.Wish wish, double much) {}

    /** {@return whether what will be read is foreseen, and no final temperature sought} */
    public boolean foreseen() {
        return experiment.foresight().isPresent();
    }

    /** {@return which amount is sought, and for what; empty where none is} */
    Optional<Wanted> wanted() {
        String path = value("sought");
        if (path.isEmpty() || value("wanted").isBlank()) {
            return Optional.empty();
        }
        boolean change = !foreseen() && !value("wish").equals("within");
        try {
            double much = TypedNumber.read(value("wanted"), figures.mark()).value();
            if (much == 0 || Math.abs(much) > 1000) {
                throw new Refused("Say what is wanted, in degrees or in per cent.");
            }
            return Optional.of(new Wanted(
                    path, change ? Sought.Wish.CHANGE : Sought.Wish.WITHIN, change ? much : Math.abs(much) / 100));
        } catch (Refused refused) {
            wrong.put("wanted", refused.getMessage());
            return Optional.empty();
        }
    }

    /** {@return amounts one of which may be sought} */
    public List<Choice> seekable() {
        return plan.amounts().stream()
                .filter(plan::chosen)
                .map(path -> new Choice(path, plan.label(path), path.equals(value("sought"))))
                .toList();
    }

    /** {@return what it may be told from: everything that could stand in its place} */
    public List<Choice> others() {
        return Purpose.Apart.place(plan)
                .map(path -> choices(path, value("other")).stream()
                        .filter(each -> !each.value().equals(plan.one(path).text()))
                        .toList())
                .orElse(List.of());
    }

    /** {@return whether it may be told from something else at all} */
    public boolean tells() {
        return Purpose.Apart.place(plan).isPresent();
    }

    private static PlanFile.Instrument written(Instrument each) {
        return new PlanFile.Instrument(
                each.key(), each.name(), each.resolution(), each.low(), each.high(), each.offsetUncertainty());
    }

    /** {@return the plan as a file} */
    PlanFile file(String name, @Nullable Map<String, Double> expected) {
        Map<String, PlanFile.Had> had = new LinkedHashMap<>();
        plan.had()
                .forEach((path, one) ->
                        had.put(path, new PlanFile.Had(one.role().key(), one.text(), one.unit(), one.uncertainty())));
        Map<String, PlanFile.Instrument> reads = new LinkedHashMap<>();
        plan.reads().forEach((kind, each) -> reads.put(kind.key(), written(each)));
        plan.apart().forEach((path, each) -> reads.put(each.kind().key() + " " + path, written(each)));
        Calorimeter vessel = plan.setting().calorimeter().orElseGet(gear::vessel);
        String key = vesselChoices().stream()
                .filter(each -> each.chosen() && !each.value().startsWith(PlanGear.ANY))
                .map(Choice::value)
                .findFirst()
                .orElse("");
        String purpose = purpose().isPresent() ? value("purpose") : "";
        return new PlanFile(
                PlanFile.FORMAT,
                PlanFile.VERSION,
                name,
                experiment.key(),
                had,
                reads,
                !inVessel()
                        ? PlanFile.Vessel.NONE
                        : new PlanFile.Vessel(
                                key,
                                vessel.name(),
                                vessel.kind().key(),
                                vessel.constant()
                                        .map(each -> each.value().value())
                                        .orElse(null),
                                vessel.constant()
                                        .map(each -> each.value().uncertainty())
                                        .orElse(null)),
                purpose.isEmpty()
                        ? null
                        : new PlanFile.Purpose(
                                purpose,
                                purpose.equals("apart") ? value("other") : "",
                                purpose.equals("within")
                                        ? TypedNumber.read(value("percent"), figures.mark())
                                                .value()
                                        : 0),
                period.file(),
                expected);
    }
}
