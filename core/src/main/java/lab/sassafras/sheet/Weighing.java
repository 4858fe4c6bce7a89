package lab.sassafras.sheet;

import java.util.List;
import java.util.Optional;
import lab.sassafras.convention.MassWay;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Role;

/**
 * How a quantity was got: read as it stands, as the difference of two readings, by its volume, or supposed.
 *
 * @param lines what stands in its place, in the order given
 */
public record Weighing(List<Line> lines) {

    /**
     * {@return whether a mass counts as the difference of two readings: both are there, and neither is older than a
     * direct reading of the same mass}
     */
    public boolean byDifference() {
        if (line(Role.GROSS).isEmpty() || line(Role.TARE).isEmpty()) {
            return false;
        }
        Role last = lines.get(lines.size() - 1).role();
        return last == Role.GROSS || last == Role.TARE;
    }

    /**
     * {@return how a quantity counts: in the way in force where it was got so, else in the way given last; empty while
     * it lacks}
     *
     * @param inForce the one in force
     */
    public Optional<Role> roleThatCounts(MassWay inForce) {
        if (lines.size() == 1 && !lines.get(0).role().half()) {
            return Optional.of(lines.get(0).role());
        }
        boolean pair = difference()
                .filter(mass ->
                        mass >= 0 || lines.stream().allMatch(line -> line.role().half()))
                .isPresent();
        List<Role> got = lines.stream()
                .map(Line::role)
                .filter(role -> !role.half() || pair)
                .map(role -> role.half() ? Role.GROSS : role)
                .toList();
        return got.stream()
                .filter(role -> inForce == wayOf(role))
                .findFirst()
                .or(() -> got.stream().reduce((earlier, later) -> later));
    }

    static MassWay wayOf(Role role) {
        return switch (role) {
            case GROSS, TARE -> MassWay.DIFFERENCE;
            case VOLUME -> MassWay.VOLUME;
            case READ -> MassWay.ZEROED;
            case ASSUMED, TREND, STATED -> MassWay.AS_GIVEN;
        };
    }

    /**
     * {@return the mass by difference (g), where both sides were read}
     */
    public Optional<Double> difference() {
        return line(Role.GROSS).flatMap(gross -> line(Role.TARE).map(tare -> gross.value() - tare.value()));
    }

    private Optional<Line> line(Role role) {
        return lines.stream().filter(each -> each.role() == role).reduce((earlier, later) -> later);
    }
}
