package lab.sassafras.experiment;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Slot;

/** What may have gone wrong in any run in which the contents of a calorimeter changed temperature; sizes: no source. */
final class CommonCauses {

    private CommonCauses() {}

    static List<PossibleCause> of(Experiment experiment) {
        List<PossibleCause> common = new ArrayList<>();
        experiment.span().ifPresent(span -> {
            common.add(new PossibleCause("start-not-settled", span.start(), 0.2).eitherWay());
            liquidAt(experiment, span.start())
                    .filter(any -> !experiment.thermometerStays())
                    .ifPresent(path -> common.add(new PossibleCause("water-with-probe", path, -0.3).upTo(1)));
            // what a plate gives shows as drift, and is taken off where the change is read from a curve
            common.add(PossibleCause.heat("warm-plate", 60)
                    .upTo(400)
                    .where((sheet, trial) -> !sheet.curves().corrected(trial)));
            common.add(PossibleCause.alongWith("bar", 4).upTo(15));
            common.add(PossibleCause.markedLate().upTo(60).eitherWay());
            if (experiment.calorimeter() == Calorimeter.Use.NEEDS_CONSTANT) {
                common.add(PossibleCause.calorimeterIgnored());
                common.add(PossibleCause.otherCup());
            }
        });
        common.add(PossibleCause.misread());
        common.add(PossibleCause.withItsVessel());
        List<String> own =
                experiment.suspects().stream().map(PossibleCause::key).toList();
        common.removeIf(each -> own.contains(each.key()));
        return common;
    }

    /** The liquid whose temperature stands at a path: of the same group, and such as may be poured. */
    private static Optional<String> liquidAt(Experiment experiment, String path) {
        String group = Address.of(path, 1).group();
        return experiment
                .group(group)
                .flatMap(each -> each.slots().stream()
                        .filter(Slot::byVolume)
                        .map(slot -> group + "/" + slot.key())
                        .findFirst());
    }
}
