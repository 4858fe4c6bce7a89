package lab.sassafras.app.notebook;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.Iterator;
import java.util.List;
import lab.sassafras.app.HouseTest;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.measure.TimeBudget;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Pages of a period are handed out one by one: where time runs out between two, the rest is counted. */
class PrintedInTimeTest extends HouseTest {

    @Autowired
    private EntrySheets sheets;

    @Test
    void whatTimeDoesNotReachIsCounted() {
        Entry slug = alone("2-grey-slug.json");
        NotebookController.Printed worked = NotebookController.Printed.of(sheets.of(slug));
        PrintedPages pages = new PrintedPages(List.of(slug, slug, slug), entry -> {
            TimeBudget.check();
            return worked;
        });
        Iterator<NotebookController.Printed> handed = pages.iterator();
        assertThat(handed.next()).isSameAs(worked);
        try (TimeBudget spent = TimeBudget.of(Duration.ofNanos(-1))) {
            assertThat(spent).isNotNull();
            assertThat(handed.hasNext()).isFalse();
        }
        assertThat(pages.left()).isEqualTo(2);
    }
}
