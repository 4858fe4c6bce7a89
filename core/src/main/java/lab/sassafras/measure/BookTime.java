package lab.sassafras.measure;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;

/** Moments and days a bench book can hold: those of the years 1900 to 2199. */
public final class BookTime {

    private static final Instant FIRST = Instant.parse("1900-01-01T00:00:00Z");
    private static final Instant BEYOND = Instant.parse("2200-01-01T00:00:00Z");

    private BookTime() {}

    /**
     * {@return the moment typed}
     *
     * @param typed as typed
     * @throws Refused where it is no instant, or one that no bench can have seen
     */
    public static Instant instant(String typed) {
        try {
            Instant instant = Instant.parse(typed);
            if (holds(instant)) {
                return instant;
            }
        } catch (DateTimeException e) {
            // said below
        }
        throw new Refused(
                "“" + typed + "” is not an instant such as 2026-02-03T18:40:00Z, of a year from 1900 to 2199.");
    }

    /**
     * {@return whether a bench can have seen the moment}
     *
     * @param instant a moment
     */
    public static boolean holds(Instant instant) {
        return !instant.isBefore(FIRST) && instant.isBefore(BEYOND);
    }

    /**
     * {@return the day typed}
     *
     * @param typed as typed
     * @throws Refused where it is no day, or one that no bench can have seen
     */
    public static LocalDate day(String typed) {
        try {
            LocalDate day = LocalDate.parse(typed);
            if (day.getYear() >= 1900 && day.getYear() < 2200) {
                return day;
            }
        } catch (DateTimeException e) {
            // said below
        }
        throw new Refused("“" + typed
                + "” is not a date. Write year-month-day, such as 2026-02-03, of a year from 1900 to 2199.");
    }
}
