package lab.sassafras.app.classroom;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.net.URLDecoder;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.Persons;
import lab.sassafras.measure.Refused;
import org.hibernate.annotations.Formula;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** The hour of a period as somebody laid it: the fields of its page, from which it is laid again. */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
public class KeptHour {

    /** Longest one, in characters. */
    public static final int LONGEST = 30_000;

    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private @Nullable Long seq;

    private UUID periodId;
    private String document;
    private UUID whoId;

    @Formula(Persons.OF_WHO)
    private String who;

    private Instant madeAt;

    protected KeptHour() {}

    KeptHour(Period period, Map<String, String> fields, Persons.By by, Instant madeAt) {
        this.id = UUID.randomUUID();
        this.periodId = period.id();
        this.document = new TreeMap<>(fields)
                .entrySet().stream()
                        .map(each -> each.getKey() + "=" + URLEncoder.encode(each.getValue(), StandardCharsets.UTF_8))
                        .collect(Collectors.joining("&"));
        if (document.length() > LONGEST) {
            throw new Refused("This hour holds more than can be kept.");
        }
        this.whoId = by.id();
        this.who = by.name();
        this.madeAt = madeAt;
    }

    /** {@return the fields of its page, by name} */
    public Map<String, String> fields() {
        Map<String, String> fields = new LinkedHashMap<>();
        for (String each : document.split("&", -1)) {
            int equals = each.indexOf('=');
            if (equals > 0) {
                fields.put(
                        each.substring(0, equals),
                        URLDecoder.decode(each.substring(equals + 1), StandardCharsets.UTF_8));
            }
        }
        return fields;
    }

    public String who() {
        return who;
    }

    public Instant madeAt() {
        return madeAt;
    }
}
