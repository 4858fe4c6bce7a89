package lab.sassafras.app.people;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.DiskRoom;
import lab.sassafras.app.record.Period;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * What happened at the doors: who came in, what was refused, decided, brought in and given out. Only added to. What is
 * done again and again, such as asking for what is refused, is noted once in ten minutes.
 */
@Service
public class Audit {

    /** Lines to a page. */
    public static final int PAGE = 100;
    /** Lines to a file. */
    public static final int MOST = 10_000;

    private static final int LONGEST = 200;
    private static final Duration AGAIN = Duration.ofMinutes(10);
    private static final int REMEMBERED = 5_000;

    private static final String NAME = "(select n.name from person_name n where n.person_id = %1$s.who_id and n.seq = "
            + "(select max(m.seq) from person_name m where m.person_id = %1$s.who_id and m.since <= %1$s.made_at))";

    private static final String ALL = "select made_at, kind, coalesce(" + NAME.formatted("a")
            + ", '') as who, words from audit a union all select made_at, 'DECISION', " + NAME.formatted("d")
            + ", lower(d.kind) || ', ' || d.outcome || ': “' || d.reason || '”' from decision d "
            + "union all select made_at, 'IMPORT', " + NAME.formatted("b")
            + ", lower(b.what) || ' with ' || b.file_name from brought_in b";

    /** What a line tells of. */
    public enum Kind {
        /** Coming in, leaving, or trying to come in. */
        DOOR("doors"),
        /** Something somebody may not do. */
        REFUSAL("refusals"),
        /** What was decided over an entry, a period or the shelf. */
        DECISION("decisions"),
        /** What came with a file. */
        IMPORT("imports"),
        /** A file that was given out. */
        EXPORT("exports");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** A line as it is read. */
    public record Line(Instant at, Kind kind, String who, String words) {}

    /**
     * What is looked for.
     *
     * @param kind of the lines; empty for all
     * @param text that stands in the name or in the words, whatever the case; empty for all
     */
    public record Wanted(Optional<Kind> kind, String text) {}

    private final EntityManager entities;
    private final JdbcClient database;
    private final Clock clock;
    private final DiskRoom room;
    private final Cache<String, Boolean> lately = Caffeine.newBuilder()
            .expireAfterWrite(AGAIN)
            .maximumSize(REMEMBERED)
            .build();

    Audit(EntityManager entities, JdbcClient database, Clock clock, DiskRoom room) {
        this.entities = entities;
        this.database = database;
        this.clock = clock;
        this.room = room;
    }

    /** Notes what a visitor did. */
    @Transactional
    public void note(Kind kind, Visitor visitor, String words) {
        note(
                kind,
                visitor.seat()
                        .filter(any -> !visitor.instructor())
                        .map(Bench::id)
                        .or(visitor::person),
                visitor.seat().map(Bench::period),
                words);
    }

    /** Notes what somebody did who is known by their identity, or not known. */
    @Transactional
    public void note(Kind kind, Optional<UUID> who, Optional<Period> period, String words) {
        room.check();
        entities.persist(new AuditLine(
                kind,
                who.orElse(null),
                period.map(Period::id).orElse(null),
                words.length() > LONGEST ? words.substring(0, LONGEST) : words,
                clock.instant().truncatedTo(ChronoUnit.MILLIS)));
    }

    /**
     * Notes what may be tried many times, once in ten minutes, whatever becomes of the work it was tried in.
     *
     * @param from what it is told apart by, such as where it comes from
     */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public void noteOnce(Kind kind, Visitor visitor, String from, String words) {
        String what = kind + " " + visitor.signIn().map(UUID::toString).orElse(from) + " " + words;
        if (lately.asMap().putIfAbsent(what, true) == null) {
            try {
                note(kind, visitor, words);
            } catch (DiskRoom.NoRoom full) {
                // what is refused or given out is answered all the same
                lately.invalidate(what);
            }
        }
    }

    /** {@return lines, newest first} */
    @Transactional(readOnly = true)
    public List<Line> lines(Wanted wanted, int from, int many) {
        return database.sql("select made_at, kind, who, words from (" + ALL + ") where (:kind = '' or kind = :kind) "
                        + "and (:text = '' or locate(:text, lower(who || ' ' || words)) > 0) "
                        + "order by made_at desc offset :from rows fetch first :many rows only")
                .param("kind", wanted.kind().map(Kind::name).orElse(""))
                .param("text", wanted.text().strip().toLowerCase(Locale.ROOT))
                .param("from", from)
                .param("many", Math.min(many, MOST))
                .query((row, number) -> new Line(
                        row.getObject(1, java.time.OffsetDateTime.class).toInstant(),
                        Kind.valueOf(row.getString(2)),
                        row.getString(3),
                        row.getString(4)))
                .list();
    }
}
