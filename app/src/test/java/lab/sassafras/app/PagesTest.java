package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.options.LoadState;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lab.sassafras.app.record.Entry;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every page: readable by everyone, at every width, under a strict policy. */
class PagesTest extends HouseTest {

    private Stream<String> pages() {
        Entry slug = imported("2-grey-slug.json");
        Entry cup = imported("1-calibration.json");
        Entry flagged = imported("3-too-much-for-a-cup.json");
        Entry begun = imported("4-still-at-the-bench.json");
        Entry neutral = imported("9-acid-and-base.json");
        Entry metals = imported("11-three-metals.json");
        Entry bomb = imported("18-naphthalene-in-a-bomb.json");
        Entry clocked = imports.take(example("solid-with-solution-on-a-clock"), "run.json", A_TEST)
                .orThrow();
        String instrument = instruments.all().get(0).key();
        return Stream.of(
                "/periods",
                "/periods/" + slug.period().id(),
                "/bench",
                "/bench/probes",
                "/entries/" + begun.id(),
                "/entries/" + begun.id() + "?at=sample%5B1%5D/bath",
                "/entries/" + begun.id() + "?at=seen%5B1%5D/magnetic",
                "/entries/" + begun.id() + "?at=seen%5B1%5D/density&way=assumed",
                "/entries/" + begun.id() + "?at=sample%5B1%5D/moved",
                "/entries/" + begun.id() + "?at=seen%5B1%5D/known",
                "/entries/" + slug.id(),
                "/entries/" + slug.id() + "/result?trial=2",
                "/entries/" + cup.id() + "/result?open=all",
                "/entries/" + flagged.id() + "/result?open=none",
                "/entries/" + begun.id() + "/result",
                "/entries/" + neutral.id() + "?at=first%5B1%5D/amount",
                "/entries/" + neutral.id() + "/result?open=all",
                "/entries/" + metals.id() + "/result?trial=2",
                "/entries/" + imported("12-ice-water.json").id() + "/result",
                "/entries/" + imported("14-cup-from-its-parts.json").id() + "/result",
                "/entries/" + imported("15-saltpetre.json").id() + "/result?open=all",
                "/entries/" + imported("17-spirit-under-a-can.json").id() + "/result?open=all",
                "/entries/" + bomb.id() + "/result?open=all",
                "/entries/" + bomb.id() + "?at=check%5B1%5D/charge",
                "/entries/" + imported("19-urea.json").id() + "/result",
                "/entries/" + imported("20-magnesium-cycle.json").id() + "/result?open=all",
                "/periods/" + bomb.period().id() + "/beside/bomb-combustion",
                "/entries/" + metals.id() + "?at=calorimeter%5B2%5D/vessel",
                "/entries/" + begun.id() + "/clock",
                "/entries/" + begun.id() + "/paces",
                "/entries/" + begun.id() + "/instruments",
                "/entries/" + begun.id() + "/table",
                "/entries/" + bomb.id() + "/table",
                "/entries/" + begun.id() + "/clock?at=sample%5B1%5D/start",
                "/entries/" + clocked.id() + "/clock",
                "/entries/" + clocked.id() + "/strip",
                "/shelf/solutions",
                "/shelf/formation",
                "/shelf/values",
                "/notebook",
                "/shelf",
                "/shelf/new",
                "/shelf/water",
                "/shelf/substances/copper",
                "/shelf/instruments/" + instrument,
                "/shelf/vessels/" + cup.vesselId().orElseThrow(),
                "/import",
                "/nowhere");
    }

    private static final int MANY = 6;

    /**
     * Axe looks at a page of each kind: where there are several of a kind, at another one at each width, else at one of
     * the widths. Whether it fits is looked at everywhere, but for kinds of many pages: each of those at two widths.
     */
    @Tag("browser")
    @ParameterizedTest
    @CsvSource({"1280, 800, 0", "820, 1180, 1", "390, 844, 2"})
    void axeFindsNothingAndNothingSticksOut(int width, int height, int turn) {
        List<String> pages = pages().toList();
        Map<String, List<String>> kinds = pages.stream()
                .collect(Collectors.groupingBy(
                        page -> page.replaceAll("[0-9a-f-]{36}|\\?.*", ""), TreeMap::new, Collectors.toList()));
        Set<String> looked = new HashSet<>();
        int number = 0;
        Set<String> passed = new HashSet<>();
        for (List<String> alike : kinds.values()) {
            for (int i = turn; alike.size() > MANY && i < alike.size(); i += 3) {
                passed.add(alike.get(i));
            }
            if (alike.size() > 2) {
                looked.add(alike.get(turn * (alike.size() + 2) / 3 % alike.size()));
            } else if (number++ % 3 == turn) {
                looked.add(alike.get(0));
            }
        }
        Entry slug = imported("2-grey-slug.json");
        try (BenchBrowser browser = browser()) {
            browser.join(slug.period().id(), "Hawthorn").page().setViewportSize(width, height);
            for (String page : pages.subList(0, pages.size() - 1)) {
                if (passed.contains(page) && !looked.contains(page)) {
                    continue;
                }
                browser.open(page);
                if (looked.contains(page)) {
                    assertThat(browser.axe()).as(page + " at " + width).isEmpty();
                }
                assertThat((Integer) browser.page().evaluate("() => document.documentElement.scrollWidth"))
                        .as(page)
                        .isLessThanOrEqualTo(width);
            }
        }
    }

    /** At twice the size, and on a phone, nothing is clipped and no word of the field is broken in two. */
    @Tag("browser")
    @ParameterizedTest
    @CsvSource({"640, 400", "390, 844"})
    void noWordIsBroken(int width, int height) {
        Entry slug = imported("2-grey-slug.json");
        try (BenchBrowser browser = browser()) {
            browser.join(slug.period().id(), "Hawthorn").page().setViewportSize(width, height);
            for (String page : List.of(
                    "/notebook?period=" + slug.period().id(),
                    "/entries/" + slug.id() + "/result",
                    "/entries/" + slug.id() + "/table",
                    "/periods/" + slug.period().id(),
                    "/bench",
                    "/shelf/own")) {
                browser.open(page);
                assertThat((Integer) browser.page().evaluate("() => document.documentElement.scrollWidth"))
                        .as(page)
                        .isLessThanOrEqualTo(width);
                assertThat((List<?>) browser.page().evaluate("""
                                        () => {
                                          const walk = document.createTreeWalker(document.querySelector('main'), NodeFilter.SHOW_TEXT);
                                          const broken = [];
                                          while (walk.nextNode()) {
                                            for (const word of walk.currentNode.data.matchAll(/\\p{L}{4,}/gu)) {
                                              const range = document.createRange();
                                              range.setStart(walk.currentNode, word.index);
                                              range.setEnd(walk.currentNode, word.index + word[0].length);
                                              const lines = new Set([...range.getClientRects()].map((each) => Math.round(each.top)));
                                              if (lines.size > 1) { broken.push(word[0]); }
                                            }
                                          }
                                          return broken;
                                        }
                                        """))
                        .as(page + " at " + width)
                        .isEmpty();
            }
        }
    }

    /**
     * A wet glove hits what is as high as a finger is broad: 44 px. Links inside a sentence are not aimed at by
     * thumb.
     */
    @Tag("browser")
    @Test
    void whatIsTouchedAtTheBenchIsLargeEnough() {
        Entry begun = imported("4-still-at-the-bench.json");
        try (BenchBrowser browser = browser()) {
            browser.join(begun.period().id(), "Hawthorn").page().setViewportSize(390, 844);
            for (String page : List.of(
                    "/bench",
                    "/entries/" + begun.id(),
                    "/entries/" + begun.id() + "/clock",
                    "/periods/" + begun.period().id())) {
                browser.open(page);
                assertThat((List<?>) browser.page().evaluate("""
                                        () => [...document.querySelectorAll(
                                            'header a, main button:not(.is-sr-only), main select, main input:not([type=hidden]):'
                                            + 'not([type=radio]):not([type=checkbox]), label.leaf-line, label.choice, label.radio')]
                                          .filter(each => each.getClientRects().length
                                            && each.getBoundingClientRect().height < 44)
                                          .map(each => each.outerHTML.slice(0, 80))
                                        """)).as(page).isEmpty();
            }
        }
    }

    /**
     * What a browser that was never here has to fetch for a page, as it comes over the wire: styles, script and fonts
     * together, and the page itself where all it shows is this test's own.
     */
    @Tag("browser")
    @Test
    void aFirstVisitIsLight() {
        Entry slug = imported("2-grey-slug.json");
        String own = "/entries/" + slug.id();
        for (String page : List.of("/periods", own, own + "/result", "/shelf/formation")) {
            try (BenchBrowser browser = browser()) {
                AtomicInteger itself = new AtomicInteger();
                AtomicInteger besides = new AtomicInteger();
                browser.page()
                        .onRequestFinished(request -> (request.url().endsWith(page) ? itself : besides)
                                .addAndGet(request.sizes().responseBodySize + request.sizes().responseHeadersSize));
                browser.open(page).page().waitForLoadState(LoadState.NETWORKIDLE);
                assertThat(besides.get()).as("beside " + page).isBetween(50_000, 122_000);
                if (page.startsWith(own)) {
                    // it lists instruments that other tests put on the shelf: only the whole visit has a bound
                    assertThat(itself.get()).as(page).isGreaterThan(2_000);
                    assertThat(besides.get() + itself.get()).as("whole " + page).isLessThan(130_000);
                }
            }
        }
    }

    @Tag("browser")
    @Test
    void narrowScreensTurnThePage() {
        Entry begun = imported("4-still-at-the-bench.json");
        try (BenchBrowser browser = browser()) {
            browser.join(begun.period().id(), "Hawthorn").page().setViewportSize(390, 844);
            browser.open("/entries/" + begun.id());
            assertThat(browser.page().isVisible("#sheet-title")).isFalse();
            browser.page().click("text=Data table");
            assertThat(browser.page().isVisible("#sheet-title")).isTrue();
            assertThat(browser.page().isVisible("#ask-title")).isFalse();
        }
    }

    @Test
    void thePolicyAllowsNothingUnsafeAndNothingFromElsewhere() {
        pages().forEach(page -> {
            var answer = get(page);
            String policy =
                    answer.headers().firstValue("Content-Security-Policy").orElse("");
            assertThat(policy)
                    .as(page)
                    .contains("default-src 'none'")
                    .doesNotContain("unsafe")
                    .doesNotContain("http");
            assertThat(answer.body())
                    .as(page)
                    .doesNotContain(" style=\"")
                    .doesNotContain(" onclick=")
                    .doesNotContain("<style");
        });
    }

    @Test
    void whatIsNotThereIsSaidPlainly() {
        for (String path : List.of(
                "/nowhere",
                "/entries/not-an-id",
                "/entries/00000000-0000-0000-0000-000000000000",
                "/periods/00000000-0000-0000-0000-000000000000",
                "/shelf/substances/unobtainium")) {
            var answer = get(path);
            assertThat(answer.statusCode()).as(path).isEqualTo(404);
            assertThat(answer.body())
                    .contains("There is no such page", "To the first page")
                    .doesNotContain("Exception");
        }
        assertThat(get("/health").body()).contains("\"UP\"");
    }

    @Tag("browser")
    @Test
    void keysAreExplainedOnAQuestionMark() {
        try (BenchBrowser browser = browser()) {
            browser.open("/shelf").press("?");
            assertThat(browser.page().isVisible("#keys")).isTrue();
            browser.press("Escape");
            assertThat(browser.page().isVisible("#keys")).isFalse();
        }
    }
}
