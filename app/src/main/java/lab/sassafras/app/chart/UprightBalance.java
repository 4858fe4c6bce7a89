package lab.sassafras.app.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * The balance standing on its end, for a narrow screen: what gave above the post, what took below it, on one scale, the
 * words beside each piece.
 *
 * @param frame   where things stand that do not depend on the numbers
 * @param height  of the picture
 * @param post    height of the post
 * @param pieces  from top to bottom
 * @param summary the whole in a sentence
 */
public record UprightBalance(Frame frame, int height, int post, List<Piece> pieces, String summary) {

    /**
     * Where things stand that do not depend on the numbers.
     *
     * @param width  of the whole
     * @param beam   left edge of the pieces
     * @param thick  of the pieces
     * @param text   where words begin
     * @param gaveAt height of the upper side's name
     */
    public record Frame(int width, int beam, int thick, int text, int gaveAt) {}

    private static final Frame FRAME = new Frame(360, 8, 44, 78, 16);
    private static final int EDGE = 4;
    /** The lower side's name stands so far below the post. */
    private static final int SIDE_NAME = 22;

    private static final int LINES = 58;
    private static final int NAME = 30;
    private static final int LEAST_SIDE = 150;

    /**
     * A piece with its words.
     *
     * @param y            top edge
     * @param height       its length
     * @param middle       height of its middle
     * @param textY        height of its first line of words
     * @param party        in words
     * @param heat         with its sign in words
     * @param temperatures from and to, and what its heat is made of
     * @param gave         whether it gave heat
     * @param sought       whether it is the unknown
     */
    public record Piece(
            String y,
            String height,
            String middle,
            String textY,
            String party,
            String heat,
            String temperatures,
            boolean gave,
            boolean sought) {}

    /** The same balance, standing. */
    public static UprightBalance of(BalancePicture lying) {
        int gave = (int) lying.rows().stream().filter(BalancePicture.Row::gave).count();
        int took = lying.rows().size() - gave;
        int side = Math.max(LEAST_SIDE, Math.max(gave, took) * LINES + NAME);
        double scale = side / BalancePicture.SIDE;
        List<Piece> pieces = new ArrayList<>();
        double up = side;
        double down = side;
        int above = 0;
        int below = 0;
        for (int i = 0; i < lying.rows().size(); i++) {
            BalancePicture.Row row = lying.rows().get(i);
            double length = Double.parseDouble(lying.segments().get(i).width()) * scale;
            double top = row.gave() ? up - length : down;
            int text = row.gave() ? NAME + 6 + LINES * above++ : side + NAME + 14 + LINES * below++;
            pieces.add(new Piece(
                    at(top),
                    at(length),
                    at(top + length / 2),
                    at(text),
                    row.party(),
                    row.heat(),
                    row.temperatures(),
                    row.gave(),
                    row.sought()));
            up = row.gave() ? up - length : up;
            down = row.gave() ? down : down + length;
        }
        return new UprightBalance(FRAME, 2 * side + 16, side, pieces, lying.summary());
    }

    private static String at(double coordinate) {
        return String.format(Locale.ROOT, "%.1f", coordinate);
    }

    /** {@return the picture, for a page or a report} */
    public String svg() {
        Svg svg = Svg.picture("balance upright", frame.width(), height)
                .with("role", "img")
                .with("aria-label", summary)
                .add(
                        Svg.text("side-name", frame.text(), frame.gaveAt(), "Released"),
                        Svg.text("side-name", frame.text(), post + SIDE_NAME, "Absorbed"));
        pieces.forEach(each -> svg.add(drawn(each)));
        return svg.add(Svg.level("post", EDGE, frame.width() - EDGE, post)).written();
    }

    private Svg drawn(Piece each) {
        String kind = "piece " + (each.gave() ? "gave" : "took") + (each.sought() ? " sought" : "");
        Svg piece = Svg.group();
        if (each.gave()) {
            piece.add(Svg.hatchedRect(
                    kind,
                    frame.beam(),
                    Double.parseDouble(each.y()),
                    frame.thick(),
                    Double.parseDouble(each.height())));
        } else {
            piece.add(Svg.rect(kind, frame.beam(), each.y(), frame.thick(), each.height()));
        }
        return piece.add(
                Svg.line("leader", frame.beam() + frame.thick(), each.middle(), frame.text() - 6, each.textY()),
                Svg.of("text").with("x", frame.text()).with("y", each.textY()).add(Svg.span("party", each.party())),
                Svg.text(
                                "heat " + (each.gave() ? "gave" : "took"),
                                frame.text(),
                                each.textY(),
                                each.heat() + (each.sought() ? ", found" : ""))
                        .with("dy", 18),
                Svg.text("small", frame.text(), each.textY(), each.temperatures())
                        .with("dy", 35));
    }
}
