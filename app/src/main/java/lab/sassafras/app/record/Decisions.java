package lab.sassafras.app.record;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Decisions in the order they were taken. */
public record Decisions(List<Decision> all) {

    private static final String TRIAL = "trial";

    public Decisions {
        all = List.copyOf(all);
    }

    public static String trial(int number) {
        return TRIAL + "[" + number + "]";
    }

    /** The decision in force on a subject. */
    public Optional<Decision> last(Decision.Kind kind, String subject) {
        return all.stream().filter(each -> each.kind() == kind && each.subject().equals(subject))
                .reduce((earlier, later) -> later);
    }

    /** Trials decided against. */
    public Set<Integer> leftOut() {
        return inForce(Decision.Kind.TRIAL).entrySet().stream().filter(each -> each.getValue().equals("out"))
                .map(each -> Integer.parseInt(each.getKey().replaceAll("\\D", ""))).collect(Collectors.toSet());
    }

    /** Schools put in force for this entry alone. */
    public Map<String, String> schools() {
        return inForce(Decision.Kind.SCHOOL);
    }

    private Map<String, String> inForce(Decision.Kind kind) {
        Map<String, String> outcomes = new LinkedHashMap<>();
        all.stream().filter(each -> each.kind() == kind).forEach(each -> outcomes.put(each.subject(), each.outcome()));
        return outcomes;
    }
}
