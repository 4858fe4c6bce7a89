package lab.sassafras.app.planpages;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.app.plans.PlanFile;
import lab.sassafras.convention.Convention;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.Conventions;
import lab.sassafras.declaration.Pace;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Names;
import lab.sassafras.measure.Refused;
import lab.sassafras.plan.Lab;
import lab.sassafras.plan.Reckoning;

/** What of a plan a period takes over, as it was typed: how many, the sample's name, conventions and times. */
public final class PlanForPeriod {

    private static final String SCHOOL = "school-";
    private static final String TIME = "time-";
    private static final String BENCHES = "benches";
    private static final String TRIALS = "trials";
    private static final String SPARE = "spare";
    private static final String SAMPLE = "sample";

    private final Experiment experiment;
    private final Map<String, String> typed;
    private final Map<String, String> wrong;
    private final Reckoning reckoning;
    private final PlanFile.ForPeriod file;

    /**
     * @param wrong what is wrong by field, which is added to
     */
    PlanForPeriod(Experiment experiment, Map<String, String> typed, Map<String, String> wrong) {
        this.experiment = experiment;
        this.typed = typed;
        this.wrong = wrong;
        Map<String, String> schools = schools();
        this.reckoning = Reckoning.of(experiment, schools);
        PlanFile.ForPeriod usual = PlanFile.ForPeriod.USUAL;
        this.file = new PlanFile.ForPeriod(
                whole(BENCHES, usual.benches(), 1, PlanFile.ForPeriod.MOST),
                whole(TRIALS, usual.trials(), 1, PlanFile.ForPeriod.MOST),
                whole(SPARE, usual.spare(), 0, PlanFile.ForPeriod.SPARE),
                sample(),
                schools,
                times());
    }

    /** Lays down what is kept as it would be typed. */
    static void typed(PlanFile.ForPeriod kept, Map<String, String> typed) {
        typed.put(BENCHES, String.valueOf(kept.benches()));
        typed.put(TRIALS, String.valueOf(kept.trials()));
        typed.put(SPARE, String.valueOf(kept.spare()));
        typed.put(SAMPLE, kept.sample());
        kept.conventions().forEach((question, school) -> typed.put(SCHOOL + question, school));
        kept.times().forEach((pace, amount) -> typed.put(name(pace), Figures.POINT.plain(amount)));
    }

    /** Of the field a time is typed into. */
    private static String name(String pace) {
        return TIME + pace.replace(' ', '-');
    }

    private Map<String, String> schools() {
        Map<String, String> schools = new LinkedHashMap<>();
        for (ConventionQuestion<?> question : experiment.conventions()) {
            String school = typed.getOrDefault(SCHOOL + question.key(), "");
            Map<String, String> one = Map.of(question.key(), school);
            if (!school.isEmpty() && Conventions.unknown(one).isPresent()) {
                wrong.put(SCHOOL + question.key(), "There is no such convention.");
            } else if (!school.isEmpty() && !school.equals(question.standard().key())) {
                schools.putAll(one);
            }
        }
        return schools;
    }

    private int whole(String field, int usual, int least, int most) {
        String text = typed.getOrDefault(field, "").strip();
        if (text.isEmpty()) {
            return usual;
        }
        int value = text.matches("\\d{1,4}") ? Integer.parseInt(text) : -1;
        if (value < least || value > most) {
            wrong.put(field, "A whole number from " + least + " to " + most + ".");
            return usual;
        }
        return value;
    }

    private String sample() {
        String text = typed.getOrDefault(SAMPLE, "").strip();
        try {
            return text.isEmpty() || experiment.sampleName().isEmpty()
                    ? ""
                    : Names.checked(text, "A sample’s name", Names.LONGEST);
        } catch (Refused refused) {
            wrong.put(SAMPLE, refused.getMessage());
            return "";
        }
    }

    private Map<String, Double> times() {
        Map<String, Double> times = new LinkedHashMap<>();
        for (Pace pace : experiment.paces()) {
            String text = typed.getOrDefault(name(pace.key()), "").strip();
            try {
                double amount = text.isEmpty() ? pace.usual() : pace.read(text, Figures.POINT);
                if (amount != pace.usual()) {
                    times.put(pace.key(), amount);
                }
            } catch (Refused refused) {
                wrong.put(name(pace.key()), refused.getMessage());
            }
        }
        return times;
    }

    /** As it is kept. */
    PlanFile.ForPeriod file() {
        return file;
    }

    /** The same lab, something being left in a bath as long as this class does. */
    Lab in(Lab lab) {
        return new Lab(
                lab.strongest(),
                lab.plate(),
                experiment.paces().stream()
                        .filter(each -> each.kind() == Pace.Kind.BATH)
                        .mapToDouble(each -> file.times().getOrDefault(each.key(), each.usual()))
                        .findFirst());
    }

    Reckoning reckoning() {
        return reckoning;
    }

    /** {@return why it cannot be kept, with the field it is about; empty where it can} */
    Optional<String> wrong() {
        return fields().stream()
                .filter(each -> each.problem() != null)
                .map(each -> "“" + each.label() + "”: " + each.problem())
                .findFirst();
    }

    /** {@return how many benches and trials, and what its sample is called} */
    public List<PlanForm.Field> counts() {
        List<PlanForm.Field> fields = new ArrayList<>(List.of(
                field(BENCHES, "benches", String.valueOf(file.benches()), ""),
                field(TRIALS, "trials at each", String.valueOf(file.trials()), ""),
                field(SPARE, "to spare", String.valueOf(file.spare()), "%")));
        if (experiment.sampleName().isPresent()) {
            fields.add(field(SAMPLE, "the sample is called", file.sample(), ""));
        }
        return fields;
    }

    /** {@return what the class goes by at the bench} */
    public List<PlanForm.Field> paces() {
        return experiment.paces().stream()
                .map(pace -> field(
                        name(pace.key()),
                        experiment.words().label(pace.path()) + ": "
                                + experiment.words().get("pace." + pace.kind().key()),
                        Figures.POINT.plain(file.times().getOrDefault(pace.key(), pace.usual())),
                        pace.kind().unit()))
                .toList();
    }

    /** {@return the questions of convention it is sensitive to} */
    public List<PlanForm.Field> questions() {
        Conventions chosen = Conventions.of(file.conventions());
        List<PlanForm.Field> fields = new ArrayList<>();
        for (ConventionQuestion<?> question : experiment.conventions()) {
            Convention now = chosen.in(question);
            fields.add(new PlanForm.Field(
                    SCHOOL + question.key(),
                    question.words(),
                    now.key(),
                    "",
                    question.schools().stream()
                            .map(each -> new PlanForm.Choice(
                                    each.key(), each.words(), each.key().equals(now.key())))
                            .toList(),
                    wrong.get(SCHOOL + question.key())));
        }
        return fields;
    }

    /** Whether somebody said anything of it. */
    public boolean open() {
        return !file.equals(PlanFile.ForPeriod.USUAL) || wrong().isPresent();
    }

    private List<PlanForm.Field> fields() {
        List<PlanForm.Field> all = new ArrayList<>(counts());
        all.addAll(paces());
        all.addAll(questions());
        return all;
    }

    /** What was typed stays in its field, whatever is wrong with it. */
    private PlanForm.Field field(String name, String label, String value, String unit) {
        String text = typed.getOrDefault(name, "");
        return new PlanForm.Field(name, label, text.isEmpty() ? value : text, unit, List.of(), wrong.get(name));
    }
}
