package lab.sassafras.app.sheet;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;

/** A kept moment in words; one that no calendar holds stays as it was kept. */
public final class WrittenTime {

    private WrittenTime() {}

    public static String of(Instant moment, ZoneId zone, DateTimeFormatter how) {
        try {
            return how.format(moment.atZone(zone));
        } catch (DateTimeException beyond) {
            return moment.toString();
        }
    }
}
