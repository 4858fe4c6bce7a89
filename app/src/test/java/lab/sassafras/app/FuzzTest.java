package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.RecordComponent;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Observation;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.core.MethodParameter;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * Requests nobody means well with, over every route by the framework's own list and every field each reads: never a
 * fault of the house, nothing that outlasts its time, and every page stands afterwards. More of them: {@code ./bench
 * fuzz}.
 */
@Tag("long")
class FuzzTest extends HouseTest {

    private static final int MANY = Integer.getInteger("sassafras.fuzz", 400);
    /** A request has ten seconds, and a little for the machine (s). */
    private static final double LONGEST = 12;

    private static final long SEED = Long.getLong("sassafras.seed", 1);
    private static final Pattern VARIABLE = Pattern.compile("\\{(\\w+)(?::([^}]*))?}");
    private static final List<String> FILES = List.of(
            "2-grey-slug.json",
            "8-salt.json",
            "16-iron-on-a-clock.json",
            "18-naphthalene-in-a-bomb.json",
            "19-urea.json",
            "20-magnesium-cycle.json");
    private static final List<String> ODD = List.of(
            "",
            " ",
            "0",
            "1",
            "2",
            "-1",
            "21.5",
            "21,5",
            "2147483648",
            "99999999999999999999",
            "9999999",
            "1e18",
            "1e308",
            "1e400",
            "-1e300",
            "NaN",
            "Infinity",
            "0x1p3",
            "١٢",
            "12a",
            "true",
            "in",
            "out",
            "keep",
            "done",
            "new",
            "<b>&\"'",
            "a\r\nSet-Cookie: x=1",
            "\u0000",
            "\uD83D",
            "é̂😀",
            "../../etc",
            "'; drop table entry",
            "+1000000000-01-01T00:00:00Z",
            "2026-02-30",
            "0:00",
            "3:30",
            "99999:59",
            "NaCl",
            "H2O(l) -> H2O(g)",
            "sample[1]/mass",
            "sample[99999999999]/mass",
            "curve[1]/trace",
            "x[1]/y",
            "read",
            "stated",
            "tare",
            "assumed",
            "g",
            "°C",
            "furlong",
            "°".repeat(5000),
            "9".repeat(400));

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    private RequestMappingHandlerMapping mapping;

    private final Random random = new Random(SEED);
    private final List<String> known = new ArrayList<>();
    private final List<Entry> entries = new ArrayList<>();
    private final List<String> faults = new ArrayList<>();
    private String lastForm = "";
    private int reached;
    private Hand hand;

    /** A way in, with what it reads. */
    private record Route(boolean writes, String pattern, List<String> fields) {}

    private List<Route> routes() {
        List<Route> routes = new ArrayList<>();
        for (var each : mapping.getHandlerMethods().entrySet()) {
            RequestMappingInfo info = each.getKey();
            boolean writes = info.getMethodsCondition().getMethods().contains(RequestMethod.POST);
            for (String pattern : info.getPatternValues()) {
                if (!pattern.endsWith("/changes") && !pattern.endsWith("/leave") && !pattern.equals("/error")) {
                    routes.add(new Route(writes, pattern, fields(each.getValue())));
                }
            }
        }
        routes.sort(java.util.Comparator.comparing(Route::pattern).thenComparing(Route::writes));
        return routes;
    }

    private static List<String> fields(HandlerMethod method) {
        return Arrays.stream(method.getMethodParameters())
                .filter(each -> !each.hasParameterAnnotation(PathVariable.class))
                .flatMap(FuzzTest::fields)
                .toList();
    }

    private static Stream<String> fields(MethodParameter parameter) {
        if (parameter.getParameterType().isRecord()) {
            return Arrays.stream(parameter.getParameterType().getRecordComponents())
                    .map(RecordComponent::getName);
        }
        RequestParam named = parameter.getParameterAnnotation(RequestParam.class);
        if (named == null) {
            return Stream.empty();
        }
        return named.name().isEmpty()
                ? Stream.ofNullable(parameter.getParameter().getName())
                : Stream.of(named.name());
    }

    private String value(String field) {
        return switch (random.nextInt(4)) {
            case 0 -> known.get(random.nextInt(known.size()));
            case 1 -> field.equals("trial") ? "1" : ODD.get(random.nextInt(ODD.size()));
            default -> ODD.get(random.nextInt(ODD.size()));
        };
    }

    private String path(String pattern) {
        Matcher variable = VARIABLE.matcher(pattern);
        StringBuilder path = new StringBuilder();
        while (variable.find()) {
            String choice = variable.group(2);
            String given = choice != null && choice.contains("|")
                    ? choice.split("\\|", -1)[random.nextInt(choice.split("\\|", -1).length)]
                    : random.nextInt(5) > 0 ? known.get(random.nextInt(known.size())) : value(variable.group(1));
            variable.appendReplacement(
                    path, Matcher.quoteReplacement(Hand.encoded(given).replace("+", "%20")));
        }
        return variable.appendTail(path).toString();
    }

    private String form(List<String> fields) {
        StringBuilder form = new StringBuilder();
        for (String field : fields) {
            int times = random.nextInt(10) == 0 ? 0 : random.nextInt(12) == 0 ? 2 : 1;
            for (int i = 0; i < times; i++) {
                form.append('&').append(Hand.encoded(field)).append('=').append(Hand.encoded(value(field)));
            }
        }
        return form.length() == 0 ? "" : form.substring(1);
    }

    /** A run file with a piece cut out, doubled, or overwritten. */
    private byte[] file() {
        byte[] whole = demo(FILES.get(random.nextInt(FILES.size())));
        String text = new String(whole, StandardCharsets.UTF_8);
        int from = random.nextInt(text.length());
        int to = Math.min(text.length(), from + random.nextInt(40));
        String odd = ODD.get(random.nextInt(ODD.size()));
        return (text.substring(0, from)
                        + (random.nextBoolean() ? odd : text.substring(from, to) + text.substring(from, to))
                        + text.substring(to))
                .getBytes(StandardCharsets.UTF_8);
    }

    private HttpResponse<String> sent(Route route) {
        String path = path(route.pattern());
        if (route.pattern().startsWith("/import")) {
            return hand.upload(path + "?" + form(route.fields()), "a.json", file());
        }
        String form = form(route.fields());
        lastForm = form;
        return route.writes() ? hand.post(path, form) : hand.get(path + (form.isEmpty() ? "" : "?" + form));
    }

    @Test
    void noRequestIsAFaultOfTheHouse() {
        hand = new Hand(address(""));
        for (String file : FILES) {
            Entry entry = imported(file);
            entries.add(entry);
            known.add(entry.id().toString());
            known.add(entry.id().toString());
            known.add(entry.period().id().toString());
            known.add(entry.bench().id().toString());
            entry.instruments().values().forEach(each -> known.add(each.toString()));
            List<Observation> all = observationBook.of(entry.id()).all();
            all.stream().limit(4).forEach(each -> known.add(each.id().toString()));
            all.stream().limit(6).forEach(each -> known.add(each.address()));
        }
        List<Route> routes = routes();
        for (int i = 0; i < MANY; i++) {
            if (i % 25 == 0) {
                Entry entry = entries.get(random.nextInt(entries.size()));
                hand.join("/periods/" + entry.period().id(), "Fuzz " + UUID.randomUUID());
            }
            Route route = routes.get(random.nextInt(routes.size()));
            long began = System.nanoTime();
            HttpResponse<String> answer = sent(route);
            String what = "seed " + SEED + ", request " + i + ": "
                    + answer.request().method() + " " + answer.request().uri();
            reached += answer.statusCode() < 400 ? 1 : 0;
            boolean fault = answer.statusCode() == 500
                    || answer.statusCode() == 503 && !answer.body().contains("nothing was recorded or changed")
                    || answer.body().contains("\tat lab.sassafras")
                    || answer.body().contains("java.lang.")
                    || (System.nanoTime() - began) / 1e9 > LONGEST;
            if (fault) {
                faults.add("request " + i + ": " + answer.statusCode() + " " + what);
            }
        }
        assertThat(faults).as("seed " + SEED).isEmpty();
        assertThat(reached).as("what is sent gets through the door").isGreaterThan(MANY / 20);
        for (Entry entry : entries) {
            for (String page : List.of("", "/result", "/run.json", "/observations.csv")) {
                assertThat(get("/entries/" + entry.id() + page).statusCode())
                        .as(page)
                        .isEqualTo(200);
            }
        }
    }
}
