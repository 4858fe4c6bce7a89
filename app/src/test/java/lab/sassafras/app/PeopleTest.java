package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import lab.sassafras.app.people.Right;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** Who may do what: every route the framework knows, asked for by everybody, about what is theirs and what is not. */
class PeopleTest extends Everybody {

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    private RequestMappingHandlerMapping routes;

    private Set<String> known() {
        Set<String> all = new TreeSet<>();
        routes.getHandlerMethods().keySet().forEach(each -> {
            Set<RequestMethod> methods = each.getMethodsCondition().getMethods();
            for (String pattern : each.getPatternValues()) {
                methods.forEach(method -> all.add(method + " " + pattern));
            }
        });
        return all;
    }

    @Test
    void everyRouteTheFrameworkKnowsHasALine() {
        Set<String> lines = new TreeSet<>(may.all().keySet());
        // these two are not among the controllers' mappings
        assertThat(lines.remove("GET /health")).isTrue();
        assertThat(lines).isEqualTo(known());
    }

    private static final List<String> VISITORS =
            List.of("own", "another's", "another period's", "closed", "instructor", "reader", "stranger");

    /** What each right answers whom: 1 allowed, 3 to the door, 4 not there, F refused in words. */
    private static final Map<Right, String> ANSWERS = new EnumMap<>(Map.of(
            //                 own, another's, another period's, closed, instructor, reader, stranger
            Right.READ_ENTRY, "1444113",
            Right.WRITE_ENTRY, "14441FF",
            Right.DECIDE, "F4441FF",
            Right.READ_CLASS, "FF44143",
            Right.READ_HANDOUTS, "1144143",
            Right.LEAD, "FF44143",
            Right.RUN_HOUSE, "FFFF1F3",
            Right.READ_SHELF, "11111F3",
            Right.HAVE_SEAT, "11111F3",
            Right.BEGIN, "111FFFF"));

    /** Every route about what is in the open period, asked for by each of seven. */
    @Test
    @Tag("long")
    void everybodyIsAnsweredAsTheTableSays() {
        List<String> wrong = new ArrayList<>();
        may.all().forEach((route, right) -> {
            if (right == Right.ANYONE || route.contains("/leave")) {
                return;
            }
            StringBuilder answers = new StringBuilder();
            for (String who : VISITORS) {
                answers.append(answer(hands.get(who), route, entries.get("own"), period.id()));
            }
            String expected = ANSWERS.get(right);
            if (route.startsWith("POST")) {
                // whoever did not come in is refused in words where they would change something
                expected = expected.substring(0, 6) + "F";
            }
            if (right == Right.READ_CLASS && !route.contains("{id}")) {
                // without a period named it is one's own
                expected = "FFFF1F3";
            }
            if (right == Right.LEAD && route.contains("/entries/")) {
                expected = "F4441FF";
            }
            if (right == Right.LEAD && !route.contains("{id}")) {
                expected = route.startsWith("POST") ? "FFFF1FF" : "FFFF1F3";
            }
            if (!answers.toString().equals(expected)) {
                wrong.add(route + " (" + right + "): " + answers + ", not " + expected);
            }
        });
        assertThat(wrong).isEmpty();
    }

    /** What nobody has looks like what somebody else has. */
    @Test
    void anothersEntryLooksLikeNone() {
        Hand own = hands.get("own");
        String theirs =
                own.get("/entries/" + entries.get("another's") + "/result").body();
        String none = own.get("/entries/" + UUID.randomUUID() + "/result").body();
        assertThat(withoutSeal(theirs)).isEqualTo(withoutSeal(none));
    }

    private static String withoutSeal(String page) {
        return page.replaceAll("name=\"_csrf\" value=\"[^\"]*\"", "");
    }

    @Test
    void theDocumentSaysWhatTheHouseDoes() throws Exception {
        StringBuilder made = new StringBuilder();
        may.document()
                .forEach((right, lines) -> made.append("### May ")
                        .append(right.words())
                        .append("\n\n")
                        .append(lines)
                        .append("\n\n"));
        Path document = Path.of("../docs/people.md");
        String written = Files.readString(document);
        String begin = "<!-- made from WhoMay -->\n\n";
        if (Boolean.getBoolean("sassafras.write")) {
            Files.writeString(
                    document,
                    written.substring(0, written.indexOf(begin) + begin.length())
                            + made.toString().strip() + "\n");
        }
        assertThat(Files.readString(document)).endsWith(begin + made.toString().strip() + "\n");
    }
}
