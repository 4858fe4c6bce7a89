package lab.sassafras.app.classpages;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.annotation.PreDestroy;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.simulated.SimulatedBenches;
import lab.sassafras.verdict.ExplainingSize;
import org.springframework.stereotype.Component;

/** What came of the runs of a rehearsal beside the truth, worked out by a hand of its own while the page goes on. */
@Component
class RehearsedResults {

    /** Runs whose end is remembered. */
    private static final int REMEMBERED = 200;

    private final Cache<UUID, CompletableFuture<Came>> came =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();
    private final ExecutorService worker = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "rehearsed");
        thread.setDaemon(true);
        return thread;
    });

    private final EntrySheets sheets;
    private final SimulatedBenches benches;

    RehearsedResults(EntrySheets sheets, SimulatedBenches benches) {
        this.sheets = sheets;
        this.benches = benches;
    }

    @PreDestroy
    void stop() {
        worker.shutdownNow();
    }

    /** What came of a run, beside the truth. */
    record Came(String found, String truth, String said) {}

    /** What came of a run once it was worked out, which it is beside the page. */
    Optional<Came> of(Entry entry) {
        CompletableFuture<Came> working =
                came.get(entry.id(), any -> CompletableFuture.supplyAsync(() -> worked(entry), worker));
        if (working.isCompletedExceptionally()) {
            return Optional.of(new Came("cannot be worked out", "", ""));
        }
        return Optional.ofNullable(working.getNow(null));
    }

    private Came worked(Entry entry) {
        EntrySheet sheet = sheets.of(entry);
        return new Came(
                sheet.reduction().inShort(),
                benches.now(sheet, 1)
                        .map(now -> sheet.reduction().sought(now.truth().sought()))
                        .orElse(""),
                ExplainingSize.rows(sheet.reduction().suspects()).stream()
                        .findFirst()
                        .map(ExplainingSize.Row::first)
                        .filter(ExplainingSize::believed)
                        .map(ExplainingSize::words)
                        .orElse(""));
    }
}
