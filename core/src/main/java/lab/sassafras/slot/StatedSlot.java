package lab.sassafras.slot;

import java.util.EnumSet;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Refused;

/** A slot whose answer is stated in words: read without a unit or an instrument, and never assumed. */
public abstract class StatedSlot extends Slot {

    /**
     * A slot.
     *
     * @param key      its name within its group
     * @param optional whether an account can be drawn up without it
     */
    protected StatedSlot(String key, boolean optional) {
        super(key, optional);
    }

    /**
     * Refuses a text that says nothing here.
     *
     * @param text    without blanks around it, not empty
     * @param setting what surrounds the readings
     * @throws Refused with a plain message
     */
    protected abstract void check(String text, Setting setting);

    /** {@return unit of the number an answer stands for; empty where it stands for none} */
    protected abstract Optional<BenchUnit> unit();

    @Override
    public final Set<Role> roles() {
        return EnumSet.of(Role.STATED);
    }

    @Override
    public final Optional<BenchUnit> unit(Role role) {
        return unit();
    }

    @Override
    public final Optional<Assumption> assumed() {
        return Optional.empty();
    }

    @Override
    public final String expectation(Setting setting) {
        return "";
    }

    /**
     * What a text is read as, where people type it in more ways than one.
     *
     * @param text    as typed
     * @param setting what surrounds the readings
     * @return as it is kept
     * @throws Refused where it can be read in no way
     */
    protected String reads(String text, Setting setting) {
        return text;
    }

    @Override
    public final Optional<Range> usual() {
        return Optional.empty();
    }

    @Override
    public final Line read(Address address, Role role, GivenValue given, Setting setting) {
        String text = given.text() == null ? "" : given.text().strip();
        if (text.isEmpty()) {
            throw new Refused("Nothing was given. Choose or type an answer.");
        }
        text = reads(text, setting);
        check(text, setting);
        return new Line(
                address,
                Role.STATED,
                text,
                0,
                -1,
                0,
                Optional.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                given.who());
    }
}
