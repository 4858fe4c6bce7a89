package lab.sassafras.account;

import java.util.List;
import java.util.Optional;
import lab.sassafras.expression.Bindings;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Input;

/**
 * Books that stand in one of several ways, such as ice that melts whole, melts in part or freezes water: which one it
 * was is not known beforehand. The first whose answer meets its own demands is the one.
 *
 * @param trial which trial, from 1
 * @param cases in the order tried, at least one
 */
public record AlternativeBalances(int trial, List<HeatBalance> cases) implements Account {

    /**
     * Keeps copies of what could change.
     *
     * @param trial which trial, from 1
     * @param cases in the order tried, at least one
     */
    public AlternativeBalances {
        cases = List.copyOf(cases);
    }

    @Override
    public Optional<Input> sought() {
        return cases.get(0).sought();
    }

    @Override
    public Solution.Outcome solve(Bindings bindings) {
        Solution.Outcome outcome = new Solution.Outcome(Optional.empty(), List.of());
        for (HeatBalance each : cases) {
            outcome = each.solve(bindings);
            if (outcome.solution().isPresent()) {
                return outcome;
            }
        }
        return outcome;
    }

    @Override
    public Optional<Estimate> estimate(Bindings bindings) {
        return cases.stream().flatMap(each -> each.estimate(bindings).stream()).findFirst();
    }

    @Override
    public boolean omits() {
        return false;
    }

    @Override
    public Account remarking(List<? extends Remark> more) {
        return new AlternativeBalances(
                trial, cases.stream().map(each -> each.remarking(more)).toList());
    }

    @Override
    public Account seeking(Input input, HeatBalance.Bounds between) {
        List<HeatBalance> turned = cases.stream()
                .map(each -> each.seeking(input, between))
                .filter(HeatBalance.class::isInstance)
                .map(HeatBalance.class::cast)
                .toList();
        return turned.isEmpty() ? cases.get(0).seeking(input, between) : new AlternativeBalances(trial, turned);
    }

    @Override
    public List<Expression> expressions() {
        return cases.stream().flatMap(each -> each.expressions().stream()).toList();
    }

    @Override
    public List<Missing> missing() {
        return List.of();
    }
}
