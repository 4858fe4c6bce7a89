package lab.sassafras.verdict;

import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.convention.CalorimeterCounted;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.Conventions;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Measured;
import lab.sassafras.presentation.Presentation;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Calorimeter;

/** What leaving the calorimeter out of the books does to the result. */
final class IgnoredCalorimeter {

    private IgnoredCalorimeter() {}

    /**
     * The effect, by working the same readings with a constant usual for such a vessel; empty where there is none.
     *
     * @param unit of the result
     */
    static Optional<Finding> effect(Sheet sheet, Conventions conventions, BenchUnit unit) {
        Optional<Calorimeter> vessel = sheet.setting().calorimeter();
        Optional<Estimate> ignored = FirstSample.resultUnder(sheet, conventions);
        if (vessel.isEmpty() || ignored.isEmpty()) {
            return Optional.empty();
        }
        Optional<Calorimeter.Pinned> pinned = vessel.get().constant();
        double supposed = pinned.map(each -> each.value().value())
                .orElse(vessel.get().kind().typical());
        Sheet with = sheet.with(sheet.setting().with(vessel.get().with(Measured.exact(supposed))));
        Optional<Estimate> counted = FirstSample.resultUnder(
                with, conventions.with(ConventionQuestion.CALORIMETER, new CalorimeterCounted()));
        Figures figures = sheet.setting().figures();
        return counted.filter(value -> value.value() != ignored.get().value()).map(value -> {
            String why = pinned.isPresent()
                    ? "The calorimeter is ignored here, though it has a constant. "
                    : "No constant was adopted for " + vessel.get().name() + ", so the calorimeter is ignored. ";
            return Finding.note(
                    "calorimeter.ignored",
                    why + "With " + figures.significant(supposed, 2)
                            + " J/°C"
                            + (pinned.isPresent()
                                    ? ""
                                    : ", middling for " + vessel.get().kind().one())
                            + ", the result would be " + written(value, unit, new Presentation(conventions, figures))
                            + (unit.dimension().equals(Dimension.TEMPERATURE)
                                    ? "."
                                    : " ("
                                            + figures.signed(
                                                    Estimate.percent(
                                                            ignored.get().value(), value.value()),
                                                    1) + " %)."));
        });
    }

    private static String written(Estimate value, BenchUnit unit, Presentation presentation) {
        Presentation.Written written = presentation.written(value, unit);
        return written.value() + " " + written.unit();
    }
}
