package lab.sassafras.verdict;

import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.convention.CalorimeterCounted;
import lab.sassafras.convention.Conventions;
import lab.sassafras.convention.Question;
import lab.sassafras.experiment.Calorimeter;
import lab.sassafras.experiment.Sheet;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Measured;

/** What leaving the calorimeter out of the books does to the result. */
final class IgnoredCalorimeter {

    private IgnoredCalorimeter() {
    }

    /** The effect, by working the same readings with a constant usual for such a vessel. */
    static Optional<Finding> effect(Sheet sheet, Conventions conventions) {
        Optional<Calorimeter> vessel = sheet.setting().calorimeter();
        Optional<Estimate> ignored = Reduction.meanUnder(sheet, conventions);
        if (vessel.isEmpty() || ignored.isEmpty()) {
            return Optional.empty();
        }
        Optional<Calorimeter.Pinned> pinned = vessel.get().constant();
        double supposed = pinned.map(each -> each.value().value()).orElse(vessel.get().kind().typical());
        Sheet with = sheet.with(sheet.setting().with(vessel.get().with(Measured.exact(supposed))));
        Optional<Estimate> counted = Reduction.meanUnder(with, conventions.with(Question.CALORIMETER, new CalorimeterCounted()));
        Figures figures = sheet.setting().figures();
        return counted.map(value -> {
            double change = 100 * (value.value() - ignored.get().value()) / ignored.get().value();
            String why = pinned.isPresent() ? "The calorimeter is ignored here, though it has a constant. "
                    : "No constant was adopted for " + vessel.get().name() + ", so the calorimeter is ignored. ";
            return Finding.note("calorimeter.ignored", why + "With " + figures.significant(supposed, 2)
                    + " J/°C" + (pinned.isPresent() ? "" : ", middling for a " + vessel.get().kind().words())
                    + ", the result would be " + figures.significant(value.value(), 3) + " "
                    + sheet.experiment().unknown().unit().symbol() + " (" + figures.signed(change, 1) + " %).");
        });
    }
}
