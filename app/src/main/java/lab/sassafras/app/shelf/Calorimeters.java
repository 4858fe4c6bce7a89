package lab.sassafras.app.shelf;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.DecisionBook;
import lab.sassafras.app.record.DiskRoom;
import lab.sassafras.app.record.Persons;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Refused;
import lab.sassafras.slot.VesselKind;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Vessels and the constants adopted for them. */
@Service
@Transactional
public class Calorimeters {

    private final EntityManager entities;
    private final DecisionBook decisionBook;
    private final Persons persons;
    private final Clock clock;
    private final DiskRoom room;

    Calorimeters(EntityManager entities, DecisionBook decisionBook, Persons persons, Clock clock, DiskRoom room) {
        this.entities = entities;
        this.decisionBook = decisionBook;
        this.persons = persons;
        this.clock = clock;
        this.room = room;
    }

    @Transactional(readOnly = true)
    public List<Vessel> vessels() {
        GivenNames names = GivenNames.in(decisionBook);
        return entities.createQuery("from Vessel order by name", Vessel.class).getResultList().stream()
                .map(each -> each.called(names.of(each.id().toString(), each.name())))
                .toList();
    }

    @Transactional(readOnly = true)
    public Optional<Vessel> vessel(UUID id) {
        return Optional.ofNullable(entities.find(Vessel.class, id))
                .map(each ->
                        each.called(GivenNames.in(decisionBook).of(each.id().toString(), each.name())));
    }

    public Vessel add(String name, VesselKind kind) {
        room.check();
        Vessel vessel = new Vessel(UUID.randomUUID(), name, kind, clock.instant());
        entities.persist(vessel);
        return vessel;
    }

    /** Several of one kind, all of them or none. */
    public List<Vessel> add(List<String> names, VesselKind kind) {
        return names.stream().map(name -> add(name, kind)).toList();
    }

    /** The vessel of that name and kind, if it is here already. */
    @Transactional(readOnly = true)
    public Optional<Vessel> find(String name, VesselKind kind) {
        return vessels().stream()
                .filter(each -> each.name().equals(name) && each.kind().equals(kind))
                .findFirst();
    }

    /** Newest first. */
    @Transactional(readOnly = true)
    public List<Calibration> calibrations(Vessel vessel) {
        return entities.createQuery("from Calibration where vesselId = :vessel order by seq desc", Calibration.class)
                .setParameter("vessel", vessel.id())
                .getResultList();
    }

    /** Of every vessel, newest first. */
    @Transactional(readOnly = true)
    public List<Calibration> calibrations() {
        return entities.createQuery("from Calibration order by seq desc", Calibration.class)
                .getResultList();
    }

    @Transactional(readOnly = true)
    public Optional<Calibration> calibration(UUID id) {
        return Optional.ofNullable(entities.find(Calibration.class, id));
    }

    /** Puts a constant on the shelf, whatever is in use. */
    public Calibration add(
            Vessel vessel, Optional<UUID> entryId, Measured constant, double fill, Calibration.Adoption adoption) {
        room.check();
        Calibration calibration = new Calibration(
                UUID.randomUUID(),
                vessel.id(),
                entryId,
                constant,
                fill,
                adoption,
                entryId.map(entry -> persons.inEntry(entry, adoption.who()))
                        .orElseGet(() -> persons.ofHouse(adoption.who())),
                clock.instant());
        entities.persist(calibration);
        return calibration;
    }

    /**
     * Puts a constant on the shelf for use. Whoever does so has seen which one was in use; where that is another by
     * now, nothing is done.
     *
     * @param seen the newest constant of the vessel that whoever adopts knew of
     * @throws Refused where somebody else adopted one meanwhile
     */
    public Calibration adopt(
            Vessel vessel,
            Optional<UUID> entryId,
            Measured constant,
            double fill,
            Calibration.Adoption adoption,
            Optional<UUID> seen) {
        // whoever comes second waits here and then sees what the first one did
        entities.createNativeQuery("select id from vessel where id = :vessel for update", UUID.class)
                .setParameter("vessel", vessel.id())
                .getSingleResult();
        calibrations(vessel).stream()
                .findFirst()
                .filter(newest -> !seen.equals(Optional.of(newest.id())))
                .ifPresent(newest -> {
                    throw new Refused("Not adopted: " + newest.who() + " put another constant of " + vessel.name()
                            + " on the shelf meanwhile (" + newest.described() + ": “" + newest.reason()
                            + "”). Look at it on the shelf; adopt yours after it if it is still the better one.");
                });
        return add(vessel, entryId, constant, fill, adoption);
    }

    /** Calls a vessel or an instrument otherwise, from now on and in what was written before. */
    public void rename(UUID thing, String name, String who) {
        decisionBook.decide(Optional.empty(), Decision.Kind.NAME, thing.toString(), name, "called so", who);
    }

    /** Retires a vessel or an instrument, or brings it back. */
    public void retire(UUID thing, String outcome, String reason, String who) {
        decisionBook.decide(Optional.empty(), Decision.Kind.THING, thing.toString(), outcome, reason, who);
    }

    /** Decides over a constant: whether it may be used for new entries. */
    public void decide(Calibration calibration, String outcome, String reason, String who) {
        decisionBook.decide(
                Optional.empty(), Decision.Kind.CALIBRATION, calibration.id().toString(), outcome, reason, who);
    }
}
