package lab.sassafras.app.chart;

import java.util.List;
import java.util.Locale;
import lab.sassafras.hour.Sight;

/** A procedure as a line of leaves: done, in hand, to come. What a leaf looks like stands once on the page. */
public final class LeavesPicture {

    private static final int STEP = 26;
    private static final int IN_A_ROW = 14;

    private LeavesPicture() {}

    /** {@return the line, which says how many steps are done} */
    public static String svg(List<Sight.Leaf> leaves) {
        if (leaves.isEmpty()) {
            return "";
        }
        int rows = (leaves.size() + IN_A_ROW - 1) / IN_A_ROW;
        long done = leaves.stream()
                .filter(each -> each.state() == Sight.Leaf.State.DONE)
                .count();
        StringBuilder svg = new StringBuilder("<svg class=\"leaf-row\" role=\"img\" viewBox=\"0 0 ")
                .append(STEP * Math.min(IN_A_ROW, leaves.size()))
                .append(' ')
                .append(STEP * rows)
                .append("\" aria-label=\"")
                .append(done)
                .append(" of ")
                .append(leaves.size())
                .append(" steps done\">");
        for (int i = 0; i < leaves.size(); i++) {
            String state = leaves.get(i).state().name().toLowerCase(Locale.ROOT);
            svg.append("<use class=\"leaf ")
                    .append(state)
                    .append("\" href=\"#leaf-")
                    .append(state)
                    .append("\" x=\"")
                    .append(STEP * (i % IN_A_ROW))
                    .append("\" y=\"")
                    .append(STEP * (i / IN_A_ROW))
                    .append("\" width=\"24\" height=\"24\"/>");
        }
        return svg.append("</svg>").toString();
    }
}
