package lab.sassafras.app.shelf;

import java.util.HashMap;
import java.util.Map;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.DecisionBook;

/** What vessels and instruments are called now: the name they were given first, or the last they were given since. */
final class GivenNames {

    private final Map<String, String> names = new HashMap<>();

    private GivenNames() {}

    static GivenNames in(DecisionBook decisions) {
        GivenNames given = new GivenNames();
        decisions.of(Decision.Kind.NAME).all().forEach(each -> given.names.put(each.subject(), each.outcome()));
        return given;
    }

    String of(String id, String first) {
        return names.getOrDefault(id, first);
    }
}
