package lab.sassafras.app.record;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Decisions in the order they were taken. One that says nothing this version understands is left aside. */
public record Decisions(List<Decision> all) {

    private static final Pattern TRIAL = Pattern.compile("trial\\[(\\d{1,4})]");

    /** What a combination is decided about. */
    public static final String TRIALS = "trials";

    /** What setting a whole entry aside is decided about. */
    public static final String ENTRY = "entry";

    public Decisions {
        all = List.copyOf(all);
    }

    public static String trial(int number) {
        return "trial[" + number + "]";
    }

    /** The trial a decision is about. */
    public static Optional<Integer> trialOf(Decision decision) {
        Matcher subject = TRIAL.matcher(decision.subject());
        return decision.is(Decision.Kind.TRIAL) && subject.matches()
                ? Optional.of(Integer.valueOf(subject.group(1)))
                : Optional.empty();
    }

    /** The decision in force on a subject. */
    public Optional<Decision> last(Decision.Kind kind, String subject) {
        return all.stream()
                .filter(each -> each.is(kind) && each.subject().equals(subject))
                .reduce((earlier, later) -> later);
    }

    /** The decision that set the entry aside, if it still holds. */
    public Optional<Decision> setAside() {
        return last(Decision.Kind.ENTRY, ENTRY).filter(each -> each.outcome().equals(Decision.OUT));
    }

    /** The decision that the entry is copied from paper, if one was taken. */
    public Optional<Decision> copiedFromPaper() {
        return last(Decision.Kind.PAPER, ENTRY);
    }

    /** Trials decided against. */
    public Set<Integer> leftOut() {
        Set<Integer> out = new TreeSet<>();
        all.forEach(each -> trialOf(each).ifPresent(trial -> {
            if (each.outcome().equals(Decision.OUT)) {
                out.add(trial);
            } else {
                out.remove(trial);
            }
        }));
        return out;
    }

    /** What was put in force to make the result of the trials; empty for what the experiment usually does. */
    public String combination() {
        return last(Decision.Kind.COMBINATION, TRIALS).map(Decision::outcome).orElse("");
    }

    /** What a decision about one reading on a clock is about. */
    public static String reading(UUID trace, double seconds) {
        return trace + "@" + seconds(seconds);
    }

    /** The second a decision about a reading on a clock is about. */
    public static double second(String subject) {
        return Double.parseDouble(subject.substring(subject.indexOf('@') + 1));
    }

    private static String seconds(double seconds) {
        return String.format(Locale.ROOT, "%.3f", seconds);
    }

    /** The decisions that set readings on a clock aside and still hold, by what they are about. */
    public Map<String, Decision> readingsAside(UUID trace) {
        return readings(trace, Decision.OUT);
    }

    private Map<String, Decision> readings(UUID trace, String outcome) {
        Map<String, Decision> last = new LinkedHashMap<>();
        all.stream()
                .filter(each -> each.is(Decision.Kind.READING) && each.subject().startsWith(trace + "@"))
                .forEach(each -> last.put(each.subject(), each));
        last.values().removeIf(each -> !each.outcome().equals(outcome));
        return last;
    }

    /** The decisions that readings on a clock count, whatever they look like, by what they are about. */
    public Map<String, Decision> readingsSure(UUID trace) {
        return readings(trace, Decision.IN);
    }

    /** Identity of the readings that a trial, or a temperature by its trend, is read on, by its address. */
    public Map<String, String> clocks() {
        Map<String, String> clocks = new LinkedHashMap<>();
        all.stream()
                .filter(each -> each.is(Decision.Kind.CLOCK))
                .forEach(each -> clocks.put(each.subject(), each.outcome()));
        return clocks;
    }

    /** Schools put in force for this entry alone. */
    public Map<String, String> schools() {
        Map<String, String> outcomes = new LinkedHashMap<>();
        all.stream()
                .filter(each -> each.is(Decision.Kind.SCHOOL))
                .forEach(each -> outcomes.put(each.subject(), each.outcome()));
        return outcomes;
    }
}
