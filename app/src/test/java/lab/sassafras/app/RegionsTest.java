package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import lab.sassafras.app.record.Entry;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** A region of a page is fetched by itself, and put in its place unless somebody types in it. */
class RegionsTest extends HouseTest {

    private String region(String path, String name) {
        return send(request(path).header("Accept", "text/html").header("X-Region", name))
                .body();
    }

    @Test
    void theSameAddressAnswersWithOneRegionWhereItIsNamed() {
        Entry entry = imported("4-still-at-the-bench.json");
        String sheet = region("/entries/" + entry.id(), "sheet");
        assertThat(sheet.strip()).startsWith("<section").endsWith("</section>").contains("calorimeter, settled");
        assertThat(sheet).doesNotContain("<html", "data-region=\"asking\"");
        assertThat(get("/entries/" + entry.id()).headers().allValues("Vary").toString())
                .containsIgnoringCase("X-Region");
        assertThat(region("/entries/" + entry.id(), "nowhere").strip()).isEmpty();
        assertThat(region("/entries/" + entry.id(), "${7*7}")).contains("<html");
    }

    @Tag("browser")
    @Test
    void whatOthersWroteAppearsAndWhatIsBeingTypedStays() {
        Entry entry = imported("4-still-at-the-bench.json");
        try (BenchBrowser browser = browser()) {
            browser.join(entry.period().id(), "Juniper").open("/entries/" + entry.id());
            browser.page().fill("#text", "21.");
            Hand other = new Hand(address("")).join("/periods/" + entry.period().id(), "Rowan");
            other.post("/entries/" + entry.id() + "/observations", "at=seen%5B1%5D/magnetic&role=stated&text=no");
            // by itself: the server says that the sheet has a newer version, and the page fetches it
            browser.page()
                    .waitForFunction(
                            "() => [...document.querySelectorAll('.row')].some(row => "
                                    + "/held by a magnet\\s*no/.test(row.textContent))",
                            null,
                            new com.microsoft.playwright.Page.WaitForFunctionOptions().setTimeout(2000));
            assertThat(browser.page().evaluate("() => sassafras.renew('asking')"))
                    .isEqualTo(false);
            assertThat(browser.page().inputValue("#text")).isEqualTo("21.");
        }
    }
}
