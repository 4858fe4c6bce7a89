package lab.sassafras.app.bench;

import java.util.List;
import java.util.Optional;
import lab.sassafras.app.chart.LivePicture;
import lab.sassafras.measure.Figures;

/**
 * The page of a bench as its probes read it.
 *
 * @param head     of which readings it is, in words
 * @param drawn    the picture, written out where it is asked for: what stands beside it is asked for more often
 * @param figures  numbers are written in
 * @param listens  where the page hears what comes
 * @param looks    other parts of the time it can show
 * @param shows    what the first probe shows now; empty while nothing came
 * @param stands   how it stands: each a heading with its sentence
 * @param signs    what somebody should look at, in words
 * @param probes   with their marks
 * @param take     what can be recorded by one touch; empty where nothing can
 * @param mixing   whether the mixing is still to be marked
 * @param trace    identity of the readings of the trial
 */
public record LiveScreen(
        String head,
        LivePicture drawn,
        Figures figures,
        String listens,
        List<Look> looks,
        String shows,
        List<Stand> stands,
        List<String> signs,
        List<Probe> probes,
        Optional<Take> take,
        boolean mixing,
        String trace) {

    /** The picture as SVG. */
    public String picture() {
        return drawn.svg(figures);
    }

    /** Another part of the time, as a link. */
    public record Look(String words, String query, boolean now) {}

    /** How it stands. */
    public record Stand(String title, String words) {}

    /** A probe with the number of its mark. */
    public record Probe(int kind, String name, String place, String shows, String state) {}

    /** Two temperatures to be recorded, as they would be typed, and where they come from. */
    public record Take(String start, String end, String words, String from) {}
}
