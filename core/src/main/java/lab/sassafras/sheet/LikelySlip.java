package lab.sassafras.sheet;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.Figures;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Slot;

/** Which slip of a hand would explain a value that cannot be: the first that gives one that can, and is usual there. */
public final class LikelySlip {

    private LikelySlip() {}

    /**
     * {@return why a value of a sheet cannot be, with the slip that would explain it; empty where it can}
     *
     * @param sheet it stands on
     * @param line  the value
     */
    public static Optional<String> of(Sheet sheet, Line line) {
        Figures figures = sheet.setting().figures();
        return InputCheck.cannotBe(sheet, line)
                .map(why -> figures.typed(line.text()) + symbol(line) + ": " + why + explained(sheet, line, figures));
    }

    private static String symbol(Line line) {
        return line.unit().map(unit -> " " + unit.symbol()).orElse("");
    }

    private static String explained(Sheet sheet, Line line, Figures figures) {
        return slips(line).entrySet().stream()
                .filter(each -> can(sheet, line, each.getValue()))
                .findFirst()
                .map(each -> " " + each.getKey() + ": " + figures.plain(Math.rint(each.getValue() * 1e6) / 1e6)
                        + symbol(line) + "?")
                .orElse("");
    }

    private static boolean can(Sheet sheet, Line line, double other) {
        Line meant = new Line(
                line.address(),
                line.role(),
                line.text(),
                other,
                line.decimals(),
                line.lastDigit(),
                line.unit(),
                line.instrument(),
                line.uncertainty(),
                line.who());
        return InputCheck.cannotBe(sheet, meant).isEmpty()
                && sheet.experiment()
                        .slot(line.address().path())
                        .flatMap(Slot::usual)
                        .map(usual -> usual.outside(other) <= 0)
                        .orElse(true);
    }

    /** What may have been meant, the likeliest first. */
    private static Map<String, Double> slips(Line line) {
        Map<String, Double> slips = new LinkedHashMap<>();
        double value = line.value();
        String digits = line.text().strip().replace(',', '.');
        for (int i = 0; i + 1 < digits.length(); i++) {
            char one = digits.charAt(i);
            char next = digits.charAt(i + 1);
            // nobody writes a nought in front
            boolean leads =
                    next == '0' && (i == 0 || !Character.isDigit(digits.charAt(i - 1)) && digits.charAt(i - 1) != '.');
            if (Character.isDigit(one) && Character.isDigit(next) && one != next && !leads) {
                String exchanged = digits.substring(0, i) + next + one + digits.substring(i + 2);
                number(exchanged).ifPresent(other -> slips.putIfAbsent("Two digits exchanged", other));
            }
        }
        if (line.unit()
                .map(BenchUnit::dimension)
                .filter(Dimension.TEMPERATURE::equals)
                .isPresent()) {
            slips.put("Read in °F", (value - 32) / 1.8);
            slips.put("The sign forgotten", -value);
        }
        slips.put("The decimal point misplaced", value / 10);
        slips.put("The decimal point misplaced by two", value / 100);
        slips.put("A digit left out", value * 10);
        return slips;
    }

    private static Optional<Double> number(String text) {
        try {
            return Optional.of(Double.parseDouble(text));
        } catch (NumberFormatException none) {
            return Optional.empty();
        }
    }
}
