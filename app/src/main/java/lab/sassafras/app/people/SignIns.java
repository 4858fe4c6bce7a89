package lab.sassafras.app.people;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.DiskRoom;
import lab.sassafras.app.record.Hashes;
import lab.sassafras.app.record.Period;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Browsers that came in. A token is told once, to the browser; here only its hash is kept. */
@Service
@Transactional
public class SignIns {

    /** Seen so long ago, it has ended by itself. */
    static final Duration IDLE = Duration.ofDays(30);

    private static final Duration NOTED_EVERY = Duration.ofMinutes(5);
    private static final int LONGEST_TOKEN = 100;

    private final EntityManager entities;
    private final Instructors instructors;
    private final Clock clock;
    private final DiskRoom room;
    private final ApplicationEventPublisher events;

    SignIns(
            EntityManager entities,
            Instructors instructors,
            Clock clock,
            DiskRoom room,
            ApplicationEventPublisher events) {
        this.entities = entities;
        this.instructors = instructors;
        this.clock = clock;
        this.room = room;
        this.events = events;
    }

    /** An instructor comes in. @return the token */
    public String instructor(UUID person, String device) {
        return begun(new SignIn("", Role.INSTRUCTOR, person, null, null, Devices.shortened(device), now()));
    }

    /** A tablet comes in at a bench. @return the token */
    public String bench(Bench bench, String device) {
        return begun(new SignIn("", Role.BENCH, null, bench, null, Devices.shortened(device), now()));
    }

    /** Somebody comes in by a link. @return the token */
    String reader(ReaderLink link, String device) {
        return begun(new SignIn("", Role.READER, null, null, link, Devices.shortened(device), now()));
    }

    /** Ends all that came by a link. */
    void endAllBy(ReaderLink link) {
        ended(entities.createQuery("from SignIn where link.id = :link and endedAt is null", SignIn.class)
                .setParameter("link", link.id())
                .getResultList());
    }

    private String begun(SignIn like) {
        room.check();
        String token = Secrets.token();
        entities.persist(new SignIn(
                Hashes.of(token),
                like.role(),
                like.personId().orElse(null),
                like.bench().orElse(null),
                like.link().orElse(null),
                like.device(),
                like.begunAt()));
        return token;
    }

    /** {@return who a token belongs to; a stranger where it is nobody's, or ended} */
    public Visitor visitor(String token) {
        if (token.isEmpty() || token.length() > LONGEST_TOKEN) {
            return Visitor.STRANGER;
        }
        Instant now = now();
        return entities.createQuery("from SignIn where token = :token", SignIn.class)
                .setParameter("token", Hashes.of(token))
                .getResultStream()
                .findFirst()
                .filter(each -> !each.ended() && each.seenAt().plus(IDLE).isAfter(now))
                .flatMap(each -> visitor(each, now))
                .orElse(Visitor.STRANGER);
    }

    private Optional<Visitor> visitor(SignIn signIn, Instant now) {
        if (signIn.seenAt().plus(NOTED_EVERY).isBefore(now)) {
            signIn.seen(now);
        }
        Optional<UUID> id = Optional.of(signIn.id());
        if (signIn.role() == Role.READER) {
            return signIn.link()
                    .filter(link -> !link.revoked())
                    .map(link -> new Visitor(
                            id,
                            Role.READER,
                            Optional.empty(),
                            "a reader",
                            Optional.empty(),
                            Set.of(),
                            Optional.of(link.of())));
        }
        if (signIn.role() == Role.BENCH) {
            return signIn.bench()
                    .map(bench -> new Visitor(
                            id,
                            Role.BENCH,
                            Optional.empty(),
                            bench.name(),
                            signIn.bench(),
                            Set.of(),
                            Optional.empty()));
        }
        return signIn.personId()
                .flatMap(instructors::find)
                .filter(each -> !each.locked())
                .map(each -> new Visitor(
                        id,
                        Role.INSTRUCTOR,
                        signIn.personId(),
                        each.name(),
                        signIn.bench(),
                        each.bound(),
                        Optional.empty()));
    }

    /** An instructor sits down at a bench, or gets up. */
    public void sit(Visitor visitor, Optional<Bench> bench) {
        visitor.signIn().map(id -> entities.find(SignIn.class, id)).ifPresent(each -> each.sit(bench.orElse(null)));
    }

    /** Ends one. */
    public void end(UUID signIn) {
        ended(entities.createQuery("from SignIn where id = :id and endedAt is null", SignIn.class)
                .setParameter("id", signIn)
                .getResultList());
    }

    /** Ends all of an instructor. */
    public void endAll(UUID person) {
        ended(entities.createQuery("from SignIn where personId = :person and endedAt is null", SignIn.class)
                .setParameter("person", person)
                .getResultList());
    }

    /** Ends all at the benches of a period; an instructor who sits at one gets up. */
    public void endAll(Period period) {
        ended(joined(period));
        entities.createQuery(
                        "from SignIn where bench.period.id = :period and role = :instructor and endedAt is null",
                        SignIn.class)
                .setParameter("period", period.id())
                .setParameter("instructor", Role.INSTRUCTOR.name())
                .getResultList()
                .forEach(each -> each.sit(null));
    }

    private void ended(List<SignIn> these) {
        Instant now = now();
        Set<UUID> ids = new HashSet<>();
        for (SignIn each : these) {
            each.end(now);
            ids.add(each.id());
        }
        events.publishEvent(new SignInsEnded(ids));
    }

    /** Of a period that was closed nothing is to be told any more. */
    public void stopListening(Period period) {
        events.publishEvent(
                new SignInsEnded(joined(period).stream().map(SignIn::id).collect(java.util.stream.Collectors.toSet())));
    }

    /** {@return the tablets that joined benches of a period, those seen last first} */
    @Transactional(readOnly = true)
    public List<SignIn> joined(Period period) {
        return entities.createQuery(
                        "from SignIn where bench.period.id = :period and role = :bench and endedAt is null "
                                + "order by seenAt desc",
                        SignIn.class)
                .setParameter("period", period.id())
                .setParameter("bench", Role.BENCH.name())
                .getResultList();
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MILLIS);
    }
}
