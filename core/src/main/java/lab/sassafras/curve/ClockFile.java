package lab.sassafras.curve;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import lab.sassafras.measure.DecimalMark;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.TimeBudget;

/**
 * Temperatures against time as some other program wrote them: rows of a time and one or more temperatures, under
 * whatever heads. How the file is laid out is proposed and can be said otherwise; a line that cannot be read is named
 * by its number and left out, and no number is guessed at.
 *
 * @param layout   how it was read
 * @param columns  names of its columns, in order
 * @param readings of the column read, in order of time; the first at the second the layout gives
 * @param wrong    lines that could not be read
 */
public record ClockFile(Layout layout, List<String> columns, List<Reading> readings, List<Wrong> wrong) {

    private static final int LOOKED_AT = 200;
    private static final double LONGEST = 86_400;
    private static final Pattern CLOCK =
            Pattern.compile("(?:\\d{4}-\\d\\d-\\d\\d[T ]+|\\d{1,2}[./]\\d{1,2}[./]\\d{4} +)?"
                    + "(?:(\\d{1,2}):)?(\\d{1,3}):([0-5]\\d)(?:[.,](\\d{1,6}))?Z?");

    /** A day that stands in a column of its own, beside the time of day. */
    private static final Pattern DAY = Pattern.compile("\\d{4}-\\d\\d-\\d\\d|\\d{1,2}[./]\\d{1,2}[./]\\d{4}");

    /** Lines by which a column is known for one that counts, or for the time. */
    private static final int BEHAVES = 3;

    /** Columns that are offered to choose from. */
    public static final int MOST_COLUMNS = 40;

    /** What stands between two values of a line. */
    public enum Separator {
        /** A tab. */
        TAB('\t'),
        /** A semicolon. */
        SEMICOLON(';'),
        /** A comma. */
        COMMA(','),
        /** One blank or more. */
        BLANK(' ');

        private final char sign;

        Separator(char sign) {
            this.sign = sign;
        }

        /** {@return what it is called} */
        public String words() {
            return name().toLowerCase(Locale.ROOT);
        }

        List<String> split(String line) {
            List<String> parts = new ArrayList<>();
            int from = 0;
            boolean within = false;
            for (int i = 0; i <= line.length(); i++) {
                within ^= i < line.length() && line.charAt(i) == '"';
                if (i == line.length() || line.charAt(i) == sign && !within) {
                    String part = line.substring(from, i).strip();
                    if (this != BLANK || !part.isEmpty()) {
                        boolean quoted = part.length() > 1 && part.startsWith("\"") && part.endsWith("\"");
                        parts.add(quoted ? part.substring(1, part.length() - 1).strip() : part);
                    }
                    from = i + 1;
                }
            }
            return parts;
        }
    }

    /** What a time is written in. */
    public enum TimeIn {
        /** Seconds. */
        SECONDS(1),
        /** Minutes. */
        MINUTES(60),
        /** Hours. */
        HOURS(3600),
        /** Hours, minutes and seconds of a day, or minutes and seconds. */
        CLOCK(1);

        private final double seconds;

        TimeIn(double seconds) {
            this.seconds = seconds;
        }

        /** {@return what it is called} */
        public String words() {
            return this == CLOCK ? "clock time" : name().toLowerCase(Locale.ROOT);
        }
    }

    /** What a temperature is written in. */
    public enum DegreesIn {
        /** °C. */
        CELSIUS("°C"),
        /** °F. */
        FAHRENHEIT("°F"),
        /** K. */
        KELVIN("K");

        private final String symbol;

        DegreesIn(String symbol) {
            this.symbol = symbol;
        }

        /** {@return its symbol} */
        public String symbol() {
            return symbol;
        }

        double celsius(double value) {
            return switch (this) {
                case CELSIUS -> value;
                case FAHRENHEIT -> (value - 32) / 1.8;
                case KELVIN -> value - 273.15;
            };
        }
    }

    /**
     * How a file is laid out.
     *
     * @param separator   between values
     * @param mark        decimal mark
     * @param heads       lines before the first reading
     * @param time        which column is the time, from 0
     * @param timeIn      what it is written in
     * @param temperature which column is the temperature, from 0
     * @param degreesIn   what it is written in
     */
    public record Layout(
            Separator separator,
            DecimalMark mark,
            int heads,
            int time,
            TimeIn timeIn,
            int temperature,
            DegreesIn degreesIn) {}

    /**
     * A line that could not be read.
     *
     * @param line its number, from 1
     * @param why  in plain words
     */
    public record Wrong(int line, String why) {}

    /**
     * {@return how a file seems to be laid out}
     *
     * @param text whole file
     * @throws Refused where no line of it looks like a time and a temperature
     */
    public static Layout guess(String text) {
        List<String> lines = lines(text).stream().limit(LOOKED_AT).toList();
        Layout best = null;
        int most = 0;
        for (Separator separator : Separator.values()) {
            for (DecimalMark mark : DecimalMark.values()) {
                if (separator.sign == mark.sign()) {
                    continue;
                }
                int readable = (int) lines.stream()
                        .filter(line -> looksRead(separator.split(line), mark))
                        .count();
                if (readable > most) {
                    most = readable;
                    best = layout(lines, separator, mark);
                }
            }
        }
        if (best == null) {
            throw new Refused(
                    "No line of this file looks like a time and a temperature. A line such as 30;21,4 or 0:30,21.4 "
                            + "is what is read, whatever stands above.");
        }
        return best;
    }

    private static boolean looksRead(List<String> parts, DecimalMark mark) {
        return parts.stream().filter(part -> !part.isEmpty()).count() > 1
                && parts.stream().anyMatch(part -> number(part, mark).isPresent())
                && parts.stream()
                        .allMatch(part -> part.isEmpty()
                                || number(part, mark).isPresent()
                                || DAY.matcher(part).matches()
                                || CLOCK.matcher(part).matches());
    }

    private static Layout layout(List<String> lines, Separator separator, DecimalMark mark) {
        int first = IntStream.range(0, lines.size())
                .filter(i -> looksRead(separator.split(lines.get(i)), mark))
                .findFirst()
                .orElse(0);
        List<String> row = separator.split(lines.get(first));
        List<String> heads = first == 0 ? List.of() : separator.split(lines.get(first - 1));
        int time = IntStream.range(0, row.size())
                .filter(i -> number(row.get(i), mark).isEmpty()
                        && CLOCK.matcher(row.get(i)).matches())
                .findFirst()
                .orElseGet(() -> named(heads, row.size(), "(?:t|(?i:time|elapsed|zeit))\\b.*", -1)
                        .orElseGet(() -> rising(lines.subList(first, lines.size()), separator, mark)));
        int temperature = named(heads, row.size(), "(?:T\\b|.*(?i:temp|°|kelvin|fahrenheit)).*", time)
                .orElseGet(() -> IntStream.range(0, row.size())
                        .filter(i -> i != time
                                && number(row.get(i), mark).isPresent()
                                && !counts(values(lines.subList(first, lines.size()), i, separator, mark)))
                        .findFirst()
                        .orElse(time == 0 ? 1 : 0));
        return new Layout(
                separator,
                mark,
                first,
                time,
                timeIn(row.get(time), head(heads, time)),
                temperature,
                degreesIn(head(heads, temperature)));
    }

    /** The column whose numbers rise all the way: one that only counts the lines where no other does. */
    private static int rising(List<String> lines, Separator separator, DecimalMark mark) {
        int columns = separator.split(lines.get(0)).size();
        List<Integer> rising = IntStream.range(0, Math.min(MOST_COLUMNS, columns))
                .filter(i -> rises(values(lines, i, separator, mark)))
                .boxed()
                .toList();
        return rising.stream()
                .filter(i -> columns > 2 && !counts(values(lines, i, separator, mark)))
                .findFirst()
                .or(() -> rising.stream().findFirst())
                .orElse(0);
    }

    private static List<Double> values(List<String> lines, int column, Separator separator, DecimalMark mark) {
        return lines.stream()
                .map(separator::split)
                .filter(parts -> column < parts.size())
                .flatMap(parts -> number(parts.get(column), mark).stream().boxed())
                .toList();
    }

    private static boolean rises(List<Double> values) {
        return values.size() >= BEHAVES
                && IntStream.range(1, values.size()).allMatch(i -> values.get(i) > values.get(i - 1));
    }

    /** Whether a column only counts the lines: whole numbers, each one more than the one before. */
    private static boolean counts(List<Double> values) {
        return values.size() >= BEHAVES
                && values.get(0) == Math.rint(values.get(0))
                && IntStream.range(1, values.size()).allMatch(i -> values.get(i) - values.get(i - 1) == 1);
    }

    private static OptionalInt named(List<String> heads, int columns, String name, int besides) {
        return IntStream.range(0, Math.min(columns, heads.size()))
                .filter(i -> i != besides && heads.get(i).matches(name))
                .findFirst();
    }

    private static String head(List<String> heads, int column) {
        return column < heads.size() ? heads.get(column).toLowerCase(Locale.ROOT) : "";
    }

    private static TimeIn timeIn(String value, String head) {
        if (CLOCK.matcher(value).matches()) {
            return TimeIn.CLOCK;
        }
        return head.matches(".*\\bmin.*")
                ? TimeIn.MINUTES
                : head.matches(".*\\b(?:h|hours?)\\b.*") ? TimeIn.HOURS : TimeIn.SECONDS;
    }

    private static DegreesIn degreesIn(String head) {
        if (head.matches(".*(?:°\\s*f|\\(f\\)|fahrenheit|\\bf$).*")) {
            return DegreesIn.FAHRENHEIT;
        }
        return head.matches(".*(?:\\(k\\)|kelvin|/\\s*k\\b|\\bk$).*") ? DegreesIn.KELVIN : DegreesIn.CELSIUS;
    }

    /**
     * {@return what a file says, read as it is laid out}
     *
     * @param text   whole file
     * @param layout of it
     */
    public static ClockFile read(String text, Layout layout) {
        List<String> lines = lines(text);
        List<Reading> readings = new ArrayList<>();
        List<Wrong> wrong = new ArrayList<>();
        double last = Double.NEGATIVE_INFINITY;
        for (int i = layout.heads(); i < lines.size(); i++) {
            TimeBudget.check();
            if (lines.get(i).isBlank()) {
                continue;
            }
            try {
                List<String> parts = layout.separator().split(lines.get(i));
                double seconds = seconds(cell(parts, layout.time(), "time"), layout, last);
                double degrees = number(cell(parts, layout.temperature(), "temperature"), layout.mark())
                        .orElseThrow(() -> new Refused("“" + cell(parts, layout.temperature(), "temperature")
                                + "” is no number with a decimal "
                                + layout.mark().word() + "."));
                if (seconds < last) {
                    throw new Refused("Its time lies before that of the line above.");
                }
                Reading reading = new Reading(seconds, layout.degreesIn().celsius(degrees));
                if (!Reading.canBe(reading.temperature())) {
                    throw new Refused("“" + cell(parts, layout.temperature(), "temperature")
                            + "” is no temperature at a bench; a meter with no probe in it shows such numbers.");
                }
                if (!readings.isEmpty() && seconds - readings.get(0).seconds() >= Reading.LONGEST) {
                    throw new Refused("Its time lies months after the first.");
                }
                last = seconds;
                readings.add(reading);
            } catch (Refused unread) {
                wrong.add(new Wrong(i + 1, unread.getMessage()));
            }
        }
        return new ClockFile(layout, columns(lines, layout), fromNought(readings, layout), List.copyOf(wrong));
    }

    /** Times of day, and such as no record lasts, are counted from the first reading. */
    private static List<Reading> fromNought(List<Reading> readings, Layout layout) {
        if (readings.isEmpty()) {
            return List.of();
        }
        double first = readings.get(0).seconds();
        boolean counted = layout.timeIn() != TimeIn.CLOCK && first >= 0 && first < LONGEST;
        return counted
                ? List.copyOf(readings)
                : readings.stream()
                        .map(each -> new Reading(each.seconds() - first, each.temperature()))
                        .toList();
    }

    private static List<String> columns(List<String> lines, Layout layout) {
        int heads = Math.min(layout.heads(), lines.size());
        int wide = lines.size() > heads
                ? layout.separator().split(lines.get(heads)).size()
                : 0;
        List<String> above = heads == 0 ? List.of() : layout.separator().split(lines.get(heads - 1));
        return IntStream.range(0, Math.min(MOST_COLUMNS, wide))
                .mapToObj(i -> i < above.size() && !above.get(i).isEmpty() ? above.get(i) : "column " + (i + 1))
                .toList();
    }

    private static String cell(List<String> parts, int column, String what) {
        if (column >= parts.size() || parts.get(column).isEmpty()) {
            throw new Refused("It has no " + what + ".");
        }
        return parts.get(column);
    }

    private static double seconds(String cell, Layout layout, double last) {
        if (layout.timeIn() != TimeIn.CLOCK) {
            return number(cell, layout.mark())
                            .orElseThrow(() -> new Refused("“" + cell + "” is no time in "
                                    + layout.timeIn().words() + "."))
                    * layout.timeIn().seconds;
        }
        Matcher clock = CLOCK.matcher(cell);
        if (!clock.matches()) {
            throw new Refused("“" + cell + "” is no clock time.");
        }
        double seconds = 3600 * part(clock.group(1))
                + 60 * part(clock.group(2))
                + part(clock.group(3))
                + (clock.group(4) == null ? 0 : Double.parseDouble("0." + clock.group(4)));
        double days = Math.max(0, Math.rint((last - seconds) / LONGEST));
        return seconds + LONGEST * (Double.isFinite(days) ? days : 0);
    }

    private static double part(String group) {
        return Optional.ofNullable(group).map(Double::parseDouble).orElse(0.0);
    }

    /** Digits and one mark, no letters but those of an exponent; done by hand, for long files. */
    private static OptionalDouble number(String cell, DecimalMark mark) {
        int digits = 0;
        for (int i = 0; i < cell.length(); i++) {
            char c = cell.charAt(i);
            boolean exponent = (c == 'e' || c == 'E') && digits > 0 && i + 1 < cell.length();
            if (c >= '0' && c <= '9') {
                digits++;
            } else if (c != mark.sign() && c != '-' && c != '+' && c != '−' && !exponent) {
                return OptionalDouble.empty();
            }
        }
        try {
            double value = digits == 0 || digits > 24
                    ? Double.NaN
                    : Double.parseDouble(cell.replace('−', '-').replace(mark.sign(), '.'));
            return Double.isFinite(value) ? OptionalDouble.of(value) : OptionalDouble.empty();
        } catch (NumberFormatException no) {
            return OptionalDouble.empty();
        }
    }

    private static List<String> lines(String text) {
        String whole = text.startsWith("\uFEFF") ? text.substring(1) : text;
        return Arrays.asList(whole.split("\\R", -1));
    }
}
