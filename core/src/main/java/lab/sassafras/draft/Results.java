package lab.sassafras.draft;

import java.util.Optional;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;

/** Results of other entries that a sheet refers to. */
public final class Results {

    private final AccountBuilder draft;

    Results(AccountBuilder draft) {
        this.draft = draft;
    }

    /**
     * {@return result of the entry a slot refers to}
     *
     * @param path group and slot, as an experiment declares them
     */
    public Expression of(String path) {
        return of(draft.address(path));
    }

    /**
     * {@return result of the entry a slot refers to, where it refers to one}
     *
     * @param path group and slot, as an experiment declares them
     */
    public Optional<Expression> ifGiven(String path) {
        return draft.sheet().stated(draft.address(path)).map(any -> of(path));
    }

    Expression of(Address address) {
        String label = draft.words().label(address.path());
        boolean known = draft.sheet()
                .stated(address)
                .map(draft.sheet().setting().references()::get)
                .flatMap(Setting.Referenced::value)
                .isPresent();
        if (!known) {
            draft.lacks(address, label + " (a result of that entry)");
        }
        return new Input(
                address + "." + Role.STATED.key(),
                draft.numbered(draft.words().symbol(address.path()), address),
                label,
                draft.unit(address.path()));
    }
}
