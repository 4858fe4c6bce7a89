package lab.sassafras.yardstick;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import lab.sassafras.account.Finding;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.VesselKind;

/** What a vessel of its kind can hold. */
public record VesselHolds() implements Yardstick {

    private static final int FEWEST = 3;

    @Override
    public Parts parts(Judged judged) {
        Optional<VesselKind> kind = judged.sheet().setting().calorimeter().map(Calorimeter::kind);
        List<Finding> few =
                judged.trials() < FEWEST && judged.solved().postings().size() > 1
                        ? List.of(Finding.note(
                                "constant.few-trials",
                                "A constant rests on three trials or more: it is a small difference of large "
                                        + "heats, and one trial cannot show its scatter."))
                        : List.of();
        return Parts.beside(few, Optional.empty(), Parts.Compared.QUIETLY)
                .plausible(new Parts.Plausible(
                        "constant",
                        "constant",
                        "A vessel cannot give heat while it warms, so a constant of %s cannot be. ",
                        "A constant of %s is more than "
                                + kind.map(VesselKind::one).orElse("a vessel")
                                + " and its thermometer can be believed to hold (up to about %s). ",
                        kind.map(each -> OptionalDouble.of(each.typical())).orElse(OptionalDouble.empty()),
                        kind.map(each -> OptionalDouble.of(each.largest())).orElse(OptionalDouble.empty())));
    }
}
