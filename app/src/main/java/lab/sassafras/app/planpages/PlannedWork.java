package lab.sassafras.app.planpages;

import java.util.Optional;
import lab.sassafras.app.plans.KeptPlan;
import lab.sassafras.app.shelf.Shelf;
import lab.sassafras.app.shelf.Shelves;
import lab.sassafras.app.shelf.Supplies;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Refused;
import lab.sassafras.plan.Bottle;
import lab.sassafras.plan.Plan;
import lab.sassafras.plan.Prepared;
import org.springframework.stereotype.Component;

/** A kept plan as what is had, what is to be prepared of it, and what of that the shelf holds. */
@Component
public class PlannedWork {

    private static final int DIGITS = 3;

    private final Shelves shelves;
    private final Supplies supplies;
    private final Labs labs;

    PlannedWork(Shelves shelves, Supplies supplies, Labs labs) {
        this.shelves = shelves;
        this.supplies = supplies;
        this.labs = labs;
    }

    /**
     * {@return a kept plan as what is had}
     *
     * @throws Refused where it is of an experiment that is not planned here
     */
    public Plan plan(KeptPlan kept) {
        return new PlanForm(
                        Experiments.find(kept.experiment())
                                .filter(Plan::possible)
                                .orElseThrow(() -> new Refused("This plan is of an experiment not known here.")),
                        PlanForm.typed(kept.file()),
                        shelves.now(),
                        labs.now())
                .plan();
    }

    /**
     * {@return what is to be prepared}
     *
     * @param spare more than that, in per cent
     * @throws Refused where so many cannot be prepared for, or what is planned may not be done
     */
    public Prepared prepared(KeptPlan kept, int benches, int trials, double spare) {
        return Prepared.of(plan(kept), benches, trials, spare, supplies.bottles());
    }

    /** {@return how much of it the shelf has} */
    public double there(Prepared.Need need) {
        if (!need.unit().isEmpty()) {
            return supplies.bottles().stream()
                    .filter(each -> each.unit().equals(need.unit()) && each.holds(need.what()))
                    .mapToDouble(Bottle::amount)
                    .sum();
        }
        Shelf shelf = shelves.now();
        long vessels = shelf.vesselsOffered().stream()
                .filter(each -> each.kind().words().equals(need.what()))
                .count();
        long instruments = shelf.instrumentsOffered().stream()
                .filter(each -> each.kind().word().equals(need.what()))
                .count();
        return Math.max(
                (double) Math.max(vessels, instruments),
                supplies.pieces(need.what()).orElse(0));
    }

    /** {@return how much of it the shelf lacks, in words; empty where it has enough, or nobody counted it} */
    public Optional<String> lacks(Prepared.Need need) {
        double there = there(need);
        return there > 0 && there < need.amount()
                ? Optional.of(written(need.amount() - there, need) + " short")
                : Optional.empty();
    }

    static String written(double amount, Prepared.Need of) {
        return of.unit().isEmpty()
                ? Figures.POINT.fixed(amount, 0)
                : Figures.POINT.significant(amount, DIGITS) + " " + of.unit();
    }
}
