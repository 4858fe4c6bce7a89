package lab.sassafras.app.runfile;

import java.util.Optional;
import lab.sassafras.measure.Refused;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.TokenStreamContext;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.annotation.JsonDeserialize;
import tools.jackson.databind.annotation.JsonSerialize;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.ser.std.StdSerializer;

/**
 * One reading of a trace as it stands in a run file: {@code [second, temperature]}. There may be a million of them, so
 * that they never become a tree: each is checked where it is read, in the words the schema has for it.
 *
 * @param seconds     from the beginning of the trace
 * @param temperature (°C); no number where it was typed
 * @param text        where a person typed it
 */
@JsonDeserialize(using = TraceRow.Reading.class)
@JsonSerialize(using = TraceRow.Writing.class)
record TraceRow(double seconds, double temperature, Optional<String> text) {

    /** Most readings of a trace in a file. */
    static final int MOST = 1_000_000;

    private static final int LONGEST_TEXT = 24;
    private static final double LATEST = 9_999_999;

    static final class Reading extends StdDeserializer<TraceRow> {

        Reading() {
            super(TraceRow.class);
        }

        @Override
        public TraceRow deserialize(JsonParser parser, DeserializationContext context) {
            TokenStreamContext list = parser.streamReadContext();
            if (parser.currentToken() != JsonToken.START_ARRAY) {
                throw wrong(list, "", "must be a list [ … ]");
            }
            list = list.getParent();
            if (list.getCurrentIndex() >= MOST) {
                throw new Refused(place(list.getParent()) + list.getParent().currentName() + " holds more than " + MOST
                        + " items.");
            }
            if (parser.nextToken() == null || !parser.currentToken().isNumeric()) {
                throw wrong(list, "[0]", "must be a finite number");
            }
            double seconds = parser.getDoubleValue();
            if (!(seconds >= 0 && seconds <= LATEST)) {
                throw wrong(list, "[0]", "must be a second from 0 to 9999999");
            }
            TraceRow row = temperature(parser, list, seconds);
            if (parser.nextToken() != JsonToken.END_ARRAY) {
                throw wrong(list, "", "must be a second and a temperature");
            }
            return row;
        }

        private static TraceRow temperature(JsonParser parser, TokenStreamContext list, double seconds) {
            JsonToken token = parser.nextToken();
            if (token == JsonToken.END_ARRAY) {
                throw wrong(list, "", "must be a second and a temperature");
            }
            if (token == JsonToken.VALUE_STRING && parser.getStringLength() <= LONGEST_TEXT) {
                return new TraceRow(seconds, Double.NaN, Optional.of(parser.getString()));
            }
            if (token == null || !token.isNumeric()) {
                throw wrong(list, "[1]", "must be a temperature, as typed or as a number");
            }
            double temperature = parser.getDoubleValue();
            if (!Double.isFinite(temperature)) {
                throw new Refused("A number in this file is beyond what one can be there. Nothing was read from it.");
            }
            return new TraceRow(seconds, temperature, Optional.empty());
        }

        private static Refused wrong(TokenStreamContext list, String within, String what) {
            return new Refused(place(list) + "[" + list.getCurrentIndex() + "]" + within + " " + what + ".");
        }

        /** Where something stands in the file, as the schema says it. */
        private static String place(TokenStreamContext context) {
            StringBuilder place = new StringBuilder();
            for (TokenStreamContext at = context.getParent(); at != null && !at.inRoot(); at = at.getParent()) {
                place.insert(0, RunSchema.shortened(at.currentName()) + (place.isEmpty() ? "" : "."));
            }
            return place.toString();
        }
    }

    static final class Writing extends StdSerializer<TraceRow> {

        Writing() {
            super(TraceRow.class);
        }

        @Override
        public void serialize(TraceRow row, JsonGenerator to, SerializationContext context) {
            to.writeStartArray();
            to.writeNumber(row.seconds);
            if (row.text.isPresent()) {
                to.writeString(row.text.get());
            } else {
                to.writeNumber(row.temperature);
            }
            to.writeEndArray();
        }
    }
}
