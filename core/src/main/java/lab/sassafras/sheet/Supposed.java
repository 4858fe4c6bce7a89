package lab.sassafras.sheet;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import lab.sassafras.measure.Measured;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Role;

/** A sheet as it would be, were one thing on it otherwise. */
public final class Supposed {

    private final Sheet sheet;

    Supposed(Sheet sheet) {
        this.sheet = sheet;
    }

    /**
     * {@return the same with one more line}
     *
     * @param more one more line
     */
    public Sheet with(Line more) {
        return holding(Stream.concat(sheet.lines().stream(), Stream.of(more)));
    }

    /**
     * {@return the same with another answer in words in one place}
     *
     * @param address where it stands
     * @param answer  in place of what was answered there
     */
    public Sheet answering(Address address, String answer) {
        Line other = new Line(
                address, Role.STATED, answer, 0, -1, 0, Optional.empty(), Optional.empty(), OptionalDouble.empty(), "");
        return holding(Stream.concat(
                sheet.lines().stream().filter(each -> !each.address().equals(address)), Stream.of(other)));
    }

    /**
     * {@return the same with another number in place of one that was typed}
     *
     * @param typed one of its lines
     * @param text  in place of what was typed
     * @param more  how much more that is (bench unit)
     */
    public Sheet retyped(Line typed, String text, double more) {
        Line other = new Line(
                typed.address(),
                typed.role(),
                text,
                typed.value() + more,
                typed.decimals(),
                typed.lastDigit(),
                typed.unit(),
                typed.instrument(),
                typed.uncertainty(),
                typed.who());
        return holding(sheet.lines().stream().map(each -> each.equals(typed) ? other : each));
    }

    /**
     * {@return the same, on which one input is sought that may stand there or not, the result being given}
     *
     * @param address where the input stands
     * @param result  what the result is to come to (its unit)
     */
    public Sheet seeking(Address address, Measured result) {
        return sheet.with(
                sheet.lines().stream()
                        .filter(each -> !each.address().equals(address))
                        .toList(),
                sheet.aim().at(address, result));
    }

    /**
     * {@return the same with an input nobody read, at the value it is expected to have}
     *
     * @param address     where it stands
     * @param value       expected (bench unit)
     * @param uncertainty standard uncertainty of that (bench unit)
     */
    public Sheet expecting(Address address, double value, double uncertainty) {
        Line line = new Line(
                address,
                Role.READ,
                "",
                value,
                -1,
                0,
                sheet.experiment().slot(address.path()).flatMap(slot -> slot.unit(Role.READ)),
                Optional.empty(),
                OptionalDouble.of(uncertainty),
                "");
        return sheet.with(
                Stream.concat(sheet.lines().stream(), Stream.of(line)).toList(),
                sheet.aim().expecting(address));
    }

    private Sheet holding(Stream<Line> lines) {
        return sheet.with(lines.toList(), sheet.aim());
    }
}
