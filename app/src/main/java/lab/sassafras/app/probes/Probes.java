package lab.sassafras.app.probes;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.people.Secrets;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.DiskRoom;
import lab.sassafras.app.record.Hashes;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.Trace;
import lab.sassafras.measure.Names;
import lab.sassafras.measure.Refused;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Tokens scripts push by, batches that came, and the stretches their rows are in. */
@Service
@Transactional
public class Probes {

    private static final int LONGEST_SECRET = 100;
    /** Tokens to a bench that hold. */
    private static final int MOST = 20;

    /** Tokens of which what pushes by them is remembered. */
    private static final int REMEMBERED = 1_000;

    /** Asked of every batch, so asked of the database itself. */
    private static final String NOW = "select token.id, token.revoked_at, period.state, "
            + "(select coalesce(max(seq), 0) from probe_stretch where token_id = token.id), "
            + "(select coalesce(max(seq), 0) from probe_place where token_id = token.id) "
            + "from probe_token token join bench on bench.id = token.bench_id "
            + "join period on period.id = bench.period_id where token.secret = ?";

    private static final String KEPT = "insert into probe_batch "
            + "(id, token_id, digest, rows_kept, rows_refused, why, said, made_at) values (?, ?, ?, ?, ?, ?, ?, ?)";

    private final EntityManager entities;
    private final JdbcTemplate database;
    private final Clock clock;
    private final DiskRoom room;
    private final Cache<UUID, TokenNow.Known> known =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();

    Probes(EntityManager entities, JdbcTemplate database, Clock clock, DiskRoom room) {
        this.entities = entities;
        this.database = database;
        this.clock = clock;
        this.room = room;
    }

    /** Makes a token. @return its secret, told this once */
    public String make(Bench bench, String name) {
        room.check();
        if (of(bench).size() >= MOST) {
            throw new Refused("A bench has at most " + MOST + " tokens. Revoke one that is not used any more.");
        }
        String secret = Secrets.token();
        entities.persist(new ProbeToken(Hashes.of(secret), bench, Names.checked(name, "A name", Names.LONGEST), now()));
        return secret;
    }

    /** {@return the tokens of a bench that hold, in order} */
    @Transactional(readOnly = true)
    public List<ProbeToken> of(Bench bench) {
        return entities.createQuery(
                        "from ProbeToken where bench.id = :bench and revokedAt is null order by madeAt",
                        ProbeToken.class)
                .setParameter("bench", bench.id())
                .getResultList();
    }

    /** Nothing is pushed by a token of a bench any more. */
    public void revoke(Bench bench, UUID token) {
        of(bench).stream()
                .filter(each -> each.id().equals(token))
                .findFirst()
                .orElseThrow(() -> new Refused("That token was revoked already."))
                .revoke(now());
    }

    /** {@return the token of that secret as it is now, whether it holds or not; empty where it is nobody's} */
    @Transactional(readOnly = true)
    public Optional<TokenNow> token(String secret) {
        if (secret.isEmpty() || secret.length() > LONGEST_SECRET) {
            return Optional.empty();
        }
        return database
                .query(
                        NOW,
                        (row, any) -> new Told(
                                row.getObject(1, UUID.class),
                                row.getObject(2) != null,
                                Period.State.valueOf(row.getString(3)),
                                row.getLong(4),
                                row.getLong(5)),
                        Hashes.of(secret))
                .stream()
                .findFirst()
                .map(told -> new TokenNow(known(told.token, told.begun, told.stood), told.revoked, told.state));
    }

    /** What a row of that says. */
    private record Told(UUID token, boolean revoked, Period.State state, long begun, long stood) {}

    private TokenNow.Known known(UUID token, long begun, long stood) {
        TokenNow.Known before = known.getIfPresent(token);
        if (before != null && before.still(begun, stood)) {
            return before;
        }
        ProbeToken of = entities.find(ProbeToken.class, token);
        TokenNow.Known now = new TokenNow.Known(
                of,
                begun,
                stood,
                stretches(of).stream()
                        .map(each -> new TokenNow.Open(each, entities.find(Trace.class, each.traceId())))
                        .toList(),
                Map.copyOf(standing(of)));
        known.put(token, now);
        return now;
    }

    @Transactional(readOnly = true)
    public Optional<ProbeBatch> batch(UUID id) {
        Integer many = database.queryForObject("select count(*) from probe_batch where id = ?", Integer.class, id);
        return many == null || many == 0 ? Optional.empty() : Optional.ofNullable(entities.find(ProbeBatch.class, id));
    }

    /** {@return what came of the newest batches by a token, newest first} */
    @Transactional(readOnly = true)
    public List<ProbeBatch> batches(ProbeToken token, int many) {
        return entities.createQuery("from ProbeBatch where tokenId = :token order by seq desc", ProbeBatch.class)
                .setParameter("token", token.id())
                .setMaxResults(many)
                .getResultList();
    }

    /**
     * How much came by a token.
     *
     * @param rows    kept
     * @param refused that could not be
     */
    public record Counted(long rows, long refused) {}

    @Transactional(readOnly = true)
    public Counted counted(ProbeToken token) {
        Object[] sums = entities.createQuery(
                        "select coalesce(sum(rowsKept), 0), coalesce(sum(rowsRefused), 0) from ProbeBatch "
                                + "where tokenId = :token",
                        Object[].class)
                .setParameter("token", token.id())
                .getSingleResult();
        return new Counted(((Number) sums[0]).longValue(), ((Number) sums[1]).longValue());
    }

    /** {@return the newest stretch of every probe of a token} */
    @Transactional(readOnly = true)
    public List<ProbeStretch> stretches(ProbeToken token) {
        return entities.createQuery(
                        "from ProbeStretch one where tokenId = :token and seq = (select max(seq) from ProbeStretch "
                                + "where tokenId = :token and probe = one.probe) order by probe",
                        ProbeStretch.class)
                .setParameter("token", token.id())
                .getResultList();
    }

    /** Keeps where a probe of a token stands from now on. */
    public void stand(ProbeToken token, String probe, ProbePlace.Standing standing, UUID who) {
        room.check();
        entities.persist(new ProbePlace(token, probe, standing, who, now()));
    }

    /** {@return where the probes of a token stand, of which somebody said so, by what they are} */
    @Transactional(readOnly = true)
    public Map<String, ProbePlace.Standing> standing(ProbeToken token) {
        Map<String, ProbePlace.Standing> standing = new HashMap<>();
        entities.createQuery("from ProbePlace where tokenId = :token order by seq", ProbePlace.class)
                .setParameter("token", token.id())
                .getResultList()
                .forEach(each -> standing.put(each.probe(), each.standing()));
        return standing;
    }

    /** {@return the stretch a trace holds; empty where no probe pushed it} */
    @Transactional(readOnly = true)
    public Optional<ProbeStretch> of(UUID trace) {
        return Optional.ofNullable(entities.find(ProbeStretch.class, trace));
    }

    /** {@return where the probe stands whose readings a trace holds; empty where no probe pushed them} */
    @Transactional(readOnly = true)
    public Optional<ProbePlace.Standing> standing(UUID trace) {
        return of(trace)
                .map(stretch -> standing(entities.find(ProbeToken.class, stretch.tokenId()))
                        .getOrDefault(stretch.probe(), ProbePlace.Standing.UNSAID));
    }

    /** Keeps that a stretch began. */
    public ProbeStretch begin(UUID trace, ProbeToken token, String probe, double clientStart, String why) {
        ProbeStretch stretch = new ProbeStretch(trace, token, probe, clientStart, why);
        entities.persist(stretch);
        return stretch;
    }

    /** Keeps what became of a batch, at once: the same sent again is known by it. */
    public void keep(UUID id, ProbeToken token, String digest, int kept, Rows.Left left, List<String> said) {
        database.update(
                KEPT,
                id,
                token.id(),
                digest,
                kept,
                left.many(),
                ProbeBatch.lines(left.first().stream().map(Rows.Refused::text).toList()),
                ProbeBatch.lines(said),
                now().atOffset(ZoneOffset.UTC));
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MILLIS);
    }
}
