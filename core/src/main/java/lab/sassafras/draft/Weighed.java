package lab.sassafras.draft;

import java.util.ArrayList;
import java.util.List;
import lab.sassafras.expression.Computation;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Expression;
import lab.sassafras.sheet.Sheet;

/** Several ways to one quantity, taken together by what is known of each. */
public final class Weighed {

    private Weighed() {}

    /**
     * {@return the weighted mean; all alike where one of them holds what is sought; the first while something lacks}
     *
     * @param draft   that takes them
     * @param ways    to the quantity, at least one
     * @param changes by how much of itself the quantity may differ from one way to the other (standard uncertainty)
     */
    public static Expression mean(AccountBuilder draft, List<Expression> ways, double changes) {
        Sheet sheet = draft.sheet();
        if (ways.size() == 1 || draft.wanting() || sheet.aim().blueprint()) {
            return ways.get(0);
        }
        boolean known = sheet.aim()
                .sought()
                .filter(address -> ways.stream().anyMatch(each -> each.contains(AccountBuilder.sought(sheet, address))))
                .isEmpty();
        List<Double> weights = ways.stream()
                .map(each -> known ? weight(new Computation(each, sheet.bindings()).estimate(), changes) : 1.0)
                .toList();
        double all = weights.stream().mapToDouble(Double::doubleValue).sum();
        List<Expression> terms = new ArrayList<>();
        for (int i = 0; i < ways.size(); i++) {
            double weight = weights.get(i) / all;
            terms.add(
                    ways.get(i).times(Expression.number(weight, draft.figures().fixed(weight, 3))));
        }
        return new Expression.Sum(terms);
    }

    private static double weight(Estimate way, double changes) {
        return 1 / (Math.pow(way.uncertainty(), 2) + Math.pow(changes * way.value(), 2));
    }
}
