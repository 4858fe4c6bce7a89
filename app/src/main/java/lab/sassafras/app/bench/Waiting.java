package lab.sassafras.app.bench;

import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * What is waited for at a bench.
 *
 * @param timers  that run or are over
 * @param begins  waits that can be begun at the step in hand
 * @param exposed what lies weighed and pulls water from the air
 */
public record Waiting(List<Timer> timers, List<Begin> begins, Optional<Exposed> exposed) {

    /**
     * A wait that was begun.
     *
     * @param entry   it belongs to
     * @param trial   of that entry
     * @param pace    it goes by; empty where it began by itself, with mixing
     * @param label   what is waited for
     * @param where   the trial or the experiment it belongs to, where that is another than the one looked at
     * @param amount  how long it takes, in words
     * @param left    time left, less than nothing once it is over (ms)
     * @param meanwhile what can be done until then; empty where nothing is left
     * @param link    where the reading is given that follows it
     */
    public record Timer(
            UUID entry,
            int trial,
            String pace,
            String label,
            String where,
            String amount,
            long left,
            String meanwhile,
            String link) {

        /** Its state as it is written. */
        public String words() {
            long seconds = Math.abs(left) / 1000;
            String time = seconds / 60 + ":" + (seconds % 60 < 10 ? "0" : "") + seconds % 60;
            return left > 0 ? time + " left" : "over since " + time;
        }

        public boolean over() {
            return left <= 0;
        }
    }

    /**
     * A wait that can be begun.
     *
     * @param pace   it goes by
     * @param label  what for
     * @param amount how long, as the class has it, written (min)
     */
    public record Begin(String pace, String label, String amount) {}

    /**
     * What lies weighed and open to the air.
     *
     * @param name of the substance
     * @param age  since it was weighed (ms)
     */
    public record Exposed(String name, long age) {

        /** How long, as it is written. */
        public String words() {
            return new Timer(new UUID(0, 0), 1, "", "", "", "", age, "", "")
                    .words()
                    .replace(" left", "");
        }
    }

    /** Whether there is anything to show. */
    public boolean any() {
        return !timers.isEmpty() || !begins.isEmpty() || exposed.isPresent();
    }
}
