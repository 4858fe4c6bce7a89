package lab.sassafras.app.chart;

import java.util.Locale;

/**
 * The vessel of the simulated bench as a person at a bench sees it: how full it is, whether its lid is on, the
 * thermometer in it.
 *
 * @param fill    what it holds, of what it could (0 to 1)
 * @param lid     whether that is on
 * @param summary in words
 */
public record SimulatedCup(double fill, boolean lid, String summary) {

    private static final int WIDTH = 150;
    private static final int HEIGHT = 190;
    private static final int RIM = 50;
    private static final int FLOOR = 175;
    /** How far the wall leans in from rim to floor. */
    private static final int LEANS = 14;

    private static final int LEFT = 25;
    private static final int RIGHT = 125;
    private static final int STEM = 88;

    /** {@return the picture} */
    public String svg() {
        double full = Math.max(0, Math.min(1, fill));
        double level = FLOOR - 4 - full * (FLOOR - RIM - 14);
        double lean = LEANS * (level - RIM) / (FLOOR - RIM);
        Svg picture = Svg.picture("cup-picture", WIDTH, HEIGHT).titled("cup-title", summary);
        if (full > 0) {
            picture.add(
                    Svg.path(
                            "cup-contents",
                            String.format(
                                    Locale.ROOT,
                                    "M%.1f %.1fL%d %dH%dL%.1f %.1fz",
                                    LEFT + lean + 2,
                                    level,
                                    LEFT + LEANS + 2,
                                    FLOOR - 3,
                                    RIGHT - LEANS - 2,
                                    RIGHT - lean - 2,
                                    level)),
                    Svg.path(
                            "cup-level",
                            String.format(Locale.ROOT, "M%.1f %.1fH%.1f", LEFT + lean + 2, level, RIGHT - lean - 2)));
        }
        picture.add(Svg.path(
                "cup-wall",
                String.format(
                        Locale.ROOT,
                        "M%d %dL%d %dH%dL%d %d",
                        LEFT,
                        RIM,
                        LEFT + LEANS,
                        FLOOR,
                        RIGHT - LEANS,
                        RIGHT,
                        RIM)));
        if (lid) {
            picture.add(Svg.path("cup-lid", String.format(Locale.ROOT, "M%d %dv-9H%dv9z", LEFT - 6, RIM, RIGHT + 6)));
        }
        return picture.add(
                        Svg.path("cup-probe", String.format(Locale.ROOT, "M%d 6V%d", STEM, FLOOR - 22)),
                        Svg.path("cup-grip", String.format(Locale.ROOT, "M%d 2h12v20h-12z", STEM - 6)))
                .written();
    }
}
