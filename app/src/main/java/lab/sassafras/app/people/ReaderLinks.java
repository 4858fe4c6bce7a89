package lab.sassafras.app.people;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import lab.sassafras.app.record.DiskRoom;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Hashes;
import lab.sassafras.app.record.Period;
import lab.sassafras.measure.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Links by which entries are read, revoked one by one. A secret is told once, to whoever made the link. */
@Service
@Transactional
public class ReaderLinks {

    private final EntityManager entities;
    private final Clock clock;
    private final DiskRoom room;
    private final SignIns signIns;

    ReaderLinks(EntityManager entities, Clock clock, DiskRoom room, SignIns signIns) {
        this.entities = entities;
        this.clock = clock;
        this.room = room;
        this.signIns = signIns;
    }

    /** Makes one. @return its secret */
    public String make(Entry entry) {
        return made(hash -> ReaderLink.to(entry, hash, now()));
    }

    /** Makes one to the hand-outs of a period. @return its secret */
    public String make(Period period) {
        return made(hash -> ReaderLink.toHandouts(period, hash, now()));
    }

    private String made(Function<String, ReaderLink> by) {
        room.check();
        String secret = Secrets.token();
        entities.persist(by.apply(Hashes.of(secret)));
        return secret;
    }

    /** {@return the links to an entry that hold, in order} */
    @Transactional(readOnly = true)
    public List<ReaderLink> of(Entry entry) {
        return holding(entry.id());
    }

    /** {@return the links to the hand-outs of a period that hold, in order} */
    @Transactional(readOnly = true)
    public List<ReaderLink> of(Period period) {
        return holding(period.id());
    }

    private List<ReaderLink> holding(UUID of) {
        return entities.createQuery(
                        "from ReaderLink where coalesce(entryId, periodId) = :of and revokedAt is null order by madeAt",
                        ReaderLink.class)
                .setParameter("of", of)
                .getResultList();
    }

    /** Lets nobody read by a link of an entry any more; whoever does is out at once. */
    public void revoke(Entry entry, UUID link) {
        revoke(of(entry), link);
    }

    /** The same of the hand-outs of a period. */
    public void revoke(Period period, UUID link) {
        revoke(of(period), link);
    }

    private void revoke(List<ReaderLink> holding, UUID link) {
        ReaderLink meant = holding.stream()
                .filter(each -> each.id().equals(link))
                .findFirst()
                .orElseThrow(() -> new Refused("That link was revoked already."));
        meant.revoke(now());
        signIns.endAllBy(meant);
    }

    /** {@return the link a reader came by; empty for anybody else} */
    @Transactional(readOnly = true)
    public Optional<UUID> cameBy(Visitor visitor) {
        return visitor.signIn()
                .map(id -> entities.find(SignIn.class, id))
                .flatMap(SignIn::link)
                .map(ReaderLink::id);
    }

    /**
     * Somebody comes in by a link.
     *
     * @return its token, with what it leads to
     * @throws Refused where no link that holds has that secret
     */
    public Reading read(String secret, String device) {
        ReaderLink link = Optional.of(secret)
                .filter(typed -> typed.length() < 100)
                .flatMap(typed -> entities.createQuery("from ReaderLink where secret = :secret", ReaderLink.class)
                        .setParameter("secret", Hashes.of(typed))
                        .getResultStream()
                        .findFirst())
                .filter(each -> !each.revoked())
                .orElseThrow(() -> new Refused("This link leads nowhere any more. Ask whoever gave it to you."));
        return new Reading(signIns.reader(link, device), link.path());
    }

    /**
     * Somebody who reads.
     *
     * @param token of the browser
     * @param path  of what it reads
     */
    public record Reading(String token, String path) {}

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MILLIS);
    }
}
