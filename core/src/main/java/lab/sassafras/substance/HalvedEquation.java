package lab.sassafras.substance;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A balanced equation in which something may stand a half time or another fraction, such as ½ O₂: kept as the equation
 * in whole numbers and how many times as much that is.
 *
 * @param whole the same in whole numbers
 * @param times how often the equation as typed goes into it
 */
public record HalvedEquation(ChemicalEquation whole, int times) {

    private static final Pattern FRACTION = Pattern.compile(
            "(?<![A-Za-z0-9)\\]])(?:(\\d{1,2})\\s*/\\s*(\\d{1,2})|(\\d{0,2})½)(?=\\s*(?:[A-Z(]|e\\^?[-−]))");
    private static final Pattern COUNTED = Pattern.compile(
            "(^|\\s\\+\\s|(?:->|→|⇌|=)\\s*)(\\d{1,2}(?=\\s*(?:[A-Z(]|e\\^?[-−])))?\\s*(?=[A-Z(]|e\\^?[-−])");

    /**
     * Reads an equation.
     *
     * @param typed as typed
     * @return as read
     * @throws lab.sassafras.measure.Refused where it cannot be read, or naming what is off
     */
    public static HalvedEquation read(String typed) {
        String text = typed == null ? "" : typed.strip();
        int times = 1;
        Matcher fraction = FRACTION.matcher(text);
        while (fraction.find()) {
            int below = fraction.group(2) == null ? 2 : Integer.parseInt(fraction.group(2));
            times = below == 0 ? times : lcm(times, below);
        }
        return times == 1
                ? new HalvedEquation(ChemicalEquation.read(text), 1)
                : new HalvedEquation(ChemicalEquation.read(multiplied(text, times)), times);
    }

    private static String multiplied(String text, int times) {
        String halves = FRACTION.matcher(text).replaceAll(found -> {
            if (found.group(2) != null) {
                int below = Integer.parseInt(found.group(2));
                return "#" + (below == 0 ? 0 : Integer.parseInt(found.group(1)) * times / below);
            }
            int whole = found.group(3).isEmpty() ? 0 : Integer.parseInt(found.group(3));
            return "#" + (2 * whole + 1) * times / 2;
        });
        return COUNTED.matcher(halves)
                .replaceAll(found -> found.group(1)
                        + (found.group(2) == null ? times : Integer.parseInt(found.group(2)) * times) + " ")
                .replace("#", "");
    }

    private static int lcm(int one, int other) {
        int a = one;
        int b = other;
        while (b != 0) {
            int rest = a % b;
            a = b;
            b = rest;
        }
        return one / a * other;
    }
}
