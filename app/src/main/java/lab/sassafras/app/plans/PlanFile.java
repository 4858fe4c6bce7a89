package lab.sassafras.app.plans;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.convention.Conventions;
import lab.sassafras.measure.Names;
import lab.sassafras.measure.Refused;
import lab.sassafras.plan.Prepared;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * A plan as a file, as {@code docs/plan-file.md} says.
 *
 * @param format     always {@link #FORMAT}
 * @param version    of the format, major and minor
 * @param name       of the plan
 * @param experiment its key
 * @param had        by the path of a slot, of a further part with its number: what is had there
 * @param reads      by the kind of an instrument: which it is read on
 * @param vessel     it is done in; {@link Vessel#NONE} where it is done in none
 * @param purpose    what it is for; null where nobody said
 * @param period     what a period led by it takes over; null in files of version 1.0
 * @param expected   what was reckoned when it was written, for readers that reckon nothing; not read again
 */
public record PlanFile(
        String format,
        String version,
        String name,
        String experiment,
        Map<String, Had> had,
        Map<String, Instrument> reads,
        Vessel vessel,
        @Nullable Purpose purpose,
        @Nullable ForPeriod period,
        @Nullable Map<String, Double> expected) {

    /** What a plan file says it is. */
    public static final String FORMAT = "sassafras-plan";

    /** The version that is written; every older one of the same major is read. */
    public static final String VERSION = "1.2";

    /** Longest file that is read, in bytes. */
    public static final int LONGEST = 20_000;

    /** Under what the final temperature stands among what is expected, and the ends of its interval (°C). */
    public static final String END = "final temperature, °C";

    public static final String LOW = "its 95 % interval from, °C";
    public static final String HIGH = "its 95 % interval to, °C";

    /** Before the unit of a result, among what is expected. */
    public static final String RESULT = "result, ";

    /** Before the unit of half its 95 % interval. */
    public static final String HALF = "half its 95 % interval, ";

    private static final int MOST_PLACES = 100;
    private static final String ANOTHER = "This is no plan file of this program.";

    private static final JsonMapper JSON = JsonMapper.builder(JsonFactory.builder()
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxNestingDepth(10)
                            .maxStringLength(2_000)
                            .build())
                    .build())
            .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .enable(SerializationFeature.INDENT_OUTPUT)
            .build();

    /**
     * What is had in one place.
     *
     * @param role        read, volume, assumed or stated
     * @param text        as it was typed
     * @param unit        symbol; empty for a word
     * @param uncertainty standard uncertainty of what a label says, as typed; empty elsewhere
     */
    public record Had(String role, String text, String unit, String uncertainty) {}

    /**
     * What it is read on.
     *
     * @param key        on the shelf
     * @param name       it is called
     * @param resolution smallest step (unit of its kind)
     * @param low        end of its range
     * @param high       end of its range
     * @param offset     standard uncertainty of what all its readings share
     */
    public record Instrument(String key, String name, double resolution, double low, double high, double offset) {}

    /**
     * What it is done in.
     *
     * @param key         on the shelf; empty for any of its kind
     * @param name        it is called
     * @param kind        key of the kind
     * @param constant    (J/°C); null where none is known
     * @param uncertainty standard uncertainty of that (J/°C)
     */
    public record Vessel(
            String key,
            String name,
            String kind,
            @Nullable Double constant,
            @Nullable Double uncertainty) {

        /** Where it is done in none. */
        public static final Vessel NONE = new Vessel("", "", "", null, null);
    }

    /**
     * What it is for.
     *
     * @param kind    apart, within or sign
     * @param other   what it is to be told from; empty elsewhere
     * @param percent it may be off by; 0 elsewhere
     */
    public record Purpose(String kind, String other, double percent) {}

    /**
     * What a period led by it takes over.
     *
     * @param benches     how many
     * @param trials      at each
     * @param spare       prepared more than that, in per cent
     * @param sample      what the bench’s sample is called; empty where it has no name
     * @param conventions it departs from the usual in, by question
     * @param times       what the class goes by, by the key of a pace (min, or °C of a rise)
     */
    public record ForPeriod(
            int benches,
            int trials,
            int spare,
            String sample,
            Map<String, String> conventions,
            Map<String, Double> times) {

        /** Most benches, and most trials of each. */
        public static final int MOST = Prepared.MOST;

        /** Most that is prepared to spare, in per cent. */
        public static final int SPARE = Prepared.SPARE;

        /** What is usual where nobody said. */
        public static final ForPeriod USUAL = new ForPeriod(8, 3, 20, "", Map.of(), Map.of());

        /** Keeps copies of what could change; what a file leaves out is usual. */
        public ForPeriod {
            sample = Optional.ofNullable(sample).orElse("");
            conventions = Map.copyOf(Optional.ofNullable(conventions).orElse(Map.of()));
            times = Map.copyOf(Optional.ofNullable(times).orElse(Map.of()));
        }

        private void check() {
            if (benches < 1 || benches > MOST || trials < 1 || trials > MOST || spare < 0 || spare > SPARE) {
                throw new Refused("A plan is for 1 to " + MOST + " benches, 1 to " + MOST + " trials at each, and 0 to "
                        + SPARE + " % to spare.");
            }
            if (!sample.isEmpty()) {
                Names.checked(sample, "A sample’s name", Names.LONGEST);
            }
            Conventions.unknown(conventions).ifPresent(name -> {
                throw new Refused("There is no such convention: " + name + ".");
            });
            if (!times.values().stream().allMatch(Double::isFinite)) {
                throw new Refused("A time of this plan is no number.");
            }
        }
    }

    /** {@return what a period led by it takes over; the usual where the file does not say} */
    public ForPeriod forPeriod() {
        return Optional.ofNullable(period).orElse(ForPeriod.USUAL);
    }

    /** @throws Refused where a period could not take over what it says */
    void check() {
        forPeriod().check();
    }

    /** Keeps copies of what could change. */
    public PlanFile {
        had = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(had));
        reads = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(reads));
    }

    /** {@return whether it is the same plan, whatever was reckoned of it} */
    boolean same(PlanFile other) {
        return given().equals(other.given());
    }

    private PlanFile given() {
        return new PlanFile(format, version, name, experiment, had, reads, vessel, purpose, period, null);
    }

    /** As it stands in a file. */
    public String written() {
        return JSON.writeValueAsString(this);
    }

    /** The same under another name. */
    public PlanFile called(String other) {
        return new PlanFile(format, version, other, experiment, had, reads, vessel, purpose, period, expected);
    }

    /**
     * A file read back.
     *
     * @throws Refused where it is none, or of a later version
     */
    public static PlanFile read(String text) {
        PlanFile file;
        try {
            file = JSON.readValue(text, PlanFile.class);
        } catch (JacksonException | NullPointerException | IllegalArgumentException none) {
            throw new Refused(ANOTHER);
        }
        if (file == null || !FORMAT.equals(file.format)) {
            throw new Refused(ANOTHER);
        }
        if (!Optional.ofNullable(file.version).orElse("").matches("1\\.\\d{1,3}")) {
            throw new Refused("This plan file is of version " + file.version + "; this program reads version 1.");
        }
        if (file.had.size() > MOST_PLACES || file.vessel == null || file.experiment == null || file.name == null) {
            throw new Refused("This plan file is not whole: it says no vessel, experiment or name.");
        }
        return file;
    }
}
