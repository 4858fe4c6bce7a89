package lab.sassafras.app.runfile;

import lab.sassafras.measure.Refused;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.filter.FilteringParserDelegate;
import tools.jackson.core.filter.TokenFilter;

/**
 * Passes over the readings of every trace of a run file, and leaves an empty list in their place. What is left is to
 * become a tree, and is bounded: no run holds so much beside its readings.
 */
final class WithoutReadings extends TokenFilter {

    /** Values, names and brackets beside the readings. */
    static final int MOST_TOKENS = 1_000_000;

    private static final WithoutReadings READINGS = new WithoutReadings(null, "");
    private static final WithoutReadings TRACE = new WithoutReadings(READINGS, "readings");
    private static final WithoutReadings TRACES = new WithoutReadings(TRACE, "");
    /** A run, and every run it names. */
    private static final WithoutReadings RUN = new WithoutReadings(TRACES, "traces");

    private static final WithoutReadings REFERENCES = new WithoutReadings(RUN, "");

    private final @Nullable WithoutReadings within;
    private final String name;

    /** @param name of the field within which something is passed over; any field where it is empty */
    private WithoutReadings(@Nullable WithoutReadings within, String name) {
        this.within = within;
        this.name = name;
    }

    /** A file without them. */
    static JsonParser of(JsonParser file) {
        return new FilteringParserDelegate(file, RUN, Inclusion.INCLUDE_ALL_AND_PATH, true) {
            private int tokens;

            @Override
            public @Nullable JsonToken nextToken() {
                if (++tokens > MOST_TOKENS) {
                    throw new Refused("This file holds more than any run does beside its readings. Nothing was read "
                            + "from it.");
                }
                return super.nextToken();
            }
        };
    }

    @Override
    public TokenFilter includeProperty(String field) {
        if (this == RUN && field.equals("references")) {
            return REFERENCES;
        }
        return within != null && (name.isEmpty() || name.equals(field)) ? within : INCLUDE_ALL;
    }

    @Override
    public @Nullable TokenFilter includeElement(int index) {
        return this == READINGS ? null : INCLUDE_ALL;
    }

    @Override
    public boolean includeEmptyArray(boolean contentsFiltered) {
        return true;
    }

    @Override
    public boolean includeEmptyObject(boolean contentsFiltered) {
        return true;
    }
}
