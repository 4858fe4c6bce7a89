package lab.sassafras.app.classpages;

import java.util.ArrayList;
import java.util.List;
import lab.sassafras.hour.Evening;
import lab.sassafras.hour.Timetable;

/** An hour in words: what decides when the class is done, and what does not fit. */
final class HourInWords {

    private HourInWords() {}

    static List<String> standing(Evening evening, Timetable timetable, HourForm form) {
        List<String> all = new ArrayList<>();
        int over = timetable.finish() - evening.length();
        if (over > 0) {
            List<String> late = form.benches().stream()
                    .filter(each -> timetable.done(each) > evening.length())
                    .toList();
            all.add((late.size() == form.benches().size()
                            ? "No bench is"
                            : String.join(", ", late) + (late.size() == 1 ? " is not" : " are not"))
                    + " done by " + form.at(evening.length()) + "; the last is " + over + " min over.");
        }
        all.add(timetable
                .holds()
                .map(gear -> {
                    int busy = timetable.laid().stream()
                            .filter(each -> each.job().gear().contains(gear))
                            .mapToInt(each -> each.until() - each.from())
                            .sum();
                    int many = evening.has().getOrDefault(gear, form.benches().size());
                    return capitalised(gear.counted(many)) + " for "
                            + form.benches().size() + " benches: "
                            + (many == 1 ? "it is" : "they are") + " in use for " + busy + " min in all"
                            + (many == 1 ? "" : ", " + busy / many + " each")
                            + ", and that decides when the class is done.";
                })
                .orElse("No gear holds the class up: what one bench does takes that long by itself."));
        return all;
    }

    private static String capitalised(String text) {
        return text.startsWith("1 ") ? "One" + text.substring(1) : text;
    }

    static String capitalisedFirst(String text) {
        return Character.toUpperCase(text.charAt(0)) + text.substring(1);
    }
}
