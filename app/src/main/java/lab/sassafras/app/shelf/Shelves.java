package lab.sassafras.app.shelf;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import lab.sassafras.app.record.BroughtIn;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.DecisionBook;
import lab.sassafras.app.record.OriginBook;
import lab.sassafras.app.record.Revisions;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The shelf as it stands now; read anew when something was put on it or decided about it. */
@Service
public class Shelves {

    private final Calorimeters calorimeters;
    private final Instruments instruments;
    private final OwnSubstances own;
    private final OwnReferences references;
    private final DecisionBook decisionBook;
    private final OriginBook originBook;
    private final Revisions stamps;
    private volatile @Nullable Kept kept;

    Shelves(
            Calorimeters calorimeters,
            Instruments instruments,
            OwnSubstances own,
            OwnReferences references,
            DecisionBook decisionBook,
            OriginBook originBook,
            Revisions stamps) {
        this.calorimeters = calorimeters;
        this.instruments = instruments;
        this.own = own;
        this.references = references;
        this.decisionBook = decisionBook;
        this.originBook = originBook;
        this.stamps = stamps;
    }

    private record Kept(Revisions.Shelf stamp, Shelf shelf) {}

    @Transactional(readOnly = true)
    public Shelf now() {
        return at(stamps.shelf());
    }

    /** As it stood at a stamp taken just now, or since. */
    @Transactional(readOnly = true)
    public Shelf at(Revisions.Shelf stamp) {
        Kept known = kept;
        if (known == null || !known.stamp.equals(stamp)) {
            known = new Kept(stamp, read());
            kept = known;
        }
        return known.shelf;
    }

    private Shelf read() {
        return new Shelf(
                calorimeters.vessels(),
                calorimeters.calibrations(),
                instruments.all(),
                decisionBook.of(Decision.Kind.CALIBRATION).all(),
                originBook.all(BroughtIn.What.CALIBRATION).stream()
                        .map(BroughtIn::subject)
                        .collect(Collectors.toSet()),
                own.all(),
                decisionBook.of(Decision.Kind.SUBSTANCE).all(),
                decisionBook.of(Decision.Kind.THING).all(),
                counting());
    }

    /** References that were given and not struck out, the newest first. */
    private List<OwnReference> counting() {
        Set<String> struck = decisionBook.of(Decision.Kind.REFERENCE).all().stream()
                .map(Decision::subject)
                .collect(Collectors.toSet());
        return references.all().stream()
                .filter(each -> !struck.contains(each.id().toString()))
                .toList();
    }
}
