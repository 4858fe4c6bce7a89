package lab.sassafras.app.classpages;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lab.sassafras.declaration.Gear;
import lab.sassafras.declaration.Task;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.hour.Evening;
import lab.sassafras.hour.Job;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.TypedNumber;
import lab.sassafras.plan.Lab;
import org.jspecify.annotations.Nullable;

/** The fields of the hour's page as they were typed; what is not typed is as usual. */
public final class HourForm {

    static final String FROM = "from";
    static final String UNTIL = "until";
    static final String TRIALS = "trials";
    static final String PEOPLE = "people";
    static final String BENCHES = "benches";
    static final String DOES = "does-";
    static final String MINUTES = "min-";
    static final String MOVED = "at-";
    static final String STOOD = "stood-";
    static final String NOW = "now";
    static final String BATH = "bath";
    static final String HOT = "hot";
    static final String WATTS = "watts";
    private static final String EXPERIMENT = "experiment";

    /** Most trials of each bench. */
    static final int MOST_TRIALS = 12;

    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("H:mm", Locale.ENGLISH);
    private static final DateTimeFormatter WRITTEN = DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);
    /** A bath holds no more (mL), and no plate is rated higher (W). Common practice, no source. */
    private static final double LARGEST_BATH = 20_000;

    private static final double HIGHEST_RATING = 10_000;
    private static final double BOILING = 100;

    private final Map<String, String> typed;
    private final Map<String, String> usual;
    private final Map<String, String> problems = new LinkedHashMap<>();
    private final List<String> benches;
    private final Map<String, Experiment> does = new LinkedHashMap<>();

    /**
     * @param typed   by the name of the field
     * @param usual   what stands where nothing was typed
     * @param benches of the period, in order; none where nobody joined yet
     */
    HourForm(Map<String, String> typed, Map<String, String> usual, List<String> benches) {
        this.typed = typed;
        this.usual = usual;
        this.benches = benches.isEmpty() ? numbered() : benches;
        for (int i = 0; i < this.benches.size(); i++) {
            String field = DOES + (i + 1);
            String key = typed.getOrDefault(field, value(EXPERIMENT));
            Optional<Experiment> found = Experiments.find(key);
            if (found.isEmpty()) {
                problems.put(EXPERIMENT, "There is no experiment of that name.");
            }
            does.put(
                    this.benches.get(i), found.orElseGet(() -> Experiments.all().get(0)));
        }
    }

    private List<String> numbered() {
        int many = whole(BENCHES, 1, Evening.MOST_BENCHES);
        List<String> names = new ArrayList<>();
        for (int i = 1; i <= many; i++) {
            names.add("Bench " + i);
        }
        return names;
    }

    /** {@return what stands in a field} */
    public String value(String field) {
        return typed.getOrDefault(field, usual.getOrDefault(field, "")).strip();
    }

    /** {@return what is wrong in a field; null where nothing is} */
    public @Nullable String problem(String field) {
        return problems.get(field);
    }

    boolean wrong() {
        return !problems.isEmpty();
    }

    void problem(String field, String why) {
        problems.putIfAbsent(field, why);
    }

    /** {@return the benches, in order} */
    public List<String> benches() {
        return benches;
    }

    /** {@return what each bench does} */
    public Map<String, Experiment> does() {
        return does;
    }

    /** {@return the experiments that are done, each once} */
    public List<Experiment> experiments() {
        return List.copyOf(new LinkedHashSet<>(does.values()));
    }

    /** {@return shared gear any task takes} */
    public Set<Gear> gear() {
        Set<Gear> all = new LinkedHashSet<>();
        for (Gear gear : Gear.values()) {
            if (experiments().stream()
                    .flatMap(each -> each.tasks().stream())
                    .anyMatch(task -> task.gear().contains(gear))) {
                all.add(gear);
            }
        }
        return all;
    }

    private int whole(String field, int least, int most) {
        String text = value(field);
        int number = text.matches("\\d{1,4}") ? Integer.parseInt(text) : -1;
        if (number < least || number > most) {
            problems.put(field, "A whole number from " + least + " to " + most + ".");
            return least;
        }
        return number;
    }

    private double number(String field, double most) {
        try {
            double number = TypedNumber.read(value(field), Figures.POINT.mark()).value();
            if (number > 0 && number <= most) {
                return number;
            }
            problems.put(field, "Above nought and up to " + Figures.POINT.plain(most) + ".");
        } catch (Refused refused) {
            problems.put(field, String.valueOf(refused.getMessage()));
        }
        return most;
    }

    private Optional<LocalTime> time(String field) {
        try {
            return Optional.of(LocalTime.parse(value(field), TIME));
        } catch (DateTimeParseException none) {
            problems.put(field, "A time of day, such as 18:30.");
            return Optional.empty();
        }
    }

    /** {@return when it begins} */
    LocalTime from() {
        return time(FROM).orElse(LocalTime.of(18, 0));
    }

    /** {@return when it ends} */
    LocalTime until() {
        return time(UNTIL).orElse(from());
    }

    /** {@return a minute of the evening as a time of day} */
    String at(int minute) {
        return WRITTEN.format(from().plusMinutes(minute));
    }

    /** {@return how many trials each bench does} */
    int trials() {
        return whole(TRIALS, 1, MOST_TRIALS);
    }

    /** {@return the name of the field a task's minutes are typed into} */
    public static String minutes(Experiment of, Task task) {
        return MINUTES + of.key() + "-" + task.key();
    }

    /** {@return the name of the field a job's beginning is typed into} */
    String moved(Job job) {
        return MOVED + slot(job);
    }

    private int takes(Experiment of, Task task) {
        String field = minutes(of, task);
        return value(field).isEmpty() ? task.usual() : whole(field, 1, Job.LONGEST);
    }

    /** {@return the evening that was typed; empty where something cannot be read, which stands at its field then} */
    Optional<Evening> evening() {
        return evening(trials());
    }

    Optional<Evening> evening(int trials) {
        int length = (time(UNTIL).orElse(from()).toSecondOfDay() - from().toSecondOfDay()) / 60;
        if (length <= 0) {
            problem(UNTIL, "It ends before it begins.");
        }
        Map<String, List<Job>> work = new LinkedHashMap<>();
        does.forEach((bench, of) -> work.put(bench, Job.of(bench, of, trials, task -> takes(of, task))));
        Map<Gear, Integer> has = new EnumMap<>(Gear.class);
        Map<Gear, Integer> ready = new EnumMap<>(Gear.class);
        for (Gear gear : gear()) {
            if (!value(gear.key()).isEmpty()) {
                has.put(gear, whole(gear.key(), 0, Evening.MOST_GEAR));
            }
            if (gear == Gear.HOT_PLATE) {
                ready.put(gear, heating());
            }
        }
        int people = whole(PEOPLE, 1, Evening.MOST_PEOPLE);
        Map<String, Integer> moved = moved(work);
        return wrong()
                ? Optional.empty()
                : Optional.of(
                        standing(Evening.of(work, people, has, ready, length).moving(moved), work));
    }

    /** From where it stood when somebody laid the rest anew. */
    private Evening standing(Evening evening, Map<String, List<Job>> work) {
        if (value(NOW).isEmpty()) {
            return evening;
        }
        Map<String, Evening.Stood> stood = new HashMap<>();
        work.values()
                .forEach(jobs -> jobs.forEach(job -> {
                    String[] both = value(STOOD + slot(job)).split("-", -1);
                    if (both.length == 2) {
                        stood.put(job.key(), new Evening.Stood(minute(both[0]), minute(both[1])));
                    }
                }));
        return evening.standing(stood, Math.max(0, minute(value(NOW))));
    }

    private int minute(String text) {
        try {
            return (LocalTime.parse(text, TIME).toSecondOfDay() - from().toSecondOfDay()) / 60;
        } catch (DateTimeParseException none) {
            return 0;
        }
    }

    private String slot(Job job) {
        return (benches.indexOf(job.bench()) + 1) + "-" + job.trial() + "-" + job.task();
    }

    /** {@return the name of the field that says when a job was begun and done} */
    String stood(Job job) {
        return STOOD + slot(job);
    }

    /** How long its bath takes to be hot (min). */
    int heating() {
        return (int) Math.ceil(new Lab(Lab.USUAL.strongest(), number(WATTS, HIGHEST_RATING), Lab.USUAL.soaks())
                .minutes(number(BATH, LARGEST_BATH), number(HOT, BOILING)));
    }

    private Map<String, Integer> moved(Map<String, List<Job>> work) {
        Map<String, Integer> moved = new HashMap<>();
        work.values()
                .forEach(jobs -> jobs.forEach(job -> {
                    String field = moved(job);
                    if (!value(field).isEmpty()) {
                        time(field)
                                .ifPresent(
                                        at -> moved.put(job.key(), (at.toSecondOfDay() - from().toSecondOfDay()) / 60));
                    }
                }));
        return moved;
    }

    /** {@return everything typed that the page knows, and where somebody moved a job} */
    Map<String, String> fields() {
        Map<String, String> all = new LinkedHashMap<>();
        typed.forEach((field, text) -> {
            if (known(field) && !text.isBlank()) {
                all.put(field, text.strip());
            }
        });
        return all;
    }

    /**
     * {@return the address of the same hour with another thing in one field; nothing in it takes it out}
     *
     * @param field that changes
     * @param text  as it would be typed
     */
    public String with(String field, String text) {
        return with(Map.of(field, text));
    }

    /** {@return the same with other things in several fields} */
    String with(Map<String, String> other) {
        Map<String, String> all = fields();
        all.putAll(other);
        if (all.size() == 1) {
            // an address that says nothing is that of the hour that was kept
            all.put(FROM, value(FROM));
        }
        return "?"
                + all.entrySet().stream()
                        .filter(each -> !each.getValue().isEmpty())
                        .map(each -> URLEncoder.encode(each.getKey(), StandardCharsets.UTF_8) + "="
                                + URLEncoder.encode(each.getValue(), StandardCharsets.UTF_8))
                        .collect(Collectors.joining("&"));
    }

    /** {@return all that an hour is laid from, what is usual too: it stays so whatever becomes usual} */
    Map<String, String> whole() {
        Map<String, String> all = fields();
        Stream.concat(
                        Stream.of(FROM, UNTIL, TRIALS, PEOPLE, BATH, HOT, WATTS, EXPERIMENT),
                        gear().stream().map(Gear::key))
                .filter(field -> !value(field).isEmpty())
                .forEach(field -> all.put(field, value(field)));
        return all;
    }

    /** {@return what was typed, for a form to hand on} */
    public Map<String, String> given() {
        return fields();
    }

    /** {@return whether a time of a task is none} */
    public boolean timesWrong() {
        return problems.keySet().stream().anyMatch(field -> field.startsWith(MINUTES));
    }

    private boolean known(String field) {
        return Set.of(FROM, UNTIL, TRIALS, PEOPLE, BENCHES, BATH, HOT, WATTS, NOW, EXPERIMENT)
                        .contains(field)
                || field.startsWith(DOES)
                || field.startsWith(MINUTES)
                || field.startsWith(MOVED)
                || field.startsWith(STOOD)
                || gear().stream().anyMatch(gear -> gear.key().equals(field));
    }
}
