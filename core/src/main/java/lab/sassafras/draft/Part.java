package lab.sassafras.draft;

import lab.sassafras.expression.Expression;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.slot.Address;

/** What stands in one part of a repeated group, as the books ask for it. */
public final class Part {

    private final AccountBuilder draft;
    private final int index;

    Part(AccountBuilder draft, int index) {
        this.draft = draft;
        this.index = index;
    }

    /**
     * {@return a quantity of one part}
     *
     * @param path  group and slot, as an experiment declares them
     */
    public Expression quantity(String path) {
        return draft.quantity(Address.of(path, index));
    }

    /**
     * {@return result of the entry a slot of one part refers to}
     *
     * @param path  group and slot, as an experiment declares them
     */
    public Expression reference(String path) {
        return draft.results().of(Address.of(path, index));
    }

    /**
     * {@return specific heat of the substance chosen in a slot of one part (J/(g·°C))}
     *
     * @param path  group and slot, as an experiment declares them
     */
    public Expression specificHeatOf(String path) {
        return draft.input(Address.of(path, index), BenchUnit.JOULES_PER_GRAM_DEGREE);
    }

    /**
     * {@return whether anything stands in a slot of one part}
     *
     * @param path  group and slot, as an experiment declares them
     */
    public boolean given(String path) {
        return draft.sheet().filled(Address.of(path, index));
    }

    /**
     * {@return whether a choice of one part was answered so}
     *
     * @param path   group and slot, as an experiment declares them
     * @param answer the answer asked about
     */
    public boolean answered(String path, String answer) {
        Address address = Address.of(path, index);
        if (!draft.sheet().filled(address)) {
            draft.lacks(address);
        }
        return draft.sheet().stated(address).filter(answer::equals).isPresent();
    }
}
