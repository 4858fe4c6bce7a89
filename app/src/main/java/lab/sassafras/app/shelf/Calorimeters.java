package lab.sassafras.app.shelf;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.LabBook;
import lab.sassafras.experiment.Calorimeter;
import lab.sassafras.measure.Measured;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Vessels and the constants adopted for them. */
@Service
@Transactional
public class Calorimeters {

    private static final String ASIDE = "aside";

    private final EntityManager entities;
    private final LabBook book;
    private final Clock clock;

    Calorimeters(EntityManager entities, LabBook book, Clock clock) {
        this.entities = entities;
        this.book = book;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<Vessel> vessels() {
        return entities.createQuery("from Vessel order by name", Vessel.class).getResultList();
    }

    @Transactional(readOnly = true)
    public Optional<Vessel> vessel(UUID id) {
        return Optional.ofNullable(entities.find(Vessel.class, id));
    }

    public Vessel add(String name, Calorimeter.Kind kind) {
        Vessel vessel = new Vessel(UUID.randomUUID(), name, kind, clock.instant());
        entities.persist(vessel);
        return vessel;
    }

    public Vessel findOrAdd(String name, Calorimeter.Kind kind) {
        return vessels().stream().filter(each -> each.name().equals(name) && each.kind() == kind).findFirst()
                .orElseGet(() -> add(name, kind));
    }

    /** Newest first. */
    @Transactional(readOnly = true)
    public List<Calibration> calibrations(Vessel vessel) {
        return entities.createQuery("from Calibration where vesselId = :vessel order by adoptedAt desc", Calibration.class)
                .setParameter("vessel", vessel.id()).getResultList();
    }

    @Transactional(readOnly = true)
    public Optional<Calibration> calibration(UUID id) {
        return Optional.ofNullable(entities.find(Calibration.class, id));
    }

    public Calibration adopt(Vessel vessel, Optional<UUID> entryId, Measured constant, double fill,
                             Calibration.Adoption adoption) {
        Calibration calibration = new Calibration(UUID.randomUUID(), vessel.id(), entryId, constant, fill, adoption,
                clock.instant());
        entities.persist(calibration);
        return calibration;
    }

    /** The newest constant of a vessel that was not set aside. */
    @Transactional(readOnly = true)
    public Optional<Calibration> inUse(Vessel vessel) {
        return calibrations(vessel).stream().filter(each -> setAside(each).isEmpty()).findFirst();
    }

    /** The decision that set a constant aside, if it still holds. */
    @Transactional(readOnly = true)
    public Optional<Decision> setAside(Calibration calibration) {
        return book.decisions(Decision.Kind.CALIBRATION).last(Decision.Kind.CALIBRATION, calibration.id().toString())
                .filter(decision -> decision.outcome().equals(ASIDE));
    }

    public void setAside(Calibration calibration, String reason, String who) {
        book.decide(Optional.empty(), Decision.Kind.CALIBRATION, calibration.id().toString(), ASIDE, reason, who);
    }

    public void takeUpAgain(Calibration calibration, String reason, String who) {
        book.decide(Optional.empty(), Decision.Kind.CALIBRATION, calibration.id().toString(), "adopted", reason, who);
    }
}
