package lab.sassafras.draft;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.LiquidDensity;
import lab.sassafras.declaration.CommonPlaces;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Role;

/** How much of a liquid there is, by mass and by volume. */
public final class Liquids {

    private final AccountBuilder draft;

    Liquids(AccountBuilder draft) {
        this.draft = draft;
    }

    /**
     * {@return all of the liquid that waits in the cup (g): what stands at a path, and what was poured to it}
     *
     * @param path group and slot, as an experiment declares them
     */
    public Expression together(String path) {
        List<Expression> all = new ArrayList<>(List.of(draft.quantity(path)));
        CommonPlaces.POURED_TO_IT.forEach(
                key -> draft.quantityIfGiven(key + "/amount").ifPresent(all::add));
        return all.size() == 1
                ? all.get(0)
                : new Expression.Sum(all).named(Symbol.of("m:poured together"), BenchUnit.GRAMS);
    }

    /**
     * {@return the volume of a liquid (mL): as read, or from its mass}
     *
     * @param path group and slot, as an experiment declares them
     */
    public Expression volume(String path) {
        Address address = draft.address(path);
        Symbol symbol = draft.words().symbol(path);
        return draft.sheet()
                        .weighing(address)
                        .roleThatCounts(draft.conventions().in(ConventionQuestion.MASS))
                        .filter(Role.VOLUME::equals)
                        .isPresent()
                ? poured(address, symbol)
                : draft.quantity(address)
                        .over(density(address))
                        .named(new Symbol("V", symbol.word()), BenchUnit.MILLILITRES);
    }

    Input poured(Address address, Symbol symbol) {
        return new Input(
                address + "." + Role.VOLUME.key(),
                new Symbol("V", symbol.word()),
                draft.words().label(address.path()) + ", volume",
                BenchUnit.MILLILITRES);
    }

    Expression density(Address address) {
        LiquidDensity inForce = draft.conventions().in(ConventionQuestion.DENSITY);
        return inForce.density(
                draft::at,
                inForce == LiquidDensity.TABULATED
                        ? draft.slot(address.path())
                                .dissolved()
                                .flatMap(each -> draft.chemistry().density(each))
                        : Optional.empty());
    }
}
