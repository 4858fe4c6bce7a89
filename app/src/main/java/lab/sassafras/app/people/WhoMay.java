package lab.sassafras.app.people;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Period;
import org.springframework.stereotype.Component;

/**
 * Who may do what: the one place where that stands. Pages ask by the route they serve, use cases by the right they
 * need; {@code docs/people.md} is made from it.
 */
@Component
public class WhoMay {

    private static final Map<String, Right> ROUTES = routes();

    private final Withholding withholding;

    WhoMay(Withholding withholding) {
        this.withholding = withholding;
    }

    private static Map<String, Right> routes() {
        Map<String, Right> all = new LinkedHashMap<>();
        lines(all, Right.ANYONE, "GET /", "GET /join", "POST /join", "GET /door", "POST /door", "POST /door/demo");
        lines(
                all,
                Right.ANYONE,
                "POST /door/leave",
                "GET /first",
                "POST /first",
                "GET /read",
                "POST /read",
                "GET /error",
                "GET /health");
        // by a token that is no one's sign-in
        lines(all, Right.ANYONE, "POST /push/{batch}");
        // by the word that only who can read the folder of the book knows
        lines(all, Right.ANYONE, "POST /keeping/back-up", "POST /keeping/instructor");
        lines(all, Right.HAVE_SEAT, "GET /bench", "POST /bench/leave");
        lines(all, Right.HAVE_SEAT, "GET /bench/probes", "GET /bench/live", "GET /bench/live/changes");
        lines(
                all,
                Right.BEGIN,
                "POST /entries",
                "POST /bench/members",
                "POST /bench/hand",
                "POST /bench/notes/{note}",
                "POST /bench/probes",
                "POST /bench/probes/{token}",
                "POST /bench/probes/{token}/place",
                "POST /bench/probes/compared");
        lines(
                all,
                Right.READ_ENTRY,
                "GET /entries/{id}",
                "GET /entries/{id}/result",
                "GET /entries/{id}/strip",
                "GET /entries/{id}/table",
                "GET /entries/{id}/print",
                "GET /entries/{id}/data",
                "GET /entries/{id}/clock",
                "GET /entries/{id}/clock.csv",
                "GET /entries/{id}/clock/file",
                "GET /entries/{id}/run.json",
                "GET /entries/{id}/observations.csv",
                "GET /entries/{id}/working.tex",
                "GET /entries/{id}/paces",
                "GET /entries/{id}/instruments",
                "GET /entries/{id}/changes",
                "GET /entries/{id}/live",
                "GET /entries/{id}/live/changes",
                "GET /entries/{id}/simulated");
        lines(
                all,
                Right.WRITE_ENTRY,
                "POST /entries/{id}/notes",
                "POST /entries/{id}/observations",
                "POST /entries/{id}/open",
                "POST /entries/{id}/table",
                "POST /entries/{id}/table/paste",
                "POST /entries/{id}/table/paper",
                "POST /entries/{id}/clock",
                "POST /entries/{id}/clock/readings",
                "POST /entries/{id}/clock/mixing",
                "POST /entries/{id}/clock/trend",
                "POST /entries/{id}/live/take",
                "POST /entries/{id}/simulated",
                "POST /entries/{id}/simulated/touch",
                "POST /entries/{id}/simulated/record",
                "POST /entries/{id}/clock/room",
                "POST /entries/{id}/clock/file/typed",
                "POST /entries/{id}/clock/file/keep",
                "POST /import/clock",
                "POST /entries/{id}/strip/stretches",
                "POST /entries/{id}/strip/mixing",
                "POST /entries/{id}/strip/{what:once|part}",
                "POST /entries/{id}/strip/pick",
                "POST /entries/{id}/strip/readings",
                "POST /entries/{id}/instruments",
                "POST /entries/{id}/paces",
                "POST /entries/{id}/waits",
                "POST /entries/{id}/broken-off",
                "POST /entries/{id}/trials/{number}",
                "POST /entries/{id}/aside",
                "POST /entries/{id}/school",
                "POST /entries/{id}/combination",
                "POST /entries/{id}/pin");
        lines(all, Right.DECIDE, "POST /entries/{id}/adopt");
        lines(
                all,
                Right.READ_CLASS,
                "GET /notebook",
                "GET /periods/{id}/beside/{experiment}",
                "GET /periods/{id}/changes",
                "GET /periods/{id}/observations.csv",
                "GET /periods/{id}/results/{experiment}.csv",
                "GET /periods/{id}/pages");
        lines(
                all,
                Right.READ_HANDOUTS,
                "GET /periods/{id}/handouts",
                "GET /periods/{id}/handouts/data",
                "GET /periods/{id}/handouts/data.csv");
        lines(
                all,
                Right.READ_SHELF,
                "GET /shelf",
                "GET /shelf/vessels/{id}",
                "GET /shelf/instruments/{id}",
                "GET /shelf/substances/{key}",
                "GET /shelf/water",
                "GET /shelf/{list:solutions|formation|values}");
        lines(
                all,
                Right.LEAD,
                "GET /prep",
                "POST /prep",
                "GET /prep/{experiment}",
                "POST /prep/{experiment}",
                "GET /plans/{plan}",
                "GET /plans/{plan}/plan.json",
                "POST /plans/{plan}/periods",
                "GET /shelf/supplies",
                "POST /shelf/supplies",
                "POST /hazards/strongest",
                "GET /plans/{plan}/list",
                "GET /plans/{plan}/list.csv",
                "GET /plans/beside",
                "GET /hazards",
                "POST /hazards",
                "POST /entries/{id}/reveal",
                "POST /entries/{id}/readers",
                "POST /entries/{id}/readers/{link}",
                "GET /periods",
                "GET /people",
                "GET /periods/{id}",
                "GET /periods/{id}/references",
                "POST /periods/{id}/references",
                "POST /periods/{id}/references/{row}",
                "POST /periods/{id}/readers",
                "POST /periods/{id}/readers/{link}",
                "GET /class",
                "GET /periods/{id}/data",
                "POST /periods/{id}/data",
                "GET /periods/{id}/data.csv",
                "GET /periods/{id}/after",
                "GET /periods/{id}/marks.csv",
                "GET /periods/{id}/class",
                "GET /periods/{id}/class/projector",
                "POST /periods/{id}/class/notes",
                "POST /periods/{id}/class/{bench}",
                "GET /periods/{id}/rehearsal",
                "GET /periods/{id}/constant",
                "POST /periods/{id}/constant",
                "GET /periods/{id}/hour",
                "POST /periods/{id}/hour",
                "GET /periods/{id}/hour.ics",
                "POST /periods/{id}/join",
                "POST /periods/{id}/benches",
                "POST /periods/{id}/benches/{bench}",
                "POST /periods/{id}/conventions",
                "POST /periods/{id}/code",
                "POST /periods/{id}/life",
                "POST /periods/{id}/away/{signIn}");
        lines(
                all,
                Right.RUN_HOUSE,
                "POST /periods",
                "GET /plans/{plan}/rehearsal",
                "POST /plans/{plan}/rehearsal",
                "GET /audit",
                "GET /audit.csv",
                "POST /people",
                "POST /people/{id}",
                "GET /import",
                "POST /import",
                "POST /import/again",
                "POST /api/reduce",
                "GET /shelf/key",
                "POST /shelf/key",
                "POST /shelf/key/{row}",
                "GET /shelf/own",
                "POST /shelf/own",
                "POST /shelf/own/{id}",
                "GET /shelf/new",
                "GET /shelf/new/instrument",
                "POST /shelf/vessels",
                "POST /shelf/vessels/{id}/constant",
                "POST /shelf/instruments",
                "POST /shelf/{things:vessels|instruments}/{id}/retired",
                "POST /shelf/{things:vessels|instruments}/{id}/name",
                "POST /shelf/calibrations/{id}");
        return all;
    }

    private static void lines(Map<String, Right> all, Right right, String... routes) {
        Arrays.stream(routes).forEach(route -> all.put(route, right));
    }

    /** What a route needs; empty where it has no line, and nobody may use it. */
    public Optional<Right> route(String method, String pattern) {
        return Optional.ofNullable(ROUTES.get((method.equals("HEAD") ? "GET" : method) + " " + pattern));
    }

    /** Whether a visitor may do something about a subject. */
    public boolean may(Visitor visitor, Right right, Subject about) {
        return switch (right) {
            case ANYONE -> true;
            case HAVE_SEAT -> visitor.instructor() || visitor.seat().isPresent();
            case READ_SHELF -> (visitor.instructor() || visitor.seat().isPresent()) && !withholding.handbook(visitor);
            case BEGIN ->
                visitor.seat()
                        .map(Bench::period)
                        .filter(period -> records(visitor, period))
                        .isPresent();
            case READ_ENTRY ->
                leads(visitor, about) || at(visitor, about) || shared(visitor, about) || reads(visitor, about);
            case WRITE_ENTRY -> records(visitor, about) && (leads(visitor, about) || at(visitor, about));
            case READ_CLASS -> leads(visitor, about) || shared(visitor, about);
            case READ_HANDOUTS -> leads(visitor, about) || in(visitor, about) || reads(visitor, about);
            case DECIDE -> records(visitor, about) && leads(visitor, about);
            case LEAD -> leads(visitor, about);
            case RUN_HOUSE -> visitor.instructor() && visitor.bound().isEmpty();
        };
    }

    /** Whether whoever the work in hand is done for may read an entry; the house itself reads all. */
    public boolean reads(Entry entry) {
        return Visitors.now()
                .map(visitor -> may(visitor, Right.READ_ENTRY, Subject.of(entry)))
                .orElse(true);
    }

    /** Why somebody who may see something may not do this to it, in words. */
    public String refusal(Visitor visitor, Right right, Subject about) {
        boolean closed = about.period().filter(period -> !period.open()).isPresent()
                || right == Right.BEGIN && visitor.seat().isPresent();
        if (visitor.role() == Role.READER) {
            return "This link lets you read what it leads to and nothing else.";
        }
        if (right == Right.READ_CLASS) {
            return "Each bench sees its own entries. Your instructor can open those of the others.";
        }
        if (right == Right.READ_SHELF) {
            return "The handbook is withheld in this period, with what your results should be, until your instructor tells it.";
        }
        return closed
                ? "This period is closed: what is in it can be read, and nothing more is recorded. An instructor can open it again."
                : "Only an instructor may do that. Nothing was recorded or changed.";
    }

    private static boolean leads(Visitor visitor, Subject about) {
        return about.period().map(visitor::leads).orElse(visitor.instructor());
    }

    private static boolean at(Visitor visitor, Subject about) {
        return visitor.seat()
                .filter(seat -> about.bench()
                        .filter(whose -> whose.id().equals(seat.id()))
                        .isPresent())
                .isPresent();
    }

    private static boolean reads(Visitor visitor, Subject about) {
        return visitor.reads().isPresent()
                && visitor.reads().equals(about.entry().or(() -> about.period().map(Period::id)));
    }

    /** Whether it is the period of the bench the visitor sits at. */
    private static boolean in(Visitor visitor, Subject about) {
        return visitor.seat()
                .map(Bench::period)
                .filter(own ->
                        about.period().filter(of -> of.id().equals(own.id())).isPresent())
                .isPresent();
    }

    /** Whether it is something of the visitor's own period, whose instructor lets benches see each other's entries. */
    private static boolean shared(Visitor visitor, Subject about) {
        return visitor.seat()
                .map(Bench::period)
                .filter(Period::shared)
                .filter(own ->
                        about.period().map(of -> of.id().equals(own.id())).orElse(true))
                .isPresent();
    }

    private static boolean records(Visitor visitor, Subject about) {
        return about.period().map(period -> records(visitor, period)).orElse(true);
    }

    /** Whether anything is recorded in a period: while it is open, and while whoever leads it prepares it. */
    private static boolean records(Visitor visitor, Period period) {
        return period.open() || period.draft() && visitor.leads(period);
    }

    /** {@return every route with the right it needs} */
    public Map<String, Right> all() {
        return Map.copyOf(ROUTES);
    }

    /** {@return the routes by right, as the document lists them} */
    public Map<Right, String> document() {
        Map<Right, String> lines = new LinkedHashMap<>();
        for (Right right : Right.values()) {
            lines.put(
                    right,
                    ROUTES.entrySet().stream()
                            .filter(each -> each.getValue() == right)
                            .map(each -> "`" + each.getKey() + "`")
                            .sorted()
                            .collect(Collectors.joining(", ")));
        }
        return lines;
    }
}
