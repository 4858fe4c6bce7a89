package lab.sassafras.app.sheet;

import lab.sassafras.app.record.LabBook;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Looks over the newest periods once the server is open, so that the first person to open the notebook does not wait. */
@Component
class LookOver {

    private static final Logger LOG = LoggerFactory.getLogger(LookOver.class);
    private static final int PERIODS = 5;

    private final LabBook book;
    private final EntrySheets sheets;

    LookOver(LabBook book, EntrySheets sheets) {
        this.book = book;
        this.sheets = sheets;
    }

    @EventListener(ApplicationReadyEvent.class)
    void open() {
        Thread hand = new Thread(this::look, "look-over");
        hand.setDaemon(true);
        hand.setPriority(Thread.MIN_PRIORITY);
        hand.start();
    }

    private void look() {
        try {
            long began = System.nanoTime();
            int entries = book.periods().stream().limit(PERIODS).mapToInt(period -> sheets.standing(book.entriesOf(period), period).size()).sum();
            LOG.info("looked over {} entries in {} ms", entries, (System.nanoTime() - began) / 1_000_000);
        } catch (RuntimeException closing) {
            LOG.debug("not looked over", closing);
        }
    }
}
