package lab.sassafras.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.DecimalMark;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.TypedNumber;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Role;

/** What a number may have been where the eye or the hand slipped: a mark of a thermometer, or two digits. */
final class Slips {

    /** Marks a thermometer is misread by (°C). */
    private static final double[] MARKS = {5, 10};

    private Slips() {}

    /**
     * What may have stood in place of what was typed.
     *
     * @param text  it would have had
     * @param error true value less recorded value (bench unit)
     */
    record Slip(String text, double error) {}

    /**
     * {@return what a reading may have been: no more than a handful}
     *
     * @param line as typed
     * @param mark how decimals are written
     */
    static List<Slip> of(Line line, DecimalMark mark) {
        List<Slip> slips = new ArrayList<>();
        Optional<BenchUnit> unit = line.unit();
        if (unit.isEmpty() || line.role() == Role.ASSUMED || line.role() == Role.TREND || line.role() == Role.STATED) {
            return slips;
        }
        TypedNumber typed;
        try {
            typed = TypedNumber.read(line.text(), mark);
        } catch (Refused unread) {
            return slips;
        }
        if (unit.get().dimension().equals(Dimension.TEMPERATURE)) {
            for (double each : MARKS) {
                slips.add(moved(typed, each, unit.get(), mark));
                slips.add(moved(typed, -each, unit.get(), mark));
            }
        }
        exchanged(line.text()).forEach(text -> {
            double error = unit.get().widthToBench(TypedNumber.read(text, mark).value() - typed.value());
            slips.add(new Slip(text, error));
        });
        return slips;
    }

    private static Slip moved(TypedNumber typed, double by, BenchUnit unit, DecimalMark mark) {
        double width = by / unit.widthToBench(1);
        String text = String.format(Locale.ROOT, "%." + typed.decimals() + "f", typed.value() + width);
        return new Slip(text.replace('.', mark.sign()), by);
    }

    /** Two neighbours among the digits in the other order; none that would begin with a nought before another digit. */
    private static List<String> exchanged(String text) {
        List<String> others = new ArrayList<>();
        int before = -1;
        for (int i = 0; i < text.length(); i++) {
            if (!Character.isDigit(text.charAt(i))) {
                continue;
            }
            if (before >= 0 && text.charAt(before) != text.charAt(i)) {
                char[] signs = text.toCharArray();
                signs[before] = text.charAt(i);
                signs[i] = text.charAt(before);
                boolean first = text.substring(0, before).chars().noneMatch(Character::isDigit);
                if (!(first && signs[before] == '0' && i == before + 1)) {
                    others.add(new String(signs));
                }
            }
            before = i;
        }
        return others;
    }
}
