package lab.sassafras.curve;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import lab.sassafras.measure.Refused;

/** A time on a clock begun at nought, as it is written and typed: minutes and seconds. */
public final class ClockTime {

    private static final Pattern TYPED = Pattern.compile("(?:(\\d{1,2}):)?(\\d{1,3}):([0-5]\\d)(?:[.,](\\d))?");

    private ClockTime() {}

    /**
     * {@return a time in minutes and seconds, to a tenth of a second where it is not whole}
     *
     * @param seconds (s)
     */
    public static String write(double seconds) {
        if (seconds < 0) {
            return "−" + write(-seconds);
        }
        long tenths = Math.round(seconds * 10);
        long whole = tenths / 10;
        return whole / 60 + ":" + (whole % 60 < 10 ? "0" : "") + whole % 60
                + (tenths % 10 == 0 ? "" : "." + tenths % 10);
    }

    /**
     * {@return what was typed (s)}
     *
     * @param typed such as 3:30, 3:30.5 or 1:03:30
     * @throws Refused where it is no such time
     */
    public static double read(String typed) {
        Matcher time = TYPED.matcher(typed.strip());
        if (!time.matches()) {
            throw new Refused(
                    "“" + typed.strip() + "” is no time on the clock. Write minutes and seconds, such as 3:30.");
        }
        return part(time, 1) * 3600 + part(time, 2) * 60 + part(time, 3) + part(time, 4) / 10;
    }

    private static double part(Matcher time, int group) {
        return time.group(group) == null ? 0 : Double.parseDouble(time.group(group));
    }
}
