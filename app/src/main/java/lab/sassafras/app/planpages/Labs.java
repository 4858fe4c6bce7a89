package lab.sassafras.app.planpages;

import java.util.OptionalDouble;
import lab.sassafras.app.plans.AllowedStrength;
import lab.sassafras.app.plans.PlanBook;
import lab.sassafras.app.shelf.Supplies;
import lab.sassafras.plan.Lab;
import lab.sassafras.plan.Prepared;
import org.springframework.stereotype.Component;

/** What this lab allows, as an instructor said, and what its plates are rated, as somebody counted them. */
@Component
class Labs {

    private final PlanBook plans;
    private final Supplies supplies;

    Labs(PlanBook plans, Supplies supplies) {
        this.plans = plans;
        this.supplies = supplies;
    }

    Lab now() {
        return new Lab(
                plans.allowed().map(AllowedStrength::strongest).orElse(Lab.USUAL.strongest()),
                supplies.rated(Prepared.PLATE).orElse(Lab.USUAL.plate()),
                OptionalDouble.empty());
    }
}
