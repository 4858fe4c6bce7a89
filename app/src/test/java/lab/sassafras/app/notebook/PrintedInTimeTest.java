package lab.sassafras.app.notebook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import lab.sassafras.app.HouseTest;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.measure.TimeBudget;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Pages of a period are handed out worked: where time runs out, the page that was begun is whole, the rest is said. */
class PrintedInTimeTest extends HouseTest {

    @Autowired
    private EntrySheets sheets;

    @Test
    void timeRunsOutBetweenPagesAndNotWithinOne() {
        Entry slug = alone("2-grey-slug.json");
        NotebookController.Printed worked = NotebookController.Printed.of(sheets.of(slug));
        ResultView fresh = new ResultView(sheets.of(alone("5-ice.json")), Optional.empty());
        try (TimeBudget spent = TimeBudget.of(Duration.ofNanos(-1))) {
            assertThat(spent).isNotNull();
            assertThat(worked.view().trials()).isNotEmpty();
            assertThat(worked.view().result()).isPresent();
            assertThat(worked.view().working()).isPresent();
            assertThat(worked.view().agreement()).isNotNull();
            assertThatThrownBy(fresh::trials).isInstanceOf(TimeBudget.OutOfTime.class);
        }
        PrintedPages pages = new PrintedPages(List.of(slug, slug), entry -> {
            TimeBudget.check();
            return worked;
        });
        try (TimeBudget spent = TimeBudget.of(Duration.ofNanos(-1))) {
            assertThat(spent).isNotNull();
            assertThat(pages.iterator().hasNext()).isFalse();
        }
        assertThat(pages.left()).isEqualTo(2);
    }
}
