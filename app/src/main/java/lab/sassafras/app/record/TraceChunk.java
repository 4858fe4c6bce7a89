package lab.sassafras.app.record;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import lab.sassafras.curve.Reading;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** Readings added to a trace at once: one that a person typed, with its text, or up to 500. */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
public class TraceChunk {

    /** Most readings in a row. */
    public static final int MOST = 500;

    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private @Nullable Long seq;

    private UUID traceId;
    private double[] seconds;
    private double[] temperatures;
    private @Nullable String text;
    private UUID whoId;

    private @Nullable UUID broughtById;

    private @Nullable Double leapt;
    private Instant madeAt;

    protected TraceChunk() {}

    TraceChunk(UUID id, UUID traceId, Given given, Persons.By by, Optional<Persons.By> bringer, Instant madeAt) {
        this.id = id;
        this.traceId = traceId;
        this.seconds = given.seconds().clone();
        this.temperatures = given.temperatures().clone();
        this.text = given.text();
        this.whoId = by.id();
        this.broughtById = bringer.map(Persons.By::id).orElse(null);
        this.leapt = given.leapt() > 0 ? given.leapt() : null;
        this.madeAt = madeAt;
    }

    /** What is added: times from the beginning of the trace (s), temperatures (°C), the text where one was typed. */
    @SuppressWarnings("ArrayRecordComponent")
    public record Given(
            double[] seconds,
            double[] temperatures,
            @Nullable String text,
            String who,
            Optional<String> broughtBy,
            double leapt) {

        /** What whoever it is by keeps without another hand between. */
        public Given(double[] seconds, double[] temperatures, @Nullable String text, String who) {
            this(seconds, temperatures, text, who, Optional.empty(), 0);
        }

        /** The same, brought by another than who it is by. */
        public Given brought(Optional<String> by) {
            return new Given(seconds, temperatures, text, who, by, leapt);
        }

        /** The same, read after the computer's clock leapt forward (s). */
        public Given after(double leap) {
            return new Given(seconds, temperatures, text, who, broughtBy, leap);
        }

        /** One reading as typed. */
        public static Given typed(double seconds, double temperature, String text, String who) {
            return new Given(new double[] {seconds}, new double[] {temperature}, text, who);
        }

        /** Readings that nobody typed, in pieces of a row each. */
        public static List<Given> inPieces(List<Reading> readings, String who) {
            List<Given> pieces = new ArrayList<>();
            for (int from = 0; from < readings.size(); from += MOST) {
                List<Reading> some = readings.subList(from, Math.min(readings.size(), from + MOST));
                pieces.add(new Given(
                        some.stream().mapToDouble(Reading::seconds).toArray(),
                        some.stream().mapToDouble(Reading::temperature).toArray(),
                        null,
                        who));
            }
            return pieces;
        }
    }

    /**
     * Seconds by which the same reading may differ where its time was reckoned twice, as after an answer that was lost.
     */
    private static final double RECKONED_AGAIN = 3;

    /**
     * One reading with who gave it, by identity, and when; as what, where a person typed it; and how far the computer’s
     * clock leapt forward before it (s).
     */
    public record Read(
            UUID chunk,
            double seconds,
            double temperature,
            Optional<String> text,
            UUID who,
            Instant madeAt,
            double leapt) {}

    boolean says(UUID trace, Given given) {
        return traceId.equals(trace)
                && seconds.length == given.seconds().length
                && IntStream.range(0, seconds.length)
                        .allMatch(i -> Math.abs(seconds[i] - given.seconds()[i]) <= RECKONED_AGAIN)
                && Arrays.equals(temperatures, given.temperatures());
    }

    Instant madeAt() {
        return madeAt;
    }

    Stream<Read> readings() {
        return IntStream.range(0, seconds.length)
                .mapToObj(i -> new Read(
                        id,
                        seconds[i],
                        temperatures[i],
                        Optional.ofNullable(text),
                        whoId,
                        madeAt,
                        leapt == null || i > 0 ? 0 : leapt));
    }
}
