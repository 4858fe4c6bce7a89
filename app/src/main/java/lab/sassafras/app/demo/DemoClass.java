package lab.sassafras.app.demo;

import java.io.IOException;
import java.io.InputStream;
import java.util.Optional;
import java.util.Set;
import lab.sassafras.app.people.Codes;
import lab.sassafras.app.people.Instructors;
import lab.sassafras.app.people.Secrets;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.shelf.Calibration;
import lab.sassafras.app.shelf.Shelf;
import lab.sassafras.app.shelf.Shelves;
import lab.sassafras.app.usecase.AdoptConstant;
import lab.sassafras.app.usecase.BringInRun;
import lab.sassafras.app.usecase.KeepShelf;
import lab.sassafras.app.usecase.TakeDecision;
import org.springframework.boot.CommandLineRunner;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Fills an empty demo book; leaves one that holds anything alone. */
@Component
@Profile("demo")
class DemoClass implements CommandLineRunner {

    private static final Actor HAWTHORN = Actor.house("Hawthorn");

    private final Instructors instructors;
    private final Codes codes;
    private final PeriodBook periodBook;
    private final BringInRun imports;
    private final AdoptConstant adopting;
    private final TakeDecision deciding;
    private final KeepShelf keeping;
    private final Shelves shelves;
    private final EntrySheets sheets;

    DemoClass(
            Instructors instructors,
            Codes codes,
            PeriodBook periodBook,
            BringInRun imports,
            AdoptConstant adopting,
            TakeDecision deciding,
            KeepShelf keeping,
            Shelves shelves,
            EntrySheets sheets) {
        this.instructors = instructors;
        this.codes = codes;
        this.periodBook = periodBook;
        this.imports = imports;
        this.adopting = adopting;
        this.deciding = deciding;
        this.keeping = keeping;
        this.shelves = shelves;
        this.sheets = sheets;
    }

    @Override
    @Transactional
    public void run(String... arguments) throws IOException {
        if (!periodBook.all().isEmpty()) {
            return;
        }
        instructors.add("Hazel", Secrets.token(), Set.of());
        Entry calibrated = take("1-calibration.json");
        Calibration constant = adopting.adopt(
                        sheets.of(calibrated), "three trials that agree", Optional.empty(), HAWTHORN)
                .orThrow();
        Entry slug = take("2-grey-slug.json");
        deciding.pin(sheets.of(slug), constant.id(), "the constant found the same evening", HAWTHORN)
                .orThrow();
        take("3-too-much-for-a-cup.json");
        take("4-still-at-the-bench.json");
        take("5-ice.json");
        take("6-liquid.json");
        take("7-steam.json");
        take("8-salt.json");
        take("9-acid-and-base.json");
        take("10-copper-by-zinc.json");
        take("11-three-metals.json");
        take("12-ice-water.json");
        take("13-heater.json");
        take("14-cup-from-its-parts.json");
        take("15-saltpetre.json");
        take("16-iron-on-a-clock.json");
        take("17-spirit-under-a-can.json");
        take("18-naphthalene-in-a-bomb.json");
        take("19-urea.json");
        take("20-magnesium-cycle.json");
        take("21-two-tubes.json");
        adoptWhatCame();
        periodBook.all().forEach(codes::renew);
    }

    private Entry take(String name) throws IOException {
        try (InputStream file = getClass().getResourceAsStream("/demo/" + name)) {
            return imports.take(file.readAllBytes(), name, Actor.house("the demo"))
                    .orThrow();
        }
    }

    /** What came with the files is only proposed; this class uses it where it found none of its own. */
    private void adoptWhatCame() {
        Shelf shelf = shelves.now();
        shelf.vessels().stream()
                .filter(vessel -> shelf.inUse(vessel).isEmpty())
                .flatMap(vessel -> shelf.calibrations(vessel).stream().limit(1))
                .forEach(each -> keeping.decide(each, Decision.ADOPTED, "found earlier this term", HAWTHORN)
                        .orThrow());
    }
}
