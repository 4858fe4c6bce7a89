package lab.sassafras.app.bench;

import java.util.List;
import java.util.Optional;

/**
 * A trial at the simulated bench, as its page shows it.
 *
 * @param speed   of its clock, in words
 * @param again   after so many milliseconds it is looked at again; 0 where its clock does not go on
 * @param clock   time on it
 * @param shows   what the thermometer shows; empty where nothing was begun
 * @param cup     the vessel, drawn
 * @param curve   what the thermometer showed, drawn; empty where there is none yet
 * @param touched how often it was touched
 * @param next    what a hand does next; empty where all is done, or the trial was not begun
 * @param begun   whether the trial was
 * @param shown   what labels said and instruments showed
 * @param waits   whether something of that is not in the data table yet
 * @param truth   what was true, for those who may know; empty for others, and before the trial is over
 */
public record SimulatedScreen(
        String speed,
        int again,
        String clock,
        String shows,
        String cup,
        String curve,
        int touched,
        Optional<Next> next,
        boolean begun,
        List<Shown> shown,
        boolean waits,
        List<Truth> truth) {

    /** What a hand does next: a heading, the words of its button, what to take care of before. */
    public record Next(String ask, String button, String caution) {}

    /** What was shown: of what, how much, and whether it stands in the data table. */
    public record Shown(String of, String text, boolean recorded) {}

    /** What was true: of what, how much, and what was found beside it. */
    public record Truth(String of, String value, String found) {}
}
