package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import lab.sassafras.app.record.Entry;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** The chapters of a result: closed, they say what they come to; open, they are there; opened, they stay so. */
class ChaptersTest extends HouseTest {

    @Autowired
    private JdbcTemplate database;

    private String result(String example) {
        return "/entries/" + alone(example(example), example).id() + "/result";
    }

    /** Number, what it is, verdict, picture and the first thing to look at stand in a window of 1280×800. */
    @Tag("browser")
    @Test
    void everyResultOpensWithWhatMattersInOneWindowAndIsShort() {
        List<Integer> heights = new ArrayList<>();
        try (BenchBrowser browser = browser()) {
            Page page = browser.page();
            page.setViewportSize(1280, 800);
            for (String example : ONE_OF_EACH) {
                browser.open(result(example));
                for (String part : List.of(
                        "h1.result",
                        ".what",
                        ".lead",
                        ".balance:not(.upright), .line-picture, .levels",
                        ".findings li")) {
                    Locator first = page.locator(".page.right").locator(part).first();
                    if (page.locator(".page.right").locator(part).count() > 0) {
                        assertThat(first.boundingBox().y + first.boundingBox().height)
                                .as(example + " " + part)
                                .isLessThanOrEqualTo(800);
                    }
                }
                assertThat(page.locator("h1.result").boundingBox().height)
                        .as(example + ": on one line")
                        .isLessThan(60);
                heights.add((Integer) page.evaluate("() => document.documentElement.scrollHeight"));
            }
        }
        // two and a half windows
        assertThat(heights.stream().sorted().toList().get(ONE_OF_EACH.size() / 2))
                .isLessThanOrEqualTo(2000);
    }

    @ParameterizedTest
    @ValueSource(strings = {"neutralization", "cycle", "dissolving-equilibrium", "combustion-under-a-can"})
    void aClosedChapterIsNotRenderedAndItsTitleSaysWhatItComesTo(String example) {
        String at = result(example);
        String closed = get(at + "?open=none").body();
        String open = get(at + "?open=all").body();
        assertThat(closed).doesNotContain("class=\"working\"", "class=\"budget\"", "class=\"causes\"");
        assertThat(open).contains("class=\"working\"", "class=\"budget\"");
        assertThat(closed.length()).isLessThan(open.length() * 9 / 10);
        assertThat(closed.split("class=\"essence\"")).hasSameSizeAs(open.split("class=\"essence\""));
    }

    @Test
    void titlesSayWhatTheChaptersComeTo() {
        String words = get(result("neutralization") + "?open=none").body().replaceAll("<[^>]*>", "");
        assertThat(words.replaceAll("\\s+", " "))
                .containsPattern("Uncertainty budget \\([^)]*, \\d+ %\\)")
                .containsPattern("Other conventions \\(−[\\d.]+ to −[\\d.]+\\)")
                .containsPattern("Possible causes \\([^)]*, [+−][\\d.]+ kJ/mol\\)")
                .contains("Decisions (all trials included)");
    }

    /** By script: fetched, the focus stays, nothing else moves; and the next result opens as this one was left. */
    @Tag("browser")
    @Test
    void aChapterOpensInPlaceAndStaysOpenForThisBrowser() {
        Entry entry = alone("8-salt.json");
        String at = "/entries/" + entry.id() + "/result";
        long rows = rows();
        try (BenchBrowser browser = browser()) {
            browser.open(at);
            long shown = rows();
            assertThat(shown).as("the number was noted when it was first shown").isEqualTo(rows + 1);
            Page page = browser.page();
            page.evaluate("() => { window.stayed = true; }");
            page.click("#open-budget");
            page.waitForSelector("#chapter-budget .budget");
            assertThat(page.getAttribute("#open-budget", "aria-expanded")).isEqualTo("true");
            assertThat(page.evaluate("() => document.activeElement.id")).isEqualTo("open-budget");
            assertThat(page.isVisible("#chapter-working .working")).isTrue();
            page.click(".chapter-names a:has-text('Levels of energy')");
            page.waitForSelector("#chapter-levels .levels");
            page.click("#open-working");
            page.waitForSelector("#chapter-working:not(.is-open)");
            assertThat(page.evaluate("() => window.stayed")).isEqualTo(true);
            assertThat(browser.axe()).isEmpty();
            assertThat(rows()).as("opening writes no row").isEqualTo(shown);
            browser.open(at);
            assertThat(page.isVisible("#chapter-budget .budget")).isTrue();
            assertThat(page.isVisible("#chapter-levels .levels")).isTrue();
            assertThat(page.locator("#chapter-working .working").count()).isZero();
            page.click("#open-all");
            page.waitForSelector("#chapter-causes.is-open");
            assertThat(page.locator(".chapter:not(.is-open)").count()).isZero();
            page.click("text=Close all chapters");
            page.waitForSelector("#chapter-causes:not(.is-open)");
            assertThat(page.locator(".chapter.is-open").count()).isZero();
        }
    }

    private long rows() {
        return database.queryForObject("select count(*) from shown", Long.class)
                + database.queryForObject("select count(*) from observation", Long.class)
                + database.queryForObject("select count(*) from decision", Long.class);
    }

    /** Without script its heading is a link, and what no chapter is called opens none. */
    @Test
    void withoutScriptAHeadingIsALink() {
        String at = result("heat-of-solution");
        String page = get(at + "?open=working.nonsense").body();
        var heading =
                Pattern.compile("id=\"open-budget\"[^>]*href=\"(\\?[^\"]*)\"").matcher(page);
        assertThat(heading.find()).isTrue();
        String link = heading.group(1).replace("&amp;", "&").replaceAll("#.*", "");
        assertThat(link).endsWith("open=budget.working");
        var opened = get(at + link);
        assertThat(opened.body()).contains("class=\"budget\"", "class=\"working\"");
        assertThat(opened.headers().allValues("Set-Cookie"))
                .anySatisfy(cookie -> assertThat(cookie).startsWith("sassafras-chapters=budget.working"));
        assertThat(get(at).headers().allValues("Set-Cookie")).noneMatch(cookie -> cookie.contains("chapters"));
    }
}
